import { lanes } from './lanes';

describe('lanes', () => {
  it('hold spans side by side, without overlap', () => {
    const { placed, count, leftOut } = lanes(
      [
        { from: 5, to: 9 },
        { from: 0, to: 4 },
        { from: 2, to: 6 },
      ],
      3,
    );
    expect(placed.map(({ from, lane }) => [from, lane])).toEqual([
      [0, 0],
      [2, 1],
      [5, 0],
    ]);
    expect([count, leftOut]).toEqual([2, 0]);
  });

  it('tell how many found none', () => {
    const all = [0, 1, 2, 3].map(() => ({ from: 0, to: 5 }));
    expect(lanes(all, 3).leftOut).toBe(1);
  });
});
