import { DEVELOPMENT, type MatingDay, type QueenTimetable, daysToEmergence, queenTimetable } from '../biology';
import type { Text } from '../language';
import { type Phase, type PhaseSpan, isLate, phaseAround } from '../season';
import { type CivilDate, addDays, daysBetween, laterOf } from '../units';
import { say } from './said';
import type { ColonyAim, QueenSource } from './stock';
import type { YardColony } from './yard-match';

/** What a plan for dividing colonies rests on. */
export interface SplitFacts {
  readonly today: CivilDate;
  /** New colonies that are wanted, 1 or more. */
  readonly wanted: number;
  readonly source: QueenSource;
  /** Day by which their queens should lay, for a sale or a course; `null` for as soon as it can be. */
  readonly readyBy: CivilDate | null;
  readonly phases: readonly PhaseSpan[];
  readonly matingDays: readonly MatingDay[];
  /** All colonies of the yard. */
  readonly colonies: readonly YardColony[];
}

/** One thing to be done on the way to new colonies. */
export interface SplitStep {
  readonly key: string;
  readonly from: CivilDate;
  readonly to: CivilDate;
  readonly title: Text;
  readonly why: Text;
}

/** What one colony can give: small units of three frames, and why not more. */
export interface SplitGiver {
  readonly number: string;
  readonly units: number;
  readonly says: Text;
}

export interface SplitPlan {
  /** In order; none where no day of the year fits. */
  readonly steps: readonly SplitStep[];
  /** Days on which the new queens should begin to lay. */
  readonly laying: { readonly from: CivilDate; readonly to: CivilDate } | null;
  /** First day on which a new colony shows even sealed brood of its own queen: sold or taught with from then on. */
  readonly proven: CivilDate | null;
  /** Colonies that give most first. */
  readonly givers: readonly SplitGiver[];
  readonly units: number;
  /** Why there is no plan, `null` when there is one. */
  readonly not: Text | null;
  readonly minds: readonly Text[];
  readonly otherSchool: Text;
}

/** A unit: one and a half frames of brood with one of food, covered by bees of three. Common practice. */
const UNIT = { brood: 1.5, bees: 3 } as const;
/** What stays with a colony that gives, and with one of which more colonies are wanted. Common practice. */
const STAYS = { brood: 3, bees: 5 } as const;
const STAYS_FOR_GROWTH = { brood: 1.5, bees: 4 } as const;
/** Colonies kept for this give none. */
const GIVES_NONE: ReadonlySet<ColonyAim | null> = new Set<ColonyAim | null>(['survival', 'reserve']);

/** Phases in which young queens find drones and days to mate. Common practice. */
const MATES: ReadonlySet<Phase> = new Set<Phase>(['swarm-season', 'flow', 'dearth', 'late-flow']);
/** Phases in which colonies are divided at all. Common practice. */
const DIVIDES: ReadonlySet<Phase> = new Set<Phase>(['build-up', 'swarm-season', 'flow', 'dearth', 'late-flow']);
/** Days before larvae are taken from which colonies are fed thin syrup. Common practice: six weeks, from 1 January for mid February. */
const FED_BEFORE = 42;
/** Age of a larva that is grafted, days from the egg: three of the egg and one. Common practice. */
const GRAFTED_AT = DEVELOPMENT.queen.egg + 1;
/** Days after the graft on which a cell is ripe: a day or two before she emerges. */
const RIPE = Math.floor(DEVELOPMENT.queen.egg + DEVELOPMENT.queen.larva + DEVELOPMENT.queen.sealed - GRAFTED_AT - 1.5);
/** Days from the egg until a drone can mate: he emerges, and ripens for about twelve days (from memory). */
const DRONE_MATES = daysToEmergence('drone') + 12;
/** Days from the egg until drone brood is sealed. */
const DRONE_SEALED = Math.floor(DEVELOPMENT.drone.egg + DEVELOPMENT.drone.larva);
/** Days from her first eggs until her own brood is sealed and can be judged. Common practice: one round. */
const ONE_ROUND = daysToEmergence('worker');
/** Days ahead that are searched, and from which on it is another season. */
const AHEAD = 365;
const ANOTHER_SEASON = 120;

/** Days of the way to laying queens, counted from the day on which it is decided. */
interface Way {
  readonly steps: readonly SplitStep[];
  readonly queens: QueenTimetable;
  /** The day on which colonies are divided, and the first on which anything is done. */
  readonly divided: CivilDate;
  readonly begins: CivilDate;
}

