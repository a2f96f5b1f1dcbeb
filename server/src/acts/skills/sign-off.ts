import { say } from '../../words';
import type { Input, Output, endpoints } from '@brave-comb/contract';
import { isOpen, standingSaid } from '@brave-comb/core/skills';
import type { Actor, Context } from '../../context';
import { revise } from '../../database/revision-store';
import { schoolStandings } from '../../facts/skills';
import { Refusal, notFound } from '../../problem';
import {
  courseSignOffById,
  courseSignOffOf,
  insertCourseSignOff,
  insertSignOffs,
  signOffById,
  signOffsOf,
  traineeSeenBy,
  updateSignOff,
  withdrawCourseSignOff,
} from '../../records/skills';

type Endpoints = typeof endpoints;

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
