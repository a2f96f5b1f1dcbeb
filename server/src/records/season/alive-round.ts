import type { Output, endpoints } from '@brave-comb/contract';
import type { Sayable } from '@brave-comb/core/language';
import { survivalBySetUp, survivalOf } from '@brave-comb/core/season';
import { lastOf } from '@brave-comb/core/units';
import { v7 as uuid } from 'uuid';
import type { Body } from '../../body';
import type { Actor, Context } from '../../context';
import { revise } from '../../database/revision-store';
import { dateAt } from '../../dates';
import { notAhead } from '../../not-ahead';
import { notFound } from '../../problem';
import { hivesById, hivesOf, setUpOf, siteNames, siteOf, turnOf } from '../equipment';
import { aliveTaps, deleteAlive, upsertAlive } from './store';

/** Which colonies came through winter. */
export async function aliveRound(
  context: Context,
  actor: Actor,
  siteId?: string,
): Promise<Sayable<Output<typeof endpoints.aliveRound>>> {
  const { db, clock } = context;
  const found = await siteOf(context, actor.school, siteId);
  const { site } = found;
  const today = dateAt(site.zone, clock.now());
  const year = lastOf(turnOf(site), today);
  const hives = await hivesOf(db, actor.school, site.id);
  const taps = await aliveTaps(
    db,
    actor.school,
    hives.map((hive) => hive.id),
  );
  const shown = hives.map((hive) => {
    const tap = taps.find((each) => each.hive === hive.id && each.year_of_growth === year);
    return {
      id: hive.id,
      number: hive.number,
      stand: hive.stand,
      state: tap?.state ?? null,
      date: tap?.date ?? null,
      setUp: setUpOf(hive),
    };
  });
  const tapped = shown.flatMap(({ state, setUp }) => (state ? [{ state, setUp }] : []));
  const years = [...new Set(taps.map((tap) => tap.year_of_growth))]
    .filter((each) => each !== year)
    .sort()
    .reverse();
  return {
    ...siteNames(found),
    today,
    year,
    hives: shown,
    survival: survivalOf(tapped),
    bySetUp: survivalBySetUp(tapped),
    earlier: years.map((each) => ({
      year: each,
      survival: survivalOf(
        taps.filter((tap) => tap.year_of_growth === each).map(({ state }) => ({ state, setUp: {} })),
      ),
    })),
  };
}

export async function tapAlive(
  context: Context,
  actor: Actor,
  hiveId: string,
  body: Body<'tapAlive'>,
): Promise<string> {
  const [hive] = await hivesById(context.db, actor.school, [hiveId]);
  if (!hive) throw notFound('hive');
  const { site } = await siteOf(context, actor.school, hive.site);
  notAhead(body.date, dateAt(site.zone, context.clock.now()));
  const year = lastOf(turnOf(site), body.date);
  const { state } = body;
  if (state === null) await revise(context.db, actor.school, (trx) => deleteAlive(trx, actor.school, hive.id, year));
  else
    await revise(context.db, actor.school, (trx) =>
      upsertAlive(trx, {
        id: uuid(),
        school: actor.school,
        hive: hive.id,
        year_of_growth: year,
        date: body.date,
        state,
        by_person: actor.id,
        at: context.clock.now(),
      }),
    );
  return hive.site;
}
