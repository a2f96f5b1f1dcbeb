import type { Input, endpoints } from '@brave-comb/contract';
import { moveToFlow } from '@brave-comb/core/season';
import { addDays, kmBetween, roundTo } from '@brave-comb/core/units';
import type { Actor, Context } from '../../context';
import { notFound } from '../../problem';
import { sitesOf } from '../../records/equipment';
import { siteSeason } from './site-season';

/** A good nectar plant is worth a move from this worth on. */
const WORTH_A_MOVE = 3;

export async function movePlan(context: Context, actor: Actor, query: Input<typeof endpoints.movePlan>['query']) {
  const sites = await sitesOf(context.db, actor.school);
  const from = sites.find((site) => site.id === query.from);
  if (!from) throw notFound('site');
  const home = await siteSeason(context, from);
  const others = await Promise.all(
    sites.filter((site) => site.id !== from.id).map((site) => siteSeason(context, site)),
  );
  const targets = others.flatMap(({ site, bloom }) =>
    bloom
      .filter((each) => each.nectar >= WORTH_A_MOVE && each.to >= addDays(home.today, 7))
      .map((each) => ({
        site: site.id,
        name: site.name,
        km: roundTo(kmBetween(from, site), 1),
        plant: each.plant,
        from: each.from,
        to: each.to,
      })),
  );
  const season = others.find(({ site }) => site.id === query.to);
  const bloom = season?.bloom.find((each) => each.plant === query.plant);
  if (!season || !bloom) return { targets, plan: null };
  const plan = moveToFlow({
    today: home.today,
    target: bloom,
    km: kmBetween(from, season.site),
    home: home.bloom,
    hives: query.hives ?? 1,
  });
  return { targets, plan: { site: season.site.name, plant: bloom.plant, ...plan } };
}
