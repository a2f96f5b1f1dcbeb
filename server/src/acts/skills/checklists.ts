import { say } from '../../words';
import type { Sayable } from '@brave-comb/core/language';
import type { Input, Output, endpoints } from '@brave-comb/contract';
import {
  type Checklist,
  checklistProblem,
  isOpen,
  type Skill,
  skillOf,
  type Standings,
  standingChanges,
  standingSaid,
  stepsBack,
} from '@brave-comb/core/skills';
import type { Actor, Context } from '../../context';
import { revise } from '../../database/revision-store';
import { carryOver, schoolStandings } from '../../facts/skills';
import { Refusal } from '../../problem';
import { dayAtSchool } from '../../records/equipment';
import { learnersOf, peopleOf, lockSchool } from '../../records/people';
import {
  backToDraft,
  checklistsOf,
  countsBySkill,
  dropDraft,
  insertChecklist,
  keepDraft,
  waitingIn,
} from '../../records/skills';

type Endpoints = typeof endpoints;

const sum = (numbers: readonly number[]): number => numbers.reduce((total, each) => total + each, 0);

export async function draftChecklist(
  { db, clock }: Context,
  actor: Actor,
  skills: readonly Skill[],
): Promise<Sayable<Output<Endpoints['draftChecklist']>>> {
  await revise(db, actor.school, async (trx) => {
    await lockSchool(trx, actor.school);
    await keepDraft(trx, { school: actor.school, skills, made_by: actor.id, made_at: clock.now() });
  });
  return { problem: checklistProblem({ skills }) };
}

export const discardDraft = async ({ db }: Context, actor: Actor): Promise<{ discarded: boolean }> => ({
  discarded: (await revise(db, actor.school, (trx) => dropDraft(trx, actor.school))) > 0,
});

/** Whom a draft would touch. */
export async function previewChecklist(
  context: Context,
  actor: Actor,
  skills: readonly Skill[],
): Promise<Sayable<Output<Endpoints['previewChecklist']>>> {
  const { db } = context;
  const trainees = await learnersOf(db, actor.school);
  const [people, counts, now] = await Promise.all([
    peopleOf(db, actor.school, trainees),
    countsBySkill(db, actor.school),
    schoolStandings(context, actor.school, trainees),
  ]);
  const names = new Map(people.map(({ id, name }) => [id, name]));
  const next: Checklist = { version: now.checklist.version + 1, skills };
  const after = now.by(next);
  const askedBy = (list: Checklist, standing: Standings) =>
    new Map(list.skills.map((skill) => [skill.id, stillAsked(skill, standing, trainees)]));
  const [before, left] = [askedBy(now.checklist, now.standing), askedBy(next, after)];
  const goesOn = new Set(skills.flatMap(({ id, from }) => [id, ...from]));
  return {
    problem: checklistProblem(next),
    trainees: trainees.length,
    changes: standingChanges(next, now.standing, after, trainees).map((change) => ({
      trainee: { id: change.trainee, name: names.get(change.trainee) ?? '' },
      skill: change.skill,
      before: change.before,
      after: change.after,
      stepsBack: stepsBack(change),
      says: standingSaid(change.after, skillOf(next, change.skill)!.rule),
    })),
    dropped: now.checklist.skills
      .filter(({ id }) => !goesOn.has(id))
      .map(({ id, name }) => ({ id, name, demonstrations: counts.get(id) ?? 0 })),
    added: skills.filter(({ id, from }) => from.length === 0 && !skillOf(now.checklist, id)).map(({ name }) => name),
    asked: {
      before: sum([...before.values()]),
      after: sum([...left.values()]),
    },
    stillAsked: skills.map(({ id, from }) => ({
      skill: id,
      before: sum([id, ...from].map((each) => before.get(each) ?? 0)),
      after: left.get(id) ?? 0,
    })),
  };
}

/** Demonstrations that a rule still asks for, of all trainees together. */
const stillAsked = ({ id, rule }: Skill, standing: Standings, trainees: readonly string[]): number =>
  trainees.reduce((sum, trainee) => {
    const where = standing(trainee, id);
    if (!isOpen(where)) return sum;
    const times = where.missing.find(({ what }) => what === 'times');
    if (times && 'need' in times) return sum + times.need - times.have;
    return sum + (where.state === 'not-met' ? rule.times : 1);
  }, 0);

/** Puts a list in force as the next version: at once, or for a day to come. */
export async function enforceChecklist(
  { db, clock }: Context,
  actor: Actor,
  { skills, after, standings, from, note }: Input<Endpoints['enforceChecklist']>['body'],
): Promise<Output<Endpoints['enforceChecklist']>> {
  const problem = checklistProblem({ skills });
  if (problem) throw new Refusal(422, 'list-does-not-hold-together', problem);
  return revise(db, actor.school, async (trx) => {
    await lockSchool(trx, actor.school);
    const trainees = await learnersOf(trx, actor.school);
    const now = await schoolStandings({ db: trx, clock }, actor.school, trainees);
    const { version } = now.checklist;
    if (version !== after) throw new Refusal(409, 'another-version', say('another-version', { version }));
    const { versions } = await checklistsOf(trx, actor.school);
    const waiting = waitingIn(versions, now.today);
    if (waiting)
      throw new Refusal(
        409,
        'another-list-waits',
        say('another-list-waits', { version: waiting.version!, starts: waiting.starts! }),
      );
    const waits = standings === 'from-the-next-course';
    if (waits && (from === null || from <= now.today)) throw new Refusal(422, 'no-day-to-come', say('no-day-to-come'));
    // The list that the school began with becomes a version of its own, so that what was judged by it stays readable.
    if (versions.length === 0)
      await insertChecklist(trx, {
        school: actor.school,
        version: 1,
        skills: now.checklist.skills,
        note: '',
        made_by: null,
        made_at: clock.now(),
        starts: null,
        to_carry: false,
      });
    const next = {
      school: actor.school,
      version: version + 1,
      skills,
      note,
      made_by: actor.id,
      made_at: clock.now(),
      starts: waits ? from : now.today,
      to_carry: waits,
    };
    await insertChecklist(trx, next);
    await dropDraft(trx, actor.school);
    const carried = standings === 'carried-over' ? await carryOver(trx, next, now.standing, trainees, clock.now()) : 0;
    return { version: next.version, starts: next.starts!, carried };
  });
}

/** Makes the list that waits for its day the draft again. */
export async function takeBackChecklist(
  { db, clock }: Context,
  actor: Actor,
): Promise<Output<Endpoints['takeBackChecklist']>> {
  return revise(db, actor.school, async (trx) => {
    await lockSchool(trx, actor.school);
    const { draft, versions } = await checklistsOf(trx, actor.school);
    const waiting = waitingIn(versions, await dayAtSchool(trx, actor.school, clock.now()));
    if (!waiting) return { version: null };
    if (draft) throw new Refusal(409, 'a-draft-is-there', say('a-draft-is-there'));
    await backToDraft(trx, waiting.id);
    return { version: waiting.version };
  });
}
