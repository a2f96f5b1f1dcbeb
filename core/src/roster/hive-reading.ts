import { MARK_COLOURS, type MarkColour, type RecordedQueen, markColour, yearOfMark } from '../biology';
import { BOXES, HIVE_TYPES, type HiveTypeId, broodBoxOf } from '../equipment';
import { named } from '../language';
import { say } from './said';
import { type Answer, type Doubt, leaveOut } from './settle';
import type { HiveField } from './hive-fields';

/** Something read of a cell, or what is asked about it. */
interface Found<T> {
  readonly is: T;
  readonly doubts: readonly Doubt<HiveField>[];
}
const sure = <T>(is: T): Found<T> => ({ is, doubts: [] });

const doubt = (
  id: string,
  field: HiveField,
  says: Doubt<HiveField>['says'],
  answers: readonly Answer<HiveField>[],
  alike: string | null = null,
): Doubt<HiveField> => ({ id, field, says, answers: [...answers, leaveOut()], alike });

const NOTHING = /^([-–—?.]|none|no|nil|n\/?a)?$/i;
const WORDS = ['no', 'one', 'two', 'three', 'four', 'five', 'six'];
const COUNT = `\\d+|${WORDS.join('|')}`;

const countOf = (text: string): number =>
  WORDS.includes(text.toLowerCase()) ? WORDS.indexOf(text.toLowerCase()) : Number(text);

/** Most boxes of a kind that anybody stacks. */
const MOST_BOXES = 8;

/** What stands in a cell about boxes; `null` where it says nothing. */
export interface ReadBoxes {
  readonly brood: number | null;
  readonly supers: number | null;
  readonly frames: number | null;
}

/**
 * Reads boxes as people note them: "1 + 2", "10 frames, 1+1", "2 brood, 1 super", "double".
 *
 * @param text the cell
 * @returns brood boxes, supers and frames of a brood box; undefined where it cannot be read
 * @example readBoxes('11 frames, 1 + two') // { brood: 1, supers: 2, frames: 11 }
 */
export function readBoxes(text: string): ReadBoxes | undefined {
  const framed = /(\d+)\s*(?:frames?|fr\.?|bars?)(?![a-z])[,;:]?/i.exec(text);
  const frames = framed ? Number(framed[1]) : null;
  const rest = text.replace(framed?.[0] ?? '', '').trim();
  if (NOTHING.test(rest)) return { brood: null, supers: null, frames };
  if (/^(single|double|triple)$/i.test(rest))
    return { brood: ['single', 'double', 'triple'].indexOf(rest.toLowerCase()) + 1, supers: null, frames };
  const both =
    new RegExp(`^(${COUNT})\\s*[+/]\\s*(${COUNT})$`, 'i').exec(rest) ??
    new RegExp(
      `^(${COUNT})\\s*b(?:b|r\\w*)?(?:\\s+box(?:es)?)?\\s*[,;+&/]?\\s*(?:and\\s+)?(${COUNT})\\s*s\\w*$`,
      'i',
    ).exec(rest);
  if (both) return believed({ brood: countOf(both[1]!), supers: countOf(both[2]!), frames });
  const one = new RegExp(`^(${COUNT})(?:\\s*b(?:b|r\\w*)?(?:\\s+box(?:es)?)?)?$`, 'i').exec(rest);
  return one ? believed({ brood: countOf(one[1]!), supers: null, frames }) : undefined;
}

/** Nobody stacks a year. */
const believed = (boxes: ReadBoxes): ReadBoxes | undefined =>
  Math.max(boxes.brood ?? 0, boxes.supers ?? 0) <= MOST_BOXES ? boxes : undefined;

/** A count in a column of its own. */
const countIn = (text: string): number | null | undefined => {
  if (NOTHING.test(text) && !/^no(ne)?$/i.test(text)) return null;
  if (/^none$/i.test(text)) return 0;
  return new RegExp(`^(${COUNT})$`, 'i').test(text) ? countOf(text) : undefined;
};

