import type { FrameKindId } from '../equipment';
import type { Text } from '../language';
import type { Phase } from '../season';
import { medianOf } from '../statistics';
import { practiceFor } from './aim';
import { isRobbed } from './entrance';
import type { ColonyFacts } from './facts';
import { foodOf } from './feed';
import { healthOf } from './health';
import { lastSample, miteLimit } from './mites';
import { type QueenTrouble, queenTrouble } from './queen';
import { halfRead } from './reading';
import { say } from './said';
import { inSmallBox } from './space';
import type { ColonyAim } from './stock';

/** A colony as its neighbours matter to it. */
export interface YardColony {
  readonly number: string;
  readonly phase: Phase | null;
  /** Frames of bees and of brood, `null` where too little was read to say. */
  readonly bees: number | null;
  readonly brood: number;
  readonly storesKg: number;
  /** Food that the house wants at least, and up to which it feeds, kg. */
  readonly leastKg: number;
  readonly feedToKg: number;
  readonly frame: FrameKindId;
  readonly queenright: boolean;
  /** Nothing at all was found on its brood or bees. */
  readonly sound: boolean;
  /** Foulbrood is suspected. */
  readonly suspected: boolean;
  /** A medicine lies in it, or binds its honey. */
  readonly treated: boolean;
  readonly cells: boolean;
  readonly robbed: boolean;
  /** As many mites as ask for a treatment, or more. */
  readonly mites: boolean;
  /** Eggs were seen. */
  readonly eggs: boolean;
  /** What is wrong with its queen. */
  readonly trouble: QueenTrouble;
  /** Seasons that its queen has seen; `null` when her year is not known. */
  readonly queenSeasons: number | null;
  readonly aim: ColonyAim | null;
  /** A small box: five or six frames. */
  readonly small: boolean;
}

/** A comb or a queen that could go from one colony to another. */
export interface YardMatch {
  readonly from: string;
  readonly to: string;
  readonly what: 'brood' | 'food' | 'queen';
  readonly says: Text;
  readonly why: Text;
}

/** Phases in which brood is moved: bees are plenty and nights warm enough. Common practice. */
const MOVES: ReadonlySet<Phase> = new Set<Phase>(['build-up', 'swarm-season', 'flow', 'late-flow']);
/** Phases in which hives stay shut. */
const SHUT: ReadonlySet<Phase> = new Set<Phase>(['winter-rest', 'first-brood']);
/** Part of the yard's middle from which a colony is ahead of the others, and up to which it is behind. Common practice. */
const AHEAD = 1.25;
const BEHIND = 0.75;
/** Frames of bees and brood of a colony that can give. Common practice. */
const GIVES = { bees: 8, brood: 5, twice: 8 } as const;
/** Frames of bees of a colony that can keep a comb of brood warm, brood above which it needs none, and bees to spare for each comb. Common practice. */
const TAKES = { bees: 3, brood: 4, spare: 1, twice: 2.5 } as const;
/** Frames of bees of a colony that is worth a queen. Common practice. */
const WORTH_A_QUEEN = 3;
/** For whom a queen in reserve is, the most pressing first. Laying workers would kill her. Common practice. */
const NEEDS_A_QUEEN: readonly QueenTrouble[] = ['queenless', 'overdue', 'drone-layer', 'failing'];
/** Trouble that a test frame proves before a queen is given. */
const PROVED: ReadonlySet<QueenTrouble> = new Set<QueenTrouble>(['queenless', 'overdue']);
/** Food of a colony that can give a comb of it, above what the house feeds up to, kg: a full comb and a reserve. Common practice. */
const FOOD_TO_SPARE = 3;

/**
 * Which colonies of a yard could give to which: a queen in reserve to a colony whose own is lost or fails, brood from the strong to those that are
 * only behind, food from the rich to the hungry. Nothing moves while foulbrood is suspected anywhere in the yard, and nothing between colonies of
 * which anything is wrong.
 *
 * @param colonies all colonies of one yard
 * @returns at most one match for each giver and each taker; none where it is not the season
 * Source: common practice.
 */