const step = (key: string, from: CivilDate, to: CivilDate, title: Text, why: Text): SplitStep => ({
  key,
  from,
  to,
  title,
  why,
});

/** The way from one day on: the graft, the arrival of queens or cells, or the day of dividing. */
function wayFrom(source: QueenSource, day: CivilDate, today: CivilDate, matingDays: readonly MatingDay[]): Way {
  if (source === 'walk-away') return leftToThem(day, matingDays);
  if (source === 'buy-mated') return boughtLaying(day, today, matingDays);
  return withCells(source, day, today, matingDays);
}

function leftToThem(day: CivilDate, matingDays: readonly MatingDay[]): Way {
  const queens = queenTimetable('queen-lost', day, matingDays);
  return {
    queens,
    divided: day,
    begins: day,
    steps: [
      step('divide', day, day, say('split-divide'), say('split-divide-eggs-both')),
      step('cells', addDays(day, 5), addDays(day, 8), say('split-choose-cells'), say('split-choose-cells-why')),
      ...layingSteps(queens),
    ],
  };
}

/** Queens and cells are ordered so many days ahead. Common practice: three to four weeks. */
const ORDERED = [28, 21] as const;
const ordered = (day: CivilDate, today: CivilDate, title: Text): SplitStep => {
  const [first, last] = ORDERED.map((days) => laterOf(today, addDays(day, -days)));
  return step('order', first!, last!, title, say('split-order-why'));
};

function boughtLaying(day: CivilDate, today: CivilDate, matingDays: readonly MatingDay[]): Way {
  const queens = queenTimetable('queen-put-in', addDays(day, 1), matingDays);
  return {
    queens,
    divided: day,
    begins: day,
    steps: [
      ordered(day, today, say('split-order-queens')),
      step('divide', day, day, say('split-divide'), say('split-divide-without-her')),
      step('queen-in', addDays(day, 1), addDays(day, 1), say('split-queen-in'), say('split-queen-in-why')),
      ...layingSteps(queens),
    ],
  };
}

/** With ripe cells: bought for the day, or raised from a graft on it. */
function withCells(
  source: 'graft' | 'buy-cells',
  day: CivilDate,
  today: CivilDate,
  matingDays: readonly MatingDay[],
): Way {
  const ripe = source === 'graft' ? addDays(day, RIPE) : day;
  const queens = queenTimetable('cell-put-in', ripe, matingDays);
  const divided = addDays(ripe, -1);
  const raised = source === 'graft' ? graftSteps(day, today, queens.mature ?? ripe) : null;
  return {
    queens,
    divided,
    begins: raised ? addDays(day, -1) : divided,
    steps: [
      ...(raised ?? [ordered(day, today, say('split-order-cells'))]),
      step('divide', divided, divided, say('split-divide'), say('split-divide-day-before')),
      step('cells-in', ripe, ripe, say('split-cells-in'), say('split-cells-in-why')),
      ...layingSteps(queens),
    ].toSorted((a, b) => daysBetween(b.from, a.from)),
  };
}

/** What goes before ripe cells of one's own: feed, drones, a starter, the graft. */
function graftSteps(day: CivilDate, today: CivilDate, mature: CivilDate): readonly SplitStep[] {
  const at = (days: number) => addDays(day, days);
  const drones = addDays(mature, DRONE_SEALED - DRONE_MATES);
  const [soon, late] = [laterOf(today, addDays(drones, -3)), laterOf(today, drones)];
  const fed = say('split-feed-why', { days: FED_BEFORE });
  return [
    step('feed', laterOf(today, at(-FED_BEFORE)), at(-1), say('split-feed'), fed),
    step('drones', soon, late, say('split-drones'), say('split-drones-why', { days: DRONE_MATES })),
    step('starter', at(-1), at(-1), say('split-starter'), say('split-starter-why')),
    step('graft', day, day, say('split-graft'), say('split-graft-why')),
    step('accepted', at(1), at(2), say('split-accepted'), say('split-accepted-why')),
  ];
}

const layingSteps = ({ alone, laying, worry }: QueenTimetable): readonly SplitStep[] => [
  step('alone', alone.from, alone.to, say('split-alone'), say('split-alone-why')),
  step('laying', laying.to, addDays(laying.to, 2), say('split-laying'), say('split-laying-why', { worry })),
  step(
    'proven',
    addDays(laying.to, ONE_ROUND),
    addDays(laying.to, ONE_ROUND + 3),
    say('split-proven'),
    say('split-proven-why'),
  ),
];

