import type { Output, endpoints } from '@brave-comb/contract';
import { type Sayable, named } from '@brave-comb/core/language';
import { POLLEN_COLOURS, POLLEN_COLOUR_NAMES, type PollenColour } from '@brave-comb/core/inspection';
import { PLANTS, SEASON_EVENTS, pollenGuesses } from '@brave-comb/core/season';
import { addDays } from '@brave-comb/core/units';
import type { Actor, Context } from '../../context';
import { flowNow, siteSeason, type SiteSeason } from '../../facts/season';
import { siteNames, siteOf } from '../../records/equipment';
import { housePracticeOf } from '../../records/people';
import { gainsOf, pollenSeen, scalesOf, seasonEvents } from '../../records/season';

const shownPollen = (season: SiteSeason) => {
  const colours = new Map(PLANTS.map((plant) => [plant.id, plant.colours]));
  return season.bloom.map((bloom) => ({
    plant: bloom.plant,
    pollen: bloom.pollen,
    colours: colours.get(bloom.id) ?? [],
    from: bloom.from,
    to: bloom.to,
    giveOrTake: bloom.giveOrTake,
  }));
};

/** What was seen at a site. */
export async function happenings(
  context: Context,
  actor: Actor,
  siteId?: string,
): Promise<Sayable<Output<typeof endpoints.happenings>>> {
  const { db } = context;
  const found = await siteOf(context, actor.school, siteId);
  const { site } = found;
  const season = await siteSeason(context, site);
  const { today } = season;
  const [events, practice, pollen, scales] = await Promise.all([
    seasonEvents(db, actor.school, site.id, addDays(today, -400)),
    housePracticeOf(db, actor.school),
    pollenSeen(db, actor.school, site.id),
    scalesOf(context, site, season.begin, today),
  ]);
  const plantName = new Map(season.plants.map(({ id, name }) => [id, name]));
  const settled = pollen.map((row) => ({ colour: row.colour as PollenColour, date: row.date, plant: row.plant }));
  return {
    ...siteNames(found),
    today,
    events: events.map(({ id, kind, plant, date, by_name, tasks }) => ({
      id,
      kind,
      plant: plant === null ? null : (plantName.get(plant) ?? named('plant', plant)),
      date,
      by: by_name,
      tasks,
    })),
    triggers: practice.triggers,
    meanings: SEASON_EVENTS.map((kind) => ({ kind, means: named('eventMeaning', kind) })),
    plants: season.plants.map(({ id, name }) => ({ id, name })),
    flow: await flowNow(context, season, gainsOf(scales)),
    pollen: {
      seen: pollen.map((row) => ({
        id: row.id,
        colour: row.colour as PollenColour,
        date: row.date,
        plant: row.plant,
        by: row.by_name,
      })),
      key: POLLEN_COLOUR_NAMES.map((colour) => ({
        colour,
        shade: POLLEN_COLOURS[colour],
        guesses: pollenGuesses(colour, today, shownPollen(season), settled),
      })),
    },
    scales,
    mayEdit: actor.role !== 'trainee',
  };
}