export function matchYard(colonies: readonly YardColony[]): readonly YardMatch[] {
  if (colonies.some(({ suspected }) => suspected)) return [];
  return [...queenMatches(colonies), ...broodMatches(colonies), ...foodMatches(colonies)];
}

/** A small colony that holds a queen in reserve: kept for it, or in a small box and not meant for anything else. */
const isReserve = ({ aim, small }: YardColony): boolean => aim === 'reserve' || (small && aim === null);

/** A queen in reserve, and why she could not go now. */
export interface Reserve {
  readonly number: string;
  readonly ready: boolean;
  readonly says: Text;
}

/**
 * The queens in reserve of a yard, those that could go now first.
 *
 * @param colonies all colonies of one yard
 * @returns one for each small colony; none where no small colony is kept
 * Source: common practice.
 */
export function reservesOf(colonies: readonly YardColony[]): readonly Reserve[] {
  const told = colonies.filter(isReserve).map((each): Reserve => {
    const not = notReady(each);
    const { number, queenSeasons, bees } = each;
    return {
      number,
      ready: not === null,
      says:
        not === null ? say('reserve-ready', { seasons: queenSeasons, bees }) : say('reserve-not-ready', { why: not }),
    };
  });
  return told.toSorted((a, b) => Number(b.ready) - Number(a.ready));
}

/** Why a queen in reserve could not go now, `null` when she could. */
function notReady({ suspected, sound, robbed, cells, eggs, queenright, phase }: YardColony): Text | null {
  if (suspected || !sound) return say('reserve-unsound');
  if (robbed) return say('reserve-robbed');
  if (cells) return say('reserve-has-cells');
  if (!queenright || !eggs) return say('reserve-not-laying');
  return phase !== null && SHUT.has(phase) ? say('reserve-shut') : null;
}

function queenMatches(colonies: readonly YardColony[]): readonly YardMatch[] {
  const left = colonies
    .filter((each) => isReserve(each) && notReady(each) === null)
    .sort((a, b) => (a.queenSeasons ?? Infinity) - (b.queenSeasons ?? Infinity) || (b.bees ?? 0) - (a.bees ?? 0));
  const wanting = colonies
    .filter(
      (each) =>
        NEEDS_A_QUEEN.includes(each.trouble) &&
        !isReserve(each) &&
        each.sound &&
        !each.robbed &&
        (each.bees ?? 0) >= WORTH_A_QUEEN &&
        (each.phase === null || !SHUT.has(each.phase)),
    )
    .sort((a, b) => NEEDS_A_QUEEN.indexOf(a.trouble) - NEEDS_A_QUEEN.indexOf(b.trouble));
  return wanting.flatMap((to): readonly YardMatch[] => {
    const at = left.findIndex((each) => to.trouble !== 'failing' || each.queenSeasons === 1);
    if (at < 0) return [];
    const [from] = left.splice(at, 1) as [YardColony];
    const unites = from.frame === to.frame && !from.treated;
    return [
      {
        from: from.number,
        to: to.number,
        what: 'queen',
        says: say('give-queen', { from: from.number, to: to.number, unites }),
        why: say('queen-for', {
          trouble: to.trouble!,
          proved: PROVED.has(to.trouble),
          seasons: from.queenSeasons,
          bees: to.bees!,
        }),
      },
    ];
  });
}

/** Colonies from which nothing is taken: more colonies are to come of them, they are to live by themselves, or they are small on purpose. */
const KEEPS: ReadonlySet<ColonyAim | null> = new Set<ColonyAim | null>(['growth', 'survival', 'reserve']);

const clean = ({ sound, treated, robbed, mites }: YardColony): boolean => sound && !treated && !robbed && !mites;