/** Whether the year allows a way: colonies are divided, queens mate, and there is time left to grow. */
function fits({ queens, divided }: Way, source: QueenSource, phases: readonly PhaseSpan[]): boolean {
  const phase = (day: CivilDate) => phaseAround(phases, day)?.phase;
  const at = phase(divided);
  if (at === undefined || !DIVIDES.has(at)) return false;
  const mating = source === 'buy-mated' ? null : queens.mating;
  if (mating) {
    const [first, last] = [phase(mating.from), phase(mating.to)];
    if (!first || !last || !MATES.has(first) || !MATES.has(last)) return false;
  }
  const grown = phase(addDays(queens.laying.to, ONE_ROUND));
  return grown !== undefined && !isLate(grown);
}

/**
 * How and when colonies are divided, worked out from where their queens come from: what each colony can give, and each step with its days.
 *
 * @param facts what is wanted, the year of the place, the colonies
 * @returns steps in order, what each colony gives, and what to mind; no steps where the year has no time for it
 * @throws RangeError for malformed dates, or less than one colony wanted
 * Source: common practice; development days by Winston (1987), from memory.
 */
export function splitPlan(facts: SplitFacts): SplitPlan {
  const { today, wanted, source, readyBy, phases, matingDays, colonies } = facts;
  if (!(wanted >= 1)) throw new RangeError('at least one new colony has to be wanted');
  const suspected = colonies.some((colony) => colony.suspected);
  const givers = colonies
    .map((colony) => giver(colony, suspected))
    .toSorted((a, b) => b.units - a.units || a.number.localeCompare(b.number, 'en', { numeric: true }));
  const units = givers.reduce((sum, each) => sum + each.units, 0);
  const ways = Array.from({ length: AHEAD }, (_, day) =>
    wayFrom(source, addDays(today, day), today, matingDays),
  ).filter((way) => way.begins >= today && fits(way, source, phases));
  const inTime = readyBy === null ? ways : ways.filter(({ queens }) => queens.laying.to <= readyBy);
  // As soon as can be; for a day that is set, as late as still is in time, when colonies are strongest.
  const way = (readyBy === null ? inTime[0] : inTime.at(-1)) ?? null;
  const [soonest] = ways;
  const not = suspected
    ? say('split-not-suspected')
    : way
      ? null
      : soonest && readyBy
        ? say('split-not-by-then', { readyBy, soonest: soonest.queens.laying.to })
        : say('split-not-this-year');
  const told = not === null ? way : null;
  const minds: readonly Text[] = [
    ...(told && daysBetween(today, told.begins) > ANOTHER_SEASON ? [say('split-next-season')] : []),
    ...(units < wanted && !suspected ? [say('split-too-few-units', { units, wanted })] : []),
    ...(told && source === 'graft' && daysBetween(told.steps[0]!.from, told.divided) < FED_BEFORE
      ? [say('split-fed-short', { days: FED_BEFORE })]
      : []),
    ...(source === 'walk-away' ? [say('split-walk-away-risk')] : [say('split-no-queen-no-split')]),
    ...(units > 0 ? [say('split-counted-at-last-look')] : []),
  ];
  return {
    steps: told?.steps ?? [],
    laying: told?.queens.laying ?? null,
    proven: told && addDays(told.queens.laying.to, ONE_ROUND),
    givers,
    units,
    not,
    minds,
    otherSchool: say('split-other-school', { source }),
  };
}

/** What one colony can give, and why not more. */
function giver(colony: YardColony, suspected: boolean): SplitGiver {
  const none = (says: Text): SplitGiver => ({ number: colony.number, units: 0, says });
  const { bees, brood, aim } = colony;
  if (suspected && !colony.suspected) return none(say('gives-none-suspected-yard'));
  if (!colony.sound || colony.suspected) return none(say('gives-none-unsound'));
  if (colony.treated) return none(say('gives-none-treated'));
  if (colony.mites) return none(say('gives-none-mites'));
  if (colony.robbed) return none(say('gives-none-robbed'));
  if (!colony.queenright) return none(say('gives-none-queen'));
  if (GIVES_NONE.has(aim)) return none(say('gives-none-aim'));
  if (bees === null) return none(say('gives-none-unread'));
  const stays = aim === 'growth' ? STAYS_FOR_GROWTH : STAYS;
  const units = Math.max(
    0,
    Math.floor(Math.min((brood - stays.brood) / UNIT.brood, (bees - stays.bees) / UNIT.bees) + 1e-9),
  );
  return { number: colony.number, units, says: say('gives-units', { bees, brood, units }) };
}