/** Brood boxes, supers and frames of a row, from one column or several. */
export function boxesOf(
  cells: Readonly<Record<HiveField, string>>,
  type: HiveTypeId,
): Found<{ readonly brood: number; readonly supers: number; readonly frames: number | null }> {
  const doubts: Doubt<HiveField>[] = [];
  const whole = readBoxes(cells.boxes);
  if (whole === undefined) doubts.push(unreadBoxes(cells.boxes));
  const own = (field: 'brood' | 'supers' | 'frames', likely: readonly number[]): number | null => {
    const count = countIn(cells[field]);
    if (count !== undefined && (count ?? 0) <= (field === 'frames' ? 40 : MOST_BOXES)) return count;
    const answers = likely.map((each) => ({
      says: say('it-is', { text: each }),
      then: { cells: { [field]: `${each}` } },
    }));
    doubts.push(doubt(field, field, say('no-boxes', { text: cells[field], what: field }), answers));
    return null;
  };
  const takes = BOXES[broodBoxOf(type)].frames;
  const brood = own('brood', [1, 2]) ?? whole?.brood ?? 1;
  const supers = own('supers', [0, 1, 2]) ?? whole?.supers ?? 0;
  const frames = own('frames', [takes]) ?? whole?.frames ?? null;
  if (frames !== null && frames > takes) {
    const fewer = { says: say('it-is', { text: takes }), then: { cells: { frames: `${takes}` } } };
    doubts.push(doubt('takes', 'frames', say('box-takes', { box: broodBoxOf(type), takes, frames }), [fewer]));
  }
  if (HIVE_TYPES[type].horizontal && brood + supers > 1) {
    const one = { says: say('it-is', { text: 1 }), then: { cells: { boxes: '', brood: '1', supers: '0' } } };
    doubts.push(doubt('body', cells.boxes === '' ? 'brood' : 'boxes', say('one-body'), [one]));
  }
  return { is: { brood: Math.max(1, brood), supers, frames }, doubts };
}

/** "1 + two?": what can be read of it is kept, the rest is offered. */
function unreadBoxes(text: string): Doubt<HiveField> {
  const [, before, brood] = /^(.*?)(\d+)\s*[+/]/.exec(text) ?? [];
  const word = new RegExp(`[+/].*?\\b(${COUNT})\\b`, 'i').exec(text)?.[1];
  const likely = [...new Set([word === undefined ? 1 : countOf(word), 0])].filter((each) => each <= MOST_BOXES);
  const answers = brood
    ? likely.map((each) => ({
        says: say('it-is', { text: each }),
        then: { cells: { boxes: `${before ?? ''}${brood} + ${each}` } },
      }))
    : [1, 2].map((each) => ({ says: say('it-is', { text: each }), then: { cells: { boxes: `${each}` } } }));
  const what = brood ? 'supers' : 'brood';
  return doubt('boxes', 'boxes', say('no-boxes', { text: text.replace(/^.*[+/]\s*/, ''), what }), answers);
}

/** Older queens than this are asked about. */
const OLD = 5;

/**
 * Reads a queen as people note her: "2025, blue", "25", "green", "marked 2024", "unmarked 2023", "none".
 *
 * @param text the cell
 * @param year this calendar year
 * @returns her year and whether she is marked; `null` where nobody knows one
 */