function broodMatches(colonies: readonly YardColony[]): readonly YardMatch[] {
  const counted = colonies.flatMap((each) => (each.bees === null ? [] : [{ ...each, bees: each.bees }]));
  if (counted.length < 2) return [];
  const middle = medianOf(counted.map(({ bees }) => bees));
  const inSeason = counted.filter(({ phase }) => phase !== null && MOVES.has(phase));
  const givers = inSeason
    .filter(
      (each) =>
        clean(each) &&
        !KEEPS.has(each.aim) &&
        !each.cells &&
        each.queenright &&
        each.bees >= Math.max(GIVES.bees, middle * AHEAD) &&
        each.brood >= GIVES.brood,
    )
    .sort((a, b) => b.brood - a.brood);
  const takers = inSeason
    .filter(
      (each) =>
        each.sound &&
        !each.robbed &&
        !isReserve(each) &&
        each.queenright &&
        each.bees >= TAKES.bees &&
        each.bees <= middle * BEHIND &&
        each.brood < TAKES.brood &&
        each.bees - each.brood >= TAKES.spare,
    )
    .sort((a, b) => b.bees - b.brood - (a.bees - a.brood));
  return pairs(givers, takers).map(([from, to]) => {
    const combs = from.brood >= GIVES.twice && to.bees - to.brood >= TAKES.twice ? 2 : 1;
    return {
      from: from.number,
      to: to.number,
      what: 'brood',
      says: say('give-brood', { from: from.number, to: to.number, combs }),
      why: say('ahead-and-behind', { from: from.bees, brood: from.brood, to: to.bees, middle }),
    };
  });
}

function foodMatches(colonies: readonly YardColony[]): readonly YardMatch[] {
  const open = colonies.filter(({ phase }) => phase === null || !SHUT.has(phase));
  const givers = open
    .filter(
      (each) =>
        clean(each) && !KEEPS.has(each.aim) && each.bees !== null && each.storesKg >= each.feedToKg + FOOD_TO_SPARE,
    )
    .sort((a, b) => b.storesKg - a.storesKg);
  const takers = open
    .filter((each) => each.sound && !each.robbed && each.bees !== null && each.storesKg < each.leastKg)
    .sort((a, b) => a.storesKg - b.storesKg);
  return pairs(givers, takers).map(([from, to]) => ({
    from: from.number,
    to: to.number,
    what: 'food',
    says: say('give-food', { from: from.number, to: to.number }),
    why: say('rich-and-hungry', { from: from.storesKg, to: to.storesKg, least: to.leastKg }),
  }));
}

/** Each giver with the first taker left whose frames are of its kind. */
function pairs<Colony extends YardColony>(
  givers: readonly Colony[],
  takers: readonly Colony[],
): readonly (readonly [from: Colony, to: Colony])[] {
  const left = [...takers];
  return givers.flatMap((from) => {
    const at = left.findIndex((to) => to.frame === from.frame && to.number !== from.number);
    return at < 0 ? [] : [[from, left.splice(at, 1)[0]!] as const];
  });
}

const LAYS: ReadonlySet<string> = new Set(['queenright', 'probably-queenright']);

/**
 * A colony as its neighbours matter to it, from what its last visit found.
 *
 * @param facts the colony
 * @param frame frames of its nest
 */
export function yardColony(facts: ColonyFacts, frame: FrameKindId): YardColony {
  const practice = practiceFor(facts.practice, facts.aim);
  const sample = lastSample(facts);
  const health = healthOf(facts).verdict;
  return {
    number: facts.hive,
    phase: facts.phase,
    bees: halfRead(facts) ? (facts.nest.framesOfBees?.value ?? null) : null,
    brood: facts.nest.brood.value,
    storesKg: foodOf(facts),
    leastKg: practice.leastStoresKg,
    feedToKg: practice.feedToKg,
    frame,
    queenright: LAYS.has(facts.queen.verdict),
    sound: health === 'sound' && facts.doubtfulFrames.length === 0,
    suspected: health === 'stop' || health === 'test' || facts.suspicion !== null,
    treated: facts.courses.some(({ ended, freeFrom }) => !ended || (freeFrom !== null && freeFrom > facts.today)),
    cells: facts.queenCells > 0,
    robbed: isRobbed(facts),
    mites: sample !== null && sample.rate.value >= miteLimit(facts.phase),
    eggs: facts.eggsSeen,
    trouble: queenTrouble(facts),
    queenSeasons: facts.queenSeasons,
    aim: facts.aim,
    small: inSmallBox(facts),
  };
}
