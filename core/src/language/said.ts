import type { Quantity } from '../units';

/** A sentence before it is in any language: which one it is, and the facts that it tells. Plain data, to be stored, sent and compared. */
export interface Said {
  /** Room and sentence: `care/feeder-empty`. */
  readonly say: string;
  readonly of?: object;
}

/** What people wrote themselves, or a sentence of ours. */
export type Text = string | Said;

/** How numbers, dates and sentences are written for somebody. */
export interface Way {
  /** A sentence within another. */
  text(text: Text): string;
  /** What an id of a set is called. */
  name(set: string, id: string): string;
  /** Day and month, with the year where it is not that of `today`. */
  day(date: string, today?: string): string;
  /** Day and month with the year. */
  date(date: string): string;
  /** Day of the week, day and month. */
  weekday(date: string): string;
  /** A time of the day, given as `HH:MM`. */
  clock(time: string): string;
  number(value: number, digits?: number): string;
  /** "1, 2 and 5". */
  list(parts: readonly (Text | number)[]): string;
  /** A measured figure in the reader's unit, without the unit, and the unit: for tables and ranges. */
  figure(quantity: Quantity, value: number, digits?: number): string;
  unit(quantity: Quantity): string;
  kg(value: number, digits?: number): string;
  litres(value: number, digits?: number): string;
  celsius(value: number, digits?: number): string;
  /** A difference between two temperatures, K. */
  degrees(value: number, digits?: number): string;
  /** Height of rain, mm. */
  rain(value: number, digits?: number): string;
  km(value: number, digits?: number): string;
  /** A length on the ground, m. */
  metres(value: number, digits?: number): string;
  /** A space in the hive, mm. */
  mm(value: number, digits?: number): string;
}

/** The sentences of a room: what each is told of, `null` where it tells nothing but itself. */
export type Facts<Catalogue> = { readonly [Code in keyof Catalogue]: object | null };

/** The sentences of a room in one language: a text, or what makes it from its facts. */
export type Sentences<Catalogue> = {
  readonly [Code in keyof Catalogue]: Catalogue[Code] extends null
    ? string | ((facts: null, way: Way) => string)
    : (facts: Catalogue[Code], way: Way) => string;
};

/**
 * How a room says its sentences.
 *
 * @param room the room's name, before the slash of each sentence
 * @returns a function from a sentence and its facts to a {@link Said}
 */
export const saying =
  <Catalogue extends Facts<Catalogue>>(room: string) =>
  <Code extends keyof Catalogue & string>(
    code: Code,
    ...[of]: Catalogue[Code] extends null ? [] : [of: Catalogue[Code]]
  ): Said =>
    of === undefined ? { say: `${room}/${code}` } : { say: `${room}/${code}`, of: of! };

const SAYS = /^[a-z]+\/[A-Za-z0-9-]+$/;

export const isSaid = (value: unknown): value is Said =>
  typeof value === 'object' &&
  value !== null &&
  'say' in value &&
  typeof value.say === 'string' &&
  SAYS.test(value.say);

/**
 * What an id is called, before it is in any language.
 *
 * @param set the set that it is an id of, as `words` lists them
 * @param id the id
 * @returns a text like any other
 */
export const named = (set: string, id: string): Said => ({ say: `name/${set}`, of: { id } });

/** Texts one after another, as one. */
export const inOne = (parts: readonly Text[], between = ' '): Said => ({
  say: 'language/in-one',
  of: { parts, between },
});

/** A list as it is said: "clover, lime and bramble". */
export const listed = (parts: readonly (Text | number)[]): Said => ({ say: 'language/listed', of: { parts } });

/** A date within a table or a step, with its year where it is not that of `today`. */
export const onDay = (date: string, today?: string): Said => ({ say: 'language/day', of: { date, today } });

/** What was given cannot be used; what is wrong with it is a text like any other. */
export class Unfit extends RangeError {
  constructor(readonly says: Text) {
    super(typeof says === 'string' ? says : says.say);
    this.name = 'Unfit';
  }
}

/** Whether two texts are the same words, or the same sentence of the same facts. */
export const sameText = (a: Text, b: Text): boolean => a === b || JSON.stringify(a) === JSON.stringify(b);
