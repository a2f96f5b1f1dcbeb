import { say } from './said';
import { type Text, Unfit } from '../language';
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
  readonly message: Text;
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
 * @throws Unfit when the head lacks a needed column or there is nothing to read
 * @example readWeatherCsv('time,temperature\n2026-05-14T12:00Z,16.2\n').hours[0].weather.temperature // 16.2
 */
export function readWeatherCsv(text: string): WeatherFile {
  const { data, meta } = Papa.parse<string[]>(text.replace(/^\uFEFF/, ''), {
    delimitersToGuess: [',', ';', '\t'],
  });
  const lines = data.flatMap((row, index) =>
    row.some((cell) => cell.trim() !== '') ? [{ row, line: index + 1 }] : [],
  );
  const head = lines[0]?.row;
  const rows = lines.slice(1);
  if (!head || rows.length === 0) throw new Unfit(say('no-hours'));
  if (rows.length > MOST_ROWS) throw new Unfit(say('too-many-lines', { lines: rows.length, most: MOST_ROWS }));
  const columns = head.map(spelled);
  const columnOf = (name: string) => columns.indexOf(spelled(name));
  for (const needed of ['time', 'temperature'])
    if (columnOf(needed) < 0) throw new Unfit(say('no-column', { needed, found: head }));
  const comma = meta.delimiter === ';';
  const hours = new Map<number, HourRecord>();
  const bad: BadLine[] = [];
  for (const { row, line } of rows) {
    const read = readRow(row, columnOf, comma);
    if ('says' in read) bad.push({ line, message: read.says });
    else hours.set(read.at, read);
  }
  return { hours: [...onWholeHours([...hours.values()])].sort((a, b) => a.at - b.at), bad };
}

/** An instant with its offset, on a day that there is; `null` otherwise. */
function instantOf(time: string): number | null {
  if (!/^\d{4}-\d{2}-\d{2}[T ].*(Z|[+-]\d{2}:?\d{2})$/i.test(time)) return null;
  const day = time.slice(0, 10);
  const midnight = Date.parse(`${day}T00:00:00Z`);
  if (Number.isNaN(midnight) || new Date(midnight).toISOString().slice(0, 10) !== day) return null;
  const at = Date.parse(time);
  return Number.isNaN(at) ? null : at;
}

/** A record is told of an hour only when it covers at least so much of it. */
const COVERS = 0.5;

/**
 * Records on whole UTC hours. Where an hour of the file begins between two of ours, as in zones with half-hour offsets, each of ours is the mean
 * of the two that it lies in, by how much of each.
 */
function onWholeHours(records: readonly HourRecord[]): readonly HourRecord[] {
  const parts = new Map<number, { readonly share: number; readonly weather: HourRecord['weather'] }[]>();
  const add = (at: number, share: number, weather: HourRecord['weather']) => {
    if (share > 0) parts.set(at, [...(parts.get(at) ?? []), { share, weather }]);
  };
  for (const { at, weather } of records) {
    const hour = Math.floor(at / HOUR) * HOUR;
    const late = (at - hour) / HOUR;
    add(hour, 1 - late, weather);
    add(hour + HOUR, late, weather);
  }
  return [...parts].flatMap(([at, of]) => {
    if (of.reduce((sum, { share }) => sum + share, 0) < COVERS) return [];
    const weather = Object.fromEntries(
      FIGURES.map((figure) => {
        const told = of.flatMap(({ share, weather: each }) => {
          const value = each[figure];
          return value === null ? [] : [{ share, value }];
        });
        const shares = told.reduce((sum, { share }) => sum + share, 0);
        return [figure, shares === 0 ? null : told.reduce((sum, { share, value }) => sum + share * value, 0) / shares];
      }),
    ) as HourRecord['weather'];
    return [{ at, weather }];
  });
}

/** A plain decimal figure; other ways to write numbers (hexadecimal, words) give NaN, which lies in no span. */
const figureOf = (cell: string): number => (/^[+-]?(\d+\.?\d*|\.\d+)(e[+-]?\d+)?$/i.test(cell) ? Number(cell) : NaN);

function readRow(
  row: readonly string[],
  columnOf: (name: string) => number,
  comma: boolean,
): HourRecord | { says: Text } {
  const time = row[columnOf('time')]?.trim() ?? '';
  const at = instantOf(time);
  if (at === null) return { says: say('no-time', { time }) };
  const weather: Partial<Record<keyof Weather, number | null>> = {};
  for (const figure of FIGURES) {
    const cell = row[columnOf(figure)]?.trim() ?? '';
    const value = cell === '' ? null : figureOf(comma ? cell.replace(',', '.') : cell);
    const { least, most, unit } = WEATHER_COLUMNS[figure];
    if (value !== null && !(value >= least && value <= most))
      return { says: say('figure-out-of-range', { figure, cell, least, most, unit }) };
    weather[figure] = value;
  }
  if (weather.temperature === null) return { says: say('no-temperature') };
  return { at, weather: weather as HourRecord['weather'] };
}

/**
 * Fills what a record does not say with what goes with the rest: gusts 1.6 times the wind, dew point 5 °C below, half a sky, no rain, no thunder.
 *
 * @param record one hour
 * @returns complete weather; common practice for the gaps
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
