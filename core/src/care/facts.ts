import type {
  ColonyEstimate,
  FindingId,
  MarkId,
  Measure,
  OutsideLook,
  QueenCell,
  QueenStatus,
  RopinessTest,
} from '../inspection';
import type { ClimateBand, DayWeather, Forage, Phase } from '../season';
import { medianOf } from '../statistics';
import { type CivilDate, addDays } from '../units';
import type { Strain } from './colony-days';
import type { Expected } from './expected';
import type { Course } from './treatments';
import { NO_WOODWORK, type WoodworkSeen } from './woodwork';
import { type Character, type ColonyAim, NO_CHARACTER } from './stock';

/** What a school does as a matter of course; every figure may be changed by it. */
export interface HouseCare {
  /** Least food in the open season, kg. Common practice. */
  readonly leastStoresKg: number;
  /** Food to feed up to in the open season, kg. */
  readonly feedToKg: number;
  /** Food for winter of a full-sized colony, kg. 18 to 20 kg in temperate maritime places; less where it is mild, up to twice as much in long cold. */
  readonly winterStoresKg: number;
  /** Share of the frames covered by bees from which a box is added. */
  readonly addSpaceAt: number;
  /** Days between looks while swarms may leave; a cell is sealed on day 8, so no more than 7 with an unclipped queen. */
  readonly swarmIntervalDays: number;
  /** Days between looks otherwise in the high season; common practice: 10 to 15. */
  readonly intervalDays: number;
  /** Brood boxes in which a full colony lives. */
  readonly broodBoxes: 1 | 2;
  /** Thin syrup is given before the main flow to drive brood. */
  readonly stimulates: boolean;
  /** How mites are kept down. */
  readonly mites: MiteSchool;
}

/**
 * Count first and treat over a threshold; treat every year after the harvest and in the broodless time; cut out drone comb while the brood
 * grows; take the brood out in summer. The last two count as well.
 */
export const MITE_SCHOOLS = ['sample', 'calendar', 'drone-comb', 'brood-break'] as const;
export type MiteSchool = (typeof MITE_SCHOOLS)[number];

export const DEFAULT_CARE: HouseCare = {
  leastStoresKg: 5,
  feedToKg: 10,
  winterStoresKg: 18,
  addSpaceAt: 0.8,
  swarmIntervalDays: 7,
  intervalDays: 12,
  broodBoxes: 1,
  stimulates: false,
  mites: 'sample',
};

