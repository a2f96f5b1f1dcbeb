import * as fc from 'fast-check';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { lane } from '../src/lanes';
import type { Refusal } from '../src/problem';

/** Work that is done when it is told to be. */
function held() {
  const ends: (() => void)[] = [];
  const started: string[] = [];
  const work = (name: string) => () =>
    new Promise<string>((done) => {
      started.push(name);
      ends.push(() => done(name));
    });
  const endAll = async () => {
    // More may come while these end.
    for (const end of ends) {
      end();
      await new Promise((done) => setImmediate(done));
    }
  };
  return { work, started, endAll, endFirst: () => ends.shift()?.() };
}
const soon = () => new Promise((done) => setImmediate(done));
const limits = { atOnce: 2, waiting: 10, each: 4, patience: 60_000 };

describe('a lane', () => {
  it('works on a few at once and takes the next when one is done', async () => {
    const { work, started, endAll } = held();
    const run = lane(limits);
    const all = ['a', 'b', 'c'].map((name) => run(name, work(name)));
    await soon();
    expect(started).toEqual(['a', 'b']);
    await endAll();
    expect(await Promise.all(all)).toEqual(['a', 'b', 'c']);
  });

  it('lets whoever asks for little go before what somebody else asks for much', async () => {
    const { work, started, endAll } = held();
    const run = lane(limits);
    const many = ['1', '2', '3', '4'].map((name) => run('greedy', work(`greedy ${name}`)));
    const one = run('modest', work('modest'));
    await soon();
    await endAll();
    await Promise.all([...many, one]);
    expect(started.indexOf('modest')).toBe(2);
  });

  it('sends away whom it cannot take, with when to come again, and takes others still', async () => {
    const { work, endAll } = held();
    const run = lane(limits);
    const greedy = Array.from({ length: 7 }, (_, at) =>
      run('greedy', work(`${at}`)).catch((error: unknown) => error as Refusal),
    );
    const other = run('other', work('other'));
    await soon();
    await endAll();
    const answers = await Promise.all(greedy);
    const refused = answers.filter((each) => typeof each !== 'string');
    expect(refused).toHaveLength(1);
    expect(refused[0]).toMatchObject({ status: 503, problem: 'busy', retryAfter: 3 });
    expect(await other).toBe('other');
  });

  it('goes on after work that failed', async () => {
    const run = lane({ ...limits, atOnce: 1 });
    await expect(run('a', () => Promise.reject(new Error('no')))).rejects.toThrow('no');
    expect(await run('a', () => Promise.resolve('yes'))).toBe('yes');
  });

  it('never works on more than it may, and loses nobody', async () => {
    await fc.assert(
      fc.asyncProperty(
        fc.integer({ min: 1, max: 4 }),
        fc.array(fc.record({ person: fc.constantFrom('a', 'b', 'c'), fails: fc.boolean() }), { maxLength: 40 }),
        async (atOnce, asked) => {
          const run = lane({ atOnce, waiting: 100, each: 100, patience: 60_000 });
          let now = 0;
          let most = 0;
          const answers = await Promise.allSettled(
            asked.map(({ person, fails }) =>
              run(person, async () => {
                most = Math.max(most, (now += 1));
                await soon();
                now -= 1;
                if (fails) throw new Error('failed');
              }),
            ),
          );
          expect(most).toBeLessThanOrEqual(atOnce);
          expect(answers.map(({ status }) => status === 'rejected')).toEqual(asked.map(({ fails }) => fails));
        },
      ),
      { numRuns: 50 },
    );
  });

  describe('with patience', () => {
    beforeEach(() => void vi.useFakeTimers());
    afterEach(() => void vi.useRealTimers());

    it('lets nobody wait longer than that', async () => {
      const run = lane({ ...limits, atOnce: 1, patience: 5_000 });
      void run('a', () => new Promise(() => undefined));
      const late = run('b', () => Promise.resolve()).catch((error: unknown) => error as Refusal);
      await vi.advanceTimersByTimeAsync(5_000);
      expect(await late).toMatchObject({ status: 503, retryAfter: 5 });
    });
  });
});
