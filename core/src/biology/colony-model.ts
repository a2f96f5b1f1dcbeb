import { type Adults, adultsNextDay, adultsOf, foragerShare } from './adults';
import { DEVELOPMENT, daysToEmergence } from './development';
import { eatenDaily } from './eating';
import { type Mites, mitesNextDay } from './mite-cycle';

/** Days from the laid egg to the worker. */
export const WORKER_DAYS = daysToEmergence('worker');
const { egg: EGG_DAYS, larva: LARVA_DAYS } = DEVELOPMENT.worker;
/** Age of a cell on the day on which it is capped. */
const CAPPED = EGG_DAYS + LARVA_DAYS;

/** A colony on one day. Changed in place as days pass. */
export interface Colony {
  adults: Adults;
  /** Cells by the days since the egg was laid, today's first. */
  readonly cells: Float64Array;
  storesKg: number;
  /** `null` where nobody ever counted them. */
  mites: Mites | null;
}

/** What a day holds for a colony: season, weather, forage and what people do. */
export interface ColonyDay {
  /** Eggs that its queen lays that day where nothing holds her back. */
  readonly laying: number;
  /** Days that a bee of that day lives as an adult. */
  readonly life: number;
  /** Frames of brood that a frame of bees keeps warm and fed. */
  readonly broodPerBees: number;
  /** Nectar that a frame of bees brings home that day, ripened, kg. */
  readonly incomeKg: number;
  /** Sugar or honey given that day and stored, kg. */
  readonly fedKg: number;
  /** They sit in the winter cluster. */
  readonly clustered: boolean;
  /** Part of the laying that is drone. */
  readonly drones: number;
  /** Part of the mites on bees that a medicine kills that day. */
  readonly mitesKilled: number;
}

/** The comb a colony lives on. */
export interface Nest {
  /** Frames that brood can be in. */
  readonly frames: number;
  /** Cells of a frame, both sides, and bees that cover one. */
  readonly cellsPerFrame: number;
  readonly beesPerFrame: number;
  /** Food that fits into nest and supers beside the brood, kg: more is not gathered. */
  readonly holdsKg: number;
}

/** How a colony differs from the usual one: 1 is as usual. */
export interface Habit {
  readonly laying: number;
  /** Brood that its bees keep. */
  readonly nursing: number;
  readonly life: number;
  readonly income: number;
  readonly mites: number;
}
export const USUAL_HABIT: Habit = { laying: 1, nursing: 1, life: 1, income: 1, mites: 1 };

/** What held a colony back on a day. */
export const HELD = { hungry: 1, crowded: 2 } as const;

/** Food below which they rear less, kg, and laying that is left. Common practice. */
const HUNGRY = { belowKg: 1.5, laying: 0.25 } as const;
/** Part of the nest's frames that brood fills at most, and frames of it that any colony keeps warm. Common practice. */
const NEST_FILLED = 0.72;
const LEAST_BROOD = 0.3;
/** Days over which a nest that has room is filled. Common practice. */
const FILLED_IN = 6;
/** Part of her laying from which a queen that finds no cells counts as crowded. Common practice. */
const CROWDED = 0.8;
/** Part of the capped cells that lives to emerge. Common practice. */
const EMERGES = 0.93;
/** Life of bees that live shortest, days. */
const SHORTEST_LIFE = 8;

/** What was counted of a colony on a day; frames are full-frame equivalents. */
export interface Counted {
  readonly bees: number;
  readonly eggs: number;
  readonly larvae: number;
  readonly sealed: number;
  readonly storesKg: number;
}

/**
 * A colony as it was counted, its brood as evenly aged as each stage allows.
 *
 * @param counted frames of bees and of each stage, kg of food, 0 or more each
 * @param nest its comb
 * @param life days that its bees live
 * @returns the colony, without mites
 */
