import Papa from 'papaparse';
import { Unfit } from '../language';
import { type UsualDay, usualYear } from '../season';
import { say } from './said';

/** A typical year of a place. */
export interface TypicalYear {
  readonly place: string;
  readonly latitude: number;
  readonly longitude: number;
  /** Days of the year 1 to 365. */
  readonly days: readonly UsualDay[];
}

const HEAD_LINES = 8;
const HOURS = 8760;
/** Columns of a data line, from 0 (EnergyPlus Auxiliary Programs, weather file format). */
const COLUMN = { month: 1, day: 2, hour: 3, dryBulb: 6, dewPoint: 7, windSpeed: 21, rainDepth: 33 } as const;
/** Values that stand for "missing" in the format. */
const MISSING = { temperature: 99.9, rain: 999 } as const;

/**
 * Reads a typical-year file in the open EPW format (EnergyPlus weather file): eight head lines, the first with the place, then 8760 hours.
 *
 * @param text the file's text
 * @returns the place and its usual days
 * @throws Unfit saying what is wrong with the file
 */
export function readEpw(text: string): TypicalYear {
  const { data } = Papa.parse<string[]>(text, { delimiter: ',', skipEmptyLines: 'greedy' });
  const [place] = data;
  if (place?.[0]?.toUpperCase() !== 'LOCATION') throw new Unfit(say('no-epw'));
  const rows = data.slice(HEAD_LINES).filter((row) => !(row[COLUMN.month] === '2' && row[COLUMN.day] === '29'));
  if (rows.length !== HOURS) throw new Unfit(say('epw-hours', { needed: HOURS, there: rows.length }));
  const latitude = Number(place[6]);
  const longitude = Number(place[7]);
  if (!(Math.abs(latitude) <= 90) || !(Math.abs(longitude) <= 180))
    throw new Unfit(say('epw-no-place', { line: place.join(',') }));
  const days = Array.from({ length: 365 }, (_, day) => {
    const hours = rows.slice(day * 24, day * 24 + 24);
    const temperatures = hours.map((row, hour) => figure(row, COLUMN.dryBulb, MISSING.temperature, day * 24 + hour));
    const known = temperatures.filter((value) => value !== null);
    if (known.length === 0) throw new Unfit(say('epw-day-without-temperature', { line: HEAD_LINES + day * 24 + 1 }));
    const rain = hours.map((row, hour) => figure(row, COLUMN.rainDepth, MISSING.rain, day * 24 + hour) ?? 0);
    return { low: Math.min(...known), high: Math.max(...known), rain: rain.reduce((sum, each) => sum + each, 0) };
  });
  return { place: `${place[1]?.trim()}, ${place[3]?.trim()}`, latitude, longitude, days: usualYear(days) };
}

function figure(row: readonly string[], column: number, missing: number, index: number): number | null {
  const cell = row[column]?.trim() ?? '';
  if (cell === '') return null;
  const value = Number(cell);
  if (Number.isNaN(value)) throw new Unfit(say('epw-no-number', { line: HEAD_LINES + index + 1, cell }));
  return value >= missing ? null : value;
}
