import type { ColonyEstimate } from '../inspection';
import type { Forage } from '../season';
import type { CivilDate } from '../units';

/** What a school does as a matter of course; every figure may be changed by it. */
export interface CarePractice {
  /** Least food below the excluder in the open season, kg. Common practice. */
  readonly leastStoresKg: number;
  /** Food to feed up to, kg. */
  readonly feedToKg: number;
  /** Share of the frames covered by bees from which a box is added. */
  readonly addSpaceAt: number;
  /** Days between looks while swarms may leave; a cell is sealed on day 8, so no more than 7 with an unclipped queen. */
  readonly swarmIntervalDays: number;
  /** Days between looks otherwise in the high season; common practice: 10 to 15. */
  readonly intervalDays: number;
}

export const DEFAULT_CARE: CarePractice = {
  leastStoresKg: 5,
  feedToKg: 10,
  addSpaceAt: 0.8,
  swarmIntervalDays: 7,
  intervalDays: 12,
};

/** Everything that a judgement about one colony rests on. */
export interface ColonyFacts {
  readonly hive: string;
  readonly today: CivilDate;
  /** Frames in the boxes of the nest. */
  readonly frames: number;
  /** Frames of the nest read on both sides. */
  readonly framesRead: number;
  readonly nest: ColonyEstimate;
  readonly last: ColonyEstimate | null;
  readonly daysSinceLast: number | null;
  readonly eggsSeen: boolean;
  readonly larvaeSeen: boolean;
  readonly sealedSeen: boolean;
  readonly queenSeen: boolean;
  /** Queen cells and cups on all frames. */
  readonly queenCells: number;
  readonly framesWithCells: readonly number[];
  readonly doubtfulFrames: readonly number[];
  /** Frames that hold brood and nectar on the same side. */
  readonly nectarAmongBrood: readonly number[];
  /** Supers on the hive, and how full the lowest is (0 to 1), `null` when it was not read. */
  readonly supers: number;
  readonly superFill: number | null;
  readonly inBloom: readonly Forage[];
  /** Days of the coming seven in which bees can hardly fly, by the middle forecast; `null` without a forecast. */
  readonly poorDays: number | null;
  readonly practice: CarePractice;
}
