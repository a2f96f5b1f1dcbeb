import type { Text } from '@brave-comb/core/language';
import type { AdviceKind, Verdict } from '@brave-comb/core/care';
import type { Knex } from 'knex';
import type { Actor } from '../../context';

export interface FollowUpRow {
  readonly id: string;
  readonly school: string;
  readonly hive: string;
  readonly visit: string | null;
  readonly decision: string | null;
  /** What somebody wrote, or a sentence of ours. */
  readonly question: Text;
  readonly from_date: string;
  readonly due: string;
  readonly answered_by: string | null;
  /** Season event that it comes from. */
  readonly event?: string | null;
  readonly bring?: Text | null;
  /** Key of the task of a visit; a task stays until somebody settles it. */
  readonly task?: string | null;
  readonly settled_at?: Date | null;
  readonly settled_by?: string | null;
  /** Visit during which it was settled. */
  readonly settled_in?: string | null;
}
export type NumberedFollowUp = FollowUpRow & { readonly hive_number: string };

export interface DecisionRow {
  readonly id: string;
  readonly school: string;
  readonly visit: string;
  readonly advice: AdviceKind;
  readonly verdict: Verdict;
  readonly action: Text;
  readonly reason: string;
  /** Day on which it is done, and the group that does it; `null` where nobody said. */
  readonly on_day: string | null;
  readonly with_group: string | null;
  readonly by_person: string;
  readonly at: Date;
  readonly withdrawn_at: Date | null;
}
export type NamedDecision = DecisionRow & { readonly by_name: string; readonly group_name: string | null };

/** A follow-up as it is kept. */
export const keptFollowUp = (row: FollowUpRow) => ({
  ...row,
  question: JSON.stringify(row.question),
  bring: row.bring ? JSON.stringify(row.bring) : null,
});

export const insertFollowUp = (db: Knex, row: FollowUpRow) => db('follow_ups').insert(keptFollowUp(row));

/** Sent a second time, it is there already. */
export const insertFollowUpOnce = (db: Knex, row: FollowUpRow) =>
  db('follow_ups').insert(keptFollowUp(row)).onConflict('id').ignore();

/** Takes away the tasks of a season event that nobody has answered yet. */
export const withdrawEventTasks = (db: Knex, school: string, event: string) =>
  db<FollowUpRow>('follow_ups').where({ school, event }).whereNull('answered_by').delete();

/** A follow-up with the advice that it came from; `null` where it came from none. */
export type AdvisedFollowUp = FollowUpRow & { readonly about: AdviceKind | null };

/** Open follow-ups of some hives. */
export const openFollowUps = (db: Knex, school: string, hives: readonly string[]): Promise<AdvisedFollowUp[]> =>
  db('follow_ups')
    .leftJoin('decisions', 'decisions.id', 'follow_ups.decision')
    .where('follow_ups.school', school)
    .whereIn('follow_ups.hive', hives)
    .whereNull('answered_by')
    .whereNull('settled_at')
    .orderBy('follow_ups.due')
    .select<AdvisedFollowUp[]>('follow_ups.*', 'decisions.advice as about');

/** Open follow-ups of a school, with the hive's number. */
export const openFollowUpsOf = (db: Knex, school: string): Promise<NumberedFollowUp[]> =>
  db('follow_ups')
    .join('hives', 'hives.id', 'follow_ups.hive')
    .where('follow_ups.school', school)
    .whereNull('answered_by')
    .whereNull('settled_at')
    .select<NumberedFollowUp[]>('follow_ups.*', 'hives.number as hive_number');

/** Follow-ups at one site whose span touches two dates. */
export const followUpsBetween = (
  db: Knex,
  school: string,
  site: string,
  from: string,
  to: string,
): Promise<NumberedFollowUp[]> =>
  db('follow_ups')
    .join('hives', 'hives.id', 'follow_ups.hive')
    .where('follow_ups.school', school)
    .where('hives.site', site)
    .where('follow_ups.due', '>=', from)
    .where('follow_ups.from_date', '<=', to)
    .orderBy('follow_ups.due')
    .select<NumberedFollowUp[]>('follow_ups.*', 'hives.number as hive_number');

export const followUpsOfVisit = (db: Knex, school: string, visit: string): Promise<NumberedFollowUp[]> =>
  db('follow_ups')
    .join('hives', 'hives.id', 'follow_ups.hive')
    .where('follow_ups.school', school)
    .where('follow_ups.visit', visit)
    .orderBy('follow_ups.due')
    .select<NumberedFollowUp[]>('follow_ups.*', 'hives.number as hive_number');

/** Marks the follow-ups that a closed visit answers, or opens them again when the visit is not closed after all. */
export async function answerFollowUps(
  db: Knex,
  visit: { readonly id: string; readonly school: string; readonly hive: string },
  closedOn: string | null,
): Promise<void> {
  await db<FollowUpRow>('follow_ups')
    .where({ school: visit.school, answered_by: visit.id })
    .update({ answered_by: null });
  if (closedOn === null) return;
  await db<FollowUpRow>('follow_ups')
    .where({ school: visit.school, hive: visit.hive })
    .whereNull('answered_by')
    .whereNull('task')
    .where('from_date', '<=', closedOn)
    .where((open) => {
      void open.whereNull('visit').orWhereNot('visit', visit.id);
    })
    .update({ answered_by: visit.id });
}

