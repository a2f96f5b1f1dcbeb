import { say } from '../../words';
import type { Sayable } from '@brave-comb/core/language';
import type { Input, Output, endpoints } from '@brave-comb/contract';
import { sideKey } from '@brave-comb/core/inspection';
import {
  type DrillSources,
  gradeOf,
  makeDrill,
  markAnswer,
  readShares,
  secondsFor,
  shownInPractice,
} from '@brave-comb/core/practice';
import type { Skill } from '@brave-comb/core/skills';
import { v5 as uuidFrom } from 'uuid';
import type { Actor, Context } from '../../context';
import type { Db } from '../../database/db';
import { revise } from '../../database/revision-store';
import { recordOf } from '../../facts/practice';
import { Refusal, notFound } from '../../problem';
import { dayAtSchool } from '../../records/equipment';
import { visitById } from '../../records/inspection';
import { housePracticeOf } from '../../records/people';
import { insertResult, photoDrillById, recordedAnswers, resultById, type ResultRow } from '../../records/practice';
import { checklistOf, demonstrationsOf, insertDemonstration } from '../../records/skills';

type Sent = Input<(typeof endpoints)['recordPractice']>['body'];

/** A device's clock may run ahead this far, ms. */
const AHEAD = 5 * 60_000;

/** What a drill was made from, read again from the database. */
async function sourcesOf(context: Context, actor: Actor, { recorded, photo }: Sent): Promise<DrillSources> {
  const { limits } = await housePracticeOf(context.db, actor.school);
  if (photo !== null) {
    const drill = await photoDrillById(context.db, actor.school, photo);
    if (!drill) throw notFound('photo-drill');
    return { limits, photo: drill };
  }
  if (recorded === null) return { limits };
  const visit = await visitById(context.db, actor, recorded.visit);
  if (!visit) throw notFound('visit');
  const colony = await recordOf(context, visit);
  if (recorded.address === null) return { limits, colony };
  const key = sideKey(recorded.address);
  const side = colony.sides.find(({ address }) => sideKey(address) === key)?.side;
  if (!side) throw notFound('side');
  return { limits, side };
}

/**
 * Keeps one answer. The drill is made again from its seed and marked here, so that a mark is the same for all; sending it twice keeps it once.
 *
 * @throws Refusal 422 for an answer from the future or to another kind of drill, 404 for a visit or photo that is not to be seen
 */
export async function recordPractice(
  context: Context,
  actor: Actor,
  sent: Sent,
): Promise<Sayable<Output<(typeof endpoints)['recordPractice']>>> {
  const { db, clock } = context;
  if (Date.parse(sent.at) > clock.now().getTime() + AHEAD)
    throw new Refusal(422, 'in-the-future', say('answered-in-the-future'));
  const known = await resultById(db, actor.school, sent.id);
  if (known && (known.person !== actor.id || known.topic !== sent.topic))
    throw new Refusal(409, 'id-in-use', say('id-of-another-answer'));
  if (known)
    return { kept: false, score: known.score, right: Boolean(known.is_right), grade: known.grade, evidence: [] };
  const sources = await sourcesOf(context, actor, sent);
  const drill = makeDrill(sent.topic, sent.level, sent.seed, sources);
  if (sent.answer.kind !== drill.kind && sent.answer.kind !== 'given-up')
    throw new Refusal(422, 'another-drill', say('another-drill', { topic: sent.topic }));
  const { score, right } = markAnswer(drill, sent.answer, sources);
  const grade = gradeOf({ score, right }, sent.seconds, secondsFor(sent.topic, sent.level));
  const row: ResultRow = {
    id: sent.id,
    school: actor.school,
    person: actor.id,
    topic: sent.topic,
    at: new Date(sent.at),
    level: sent.level,
    seed: sent.seed,
    seconds: sent.seconds,
    answer: sent.answer,
    recorded: sent.recorded,
    photo_drill: sent.photo,
    score,
    is_right: right,
    grade,
    read_shares: sent.answer.kind === 'comb' ? readShares(sent.answer.side) : null,
    true_shares: drill.kind === 'comb' && sent.answer.kind === 'comb' ? drill.side.truth : null,
    ground: 'ground' in drill ? drill.ground : null,
  };
  const evidence = await revise(db, actor.school, async (trx) => {
    // Its answer was shown the first time: a second one says nothing of what somebody can do.
    if (sent.recorded && (await answeredBefore(trx, actor, sent.topic, sent.recorded))) return null;
    await insertResult(trx, row);
    return actor.role === 'trainee' ? keepEvidence(trx, row, sent.asTable) : [];
  });
  if (evidence === null) return { kept: false, score, right, grade, evidence: [] };
  return { kept: true, score, right, grade, evidence: evidence.map(({ name }) => name) };
}

/** Whether somebody has answered a recorded side or colony before. */
async function answeredBefore(
  trx: Db,
  actor: Actor,
  topic: ResultRow['topic'],
  recorded: NonNullable<ResultRow['recorded']>,
): Promise<boolean> {
  const before = await recordedAnswers(trx, actor.school, actor.id, topic, recorded.visit);
  const key = (address: typeof recorded.address) => (address ? sideKey(address) : null);
  return before.some((each) => each && key(each.address) === key(recorded.address));
}

/** What a good answer is evidence for: once a day for each skill, however often it was practised. */
async function keepEvidence(trx: Db, row: ResultRow, asTable: boolean): Promise<readonly Skill[]> {
  const day = await dayAtSchool(trx, row.school, row.at);
  const checklist = await checklistOf(trx, row.school, day);
  const shown = shownInPractice({ ...row, right: Boolean(row.is_right), asTable }, checklist);
  if (shown.length === 0) return [];
  const before = (await demonstrationsOf(trx, row.school, [row.person])).filter(
    (each) => each.source === 'practice' && each.day === day,
  );
  const fresh = shown.filter(({ id }) => !before.some(({ skill }) => skill === id));
  if (fresh.length === 0) return [];
  await insertDemonstration(
    trx,
    fresh.map(({ id }) => ({
      id: uuidFrom(id, row.id),
      school: row.school,
      trainee: row.person,
      skill: id,
      level: 'alone',
      at: row.at,
      day,
      source: 'practice',
      hive: null,
      session: null,
      visit: null,
      judged_by: null,
      by_lead: false,
      version: checklist.version,
      prompt: '',
      note: '',
      elsewhere: null,
    })),
  );
  return fresh;
}
