import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  type RoundColony,
  type RoundJob,
  type YardColony,
  matchYard,
  reservesOf,
  yardColony,
  yardRound,
} from '../src/care';
import { factsOf } from '../src/situation';
import { inEnglish } from '../src/words';
import { rowsOf, situationOf } from './case-tables';
import { ordinary, yardOf } from './yard-colonies';

describe('from hive to hive', () => {
  const rows = rowsOf(readFileSync(join(import.meta.dirname, '../../docs/cases/yard.md'), 'utf8'));

  it('has cases enough, a third of them where nothing is to be said', () => {
    expect(rows.length).toBeGreaterThanOrEqual(24);
    expect(rows.filter(([, , says]) => says === 'nothing').length).toBeGreaterThanOrEqual(rows.length / 3);
  });

  it.each(rows.map(([title, given, says]) => [title!, given!, says!] as const))('%s', (_, given, says) => {
    const told = matchYard(yardOf(given)).map(({ from, to, what, says: words }) => {
      const how = /\btwo\b/.test(inEnglish(words)) ? '2 ' : inEnglish(words).includes('in a cage') ? 'caged ' : '';
      return `${from} gives ${how}${what} to ${to}`;
    });
    expect(told.length === 0 ? 'nothing' : told.join('; ')).toBe(says);
  });

  // Kept beside the cases, so that whoever changes a rule reads what it changes: `npx vitest run --project core yard -u`.
  it('is told as kept, with its reasons', async () => {
    const told = rows.map(([title, given]) => {
      const lines = inEnglish(matchYard(yardOf(given!))).map(({ says, why }) => `${says} (${why})`);
      return `## ${title}\n\n${lines.join('\n') || 'nothing'}\n`;
    });
    await expect(told.join('\n')).toMatchFileSnapshot('../../docs/cases/answers/yard.txt');
  });

  it('tells of each queen in reserve whether she could go today, those that could first', () => {
    const told = reservesOf(
      yardOf('1; 2 small no-eggs; 3 small young-queen; 4 small honey; 5 reserve cells; 6 small sick'),
    );
    expect(told.map(({ number, ready, says }) => [number, ready, inEnglish(says)])).toEqual([
      ['3', true, 'a queen in her first season, laying, 4 frames of bees: could go today'],
      ['2', false, 'not now: no eggs were seen at the last look'],
      ['5', false, 'not now: it has queen cells'],
      ['6', false, 'not now: something was found on its brood or bees'],
    ]);
    expect(reservesOf(yardOf('phase winter-rest; 1 small'))[0]!.ready).toBe(false);
    expect(reservesOf(yardOf('1; 2'))).toEqual([]);
  });

  it('never moves a comb out of, into or beside suspicion, and never between different frames (property)', () => {
    const colony = fc.record({
      bees: fc.option(fc.double({ min: 0, max: 20, noNaN: true }), { nil: null }),
      brood: fc.double({ min: 0, max: 12, noNaN: true }),
      storesKg: fc.double({ min: 0, max: 30, noNaN: true }),
      frame: fc.constantFrom('national-deep' as const, 'langstroth-deep' as const),
      sound: fc.boolean(),
      suspected: fc.boolean(),
      queenright: fc.boolean(),
    });
    fc.assert(
      fc.property(fc.array(colony, { minLength: 1, maxLength: 8 }), (all) => {
        const yard = all.map((each, at): YardColony => ({ ...ordinary, ...each, number: `${at}`, phase: 'build-up' }));
        const matches = matchYard(yard);
        const of = (number: string) => yard.find((each) => each.number === number)!;
        if (yard.some(({ suspected }) => suspected)) expect(matches).toEqual([]);
        for (const { from, to } of matches) {
          expect(from).not.toBe(to);
          expect(of(from).frame).toBe(of(to).frame);
          expect(of(from).sound && of(to).sound).toBe(true);
        }
      }),
    );
  });
});

