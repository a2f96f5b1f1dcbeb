import { say } from '../../words';
import type { Input, endpoints } from '@brave-comb/contract';
import type { Actor, Context } from '../../context';
import type { Db } from '../../database/db';
import { revise } from '../../database/revision-store';
import { dateAt } from '../../dates';
import { Refusal, notFound } from '../../problem';
import { hivesById, siteById, sitesOf } from '../../records/equipment';
import {
  checklistOf,
  confirmClaim,
  demonstrationById,
  type DemonstrationRow,
  insertCorrection,
  insertDemonstration,
  knownSkills,
  mayJudge,
  turnDown,
} from '../../records/skills';

type Endpoints = typeof endpoints;
type Sent = Pick<
  Input<Endpoints['judgeSkill']>['body'],
  'id' | 'skill' | 'level' | 'at' | 'hive' | 'session' | 'note'
> & { readonly prompt?: string };

/** A device's clock may run ahead this far, ms. */
const AHEAD = 5 * 60_000;

/** What was sent as a row, checked against the school: known skill, own hive, no day to come. */
async function rowOf(
  { db, clock }: Context,
  actor: Actor,
  trainee: string,
  sent: Sent,
  source: 'debrief' | 'claim',
): Promise<DemonstrationRow> {
  if (Date.parse(sent.at) > clock.now().getTime() + AHEAD)
    throw new Refusal(422, 'in-the-future', say('judged-in-the-future', { date: sent.at.slice(0, 10) }));
  if (!(await knownSkills(db, actor.school)).has(sent.skill))
    throw new Refusal(422, 'unknown-skill', say('unknown-skill', { skill: sent.skill }));
  const [hive] = sent.hive ? await hivesById(db, actor.school, [sent.hive]) : [];
  if (sent.hive && !hive) throw notFound('hive');
  const site = hive ? await siteById(db, actor.school, hive.site) : (await sitesOf(db, actor.school))[0];
  const day = dateAt(site?.zone ?? 'utc', sent.at);
  const { version } = await checklistOf(db, actor.school, day);
  return {
    id: sent.id,
    school: actor.school,
    trainee,
    skill: sent.skill,
    level: sent.level,
    at: new Date(sent.at),
    day,
    source,
    hive: sent.hive,
    session: sent.session,
    visit: null,
    judged_by: source === 'claim' ? null : actor.id,
    by_lead: actor.role === 'lead',
    version,
    prompt: sent.prompt ?? '',
    note: sent.note,
    elsewhere: null,
  };
}

/** Keeps a row once; the same id with something else in it is told. */
async function keepOnce(db: Db, row: DemonstrationRow): Promise<{ kept: boolean }> {
  const known = await demonstrationById(db, row.school, row.id);
  if (known && (known.trainee !== row.trainee || known.skill !== row.skill))
    throw new Refusal(409, 'id-in-use', say('id-of-another-judgement'));
  if (known) return { kept: false };
  await revise(db, row.school, (trx) => insertDemonstration(trx, [row]));
  return { kept: true };
}

/** Judges a skill after the visit, in the debrief. */
export async function judgeSkill(
  context: Context,
  actor: Actor,
  trainee: string,
  body: Input<Endpoints['judgeSkill']>['body'],
): Promise<{ kept: boolean }> {
  await mayJudge(context.db, actor, trainee, body.session);
  return keepOnce(context.db, await rowOf(context, actor, trainee, body, 'debrief'));
}

/** A trainee says that a skill was shown; it waits for a supervisor's word. */
export async function claimSkill(
  context: Context,
  actor: Actor,
  body: Input<Endpoints['claimSkill']>['body'],
): Promise<{ kept: boolean }> {
  return keepOnce(context.db, await rowOf(context, actor, actor.id, body, 'claim'));
}

/** A supervisor's word on a claim, or a lead's on what came with a passport. */
export async function settleClaim(
  { db, clock }: Context,
  actor: Actor,
  id: string,
  word: Input<Endpoints['settleClaim']>['body'],
): Promise<{ kept: boolean }> {
  const claim = await demonstrationById(db, actor.school, id);
  if (!claim || (claim.source !== 'claim' && claim.source !== 'passport')) throw notFound('claim');
  await mayJudge(db, actor, claim.trainee, claim.session);
  return revise(db, actor.school, async (trx) => {
    if (!word.confirmed) await turnDown(trx, actor, [claim], word.reason, clock.now());
    const level = word.confirmed ? word.level : claim.level;
    const settled = await confirmClaim(trx, id, { judged_by: actor.id, by_lead: actor.role === 'lead', level });
    if (settled === 0) throw new Refusal(409, 'settled-already', say('settled-already'));
    return { kept: true };
  });
}

/** A later word on a demonstration; the first one stays in the record. */
export async function correctDemonstration(
  { db, clock }: Context,
  actor: Actor,
  id: string,
  { id: correction, level, reason }: Input<Endpoints['correctDemonstration']>['body'],
): Promise<{ kept: boolean }> {
  const row = await demonstrationById(db, actor.school, id);
  if (!row) throw notFound('demonstration');
  await mayJudge(db, actor, row.trainee, row.session);
  await revise(db, actor.school, (trx) =>
    insertCorrection(trx, {
      id: correction,
      school: actor.school,
      demonstration: id,
      level,
      reason,
      by: actor.id,
      at: clock.now(),
    }),
  );
  return { kept: true };
}
