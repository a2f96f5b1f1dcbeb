import type { Input, Output, endpoints } from '@brave-comb/contract';
import { SKILL_LEVELS } from '@brave-comb/core/inspection';
import {
  type Checklist,
  checklistProblem,
  isOpen,
  type Skill,
  skillOf,
  type Standings,
  standingChanges,
  standingText,
  stepsBack,
} from '@brave-comb/core/skills';
import { v7 as uuid } from 'uuid';
import type { Actor, Context } from '../context';
import { iso } from '../dates';
import { learnersOf, peopleOf, practiceOf } from '../people/store';
import { Refusal } from '../problem';
import { checklistsOf, dropDraft, insertChecklist, keepDraft, lockSchool } from './checklist-store';
import { countsBySkill, insertSignOffs } from './evidence-store';
import { schoolStandings } from './standings';

type Endpoints = typeof endpoints;

/** The list in force with its history; the draft is for leads. */
export async function checklist(context: Context, actor: Actor): Promise<Output<Endpoints['checklist']>> {
  const { db } = context;
  const trainees = await learnersOf(db, actor.school);
  const [{ draft, versions }, { forgetting }, skills] = await Promise.all([
    checklistsOf(db, actor.school),
    practiceOf(db, actor.school),
    schoolStandings(context, actor.school, trainees),
  ]);
  const makers = [...versions, ...(draft ? [draft] : [])].flatMap(({ made_by }) => made_by ?? []);
  const names = new Map((await peopleOf(db, actor.school, makers)).map(({ id, name }) => [id, name]));
  const inForce = skills.checklist;
  const listed = versions.map((row) => ({
    version: row.version!,
    skills: row.skills.length,
    by: row.made_by ? (names.get(row.made_by) ?? null) : null,
    from: row.made_by ? iso(row.made_at) : null,
    note: row.note,
  }));
  const first = { version: 1, skills: inForce.skills.length, by: null, from: null, note: 'The list to begin with.' };
  return {
    inForce,
    draft:
      draft && actor.role === 'lead'
        ? { skills: draft.skills, by: names.get(draft.made_by ?? '') ?? '', at: iso(draft.made_at) }
        : null,
    versions: listed.length > 0 ? listed : [first],
    forgetting,
    levels: levelsBySkill(inForce, skills.standing, trainees),
  };
}

function levelsBySkill(
  { skills }: Checklist,
  standing: Standings,
  trainees: readonly string[],
): Output<Endpoints['checklist']>['levels'] {
  return Object.fromEntries(
    skills.map(({ id }) => {
      const reached = trainees.map((trainee) => standing(trainee, id).level);
      const counts = SKILL_LEVELS.map((level) => [level, reached.filter((each) => each === level).length] as const);
      return [id, Object.fromEntries(counts)];
    }),
  );
}

export async function draftChecklist(
  { db, clock }: Context,
  actor: Actor,
  skills: readonly Skill[],
): Promise<Output<Endpoints['draftChecklist']>> {
  await db.transaction(async (trx) => {
    await lockSchool(trx, actor.school);
    await keepDraft(trx, { school: actor.school, skills, note: '', made_by: actor.id, made_at: clock.now() });
  });
  return { problem: checklistProblem({ skills }) };
}

export const discardDraft = async ({ db }: Context, actor: Actor): Promise<{ discarded: boolean }> => ({
  discarded: (await dropDraft(db, actor.school)) > 0,
});

/** Whom a draft would touch. */
export async function previewChecklist(
  context: Context,
  actor: Actor,
  skills: readonly Skill[],
): Promise<Output<Endpoints['previewChecklist']>> {
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
      says: standingText(change.after, skillOf(next, change.skill)!.rule),
    })),
    dropped: now.checklist.skills
      .filter(({ id }) => !goesOn.has(id))
      .map(({ id, name }) => ({ id, name, demonstrations: counts.get(id) ?? 0 })),
    added: skills.filter(({ id, from }) => from.length === 0 && !skillOf(now.checklist, id)).map(({ name }) => name),
    asked: { before: stillAsked(now.checklist, now.standing, trainees), after: stillAsked(next, after, trainees) },
  };
}

/** Demonstrations that the rules still ask for, of all trainees together. */
function stillAsked({ skills }: Checklist, standing: Standings, trainees: readonly string[]): number {
  const left = (trainee: string, { id, rule }: Skill) => {
    const where = standing(trainee, id);
    if (!isOpen(where)) return 0;
    const times = where.missing.find(({ what }) => what === 'times');
    if (times && 'need' in times) return times.need - times.have;
    return where.state === 'not met' ? rule.times : 1;
  };
  return trainees.reduce((sum, trainee) => sum + skills.reduce((own, skill) => own + left(trainee, skill), 0), 0);
}

/** Puts a list in force as the next version. */
export async function enforceChecklist(
  { db, clock }: Context,
  actor: Actor,
  { skills, after, standings, note }: Input<Endpoints['enforceChecklist']>['body'],
): Promise<Output<Endpoints['enforceChecklist']>> {
  const problem = checklistProblem({ skills });
  if (problem) throw new Refusal(422, 'list does not hold together', problem);
  return db.transaction(async (trx) => {
    await lockSchool(trx, actor.school);
    const trainees = await learnersOf(trx, actor.school);
    const now = await schoolStandings({ db: trx, clock }, actor.school, trainees);
    const { version } = now.checklist;
    if (version !== after)
      throw new Refusal(
        409,
        'another version',
        `Version ${version} has come into force since this draft was begun. Look at what differs, then put it in force again.`,
      );
    const { versions } = await checklistsOf(trx, actor.school);
    const row = { school: actor.school, made_by: actor.id, made_at: clock.now() };
    // The list that the school began with becomes a version of its own, so that what was judged by it stays readable.
    if (versions.length === 0)
      await insertChecklist(trx, {
        ...row,
        version: 1,
        skills: now.checklist.skills,
        note: 'The list to begin with.',
        made_by: null,
      });
    const next = { version: version + 1, skills };
    await insertChecklist(trx, { ...row, ...next, note });
    await dropDraft(trx, actor.school);
    const carried = standings === 'judged again' ? [] : held(next, now.standing, trainees);
    if (carried.length > 0)
      await insertSignOffs(
        trx,
        carried.map(({ trainee, skill, day }) => ({
          id: uuid(),
          school: actor.school,
          trainee,
          skill,
          kind: 'carried',
          version: next.version,
          day,
          note: '',
          by: actor.id,
          at: clock.now(),
        })),
      );
    return { version: next.version, carried: carried.length };
  });
}

/** What is held by the version before, under the id that it goes on as, from the day on which it was last shown. */
const held = ({ skills }: Checklist, before: Standings, trainees: readonly string[]) =>
  trainees.flatMap((trainee) =>
    skills.flatMap(({ id, from }) => {
      const standing = [id, ...from].map((each) => before(trainee, each)).find((each) => !isOpen(each));
      return standing?.last ? [{ trainee, skill: id, day: standing.last }] : [];
    }),
  );
