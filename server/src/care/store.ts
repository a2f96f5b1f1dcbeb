import type { AdviceKind } from '@brave-comb/core/care';
import type { Knex } from 'knex';

export interface FollowUpRow {
  readonly id: string;
  readonly school: string;
  readonly hive: string;
  readonly visit: string | null;
  readonly decision: string | null;
  readonly question: string;
  readonly from_date: string;
  readonly due: string;
  readonly answered_by: string | null;
}
export type NumberedFollowUp = FollowUpRow & { readonly hive_number: string };

export interface DecisionRow {
  readonly id: string;
  readonly school: string;
  readonly visit: string;
  readonly advice: AdviceKind;
  readonly verdict: 'accepted' | 'otherwise' | 'declined';
  readonly action: string;
  readonly reason: string;
  readonly by_person: string;
  readonly at: Date;
  readonly withdrawn_at: Date | null;
}

export const insertFollowUp = (db: Knex, row: FollowUpRow) => db('follow_ups').insert(row);

/** Open follow-ups of some hives. */
export const openFollowUps = (db: Knex, school: string, hives: readonly string[]): Promise<FollowUpRow[]> =>
  db<FollowUpRow>('follow_ups')
    .where({ school })
    .whereIn('hive', hives)
    .whereNull('answered_by')
    .orderBy('due')
    .select();

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
    .where('from_date', '<=', closedOn)
    .where((open) => {
      void open.whereNull('visit').orWhereNot('visit', visit.id);
    })
    .update({ answered_by: visit.id });
}

export const insertDecision = (db: Knex, row: DecisionRow) => db('decisions').insert(row);

const decisions = (db: Knex, school: string) =>
  db('decisions')
    .join('people', 'people.id', 'decisions.by_person')
    .where('decisions.school', school)
    .select<(DecisionRow & { by_name: string })[]>('decisions.*', 'people.name as by_name');

/** Decisions in force on a visit's advice. */
export const decisionsOf = (db: Knex, school: string, visit: string) =>
  decisions(db, school).where('decisions.visit', visit).whereNull('decisions.withdrawn_at').orderBy('decisions.at');

export async function decisionById(db: Knex, school: string, id: string) {
  const [decision] = await decisions(db, school).where('decisions.id', id);
  return decision;
}

/** Takes a decision back, and with it the follow-up that nobody has answered yet. */
export async function withdraw(db: Knex, school: string, id: string, at: Date): Promise<void> {
  await db<DecisionRow>('decisions').where({ school, id }).update({ withdrawn_at: at });
  await db<FollowUpRow>('follow_ups').where({ school, decision: id }).whereNull('answered_by').delete();
}
