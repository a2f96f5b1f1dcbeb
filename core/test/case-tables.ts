import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import type { Situation, SituationVisit } from '../src/situation';
import { SITUATION_FORMAT } from '../src/situation';
import { addDays, spoken } from '../src/units';

/** One row of a table in `docs/cases`. */
export interface Case {
  readonly situation: string;
  readonly given: Situation;
  readonly says: string;
  readonly never: readonly string[];
}

const PLACES = {
  maritime: { latitude: 53.4, longitude: -1.6, height: 100 },
  'cold-continental': { latitude: 46.5, longitude: -94, height: 380 },
  'cool-maritime': { latitude: 58.5, longitude: -3.2, height: 30 },
  'mild-winter': { latitude: 34, longitude: -84, height: 300 },
  subtropical: { latitude: 27.5, longitude: -82, height: 10 },
  south: { latitude: -37.8, longitude: 145, height: 60 },
} as const;

const times = (count: number, line: string) => Array.from({ length: count }, () => line);
/** Twenty-two sides of eleven National frames, from the first frame's low side on. */
const NESTS = {
  good: [
    ...times(5, '4H 4C B3'),
    ...times(3, '3H 1P 4C B4'),
    ...times(6, '2H 1P 1E 1L 3S B6'),
    ...times(3, '3H 1P 4C B4'),
    ...times(5, '4H 4C B3'),
  ],
  poor: [...times(8, '8C B3'), ...times(6, '1P 1E 2L 4S B7'), ...times(8, '8C B3')],
  crowded: times(22, '2H 1N 1P 1E 1L 2S B8'),
  broodless: [...times(3, '8C B2'), ...times(16, '6H 2C B4'), ...times(3, '8C B2')],
  autumn: [...times(7, '5H 3C B4'), ...times(8, '3H 1P 1E 1L 2S B6'), ...times(7, '5H 3C B4')],
  young: [...times(8, '4H 4C B4'), ...times(6, '2H 1P 2L 3S B6 .young-larvae'), ...times(8, '4H 4C B4')],
  sealed: [...times(8, '4H 4C B4'), ...times(6, '2H 1P 5S B6'), ...times(8, '4H 4C B4')],
  empty: [...times(8, '4H 4C B4'), ...times(6, '2H 1P 5C B6'), ...times(8, '4H 4C B4')],
  few: [...times(9, '3H 5C B0'), ...times(4, '2H 1P 5C B5'), ...times(9, '3H 5C B0')],
  drones: [...times(8, '4H 4C B4'), ...times(6, '2H 1E 1L 2D 2C B5'), ...times(8, '4H 4C B4')],
  'drone-comb': [
    ...times(4, '4H 4C B4'),
    ...times(2, '6D 2H B5'),
    ...times(8, '2H 1P 1E 1L 3S B6'),
    ...times(8, '4H 4C B4'),
  ],
  hungry: [...times(8, '4H 4C B5'), ...times(6, '2H 1E 1L 4S B7'), ...times(8, '4H 4C B5')],
  short: [...times(7, '2H 6C B5'), ...times(8, '1P 1E 1L 2S 3C B6'), ...times(7, '2H 6C B5')],
  heavy: [...times(7, '8H B4'), ...times(8, '5H 1P 1E 1S B6'), ...times(7, '8H B4')],
  'hungry-crowded': times(22, '1P 1E 2L 4S B8'),
  small: [...times(9, '4H 4C B2'), ...times(6, '3H 1P 1E 1L 2S B5'), ...times(7, '4H 4C B2')],
  'edge-bare': [
    ...times(2, '8F B2'),
    ...times(2, '4H 4C B7'),
    ...times(14, '2H 1P 1E 1L 3S B8'),
    ...times(2, '4H 4C B7'),
    ...times(2, '8F B2'),
  ],
  split: [
    ...times(8, '4H 4C B2'),
    ...times(2, '3H 1P 1E 1L 2S B5'),
    ...times(2, '8F B1'),
    ...times(2, '3H 1P 1E 1L 2S B5'),
    ...times(8, '4H 4C B2'),
  ],
  'split-strong': [...times(8, '2H 1P 1E 1L 3S B8'), ...times(2, '8F B6'), ...times(12, '2H 1P 1E 1L 3S B8')],
  'split-uncounted': [...times(8, '2H 1P 1E 1L 3S'), ...times(2, '8F'), ...times(12, '2H 1P 1E 1L 3S')],
  spare: [...times(4, '8C B4'), ...times(12, '2H 1P 1E 1L 3S B7'), ...times(6, '4H 4C B4')],
  'just-too-small': [...times(8, '4H 4C B1'), ...times(6, '3H 1P 1E 1L 2S B5'), ...times(8, '4H 4C B1')],
  handful: [...times(10, '8C B0'), ...times(2, '3H 1E 1L 2S 1C B5'), ...times(10, '8C B0')],
  stretched: [...times(6, '2H 6C B1'), ...times(10, '1H 1E 2L 4S B2'), ...times(6, '2H 6C B1')],
  'just-covered': [...times(7, '4H 4C B1'), ...times(8, '1H 1P 1E 1L 3S 1C B5'), ...times(7, '4H 4C B1')],
  grown: [...times(4, '4H 4C B4'), ...times(14, '1H 1P 1E 1L 4S B7'), ...times(4, '4H 4C B4')],
  shrunk: [...times(8, '4H 4C B2'), ...times(6, '3H 1P 1E 1L 2S B4'), ...times(8, '4H 4C B2')],
  'shrunk-hungry': [...times(9, '8C B2'), ...times(5, '1H 1P 1E 1L 2S 2C B4'), ...times(8, '8C B2')],
  'shrunk-no-pollen': [...times(8, '4H 4C B2'), ...times(6, '3H 1E 1L 2S 1C B4'), ...times(8, '4H 4C B2')],
  'shrunk-bound': [...times(8, '6H 2N B2'), ...times(6, '3H 1P 1N 1E 2S B4'), ...times(8, '6H 2N B2')],
  tiny: [...times(9, '8C B1'), ...times(4, '3H 1P 1E 1L 2S B5'), ...times(9, '8C B1')],
} as const;
const SIDES = 22;
/** The side on which queen cells hang. */
const CELL_SIDE = 9;
const DATE = /\d{4}-\d{2}-\d{2}/;

