import type { Output, endpoints } from '@brave-comb/contract';
import { type HiveTypeId, type Stack, isBox } from '@brave-comb/core/equipment';
import type { Body } from '../../body';
import { changeRecord, lastChanges, recordsMade } from '../../changed';
import type { Actor, Context } from '../../context';
import type { Db } from '../../database/db';
import { revise } from '../../database/revision-store';
import { Refusal, notFound } from '../../problem';
import { say } from '../../words';
import { lockSchool } from '../people';
import { dayAtSchool } from './school-day';
import { checkBoxes, hiveColony } from './service';
import { placeOnStand } from './site-plan';
import { type ColonyRow, type HiveRow, coloniesIn, colonyIn, endColony, everyHive, insertHive, sitesOf } from './store';

type Hives = Output<(typeof endpoints)['schoolHives']>;
type Colony = NonNullable<Body<'addHives'>['hives'][number]['colony']>;
type Form = Pick<HiveRow, 'number' | 'site' | 'stand' | 'type' | 'stack' | 'scale'>;

/** The hives of a school with their colonies, in the order of their numbers, retired ones last. */
export async function schoolHives({ db, clock }: Context, actor: Actor): Promise<Hives> {
  const [rows, sites, today] = await Promise.all([
    everyHive(db, actor.school),
    sitesOf(db, actor.school),
    dayAtSchool(db, actor.school, clock.now()),
  ]);
  const [last, colonies] = await Promise.all([
    lastChanges(db, rows),
    coloniesIn(
      db,
      actor.school,
      rows.map(({ id }) => id),
    ),
  ]);
  const living = new Map(colonies.map((colony) => [colony.hive, colony]));
  return {
    hives: rows.map((row) => {
      const { id, number, site, stand, type, stack, scale, site_name: siteName } = row;
      const colony = living.get(id);
      const shown = { id, number, site, siteName, stand, type, stack, scale, ...last(row) };
      return { ...shown, colony: colony ? { id: colony.id, ...colonyShown(colony) } : null };
    }),
    sites: sites.map(({ id, name, latitude, longitude }) => ({ id, name, latitude, longitude })),
    usual: usualType(rows),
    today,
  };
}

const colonyShown = ({ origin, since, queen_year, queen_marked }: ColonyRow): Colony => ({
  origin,
  since,
  queen: queen_year === null ? null : { year: queen_year, marked: Boolean(queen_marked) },
});

function usualType(rows: readonly HiveRow[]): HiveTypeId {
  const count = new Map<HiveTypeId, number>();
  for (const { type } of rows) count.set(type, (count.get(type) ?? 0) + 1);
  return [...count].toSorted((a, b) => b[1] - a[1])[0]?.[0] ?? 'national';
}

/**
 * Sets up hives with their colonies, or changes hives by a list. All of them or none; sent twice, they are set up once.
 *
 * @throws Refusal 409 when a number is taken, 404 when a site or a hive to be changed is not there, 422 when a box does not fit
 */
export async function addHives(context: Context, actor: Actor, { hives }: Body<'addHives'>): Promise<Hives> {
  const { db } = context;
  await revise(db, actor.school, async (trx) => {
    await lockSchool(trx, actor.school);
    const there = new Map((await everyHive(trx, actor.school)).map((row) => [row.id, row]));
    const sites = new Map((await sitesOf(trx, actor.school)).map(({ id, name }) => [id, name]));
    const made: { id: string; name: string }[] = [];
    const numbers = new Map([...there.values()].map((row) => [row.number.toLowerCase(), row.id]));
    for (const { id, known, colony, ...form } of hives) {
      checkForm(form, sites);
      const was = there.get(id);
      const holder = numbers.get(form.number.toLowerCase());
      if (holder !== undefined && holder !== id) throw numberInUse(form.number);
      numbers.set(form.number.toLowerCase(), id);
      if (known) {
        if (!was) throw notFound('hive');
        await changeHiveRow(trx, context, actor, was, was.version, form, sites);
        if (colony && !(await colonyIn(trx, actor.school, id))) await hiveColony(trx, actor.school, id, { colony });
      } else if (!was) {
        const place = await placeOnStand(trx, actor.school, { id, ...form });
        await insertHive(trx, { id, school: actor.school, place, ...form });
        made.push({ id, name: form.number });
        if (colony) await hiveColony(trx, actor.school, id, { colony });
      }
    }
    await recordsMade(trx, context, actor, 'hives', made);
  });
  return schoolHives(context, actor);
}

