import type { AskedQuestion, Output, endpoints } from '@brave-comb/contract';
import type { VisitRecord } from '@brave-comb/core/inspection';
import type { Actor, Context } from '../../context';
import { revise } from '../../database/revision-store';
import { iso } from '../../dates';
import { notFound } from '../../problem';
import { type NamedQuestion, keepAnswer, questionById, questionsFor, replaceQuestions } from './asked-store';
import type { NamedVisit } from './store';

const MOST = 200;

const shown = (row: NamedQuestion): AskedQuestion => ({
  id: row.id,
  visit: row.visit,
  hiveNumber: row.hive_number,
  group: row.group_name,
  text: row.text,
  askedBy: row.asked_by_name,
  person: row.person_name,
  askedAt: iso(row.asked_at),
  zone: row.zone,
  spot: row.spot,
  photo: row.photo,
  sure: row.sure,
  answer:
    row.answer === null
      ? null
      : { text: row.answer, by: row.answered_by_name ?? '', at: iso(row.answered_at ?? row.asked_at) },
});

export async function askedQuestions(
  context: Context,
  actor: Actor,
): Promise<Output<(typeof endpoints)['askedQuestions']>> {
  return { questions: (await questionsFor(context.db, actor, MOST)).map(shown) };
}

export async function answerQuestion(context: Context, actor: Actor, id: string, text: string): Promise<AskedQuestion> {
  const { db, clock } = context;
  if (!(await questionById(db, actor, id))) throw notFound('question');
  await revise(db, actor.school, (trx) => keepAnswer(trx, id, text, actor.id, clock.now()));
  return shown((await questionById(db, actor, id))!);
}

/** Brings the questions of a visit up to its entries. */
export const projectQuestions = ({ db: trx }: Context, visit: NamedVisit, { questions }: VisitRecord): Promise<void> =>
  replaceQuestions(
    trx,
    visit.id,
    questions.map(({ id, at, by, text, person, spot, photo, sure }) => ({
      id,
      school: visit.school,
      visit: visit.id,
      asked_by: by,
      person,
      asked_at: new Date(at),
      text,
      spot,
      photo,
      sure,
    })),
  );
