/** What a session asks for, counted. */
export interface KitNeed {
  readonly groups: number;
  readonly trainees: number;
  readonly supervisors: number;
  /** What is due at each hive, in the words of the follow-up. */
  readonly jobs: readonly { readonly hive: string; readonly question: string; readonly bring?: string | null }[];
  /** Boxes and covers to be set down. */
  readonly liftedParts: number;
}

/** One line of the kit list. */
export interface KitLine {
  readonly count: number;
  readonly what: string;
  /** Hive it is for, empty for everybody. */
  readonly hives: readonly string[];
}

/** A hive left alone for longer has not been opened this season, days. */
const FIRST_OPENING = 75;
const SPARES = ['two frames of foundation', 'a feeder, filled'] as const;

const JOB_KIT: readonly { readonly when: RegExp; readonly one: string; readonly many: string }[] = [
  { when: /super/i, one: 'super, drawn combs', many: 'supers, drawn combs' },
  { when: /drawn|foundation/i, one: 'frame of foundation', many: 'frames of foundation' },
  { when: /cell/i, one: 'queen cage', many: 'queen cages' },
  { when: /mark/i, one: 'marking pen of the year', many: 'marking pens of the year' },
  { when: /mite|wash/i, one: 'mite wash kit', many: 'mite wash kits' },
  { when: /feed|food/i, one: 'feeder, filled', many: 'feeders, filled' },
  { when: /egg|larva|laying/i, one: 'magnifier', many: 'magnifiers' },
  { when: /doubtful|lids|brood disease/i, one: 'bag of matchsticks', many: 'bags of matchsticks' },
];

/**
 * What to bring: the same for every session by its size, and what each hive's jobs ask for, with a spare of what fails most.
 *
 * @param need groups, people and jobs
 * @returns lines with counts, those for everybody first
 */
export function kitList(need: KitNeed): readonly KitLine[] {
  const people = need.trainees + need.supervisors;
  const common: KitLine[] = [
    { count: need.groups + 1, what: 'smokers, one spare', hives: [] },
    { count: 4 * need.groups, what: `handfuls of fuel, ${need.groups + 1} lighters`, hives: [] },
    { count: 2 * need.groups + 2, what: `hive tools, ${need.groups} with a hook`, hives: [] },
    { count: people + 2, what: 'veils, 2 spare', hives: [] },
    { count: people, what: 'pairs of gloves', hives: [] },
    { count: 2 * need.groups, what: 'cover cloths', hives: [] },
    { count: Math.max(need.groups, need.liftedParts), what: 'stands or upturned covers', hives: [] },
    { count: need.groups, what: 'scrap buckets with lids', hives: [] },
    { count: 1, what: 'first-aid bag, emergency card', hives: [] },
  ];
  const special = JOB_KIT.map(({ when, one, many }): KitLine => {
    const hives = [...new Set(need.jobs.filter((job) => when.test(job.question)).map((job) => job.hive))];
    return { count: hives.length, what: hives.length === 1 ? one : many, hives };
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
 * @returns things in words. Common practice
 * @example kitForHive([], 200) // ['two frames of foundation', 'a feeder, filled']
 */
export function kitForHive(jobs: KitNeed['jobs'], daysSince: number | null): readonly string[] {
  const lines = kitList({ groups: 1, trainees: 0, supervisors: 0, jobs, liftedParts: 0 });
  const asked = lines.filter(({ hives }) => hives.length > 0).map(({ what }) => what);
  return daysSince === null || daysSince > FIRST_OPENING ? [...new Set([...asked, ...SPARES])] : asked;
}
