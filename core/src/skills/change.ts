import { say } from './said';
import type { Text } from '../language';
import type { Checklist, Skill } from './skill';
import type { Standing, StandingState, Standings } from './standing';

/** One trainee's standing in one skill before and after a new version of the list, where it differs. */
export interface StandingChange {
  readonly trainee: string;
  readonly skill: string;
  readonly before: Standing;
  readonly after: Standing;
}

const RANK: Readonly<Record<StandingState, number>> = {
  'not-met': 0,
  'in-progress': 1,
  'due-again': 2,
  shown: 3,
  'signed-off': 4,
};

/** Whether a change takes something away. */
export const stepsBack = ({ before, after }: StandingChange): boolean => RANK[after.state] < RANK[before.state];

/**
 * What a new version of a checklist changes for whom: skills that both have, and skills that took the place of others.
 *
 * @param next the new version
 * @param before standings by the version in force
 * @param after standings by the new one
 * @param trainees ids
 * @returns changes of state, those that take something away first
 */
export function standingChanges(
  next: Checklist,
  before: Standings,
  after: Standings,
  trainees: readonly string[],
): readonly StandingChange[] {
  const changes = trainees.flatMap((trainee) =>
    next.skills.map(({ id, from }): StandingChange => {
      const earlier = [id, ...from].map((each) => before(trainee, each));
      const best = earlier.reduce((held, each) => (RANK[each.state] > RANK[held.state] ? each : held));
      return { trainee, skill: id, before: best, after: after(trainee, id) };
    }),
  );
  return changes
    .filter((each) => each.before.state !== each.after.state)
    .sort((a, b) => Number(stepsBack(b)) - Number(stepsBack(a)));
}

/** What somebody wrote into a list that does not hold together, for each skill at most once. */
export function checklistProblem({ skills }: Pick<Checklist, 'skills'>): Text | null {
  if (skills.length === 0) return say('list-empty');
  const ids = new Set<string>();
  for (const { id, name } of skills) {
    if (ids.has(id)) return say('list-same-id', { id });
    ids.add(id);
    if (typeof name === 'string' && name.trim() === '') return say('list-no-name', { id });
  }
  for (const { name, needs } of skills) {
    const unknown = needs.find((need) => !ids.has(need));
    if (unknown !== undefined) return say('list-unknown-need', { name, need: unknown });
  }
  const circle = circleIn(skills);
  return circle && say('list-circle', { names: circle });
}

/** Names of skills that need each other in a circle, `null` when none do. */
function circleIn(skills: readonly Skill[]): readonly Text[] | null {
  const byId = new Map(skills.map((skill) => [skill.id, skill]));
  const done = new Set<string>();
  const walk = (id: string, path: readonly string[]): readonly Text[] | null => {
    const at = path.indexOf(id);
    if (at >= 0) return path.slice(at).map((each) => byId.get(each)!.name);
    if (done.has(id)) return null;
    for (const need of byId.get(id)?.needs ?? []) {
      const found = walk(need, [...path, id]);
      if (found) return found;
    }
    done.add(id);
    return null;
  };
  for (const { id } of skills) {
    const found = walk(id, []);
    if (found) return found;
  }
  return null;
}
