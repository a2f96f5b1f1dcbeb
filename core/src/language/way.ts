import {
  type CivilDate,
  type Quantity,
  type UnitSystem,
  decimalsOf,
  inUnits,
  roundTo,
  spoken,
  unitSymbol,
} from '../units';
import { type Said, type Text, type Way, isSaid } from './said';

/** What this room itself says: how texts are put together. */
const TOGETHER = {
  'in-one': ({ parts, between }: { parts: readonly Text[]; between: string }, way: Way) =>
    parts.map((part) => way.text(part)).join(between),
  listed: ({ parts }: { parts: readonly (Text | number)[] }, way: Way) => way.list(parts),
  day: ({ date, today }: { date: CivilDate; today?: CivilDate }, way: Way) => way.day(date, today),
};

/** All rooms' sentences in one language. */
export interface Language {
  /** What each id is called, by the set that it is of. */
  readonly names: Readonly<Record<string, Readonly<Record<string, string>>>>;
  readonly sentences: Readonly<Record<string, Readonly<Record<string, unknown>>>>;
  /** "1, 2 and 5". */
  list(parts: readonly string[]): string;
  readonly dates: Dates;
}

/** How dates and clock times are written where somebody lives; the examples are those of Britain. */
export interface Dates {
  /** The habit's tag, for fields that write dates themselves. */
  readonly locale: string;
  /** "14 May", with the year where it is not that of `today`. */
  day(date: CivilDate, today?: CivilDate): string;
  /** "Thu 14 May", with the year where it is not that of `today`. */
  weekday(date: CivilDate, today?: CivilDate): string;
  /** "Thu 14". */
  short(date: CivilDate): string;
  /** "Thursday 14 May 2026". */
  long(date: CivilDate): string;
  /** "May", the month that a date is in. */
  month(date: CivilDate): string;
  /** "13:10" of "13:10". */
  clock(time: string): string;
  /** "13", an hour of the day below a chart. */
  hour(hour: number): string;
}

/**
 * How somebody is written to.
 *
 * @param language the language's sentences
 * @param system whose units figures are told in
 * @returns what sentences are made with
 */
export function wayOf(language: Language, system: UnitSystem = 'metric'): Way {
  const number = (value: number, digits?: number): string =>
    `${digits === undefined || !Number.isFinite(value) ? value : roundTo(value, digits)}`;
  const figure = (quantity: Quantity, value: number, digits?: number): string =>
    number(inUnits(quantity, value, system), decimalsOf(quantity, system, digits));
  const measured = (quantity: Quantity) => (value: number, digits?: number) =>
    `${figure(quantity, value, digits)} ${unitSymbol(quantity, system)}`;
  const way: Way = {
    text: (text) => (typeof text === 'string' ? text : sentence(language, text, way)),
    name: (set, id) => language.names[set]?.[id] ?? spoken(id),
    day: (date, today) => language.dates.day(date, today),
    date: (date) => language.dates.day(date, ''),
    weekday: (date) => language.dates.weekday(date),
    clock: (time) => language.dates.clock(time),
    number,
    list: (parts) => language.list(parts.map((part) => (typeof part === 'number' ? number(part) : way.text(part)))),
    figure,
    unit: (quantity) => unitSymbol(quantity, system),
    kg: measured('weight'),
    litres: measured('volume'),
    celsius: measured('temperature'),
    degrees: measured('temperature-difference'),
    rain: measured('rain'),
    km: measured('distance'),
    metres: measured('length'),
    mm: measured('gap'),
  };
  return way;
}

/** A sentence in words, its facts first. One that was kept by another version and is not known here is told by its own code. */
function sentence(language: Language, { say, of }: Said, way: Way): string {
  const [room, code] = say.split('/') as [string, string];
  if (room === 'name') return way.name(code, (of as { readonly id: string }).id);
  const made = room === 'language' ? TOGETHER[code as keyof typeof TOGETHER] : language.sentences[room]?.[code];
  if (made === undefined) return spoken(code);
  return typeof made === 'function'
    ? (made as (facts: unknown, way: Way) => string)(worded(of, way), way)
    : (made as string);
}

/** A value whose texts may still be sentences without a language. */
export type Sayable<T> = T extends string
  ? string extends T
    ? Text
    : T
  : T extends number | boolean | null | undefined
    ? T
    : T extends readonly (infer Each)[]
      ? readonly Sayable<Each>[]
      : { readonly [Key in keyof T]: Sayable<T[Key]> };

/** A value whose sentences are in words. */
export type InWords<T> = T extends Said
  ? string
  : T extends string | number | boolean | null | undefined
    ? T
    : { readonly [Key in keyof T]: InWords<T[Key]> };

/**
 * The same value with every sentence in words, at any depth.
 *
 * @param value plain data
 * @param way whose words
 * @returns the value itself where it holds no sentence
 */
export function inWords<T>(value: T, way: Way): InWords<T> {
  return worded(value, way) as InWords<T>;
}

function worded(value: unknown, way: Way): unknown {
  if (value === null || typeof value !== 'object') return value;
  if (Array.isArray(value)) {
    const now = value.map((each) => worded(each, way));
    return now.some((each, index) => each !== value[index]) ? now : (value as unknown);
  }
  if (isSaid(value)) return way.text(value);
  let now: Record<string, unknown> | null = null;
  for (const [key, each] of Object.entries(value)) {
    const said = worded(each, way);
    if (said !== each) (now ??= { ...value })[key] = said;
  }
  return now ?? value;
}
