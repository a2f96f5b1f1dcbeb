import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { Stack } from '../src/equipment';
import {
  type EntryBody,
  type VisitEntry,
  liftingOrder,
  openingScript as openingScriptInCodes,
  parseSide,
  recordOf,
  seenEnough as seenEnoughInCodes,
  sideKey,
} from '../src/inspection';
import { answersInEnglish } from './in-english';

const openingScript = answersInEnglish(openingScriptInCodes);
const seenEnough = answersInEnglish(seenEnoughInCodes);

let made = 0;
const entry = (body: EntryBody, by = 'tomasz'): VisitEntry => {
  made += 1;
  return { id: `entry-${made}`, at: new Date(Date.UTC(2026, 4, 14, 12, 0, made)).toISOString(), by, body };
};
const reading = (frame: number, face: 'low' | 'high', line: string, by = 'tomasz', seen: string | null = null) =>
  entry({ kind: 'frame-side-recorded', address: { box: 'brood', frame, face }, side: parseSide(line), seen }, by);

describe('a visit told from its entries', () => {
  it('starts before anything is opened, with nothing read', () => {
    expect(recordOf([])).toMatchObject({ step: 'before', sides: {}, partsOff: [], closed: null, openedAt: null });
  });

  it('keeps the latest reading of each side', () => {
    const first = reading(1, 'low', '8H');
    const better = reading(1, 'low', '6H 2N', 'tomasz', first.id);
    expect(recordOf([first, better]).sides['brood/1/low']?.side.eighths).toEqual({ H: 6, N: 2 });
  });

  it('knows which parts are off', () => {
    const off = (part: string) => entry({ kind: 'part-taken-off', part });
    const record = recordOf([off('roof'), off('super'), entry({ kind: 'part-put-back', part: 'super' })]);
    expect(record.partsOff).toEqual(['roof']);
    expect(record.openedAt).not.toBeNull();
  });

  it('takes back any entry, also one that another stands on', () => {
    const kept = reading(1, 'low', '8H');
    const wrong = reading(2, 'low', '8S');
    const undone = entry({ kind: 'entry-undone', entry: wrong.id });
    const record = recordOf([kept, wrong, undone]);
    expect(Object.keys(record.sides)).toEqual(['brood/1/low']);
    expect(record.undoable).toEqual([kept.id]);
  });

  it('lets the last judgement of a trainee in a skill stand', () => {
    const judge = (level: 'helped' | 'alone') =>
      entry({ kind: 'skill-judged', trainee: 'salma', skill: 'finds-eggs', level });
    const { judgements } = recordOf([judge('helped'), judge('alone')]);
    expect(judgements.map((each) => each.level)).toEqual(['alone']);
  });

  it('shows two readings that did not know of each other, until somebody settles them', () => {
    const hers = reading(4, 'high', '4S 2L 1P 1H', 'ruth');
    const his = reading(4, 'high', '4S 1L 1E 1P 1H', 'tomasz');
    const open = recordOf([hers, his]);
    expect(open.conflicts).toHaveLength(1);
    expect(open.sides['brood/4/high']?.entry).toBe(hers.id);
    const address = { box: 'brood', frame: 4, face: 'high' as const };
    const settled = recordOf([hers, his, entry({ kind: 'reading-settled', address, keep: his.id })]);
    expect(settled.conflicts).toEqual([]);
    expect(settled.sides['brood/4/high']?.entry).toBe(his.id);
  });

  it('sees no conflict when the later reader saw the earlier reading, or read the same', () => {
    const hers = reading(4, 'high', '8S', 'ruth');
    expect(recordOf([hers, reading(4, 'high', '8H', 'tomasz', hers.id)]).conflicts).toEqual([]);
    expect(recordOf([hers, reading(4, 'high', '8S', 'tomasz')]).conflicts).toEqual([]);
  });

  it('is the same however often an undo arrives', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 4 }), (times) => {
        const wrong = reading(2, 'low', '8S');
        const undos = Array.from({ length: times }, () => entry({ kind: 'entry-undone', entry: wrong.id }));
        expect(recordOf([wrong, ...undos]).sides).toEqual({});
      }),
    );
  });
});

