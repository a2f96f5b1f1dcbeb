import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { describe, expect, it } from 'vitest';
import {
  type CalendarFacts,
  type ColonyEvent,
  type ColonyRecord,
  DEFAULT_CALENDAR,
  type ExpectedFacts,
  type Found,
  type Opening,
  type Strain,
  colonyCalendar,
  combOfFrame,
  expectedState,
  feedsSince,
  queenInTheMaking,
  readFinding,
  starvationWatch,
  swarmRisk,
} from '../src/care';
import { type Forage, type PhaseSpan } from '../src/season';
import { type CivilDate, addDays, daysBetween } from '../src/units';
import { inEnglish } from '../src/words';
import { yearOf } from './calendar-year';
import { rowsOf } from './case-tables';

const TABLE = join(import.meta.dirname, '../../docs/cases/calendar.md');

interface Given {
  today: CivilDate;
  place: string;
  strain: Strain;
  events: ColonyEvent[];
  openings: Opening[];
  supers: { name: string; since: CivilDate | null }[];
  forage: Forage[];
  colonyClass: CalendarFacts['colonyClass'];
  last: ColonyRecord | null;
  found: Found | null;
  poor: number | null;
  wet: number;
  fit: number;
  flow: CivilDate | null;
  cells: number;
  seasons: number | null;
  room: number;
  catches: boolean;
}

const pairs = (words: readonly string[]): Readonly<Record<string, number>> =>
  Object.fromEntries(Array.from({ length: words.length / 2 }, (_, at) => [words[at * 2]!, Number(words[at * 2 + 1])]));
const number = (text: string, pattern: RegExp): number | null => {
  const found = pattern.exec(text)?.[1];
  return found === undefined ? null : Number(found);
};

type Take = (given: Given, words: readonly string[], said: string) => void;
/** The pieces of a row, by their first word; a day at the end of a piece is when it was done. */
const PIECES: Readonly<Record<string, Take>> = {
  on: (given, [day]) => (given.today = day!),
  at: (given, [place]) => (given.place = place!),
  strain: (given, [strain]) => (given.strain = strain as Strain),
  class: (given, [of]) => (given.colonyClass = of as never),
  opened: (given, [date, minutes, stings, how]) =>
    given.openings.push({ date: date!, minutes: Number(minutes), stings: Number(stings), deep: how !== 'shallow' }),
  stands: (given, words) => given.supers.push({ name: `super ${given.supers.length + 1}`, since: words[0] ?? null }),
  hived: (given, [as, date]) => given.events.push({ kind: 'hived', as: as as never, date: date! }),
  queen: (given, [start, date]) => given.events.push({ kind: 'queen', start: start as never, date: date! }),
  gave: (given, words, said) =>
    given.events.push({
      kind: 'treatment',
      date: words.at(-1)!,
      medicine: words[0]!.replaceAll('-', ' '),
      doses: number(said, /doses (\d+)/) ?? 1,
      repeatAfter: number(said, /every (\d+)/),
      removeAfter: number(said, /out (\d+)/),
      withdrawal: number(said, /withdrawal (\d+)/),
      supersAllowed: said.includes('supers-allowed'),
    }),
  fed: (given, [what, kg, date]) =>
    given.events.push({ kind: 'feed', what: what as never, kg: Number(kg), date: date! }),
  patty: (given, [kg, date]) => given.events.push({ kind: 'patty', kg: Number(kg), date: date! }),
  'super-on': (given, [kg, date]) => given.events.push({ kind: 'super-on', holdsKg: Number(kg), date: date! }),
  suspicion: (given, [of, date]) => given.events.push({ kind: 'suspicion', of: of!, date: date! }),
  ordered: (given, [what, date]) =>
    given.events.push({ kind: 'ordered-by-the-inspector', what: what!.replaceAll('-', ' '), date: date! }),
  last: (given, [date, ...rest]) => {
    const read = pairs(rest);
    const of = (what: string) => read[what] ?? 0;
    given.last = {
      date: date!,
      bees: of('bees'),
      eggs: of('eggs'),
      larvae: of('larvae'),
      sealed: of('sealed'),
      drone: of('drone'),
      storesKg: of('food'),
      frames: 11,
    };
  },
  found: (given, rest) => {
    const read = pairs(rest);
    given.found = {
      bees: read.bees ?? null,
      brood: read.brood ?? 0,
      sealed: read.sealed ?? 0,
      drone: read.drone ?? 0,
      storesKg: read.food ?? 0,
      foodFrames: read.full ?? 0,
      emptyFrames: read.empty ?? 0,
    };
  },
  blooms: (given, [nectar, pollen, from, to]) =>
    given.forage.push({
      plant: 'hawthorn',
      nectar: Number(nectar),
      pollen: Number(pollen),
      from: from!,
      to: to!,
      giveOrTake: 0,
    }),
  poor: (given, [days]) => (given.poor = Number(days)),
  wet: (given, [days]) => (given.wet = Number(days)),
  mating: (given, [fit]) => (given.fit = Number(fit)),
  flow: (given, [date]) => (given.flow = date!),
  cells: (given, [count]) => (given.cells = Number(count)),
  season: (given, [count]) => (given.seasons = Number(count)),
  room: (given, [frames]) => (given.room = Number(frames)),
  'lets-them-swarm': (given) => (given.catches = false),
};
/** Events that are no more than their kind and day. */
const BARE = new Set([
  'eggs-seen',
  'treatment-out',
  'feeder-empty',
  'super-off',
  'super-left-as-winter-food',
  'drone-comb-in',
  'drone-comb-out',
  'brood-stopped',
  'suspicion-settled',
]);

