import { say } from '../../words';
import type { Input, Output, endpoints } from '@brave-comb/contract';
import { isOpen, standingSaid } from '@brave-comb/core/skills';
import type { Actor, Context } from '../../context';
import type { Db } from '../../database/db';
import { revise } from '../../database/revision-store';
import { dateAt } from '../../dates';
import { schoolStandings } from '../../facts/skills';
import { Refusal, notFound } from '../../problem';
import { hivesById, siteById, sitesOf } from '../../records/equipment';
import {
  checklistOf,
  confirmClaim,
  courseSignOffById,
  courseSignOffOf,
  demonstrationById,
  type DemonstrationRow,
  insertCorrection,
  insertCourseSignOff,
  insertDemonstration,
  insertSignOffs,
  knownSkills,
  mayJudge,
  signOffById,
  signOffsOf,
  traineeSeenBy,
  turnDown,
  updateSignOff,
  withdrawCourseSignOff,
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

/** Signs skills; one whose rule is not met needs a word why. */
export async function signOffSkills(
  context: Context,
  actor: Actor,
  trainee: string,
  { skills, note }: Input<Endpoints['signOffSkills']>['body'],
): Promise<Output<Endpoints['signOffSkills']>> {
  const { db, clock } = context;
  await traineeSeenBy(db, actor, trainee);
  return revise(db, actor.school, async (trx) => {
    const { checklist, standing, today } = await schoolStandings({ db: trx, clock }, actor.school, [trainee]);
    const listed = new Map(checklist.skills.map((skill) => [skill.id, skill]));
    const byException = new Set<string>();
    for (const { skill: id } of skills) {
      const skill = listed.get(id);
      if (!skill) throw new Refusal(422, 'unknown-skill', say('skill-not-in-force', { id }));
      const where = standing(trainee, id);
      if (isOpen(where)) byException.add(id);
      if (isOpen(where) && note === '')
        throw new Refusal(
          422,
          'rule-not-met',
          say('rule-not-met', { skill: skill.name, standing: standingSaid(where, skill.rule) }),
        );
    }
    await insertSignOffs(
      trx,
      skills.map(({ id, skill }) => ({
        id,
        school: actor.school,
        trainee,
        skill,
        kind: 'signed',
        by_exception: byException.has(skill),
        version: checklist.version,
        day: today,
        note,
        by: actor.id,
        at: clock.now(),
      })),
    );
    return { signed: skills.length };
  });
}

export async function withdrawSignOff(
  { db, clock }: Context,
  actor: Actor,
  id: string,
  reason: string,
): Promise<{ kept: boolean }> {
  const row = await signOffById(db, actor.school, id);
  if (!row) throw notFound('signature');
  if (row.withdrawn_at) return { kept: false };
  await revise(db, actor.school, (trx) =>
    updateSignOff(trx, id, { withdrawn_at: clock.now(), withdrawn_by: actor.id, withdrawn_why: reason }),
  );
  return { kept: true };
}

/** Takes several signatures of a trainee back as one; those that were taken back before stay so. */
export async function withdrawSignOffs(
  { db, clock }: Context,
  actor: Actor,
  trainee: string,
  { signOffs, reason }: Input<Endpoints['withdrawSignOffs']>['body'],
): Promise<Output<Endpoints['withdrawSignOffs']>> {
  await traineeSeenBy(db, actor, trainee);
  return revise(db, actor.school, async (trx) => {
    const own = (await signOffsOf(trx, actor.school, [trainee])).filter(({ id }) => signOffs.includes(id));
    if (own.length < signOffs.length) throw notFound('signature');
    const standing = own.filter(({ withdrawn_at }) => withdrawn_at === null);
    for (const { id } of standing)
      await updateSignOff(trx, id, { withdrawn_at: clock.now(), withdrawn_by: actor.id, withdrawn_why: reason });
    return { withdrawn: standing.length };
  });
}

/** Signs the whole course, once every skill of the list stands. Sent twice, or signed by two, it is signed once. */
export async function signOffCourse(
  context: Context,
  actor: Actor,
  trainee: string,
  { id, note }: Input<Endpoints['signOffCourse']>['body'],
): Promise<{ kept: boolean }> {
  const { db, clock } = context;
  await traineeSeenBy(db, actor, trainee);
  return revise(db, actor.school, async (trx) => {
    if (await courseSignOffOf(trx, actor.school, trainee)) return { kept: false };
    const { checklist, standing, today } = await schoolStandings({ db: trx, clock }, actor.school, [trainee]);
    const open = checklist.skills.filter((skill) => isOpen(standing(trainee, skill.id)));
    if (open.length > 0)
      throw new Refusal(
        422,
        'skills-open',
        say('skills-open', { count: open.length, first: open.slice(0, 3).map(({ name }) => name) }),
      );
    const exceptions = checklist.skills.filter((skill) => standing(trainee, skill.id).signature === 'by-exception');
    await insertCourseSignOff(trx, {
      id,
      school: actor.school,
      trainee,
      day: today,
      version: checklist.version,
      skills: checklist.skills.length,
      exceptions: exceptions.length,
      note,
      by: actor.id,
      at: clock.now(),
    });
    return { kept: true };
  });
}

export async function withdrawCourse(
  { db, clock }: Context,
  actor: Actor,
  id: string,
  reason: string,
): Promise<{ kept: boolean }> {
  if (!(await courseSignOffById(db, actor.school, id))) throw notFound('signature');
  const change = { withdrawn_at: clock.now(), withdrawn_by: actor.id, withdrawn_why: reason };
  const withdrawn = await revise(db, actor.school, (trx) => withdrawCourseSignOff(trx, actor.school, id, change));
  return { kept: withdrawn > 0 };
}