export const insertDecision = (db: Knex, row: DecisionRow) =>
  db('decisions').insert({ ...row, action: JSON.stringify(row.action) });

const decisions = (db: Knex, school: string) =>
  db('decisions')
    .join('people', 'people.id', 'decisions.by_person')
    .leftJoin('trainee_groups', 'trainee_groups.id', 'decisions.with_group')
    .where('decisions.school', school)
    .select<NamedDecision[]>('decisions.*', 'people.name as by_name', 'trainee_groups.name as group_name');

/** Decisions in force on a visit's advice. */
export const decisionsOf = (db: Knex, school: string, visit: string) =>
  decisions(db, school).where('decisions.visit', visit).whereNull('decisions.withdrawn_at').orderBy('decisions.at');

/** Decisions in force on the advice of some visits, the oldest first. */
export const decisionsOfVisits = (db: Knex, school: string, visits: readonly string[]) =>
  decisions(db, school).whereIn('decisions.visit', visits).whereNull('decisions.withdrawn_at').orderBy('decisions.at');

export async function decisionById(db: Knex, school: string, id: string) {
  const [decision] = await decisions(db, school).where('decisions.id', id);
  return decision;
}

/** Takes a decision back, and with it the follow-ups that nobody has answered and the task that nobody has done yet. */
export async function withdraw(db: Knex, school: string, id: string, at: Date): Promise<void> {
  await db<DecisionRow>('decisions').where({ school, id }).update({ withdrawn_at: at });
  await db<FollowUpRow>('follow_ups')
    .where({ school, decision: id })
    .whereNull('answered_by')
    .whereNull('settled_at')
    .delete();
}

/** What was to be done by an earlier round or decision gives way to what is decided on it now. */
export const withdrawSent = (db: Knex, school: string, hive: string, task: string) =>
  db<FollowUpRow>('follow_ups').where({ school, hive, task }).whereNull('settled_at').delete();

export interface ColonyEventRow {
  readonly id: string;
  readonly school: string;
  readonly colony: string;
  readonly date: string;
  readonly kind: string;
  readonly detail: object;
  readonly by_person: string;
  readonly at: Date;
  readonly withdrawn_at: Date | null;
}

export const insertColonyEvent = (db: Knex, row: ColonyEventRow) =>
  db('colony_events').insert({ ...row, detail: JSON.stringify(row.detail) });
export const colonyEventById = (db: Knex, school: string, id: string): Promise<ColonyEventRow | undefined> =>
  db<ColonyEventRow>('colony_events').where({ school, id }).first();
export const withdrawColonyEvent = (db: Knex, school: string, id: string, at: Date) =>
  db<ColonyEventRow>('colony_events').where({ school, id }).update({ withdrawn_at: at });

/** Events of some colonies that stand, oldest first, with who wrote them. */
export const colonyEvents = (db: Knex, school: string, colonies: readonly string[]) =>
  db('colony_events')
    .join('people', 'people.id', 'colony_events.by_person')
    .where('colony_events.school', school)
    .whereIn('colony_events.colony', colonies)
    .whereNull('colony_events.withdrawn_at')
    .orderBy('colony_events.date')
    .select<(ColonyEventRow & { by_name: string })[]>('colony_events.*', 'people.name as by_name');

interface FeedRow {
  readonly id: string;
  readonly person: string;
  readonly token_hash: string;
  readonly created_at: Date;
  readonly revoked_at: Date | null;
}

export const insertFeed = (db: Knex, row: FeedRow) => db('calendar_feeds').insert(row);
export const feedOf = (db: Knex, person: string): Promise<FeedRow | undefined> =>
  db<FeedRow>('calendar_feeds').where({ person }).whereNull('revoked_at').first();
export const revokeFeeds = (db: Knex, person: string, at: Date) =>
  db<FeedRow>('calendar_feeds').where({ person }).whereNull('revoked_at').update({ revoked_at: at });

/** The person to whom a secret address belongs. */
export const ownerOfFeed = (db: Knex, tokenHash: string): Promise<Actor | undefined> =>
  db('calendar_feeds')
    .join('people', 'people.id', 'calendar_feeds.person')
    .join('schools', 'schools.id', 'people.school')
    .where('calendar_feeds.token_hash', tokenHash)
    .whereNull('calendar_feeds.revoked_at')
    .whereNull('people.erased_at')
    .first<Actor | undefined>('people.id', 'people.name', 'people.role', 'people.school', 'schools.name as schoolName');

/** Follow-ups that visits of a session made. */
export const followUpsOfSession = (db: Knex, school: string, session: string) =>
  db('follow_ups')
    .join('visits', 'visits.id', 'follow_ups.visit')
    .join('hives', 'hives.id', 'follow_ups.hive')
    .where({ 'follow_ups.school': school, 'visits.session': session })
    .orderBy('follow_ups.due')
    .select<{ question: Text; due: string; hive: string; bring: Text | null }[]>(
      'follow_ups.question',
      'follow_ups.due',
      'hives.number as hive',
      'follow_ups.bring',
    );

/** The calendar addresses of somebody end. */
export const forgetFeeds = (db: Knex, person: string) => db('calendar_feeds').where({ person }).delete();