describe('a colony as its neighbours matter to it', () => {
  it.each<[string, string, Partial<YardColony>]>([
    [
      'sound and laying',
      '',
      { sound: true, suspected: false, treated: false, queenright: true, eggs: true, trouble: null },
    ],
    ['half read', 'read 12', { bees: 6.94 }],
    ['hardly read', 'read 8', { bees: null }],
    ['a doubtful side', 'doubt 5', { sound: false, suspected: false }],
    ['sunken cappings', 'mark sunken-lids on 6', { sound: false }],
    ['ropy brood', 'found ropy-brood', { sound: false, suspected: true }],
    ['a suspicion from before', 'suspected foulbrood on 2026-04-20', { suspected: true }],
    ['that suspicion settled', 'suspected foulbrood on 2026-04-20; settled on 2026-05-01', { suspected: false }],
    ['a medicine in the hive', 'gave formic acid on 2026-05-10', { treated: true }],
    ['a medicine out, honey bound for four weeks', 'gave formic acid on 2026-04-20 for 10 days', { treated: true }],
    ['its honey free again', 'gave formic acid on 2026-03-01 for 10 days', { treated: false }],
    ['cells', 'cells 2 cup edge', { cells: true }],
    ['robbers', 'outside robbing', { robbed: true }],
    ['mites at the limit', 'washed 9 of 300', { mites: true }],
    ['mites under it', 'washed 8 of 300', { mites: false }],
    ['no brood at all', 'nest empty', { queenright: false, eggs: false, trouble: 'queenless' }],
    ['a drone layer, seen', 'nest drones; seen queen', { trouble: 'drone-layer' }],
    ['an old patchy queen', 'queen 2024; mark spotty-pattern on 5, 6', { trouble: 'failing', queenSeasons: 3 }],
    ['a small box', 'nucleus', { small: true }],
    ['two boxes', 'double', { small: false }],
    ['kept for more colonies', 'aim growth', { aim: 'growth', leastKg: 5 }],
    ['to live by itself', 'aim survival', { leastKg: 7.5, feedToKg: 15 }],
    ['a reserve', 'nucleus; aim reserve', { leastKg: 2, feedToKg: 4, aim: 'reserve' }],
    ['a full super of ten shallow frames, 1.35 kg each', 'super full', { storesKg: 23.024 }],
  ])('%s', (_, given, expected) => {
    expect(yardColony(factsOf(situationOf(given)), 'national-deep')).toMatchObject({
      frame: 'national-deep',
      ...expected,
    });
  });
});

const job = (key: string, more: Partial<RoundJob['errand']> = {}): RoundJob => ({
  key,
  what: key,
  why: '',
  by: '2026-05-16',
  strict: 'should',
  errand: { minutes: 10, when: 'day', opens: true, brings: [], ...more },
});
const colony = (number: string, jobs: readonly RoundJob[], more: Partial<RoundColony> = {}): RoundColony => ({
  hive: `hive-${number}`,
  number,
  place: { east: Number(number) * 10, north: 0 },
  suspected: false,
  temper: 2,
  jobs,
  ...more,
});
const order = (colonies: readonly RoundColony[]) => yardRound(colonies).stops.map(({ number }) => number);

