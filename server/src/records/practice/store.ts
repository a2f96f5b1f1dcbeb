import type { Text } from '@brave-comb/core/language';
import type { SideAddress } from '@brave-comb/core/inspection';
import type { Answer, Grade, PollAnswer, PollMoment, TopicId } from '@brave-comb/core/practice';
import type { ReadingPair } from '@brave-comb/core/skills';
import type { Knex } from 'knex';

export interface ResultRow {
  readonly id: string;
  readonly school: string;
  readonly person: string;
  readonly topic: TopicId;
  readonly at: Date;
  readonly level: number;
  readonly seed: number;
  readonly seconds: number;
  readonly answer: Answer;
  readonly recorded: { readonly visit: string; readonly address: SideAddress | null } | null;
  readonly photo_drill: string | null;
  readonly score: number;
  readonly is_right: boolean | 0 | 1;
  readonly grade: Grade;
  readonly read_shares: ReadingPair['read'] | null;
  readonly true_shares: ReadingPair['reference'] | null;
  readonly ground: string | null;
}

const json = (value: unknown) => (value === null ? null : JSON.stringify(value));

/** Keeps an answer once. */
export const insertResult = (db: Knex, row: ResultRow) =>
  db('practice_results')
    .insert({
      ...row,
      answer: JSON.stringify(row.answer),
      recorded: json(row.recorded),
      read_shares: json(row.read_shares),
      true_shares: json(row.true_shares),
    })
    .onConflict('id')
    .ignore();

export const resultById = (db: Knex, school: string, id: string): Promise<ResultRow | undefined> =>
  db<ResultRow>('practice_results').where({ school, id }).first();

/** Answers of some people, oldest first; of each the latest, as many as asked for. */
export async function resultsOf(
  db: Knex,
  school: string,
  people: readonly string[],
  most: number,
): Promise<readonly ResultRow[]> {
  const ranked = db<ResultRow>('practice_results')
    .where({ school })
    .whereIn('person', people)
    .select('*', db.raw('row_number() over (partition by person order by at desc, id desc) as place'));
  return db.select<ResultRow[]>('*').from(ranked.as('ranked')).where('place', '<=', most).orderBy(['at', 'id']);
}

/** What of a visit somebody has answered in a topic. */
export const recordedAnswers = async (
  db: Knex,
  school: string,
  person: string,
  topic: TopicId,
  visit: string,
): Promise<readonly ResultRow['recorded'][]> =>
  (
    await db<ResultRow>('practice_results')
      .where({ school, person, topic })
      .whereRaw("json_value(recorded, '$.visit') = ?", [visit])
      .select('recorded')
  ).map(({ recorded }) => recorded);

export interface PhotoDrillRow {
  readonly id: string;
  readonly school: string;
  readonly attachment: string;
  readonly question: string;
  readonly choices: readonly string[];
  readonly answer: number;
  readonly says: string;
  readonly made_by: string;
  readonly made_at: Date;
  readonly retired_at: Date | null;
}

export const insertPhotoDrill = (db: Knex, row: Omit<PhotoDrillRow, 'retired_at'>) =>
  db('photo_drills')
    .insert({ ...row, choices: JSON.stringify(row.choices) })
    .onConflict('id')
    .ignore();

export const photoDrillsOf = (db: Knex, school: string): Promise<PhotoDrillRow[]> =>
  db<PhotoDrillRow>('photo_drills').where({ school }).whereNull('retired_at').orderBy('made_at', 'desc').select();

export const photoDrillById = (db: Knex, school: string, id: string): Promise<PhotoDrillRow | undefined> =>
  db<PhotoDrillRow>('photo_drills').where({ school, id }).first();

export const retireDrill = (db: Knex, school: string, id: string, at: Date): Promise<number> =>
  db<PhotoDrillRow>('photo_drills').where({ school, id }).whereNull('retired_at').update({ retired_at: at });

export interface PollRow {
  readonly id: string;
  readonly school: string;
  /** `null` once a new plan has dropped it. */
  readonly session: string | null;
  readonly starts_at: Date;
  readonly day: string;
  readonly trainee_group: string;
  readonly questions: readonly string[];
  readonly made_by: string;
  readonly made_at: Date;
}
export type NamedPoll = PollRow & { readonly group_name: string; readonly by_name: string };

export const insertPoll = (db: Knex, row: PollRow) =>
  db('polls')
    .insert({ ...row, questions: JSON.stringify(row.questions) })
    .onConflict('id')
    .ignore();

