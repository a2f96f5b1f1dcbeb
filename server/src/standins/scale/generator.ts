import { DAY } from '@brave-comb/core/units';
import { bell, chance } from '../weather/chance';

/** One day's weight of a hive on its scale. */
export interface Weighed {
  readonly date: string;
  readonly kg: number;
}

const dayNumber = (date: string): number => Math.round(Date.parse(`${date}T00:00:00Z`) / DAY);
const dateOf = (day: number): string => new Date(day * DAY).toISOString().slice(0, 10);

const seedOf = (scale: string): number =>
  Array.from(scale).reduce((sum, letter) => (Math.imul(sum, 31) + letter.codePointAt(0)!) | 0, 7) & 0x7fffffff;

/** Middle and strength of the flows of a year, in days from the winter solstice, kg a day at their best; a dearth lies between. */
const FLOWS = [
  { middle: 138, width: 13, best: 1.1 },
  { middle: 190, width: 16, best: 1.5 },
  { middle: 238, width: 11, best: 0.8 },
] as const;

/** What happens on a day beside eating and foraging: at most one swarm a year in May, now and then robbing in late summer. */
function oddEvent(seed: number, year: number, dayOfYear: number): number {
  const swarmOn = 150 + Math.floor(chance(seed, year, 41) * 22);
  if (chance(seed, year, 42) < 0.7 && dayOfYear === swarmOn) return -(1.8 + 1.4 * chance(seed, year, 43));
  const robbedFrom = 225 + Math.floor(chance(seed, year, 44) * 20);
  const robbed = chance(seed, year, 45) < 0.45 && dayOfYear >= robbedFrom && dayOfYear < robbedFrom + 4;
  if (robbed) return -(1 + 0.8 * chance(seed, year, dayOfYear, 46));
  const boxOn = 142 + Math.floor(chance(seed, year, 47) * 8);
  if (dayOfYear === boxOn) return 7.2;
  const boxOff = 262 + Math.floor(chance(seed, year, 48) * 10);
  return dayOfYear === boxOff ? -14.5 - 3 * chance(seed, year, 49) : 0;
}

/** What the bees gain or lose on one day by themselves, kg. */
function change(seed: number, day: number, southern: boolean): { readonly own: number; readonly odd: number } {
  const date = new Date(day * DAY);
  const year = date.getUTCFullYear();
  const shift = southern ? 182 : 0;
  const dayOfYear = (Math.floor((date.getTime() - Date.UTC(year, 0, 1)) / DAY) + 11 + shift) % 365;
  const moved = 5 * bell(seed, year, 50);
  const flow = FLOWS.reduce(
    (sum, { middle, width, best }) => sum + best * Math.exp(-(((dayOfYear - middle - moved) / width) ** 2) / 2),
    0,
  );
  const wet = chance(seed, day, 51) < 0.3;
  const eaten = dayOfYear > 60 && dayOfYear < 270 ? 0.16 : 0.05;
  return {
    own: (wet ? 0.1 : 1.25) * flow - eaten + 0.06 * bell(seed, day, 52),
    odd: oddEvent(seed, year, dayOfYear),
  };
}

/**
 * Daily weights of a hive on a scale, the same for the same scale and day every time: flows, dearths, swarms, robbing, boxes on and off.
 *
 * @param scale name of the scale; a name that ends in `-south` follows the southern year
 * @param from first date
 * @param to last date, not before `from`
 * @returns one weight a day
 */
export function weighed(scale: string, from: string, to: string): readonly Weighed[] {
  const seed = seedOf(scale);
  const southern = scale.endsWith('-south');
  const [first, last] = [dayNumber(from), dayNumber(to)];
  // Each hive is set up anew in midwinter, so that a year's series does not depend on where one begins to read it.
  const days: Weighed[] = [];
  let year = NaN;
  let kg = 0;
  const start = midwinterBefore(first, southern);
  for (let day = start; day <= last; day += 1) {
    const began = midwinterBefore(day, southern);
    if (began !== year) {
      year = began;
      kg = 29 + 2.5 * bell(seed, began, 53);
    }
    const { own, odd } = change(seed, day, southern);
    kg = Math.max(17, kg + own + odd);
    if (day >= first) days.push({ date: dateOf(day), kg: Number(kg.toFixed(2)) });
  }
  return days;
}

/** The midwinter day on or before a day. */
function midwinterBefore(day: number, southern: boolean): number {
  const date = new Date(day * DAY);
  const [month, on] = southern ? [5, 21] : [11, 21];
  const thisYear = Math.round(Date.UTC(date.getUTCFullYear(), month, on) / DAY);
  return thisYear <= day ? thisYear : Math.round(Date.UTC(date.getUTCFullYear() - 1, month, on) / DAY);
}
