import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { ARRANGE_AIMS, COMB_ROLES, type CombRole, arrangedFor, movesTo, readOrder, roleOf } from '../src/care';
import { parseSide } from '../src/inspection';
import { inEnglish } from '../src/words';

const frame = (low: string | null, high: string | null) => ({
  low: low === null ? null : parseSide(low),
  high: high === null ? null : parseSide(high),
});
/** B brood, P pollen, D drawn, F bare, H food, ? unread. */
const ROLES: Readonly<Record<string, CombRole>> = {
  B: 'brood',
  P: 'pollen',
  D: 'drawn',
  F: 'bare',
  H: 'food',
  '?': 'unread',
};
/** A frame that is of each kind. */
const FRAMES: Readonly<Record<CombRole, string>> = {
  brood: '1P 1E 1L 3S 2C',
  pollen: '3P 5C',
  drawn: '8C',
  bare: '8F',
  food: '8H',
  unread: '',
};
const framesOf = (nest: readonly CombRole[]) =>
  nest.map((role) => (role === 'unread' ? frame(null, null) : frame(FRAMES[role], FRAMES[role])));
const roles = (nest: string) => [...nest].map((letter) => ROLES[letter]!);
const shown = (nest: string, order: readonly number[]) => order.map((each) => nest[each - 1]).join('');

describe('what a frame is', () => {
  it.each([
    ['a spot of eggs makes it brood', frame('7C 1E', '8C'), 'brood'],
    ['drone brood alone does not', frame('6C 2D', '8C'), 'drawn'],
    ['foundation on both sides', frame('8F', '7F 1C'), 'bare'],
    ['foundation on one side only', frame('8F', '8C'), 'drawn'],
    ['a good patch of pollen', frame('2P 2H 4C', '1P 7C'), 'pollen'],
    ['honey on half of it', frame('4H 4C', '3H 1N 4C'), 'food'],
    ['a rim of honey', frame('2H 6C', '2H 6C'), 'drawn'],
    ['one side of honey read, the other not', frame('4H 4C', null), 'food'],
    ['nobody read it', frame(null, null), 'unread'],
  ])('%s', (_, sides, role) => {
    expect(roleOf(sides)).toBe(role);
  });
});

describe('frames are put in order', () => {
  it.each([
    ['brood apart comes together, where most of it is', 'HDBDBBPDH', 'brood-together', 'HDDBBBPDH'],
    ['nothing to do for a nest in one block', 'HDPBBBPDH', 'brood-together', 'HDPBBBPDH'],
    ['bare frames come beside the brood on their own side', 'FHDBBBDHF', 'bare-beside-brood', 'HDFBBBFDH'],
    ['food goes to the walls, pollen to the brood', 'DHBBBHPDD', 'food-outward', 'HDBBBPDDH'],
    ['brood at a wall stays there: nothing stands on that side', 'BBBDPHH', 'food-outward', 'BBBPDHH'],
    ['no brood, nothing moves', 'HDDDH', 'food-outward', 'HDDDH'],
  ] as const)('%s', (_, nest, aim, wanted) => {
    expect(shown(nest, arrangedFor(roles(nest), aim))).toBe(wanted);
  });

  const nests = fc.array(fc.constantFrom(...COMB_ROLES), { minLength: 1, maxLength: 14 });
  const aims = fc.constantFrom(...ARRANGE_AIMS);

  it('each frame once, brood in its own order and never further apart', () => {
    fc.assert(
      fc.property(nests, aims, (nest, aim) => {
        const order = arrangedFor(nest, aim);
        expect(order.toSorted((a, b) => a - b)).toEqual(nest.map((_, index) => index + 1));
        const brood = order.filter((each) => nest[each - 1] === 'brood');
        expect(brood).toEqual(brood.toSorted((a, b) => a - b));
        expect(readOrder(framesOf(nest), order).gaps).toEqual([]);
      }),
    );
  });

  it('once: what is in order stays as it is', () => {
    fc.assert(
      fc.property(nests, aims, (nest, aim) => {
        const order = arrangedFor(nest, aim);
        const again = arrangedFor(
          order.map((each) => nest[each - 1]!),
          aim,
        );
        expect(movesTo(again)).toEqual([]);
      }),
    );
  });

  it('with as few frames lifted as can be, and every move made leads there', () => {
    const orders = fc.integer({ min: 1, max: 8 }).chain((n) =>
      fc.shuffledSubarray(
        Array.from({ length: n }, (_, index) => index + 1),
        { minLength: n, maxLength: n },
      ),
    );
    fc.assert(
      fc.property(orders, (order) => {
        const moves = movesTo(order);
        const hung = order.map((_, index) => index + 1);
        for (const { frame: lifted, after } of moves) {
          hung.splice(hung.indexOf(lifted), 1);
          hung.splice(after === null ? 0 : hung.indexOf(after) + 1, 0, lifted);
        }
        expect(hung).toEqual(order);
        // Whatever stays must rise; no larger set of frames does (all subsets tried).
        const most = Math.max(
          ...Array.from({ length: 2 ** order.length }, (_, bits) => {
            const kept = order.filter((_each, at) => (bits >> at) & 1);
            return kept.every((each, at) => at === 0 || kept[at - 1]! < each) ? kept.length : 0;
          }),
        );
        expect(moves).toHaveLength(order.length - most);
      }),
    );
  });

  it('refuses an order that leaves a frame out or names one twice', () => {
    for (const order of [
      [1, 1],
      [1, 3],
      [0, 1],
      [1.5, 1],
    ])
      expect(() => movesTo(order)).toThrow(/once/);
  });
});

describe('an order is read', () => {
  it.each([
    ['HBBDBBH', 'Brood apart: frame 4 without brood between', 'Food within reach on both sides'],
    ['HBBFBBD', 'Foundation between brood (4)', 'on one side of the nest only'],
    ['BBBDDDH', 'Brood at a wall', 'No food within two frames'],
    ['HDBBBDP', 'Brood in one block, 3 frames.', 'on one side of the nest only'],
    ['HDDDH', 'No brood was read', ''],
  ])('%s', (nest, ...words) => {
    const order = [...nest].map((_, index) => index + 1);
    const says = inEnglish(readOrder(framesOf(roles(nest)), order).says).join(' ');
    for (const word of words) expect(says).toContain(word);
  });

  it('a rim of honey within reach feeds, too', () => {
    const rim = frame('2H 6C', '2H 6C');
    const thin = frame('1H 7C', '2H 6C');
    const nest = (edge: typeof rim) => [edge, ...framesOf(roles('BBB')), edge];
    expect(readOrder(nest(rim), [1, 2, 3, 4, 5]).foodBeside).toBe(2);
    expect(readOrder(nest(thin), [1, 2, 3, 4, 5]).foodBeside).toBe(0);
  });

  it('a box of brood alone has none at a wall that could be helped', () => {
    expect(readOrder(framesOf(roles('BBB')), [1, 2, 3]).broodAtWall).toBe(false);
  });
});
