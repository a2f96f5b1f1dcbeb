import { say } from '../../words';
import type { SitePlant } from '@brave-comb/core/season';
import { lastOf } from '@brave-comb/core/units';
import { v7 as uuid } from 'uuid';
import type { Body } from '../../body';
import type { Actor, Context } from '../../context';
import { revise } from '../../database/revision-store';
import { dateAt } from '../../dates';
import { notAhead } from '../../not-ahead';
import { Refusal } from '../../problem';
import { changeSite, siteOf, turnOf } from '../equipment';
import { bloomsSeen, deletePlant, plantsOf, upsertBloom, upsertPlant } from './store';

export async function addPlant(
  context: Context,
  site: { readonly id: string; readonly school: string },
  plant: SitePlant,
): Promise<void> {
  await revise(context.db, site.school, (trx) =>
    upsertPlant(trx, { id: uuid(), school: site.school, site: site.id }, plant),
  );
}

export async function keepPlant(
  context: Context,
  actor: Actor,
  siteId: string,
  plant: Body<'keepPlant'>,
): Promise<string> {
  const { site } = await siteOf(context, actor.school, siteId);
  await addPlant(context, site, plant);
  return site.id;
}

export async function dropPlant(
  context: Context,
  actor: Actor,
  siteId: string,
  { plant }: Body<'dropPlant'>,
): Promise<string> {
  const { site } = await siteOf(context, actor.school, siteId);
  await revise(context.db, actor.school, (trx) => deletePlant(trx, actor.school, site.id, plant));
  return site.id;
}

/** First or last bloom of a plant, seen on a day. */
export async function seeBloom(
  context: Context,
  actor: Actor,
  siteId: string,
  body: Body<'seeBloom'>,
): Promise<string> {
  const { site } = await siteOf(context, actor.school, siteId);
  const today = dateAt(site.zone, context.clock.now());
  if (!(await plantsOf(context.db, actor.school, site.id)).some((plant) => plant.id === body.plant))
    throw new Refusal(422, 'not-valid', say('plant-not-listed'));
  if (body.date) notAhead(body.date, today);
  const year = lastOf(turnOf(site), body.date ?? body.year ?? today);
  await noteBloom(context, actor.id, site, { plant: body.plant, year, [body.which]: body.date });
  return site.id;
}

export async function noteBloom(
  { db, clock }: Context,
  by: string | null,
  site: { readonly id: string; readonly school: string },
  seen: {
    readonly plant: string;
    readonly year: string;
    readonly first?: string | null;
    readonly last?: string | null;
  },
): Promise<void> {
  await revise(db, site.school, async (trx) => {
    const before = (await bloomsSeen(trx, site.school, site.id)).find(
      (row) => row.plant === seen.plant && row.year_of_growth === seen.year,
    );
    const first = seen.first === undefined ? (before?.first_seen ?? null) : seen.first;
    const last = seen.last === undefined ? (before?.last_seen ?? null) : seen.last;
    if (first && last && last < first)
      throw new Refusal(422, 'not-valid', say('bloom-ends-before-it-begins', { last, first }));
    await upsertBloom(trx, {
      id: before?.id ?? uuid(),
      school: site.school,
      site: site.id,
      plant: seen.plant,
      year_of_growth: seen.year,
      first_seen: first,
      last_seen: last,
      by_person: by,
      at: clock.now(),
    });
  });
}

export async function setClimate(
  context: Context,
  actor: Actor,
  siteId: string,
  body: Body<'setClimate'>,
): Promise<string> {
  const { site } = await siteOf(context, actor.school, siteId);
  await revise(context.db, actor.school, (trx) =>
    changeSite(trx, actor.school, site.id, { turn: body.turn, degree_days: body.method }),
  );
  return site.id;
}
