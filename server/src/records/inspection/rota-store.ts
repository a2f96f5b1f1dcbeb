import type { Knex } from 'knex';
import type { Actor } from '../../context';
import { type VisitRow, seenBy } from './store';

/** Sessions with visits that somebody may see, the newest first. */
export const visitedSessions = (db: Knex, actor: Actor, most: number) =>
  seenBy(
    db('visits')
      .join('sessions', 'sessions.id', 'visits.session')
      .join('sites', 'sites.id', 'sessions.site')
      .join('trainee_groups', 'trainee_groups.id', 'visits.trainee_group')
      .where('visits.school', actor.school)
      .groupBy('sessions.id', 'sessions.starts_at', 'sites.zone', 'sites.name')
      .orderBy('sessions.starts_at', 'desc')
      .limit(most)
      .select<{ id: string; starts_at: Date; zone: string; site: string; groups: string }[]>(
        'sessions.id',
        'sessions.starts_at',
        'sites.zone',
        'sites.name as site',
        db.raw("group_concat(distinct trainee_groups.name order by trainee_groups.name separator ', ') as `groups`"),
      ),
    db,
    actor,
  );

interface VisitRota {
  readonly id: string;
  readonly rota: NonNullable<VisitRow['rota']>;
}

/** Visits of some groups with the rota that was kept with them, oldest first, all or those before a moment. */
export async function rotasOf(
  db: Knex,
  school: string,
  groups: readonly string[],
  before?: Date,
): Promise<readonly VisitRota[]> {
  const visits = db<VisitRow>('visits').where({ school }).whereIn('trainee_group', groups).whereNotNull('rota');
  if (before) void visits.where('started_at', '<', before);
  return visits.orderBy('started_at').select<VisitRota[]>('id', 'rota');
}

/** Roles that were given to somebody else during some visits. */
export const rolesGivenIn = (db: Knex, visits: readonly string[]) =>
  db('visit_entries')
    .whereIn('visit', visits)
    .where({ kind: 'role-given' })
    .select<{ visit: string; body: { role: string; person: string } }[]>('visit', 'body');

/** Visits in which the mark of the queen of some colonies was seen, oldest first, all or those before a moment. */
export async function visitsThatSawMark(
  db: Knex,
  colonies: readonly string[],
  before: Date | null,
): Promise<readonly { readonly id: string; readonly colony: string }[]> {
  const visits = db('visit_entries')
    .join('visits', 'visits.id', 'visit_entries.visit')
    .whereIn('visits.colony', colonies)
    .where('visit_entries.kind', 'queen-mark-seen')
    .orderBy('visits.started_at')
    .distinct<{ id: string; colony: string }[]>('visits.id', 'visits.colony', 'visits.started_at');
  if (before) void visits.where('visits.started_at', '<', before);
  return visits;
}