/** Polls of some groups, the newest session first. */
export const pollsOf = (db: Knex, school: string, groups: readonly string[], most: number): Promise<NamedPoll[]> =>
  db('polls')
    .join('trainee_groups', 'trainee_groups.id', 'polls.trainee_group')
    .join('people', 'people.id', 'polls.made_by')
    .where('polls.school', school)
    .whereIn('polls.trainee_group', groups)
    .orderBy('polls.starts_at', 'desc')
    .limit(most)
    .select<NamedPoll[]>('polls.*', 'trainee_groups.name as group_name', 'people.name as by_name');

export const pollById = (db: Knex, school: string, id: string): Promise<PollRow | undefined> =>
  db<PollRow>('polls').where({ school, id }).first();

export interface VoteRow {
  readonly poll: string;
  readonly person: string;
  readonly moment: PollMoment;
  readonly question: number;
  readonly answer: PollAnswer;
  readonly at: Date;
}

export const keepVotes = (db: Knex, rows: readonly VoteRow[]) =>
  db('poll_votes').insert(rows).onConflict(['poll', 'person', 'moment', 'question']).merge(['answer', 'at']);

export const votesOf = (db: Knex, polls: readonly string[]): Promise<VoteRow[]> =>
  db<VoteRow>('poll_votes').whereIn('poll', polls).orderBy(['poll', 'question', 'person']).select();

/** Groups in sessions of a span, for which a poll can be made. */
export const groupSessions = (db: Knex, school: string, groups: readonly string[], from: Date, until: Date) =>
  db('session_groups')
    .join('sessions', 'sessions.id', 'session_groups.session')
    .join('sites', 'sites.id', 'sessions.site')
    .join('trainee_groups', 'trainee_groups.id', 'session_groups.trainee_group')
    .where('sessions.school', school)
    .whereIn('session_groups.trainee_group', groups)
    .whereBetween('sessions.starts_at', [from, until])
    .orderBy('sessions.starts_at')
    .distinct<{ id: string; group: string; group_name: string; starts_at: Date; zone: string }[]>(
      'sessions.id',
      'session_groups.trainee_group as group',
      'trainee_groups.name as group_name',
      'sessions.starts_at',
      'sites.zone',
    );

export interface SetOutRow {
  readonly id: string;
  readonly school: string;
  readonly trainee_group: string;
  readonly day: string;
  readonly minutes: number;
  readonly stations: readonly SetOutStation[];
  readonly made_by: string;
  readonly made_at: Date;
  readonly withdrawn_at: Date | null;
}
interface SetOutStation {
  readonly topic: TopicId;
  readonly minutes: number;
  readonly how: Text;
  readonly pairs: readonly (readonly string[])[];
}
interface NamedSetOut extends SetOutRow {
  readonly group_name: string;
  readonly by_name: string;
}

/** Keeps a plan once; one for the same group and day gives way to it. */
export const insertSetOut = (db: Knex, row: SetOutRow): Promise<void> =>
  db.transaction(async (trx) => {
    await trx('indoor_plans')
      .where({ school: row.school, trainee_group: row.trainee_group, day: row.day })
      .whereNull('withdrawn_at')
      .whereNot({ id: row.id })
      .update({ withdrawn_at: row.made_at });
    await trx('indoor_plans')
      .insert({ ...row, stations: JSON.stringify(row.stations) })
      .onConflict('id')
      .ignore();
  });

export const setOutById = (db: Knex, school: string, id: string): Promise<SetOutRow | undefined> =>
  db<SetOutRow>('indoor_plans').where({ school, id }).first();

export const withdrawSetOut = (db: Knex, id: string, at: Date) =>
  db('indoor_plans').where({ id }).whereNull('withdrawn_at').update({ withdrawn_at: at });

/** Plans that are set out for groups from a day on, the next one first. */
export const setOutFor = (
  db: Knex,
  school: string,
  groups: readonly string[],
  from: string,
): Promise<readonly NamedSetOut[]> =>
  db('indoor_plans')
    .join('trainee_groups', 'trainee_groups.id', 'indoor_plans.trainee_group')
    .join('people', 'people.id', 'indoor_plans.made_by')
    .where('indoor_plans.school', school)
    .whereIn('indoor_plans.trainee_group', groups)
    .where('indoor_plans.day', '>=', from)
    .whereNull('indoor_plans.withdrawn_at')
    .orderBy([{ column: 'indoor_plans.day' }, { column: 'trainee_groups.name' }])
    .select<NamedSetOut[]>('indoor_plans.*', 'trainee_groups.name as group_name', 'people.name as by_name');

/** Whether a drill that is in use is made from a photo. */
export const shownInDrill = async (db: Knex, school: string, id: string): Promise<object | undefined> =>
  db('photo_drills').where({ school, attachment: id }).whereNull('retired_at').first<object | undefined>('id');
