import type { Output, endpoints } from '@brave-comb/contract';
import type { Body } from '../../body';
import { changeRecord, lastChanges, recordsMade } from '../../changed';
import type { Actor, Context } from '../../context';
import { revise } from '../../database/revision-store';
import { Refusal, notFound } from '../../problem';
import { say } from '../../words';
import { lockSchool, schoolHome } from '../people';
import { countHives, everySite, insertSite, siteById } from './store';

type Sites = Output<(typeof endpoints)['schoolSites']>;

/** The sites of a school, retired ones last. */
export async function schoolSites({ db }: Context, actor: Actor): Promise<Sites> {
  const [rows, standing, home] = await Promise.all([
    everySite(db, actor.school),
    countHives(db, actor.school),
    schoolHome(db, actor.school),
  ]);
  const last = await lastChanges(db, rows);
  return {
    sites: rows.map((row) => {
      const { id, name, latitude, longitude, altitude, zone, emergency } = row;
      const hives = standing.get(id) ?? 0;
      return { id, name, latitude, longitude, altitude, zone, emergency, hives, ...last(row) };
    }),
    home,
  };
}

/**
 * Sets up a site, or changes one. Sent twice, it is set up once.
 *
 * @throws Refusal 409 when another site has the name, or somebody has changed the site meanwhile
 */
export async function keepSite(
  context: Context,
  actor: Actor,
  id: string,
  { version, ...form }: Body<'keepSite'>,
): Promise<Sites> {
  await revise(context.db, actor.school, async (trx) => {
    await lockSchool(trx, actor.school);
    const same = (await everySite(trx, actor.school)).find(
      (site) => site.id !== id && site.name.toLowerCase() === form.name.toLowerCase(),
    );
    if (same) throw new Refusal(409, 'name-in-use', say('site-name-in-use', { name: same.name }));
    const there = await siteById(trx, actor.school, id);
    if (!there) {
      if (version > 0) throw notFound('site');
      await insertSite(trx, { id, school: actor.school, turn: null, degree_days: 'single-sine', plan: null, ...form });
      await recordsMade(trx, context, actor, 'sites', [{ id, name: form.name }]);
      return;
    }
    // The first sending came through and its answer did not: what stands there is what was meant.
    if (version === 0) return;
    const emergency = JSON.stringify(form.emergency);
    await changeRecord(trx, context, actor, 'sites', { id, version }, { ...form, emergency });
  });
  return schoolSites(context, actor);
}

/**
 * Puts a site out of use, or into use again.
 *
 * @throws Refusal 409 while hives stand there
 */
export async function retireSite(
  context: Context,
  actor: Actor,
  id: string,
  { version, retired }: Body<'retireSite'>,
): Promise<Sites> {
  await revise(context.db, actor.school, async (trx) => {
    await lockSchool(trx, actor.school);
    const hives = (await countHives(trx, actor.school)).get(id) ?? 0;
    if (retired && hives > 0) throw new Refusal(409, 'hives-stand-there', say('hives-stand-there', { hives }));
    const change = { retired_at: retired ? context.clock.now() : null };
    await changeRecord(trx, context, actor, 'sites', { id, version }, change);
  });
  return schoolSites(context, actor);
}
