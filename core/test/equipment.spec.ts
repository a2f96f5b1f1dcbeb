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
      expect.arrayContaining([
        'langstroth-10',
        'langstroth-8',
        'national',
        'commercial',
        'wbc',
        'warre',
        'rose',
        'normal',
        'dadant',
        'zander',
        'top-bar',
        'long',
      ]),
    );
    const owned = new Set<string>(Object.values(HIVE_TYPES).flatMap((type) => type.boxes));
    expect([...owned].sort()).toEqual(Object.keys(BOXES).sort());
  });

  // Warré comb about 6 dm² a side (common plans); Deutsch Normal 7.1; the Commercial deep holds about a quarter more than the National's 6.8.
  it.each<[FrameKindId, number]>([
    ['warre', 6],
    ['normal', 7.1],
    ['commercial-deep', 8.7],
  ])('a comb of %s has about %d dm² a side', (frame, area) => {
    expect(Math.abs(combArea(frame) - area) / area).toBeLessThan(0.05);
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
  // Full boxes, gross: ten-frame Langstroth 36–41, 23–29, 16–20 kg; eight-frame medium 18–23, National super 13–18, Dadant super 22–28. Common practice.
  it.each<[BoxKindId, number, number]>([
    ['langstroth-10-deep', 36, 41],
    ['langstroth-10-medium', 23, 29],
    ['langstroth-10-shallow', 16, 20],
    ['langstroth-8-medium', 18, 23],
    ['national-super', 13, 18],
    ['dadant-super', 22, 28],
  ])('of a full %s lie between %d and %d kg', (box, least, most) => {
    const kg = boxWeight(layer(box), { honeySides: BOXES[box].frames * 2, nectarSides: 0, broodSides: 0 });
    expect(kg).toBeGreaterThanOrEqual(least);
    expect(kg).toBeLessThanOrEqual(most);
  });

  // Honey in one full frame: Langstroth deep 2.7–3.6, medium 1.8–2.3, shallow 1.1–1.6, National shallow 1.1–1.5 kg. Common practice.
  it.each<[BoxKindId, number, number]>([
    ['langstroth-10-deep', 2.7, 3.6],
    ['langstroth-10-medium', 1.8, 2.3],
    ['langstroth-10-shallow', 1.1, 1.6],
    ['national-super', 1.1, 1.5],
  ])('of the honey in one full frame of a %s lie between %d and %d kg', (box, least, most) => {
    const of = (honeySides: number) => boxWeight(layer(box), { honeySides, nectarSides: 0, broodSides: 0 });
    const frame = (of(20) - of(0)) / 10;
    expect(frame).toBeGreaterThanOrEqual(least);
    expect(frame).toBeLessThanOrEqual(most);
  });

  it('of a drawn empty Langstroth deep frame: about half a kilogram', () => {
    const box = layer('langstroth-10-deep');
    const empty = boxWeight(box, { honeySides: 0, nectarSides: 0, broodSides: 0 });
    const frame = (empty - BOXES['langstroth-10-deep'].woodKg) / 10;
    expect(frame).toBeGreaterThan(0.44);
    expect(frame).toBeLessThan(0.56);
  });

  it('refuse negative sides, also where the sum fits', () => {
    expect(() => boxWeight(layer('national-super'), { honeySides: -2, nectarSides: 4, broodSides: 0 })).toThrow(
      RangeError,
    );
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
      'one-lifts',
      'one-lifts',
      'two-lift',
      'two-lift',
      'by-frames',
    ]);
    expect(() => liftAdvice(Number.NaN, limits)).toThrow(RangeError);
  });
});
