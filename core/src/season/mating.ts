import type { DayWeather } from './usual';

/** Highest temperature from which queens fly out to mate for sure, and perhaps, °C; rain that keeps them in, mm. Winston 1987, from memory. */
const MATES = { sure: 20, perhaps: 18, rain: 3 } as const;

/**
 * How fit a day was, or will be, for queens to fly out and mate.
 *
 * @param day its weather
 * @returns 0 to 1
 * Source: Winston (1987), from memory: about 20 °C and little wind in the early afternoon.
 */
export function matingFit({ rain, high }: Pick<DayWeather, 'rain' | 'high'>): number {
  if (rain > MATES.rain) return 0.1;
  return high >= MATES.sure ? 1 : high >= MATES.perhaps ? 0.5 : 0;
}
