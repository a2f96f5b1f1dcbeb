import { type CivilDate, dayOfYear, within } from '../units';
import { landAround } from './land-around';

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

/** Where a place lies. */
export interface Place {
  readonly latitude: number;
  readonly longitude: number;
  /** Metres above the sea. */
  readonly altitude: number;
}

/**
 * A year that swings evenly between its coldest and its warmest day.
 *
 * @param coldest mean of the coldest day, °C
 * @param warmest mean of the warmest day, °C
 * @param north whether the place lies in the northern half
 * @returns 365 usual days, four degrees either way of the day's mean
 * @throws RangeError when the coldest day is warmer than the warmest
 * @example evenYear(5, 17, true)[200].high // 21
 */
export function evenYear(coldest: number, warmest: number, north: boolean): UsualYear {
  within('warmest day in °C', warmest, -90, 60);
  within('coldest day in °C', coldest, -90, warmest);
  const mean = (coldest + warmest) / 2;
  const summit = north ? 200 : 18;
  return Array.from({ length: 365 }, (_, day) => {
    const middle = mean + ((warmest - coldest) / 2) * Math.cos((2 * Math.PI * (day - summit)) / 365);
    return { low: middle - 4, high: middle + 4, rain: 2.2 };
  });
}

/** Mean of the year beside the sea by latitude, °C, and what it falls by a metre of height. From memory. */
const AT_SEA: readonly (readonly [latitude: number, mean: number])[] = [
  [0, 27],
  [10, 27],
  [20, 25.3],
  [30, 20.3],
  [40, 15.1],
  [52, 11.1],
  [60, 8.5],
  [70, 0],
  [90, -20],
];
/** Colder with height, °C a metre: half a degree for 100 m. Fitted, see {@link usualByPlace}. */
const BY_HEIGHT = 0.005;
/** Half the swing of the year beside the sea, °C a degree of latitude, and what a wholly continental place adds. Fitted, see {@link usualByPlace}. */
const SWING = { sea: 0.11, most: 9, land: 14.5 } as const;
/** Land cools a place polewards of this latitude, °C for each degree beyond it. */
const COOLED = { from: 33, by: 0.4 } as const;
/** The oceans of the southern half temper its land. */
const SOUTH = 0.35;

/**
 * A rough usual year from latitude, height and the land around, above all to the west, from where the weather comes. Fitted by eye to the
 * coldest and warmest months of some forty places of all climates, from memory: within 3 °C two times out of three, worse on high plains and
 * under monsoons. A typical-year file or a year of observations replaces it.
 *
 * @param place latitude −90 to 90 and longitude −180 to 180 in degrees, altitude in metres
 * @returns 365 usual days
 * @throws RangeError for a place off the globe
 * @example usualByPlace({ latitude: 45, longitude: -93, altitude: 260 })[17].high // 0.1
 */
export function usualByPlace({ latitude, longitude, altitude }: Place): UsualYear {
  const away = Math.abs(within('latitude', latitude, -90, 90));
  within('longitude', longitude, -180, 180);
  const land = landAround(latitude, longitude) * (latitude < 0 ? SOUTH : 1);
  const mean = meanAtSea(away) - BY_HEIGHT * Math.max(0, altitude) - land * COOLED.by * Math.max(0, away - COOLED.from);
  const swing = Math.min(SWING.most, SWING.sea * away) + land * SWING.land * Math.min(1, away / 35);
  return evenYear(mean - swing, mean + swing, latitude >= 0);
}

function meanAtSea(away: number): number {
  const above = Math.max(
    1,
    AT_SEA.findIndex(([latitude]) => latitude >= away),
  );
  const [[from, warm], [to, cold]] = [AT_SEA[above - 1]!, AT_SEA[above]!];
  return warm + ((cold - warm) * (away - from)) / (to - from);
}

/** Usual mean temperature of a date, °C. */
export const usualMean = (usual: UsualYear, date: CivilDate): number => {
  const { low, high } = usual[dayOfYear(date)]!;
  return (low + high) / 2;
};
