import type { Output, endpoints } from '@brave-comb/contract';
import type { Sayable } from '@brave-comb/core/language';
import { SKILL_LEVELS } from '@brave-comb/core/inspection';
import type { Checklist, Standings } from '@brave-comb/core/skills';
import { addDays } from '@brave-comb/core/units';
import type { Actor, Context } from '../../context';
import type { Db } from '../../database/db';
import { iso } from '../../dates';
import { schoolPhases } from '../../facts/season';
import { schoolStandings } from '../../facts/skills';
import { learnersOf, peopleOf, housePracticeOf } from '../../records/people';
import { termsOf } from '../../records/planning';
import { checklistsOf, waitingIn } from '../../records/skills';
import { say } from '../../words';

type Endpoints = typeof endpoints;

/** The list in force with its history; the draft is for leads. */
export async function checklist(context: Context, actor: Actor): Promise<Sayable<Output<Endpoints['checklist']>>> {
  const { db } = context;
  const trainees = await learnersOf(db, actor.school);
  const [{ draft, versions }, { forgetting }, skills, { phases }] = await Promise.all([
    checklistsOf(db, actor.school),
    housePracticeOf(db, actor.school),
    schoolStandings(context, actor.school, trainees),
    schoolPhases(context, actor.school),
  ]);
  const makers = [...versions, ...(draft ? [draft] : [])].flatMap(({ made_by }) => made_by ?? []);
  const names = new Map((await peopleOf(db, actor.school, makers)).map(({ id, name }) => [id, name]));
  const inForce = skills.checklist;
  const waiting = waitingIn(versions, skills.today);
  const listed = versions.map((row) => ({
    version: row.version!,
    skills: row.skills.length,
    by: row.made_by ? (names.get(row.made_by) ?? null) : null,
    from: row.made_by ? iso(row.made_at) : null,
    note: row.made_by ? row.note : say('list-to-begin-with'),
  }));
  const first = { version: 1, skills: inForce.skills.length, by: null, from: null, note: say('list-to-begin-with') };
  return {
    inForce,
    draft:
      draft && actor.role === 'lead'
        ? { skills: draft.skills, by: names.get(draft.made_by ?? '') ?? '', at: iso(draft.made_at) }
        : null,
    versions: listed.length > 0 ? listed : [first],
    today: skills.today,
    phases,
    waiting: waiting ? { version: waiting.version!, starts: waiting.starts! } : null,
    nextCourse: await nextCourseOf(db, actor.school, skills.today),
    forgetting,
    levels: actor.role === 'trainee' ? {} : levelsBySkill(inForce, skills.standing, trainees),
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

/** Day after the last course that is running ends; `null` when none has an end. */
async function nextCourseOf(db: Db, school: string, today: string): Promise<string | null> {
  const ends = (await termsOf(db, school)).flatMap(({ terms }) =>
    terms.kind === 'group' && terms.until !== null && terms.until >= today ? [terms.until] : [],
  );
  const last = ends.sort().at(-1);
  return last === undefined ? null : addDays(last, 1);
}
