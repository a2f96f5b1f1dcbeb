import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  type PairMeasured,
  QUEEN_SOURCES,
  type QueenSource,
  boxLayout,
  combPlan,
  pairHives,
  splitPlan,
  trialResult,
} from '../src/care';
import { addDays, daysBetween, scattered } from '../src/units';
import { inEnglish } from '../src/words';
import { rowsOf } from './case-tables';
import { yearOf } from './calendar-year';
import { yardOf } from './yard-colonies';

const table = (name: string) => readFileSync(join(import.meta.dirname, `../../docs/cases/${name}.md`), 'utf8');

const planOf = (given: string) => {
  const [before, colonies = '1 bees 11 brood 7; 2 bees 11 brood 7; 3 bees 11 brood 7'] = given.split('; colonies ');
  const pieces = before!.split(';').map((piece) => piece.trim());
  const said = (word: string) => pieces.find((piece) => piece.startsWith(`${word} `))?.slice(word.length + 1);
  const today = said('on')!;
  const fit = Number(said('mating') ?? 0.6);
  return splitPlan({
    today,
    wanted: Number(said('wanted') ?? 2),
    source: pieces[0] as QueenSource,
    readyBy: said('by') ?? null,
    phases: yearOf(said('at') ?? 'maritime'),
    matingDays: Array.from({ length: 400 }, (_, day) => ({ date: addDays(today, day), fit })),
    colonies: yardOf(colonies),
  });
};

describe('dividing colonies', () => {
  const rows = rowsOf(table('splits'));

  it('has cases enough', () => expect(rows.length).toBeGreaterThanOrEqual(24));

  it.each(rows.map((row) => [row[0]!, row] as const))('%s', (_, row) => {
    const [, given, says, never] = row as [string, string, string, string];
    const { steps, units, givers, not, minds, laying } = inEnglish(planOf(given));
    const all = [
      ...steps.map(({ key, from }) => `${key} ${from}`),
      laying ? `laying ${laying.to}` : '',
      `${units} units`,
      not ?? '',
      ...minds,
      ...givers.map((giver) => giver.says),
    ]
      .join('\n')
      .toLowerCase();
    for (const words of says.split(';')) expect(all).toContain(words.trim().toLowerCase());
    if (never) expect(all).not.toContain(never.toLowerCase());
  });

  // Kept beside the cases, so that whoever changes a rule reads what it changes: `npx vitest run --project core increase -u`.
  it('is told as kept, to the last line', async () => {
    const told = rows.map(([situation, given]) => {
      const { steps, givers, minds, laying, proven, not, otherSchool, units } = inEnglish(planOf(given!));
      return [
        `## ${situation}\n`,
        ...(not ? [`not: ${not}`] : []),
        ...steps.map(({ from, to, title, why }) => `${from} to ${to}: ${title} (${why})`),
        `laying ${laying ? `${laying.from} to ${laying.to}` : '-'}, proven ${proven ?? '-'}, ${units} units`,
        ...givers.map(({ number, units: of, says }) => `${number} gives ${of}: ${says}`),
        ...minds.map((mind) => `mind: ${mind}`),
        `another school ${otherSchool}\n`,
      ].join('\n');
    });
    await expect(told.join('\n')).toMatchFileSnapshot('../../docs/cases/answers/splits.txt');
  });

  it('runs in order, begins no earlier than today, and lets nobody meet a colony that is left alone (property)', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...QUEEN_SOURCES),
        fc.integer({ min: 0, max: 364 }),
        fc.constantFrom('maritime', 'south'),
        (source, day, place) => {
          const today = addDays(place === 'south' ? '2026-06-21' : '2025-12-21', day);
          const { steps, laying, proven, not } = planOf(`${source}; on ${today}; at ${place}`);
          expect(steps.length === 0).toBe(not !== null);
          if (!laying) return;
          for (const [at, each] of steps.entries()) {
            expect(each.from >= today && each.to >= each.from).toBe(true);
            if (at > 0) expect(each.from >= steps[at - 1]!.from).toBe(true);
          }
          const alone = steps.find(({ key }) => key === 'alone')!;
          expect(steps.filter(({ key, from }) => key !== 'alone' && from > alone.from && from < alone.to)).toEqual([]);
          expect(daysBetween(laying.to, proven!)).toBe(21);
        },
      ),
      { numRuns: 60 },
    );
  });

  it('gives no more than it keeps (property)', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 25, noNaN: true }),
        fc.double({ min: 0, max: 15, noNaN: true }),
        (bees, brood) => {
          const { units } = planOf(
            `buy-mated; on 2026-05-14; colonies 1 bees ${bees.toFixed(2)} brood ${brood.toFixed(2)}`,
          );
          expect(units === 0 || (bees - units * 3 >= 4.99 && brood - units * 1.5 >= 2.99)).toBe(true);
        },
      ),
    );
  });

  it('wants at least one colony', () => expect(() => planOf('graft; on 2026-05-14; wanted 0')).toThrow(RangeError));
});

