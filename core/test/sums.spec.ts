import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { type BoxLayer, type Stack, boxWeight } from '../src/equipment';
import {
  EMPTY_LOOK,
  type EntryBody,
  type SumFacts,
  type VisitEntry,
  drawnSides,
  entranceScore,
  estimateColony,
  fillOfWeight,
  framesOf,
  parseSide,
  recordOf,
  sumsOf as sumsOfInCodes,
  withUnread,
} from '../src/inspection';
import { answersInEnglish } from './in-english';

const sumsOf = answersInEnglish(sumsOfInCodes);

const brood: BoxLayer = { id: 'brood', kind: 'box', box: 'langstroth-10-deep', frames: 10, dummy: false };
const honey: BoxLayer = { id: 'super 1', kind: 'box', box: 'langstroth-10-medium', frames: 10, dummy: false };
const stack: Stack = [{ id: 'floor', kind: 'floor' }, brood, honey, { id: 'roof', kind: 'roof' }];
let made = 0;
const entry = (body: EntryBody): VisitEntry => {
  made += 1;
  return { id: `e${made}`, at: '2026-05-14T12:00:00.000Z', by: 'ruth', body };
};
const read = (frame: number, line: string, box = 'brood', face: 'low' | 'high' = 'low') =>
  entry({ kind: 'frame-side-recorded', address: { box, frame, face }, side: parseSide(line), seen: null });
const whole = (lines: readonly string[], box = 'brood') =>
  lines.flatMap((line, index) => [read(index + 1, line, box), read(index + 1, line, box, 'high')]);

function facts(entries: readonly VisitEntry[], more: Partial<SumFacts> = {}): SumFacts {
  const record = recordOf(entries);
  const frames = framesOf(Object.values(record.sides), 'brood', brood.frames);
  const nest = estimateColony(withUnread({ layer: brood, frames, summary: record.summaries.brood }));
  return { stack, record, nest, last: null, expectedBees: null, ...more };
}
const topic = (name: string, of: SumFacts) => sumsOf(of).filter((each) => each.topic === name);

describe('pollen, added up over all frames', () => {
  // Half a frame or more is wanted: eight eighths of one side are half a frame.
  it('is short when patches add up to less than half a frame', () => {
    expect(topic('pollen', facts(whole(['8H', '7H +P', '7S +P', ...Array<string>(7).fill('8H')])))[0]).toMatchObject({
      level: 'act',
      asks: expect.stringMatching(/protein/) as string,
    });
  });

  it('is enough when small patches add up', () => {
    const lines = Array<string>(10).fill('2P 6H');
    const [line] = topic('pollen', facts(whole(lines)));
    expect(line).toMatchObject({ level: 'well', asks: null });
    expect(line?.says).toMatch(/^2\.5 frames/);
  });

  it('is not judged from the first side', () => {
    expect(topic('pollen', facts([read(5, '1P 7S')]))[0]?.level).toBe('watch');
    expect(topic('pollen', facts([]))).toEqual([]);
  });

  it('counts colours in store and on legs once each', () => {
    const look = entry({
      kind: 'outside-seen',
      when: 'before',
      look: { ...EMPTY_LOOK, pollenIn: true, pollens: ['orange', 'grey'] },
    });
    const [few] = topic('pollen colours', facts([read(2, '2P 6H ~orange'), look]));
    expect(few).toMatchObject({ level: 'watch', says: '2 colours of pollen: orange, grey' });
    const [many] = topic('pollen colours', facts([read(2, '2P 6H ~yellow'), look]));
    expect(many?.level).toBe('well');
  });
});

describe('comb to draw', () => {
  it('is told by sides: drawn, partly, bare; a side without content says nothing', () => {
    const sides = ['8H', '3F 5C', '8F', '7F 1C', 'B6'].map((line) => parseSide(line));
    expect(drawnSides(sides)).toEqual({ drawn: 1, partly: 1, bare: 2 });
  });

  it('says how fast it is drawn since the last visit, and how long it will take', () => {
    const before = [1, 2].flatMap((frame) =>
      (['low', 'high'] as const).map((face) => ({
        address: { box: 'super 1', frame, face },
        side: parseSide('8F'),
      })),
    );
    // Two frames bare a week ago, one of them drawn now: 16 eighths in 7 days, 16 to go.
    const now = whole(['8C', '8F'], 'super 1');
    const [line] = topic('comb', facts(now, { last: { days: 7, sides: before, look: null } }));
    expect(line?.says).toBe('super 1: 2 sides drawn, 0 partly, 2 undrawn; 0.14 frames drawn a day');
    expect(line?.asks).toBe('At this pace drawn in about 8 days.');
    const [slow] = topic('comb', facts(now, { last: { days: 90, sides: before, look: null } }));
    expect(slow?.asks).toMatch(/^Hardly drawn/);
  });
});

