import { type Ensemble, HOUR, type Place, type Weather, sunElevation } from '@brave-comb/core/weather';
import { DAY } from '@brave-comb/core/units';
import { bell, chance, drift } from './chance';

/** Fronts pass about every so many hours, one in each such stretch of time. */
const FRONT_EVERY = 62;
const FORECAST_HOURS = 15 * 24;
const MEMBERS = 24;
/** Forecasts are issued ten minutes past 0, 6, 12 and 18 o'clock UTC. */
const ISSUE_EVERY = 6;
const ISSUE_DELAY = 10 * 60_000;

/** One passing front, and how far a forecast has it wrong. */
interface Front {
  readonly at: number;
  readonly rain: number;
  readonly width: number;
  /** Warm or cold air behind it, °C. */
  readonly air: number;
}

/** What a forecast made some hours ahead gets wrong. All zero for what really happened. */
interface Error {
  readonly issue: number;
  readonly member: number;
}

/** How the year runs at a latitude: mean and swing of the daily mean, °C, and the day of the year of the warmest mean. Rough maritime climate. */
function climate(latitude: number): { readonly mean: number; readonly swing: number; readonly warmest: number } {
  const away = Math.abs(latitude);
  return { mean: 28.3 - 0.33 * away, swing: Math.min(9, 0.11 * away), warmest: latitude >= 0 ? 201 : 19 };
}

/** Hours that a front's time is off, for a lead in hours: an hour on the day itself, most of a day at ten days. */
const timingSpread = (lead: number): number => Math.min(20, 0.35 + 0.085 * Math.max(0, lead));

function frontOf(seed: number, index: number, error: Error | null): Front {
  const at = index * FRONT_EVERY + 8 + chance(seed, index, 11) * (FRONT_EVERY - 16);
  const rain = Math.max(0, bell(seed, index, 12) * 1.1 + 1.4);
  const width = 2.2 + 3.5 * chance(seed, index, 13);
  const air = bell(seed, index, 14) * 2.6;
  if (!error) return { at, rain, width, air };
  const lead = at - error.issue;
  if (lead <= 0) return { at, rain, width, air };
  const spread = timingSpread(lead);
  // The part that all members share shrinks as the front comes nearer; the issue's own part makes forecasts change from day to day.
  const shared = 0.55 * bell(seed, index, 21) + 0.35 * bell(seed, index, error.issue, 22);
  const own = 0.75 * bell(seed, index, error.issue, error.member, 23);
  const doubt = Math.min(1, lead / 200);
  return {
    at: at + spread * (shared + own),
    rain: Math.max(0, rain + doubt * 1.6 * bell(seed, index, error.issue, error.member, 24)),
    width: width * (1 + doubt * 0.4 * bell(seed, index, error.issue, error.member, 25)),
    air: air + doubt * 2.4 * bell(seed, index, error.issue, error.member, 26),
  };
}

const round = (value: number, decimals: number): number => Number(value.toFixed(decimals)) + 0;

/**
 * Weather of one hour at a place: year, day, air masses between fronts, rain and wind with a front, showers behind it.
 *
 * @param place where
 * @param hour whole hours since 1970, UTC
 * @param error the forecast's error, or `null` for what really happened
 * @param known fronts worked out before for the same place and error
 * @returns the hour's weather
 */
