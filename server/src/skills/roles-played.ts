import { ROLES, type Role } from '@brave-comb/core/inspection';
import type { Knex } from 'knex';
import type { VisitRow } from '../inspection/store';

/** Visits of somebody with a group, and in how many of them they had each role. */
export interface RolesPlayed {
  readonly visits: number;
  readonly had: Readonly<Record<Role, number>>;
}

export const NO_ROLES: RolesPlayed = { visits: 0, had: { smoke: 0, frames: 0, record: 0, clock: 0, watch: 0 } };

/**
 * Who did what in the visits of some groups: by the rota with which a visit began, and by what was handed over in it.
 *
 * @param db database
 * @param school id of the school
 * @param groups ids of trainee groups
 * @param before visits that began before this moment; all when it is not said
 * @returns by trainee; nobody for visits from before rotas were kept
 */
export async function rolesPlayed(
  db: Knex,
  school: string,
  groups: readonly string[],
  before?: Date,
): Promise<ReadonlyMap<string, RolesPlayed>> {
  const visits = await db<VisitRow>('visits')
    .where({ school })
    .whereIn('trainee_group', groups)
    .whereNotNull('rota')
    .modify((query) => {
      if (before) void query.where('started_at', '<', before);
    })
    .select<Pick<VisitRow, 'id' | 'rota'>[]>('id', 'rota');
  const given = await db('visit_entries')
    .whereIn(
      'visit',
      visits.map(({ id }) => id),
    )
    .whereRaw("json_value(body, '$.kind') = 'role given'")
    .select<{ visit: string; body: { role: string; person: string } }[]>('visit', 'body');
  const found = new Map<string, RolesPlayed>();
  for (const { id, rota } of visits) {
    const own = given.filter((each) => each.visit === id).map(({ body }) => body);
    const turns = rota ?? [];
    const had = ROLES.map((role) => ({
      role,
      people: new Set([
        ...turns.flatMap(({ roles }) => roles[role]),
        ...own.filter((each) => each.role === role).map(({ person }) => person),
      ]),
    }));
    for (const person of new Set(had.flatMap(({ people }) => [...people]))) {
      const before = found.get(person) ?? NO_ROLES;
      const counts = had.map(({ role, people }) => [role, before.had[role] + Number(people.has(person))] as const);
      found.set(person, { visits: before.visits + 1, had: Object.fromEntries(counts) as RolesPlayed['had'] });
    }
  }
  return found;
}
