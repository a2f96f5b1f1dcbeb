import { Unfit } from '../language';
import type { ScaleDay } from '../season';
import { DAY } from '../units';
import { HOUR } from '../weather';
import { type Json, at, isJson } from './json';
import { say } from './said';

/** A stream of observations of a service of the OGC SensorThings API, as far as it is used. */
export interface WeightStream {
  /** Address of its observations, as the service gives it. */
  readonly observations: string;
  /** Makes kilograms of its results. */
  readonly toKg: (result: number) => number;
}

const listed = (document: unknown): readonly Json[] => {
  const value = at(document, 'value');
  if (!Array.isArray(value)) throw new Unfit(say('no-sensor-list'));
  return value.filter(isJson);
};

/** Kilograms in each unit; a pound is 0.45359237 kg exactly. */
const KG: ReadonlyMap<string, number> = new Map([
  ['kg', 1],
  ['kilogram', 1],
  ['g', 0.001],
  ['gram', 0.001],
  ['lb', 0.45359237],
  ['[lb_av]', 0.45359237],
  ['pound', 0.45359237],
  ['t', 1000],
]);

/**
 * The stream of weights among those that a service has of a scale.
 *
 * @param document its answer for `Datastreams` of a name
 * @returns the first whose unit is one of mass; `null` where there is none
 * @throws Unfit where it is no list
 */
export function weightStream(document: unknown): WeightStream | null {
  for (const stream of listed(document)) {
    const kg = [at(stream, 'unitOfMeasurement', 'symbol'), at(stream, 'unitOfMeasurement', 'name')]
      .map((each) => KG.get(String(each).toLowerCase()))
      .find((each) => each !== undefined);
    const observations = stream['Observations@iot.navigationLink'];
    if (kg !== undefined && typeof observations === 'string') return { observations, toKg: (result) => result * kg };
  }
  return null;
}

/** A page of observations: each with its time, ms since 1970, and where the next page is. */
export interface WeightPage {
  readonly results: readonly { readonly at: number; readonly kg: number }[];
  readonly next: string | null;
}

/** Heaviest that a hive is believed to be, kg. */
const HEAVIEST = 500;

/**
 * Reads a page of observations. What is no number, stands at no time or is no weight of a hive is left out.
 *
 * @param document answer for `Observations`
 * @param stream whose they are
 * @returns the weights of the page
 */
export function weightPage(document: unknown, { toKg }: WeightStream): WeightPage {
  const next = at(document, '@iot.nextLink');
  return {
    results: listed(document).flatMap(({ phenomenonTime, result }) => {
      // A period is told by its begin.
      const at = Date.parse(String(phenomenonTime).split('/')[0]!);
      const kg = typeof result === 'number' ? toKg(result) : Number.NaN;
      return Number.isNaN(at) || !(kg >= 0 && kg <= HEAVIEST) ? [] : [{ at, kg }];
    }),
    next: typeof next === 'string' ? next : null,
  };
}

/** When foragers are all at home, hours of the local day. */
const NIGHT = 3;

/**
 * One weight a day of many: the one nearest to the small hours, when all bees are at home, so that days can be set against each other.
 *
 * @param results weights at their times, in any order
 * @param longitude of the hive, by which its night is known; degrees
 * @returns a weight a day, in order, to 10 g
 */
export function nightlyWeights(results: WeightPage['results'], longitude: number): readonly ScaleDay[] {
  const nearest = new Map<string, { readonly off: number; readonly kg: number }>();
  for (const { at, kg } of results) {
    const local = at + (longitude / 15) * HOUR;
    const date = new Date(local).toISOString().slice(0, 10);
    const off = Math.abs((local % DAY) - NIGHT * HOUR);
    const known = nearest.get(date);
    if (!known || off < known.off) nearest.set(date, { off, kg });
  }
  return [...nearest]
    .map(([date, { kg }]) => ({ date, kg: Math.round(kg * 100) / 100 }))
    .toSorted((a, b) => a.date.localeCompare(b.date));
}
