import type { Knex } from 'knex';
import type { VisitRow } from '../inspection/store';

/** Visits of somebody with a group, and those of them in which they held frames or smoked. */
export interface RolesPlayed {
  readonly visits: number;
  readonly held: number;
  readonly smoked: number;
}

export const NO_ROLES: RolesPlayed = { visits: 0, held: 0, smoked: 0 };

/**
 * Who did what in the visits of some groups: by the rota with which a visit began, and by what was handed over in it.
 *
 * @param db database
 * @param school id of the school
 * @param groups ids of trainee groups
 * @returns by trainee; nobody for visits from before rotas were kept
 */
export async function rolesPlayed(
  db: Knex,
  school: string,
  groups: readonly string[],
): Promise<ReadonlyMap<string, RolesPlayed>> {
  const visits = await db<VisitRow>('visits')
    .where({ school })
    .whereIn('trainee_group', groups)
    .whereNotNull('rota')
    .select('id', 'rota');
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
    const in_ = (role: 'frames' | 'smoke') =>
      new Set([
        ...turns.flatMap(({ roles }) => roles[role]),
        ...own.filter((each) => each.role === role).map(({ person }) => person),
      ]);
    const [frames, smoke] = [in_('frames'), in_('smoke')];
    for (const person of new Set(turns.flatMap(({ roles }) => Object.values(roles).flat()))) {
      const before = found.get(person) ?? NO_ROLES;
      found.set(person, {
        visits: before.visits + 1,
        held: before.held + Number(frames.has(person)),
        smoked: before.smoked + Number(smoke.has(person)),
      });
    }
  }
  return found;
}
