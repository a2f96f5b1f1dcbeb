import { describe, expect, it } from 'vitest';
import { type Selection, selectionOf } from '../src/care';
import { factsOf } from '../src/situation';
import { inEnglish } from '../src/words';
import { situationOf } from './case-tables';

const PROVEN = 'queen 2025; noted productive on 2025-07-20; noted winters-well on 2026-03-20';
const selected = (given: string) => inEnglish(selectionOf(factsOf(situationOf(given))));

describe('what a colony’s nature says of its queen', () => {
  it.each<[string, Selection]>([
    ['', 'cannot-tell'],
    ['tempers 1 2', 'cannot-tell'],
    ['tempers 2 2 3', 'keep'],
    ['noted gentle on 2026-05-01', 'keep'],
    ['noted sharp on 2026-05-01', 'keep'],
    ['noted sharp on 2026-04-20 2026-05-01', 'requeen'],
    ['noted chalkbrood-again on 2025-06-01 2026-05-01', 'requeen'],
    ['tempers 3 4 5', 'requeen'],
    ['tempers 3 3 5', 'keep'],
    [`${PROVEN}; tempers 1 2 2; washed 1 of 300`, 'breed'],
    [`${PROVEN}; tempers 2 3 3; washed 1 of 300`, 'keep'],
    [`${PROVEN}; tempers 2 2 5; washed 1 of 300`, 'breed'],
    [`${PROVEN}; tempers 1 2 2; washed 1 of 300 on 2025-04-09`, 'breed'],
    [`${PROVEN}; tempers 1 2 2; washed 1 of 300 on 2025-04-08`, 'keep'],
    [`${PROVEN}; tempers 1 2 2; washed 9 of 300; washed 1 of 300 on 2026-04-01`, 'keep'],
    ['tempers 4 5 5 2; virgin on 2026-05-01; seen', 'cannot-tell'],
    // Six weeks after she emerged her own bees are in the hive.
    ['noted follows on 2026-05-13 2026-05-14; virgin on 2026-04-02', 'keep'],
    ['noted follows on 2026-05-14 2026-05-15; virgin on 2026-04-02; on 2026-05-16', 'requeen'],
  ])('%s: %s', (given, verdict) => expect(selected(given).verdict).toBe(verdict));

  it('says all that speaks for and against it, and nothing twice', () => {
    const { reasons } = selected(
      'queen 2026; tempers 3 3 3; noted gentle on 2026-05-01; noted runs-on-comb on 2026-05-01; washed 15 of 300',
    );
    expect(reasons.map(({ sense, text }) => `${sense}: ${text}`)).toEqual([
      'for: Noted on 1 day: gentle on the comb',
      'against: Temper 3, 3, 3 of 5 at the last looks: not gentle enough to breed from',
      'against: Noted on 1 day: runs on the comb',
      'against: Nobody knows yet how she winters',
      'against: Mites were over the line at least once',
      'against: Fewer than 2 good traits were noted',
    ]);
    expect(selected('').reasons.map(({ text }) => text)).toEqual([
      'Temper noted at 0 looks; 3 would tell',
      'Nobody knows yet how she winters',
      'Her mites were never counted',
      'Fewer than 2 good traits were noted',
    ]);
    expect(selected(`${PROVEN}; tempers 1 2 2; washed 1 of 300`).reasons.map(({ text }) => text)).toEqual([
      'Noted on 1 day: brings in more than its neighbours',
      'Noted on 1 day: winters well',
      'Temper 1, 2, 2 of 5 at the last looks: gentle',
      'Mites stayed under the line in 1 sample',
    ]);
  });
});
