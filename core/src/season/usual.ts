import { type CivilDate, dayOfYear, within } from '../units';

/** What a day of the year is usually like at a place. */
export interface UsualDay {
  /** Usual lowest and highest temperature, °C. */
  readonly low: number;
  readonly high: number;
  /** Usual rain, mm. */
  readonly rain: number;
}
/** 365 usual days, from 1 January. */
export type UsualYear = readonly UsualDay[];

/** One day's weather as it was. */
export interface DayWeather {
  readonly date: CivilDate;
  readonly low: number;
  readonly high: number;
  readonly rain: number;
}

/** Days on either side that a usual day is averaged over. */
const REACH = 10;

/**
 * Smooths a year of single days into usual ones: the mean over three weeks around each, around the turn of the year too.
 *
 * @param days 365 days from 1 January
 * @returns 365 usual days
 * @throws RangeError for another number of days
 * @example usualYear(typicalYear)[0].low
 */
export function usualYear(days: readonly UsualDay[]): UsualYear {
  if (days.length !== 365) throw new RangeError(`a usual year is made of 365 days, got ${days.length}`);
  return days.map((_, day) => {
    const around = Array.from({ length: 2 * REACH + 1 }, (_each, step) => days[(day + step - REACH + 365) % 365]!);
    const mean = (of: (each: UsualDay) => number) => around.reduce((sum, each) => sum + of(each), 0) / around.length;
    return { low: mean((each) => each.low), high: mean((each) => each.high), rain: mean((each) => each.rain) };
  });
}

/**
 * Usual days from what was observed: the mean of each day of the year over all years, then smoothed.
 *
 * @param days daily weather of about a year or more, any order
 * @returns 365 usual days, or `null` when fewer than 330 days of the year are known
 * @example usualFrom(history)?.[134].high
 */
export function usualFrom(days: readonly DayWeather[]): UsualYear | null {
  const seen = Array.from({ length: 365 }, () => ({ low: 0, high: 0, rain: 0, count: 0 }));
  for (const day of days) {
    const sum = seen[dayOfYear(day.date)]!;
    sum.low += day.low;
    sum.high += day.high;
    sum.rain += day.rain;
    sum.count += 1;
  }
  if (seen.filter((each) => each.count > 0).length < 330) return null;
  const nearest = (day: number) => {
    for (let away = 0; ; away += 1)
      for (const other of [day - away, day + away]) {
        const found = seen[(other + 730) % 365]!;
        if (found.count > 0) return found;
      }
  };
  return usualYear(
    seen.map((_, day) => {
      const { low, high, rain, count } = nearest(day);
      return { low: low / count, high: high / count, rain: rain / count };
    }),
  );
}

/**
 * A rough usual year from latitude and height alone, for a site about which nothing else is known: a maritime climate of the mid-latitudes,
 * 0.65 °C colder for every 100 m. From memory; a typical-year file or a year of observations replaces it.
 *
 * @param latitude degrees north, −90 to 90
 * @param altitude metres above the sea
 * @returns 365 usual days
 * @throws RangeError for a latitude off the globe
 * @example usualByLatitude(55.1, 180)[200].high // about 19
 */
export function usualByLatitude(latitude: number, altitude: number): UsualYear {
  const away = Math.abs(within('latitude', latitude, -90, 90));
  const mean = 28.3 - 0.33 * away - 0.0065 * Math.max(0, altitude);
  const swing = Math.min(9, 0.11 * away);
  const warmest = latitude >= 0 ? 200 : 18;
  return Array.from({ length: 365 }, (_, day) => {
    const middle = mean + swing * Math.cos((2 * Math.PI * (day - warmest)) / 365);
    return { low: middle - 4, high: middle + 4, rain: 2.2 };
  });
}

/** Usual mean temperature of a date, °C. */
export const usualMean = (usual: UsualYear, date: CivilDate): number => {
  const { low, high } = usual[dayOfYear(date)]!;
  return (low + high) / 2;
};