describe('ripeness and fill of a super', () => {
  const level = (lines: readonly string[], more: readonly VisitEntry[] = []) =>
    topic('ripeness', facts([...whole(lines, 'super 1'), ...more]))[0];

  it('is ripe when all is sealed, left when it is wet, mixed with the frames that may go', () => {
    expect(level(['8H', '8H'])).toMatchObject({ level: 'well' });
    expect(level(['2H 6N', '8N'])).toMatchObject({ level: 'watch', asks: 'Leave it on.' });
    expect(level(['8H', '4H 4N'])?.asks).toBe('Mixed: only frame 1 may be taken.');
    expect(level(['8C'])).toBeUndefined();
  });

  it('goes by the refractometer before it goes by the lids', () => {
    const percent = (value: number) =>
      entry({ kind: 'measured', measure: { what: 'honey-moisture', box: 'super 1', percent: value } });
    expect(level(['8H'], [percent(19.5)])?.asks).toMatch(/too wet/);
    expect(level(['5H 3N'], [percent(17.2)])?.level).toBe('well');
  });

  it('fills with weight as the box weighs with that much honey in it', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 20 }), (sides) => {
        const kg = boxWeight(honey, { honeySides: sides, nectarSides: 0, broodSides: 0 });
        expect(fillOfWeight(honey, kg)).toBeCloseTo(sides / 20, 1);
      }),
    );
    expect([fillOfWeight(honey, 0), fillOfWeight(honey, 99)]).toEqual([0, 1]);
  });

  it('asks for the next super when it is nearly full', () => {
    const kg = boxWeight(honey, { honeySides: 18, nectarSides: 0, broodSides: 0 });
    const weighed = entry({ kind: 'measured', measure: { what: 'weight', part: 'super 1', how: 'scale', kg } });
    expect(topic('fill', facts([weighed]))[0]).toMatchObject({ level: 'act' });
  });
});

describe('strength, beetles, entrance', () => {
  it('counts seams where nobody counted side by side, and holds both against the season', () => {
    const seams = entry({ kind: 'seams-counted', box: 'brood', seams: 4 });
    const [line] = topic('strength', facts([seams], { expectedBees: { low: 6, high: 9 } }));
    expect(line).toMatchObject({ level: 'watch' });
    expect(line?.says).toBe('4 frames of bees, seams from above: weak for the date, 6 to 9 expected');
    const read10 = whole(Array<string>(10).fill('8H B8'));
    expect(topic('strength', facts(read10, { expectedBees: { low: 6, high: 9 } }))[0]?.says).toMatch(/strong/);
  });

  it('presses a small colony with beetles that a strong one keeps down', () => {
    const beetles = (count: number) =>
      entry({ kind: 'finding-noted', finding: 'beetles', found: true, count, sure: null, spot: null, note: '' });
    const strong = whole(Array<string>(10).fill('8H B8'));
    const small = whole(['8H B8', '8H B8', '8C B0']);
    expect(topic('beetles', facts([...strong, beetles(5)]))[0]?.level).toBe('watch');
    expect(topic('beetles', facts([...small, beetles(5)]))[0]?.level).toBe('act');
    expect(topic('beetles', facts([...strong, beetles(1)]))[0]?.asks).toMatch(/Note it/);
    expect(topic('beetles', facts(strong))).toEqual([]);
  });

  it('holds the entrance against the last time', () => {
    const look = (change: object) => ({ ...EMPTY_LOOK, ...change });
    expect(entranceScore(look({ pollenIn: true, traffic: 'heavy' }))).toBe(9);
    expect(entranceScore(look({ dead: 'many', traffic: 'none', robbing: true, droppings: 'many' }))).toBe(0);
    const now = entry({ kind: 'outside-seen', when: 'before', look: look({ traffic: 'little' }) });
    const last = { days: 7, sides: [], look: look({ traffic: 'heavy', pollenIn: true }) };
    expect(topic('entrance', facts([now], { last }))[0]).toMatchObject({
      level: 'watch',
      says: 'entrance 4 of 10, last time 9',
    });
  });
});

describe('a box summed up from above', () => {
  const summary = { seams: 7, brood: 5, food: 3, drawn: 1, bare: 1, note: '' };
  const above = entry({ kind: 'box-summed-up', box: 'brood', summary });

  it('counts as long as no side was read, within a wide range', () => {
    const { nest } = facts([above]);
    expect(nest.sidesRead).toBe(0);
    expect(nest.brood.value).toBeCloseTo((5 * 2 * 5) / 16, 1);
    expect(nest.brood.low).toBeLessThan(nest.brood.value);
    expect(nest.storesKg.value).toBeGreaterThan(5);
    expect(nest.foundation.value).toBe(1);
  });

  it('steps back for the first side that somebody reads', () => {
    expect(facts([above, read(5, '8C')]).nest.brood.value).toBe(0);
  });
});
