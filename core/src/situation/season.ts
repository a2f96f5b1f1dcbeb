import { type SeasonKnown, flyable } from '../care';
import {
  type BloomSeen,
  type DayWeather,
  PLANTS,
  type PhaseFacts,
  STAND_INS,
  type SitePlant,
  bloomOf,
  listedPlant,
  matingFit,
  usualByPlace,
  usualTurn,
  yearPhases,
} from '../season';
import { type CivilDate, addDays, spoken } from '../units';
import type { Faults } from './faults';
import { say } from './said';
import type { Situation } from './situation';

const WEEK = 7;
/** Part of a day's foraging under which bees hardly fly. */
const HALF_A_DAY = 0.5;

/**
 * The season of a situation: usual weather by the place, bloom and phases reckoned from it and from what was seen.
 *
 * @param situation place, day, weather, plants seen in bloom
 * @param faults where what is wrong is added
 * @returns the season, or `null` where the place does not say when its year begins
 */
export function seasonOf(situation: Situation, faults: Faults): SeasonKnown | null {
  const { site, date, weather = [], season = {} } = situation;
  const turn = site.yearBegins ?? usualTurn(site.latitude);
  if (turn === null) {
    faults.add(['site', 'yearBegins'], say('year-begins', { latitude: site.latitude }));
    return null;
  }
  const days = [...weather].sort((a, b) => a.date.localeCompare(b.date));
  const usual = usualByPlace({ latitude: site.latitude, longitude: site.longitude, altitude: site.height ?? 0 });
  const { plants, seen } = plantsOf(situation, turn, faults);
  const bloom = bloomOf({ today: date, turn, usual, days, plants, seen, method: 'single-sine' });
  const facts: PhaseFacts = { turn, usual, days, forage: bloom };
  const reckoned = yearPhases(facts, date);
  const phases = reckoned.map((span) =>
    season.phase !== undefined && span.from <= date && date <= span.to
      ? {
          ...span,
          phase: season.phase,
          swarming: season.phase === 'swarm-season' ? { from: span.from, to: span.to } : span.swarming,
          reasons: [say('phase-said')],
        }
      : span,
  );
  return {
    phases,
    facts,
    bloom,
    matingDays: days.map((day) => ({ date: day.date, fit: matingFit(day) })),
    poorDays: poorDays(days, date),
  };
}

function plantsOf({ season }: Situation, turn: string, faults: Faults) {
  const named = season?.plants;
  if (!named) return { plants: STAND_INS.map((plant) => sitePlant(plant, turn)), seen: [] };
  const seen: BloomSeen[] = [];
  const plants = named.flatMap(({ plant: id, first = null, last = null }, at): SitePlant[] => {
    const plant = PLANTS.find((each) => each.id === id);
    if (!plant) {
      faults.add(['season', 'plants', at, 'plant'], say('no-such-plant', { plant: id }));
      return [];
    }
    if (first && last && last < first) faults.add(['season', 'plants', at], say('last-before-first', { plant: id }));
    else if (first || last) seen.push({ plant: id, first, last });
    return [sitePlant(plant, turn)];
  });
  return { plants, seen };
}

const sitePlant = (plant: (typeof PLANTS)[number], turn: string): SitePlant =>
  listedPlant(plant, turn, spoken(plant.id));

/** Days of the coming seven in which bees can hardly fly; `null` when not all of them are told. */
function poorDays(days: readonly DayWeather[], date: CivilDate): number | null {
  const ahead = days.filter((day) => day.date > date && day.date <= addDays(date, WEEK));
  return ahead.length < WEEK ? null : ahead.filter((day) => flyable(day) < HALF_A_DAY).length;
}
