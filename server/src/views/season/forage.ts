import { named, type Sayable } from '@brave-comb/core/language';
import type { Output, endpoints } from '@brave-comb/contract';
import { PLANTS } from '@brave-comb/core/season';
import type { Actor, Context } from '../../context';
import { plantOfList, siteSeason } from '../../facts/season';
import { siteNames, siteOf } from '../../records/equipment';
import { bloomsSeen, plantsOf } from '../../records/season';

/** Plants of a site with this year's bloom. What is written below answers with the site whose view shows it. */
export async function forage(
  context: Context,
  actor: Actor,
  siteId?: string,
): Promise<Sayable<Output<typeof endpoints.forage>>> {
  const found = await siteOf(context, actor.school, siteId);
  const season = await siteSeason(context, found.site);
  const [own, seen] = await Promise.all([
    plantsOf(context.db, actor.school, found.site.id),
    bloomsSeen(context.db, actor.school, found.site.id),
  ]);
  const latin = new Map(PLANTS.map((plant) => [plant.id, plant.latin]));
  const ids = new Set(own.map((plant) => plant.id));
  return {
    ...siteNames(found),
    today: season.today,
    turn: season.turn,
    method: found.site.degree_days,
    plants: own.map((plant) => ({
      ...plant,
      latin: latin.get(plant.id) ?? null,
      bloom: season.bloom.find((bloom) => bloom.id === plant.id) ?? null,
      seen: seen
        .filter((row) => row.plant === plant.id)
        .map((row) => ({
          plant: row.plant,
          year: row.year_of_growth,
          first: row.first_seen,
          last: row.last_seen,
          by: row.by_name,
        })),
    })),
    list: PLANTS.filter((plant) => !ids.has(plant.id)).map((plant) => ({
      ...plantOfList(plant, season.turn),
      name: named('plant', plant.id),
      latin: plant.latin,
    })),
    mayEdit: actor.role !== 'trainee',
  };
}
