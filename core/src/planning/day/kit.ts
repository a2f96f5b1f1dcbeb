import type { AdviceKind } from '../../care';
import type { Text } from '../../language';
import { say } from '../said';
import type { CommonKit, JobKit, SpareKit } from './kit-ids';
/** What a session asks for, counted. */
export interface KitNeed {
  readonly groups: number;
  readonly trainees: number;
  readonly supervisors: number;
  /** What is due at each hive: by the advice that it came from, else in somebody's words. */
  readonly jobs: readonly {
    readonly hive: string;
    readonly question: string;
    readonly bring?: string | null;
    readonly about?: AdviceKind | null | undefined;
  }[];
  /** Boxes and covers to be set down. */
  readonly liftedParts: number;
}

/** One line of the kit list. */
export interface KitLine {
  readonly count: number;
  readonly what: Text;
  /** Hive it is for, empty for everybody. */
  readonly hives: readonly string[];
}

/** A hive left alone for longer has not been opened this season, days. */
const FIRST_OPENING = 75;
const SPARES: readonly SpareKit[] = ['foundation', 'feeder'];

/** What every session takes along, with how many. */
const COMMON_KIT = {
  smokers: ({ groups }) => groups + 1,
  fuel: ({ groups }) => 4 * groups,
  'hive-tools': ({ groups }) => 2 * groups + 2,
  veils: ({ trainees, supervisors }) => trainees + supervisors + 2,
  gloves: ({ trainees, supervisors }) => trainees + supervisors,
  cloths: ({ groups }) => 2 * groups,
  stands: ({ groups, liftedParts }) => Math.max(groups, liftedParts),
  buckets: ({ groups }) => groups,
  'first-aid': () => 1,
} as const satisfies Record<CommonKit, (need: KitNeed) => number>;

/** What looking after an advice asks for. */
const ADVICE_KIT: Readonly<Record<AdviceKind, readonly JobKit[]>> = {
  health: ['matchsticks', 'magnifier'],
  entrance: [],
  feed: ['feeder'],
  queen: ['magnifier', 'queen-cage'],
  'queen-cells': ['queen-cage', 'magnifier'],
  swarming: ['queen-cage', 'foundation'],
  mites: ['mite-wash'],
  protein: [],
  strength: [],
  chill: [],
  behind: ['mite-wash', 'magnifier'],
  selection: ['queen-cage'],
  comb: [],
  'add-space': ['super'],
  'look-again': ['magnifier'],
  'cannot-tell': ['magnifier'],
  'leave-alone': [],
};

/** What a job asks for, by the words that somebody told it in. */
const JOB_KIT = {
  super: /super/i,
  foundation: /drawn|foundation/i,
  'queen-cage': /cell/i,
  'marking-pen': /mark/i,
  'mite-wash': /mite|wash/i,
  feeder: /feed|food/i,
  magnifier: /egg|larva|laying/i,
  matchsticks: /doubtful|lids|brood disease/i,
} as const satisfies Record<JobKit, RegExp>;
const COMMON_KITS = Object.keys(COMMON_KIT) as readonly CommonKit[];
const JOB_KITS = Object.keys(JOB_KIT) as readonly JobKit[];

const asksFor = ({ question, about }: KitNeed['jobs'][number], kit: JobKit): boolean =>
  about ? ADVICE_KIT[about].includes(kit) : JOB_KIT[kit].test(question);

/**
 * What to bring: the same for every session by its size, and what each hive's jobs ask for, with a spare of what fails most.
 *
 * @param need groups, people and jobs
 * @returns lines with counts, those for everybody first
 */
export function kitList(need: KitNeed): readonly KitLine[] {
  const common = COMMON_KITS.map((kit): KitLine => ({
    count: COMMON_KIT[kit](need),
    what: say('kit-common', { kit, groups: need.groups }),
    hives: [],
  }));
  const special = JOB_KITS.map((kit): KitLine => {
    const hives = [...new Set(need.jobs.filter((job) => asksFor(job, kit)).map((job) => job.hive))];
    return { count: hives.length, what: say('kit-job', { kit, count: hives.length }), hives };
  });
  const brings = [...new Set(need.jobs.flatMap(({ bring }) => bring ?? []))].map((what): KitLine => {
    const hives = [...new Set(need.jobs.filter(({ bring }) => bring === what).map(({ hive }) => hive))];
    return { count: hives.length, what, hives };
  });
  return [...common, ...special.filter((line) => line.count > 0), ...brings];
}

/**
 * What the jobs of one hive ask to be brought to it. To a first opening of the year spare frames and feed come along, needed or not.
 *
 * @param jobs what is due there
 * @param daysSince days since it was opened last, `null` when it never was
 * @returns things, two frames of foundation and a filled feeder at a first opening. Common practice
 */
export function kitForHive(jobs: KitNeed['jobs'], daysSince: number | null): readonly Text[] {
  const lines = kitList({ groups: 1, trainees: 0, supervisors: 0, jobs, liftedParts: 0 });
  const asked = lines.filter(({ hives }) => hives.length > 0).map(({ what }) => what);
  return daysSince === null || daysSince > FIRST_OPENING
    ? [...asked, ...SPARES.map((kit) => say('kit-spare', { kit }))]
    : asked;
}
