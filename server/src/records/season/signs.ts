import type { Body } from '../../body';
import type { Actor, Context } from '../../context';
import { revise } from '../../database/revision-store';
import { dateAt } from '../../dates';
import { notAhead } from '../../not-ahead';
import { notFound } from '../../problem';
import { hivesById, siteOf } from '../equipment';
import { insertFlowSigns, insertPollen, pollenById, settle } from './store';

export async function tickFlowSigns(
  context: Context,
  actor: Actor,
  siteId: string,
  body: Body<'tickFlowSigns'>,
): Promise<string> {
  const { site } = await siteOf(context, actor.school, siteId);
  notAhead(body.date, dateAt(site.zone, context.clock.now()));
  if (body.hive) {
    const [hive] = await hivesById(context.db, actor.school, [body.hive]);
    if (hive?.site !== site.id) throw notFound('hive-at-this-site');
  }
  await revise(context.db, actor.school, (trx) =>
    insertFlowSigns(
      trx,
      body.signs.map((each) => ({
        ...each,
        school: actor.school,
        site: site.id,
        hive: body.hive,
        date: body.date,
        by_person: actor.id,
        at: context.clock.now(),
      })),
    ),
  );
  return site.id;
}

export async function seePollen(
  context: Context,
  actor: Actor,
  siteId: string,
  body: Body<'seePollen'>,
): Promise<string> {
  const { site } = await siteOf(context, actor.school, siteId);
  notAhead(body.date, dateAt(site.zone, context.clock.now()));
  await revise(context.db, actor.school, (trx) =>
    insertPollen(trx, {
      ...body,
      school: actor.school,
      site: site.id,
      by_person: actor.id,
      at: context.clock.now(),
    }),
  );
  return site.id;
}

export async function settlePollen(
  context: Context,
  actor: Actor,
  id: string,
  { plant }: Body<'settlePollen'>,
): Promise<string> {
  const seen = await pollenById(context.db, actor.school, id);
  if (!seen) throw notFound('pollen-load');
  await revise(context.db, actor.school, (trx) => settle(trx, actor.school, id, plant));
  return seen.site;
}
