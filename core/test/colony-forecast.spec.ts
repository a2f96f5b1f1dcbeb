import { describe, expect, it } from 'vitest';
import { type Band, FORESEEN, forecastColony } from '../src/biology';
import { type ColonyEvent, type DaysFacts, coursesOf, forecastFacts, roomOf } from '../src/care';
import type { Stack } from '../src/equipment';
import type { HiveRead } from '../src/inspection';
import type { SituationVisit } from '../src/situation';
import { Faults } from '../src/situation/faults';
import { readVisit } from '../src/situation/visit';
import { addDays } from '../src/units';
import { yearOf } from './calendar-year';

const NEST: Stack = [
  { id: 'floor', kind: 'floor' },
  { id: 'brood box', kind: 'box', box: 'national-brood', frames: 11, dummy: false },
  { id: 'roof', kind: 'roof' },
];
const SUPER = { id: 'super 1', kind: 'box', box: 'national-super', frames: 10, dummy: false } as const;
const WITH_SUPER: Stack = [NEST[0]!, NEST[1]!, { id: 'excluder', kind: 'excluder' }, SUPER, NEST[2]!];
const DAYS: DaysFacts = {
  phases: yearOf('maritime'),
  forage: [],
  days: [],
  fed: [],
  strain: 'cuts-down',
  courses: [],
  noQueen: null,
};
const TODAY = '2026-05-14';
const sides = (line: string, count = 22) =>
  Array.from({ length: count }, (_, at) => {
    const frame = Math.floor(at / 2) + 1;
    return `${frame}/${at % 2 === 0 ? frame - 1 : frame + 1}: ${line}`;
  });
const look = (date: string, visit: SituationVisit, stack: Stack = NEST): { date: string; read: HiveRead } => ({
  date,
  read: readVisit(visit, stack, date, [date], new Faults()),
});
const BROOD = '2H 1P 1E 1L 3S B6';
const known = (...looks: ReturnType<typeof look>[]) => forecastFacts(looks, DAYS, TODAY, 100);

