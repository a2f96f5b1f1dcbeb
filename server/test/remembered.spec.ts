import * as fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { identityOf, remembered } from '../src/remembered';

describe('a reckoning that is remembered', () => {
  it('is done once for the same facts, whoever reads them anew, and again when one has changed', () => {
    let done = 0;
    const sum = remembered(
      3,
      (site: { id: string }, days: readonly number[]) => [site, days],
      (site, days) => ({ site: site.id, no: (done += 1), sum: days.reduce((all, day) => all + day, 0) }),
    );
    const first = sum({ id: 'home' }, [1, 2]);
    expect(sum({ id: 'home' }, [1, 2])).toBe(first);
    expect(sum({ id: 'home' }, [1, 3])).toMatchObject({ no: 2, sum: 4 });
    expect(sum({ id: 'moor' }, [1, 2])).toMatchObject({ no: 3, site: 'moor' });
    expect(sum({ id: 'home' }, [1, 2])).toBe(first);
  });

  it('keeps what was asked for lately', () => {
    const done: number[] = [];
    const twice = remembered(
      2,
      (n: number) => n,
      (n) => {
        done.push(n);
        return 2 * n;
      },
    );
    for (const n of [1, 2, 1, 3, 1, 2]) expect(twice(n)).toBe(2 * n);
    expect(done).toEqual([1, 2, 3, 2]);
  });

  it('remembers an answer of nothing, and no failure', () => {
    let tries = 0;
    const reckon = remembered(
      2,
      (n: number) => n,
      (n) => {
        tries += 1;
        if (n < 0 && tries < 3) throw new RangeError('not yet');
        return n < 0 ? 'at last' : undefined;
      },
    );
    expect([reckon(1), reckon(1), tries]).toEqual([undefined, undefined, 1]);
    expect(() => reckon(-1)).toThrow('not yet');
    expect(reckon(-1)).toBe('at last');
  });

  it('never takes one thing for another', () => {
    const fact = fc.oneof(fc.string(), fc.integer(), fc.constant(null), fc.boolean());
    fc.assert(
      fc.property(fc.array(fc.tuple(fact, fact), { maxLength: 30 }), (asked) => {
        const pair = remembered(
          5,
          (a: unknown, b: unknown) => [a, b],
          (a, b) => [a, b],
        );
        for (const [a, b] of asked) expect(pair(a, b)).toEqual([a, b]);
      }),
    );
  });

  it('knows large things by name: their own, and no other’s', () => {
    const [one, same] = [{ members: [1] }, { members: [1] }];
    expect(identityOf(one)).toBe(identityOf(one));
    expect(identityOf(one)).not.toBe(identityOf(same));
    expect(identityOf(null)).not.toBe(identityOf(one));
  });
});
