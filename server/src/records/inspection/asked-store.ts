import type { Spot } from '@brave-comb/core/inspection';
import type { Knex } from 'knex';
import type { Actor } from '../../context';
import { seenBy } from './store';

export interface QuestionRow {
  readonly id: string;
  readonly school: string;
  readonly visit: string;
  readonly asked_by: string;
  readonly person: string | null;
  readonly asked_at: Date;
  readonly text: string;
  readonly spot: Spot | null;
  readonly photo: string | null;
  readonly sure: number | null;
}

export interface NamedQuestion extends QuestionRow {
  readonly answer: string | null;
  readonly answered_at: Date | null;
  readonly asked_by_name: string;
  readonly person_name: string | null;
  readonly answered_by_name: string | null;
  readonly hive_number: string;
  readonly group_name: string;
  readonly zone: string;
}

/** Brings the questions of a visit up to what its entries tell; answers stay with their question. */
export async function replaceQuestions(db: Knex, visit: string, rows: readonly QuestionRow[]): Promise<void> {
  await db('asked_questions').where({ visit }).update({ withdrawn: true });
  if (rows.length === 0) return;
  await db('asked_questions')
    .insert(rows.map((row) => ({ ...row, spot: row.spot && JSON.stringify(row.spot), withdrawn: false })))
    .onConflict('id')
    .merge(['text', 'spot', 'photo', 'sure', 'person', 'withdrawn']);
}

/** Questions of the visits that somebody may see. */
function seen(db: Knex, actor: Actor) {
  const query = db('asked_questions')
    .join('visits', 'visits.id', 'asked_questions.visit')
    .join('hives', 'hives.id', 'visits.hive')
    .join('sites', 'sites.id', 'hives.site')
    .join('trainee_groups', 'trainee_groups.id', 'visits.trainee_group')
    .join('people as askers', 'askers.id', 'asked_questions.asked_by')
    .leftJoin('people as owners', 'owners.id', 'asked_questions.person')
    .leftJoin('people as answerers', 'answerers.id', 'asked_questions.answered_by')
    .where('asked_questions.school', actor.school)
    .where('asked_questions.withdrawn', false)
    .select<NamedQuestion[]>(
      'asked_questions.*',
      'askers.name as asked_by_name',
      'owners.name as person_name',
      'answerers.name as answered_by_name',
      'hives.number as hive_number',
      'trainee_groups.name as group_name',
      'sites.zone',
    );
  return seenBy(query, db, actor);
}

/** Questions that somebody may see, open ones first, then the newest. */
export const questionsFor = (db: Knex, actor: Actor, count: number) =>
  seen(db, actor).orderByRaw('asked_questions.answer is not null, asked_questions.asked_at desc').limit(count);

export async function questionById(db: Knex, actor: Actor, id: string): Promise<NamedQuestion | undefined> {
  const [question] = await seen(db, actor).where('asked_questions.id', id);
  return question;
}

export const keepAnswer = (db: Knex, id: string, text: string, by: string, at: Date) =>
  db('asked_questions').where({ id }).update({ answer: text, answered_by: by, answered_at: at });

/** Answers given to what was asked at a hive. */
export const answersAt = (db: Knex, school: string, hive: string, count: number) =>
  db('asked_questions')
    .join('visits', 'visits.id', 'asked_questions.visit')
    .where({ 'asked_questions.school': school, 'visits.hive': hive, withdrawn: false })
    .whereNotNull('answer')
    .orderBy('answered_at', 'desc')
    .limit(count)
    .select<{ text: string; answer: string }[]>('asked_questions.text', 'asked_questions.answer');