function givenOf(row: string): Given {
  const given: Given = {
    today: '2026-05-14',
    place: 'maritime',
    strain: 'cuts-down',
    events: [],
    openings: [],
    supers: [],
    forage: [],
    colonyClass: 'teaching',
    last: null,
    found: null,
    poor: null,
    wet: 0,
    fit: 0.6,
    flow: null,
    cells: 0,
    seasons: null,
    room: 11,
    catches: true,
  };
  for (const piece of row.split(';').map((each) => each.trim())) {
    if (piece === '') continue;
    const [word, ...rest] = piece.split(/\s+/);
    if (BARE.has(word!)) given.events.push({ kind: word, date: rest[0]! } as ColonyEvent);
    else if (PIECES[word!]) PIECES[word!]!(given, rest, piece);
    else throw new Error(`"${piece}" is no piece of a calendar case`);
  }
  return given;
}

/** What stands in the calendar of a row, line by line. */
function calendarOf(row: string, given = givenOf(row)): readonly string[] {
  const phases = yearOf(given.place);
  const from = addDays(given.today, -60);
  const days = Array.from({ length: 120 }, (_, day) => ({
    date: addDays(from, day),
    low: 8,
    high: 18,
    rain: day >= 60 - given.wet && day < 60 ? 9 : 0,
  }));
  const matingDays = days.map(({ date }) => ({ date, fit: given.fit }));
  const { dues, lapsed, honey, rests, load, openFrom } = inEnglish(
    colonyCalendar({
      today: given.today,
      phases,
      forage: given.forage,
      days,
      matingDays,
      colonyClass: given.colonyClass,
      framesOfBees: given.last?.bees ?? 8,
      openings: given.openings,
      followUps: [],
      supers: given.supers,
      events: given.events,
      practice: { ...DEFAULT_CALENDAR, catchCells: given.catches },
    }),
  );
  return [
    ...dues.map(
      (each) =>
        `due ${each.from} to ${each.due}, ${each.strict}${each.opens ? ', opened' : ''}: ${each.title} [${each.id}]; ${each.why}${each.question ? `; asks: ${each.question}` : ''}${each.bring ? `; bring: ${each.bring}` : ''}${each.again ? `; again every ${each.again.every} days until ${each.again.until}` : ''}${each.clash ? `; but ${each.clash}` : ''}`,
    ),
    ...lapsed.map((each) => `lapsed ${each.due}: ${each.title}`),
    ...rests.map((rest) => `left alone ${rest.from} to ${rest.to}, ${rest.strict}, ${rest.cause}: ${rest.why}`),
    ...(openFrom === given.today ? [] : [`opened again from ${openFrom}`]),
    ...(load.openings > 0
      ? [
          `load: ${load.openings} openings, ${load.minutes} minutes, ${load.stings} stings; over: ${load.over.join(', ')}`,
        ]
      : []),
    ...(honey.says ? [`honey: ${honey.says}`] : []),
    ...(honey.superOnFrom ? [`a new super from ${honey.superOnFrom}`] : []),
    ...(honey.fedUntil ? [`fed until ${honey.fedUntil}`] : []),
    ...honey.unknown.map((medicine) => `withdrawal not known: ${medicine}`),
    ...honey.locked.map(({ name, why }) => `locked ${name}: ${why}`),
    ...expectedLines(given, phases, days, matingDays),
  ];
}

