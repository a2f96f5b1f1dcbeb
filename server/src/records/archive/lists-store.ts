import type { Knex } from 'knex';

/** A visit as a list names it. */
export interface ListedVisit {
  readonly id: string;
  readonly started_at: Date;
  readonly closed_at: Date | null;
  readonly mood: number | null;
  readonly site: string;
  readonly zone: string;
  readonly hive: string;
  readonly trainee_group: string;
  readonly supervisor: string;
}

/** Rows that are read at once. */
const PAGE = 1000;

/** Reads a long list page by page, in an order that does not change. */
async function* paged<T>(page: (offset: number) => PromiseLike<T[]>): AsyncGenerator<T> {
  for (let from = 0; ; from += PAGE) {
    const rows = await page(from);
    yield* rows;
    if (rows.length < PAGE) return;
  }
}

/** All visits of a school, the oldest first. */
export const listedVisits = (db: Knex, school: string): Promise<ListedVisit[]> =>
  db('visits')
    .join('hives', 'hives.id', 'visits.hive')
    .join('sessions', 'sessions.id', 'visits.session')
    .join('sites', 'sites.id', 'sessions.site')
    .join('trainee_groups', 'trainee_groups.id', 'visits.trainee_group')
    .join('people', 'people.id', 'visits.supervisor')
    .where('visits.school', school)
    .orderBy(['visits.started_at', 'visits.id'])
    .select<ListedVisit[]>(
      'visits.id',
      'visits.started_at',
      'visits.closed_at',
      'visits.mood',
      'sites.name as site',
      'sites.zone',
      'hives.number as hive',
      'trainee_groups.name as trainee_group',
      'people.name as supervisor',
    );

export const listedWeights = (db: Knex, school: string) =>
  paged((offset) =>
    db('scale_days')
      .join('hives', 'hives.id', 'scale_days.hive')
      .join('sites', 'sites.id', 'hives.site')
      .where('hives.school', school)
      .orderBy(['scale_days.date', 'hives.number', 'hives.id'])
      .offset(offset)
      .limit(PAGE)
      .select<{ date: string; site: string; hive: string; scale: string | null; kg: number }[]>(
        'scale_days.date',
        'sites.name as site',
        'hives.number as hive',
        'hives.scale',
        'scale_days.kg',
      ),
  );

export const listedWeather = (db: Knex, school: string) =>
  paged((offset) =>
    db('weather_days')
      .join('sites', 'sites.id', 'weather_days.site')
      .where('sites.school', school)
      .orderBy(['weather_days.date', 'sites.name'])
      .offset(offset)
      .limit(PAGE)
      .select<{ date: string; site: string; low: number; high: number; rain: number; dew_point: number }[]>(
        'weather_days.*',
        'sites.name as site',
      ),
  );

interface ListedPerson {
  readonly id: string;
  readonly name: string;
  readonly groups: string | null;
  readonly mail: string | null;
  readonly retired_at: Date | null;
}

/** Trainees who were not erased, with their groups. */
export const listedTrainees = (db: Knex, school: string): Promise<ListedPerson[]> =>
  db('people')
    .leftJoin('group_members', 'group_members.person', 'people.id')
    .leftJoin('trainee_groups', 'trainee_groups.id', 'group_members.trainee_group')
    .where({ 'people.school': school, role: 'trainee' })
    .whereNull('erased_at')
    .groupBy('people.id', 'people.name', 'people.mail', 'people.retired_at')
    .orderBy(['people.name', 'people.id'])
    .select<ListedPerson[]>(
      'people.id',
      'people.name',
      'people.mail',
      'people.retired_at',
      db.raw("group_concat(trainee_groups.name order by trainee_groups.name separator '; ') as `groups`"),
    );

export const listedEvidence = (db: Knex, school: string) =>
  paged((offset) =>
    db('demonstrations')
      .join('people as trainee', 'trainee.id', 'demonstrations.trainee')
      .leftJoin('people as judge', 'judge.id', 'demonstrations.judged_by')
      .leftJoin('hives', 'hives.id', 'demonstrations.hive')
      .leftJoin('visits', 'visits.id', 'demonstrations.visit')
      .leftJoin('hives as visited', 'visited.id', 'visits.hive')
      .where('demonstrations.school', school)
      .orderBy(['demonstrations.at', 'demonstrations.id'])
      .offset(offset)
      .limit(PAGE)
      .select<
        {
          day: string | null;
          at: Date;
          trainee: string;
          skill: string;
          level: string;
          source: string;
          hive: string | null;
          judged_by: string | null;
          version: number;
          note: string;
        }[]
      >(
        'demonstrations.day',
        'demonstrations.at',
        'trainee.name as trainee',
        'demonstrations.skill',
        'demonstrations.level',
        'demonstrations.source',
        db.raw('coalesce(hives.number, visited.number) as hive'),
        'judge.name as judged_by',
        'demonstrations.version',
        'demonstrations.note',
      ),
  );
