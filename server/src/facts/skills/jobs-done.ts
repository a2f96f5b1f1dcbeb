import { JOBS, type Job } from '@brave-comb/core/inspection';
import type { Db } from '../../database/db';
import { rolesGivenIn, rotasOf } from '../../records/inspection';

/** Visits of somebody with a group, and in how many of them they had each role. */
export interface JobsDone {
  readonly visits: number;
  readonly had: Readonly<Record<Job, number>>;
}

export const NO_JOBS: JobsDone = { visits: 0, had: { smoke: 0, frames: 0, record: 0, clock: 0, watch: 0 } };

/**
 * Who did what in the visits of some groups: by the rota with which a visit began, and by what was handed over in it.
 *
 * @param db database
 * @param school id of the school
 * @param groups ids of trainee groups
 * @param before visits that began before this moment; all when it is not said
 * @returns by trainee; nobody for visits from before rotas were kept
 */
export async function jobsDone(
  db: Db,
  school: string,
  groups: readonly string[],
  before?: Date,
): Promise<ReadonlyMap<string, JobsDone>> {
  const visits = await rotasOf(db, school, groups, before);
  const given = await rolesGivenIn(
    db,
    visits.map(({ id }) => id),
  );
  const found = new Map<string, JobsDone>();
  for (const { id, rota } of visits) {
    const own = given.filter((each) => each.visit === id).map(({ body }) => body);
    const had = JOBS.map((role) => ({
      role,
      people: new Set([
        ...rota.flatMap(({ roles }) => roles[role]),
        ...own.filter((each) => each.role === role).map(({ person }) => person),
      ]),
    }));
    for (const person of new Set(had.flatMap(({ people }) => [...people]))) {
      const before = found.get(person) ?? NO_JOBS;
      const counts = had.map(({ role, people }) => [role, before.had[role] + Number(people.has(person))] as const);
      found.set(person, { visits: before.visits + 1, had: Object.fromEntries(counts) as JobsDone['had'] });
    }
  }
  return found;
}