/**
 * Changes a hive; what is hived in an empty one begins its life there.
 *
 * @throws Refusal 409 when the number is taken or somebody has changed the hive meanwhile
 */
export async function changeHive(
  context: Context,
  actor: Actor,
  id: string,
  { version, colony, ...form }: Body<'changeHive'>,
): Promise<Hives> {
  await revise(context.db, actor.school, async (trx) => {
    await lockSchool(trx, actor.school);
    const sites = new Map((await sitesOf(trx, actor.school)).map((site) => [site.id, site.name]));
    checkForm(form, sites);
    const every = await everyHive(trx, actor.school);
    const same = (hive: HiveRow) => hive.number.toLowerCase() === form.number.toLowerCase();
    if (every.some((hive) => hive.id !== id && same(hive))) throw numberInUse(form.number);
    const was = every.find((hive) => hive.id === id);
    if (!was) throw notFound('hive');
    await changeHiveRow(trx, context, actor, was, version, form, sites);
    if (colony === null || (await colonyIn(trx, actor.school, id))) return;
    const { id: own, ...began } = colony;
    await hiveColony(trx, actor.school, id, { colony: began, id: own });
  });
  return schoolHives(context, actor);
}

/**
 * Puts a hive out of use with what became of its bees, or an empty one into use again.
 *
 * @throws Refusal 422 when bees live in it and nothing is said of them
 */
export async function retireHive(
  context: Context,
  actor: Actor,
  id: string,
  { version, retired, bees }: Body<'retireHive'>,
): Promise<Hives> {
  await revise(context.db, actor.school, async (trx) => {
    const now = context.clock.now();
    const colony = await colonyIn(trx, actor.school, id);
    if (retired && colony) {
      if (bees === null) throw new Refusal(422, 'bees-in-it', say('bees-in-it'));
      await endColony(trx, colony.id, await dayAtSchool(trx, actor.school, now), bees);
    }
    await changeRecord(trx, context, actor, 'hives', { id, version }, { retired_at: retired ? now : null });
  });
  return schoolHives(context, actor);
}

const numberInUse = (number: string): Refusal => new Refusal(409, 'name-in-use', say('number-in-use', { number }));

function checkForm({ number, site, type, stack }: Form, sites: ReadonlyMap<string, string>): void {
  if (!sites.has(site)) throw notFound('site');
  if (!stack.some(isBox)) throw new Refusal(422, 'not-valid', say('hive-without-a-box', { number }));
  checkBoxes({ number, type, stack });
}

async function changeHiveRow(
  trx: Db,
  context: Context,
  actor: Actor,
  was: HiveRow & { readonly site_name: string },
  version: number,
  { stack, ...form }: Form & { readonly stack: Stack },
  sites: ReadonlyMap<string, string>,
): Promise<void> {
  const stays = was.site === form.site && was.stand === form.stand;
  const place = stays ? was.place : await placeOnStand(trx, actor.school, { id: was.id, ...form });
  const change = { ...form, place: place && JSON.stringify(place), stack: JSON.stringify(stack) };
  const moved =
    was.site === form.site ? undefined : { was: { site: was.site_name }, is: { site: sites.get(form.site) ?? null } };
  await changeRecord(trx, context, actor, 'hives', { id: was.id, version }, change, moved);
}