const isDay = (piece: string) => piece.startsWith('on ');

/** Sides of a box in shorthand, each with its frame and the neighbour that it looks toward. */
const addressed = (sides: readonly string[]): readonly string[] =>
  sides.map((line, at) => {
    const frame = Math.floor(at / 2) + 1;
    return `${frame}/${at % 2 === 0 ? frame - 1 : frame + 1}: ${line}`;
  });

/** Twenty sides of a super, by how full it is. */
const FILLS: Readonly<Record<string, string>> = {
  full: '8H B4',
  most: '6H 2C B4',
  half: '4H 4C B4',
  quarter: '2H 6C B4',
  empty: '8C B2',
};
const superOf = (fill: string) => times(20, FILLS[fill]!);

type Draft = { -readonly [Key in keyof Situation]: Situation[Key] };

/** The situation of a row, piece by piece. */
export function situationOf(given: string): Situation {
  const pieces = given
    .split(';')
    .map((piece) => piece.trim())
    .filter(Boolean);
  const draft: Draft = {
    format: SITUATION_FORMAT,
    date: '2026-05-14',
    site: PLACES.maritime,
    hive: { stack: ['floor', 'national-brood', 'crown-board', 'roof'] },
  };
  let nest: readonly string[] = NESTS.good;
  let read = SIDES;
  let cells = '';
  let above: readonly string[] = [];
  const marks = new Map<number, string[]>();
  const doubts = new Set<number>();
  const visit: { -readonly [Key in keyof SituationVisit]: SituationVisit[Key] } = {};
  const before = new Map<string, SituationVisit>();
  const events: NonNullable<Situation['events']>[number][] = [];
  // The day first: other pieces count from it.
  for (const piece of [...pieces.filter(isDay), ...pieces.filter((each) => !isDay(each))]) {
    const [word, ...rest] = piece.split(/\s+/);
    const said = rest.join(' ');
    const date = DATE.exec(said)?.[0];
    if (word === 'on') draft.date = said;
    else if (word === 'at') draft.site = PLACES[said as keyof typeof PLACES];
    else if (word === 'phase') draft.season = { ...draft.season, phase: said as never };
    else if (word === 'nest') nest = NESTS[said as keyof typeof NESTS];
    else if (word === 'read') read = Number(said);
    else if (word === 'blooming') {
      const [plants] = said.split(' on ');
      draft.season = {
        ...draft.season,
        plants:
          plants === 'nothing'
            ? []
            : plants!
                .split(', ')
                .map((plant) => ({ plant, first: addDays(draft.date, -5), last: addDays(draft.date, 10) })),
      };
    } else if (word === 'rain') {
      draft.weather = Array.from({ length: 8 }, (_, day) => ({
        date: addDays(draft.date, day),
        low: 8,
        high: 14,
        rain: day < 1 + Number(rest[0]) ? 8 : 0,
      }));
    } else if (word === 'outside') {
      const [what, width] = rest;
      const look = what === 'entrance' ? { entrance: width as never } : { [what!]: true };
      visit.outside = { ...visit.outside, ...look };
    } else if (word === 'wasps') {
      const wasps = { what: 'wasps', aMinute: Number(rest[0]), pastGuards: rest[1] === 'past' } as const;
      visit.measures = [...(visit.measures ?? []), wasps];
    } else if (word === 'strain') draft.colony = { ...draft.colony, strain: said as never };
    else if (word === 'queen')
      draft.colony = { ...draft.colony, queen: { ...draft.colony?.queen, year: Number(said) } };
    else if (word === 'seen') visit.ticks = { ...visit.ticks, queen: true };
    else if (word === 'cells') {
      const [count, content, place] = rest;
      cells += content === 'unknown' ? ` K${count}` : ` ${times(Number(count), `${content}@${place}`).join(' ')}`;
    } else if (word === 'school') draft.practice = { mites: said as never };
    else if (word === 'super') {
      draft.hive = { stack: ['floor', 'national-brood', 'excluder', 'national-super', 'crown-board', 'roof'] };
      if (said !== '') above = superOf(said);
    } else if (word === 'double')
      draft.hive = { stack: ['floor', 'national-brood', 'national-brood', 'crown-board', 'roof'] };
    else if (word === 'top-bar')
      draft.hive = { stack: ['floor', { box: 'top-bar-body', id: 'brood box', frames: 11 }, 'roof'] };
    else if (word === 'nucleus') {
      draft.hive = { stack: ['floor', { box: 'nucleus-national', frames: 5 }, 'crown-board', 'roof'] };
      read = 10;
    } else if (word === 'clipped') draft.colony = { ...draft.colony, queen: { ...draft.colony?.queen, clipped: true } };
    else if (word === 'boxes') draft.practice = { ...draft.practice, broodBoxes: Number(said) as 1 | 2 };
    else if (word === 'doubt') doubts.add(Number(said));
    else if (word === 'weighed') {
      const weight = { what: 'weight', part: 'super 1', how: 'scale', kg: Number(rest[1]) } as const;
      visit.measures = [...(visit.measures ?? []), weight];
    } else if (word === 'fed') {
      const [what, kg] = rest;
      events.push({ date: date!, kind: 'feed', what: what as never, kg: Number(kg) });
    } else if (word === 'days' && rest[0] === 'ago') {
      const [, days, , fill] = rest;
      before.set(addDays(draft.date, -parseInt(days!)), { sides: { 'super 1': addressed(superOf(fill!)) } });
    } else if (word === 'looked') {
      const [days, , , was] = rest;
      before.set(addDays(draft.date, -parseInt(days!)), {
        sides: { 'brood box': addressed(NESTS[was as keyof typeof NESTS]) },
      });
    } else if (word === 'aim') events.push({ date: '2020-01-01', kind: 'aim', of: said as never });
    else if (word === 'drives') draft.practice = { ...draft.practice, stimulates: true };
    else if (word === 'noted') {
      const [trait, , ...dates] = rest;
      for (const day of dates) events.push({ date: day, kind: 'trait', trait: trait as never });
    } else if (word === 'tempers')
      rest.forEach((score, at) => {
        const day = addDays(draft.date, -12 * (rest.length - 1 - at));
        if (at === rest.length - 1) visit.mood = Number(score);
        else before.set(day, { mood: Number(score) });
      });
    else if (word === 'nights') {
      draft.weather = Array.from({ length: 8 }, (_, day) => ({
        date: addDays(draft.date, day),
        low: Number(rest[0]) + (day === 2 ? 0 : 2),
        high: Number(rest[0]) + 12,
        rain: 0,
      }));
    } else if (word === 'rim') draft.hive = { stack: ['floor', 'national-brood', 'spacer', 'crown-board', 'roof'] };
    else if (word === 'stray' || word === 'cleared') {
      const [place, cause, content] = rest as [never, never, never];
      const stray = { place, part: 'brood box', cause, content, removed: word === 'cleared' };
      visit.strayCombs = [...(visit.strayCombs ?? []), stray];
    } else if (word === 'gap') {
      const gap = { what: 'gap', between: 'top bars and excluder', mm: Number(rest[0]) } as const;
      visit.measures = [...(visit.measures ?? []), gap];
    } else if (word === 'defect') {
      const [defect, part] = rest as [never, string];
      visit.defects = [...(visit.defects ?? []), { part: spoken(part), defect }];
    } else if (word === 'unchecked') visit.checks = { [said]: false };
    else if (word === 'left') events.push({ date: addDays(draft.date, -7), kind: 'super-left-as-winter-food' });
    else if (word === 'hefted') {
      const weight = { what: 'weight', part: 'brood box', how: 'hefted', kg: Number(rest[0]) } as const;
      visit.measures = [...(visit.measures ?? []), weight];
    } else if (word === 'mark') {
      const [mark, frames] = said.split(' on ');
      for (const frame of frames!.split(',').map(Number)) marks.set(frame, [...(marks.get(frame) ?? []), mark!]);
    } else if (word === 'found') {
      const [finding, count] = rest;
      const note = {
        finding: finding as never,
        found: count !== 'no',
        ...(Number(count) ? { count: Number(count) } : {}),
      };
      visit.findings = [...(visit.findings ?? []), note];
    } else if (word === 'stick') {
      const [larva, threadMm] = rest;
      const test = { lid: 'sunken', larva: larva as never, threadMm: Number(threadMm), foulSmell: false } as const;
      visit.measures = [...(visit.measures ?? []), { what: 'ropiness', test }];
    } else if (word === 'suspected') events.push({ date: date!, kind: 'suspicion', of: said.split(' on ')[0]! });
    else if (word === 'settled') events.push({ date: date!, kind: 'suspicion-settled' });
    else if (word === 'virgin') events.push({ date: date!, kind: 'queen', start: 'virgin-emerged' });
    else if (word === 'washed' || word === 'rolled') {
      const [mites, , bees] = rest.map(Number);
      const method = word === 'washed' ? 'alcohol-wash' : 'sugar-roll';
      const measures = [{ what: 'mites-on-bees', method, bees: bees!, mites: mites! } as const];
      if (date) before.set(date, { measures });
      else visit.measures = [...(visit.measures ?? []), ...measures];
    } else if (word === 'untreated') {
      const [mites, , bees] = rest.map(Number);
      const own = draft.untreated?.[0] ?? [];
      draft.untreated = [[...own, { date: date!, method: 'alcohol-wash', bees: bees!, mites: mites! }]];
    } else if (word === 'drone-frame') events.push({ date: date!, kind: 'drone-comb-in' });
    else if (word === 'gave') {
      const days = /for (\d+) days/.exec(said)?.[1];
      const medicine = said.split(' on ')[0]!;
      events.push({
        date: date!,
        kind: 'treatment',
        medicine,
        repeatAfter: null,
        doses: 1,
        removeAfter: Number(days ?? 14),
        withdrawal: 28,
      });
      if (days) events.push({ date: addDays(date!, Number(days)), kind: 'treatment-out' });
    } else if (word === 'days') {
      const [low, , high] = rest.map(Number);
      draft.weather = Array.from({ length: 15 }, (_, day) => ({
        date: addDays(draft.date, day),
        low: (low! + high!) / 2 - 8,
        high: low! + ((high! - low!) * (day % 4)) / 3,
        rain: 0,
      }));
    } else throw new Error(`"${piece}" is no piece of a case`);
  }
  const lines = addressed(
    nest.map((line, at) => {
      const words = at % 2 === 0 ? (marks.get(Math.floor(at / 2) + 1) ?? []).map((mark) => ` .${mark}`).join('') : '';
      const doubt = at % 2 === 0 && doubts.has(Math.floor(at / 2) + 1) ? ' !' : '';
      return `${line}${words}${doubt}${at === CELL_SIDE ? cells : ''}`;
    }),
  );
  return {
    ...draft,
    events,
    before: [...before].map(([date, look]) => ({ date, ...look })),
    visit: {
      ...visit,
      sides: { 'brood box': lines.slice(0, read), ...(above.length > 0 ? { 'super 1': addressed(above) } : {}) },
    },
  };
}

/** Cells of the first table of a Markdown text, without its head. */
export const rowsOf = (text: string): readonly (readonly string[])[] =>
  text
    .split('\n')
    .filter((line) => line.startsWith('|'))
    .map((line) =>
      line
        .split('|')
        .slice(1, -1)
        .map((cell) => cell.trim()),
    )
    .slice(2);

/** The rows of a table in `docs/cases`. */
export function casesOf(name: string): readonly Case[] {
  const text = readFileSync(join(import.meta.dirname, '../../docs/cases', `${name}.md`), 'utf8');
  return rowsOf(text).map(([situation, given, says, never]) => ({
    situation: situation!,
    given: situationOf(given!),
    says: says!,
    never: never === '' ? [] : [never!],
  }));
}
