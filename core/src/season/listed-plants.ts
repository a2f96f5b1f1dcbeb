import type { MonthDay } from '../units';
import { type SitePlant, modelOf } from './bloom';
import { PLANTS, type Plant } from './plants';

/** Common plants, spread over the year, that stand in where a site has no list yet. */
const COMMON: ReadonlySet<string> = new Set([
  'hazel',
  'goat-willow',
  'dandelion',
  'cherry',
  'sycamore',
  'hawthorn',
  'white-clover',
  'bramble',
  'lime',
  'ivy',
]);
export const STAND_INS: readonly Plant[] = PLANTS.filter(({ id }) => COMMON.has(id));

/**
 * A plant of the general list, as it starts out at a site.
 *
 * @param plant the plant
 * @param turn turn of the year at the site, `MM-DD`
 * @param name what it is called there
 * @returns the plant with its usual bloom at the site
 * @throws RangeError for a malformed date
 */
export const listedPlant = (plant: Plant, turn: MonthDay, name: string): SitePlant => ({
  id: plant.id,
  name,
  nectar: plant.nectar,
  pollen: plant.pollen,
  model: modelOf(plant, turn),
});