describe('seen enough', () => {
  const whole = (lines: readonly string[]) =>
    lines.flatMap((line, index) => [reading(index + 1, 'low', line), reading(index + 1, 'high', line)]);

  it('asks for everything at first and prices it', () => {
    const seen = seenEnough(recordOf([]), ['laying', 'queen-cells'], {
      box: 'brood',
      frames: 11,
      kind: 'national-deep',
      minutesOpen: null,
      late: false,
    });
    expect(seen.enough).toBe(false);
    expect(seen.framesToGo).toBe(11);
    expect(seen.minutesToGo).toBe(16);
  });

  it('lets eggs stand for the queen', () => {
    const seen = seenEnough(recordOf([reading(5, 'low', '2E 2L 4S')]), ['laying'], {
      box: 'brood',
      frames: 11,
      kind: 'national-deep',
      minutesOpen: null,
      late: false,
    });
    expect(seen.evidence.find((each) => each.id === 'queen')?.state).toBe('not-needed');
    expect(seen.enough).toBe(true);
  });

  it('does not believe in no queen cells before the nest was passed at both ends', () => {
    const middle = recordOf([reading(2, 'low', '8S'), reading(2, 'high', '8S')]);
    const before = seenEnough(middle, ['queen-cells'], {
      box: 'brood',
      frames: 5,
      kind: 'national-deep',
      minutesOpen: null,
      late: false,
    });
    expect(before.evidence[0]).toMatchObject({ id: 'queen-cells', state: 'missing' });
    const all = seenEnough(recordOf(whole(['8H', '8S', '8H'])), ['queen-cells'], {
      box: 'brood',
      frames: 5,
      kind: 'national-deep',
      minutesOpen: null,
      late: false,
    });
    expect(all.evidence[0]).toMatchObject({ id: 'queen-cells', state: 'seen', where: 'none seen' });
  });

  it('wants a doubtful side read again', () => {
    const first = reading(3, 'low', '8S !');
    expect(
      seenEnough(recordOf([first]), [], {
        box: 'brood',
        frames: 11,
        kind: 'national-deep',
        minutesOpen: null,
        late: false,
      }).enough,
    ).toBe(false);
    const again = reading(3, 'low', '8S', 'tomasz', first.id);
    expect(
      seenEnough(recordOf([first, again]), [], {
        box: 'brood',
        frames: 11,
        kind: 'national-deep',
        minutesOpen: null,
        late: false,
      }).enough,
    ).toBe(true);
  });

  it('takes a tick by hand', () => {
    const record = recordOf([
      entry({ kind: 'evidence-ticked', evidence: 'healthy-brood', seen: true }),
      reading(5, 'low', '8S'),
    ]);
    expect(
      seenEnough(record, ['health'], {
        box: 'brood',
        frames: 11,
        kind: 'national-deep',
        minutesOpen: null,
        late: false,
      }).enough,
    ).toBe(true);
  });

  it('reckons with the pace of the visit', () => {
    const record = recordOf(whole(['8H', '8H', '8H', '8H']));
    const slow = seenEnough(record, ['room'], {
      box: 'brood',
      frames: 11,
      kind: 'national-deep',
      minutesOpen: 20,
      late: false,
    });
    const fast = seenEnough(record, ['room'], {
      box: 'brood',
      frames: 11,
      kind: 'national-deep',
      minutesOpen: 4,
      late: false,
    });
    expect(slow.framesToGo).toBe(2);
    expect(slow.minutesToGo).toBeGreaterThan(fast.minutesToGo);
  });
});

describe('the order of things', () => {
  const stack: Stack = [
    { id: 'floor', kind: 'floor' },
    { id: 'brood', kind: 'box', box: 'national-brood', frames: 11, dummy: true },
    { id: 'crown board', kind: 'crown-board' },
    { id: 'roof', kind: 'roof' },
  ];

  it('is people and gear, outside, smoke, open, outermost frame, frames, close in reverse', () => {
    const script = openingScript('national', stack, 'brood');
    expect(script.map((step) => step.id)).toEqual([
      'before',
      'outside',
      'smoke',
      'open',
      'first-frame',
      'frames',
      'again',
      'sum-up',
      'close',
      'entrance',
    ]);
    const parts = (id: string) => script.find((step) => step.id === id)?.parts.map((part) => part.id);
    expect(parts('close')).toEqual([...parts('open')!].reverse());
  });

  it('lifts nothing off a horizontal hive and moves its bars along', () => {
    const script = openingScript(
      'top-bar',
      [{ id: 'body', kind: 'box', box: 'top-bar-body', frames: 18, dummy: false }],
      'body',
    );
    expect(script.find((step) => step.id === 'open')?.parts).toEqual([]);
    const first = script.find((step) => step.id === 'first-frame');
    expect(first?.title).toBe('Outermost bar first');
    expect(first?.how).toMatch(/slide it along.*free breaks when it lies flat/);
    expect(script.find((step) => step.id === 'close')?.how).toMatch(/^Bars/);
  });

  it('turns each frame once, from the outermost', () => {
    const order = liftingOrder('brood', 11);
    expect(order).toHaveLength(22);
    expect(new Set(order.map(sideKey)).size).toBe(22);
    expect(order[0]).toMatchObject({ frame: 1, face: 'low' });
  });
});