function expectedLines(
  given: Given,
  phases: readonly PhaseSpan[],
  days: ExpectedFacts['days'],
  matingDays: CalendarFacts['matingDays'],
): readonly string[] {
  const { last, today, strain, forage } = given;
  if (last === null) return [];
  const making = queenInTheMaking({ events: given.events, matingDays, today });
  const state = expectedState({
    last,
    today,
    phases,
    forage,
    days,
    fed: feedsSince(given.events, last.date),
    strain,
    ...combOfFrame('national-deep'),
    waiting: making && { stopped: making.plan.stopped, from: making.plan.laying.from, to: making.plan.laying.to },
  });
  const range = (what: 'bees' | 'eggs' | 'larvae' | 'sealed' | 'brood' | 'drone' | 'storesKg') => {
    const { value, low, high } = state[what];
    return `${what} ${value.toFixed(2)} (${low.toFixed(2)} to ${high.toFixed(2)})`;
  };
  const told = inEnglish(state);
  const hunger = inEnglish(starvationWatch(state, given.poor, 5));
  const swarm = inEnglish(
    swarmRisk({
      last,
      today,
      phases,
      flowFrom: given.flow,
      roomFrames: given.room,
      ...combOfFrame('national-deep'),
      queenSeasons: given.seasons,
      cells: given.cells,
    }),
  );
  const finding = given.found && inEnglish(readFinding(state, last, given.found));
  return [
    `expected after ${state.days} days: ${(['bees', 'eggs', 'larvae', 'sealed', 'brood', 'drone', 'storesKg'] as const).map(range).join(', ')}`,
    `mood: ${told.mood}`,
    ...(told.stale ? [`stale: ${told.stale}`] : []),
    ...told.because.map((each) => `because: ${each}`),
    `hunger ${hunger.level}, ${hunger.days.toFixed(1)} days: ${hunger.reasons.join('; ')}`,
    `swarm ${swarm.level}, ${swarm.window ? `${swarm.window.from} to ${swarm.window.to}` : 'no window'}, full ${swarm.fullOn ?? 'never'}, ${swarm.beesDue} due: ${swarm.reasons.join('; ')}; another school ${swarm.otherSchool}`,
    ...(finding
      ? [
          `found: ${finding.says}`,
          ...finding.lines.map((line) => `  ${line.measure} ${line.found} ${line.unit}: ${line.word}`),
        ]
      : []),
  ];
}

describe('what stands in a calendar', () => {
  const rows = rowsOf(readFileSync(TABLE, 'utf8'));

  it.each(rows.map((row) => [row[0]!, row] as const))('%s', (_, row) => {
    const [, given, says, never] = row as [string, string, string, string];
    const all = calendarOf(given).join('\n').toLowerCase();
    for (const words of says
      .split(';')
      .map((each) => each.trim().toLowerCase())
      .filter(Boolean))
      expect(all).toContain(words);
    if (never) expect(all).not.toContain(never.toLowerCase());
  });

  // Kept beside the cases, so that whoever changes a rule reads what it changes: `npx vitest run --project core calendar -u`.
  it('is as kept, to the last line', async () => {
    const told = rows.map((row) => `## ${row[0]}\n\n${calendarOf(row[1]!).join('\n') || 'nothing'}\n`);
    await expect(told.join('\n')).toMatchFileSnapshot('../../docs/cases/answers/calendar.txt');
  });

  it('is the same in whatever order things were logged', () => {
    for (const [situation, row] of rows) {
      const given = givenOf(row!);
      const days = given.events.map(({ date }) => date);
      if (new Set(days).size < days.length) continue;
      const told = calendarOf(row!, { ...given, events: given.events.toReversed() });
      expect([situation, ...told]).toEqual([situation, ...calendarOf(row!)]);
    }
  });

  it('asks for nothing after its last day, and for nothing twice', () => {
    for (const [, given] of rows) {
      const { today } = givenOf(given!);
      const lines = calendarOf(given!).filter((line) => line.startsWith('due '));
      const ids = lines.map((line) => /\[(.*?)\]/.exec(line)![1]);
      expect(new Set(ids).size).toBe(ids.length);
      for (const line of lines) {
        const [first = '', last = ''] = line.match(/\d{4}-\d\d-\d\d/g) ?? [];
        expect(daysBetween(first, last)).toBeGreaterThanOrEqual(0);
        expect(daysBetween(first, addDays(today, 400))).toBeGreaterThan(0);
      }
    }
  });
});