/** Everything that a judgement about one colony rests on. */
export interface ColonyFacts {
  readonly hive: string;
  readonly today: CivilDate;
  /** Climate of the place; `null` where nobody knows it. */
  readonly band: ClimateBand | null;
  /** Phase of the colony's year at the site, `null` when it is not known. */
  readonly phase: Phase | null;
  /** First day on which shut hives are opened again, while they are shut. */
  readonly reopens: CivilDate | null;
  readonly strain: Strain;
  /** Frames in the box of the nest that was read. */
  readonly frames: number;
  /** Frames of the nest read on both sides. */
  readonly framesRead: number;
  /** Frames in all boxes of the nest. */
  readonly nestFrames: number;
  readonly nest: ColonyEstimate;
  /** The nest was weighed or hefted instead of read: its food is known, and nothing else. */
  readonly foodWeighed: boolean;
  readonly last: ColonyEstimate | null;
  readonly daysSinceLast: number | null;
  readonly eggsSeen: boolean;
  readonly larvaeSeen: boolean;
  readonly sealedSeen: boolean;
  readonly queenSeen: boolean;
  /** What the combs say of the queen. */
  readonly queen: QueenStatus;
  /** When a queen in the making should lay, and until when she is left alone; `null` when none is known to be. */
  readonly youngQueen: { readonly layingTo: CivilDate; readonly aloneTo: CivilDate; readonly worry: CivilDate } | null;
  /** Seasons that the queen has seen, this one among them; `null` when her year is not known. */
  readonly queenSeasons: number | null;
  /** Her wing is clipped, so that she cannot fly with a swarm; `false` also where nobody said. */
  readonly queenClipped: boolean;
  /** Queen cells and cups on all frames. */
  readonly queenCells: number;
  /** Those of them that somebody looked into. */
  readonly cells: readonly QueenCell[];
  readonly framesWithCells: readonly number[];
  readonly doubtfulFrames: readonly number[];
  /** Frames that hold brood and nectar on the same side. */
  readonly nectarAmongBrood: readonly number[];
  /** Supers on the hive, and how full the lowest is (0 to 1), `null` when it was not read. */
  readonly supers: number;
  readonly superFill: number | null;
  /** How full all supers are together (0 to 1), `null` when one of them was not read. */
  readonly supersFill: number | null;
  /** How much fuller all supers together became a day since the last look at them, as a share of them; `null` when it is not known. */
  readonly superGain: number | null;
  /** Boxes of the nest; none where it is one long body, on which no box goes. */
  readonly broodBoxes: number;
  /** Honey and nectar in the supers, kg, by what was read or weighed; `null` when nobody looked. */
  readonly superKg: number | null;
  /** The supers are left to them as winter food. */
  readonly supersAreTheirs: boolean;
  /** First day on which a new super for harvest may go on, `null` when today. */
  readonly superOnFrom: CivilDate | null;
  /** Day until which they carry a feed into the combs; `null` when they are not fed. */
  readonly fedUntil: CivilDate | null;
  /** Days since thin syrup was given last; `null` when it never was. */
  readonly fedThinDays: number | null;
  /** First day of the main flow ahead, where the house drives brood for it. */
  readonly flowFrom: CivilDate | null;
  readonly inBloom: readonly Forage[];
  /** Worth of all nectar in bloom today, see `nectarOn`. */
  readonly nectar: number;
  /** Days of the coming seven in which bees can hardly fly, by the middle forecast; `null` without a forecast. */
  readonly poorDays: number | null;
  /** Highest temperature of each of the coming days, °C; none without a forecast. */
  readonly highs: readonly number[];
  /** The latest word on each thing that was looked for at this visit. */
  readonly findings: readonly { readonly finding: FindingId; readonly found: boolean; readonly count: number | null }[];
  /** Marks on the sides that were read, with their frames. */
  readonly marks: readonly { readonly mark: MarkId; readonly frames: readonly number[] }[];
  readonly ropiness: readonly RopinessTest[];
  /** What was seen at the entrance, `null` when nobody looked. */
  readonly outside: OutsideLook | null;
  /** Wasps at the entrance, `null` when they were not counted. */
  readonly wasps: Pick<Extract<Measure, { what: 'wasps' }>, 'aMinute' | 'pastGuards'> | null;
  /** A disease that is suspected since an earlier day and not settled, as it was entered. */
  readonly suspicion: string | null;
  /** Comb where none should be, worn comb, bare frames, and faults of the parts. */
  readonly woodwork: WoodworkSeen;
  /** Mites washed or rolled off bees, at this visit and before, the latest last. */
  readonly samples: readonly MiteSample[];
  /** Mites counted meanwhile in colonies that were given nothing, colony by colony. */
  readonly untreated: readonly (readonly MiteSample[])[];
  /** Frames of the box that was read that hold brood. */
  readonly broodFrames: readonly number[];
  /** Days since a frame for drone comb was hung, while it is in; `null` when there is none. */
  readonly droneCombDays: number | null;
  /** Medicines that it was given. */
  readonly courses: readonly Course[];
  /** Today and the coming days, as far as somebody foresees them. */
  readonly ahead: readonly DayWeather[];
  /** Day until which mites have to be few, so that bees of winter grow up sound; `null` where there is no winter. */
  readonly mitesDownBy: CivilDate | null;
  /** First day of the cold of this year, and how long it stays too cold for brood, days; `null` where there is none. */
  readonly coldFrom: CivilDate | null;
  readonly coldDays: number | null;
  /** What the last look led to expect of bees and brood today; `null` where none read enough, or a queen is in the making. */
  readonly expected: { readonly days: number; readonly bees: Expected; readonly brood: Expected } | null;
  /** What it is kept for; `null` where nobody said. */
  readonly aim: ColonyAim | null;
  /** What its looks say of its queen's stock. */
  readonly character: Character;
  /** What the house does; `practiceFor` says what its aim makes of that. */
  readonly practice: HouseCare;
}

/** Mites on a sample of bees. */
export type MiteSample = Pick<Extract<Measure, { what: 'mites-on-bees' }>, 'method' | 'bees' | 'mites'> & {
  readonly date: CivilDate;
};

/** The middle of the highest temperatures of the coming days, °C; `null` without a forecast. */
export const middleHigh = ({ highs }: Pick<ColonyFacts, 'highs'>): number | null =>
  highs.length === 0 ? null : medianOf(highs);

/** Lowest temperatures of the nights of so many coming days, °C, as far as they are foreseen. */
export const nightsAhead = ({ ahead, today }: Pick<ColonyFacts, 'ahead' | 'today'>, days: number): readonly number[] =>
  ahead.filter(({ date }) => date < addDays(today, days)).map(({ low }) => low);

/** Whether a super for harvest stands on the hive. */
export const harvestOn = ({ supers, supersAreTheirs }: Pick<ColonyFacts, 'supers' | 'supersAreTheirs'>): boolean =>
  supers > 0 && !supersAreTheirs;

/** What a visit finds besides the nest when nobody looked for anything. */
export const NOTHING_BESIDES = {
  findings: [],
  marks: [],
  ropiness: [],
  outside: null,
  wasps: null,
  suspicion: null,
  woodwork: NO_WOODWORK,
  samples: [],
  untreated: [],
  broodFrames: [],
  droneCombDays: null,
  courses: [],
  ahead: [],
  mitesDownBy: null,
  coldFrom: null,
  coldDays: null,
  expected: null,
  band: null,
  aim: null,
  character: NO_CHARACTER,
} as const satisfies Partial<ColonyFacts>;
