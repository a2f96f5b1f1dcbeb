import { describe, expect, it } from 'vitest';
import { type Stack, isBox } from '../src/equipment';
import {
  EMPTY_SIDE,
  type EntryBody,
  type FrameSide,
  type SideAddress,
  type StandingAt,
  type StepId,
  type VisitDepth,
  asksBefore,
  closingTasks,
  framesOf,
  nextOf,
  nextText,
  openingScript,
  parseSide,
  readingMinutes,
  recordOf,
  sideBeside,
  undoText,
} from '../src/inspection';
import { inEnglish } from '../src/words';

const NATIONAL: Stack = [
  { id: 'floor', kind: 'floor' },
  { id: 'brood box', kind: 'box', box: 'national-brood', frames: 3, dummy: false },
  { id: 'excluder', kind: 'excluder' },
  { id: 'super 1', kind: 'box', box: 'national-super', frames: 10, dummy: false },
  { id: 'crown board', kind: 'crown-board' },
  { id: 'roof', kind: 'roof' },
];
const side = (frame: number, face: 'low' | 'high'): SideAddress => ({ box: 'brood box', frame, face });
const read = (address: SideAddress, line: string): EntryBody => ({
  kind: 'frame-side-recorded',
  address,
  side: parseSide(line),
  seen: null,
});
const off = (...parts: string[]): readonly EntryBody[] => parts.map((part) => ({ kind: 'part-taken-off', part }));

interface Given {
  readonly depth?: VisitDepth;
  readonly entries?: readonly EntryBody[];
  readonly address?: SideAddress | null;
  readonly entering?: FrameSide;
  readonly leads?: boolean;
}
const standing = ({
  depth = 'full',
  entries = [],
  address = side(1, 'low'),
  entering = EMPTY_SIDE,
  leads = true,
}: Given): StandingAt => {
  const record = recordOf(
    entries.map((body, index) => ({ id: `${index}`, at: `2026-05-14T12:${10 + index}:00Z`, by: 'ruth', body })),
  );
  const box = NATIONAL.find(isBox)!;
  return {
    steps: openingScript('national', NATIONAL, 'brood box', depth),
    record,
    box,
    frames: framesOf(Object.values(record.sides), box.id, box.frames),
    address,
    side: entering,
    closing: closingTasks(NATIONAL, record),
    leads,
  };
};
const ALL_READ = [1, 2, 3].flatMap((frame) => [read(side(frame, 'low'), '8C'), read(side(frame, 'high'), '8C')]);
const DOUBTFUL = [...ALL_READ.slice(0, 5), read(side(3, 'high'), '8C !')];
const last = { address: side(3, 'high') };

// Where a device stands, what was done so far, and what the big button then says and does.
const CASES: readonly [string, StepId, Given, string, unknown][] = [
  ['before the gear is checked', 'before', {}, 'Ready, watch the entrance', { do: 'reach', step: 'outside' }],
  ['at the entrance', 'outside', {}, 'Entrance seen, smoke next', { do: 'keep-look', then: 'smoke' }],
  [
    'at the entrance of a hive that stays shut',
    'outside',
    { depth: 'outside' },
    'Entrance seen, go on',
    { do: 'keep-look', then: 'sum-up' },
  ],
  ['smoker lit, nothing smoked', 'smoke', {}, 'Entrance smoked, take parts off', { smoked: false }],
  [
    'entrance smoked',
    'smoke',
    { entries: [{ kind: 'smoke-given', place: 'entrance' }] },
    'Smoked, take parts off',
    { smoked: true },
  ],
  ['the roof on', 'open', {}, 'roof is off', { do: 'take-off', part: 'roof' }],
  ['the roof off', 'open', { entries: off('roof') }, 'crown board is off', { do: 'take-off', part: 'crown board' }],
  ['roof and crown board off', 'open', { entries: off('roof', 'crown board') }, 'Supers', { step: 'supers' }],
  [
    'under the lid only',
    'open',
    { depth: 'lid', entries: off('roof', 'crown board') },
    'Sum up',
    { do: 'reach', step: 'sum-up' },
  ],
  ['a super on', 'supers', { entries: off('roof', 'crown board') }, 'super 1 is off', { part: 'super 1' }],
  [
    'everything above the nest off',
    'supers',
    { entries: off('roof', 'crown board', 'super 1', 'excluder') },
    'Frame 1 first',
    { do: 'reach', step: 'first-frame' },
  ],
  ['the first side', 'first-frame', {}, 'Frame 1, side toward 2', { do: 'turn-to', side: side(1, 'high') }],
  ['a side in the middle', 'frames', { address: side(1, 'high') }, 'Frame 2, side toward 1', { do: 'turn-to' }],
  ['the last side, all read', 'frames', { ...last, entries: ALL_READ }, 'Sum up', { step: 'sum-up' }],
  [
    'the last side, frame 2 skipped',
    'frames',
    { ...last, entries: ALL_READ.slice(0, 2) },
    'Sum up, 1 unread',
    { step: 'sum-up' },
  ],
  [
    'the last side, one side doubtful',
    'frames',
    { ...last, entries: DOUBTFUL },
    'Doubtful sides again',
    { step: 'again' },
  ],
  [
    'the side in hand doubtful and not recorded yet',
    'frames',
    { ...last, entries: ALL_READ.slice(0, 5), entering: parseSide('8C !') },
    'Doubtful sides again',
    { step: 'again' },
  ],
  ['doubtful sides looked at', 'again', {}, 'Sum up', { do: 'reach', step: 'sum-up' }],
  ['summed up', 'sum-up', {}, 'Summed up, start closing', { do: 'sum-up', then: 'close' }],
  [
    'summed up a hive that stayed shut',
    'sum-up',
    { depth: 'outside' },
    'Summed up, look at the entrance',
    { do: 'sum-up', then: 'entrance' },
  ],
  [
    'a super off',
    'close',
    { entries: off('roof', 'crown board', 'super 1') },
    'super 1 on',
    { do: 'close', task: { kind: 'part' } },
  ],
  [
    'a frame in hand',
    'close',
    { entries: [{ kind: 'frame-lifted', box: 'brood box', frame: 2 }] },
    'frame 2 back into brood box',
    { do: 'close', task: { kind: 'frame', frame: 2 } },
  ],
  ['nothing off', 'close', {}, 'Closed, look at the entrance', { do: 'reach', step: 'entrance' }],
  ['at the entrance, closed up', 'entrance', {}, 'End the visit', { do: 'end' }],
  ['at the entrance, as a trainee', 'entrance', { leads: false }, 'To the review', { do: 'review' }],
  [
    'after the visit was ended',
    'entrance',
    { entries: [{ kind: 'visit-closed', reason: 'time', note: '' }] },
    'To the review',
    { do: 'review' },
  ],
];

