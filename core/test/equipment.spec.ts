import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  BOXES,
  type BoxKindId,
  type BoxLayer,
  FRAMES,
  type FrameKindId,
  HIVE_TYPES,
  type Stack,
  boxFits,
  boxWeight,
  combArea,
  liftAdvice,
  nestBoxes,
  partsAbove,
  supers,
} from '../src/equipment';

const layer = (box: BoxKindId, id = 'box'): BoxLayer => ({
  id,
  kind: 'box',
  box,
  frames: BOXES[box].frames,
  dummy: false,
});

describe('comb area', () => {
  // Recalled table of comb areas, dm² a side: Dadant 11.3, Langstroth deep/medium/shallow 8.8/5.7/4.7, Zander 8.0, National 6.8/4.2.
  it.each<[FrameKindId, number]>([
    ['dadant-brood', 11.3],
    ['langstroth-deep', 8.8],
    ['langstroth-medium', 5.7],
    ['langstroth-shallow', 4.7],
    ['zander', 8],
    ['national-deep', 6.8],
    ['national-shallow', 4.2],
  ])('of %s is %d dm² within 5 in 100', (frame, area) => {
    expect(Math.abs(combArea(frame) - area) / area).toBeLessThan(0.05);
  });

  it('holds about 7,000 cells on both sides of a Langstroth deep frame, the rule of the trade', () => {
    expect(combArea('langstroth-deep') * 2 * 400).toBeGreaterThan(6_900);
    expect(combArea('langstroth-deep') * 2 * 400).toBeLessThan(7_200);
    expect(combArea('dadant-brood') * 2 * 400).toBeCloseTo(9_040, -2);
  });

  it('of a top bar is that of a trapezoid, less than its bounding rectangle', () => {
    const { width, foot, height } = FRAMES['top-bar'];
    expect(foot).toBeLessThan(width);
    expect(combArea('top-bar')).toBeLessThan((width * height) / 10_000);
    expect(combArea('top-bar')).toBeCloseTo(7.75, 1);
  });

  it('keeps inner measures below the outer sizes of the catalogues', () => {
    expect(FRAMES['langstroth-deep'].height).toBeLessThan(232);
    expect(FRAMES['national-deep'].width).toBeLessThan(356);
    expect(FRAMES['dadant-brood'].height).toBeLessThan(300);
  });
});

describe('hive types', () => {
  it('cover the types of the trade, each with boxes of its own', () => {
    expect(Object.keys(HIVE_TYPES)).toEqual(
      expect.arrayContaining(['langstroth-10', 'langstroth-8', 'national', 'dadant', 'zander', 'top-bar', 'long']),
    );
    const owners = Object.values(HIVE_TYPES).flatMap((type) => type.boxes);
    expect(new Set(owners).size).toBe(owners.length);
    expect([...owners].sort()).toEqual(Object.keys(BOXES).sort());
  });

  it('take boxes of their own family only', () => {
    expect(boxFits('national', 'national-super')).toBe(true);
    expect(boxFits('national', 'dadant-super')).toBe(false);
    expect(boxFits('langstroth-8', 'langstroth-10-medium')).toBe(false);
  });
});

describe('a stack', () => {
  const stack: Stack = [
    { id: 'floor', kind: 'floor' },
    layer('national-brood', 'brood box'),
    { id: 'excluder', kind: 'excluder' },
    layer('national-super', 'super 1'),
    { id: 'crown board', kind: 'crown-board' },
    { id: 'roof', kind: 'roof' },
  ];

  it('comes apart from the roof down', () => {
    expect(partsAbove(stack, 'brood box').map((part) => part.id)).toEqual([
      'roof',
      'crown board',
      'super 1',
      'excluder',
    ]);
    expect(partsAbove(stack, 'super 1').map((part) => part.id)).toEqual(['roof', 'crown board']);
  });

  it('tells nest from supers', () => {
    expect(nestBoxes(stack).map((box) => box.id)).toEqual(['brood box']);
    expect(supers(stack).map((box) => box.id)).toEqual(['super 1']);
  });

  it('refuses a box that it does not have, and a hive without any', () => {
    expect(() => partsAbove(stack, 'attic')).toThrow(/no box called attic/);
    expect(() => nestBoxes([{ id: 'floor', kind: 'floor' }])).toThrow(/at least one box/);
  });
});

describe('weights', () => {
  // Full boxes of ten-frame Langstroth, gross: 36–41, 23–29, 16–20 kg; National super 13–18, eight-frame medium 18–23. Common practice.
  it.each<[BoxKindId, number, number]>([
    ['langstroth-10-deep', 36, 43],
    ['langstroth-10-medium', 23, 29],
    ['langstroth-10-shallow', 18, 24],
    ['langstroth-8-medium', 18, 23.5],
    ['national-super', 13, 22],
  ])('of a full %s lie between %d and %d kg', (box, least, most) => {
    const kg = boxWeight(layer(box), { honeySides: BOXES[box].frames * 2, nectarSides: 0, broodSides: 0 });
    expect(kg).toBeGreaterThanOrEqual(least);
    expect(kg).toBeLessThanOrEqual(most);
  });

  it('of a full deep honey frame match the trade: 2.7 to 3.6 kg of honey', () => {
    const box = layer('langstroth-10-deep');
    const full = boxWeight(box, { honeySides: 20, nectarSides: 0, broodSides: 0 });
    const empty = boxWeight(box, { honeySides: 0, nectarSides: 0, broodSides: 0 });
    expect((full - empty) / 10).toBeGreaterThan(2.7);
    expect((full - empty) / 10).toBeLessThan(3.6);
  });

  it('refuse more filled sides than a box has', () => {
    expect(() => boxWeight(layer('national-super'), { honeySides: 21, nectarSides: 0, broodSides: 0 })).toThrow(
      RangeError,
    );
  });

  it('grow with every side of honey', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 19 }), (sides) => {
        const box = layer('langstroth-10-deep');
        const fill = { honeySides: sides, nectarSides: 0, broodSides: 0 };
        expect(boxWeight(box, { ...fill, honeySides: sides + 1 })).toBeGreaterThan(boxWeight(box, fill));
      }),
    );
  });

  it('say who lifts', () => {
    const limits = { one: 16, two: 24 };
    expect([11, 16, 16.1, 24, 24.1].map((kg) => liftAdvice(kg, limits))).toEqual([
      'one lifts',
      'one lifts',
      'two lift',
      'two lift',
      'by frames',
    ]);
    expect(() => liftAdvice(Number.NaN, limits)).toThrow(RangeError);
  });
});
