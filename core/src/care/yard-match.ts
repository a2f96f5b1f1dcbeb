import type { FrameKindId } from '../equipment';
import type { Text } from '../language';
import type { Phase } from '../season';
import { medianOf } from '../statistics';
import { isRobbed } from './entrance';
import type { ColonyFacts } from './facts';
import { foodOf } from './feed';
import { healthOf, standsStill } from './health';
import { lastSample, miteLimit } from './mites';
import { halfRead } from './reading';
import { say } from './said';

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
}

/** A comb that could go from one colony to another. */
export interface YardMatch {
  readonly from: string;
  readonly to: string;
  readonly what: 'brood' | 'food';
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
/** Food of a colony that can give a comb of it, above what the house feeds up to, kg: a full comb and a reserve. Common practice. */
const FOOD_TO_SPARE = 3;

/**
 * Which colonies of a yard could give to which: brood from the strong to those that are only behind, food from the rich to the hungry. No comb moves
 * while foulbrood is suspected anywhere in the yard, and none between colonies of which anything is wrong.
 *
 * @param colonies all colonies of one yard
 * @returns at most one match for each giver and each taker; none where it is not the season
 * Source: common practice.
 */
export function matchYard(colonies: readonly YardColony[]): readonly YardMatch[] {
  if (colonies.some(({ suspected }) => suspected)) return [];
  return [...broodMatches(colonies), ...foodMatches(colonies)];
}

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
    .filter((each) => clean(each) && each.bees !== null && each.storesKg >= each.feedToKg + FOOD_TO_SPARE)
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
  const sample = lastSample(facts);
  const health = healthOf(facts).verdict;
  return {
    number: facts.hive,
    phase: facts.phase,
    bees: halfRead(facts) ? (facts.nest.framesOfBees?.value ?? null) : null,
    brood: facts.nest.brood.value,
    storesKg: foodOf(facts),
    leastKg: facts.practice.leastStoresKg,
    feedToKg: facts.practice.feedToKg,
    frame,
    queenright: LAYS.has(facts.queen.verdict),
    sound: health === 'sound' && facts.doubtfulFrames.length === 0,
    suspected: standsStill(facts) || facts.suspicion !== null,
    treated: facts.courses.some(({ ended, freeFrom }) => !ended || (freeFrom !== null && freeFrom > facts.today)),
    cells: facts.queenCells > 0,
    robbed: isRobbed(facts),
    mites: sample !== null && sample.rate.value >= miteLimit(facts.phase),
  };
}
