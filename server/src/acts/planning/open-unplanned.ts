import type { Input, Output, endpoints } from '@brave-comb/contract';
import { DAY } from '@brave-comb/core/units';
import { v7 as uuid } from 'uuid';
import type { Actor, Context } from '../../context';
import { revise } from '../../database/revision-store';
import { dateAt } from '../../dates';
import { notFound } from '../../problem';
import { hivesById, siteById } from '../../records/equipment';
import { staffGroup, traineeGroups } from '../../records/people';
import { groupsOfSessions, insertSession, sessionsBetween } from '../../records/planning';

/** How long a session that nobody planned is taken to last, ms. */
const UNPLANNED = 2 * 3_600_000;

/**
 * A session of now for one hive, led by whoever asks: a colony does not wait for the plan. Sent twice it is made once; a session of today that
 * has the hive already is used instead.
 *
 * @throws Refusal when the hive is not there, stands empty, or the group is not one of the school
 */
export async function openUnplanned(
  { db, clock }: Context,
  actor: Actor,
  body: Input<typeof endpoints.openUnplanned>['body'],
): Promise<Output<typeof endpoints.openUnplanned>> {
  const [hive] = await hivesById(db, actor.school, [body.hive]);
  const site = hive && (await siteById(db, actor.school, hive.site));
  if (!hive || !site) throw notFound('hive');
  const now = clock.now();
  const day = DAY;
  const near = await sessionsBetween(db, actor, new Date(now.getTime() - day), new Date(now.getTime() + day), site.id);
  for (const session of near) {
    if (session.status === 'called-off' || dateAt(site.zone, session.starts_at) !== dateAt(site.zone, now)) continue;
    if (session.id === body.id) return { session: session.id };
    if ((await groupsOfSessions(db, [session.id])).some((each) => each.hive === hive.id))
      return { session: session.id };
  }
  if (body.group && !(await traineeGroups(db, actor.school)).some(({ id }) => id === body.group))
    throw notFound('group');
  await revise(db, actor.school, async (trx) => {
    const group = body.group ?? (await staffGroup(trx, actor.school, uuid())).id;
    await insertSession(
      trx,
      {
        id: body.id,
        school: actor.school,
        site: site.id,
        starts_at: now,
        ends_at: new Date(now.getTime() + UNPLANNED),
        depth: 'full',
        status: 'held',
      },
      [{ trainee_group: group, hive: hive.id, supervisor: actor.id, starts_at: now, reasons: null }],
    );
  });
  return { session: body.id };
}