export function queenOf(text: string, year: number): Found<RecordedQueen | null> {
  if (NOTHING.test(text) || /^(unknown|queenless|virgin|not seen)$/i.test(text)) return sure(null);
  const colour = MARK_COLOURS.find((each) => new RegExp(`\\b${each}\\b`, 'i').test(text));
  const figure = /\b((?:19|20)\d\d|(?<!\d)'?\d\d)(?!\d)/.exec(text)?.[1]?.replace("'", '');
  const reared = figure === undefined ? undefined : figure.length === 2 ? 2000 + Number(figure) : Number(figure);
  const marked = colour !== undefined || (/\bmarked\b/i.test(text) && !/\b(un|not )marked\b/i.test(text));
  const unknown: Answer<HiveField> = { says: say('not-known'), then: { cells: { queen: '' } } };
  const of = (each: number, wears: MarkColour | null): Answer<HiveField> => ({
    says: say('of-year', { year: each, colour: wears }),
    then: { cells: { queen: wears === null ? `${each}` : `${each} ${wears}` } },
  });
  if (reared === undefined && colour === undefined)
    return { is: null, doubts: [doubt('queen', 'queen', say('no-queen', { text }), [unknown])] };
  if (reared === undefined) return sure({ year: yearOfMark(colour!, year), marked: true });
  const queen = { year: reared, marked };
  const ask = (
    says: Doubt<HiveField>['says'],
    ...answers: readonly Answer<HiveField>[]
  ): Found<RecordedQueen | null> => ({
    is: queen,
    doubts: [doubt('queen', 'queen', says, answers)],
  });
  if (reared > year) return ask(say('queen-of-the-future', { year: reared }), unknown);
  if (colour !== undefined && markColour(reared) !== colour) {
    const stands = yearOfMark(colour, year);
    return ask(
      say('colour-of-another-year', { colour, stands, year: reared, wears: markColour(reared) }),
      of(stands, colour),
      of(reared, markColour(reared)),
      { says: say('leave-as-is'), then: { accepted: ['queen'] } },
    );
  }
  if (year - reared > OLD)
    return ask(say('old-queen', { year: reared, age: year - reared }), unknown, {
      says: say('leave-as-is'),
      then: { accepted: ['queen'] },
    });
  return sure(queen);
}

/** A day as people write one, the usual one where nothing stands; figures of a month and a day are read day first. */
export function dayOf(text: string, today: string, usual: string): Found<string> {
  const ask = (says: Doubt<HiveField>['says']): Found<string> => ({
    is: usual,
    doubts: [doubt('since', 'since', says, [{ says: say('since-usual'), then: { cells: { since: '' } } }])],
  });
  if (NOTHING.test(text)) return sure(usual);
  const [, y, m, d] = /^(\d{4})-(\d{1,2})-(\d{1,2})$/.exec(text) ?? [];
  const [, dd, mm, yy] = /^(\d{1,2})[./ -](\d{1,2})[./ -](\d{4})$/.exec(text) ?? [];
  const parts = y ? [y, m, d] : yy ? [yy, mm, dd] : /^\d{4}$/.test(text) ? [text, '01', '01'] : null;
  const day = parts?.map((part, at) => part!.padStart(at === 0 ? 4 : 2, '0')).join('-');
  const at = day === undefined ? Number.NaN : Date.parse(`${day}T00:00:00Z`);
  if (day === undefined || Number.isNaN(at) || new Date(at).toISOString().slice(0, 10) !== day || day < '1990')
    return ask(say('no-day', { text }));
  return day > today ? ask(say('day-ahead', { text })) : sure(day);
}

/** A type by what it is called; the usual one where nothing stands there. */
export function typeOf(
  text: string,
  usual: HiveTypeId,
  types: readonly { readonly id: HiveTypeId; readonly name: string }[],
): Found<HiveTypeId> {
  if (NOTHING.test(text)) return sure(usual);
  const same = (a: string, b: string) =>
    a.toLowerCase().replaceAll(/[^\p{L}\p{N}]/gu, '') === b.toLowerCase().replaceAll(/[^\p{L}\p{N}]/gu, '');
  const known = types.filter(({ id, name }) => same(text, id) || same(text, name));
  const like = types.filter(({ id, name }) => `${id} ${name}`.toLowerCase().includes(text.toLowerCase()));
  const found = known[0] ?? (like.length === 1 ? like[0] : undefined);
  if (found) return sure(found.id);
  const offered = like.length > 0 ? like : types.filter(({ id }) => id === usual);
  const answers = offered.slice(0, 4).map(({ id }) => ({
    says: say('it-is', { text: named('hiveType', id) }),
    then: { cells: { type: id } },
  }));
  return { is: usual, doubts: [doubt('type', 'type', say('no-type', { text }), answers, `type ${text}`)] };
}
