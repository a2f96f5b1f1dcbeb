import type { Visit } from '@brave-comb/contract';
import type { Actor } from '../../context';
import type { Db } from '../../database/db';
import { iso } from '../../dates';
import { notFound } from '../../problem';
import { type NamedVisit, visitById } from './store';

export const shownVisit = (visit: NamedVisit): Visit => ({
  id: visit.id,
  hive: visit.hive,
  hiveNumber: visit.hive_number,
  site: visit.site_name,
  siteId: visit.site,
  zone: visit.zone,
  stand: visit.stand,
  session: visit.session,
  group: { id: visit.trainee_group, name: visit.group_name },
  supervisor: { id: visit.supervisor, name: visit.supervisor_name },
  startedAt: iso(visit.started_at),
  closedAt: visit.closed_at ? iso(visit.closed_at) : null,
  questions: visit.questions,
});

export async function openVisit(db: Db, actor: Actor, id: string): Promise<NamedVisit> {
  const visit = await visitById(db, actor, id);
  if (!visit) throw notFound('visit');
  return visit;
}