export function weatherOf(place: Place, hour: number, error: Error | null, known = new Map<number, Front>()): Weather {
  const seed = placeSeed(place);
  const { mean, swing, warmest } = climate(place.latitude);
  const at = (hour + 0.5) * HOUR;
  const day = (at / DAY) % 365.2425;
  const yearly = mean + swing * Math.cos((2 * Math.PI * (day - warmest)) / 365.2425);
  const elevation = Math.max(0, sunElevation(place, at - 2 * HOUR));

  const around = Math.floor(hour / FRONT_EVERY);
  const fronts = [around - 2, around - 1, around, around + 1].map((index) => {
    const front = known.get(index) ?? frontOf(seed, index, error);
    known.set(index, front);
    return front;
  });
  let air = 0;
  let rain = 0;
  let wind = 11 + 5 * drift(seed + 3, hour, 21);
  let cover = 0.42 + 0.3 * drift(seed + 4, hour, 9);
  for (const front of fronts) {
    const since = hour + 0.5 - front.at;
    const near = Math.exp(-((since / front.width) ** 2) / 2);
    if (since > -12) air = front.air * Math.min(1, (since + 12) / 18) + air * (1 - Math.min(1, (since + 12) / 18));
    rain += front.rain * near;
    wind += 14 * Math.exp(-(((since + 1) / (front.width * 2)) ** 2) / 2) * Math.min(1.4, 0.4 + front.rain / 2);
    cover += 0.75 * Math.exp(-(((since + 2) / (front.width * 2)) ** 2) / 2);
    const shower = chance(seed, hour, error?.member ?? 0, error ? error.issue : 0, 31);
    if (since > front.width && since < 30 && front.air < 0 && shower < 0.13) rain += 0.3 + 1.4 * chance(seed, hour, 32);
  }
  const cloud = Math.min(1, Math.max(0, cover));
  const lead = error ? Math.max(0, hour - error.issue) : 0;
  // What all members share is the forecast's own error; what each has for itself shows the doubt. Both grow with the lead.
  const own = error
    ? Math.min(4, 0.35 + lead / 60) * drift(seed + 100 + error.member + (error.issue % 1000), hour, 30) +
      Math.min(4, lead / 60) * drift(seed + 700 + (error.issue % 9973), hour, 44)
    : 0;
  const temperature =
    yearly -
    2.4 +
    air +
    own +
    (elevation / 9) * (1.15 - 0.75 * cloud) +
    0.7 * drift(seed + 5, hour, 5) -
    Math.min(2, rain * 0.8);
  const wet = rain > 0.06 ? rain : 0;
  const gustiness = 1.5 + 0.25 * drift(seed + 6, hour, 7) + (elevation / 60) * 0.25;
  const meanWind = Math.max(
    1,
    wind + (error ? Math.min(4, lead / 60) * drift(seed + 300 + error.member, hour, 16) : 0),
  );
  const dewPoint = temperature - (wet > 0 ? 1.2 : 3 + (1 - cloud) * 6) * (0.6 + elevation / 90);
  const warm = Math.max(0, temperature - 19) / 8;
  return {
    temperature: round(temperature, 1),
    dewPoint: round(Math.min(temperature, dewPoint), 1),
    wind: round(meanWind, 0),
    gust: round(meanWind * gustiness, 0),
    rain: round(wet, 1),
    cloud: round(cloud, 2),
    thunder: round(Math.min(0.9, warm * Math.min(1, wet)), 2),
  };
}

/** Which of all believable courses of the weather this world has. This one has an unsettled May at the demo's place. */
const WORLD = 9822;

/** One seed a place, from its coordinates to a hundredth of a degree. */
const placeSeed = ({ latitude, longitude }: Place): number =>
  Math.floor(chance(Math.round(latitude * 100), Math.round(longitude * 100), WORLD) * 2 ** 30);

/**
 * The newest forecast issued by an instant.
 *
 * @param place where
 * @param at instant, ms since 1970
 * @returns {@link MEMBERS} members over 15 days, from the hour of issue
 */
export function forecastAt(place: Place, at: number): Ensemble {
  const issue = Math.floor((at - ISSUE_DELAY) / HOUR / ISSUE_EVERY) * ISSUE_EVERY;
  return {
    issued: new Date(issue * HOUR + ISSUE_DELAY).toISOString(),
    start: new Date(issue * HOUR).toISOString(),
    members: Array.from({ length: MEMBERS }, (_, member) => {
      const known = new Map<number, Front>();
      return Array.from({ length: FORECAST_HOURS }, (_hour, hour) =>
        weatherOf(place, issue + hour, { issue, member }, known),
      );
    }),
  };
}

/**
 * What really happened, as an ensemble of one.
 *
 * @param place where
 * @param from first instant, ms since 1970
 * @param to end, ms since 1970
 * @returns whole hours from `from` to `to`
 */
export function observedBetween(place: Place, from: number, to: number): Ensemble {
  const first = Math.floor(from / HOUR);
  const last = Math.max(first + 1, Math.floor(to / HOUR));
  const known = new Map<number, Front>();
  return {
    issued: new Date(to).toISOString(),
    start: new Date(first * HOUR).toISOString(),
    members: [Array.from({ length: last - first }, (_, hour) => weatherOf(place, first + hour, null, known))],
  };
}