describe('drawn comb as a stock', () => {
  const [stock, layouts] = table('combs').split('| frames |');

  it.each(rowsOf(stock!).map((row) => [row[0]!, row] as const))('%s', (_, row) => {
    const [, counts, goal, ahead, says] = row as [string, string, string, string, string];
    const [inHives, inStore, foundation] = counts.split(' ').map(Number) as [number, number, number];
    const [flowTo, builders] = ahead.split(' ') as [string, string];
    const plan = inEnglish(
      combPlan(
        { inHives, inStore, foundation },
        Number(goal),
        '2026-05-14',
        flowTo === '-' ? null : flowTo,
        Number(builders),
      ),
    );
    const all = `${plan.says}; buy ${plan.buy}`;
    for (const words of says.split(';')) expect(all).toContain(words.trim());
    expect(plan.reached).toBe(plan.short === 0 ? null : says.includes('in each'));
    expect(plan.worthKg).toBe(Math.round((inHives + inStore) * 0.6));
  });

  it.each(rowsOf(`| frames |${layouts}`).map((row) => row as [string, string, string]))(
    '%s frames with %s drawn stand as %s',
    (frames, drawn, layout) => {
      expect(
        boxLayout(Number(frames), Number(drawn))
          .map((each) => (each ? 'D' : 'F'))
          .join(''),
      ).toBe(layout);
    },
  );

  it('refuses a goal under nothing', () =>
    expect(() => combPlan({ inHives: 0, inStore: 0, foundation: 0 }, -1, '2026-05-14', null, 0)).toThrow(RangeError));
});

describe('trials', () => {
  const told: string[] = [];

  it.each(rowsOf(table('trials')).map((row) => [row[0]!, row] as const))('%s', (_, row) => {
    const [, given, verdict, chance] = row as [string, string, string, string];
    const value = (text: string) => (text === '-' ? null : Number(text));
    const pairs = given.split(';').map((pair, at): PairMeasured => {
      const [one, other] = pair.trim().split(' ');
      return { one: `a${at}`, other: `b${at}`, oneBy: value(one!), otherBy: value(other!) };
    });
    const result = trialResult(pairs);
    expect(result.verdict).toBe(verdict);
    told.push(`${row[0]}: ${inEnglish(result.says)}`);
    if (chance === '-') expect(result.byChance).toBeNull();
    else expect(result.byChance! * 100).toBeCloseTo(Number(chance), 6);
  });

  it('are told as kept', async () => {
    await expect(`${told.join('\n')}\n`).toMatchFileSnapshot('../../docs/cases/answers/trials.txt');
  });

  it('pairs like hives, each once, and leaves out who finds none as strong', () => {
    const hive = (number: string, bees: number, brood: number) => ({ hive: number, number, bees, brood });
    const hives = [hive('1', 10, 6), hive('2', 4, 2), hive('3', 9.5, 6), hive('4', 4.5, 2), hive('5', 20, 9)];
    const pairs = pairHives(hives, scattered(1));
    expect(pairs.map(({ one, other }) => [one, other].toSorted().join(' and ')).toSorted()).toEqual([
      '1 and 3',
      '2 and 4',
    ]);
  });

  it('lets chance say which of a pair gets which method (property)', () => {
    const hives = [0, 1].map((at) => ({ hive: `${at}`, number: `${at}`, bees: 8, brood: 4 }));
    const first = Array.from({ length: 200 }, (_, seed) => pairHives(hives, scattered(seed))[0]!.one);
    const share = first.filter((each) => each === '0').length / 200;
    expect(share).toBeGreaterThan(0.35);
    expect(share).toBeLessThan(0.65);
  });

  it('is blind to the order of pairs and turns round with the methods (property)', () => {
    const pair = fc.record({ oneBy: fc.integer({ min: 0, max: 20 }), otherBy: fc.integer({ min: 0, max: 20 }) });
    fc.assert(
      fc.property(fc.array(pair, { minLength: 1, maxLength: 9 }), (all) => {
        const pairs = all.map((each, at): PairMeasured => ({ ...each, one: `a${at}`, other: `b${at}` }));
        const told = trialResult(pairs);
        const turned = trialResult(
          pairs.map(({ oneBy, otherBy, ...rest }) => ({ ...rest, oneBy: otherBy, otherBy: oneBy })),
        );
        expect(trialResult([...pairs].reverse()).byChance).toBe(told.byChance);
        expect(turned.byChance).toBe(told.byChance);
        expect(turned.difference).toBeCloseTo(-told.difference!, 9);
        expect(told.byChance).toBeGreaterThan(0);
      }),
    );
  });

  it('takes sixteen pairs at most', () => {
    const pairs = Array.from({ length: 17 }, (_, at): PairMeasured => ({
      one: `${at}`,
      other: `b${at}`,
      oneBy: 1,
      otherBy: 0,
    }));
    expect(() => trialResult(pairs)).toThrow(RangeError);
    expect(trialResult(pairs.slice(1)).verdict).toBe('one');
  });
});
