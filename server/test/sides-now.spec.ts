import { describe, expect, it } from 'vitest';
import { type Comb, EMPTY_SIDE } from '@brave-comb/core/inspection';
import { combsMoved, sidesNow } from '../src/facts/inspection';

const comb = (id: string): Comb => ({ id, kind: 'drawn', since: null, donor: null, label: id });
const box = (...ids: string[]) => ({ 'brood box': ids.map(comb) });

describe('combs between two visits', () => {
  const then = { ...box('a', 'b', 'c'), 'super 1': [comb('s')] };

  it.each([
    ['stood still', box('a', 'b', 'c'), []],
    [
      'two changed places',
      box('b', 'a', 'c'),
      [
        [1, 2],
        [2, 1],
      ],
    ],
    ['one came from the super', box('a', 's', 'c'), [[2, 'super 1']]],
    ['one is new', box('a', 'b', 'new'), [[3, null]]],
  ])('%s', (_, now, moved) => {
    expect(
      combsMoved('brood box', then, now).map(({ frame, was }) => [
        frame,
        was && (was.box === 'brood box' ? was.frame : was.box),
      ]),
    ).toEqual(moved);
  });

  it('take their readings along, and those that left are gone', () => {
    const read = (frame: number) => ({
      address: { box: 'brood box', frame, face: 'low' as const },
      side: { ...EMPTY_SIDE, bees: frame },
    });
    const sides = sidesNow([read(1), read(2), read(3)], then, box('c', 'a'));
    expect(sides.map(({ address, side }) => [address.frame, side.bees])).toEqual([
      [2, 1],
      [1, 3],
    ]);
  });
});
