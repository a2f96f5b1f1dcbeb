import type { Text } from '../language';
/** Weather of one hour, or at one instant within it. */
export interface Weather {
  /** Shade temperature, °C. */
  readonly temperature: number;
  /** Dew point, °C. */
  readonly dewPoint: number;
  /** Mean wind, km/h. */
  readonly wind: number;
  /** Gusts, km/h. */
  readonly gust: number;
  /** Rain within the hour, mm. */
  readonly rain: number;
  /** Share of the sky covered, 0 to 1. */
  readonly cloud: number;
  /** Chance of thunder, 0 to 1. */
  readonly thunder: number;
}

/** A forecast as several equally likely courses of the weather, hour by hour from `start`. */
export interface Ensemble {
  /** When the forecast was made, ISO instant. */
  readonly issued: string;
  /** Start of the first hour, ISO instant. */
  readonly start: string;
  readonly members: readonly (readonly Weather[])[];
  /** What the source left out and how it was filled, in words. */
  readonly note?: Text;
}

export const HOUR = 3_600_000;
export const MINUTE = 60_000;

const between = (a: number, b: number, share: number): number => a + (b - a) * share;

/**
 * Weather of one member at an instant: temperature, wind and cloud run evenly between the middles of the hours, rain and thunder belong to the hour.
 *
 * @param member hours from `start`
 * @param start first hour, ms since 1970
 * @param at instant, ms since 1970
 * @returns the weather, or `null` outside the forecast
 */
export function weatherAt(member: readonly Weather[], start: number, at: number): Weather | null {
  const hour = member[Math.floor((at - start) / HOUR)];
  if (!hour) return null;
  const middle = (at - start) / HOUR - 0.5;
  const before = member[Math.floor(middle)] ?? hour;
  const after = member[Math.floor(middle) + 1] ?? hour;
  const share = middle - Math.floor(middle);
  return {
    temperature: between(before.temperature, after.temperature, share),
    dewPoint: between(before.dewPoint, after.dewPoint, share),
    wind: between(before.wind, after.wind, share),
    gust: between(before.gust, after.gust, share),
    cloud: between(before.cloud, after.cloud, share),
    rain: hour.rain,
    thunder: hour.thunder,
  };
}