describe('a round through the yard', () => {
  it('goes from one hive to the nearest, and says how far', () => {
    const round = yardRound([colony('3', [job('a')]), colony('1', [job('b')]), colony('2', [job('c')])]);
    expect(round.stops.map(({ number }) => number)).toEqual(['1', '2', '3']);
    expect(round.metres).toBe(20);
    expect(yardRound([colony('1', [job('a')], { place: null }), colony('2', [job('b')])]).metres).toBeNull();
  });

  it('meets sharp hives after quiet ones and suspected ones last of all', () => {
    const all = [
      colony('1', [job('a')], { suspected: true }),
      colony('2', [job('b')], { temper: 4 }),
      colony('3', [job('c')], { temper: 3 }),
      colony('4', [job('d')], { temper: null }),
    ];
    expect(order(all)).toEqual(['3', '4', '2', '1']);
    expect(yardRound(all).stops.map((stop) => stop.order)).toEqual([null, null, 'temper', 'suspected']);
  });

  it('leaves feeding to the evening, and passes hives by at which nothing is to be done', () => {
    const round = yardRound([
      colony('1', [job('feed', { when: 'evening', opens: false, minutes: 6 })]),
      colony('2', []),
      colony('3', [job('look')]),
    ]);
    expect(round.stops.map(({ number, when }) => [number, when])).toEqual([
      ['3', 'day'],
      ['1', 'evening'],
    ]);
    expect(round.minutes).toEqual({ day: 10, evening: 6 });
  });

  it('opens a hive once for all that is done there', () => {
    const [stop] = yardRound([colony('4', [job('cells'), job('wash', { minutes: 12 })])]).stops;
    expect(stop!.minutes).toBe(10 + 12 - 4);
    expect(yardRound([colony('1', [job('a')]), colony('2', [job('b')])]).minutes.day).toBe(10 + 2 + 10);
  });

  it('adds up what is brought: pieces and litres a hive, one wash kit for all, sugar and water for the syrup', () => {
    const { kit, mix } = yardRound([
      colony('1', [
        job('feed', {
          brings: [
            { what: 'thin-syrup', amount: 2 },
            { what: 'feeder', amount: 1 },
          ],
        }),
      ]),
      colony('2', [
        job('feed', {
          brings: [
            { what: 'thin-syrup', amount: 1.5 },
            { what: 'feeder', amount: 1 },
          ],
        }),
      ]),
      colony('3', [job('wash', { brings: [{ what: 'wash-kit', amount: 1 }] })]),
      colony('4', [job('wash', { brings: [{ what: 'wash-kit', amount: 1 }] })]),
    ]);
    expect(kit).toEqual([
      { what: 'feeder', amount: 2, hives: ['1', '2'] },
      { what: 'thin-syrup', amount: 3.5, hives: ['1', '2'] },
      { what: 'wash-kit', amount: 1, hives: ['3', '4'] },
    ]);
    // 3.5 litres of 1 : 1 weigh 3.5 × 1.23 kg, half of it sugar.
    expect(mix!.sugarKg).toBeCloseTo((3.5 * 1.23) / 2, 1);
    expect(mix!.waterL).toBeCloseTo(mix!.sugarKg, 1);
    expect(yardRound([colony('3', [job('wash')])]).mix).toBeNull();
  });

  it('visits each hive with something to do exactly once a time of day (property)', () => {
    const any = fc.array(
      fc.record({
        east: fc.integer({ min: -50, max: 50 }),
        north: fc.integer({ min: -50, max: 50 }),
        suspected: fc.boolean(),
        temper: fc.option(fc.integer({ min: 1, max: 5 }), { nil: null }),
        evening: fc.boolean(),
        busy: fc.boolean(),
      }),
      { maxLength: 12 },
    );
    fc.assert(
      fc.property(any, (hives) => {
        const all = hives.map(({ east, north, suspected, temper, evening, busy }, at) =>
          colony(`${at}`, busy ? [job('a'), job('b', { when: evening ? 'evening' : 'day' })] : [], {
            place: { east, north },
            suspected,
            temper,
          }),
        );
        const { stops } = yardRound(all);
        const keys = stops.map(({ number, when }) => `${number} ${when}`);
        expect(new Set(keys).size).toBe(keys.length);
        expect(stops.flatMap(({ jobs }) => jobs)).toHaveLength(all.flatMap(({ jobs }) => jobs).length);
        const day = stops.filter(({ when }) => when === 'day').map(({ order: each }) => each);
        expect(day).toEqual(
          [...day].sort((a, b) => [null, 'temper', 'suspected'].indexOf(a) - [null, 'temper', 'suspected'].indexOf(b)),
        );
      }),
    );
  });
});
