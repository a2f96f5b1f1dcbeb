import { within } from '../units';
import { type Ensemble, HOUR, type Weather } from './hour';

/** Members of a forecast that came as a single course. */
const MEMBERS = 20;
/** Error that a forecast gains for each day by which it is out of date or ahead: °C, hours of timing, share of the wind. From memory. */
const PER_DAY = { temperature: 0.45, hours: 1.6, wind: 0.06 };

/** Evenly spread scores of a normal distribution (Hazen positions, the logistic approximation). */
const score = (index: number, of: number): number => Math.log((index + 0.5) / (of - index - 0.5)) / 1.702;

/** The same course with its fronts some hours later. The clock of the sun does not shift: only what a front brings does. */
const delayed = (member: readonly Weather[], hours: number): readonly Weather[] =>
  member.map((own, hour) => {
    const { rain, wind, gust, cloud, thunder } =
      member[Math.min(member.length - 1, Math.max(0, hour - Math.round(hours)))]!;
    return { ...own, rain, wind, gust, cloud, thunder };
  });

/**
 * A forecast that is out of date, or that came as one course only, with the doubt that it should carry: warmer and colder, earlier and later,
 * windier and calmer, the more so the older it is. A fresh ensemble comes back as it is.
 *
 * @param ensemble the forecast
 * @param hours how long ago it was issued beyond the time at which a new one was due, 0 or more
 * @returns an ensemble with as many members, or 20 where there was one
 * @throws RangeError for a negative age
 */
export function widen(ensemble: Ensemble, hours: number): Ensemble {
  within('age of the forecast in hours', hours, 0);
  const single = ensemble.members.length === 1;
  if (hours === 0 && !single) return ensemble;
  const count = single ? MEMBERS : ensemble.members.length;
  const issued = Date.parse(ensemble.issued);
  const start = Date.parse(ensemble.start);
  const members = Array.from({ length: count }, (_, index) => {
    const member = ensemble.members[index % ensemble.members.length]!;
    // Three scores of the same set in different orders, so that warm is not always early and calm.
    const warmth = score((index * 7 + 3) % count, count);
    const timing = score((index * 11 + 5) % count, count);
    const wind = score((index * 13 + 1) % count, count);
    const daysOf = (hour: number) => (hours + (single ? Math.max(0, start + hour * HOUR - issued) / HOUR : 0)) / 24;
    const late = PER_DAY.hours * timing * Math.min(5, (hours + (single ? 48 : 0)) / 24);
    return delayed(member, late).map((weather, hour) => {
      const off = PER_DAY.temperature * warmth * Math.min(8, daysOf(hour));
      const stronger = Math.max(0.4, 1 + PER_DAY.wind * wind * Math.min(8, daysOf(hour)));
      return {
        ...weather,
        temperature: weather.temperature + off,
        dewPoint: weather.dewPoint + off,
        wind: weather.wind * stronger,
        gust: weather.gust * stronger,
      };
    });
  });
  return { ...ensemble, members };
}