describe('what comes next at an open hive', () => {
  it.each(CASES)('%s (%s)', (_name, step, given, says, next) => {
    const at = standing(given);
    expect(inEnglish(nextText(step, at))).toBe(says);
    expect(nextOf(step, at)).toMatchObject(next as object);
  });

  it('has nothing beside the ends, and begins at the first side when the side in hand is of another box', () => {
    expect(sideBeside(standing({}), -1)).toBeNull();
    expect(sideBeside(standing(last), 1)).toBeNull();
    expect(sideBeside(standing({ address: { box: 'super 1', frame: 1, face: 'low' } }), 1)).toEqual(side(1, 'low'));
    expect(sideBeside(standing({ address: null }), 1)).toBeNull();
  });
});

describe('what is asked about once before the frames go on', () => {
  const asks = (given: Given, lastTime: FrameSide | null = null) => {
    const text = asksBefore(standing(given), lastTime);
    return text === null ? null : inEnglish(text);
  };

  it.each([
    ['a whole side', { entering: parseSide('8C') }, null],
    ['a side that nobody began', {}, null],
    ['a side too full: that is refused, not asked about', { entering: { ...EMPTY_SIDE, eighths: { C: 9 } } }, null],
    ['the last side, all read', { ...last, entries: ALL_READ }, null],
  ])('%s: nothing', (_name, given: Given, none) => {
    expect(asks(given)).toBe(none);
  });

  it('a side that is partly read, with a word on eggs that were there last time', () => {
    const partly = { entering: parseSide('3S 2H') };
    expect(asks(partly)).toBe(
      'Frame 1, side toward the wall: 3 of 8 eighths are not read. Fill them, or press Next once more to keep the side as partly read.',
    );
    expect(asks(partly, parseSide('2E 6S'))).toMatch(/Eggs are not taken over from last time: look for them\./);
    expect(asks({ entering: parseSide('1E 3S') }, parseSide('2E 6S'))).not.toMatch(/Eggs are not/);
  });

  it('frames that nobody looked at, but not the one in hand', () => {
    expect(asks({ ...last, entries: ALL_READ.slice(0, 2) })).toMatch(/^Frame 2 was not read\./);
    expect(asks({ ...last })).toMatch(/^2 frames were not read \(1 and 2\)\./);
  });
});

describe('what undo takes back', () => {
  const undo = (...given: Parameters<typeof undoText>) => inEnglish(undoText(...given));

  it('is the piece that was entered or taken away last, else the last entry', () => {
    expect(undo(parseSide('3S'), parseSide('3S 2L'), null)).toBe('2L');
    expect(undo(parseSide('3S'), parseSide('4S'), null)).toBe('4S');
    expect(undo(parseSide('3S 2L'), parseSide('3S'), null)).toBe('2L');
    expect(undo(null, EMPTY_SIDE, { kind: 'mood-noted', mood: 1 })).toBe('mood: quiet');
    expect(undo(null, EMPTY_SIDE, null)).toBe('');
  });
});

describe('how long reading has gone on', () => {
  const readFor = (...minutes: number[]) =>
    readingMinutes(
      recordOf(
        minutes.map((minute, index) => ({
          id: `${index}`,
          at: new Date(Date.UTC(2026, 4, 14, 12, minute)).toISOString(),
          by: 'ruth',
          body: read(side(index + 1, 'low'), '8C'),
        })),
      ),
    );

  it('is not said before there are four readings, and is told from the first to the last, in whatever order they came', () => {
    expect([readFor(), readFor(0, 5), readFor(0, 5, 9)]).toEqual([null, null, null]);
    expect(readFor(0, 3, 5, 9)).toBe(9);
    expect(readFor(9, 3, 5, 0)).toBe(9);
  });
});
