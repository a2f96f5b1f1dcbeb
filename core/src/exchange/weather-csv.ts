import Papa from 'papaparse';
import { type Weather, HOUR } from '../weather';

/** Weather of one hour with its start. Figures that the file does not give are `null`. */
export interface HourRecord {
  /** Start of the hour, ms since 1970. */
  readonly at: number;
  readonly weather: { readonly [Figure in keyof Weather]: number | null };
}

/** A line that could not be read, and why. Line 1 is the head. */
export interface BadLine {
  readonly line: number;
  readonly message: string;
}

export interface WeatherFile {
  readonly hours: readonly HourRecord[];
  readonly bad: readonly BadLine[];
}

/** Columns of an hourly weather file, with the span in which a figure is believed. Only `time` and `temperature` must be there. */
export const WEATHER_COLUMNS = {
  temperature: { unit: '°C', least: -70, most: 60 },
  dewPoint: { unit: '°C', least: -80, most: 40 },
  wind: { unit: 'km/h', least: 0, most: 300 },
  gust: { unit: 'km/h', least: 0, most: 400 },
  rain: { unit: 'mm in the hour', least: 0, most: 300 },
  cloud: { unit: 'share of the sky, 0 to 1', least: 0, most: 1 },
  thunder: { unit: 'chance, 0 to 1', least: 0, most: 1 },
} as const satisfies Record<keyof Weather, { unit: string; least: number; most: number }>;
const FIGURES = Object.keys(WEATHER_COLUMNS) as (keyof Weather)[];
const spelled = (name: string): string =>
  name
    .trim()
    .toLowerCase()
    .replace(/[\s_-]/g, '');

/** Rows of a year and a leap day, twice over: more is no weather file of one site. */
const MOST_ROWS = 2 * 8784;

/**
 * Reads an hourly weather file: comma or semicolon, decimal point or (with semicolons) comma, a head with the column names of
 * {@link WEATHER_COLUMNS} and `time` in ISO 8601 with an offset or Z. Lines that cannot be read are told, the others are kept.
 *
 * @param text the file's text
 * @returns hours in order of time, the last of two with the same time, and the lines that were left out
 * @throws RangeError when the head lacks a needed column or there is nothing to read
 * @example readWeatherCsv('time,temperature\n2026-05-14T12:00Z,16.2\n').hours[0].weather.temperature // 16.2
 */
export function readWeatherCsv(text: string): WeatherFile {
  const { data, meta } = Papa.parse<string[]>(text.replace(/^\uFEFF/, ''), {
    skipEmptyLines: 'greedy',
    delimitersToGuess: [',', ';', '\t'],
  });
  const [head, ...rows] = data;
  if (!head || rows.length === 0)
    throw new RangeError('The file holds no hours: a head and one line an hour are needed.');
  if (rows.length > MOST_ROWS)
    throw new RangeError(`The file has ${rows.length} lines; send two years at most (${MOST_ROWS}) at a time.`);
  const columns = head.map(spelled);
  const columnOf = (name: string) => columns.indexOf(spelled(name));
  for (const needed of ['time', 'temperature'])
    if (columnOf(needed) < 0)
      throw new RangeError(
        `The first line must name the columns, with "${needed}" among them. Found: ${head.join(', ')}.`,
      );
  const comma = meta.delimiter === ';';
  const hours = new Map<number, HourRecord>();
  const bad: BadLine[] = [];
  rows.forEach((row, index) => {
    const read = readRow(row, columnOf, comma);
    if (typeof read === 'string') bad.push({ line: index + 2, message: read });
    else hours.set(read.at, read);
  });
  return { hours: [...hours.values()].sort((a, b) => a.at - b.at), bad };
}

function readRow(row: readonly string[], columnOf: (name: string) => number, comma: boolean): HourRecord | string {
  const time = row[columnOf('time')]?.trim() ?? '';
  const at = /(Z|[+-]\d{2}:?\d{2})$/i.test(time) ? Date.parse(time) : NaN;
  if (Number.isNaN(at)) return `The time "${time}" needs a date, an hour and an offset, as in 2026-05-14T13:00+01:00.`;
  const weather: Partial<Record<keyof Weather, number | null>> = {};
  for (const figure of FIGURES) {
    const cell = row[columnOf(figure)]?.trim() ?? '';
    const value = cell === '' ? null : Number(comma ? cell.replace(',', '.') : cell);
    const { least, most, unit } = WEATHER_COLUMNS[figure];
    if (value !== null && !(value >= least && value <= most))
      return `${figure} "${cell}" does not lie between ${least} and ${most} (${unit}).`;
    weather[figure] = value;
  }
  if (weather.temperature === null) return 'The temperature is missing.';
  return { at: Math.floor(at / HOUR) * HOUR, weather: weather as HourRecord['weather'] };
}

/**
 * Fills what a record does not say with what goes with the rest: gusts 1.6 times the wind, dew point 5 °C below, half a sky, no rain, no thunder.
 *
 * @param record one hour
 * @returns complete weather; common practice for the gaps
 * @example completed(record).gust
 */
export function completed({ weather }: HourRecord): Weather {
  const wind = weather.wind ?? 10;
  const temperature = weather.temperature ?? 0;
  return {
    temperature,
    dewPoint: weather.dewPoint ?? temperature - 5,
    wind,
    gust: weather.gust ?? wind * 1.6,
    rain: weather.rain ?? 0,
    cloud: weather.cloud ?? 0.5,
    thunder: weather.thunder ?? 0,
  };
}