describe('what a forecast rests on', () => {
  it('is the looks of the last months from the first that read bees and brood, on days counted from it', () => {
    const seen = (...dates: string[]) =>
      known(...dates.map((date) => look(date, { sides: sides(BROOD) })))?.facts.seen.map(({ day }) => day);
    expect(seen('2026-04-20', '2026-05-10')).toEqual([0, 20]);
    expect(seen('2026-01-14', '2026-05-10')).toEqual([0, 116]);
    expect(seen('2026-01-13', '2026-05-10')).toEqual([0]);
    expect(seen('2026-05-10', '2026-05-15')).toEqual([0]);
    expect(seen('2026-05-14')).toEqual([0]);
    expect(known()).toBeNull();
    const hefted = look('2026-04-01', { measures: [{ what: 'weight', part: 'brood box', how: 'hefted', kg: 12 }] });
    expect(known(hefted)).toBeNull();
    expect(known(hefted, look('2026-04-20', { sides: sides(BROOD) }))?.first).toBe('2026-04-20');
    expect(known(look('2026-05-01', { sides: sides(BROOD, 5) }))).toBeNull();
    expect(known(look('2026-05-01', { sides: sides(BROOD, 6) }))?.first).toBe('2026-05-01');
    expect(known(look('2026-05-01', { sides: sides('2H 1P 1E 1L 3S') }))).toBeNull();
  });

  it('takes the last of two looks on one day', () => {
    const two = known(look('2026-05-01', { sides: sides('8C B1') }), look('2026-05-01', { sides: sides(BROOD) }));
    expect(two?.facts.seen).toHaveLength(1);
    expect(two?.facts.seen[0]!.bees!.value).toBe(8.25);
  });

  it('reaches six weeks ahead of today', () => {
    const facts = known(look('2026-05-04', { sides: sides(BROOD) }))!.facts;
    expect(facts.days).toHaveLength(10 + 42 + 1);
    expect(facts.draws).toBe(100);
  });

  it('narrows what a reading may be off to nine times in ten', () => {
    const one = look('2026-05-04', { sides: sides(BROOD) });
    const { bees, sealed, eggs, larvae } = known(one)!.facts.seen[0]!;
    const read = one.read.nest.framesOfBees!;
    expect(bees!.value).toBe(read.value);
    expect(read.value - bees!.low).toBeCloseTo(((read.value - read.low) * 1.645) / 1.96, 9);
    expect(bees!.high - read.value).toBeCloseTo(((read.high - read.value) * 1.645) / 1.96, 9);
    expect(sealed!.value).toBeCloseTo((22 * 3) / 16, 1);
    expect(eggs!.value).toBeCloseTo(22 / 16, 1);
    expect(larvae!.value).toBeCloseTo(22 / 16, 1);
  });

  it('knows no brood and no food from a look at a corner, but its bees', () => {
    const facts = known(
      look('2026-04-20', { sides: sides(BROOD) }),
      look('2026-05-04', { sides: sides(BROOD, 4) }),
    )!.facts;
    expect(facts.seen[1]).toMatchObject({ eggs: null, larvae: null, sealed: null, storesKg: null });
    expect(facts.seen[1]!.bees).not.toBeNull();
  });

  it('takes food by weight where the nest was hefted', () => {
    const weight = { what: 'weight', part: 'brood box', how: 'hefted', kg: 12 } as const;
    const facts = known(look('2026-04-20', { sides: sides(BROOD) }), look('2026-05-04', { measures: [weight] }))!.facts;
    expect(facts.seen[1]).toMatchObject({ bees: null, eggs: null });
    expect(facts.seen[1]!.storesKg!.value).toBeGreaterThan(0);
  });

  it('adds the supers that were looked into, and leaves food open where one was not', () => {
    const both = { 'brood box': sides(BROOD), 'super 1': sides('8H B4', 20) };
    const nest = known(look('2026-05-04', { sides: sides(BROOD) }))!.facts.seen[0]!.storesKg!;
    const read = known(look('2026-05-04', { sides: both }, WITH_SUPER))!.facts.seen[0]!;
    const above = read.storesKg!.value - nest.value;
    expect(above).toBeGreaterThan(8);
    expect(read.storesKg!.low).toBeCloseTo(nest.low + above * 0.9, 9);
    expect(read.storesKg!.high).toBeCloseTo(nest.high + above * 1.1, 9);
    expect(known(look('2026-05-04', { sides: sides(BROOD) }, WITH_SUPER))!.facts.seen[0]!.storesKg).toBeNull();
  });

  it('says that food was moved when a super came off', () => {
    const moved = (before: Stack, after: Stack) =>
      known(
        look('2026-04-20', { sides: sides(BROOD) }, before),
        look('2026-05-04', { sides: sides(BROOD) }, after),
      )!.facts.seen.map((each) => each.foodMoved);
    expect(moved(WITH_SUPER, NEST)).toEqual([false, true]);
    expect(moved(NEST, WITH_SUPER)).toEqual([false, false]);
    expect(moved(NEST, NEST)).toEqual([false, false]);
  });

  it('keeps the last count of mites, and none of no bees', () => {
    const wash = (bees: number, mites: number) =>
      ({ what: 'mites-on-bees', method: 'alcohol-wash', bees, mites }) as const;
    const sample = (...measures: ReturnType<typeof wash>[]) =>
      known(look('2026-05-04', { sides: sides(BROOD), measures }))!.facts.seen[0]!.sample;
    expect(sample(wash(300, 6), wash(280, 3))).toEqual({ bees: 280, mites: 3 });
    expect(sample()).toBeNull();
  });

  it('knows how much stands on the hive: half of the nest for food, supers to the brim', () => {
    const { frames, holdsKg } = known(look('2026-05-04', { sides: sides(BROOD) }))!.facts.seen[0]!;
    const withSuper = known(look('2026-05-04', { sides: sides(BROOD) }, WITH_SUPER))!.facts.seen[0]!;
    expect(frames).toBe(11);
    // A National brood frame holds about 2.3 kg, eleven of them half full about 12.5; a super of ten about 12.
    expect(holdsKg).toBeGreaterThan(10);
    expect(holdsKg).toBeLessThan(15);
    expect(withSuper.holdsKg - holdsKg).toBeGreaterThan(9);
    expect(withSuper.holdsKg - holdsKg).toBeLessThan(15);
    expect(roomOf(NEST)).toBe(11);
    expect(roomOf(WITH_SUPER)).toBeGreaterThan(16);
    expect(roomOf(WITH_SUPER)).toBeLessThan(18);
  });

  it('takes the days of the year round: no brood is reared in the winter of the year before', () => {
    const one = look('2026-01-05', { sides: sides('4H 4C B6') });
    const facts = forecastFacts([{ ...one, date: '2025-12-01' }, one], DAYS, '2026-01-10', 10)!.facts;
    const winter = facts.days.slice(0, 20);
    expect(winter.every(({ laying }) => laying === 0)).toBe(true);
    expect(addDays('2025-12-01', 20) < '2025-12-22').toBe(true);
  });

  /** The forecast of these looks, week by week: the middle with nine in ten about it. */
  const told = (days: DaysFacts, ...looks: ReturnType<typeof look>[]): string => {
    const { first, facts } = forecastFacts(looks, days, TODAY, 200)!;
    const { from, bands, hindsight, habit } = forecastColony(facts);
    const band = (each: Band | undefined) =>
      each ? `${each.p50.toFixed(2)} (${each.p5.toFixed(2)} to ${each.p95.toFixed(2)})` : '-';
    const weeks = Array.from({ length: 7 }, (_, week) => week * 7).map((day) =>
      [addDays(first, from + day), ...FORESEEN.map((of) => `${of} ${band(bands[of]?.[day])}`)].join('; '),
    );
    const seen = hindsight.map(
      ({ day, of, foreseen, seen: saw, held }) =>
        `${addDays(first, day)} ${of}: ${saw.toFixed(2)} seen, ${band(foreseen)} expected, ${held ? 'held' : 'not held'}`,
    );
    const differs = (['laying', 'income', 'life'] as const).map((of) => `${of} ${band(habit[of])}`);
    return [...weeks, ...seen, differs.join('; ')].join('\n');
  };
  const FORMIC: ColonyEvent = {
    kind: 'treatment',
    date: '2026-05-16',
    medicine: 'formic acid pad',
    doses: 1,
    repeatAfter: null,
    removeAfter: 7,
    withdrawal: 0,
  };
  const washed = (mites: number) => ({ what: 'mites-on-bees', method: 'alcohol-wash', bees: 300, mites }) as const;

  // Kept as it is, to the last figure: `npx vitest run --project core colony-forecast -u`.
  it('comes to what is kept', async () => {
    const good = look('2026-05-10', { sides: sides(BROOD) });
    const cases: readonly (readonly [string, string])[] = [
      ['One look in May', told(DAYS, good)],
      [
        'Three looks from March, mites counted twice',
        told(
          DAYS,
          look('2026-03-25', { sides: sides('4H 3C 1S B3') }),
          look('2026-04-20', { sides: sides('2H 2S 1E 1L 2C B4'), measures: [washed(1)] }),
          look('2026-05-10', { sides: sides(BROOD), measures: [washed(6)] }),
        ),
      ],
      [
        'Looked at twice, weaker than expected',
        told(DAYS, look('2026-04-20', { sides: sides(BROOD) }), look('2026-05-10', { sides: sides('5H 2C 1S B3') })),
      ],
      [
        'Fed, no queen for three weeks, a medicine',
        told(
          {
            ...DAYS,
            fed: [{ date: '2026-05-14', kg: 6 }],
            noQueen: { from: '2026-05-14', until: '2026-06-08' },
            courses: coursesOf([FORMIC], TODAY),
          },
          look('2026-05-10', { sides: sides(BROOD), measures: [washed(9)] }),
        ),
      ],
    ];
    await expect(cases.map(([title, lines]) => `## ${title}\n\n${lines}\n`).join('\n')).toMatchFileSnapshot(
      '../../docs/cases/answers/forecast.txt',
    );
  });
});
