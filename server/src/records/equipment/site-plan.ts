import type { Output, endpoints } from '@brave-comb/contract';
import { siteFeatures } from '@brave-comb/core/exchange';
import { BARE_PLAN, type HivePlace, type SitePlan, freePlace } from '@brave-comb/core/site';
import type { Body } from '../../body';
import { changeRecord, lastChanges } from '../../changed';
import type { Actor, Context } from '../../context';
import type { Db } from '../../database/db';
import { revise } from '../../database/revision-store';
import { Refusal, notFound } from '../../problem';
import { say } from '../../words';
import { lockSchool, traineeGroups, traineesOf } from '../people';
import { type HiveRow, everySite, hivesOf, sitesOf } from './store';

type Plan = Output<(typeof endpoints)['sitePlan']>;

/** The plan of a site with its hives and how many come to them. */
export async function sitePlan({ db }: Context, actor: Actor, id: string): Promise<Plan> {
  const site = (await everySite(db, actor.school)).find((each) => each.id === id);
  if (!site) throw notFound('site');
  const [hives, last, group] = await Promise.all([
    hivesOf(db, actor.school, id),
    lastChanges(db, [site]),
    largestGroup(db, actor.school),
  ]);
  const { name, latitude, longitude, plan } = site;
  return {
    site: { id, name, latitude, longitude, ...last(site) },
    plan: shownPlan(plan),
    hives: hives.map((hive) => ({ id: hive.id, number: hive.number, stand: hive.stand, place: hive.place })),
    group,
  };
}

async function largestGroup(db: Db, school: string): Promise<number> {
  const groups = (await traineeGroups(db, school)).map(({ id }) => id);
  const members = (await traineesOf(db, school, groups)).map(({ group }) => group);
  return Math.max(0, ...groups.map((id) => members.filter((group) => group === id).length));
}

const shownPlan = (plan: SitePlan | null): Plan['plan'] => {
  const { stands, landmarks, wind } = plan ?? BARE_PLAN;
  return { stands: [...stands], landmarks: landmarks.map(copied), wind };
};
const copied = (mark: SitePlan['landmarks'][number]): Plan['plan']['landmarks'][number] =>
  mark.kind === 'path' || mark.kind === 'barrier' ? { ...mark, along: [...mark.along] } : mark;

/**
 * Changes the plan of a site and where its hives stand.
 *
 * @throws Refusal 409 when somebody has changed the site meanwhile, or a hive has left it; 422 for a hive on a stand that is not on the plan
 */
export async function keepSitePlan(
  context: Context,
  actor: Actor,
  id: string,
  { version, plan, hives }: Body<'keepSitePlan'>,
): Promise<Plan> {
  await revise(context.db, actor.school, async (trx) => {
    await lockSchool(trx, actor.school);
    const site = (await everySite(trx, actor.school)).find((each) => each.id === id);
    if (!site) throw notFound('site');
    await changeRecord(
      trx,
      context,
      actor,
      'sites',
      { id, version },
      { plan: JSON.stringify(plan) },
      { was: { plan: planText(site.plan) }, is: { plan: planText(plan) } },
    );
    const here = new Map((await hivesOf(trx, actor.school, id)).map((hive) => [hive.id, hive]));
    const stands = new Set(plan.stands.map(({ name }) => name));
    for (const { id: hive, stand, place } of hives) {
      const was = here.get(hive);
      if (!was) throw new Refusal(409, 'hive-not-here', say('hive-not-here', { site: site.name }));
      if (place !== null && !stands.has(stand))
        throw new Refusal(422, 'not-valid', say('stand-not-on-plan', { stand, number: was.number }));
      if (was.stand === stand && placeText(was.place) === placeText(place)) continue;
      const change = { stand, place: place && JSON.stringify(place) };
      const also = { was: { place: placeText(was.place) }, is: { place: placeText(place) } };
      await changeRecord(trx, context, actor, 'hives', { id: hive, version: was.version }, change, also);
    }
  });
  return sitePlan(context, actor, id);
}

const planText = (plan: SitePlan | null): string | null => {
  if (plan === null) return null;
  return [...plan.stands, ...plan.landmarks].map(({ name }) => name).join(', ');
};
const placeText = (place: HivePlace | null): string | null =>
  place && `${place.east} m, ${place.north} m, ${place.faces}°`;

/**
 * Where a hive comes to stand that is put on a stand by name: the next free place, if the plan of its site has that stand.
 *
 * @param hive with its site and stand
 * @returns its place; `null` where the plan does not know the stand
 */
export async function placeOnStand(
  trx: Db,
  school: string,
  hive: Pick<HiveRow, 'id' | 'site' | 'stand'>,
): Promise<HivePlace | null> {
  const site = (await sitesOf(trx, school)).find(({ id }) => id === hive.site);
  const stand = site?.plan?.stands.find(({ name }) => name.toLowerCase() === hive.stand.toLowerCase());
  if (!stand) return null;
  return freePlace(
    stand,
    (await hivesOf(trx, school, hive.site)).filter(({ id }) => id !== hive.id),
  );
}

/** Sites, stands, hives and what is on the ground as GeoJSON. */
export async function sitesOut({ db }: Context, actor: Actor): Promise<string> {
  const sites = await sitesOf(db, actor.school);
  const hives = await Promise.all(sites.map(({ id }) => hivesOf(db, actor.school, id)));
  return JSON.stringify(siteFeatures(sites.map((site, at) => ({ ...site, hives: hives[at]! }))), null, 1);
}
