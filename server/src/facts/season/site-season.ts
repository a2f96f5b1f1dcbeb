import { named, type Text } from '@brave-comb/core/language';
import { inEnglish, say } from '../../words';
import {
  type Bloom,
  type DayWeather,
  type Plant,
  STAND_INS,
  type PhaseFacts,
  type PhaseSpan,
  type SitePlant,
  type UsualYear,
  bloomOf,
  listedPlant,
  phaseOn,
  usualByPlace,
  usualFrom,
  yearPhases,
} from '@brave-comb/core/season';
import { addDays, lastOf } from '@brave-comb/core/units';
import type { Context } from '../../context';
import { dateAt } from '../../dates';
import { type SiteRow, turnOf } from '../../records/equipment';
import { bloomsSeen, plantsOf, seenOf } from '../../records/season';
import {
  climateOf,
  daysAhead,
  daysBefore,
  forecastInUse,
  REACH_BACK,
  type ForecastInUse,
  type KnownDay,
} from '../../records/weather';
import { identityOf, remembered } from '../../remembered';

/** The season at one site: what every view of it rests on. */
export interface SiteSeason {
  readonly site: SiteRow;
  readonly today: string;
  readonly turn: string;
  /** First day of the year of growth. */
  readonly begin: string;
  readonly usual: UsualYear;
  /** Where the usual weather comes from, in words. */
  readonly usualFrom: Text;
  readonly forecast: ForecastInUse;
  /** Observed days of this year of growth, and those ahead by the forecast. */
  readonly before: readonly KnownDay[];
  readonly ahead: readonly KnownDay[];
  readonly days: readonly DayWeather[];
  readonly plants: readonly SitePlant[];
  readonly bloom: readonly Bloom[];
  readonly phases: readonly PhaseSpan[];
  readonly facts: PhaseFacts;
}

const FORECAST_DAYS = 14;

/** A plant of the general list under its English name, as it starts out at a site. */
export const plantOfList = (plant: Plant, turn: string): SitePlant =>
  listedPlant(plant, turn, inEnglish(named('plant', plant.id)));

/**
 * The season at a site.
 *
 * @param context database, clock, weather
 * @param site the site
 * @param date any day of the year of growth that is wanted; today's without it
 * @returns climate, weather, plants, bloom and phases; the same object for all who ask while nothing that it rests on has changed
 */
export async function siteSeason(context: Context, site: SiteRow, date?: string): Promise<SiteSeason> {
  const { db, clock } = context;
  const today = dateAt(site.zone, clock.now());
  const earliest = addDays(today, -REACH_BACK);
  const [forecast, lastYear, climate, own, seen] = await Promise.all([
    forecastInUse(context, site),
    daysBefore(context, site, earliest, addDays(today, -1)),
    climateOf(db, site.id),
    plantsOf(db, site.school, site.id),
    bloomsSeen(db, site.school, site.id),
  ]);
  return reckoned({ site, today, date: date ?? today, forecast, lastYear, climate, own, seen: seenOf(seen) });
}

interface Facts {
  readonly site: SiteRow;
  readonly today: string;
  readonly date: string;
  readonly forecast: ForecastInUse;
  readonly lastYear: readonly KnownDay[];
  readonly climate: Awaited<ReturnType<typeof climateOf>>;
  readonly own: readonly SitePlant[];
  readonly seen: ReturnType<typeof seenOf>;
}

const reckoned = remembered(
  40,
  ({ forecast, ...facts }: Facts) => [identityOf(forecast.ensemble), forecast.problem, facts],
  reckon,
);

function reckon({ site, today, date, forecast, lastYear, climate, own, seen }: Facts): SiteSeason {
  const turn = turnOf(site);
  const begin = lastOf(turn, date);
  const measured = climate ? null : usualFrom(lastYear);
  const usual = climate?.days ?? measured ?? usualByPlace(site);
  const end = addDays(begin, 370);
  const inYear = (day: KnownDay) => day.date >= begin && day.date < end;
  const before = lastYear.filter(inYear);
  const ahead = daysAhead(forecast.ensemble, site, today, FORECAST_DAYS).filter(inYear);
  const days = [...before, ...ahead];
  const plants = own.length > 0 ? own : STAND_INS.map((plant) => plantOfList(plant, turn));
  const bloom = bloomOf({
    today: begin === lastOf(turn, today) ? today : date,
    turn,
    usual,
    days,
    plants,
    seen,
    method: site.degree_days,
  });
  const facts: PhaseFacts = { turn, usual, days, forage: bloom };
  return {
    site,
    today,
    turn,
    begin,
    usual,
    usualFrom: climate
      ? say('typical-year', { name: climate.name })
      : measured
        ? say('last-year-smoothed')
        : say('rough-guess'),
    forecast,
    before,
    ahead,
    days,
    plants,
    bloom,
    phases: yearPhases(facts, date),
    facts,
  };
}

/** The phase of today, or of another day of the same year of growth. */
export const phaseNow = (season: SiteSeason, date = season.today): PhaseSpan | null => phaseOn(season.phases, date);