export function colonyOf(
  counted: Counted,
  { cellsPerFrame, beesPerFrame }: Pick<Nest, 'cellsPerFrame' | 'beesPerFrame'>,
  life: number,
): Colony {
  const { egg, larva, sealed } = DEVELOPMENT.worker;
  const aDay = {
    eggs: (counted.eggs * cellsPerFrame) / egg,
    larvae: (counted.larvae * cellsPerFrame) / larva,
    sealed: (counted.sealed * cellsPerFrame) / sealed,
  };
  return {
    adults: adultsOf(counted.bees * beesPerFrame, life),
    cells: Float64Array.from({ length: WORKER_DAYS }, (_, age) =>
      age < EGG_DAYS ? aDay.eggs : age < CAPPED ? aDay.larvae : aDay.sealed,
    ),
    storesKg: counted.storesKg,
    mites: null,
  };
}

/** Cells laid from so many to fewer than so many days ago. */
export function cellsBetween(colony: Colony, from: number, to: number): number {
  let all = 0;
  for (let age = from; age < to; age += 1) all += colony.cells[age]!;
  return all;
}

/** The same colony once more, to go its own way. */
export const copyOf = ({ adults, cells, storesKg, mites }: Colony): Colony => ({
  adults,
  cells: cells.slice(),
  storesKg,
  mites: mites && { onBees: mites.onBees, inWorkers: mites.inWorkers.slice(), inDrones: mites.inDrones.slice() },
});

/** Bees of a colony. */
export const beesOf = ({ adults }: Colony): number => adults.house + adults.foragers;

/**
 * Takes a colony a day on, in place: the oldest cells emerge, the queen lays, foragers bring and die, all eat, mites move.
 *
 * @param colony the colony, changed
 * @param day what the day holds
 * @param nest its comb
 * @param habit how it differs from the usual one
 * @returns what held it back, the sum of `HELD`; 0 for nothing
 * Source: age classes with the adults of Khoury, Myerscough & Barron 2011; figures of the day by common practice.
 */
export function colonyNextDay(colony: Colony, day: ColonyDay, nest: Nest, habit: Habit = USUAL_HABIT): number {
  let held = 0;
  const bees = beesOf(colony);
  const beeFrames = bees / nest.beesPerFrame;
  const brood = cellsBetween(colony, 0, WORKER_DAYS);
  let laying = day.laying * habit.laying;
  if (colony.storesKg < HUNGRY.belowKg) {
    held += HELD.hungry;
    laying *= HUNGRY.laying;
  }
  const room =
    Math.min(nest.frames * NEST_FILLED, Math.max(LEAST_BROOD, beeFrames * day.broodPerBees * habit.nursing)) *
    nest.cellsPerFrame;
  const emerging = colony.cells[WORKER_DAYS - 1]!;
  const free = Math.max(0, (room - brood) / FILLED_IN + emerging);
  if (free < laying * CROWDED) held += HELD.crowded;
  colony.cells.copyWithin(1, 0);
  colony.cells[0] = Math.min(laying, free);
  const life = Math.max(SHORTEST_LIFE, day.life * habit.life);
  const share = foragerShare(life);
  const foraging = bees > 0 ? colony.adults.foragers / bees / share : 0;
  colony.adults = adultsNextDay(colony.adults, emerging * EMERGES, 1 / (life * share));
  const eaten = eatenDaily(beeFrames, brood / nest.cellsPerFrame, day.clustered);
  const brought = day.incomeKg * habit.income * beeFrames * foraging;
  const fits = Math.max(0, nest.holdsKg - colony.storesKg + eaten);
  colony.storesKg = Math.max(0, colony.storesKg - eaten + Math.min(brought + day.fedKg, fits));
  if (colony.mites) {
    const capped = colony.cells[CAPPED]!;
    mitesNextDay(
      colony.mites,
      {
        workersCapped: capped * (1 - day.drones),
        dronesCapped: capped * day.drones,
        bees,
        killed: day.mitesKilled,
      },
      habit.mites,
    );
  }
  return held;
}
