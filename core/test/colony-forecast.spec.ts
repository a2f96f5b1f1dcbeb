import { describe, expect, it } from 'vitest';
import { type DaysFacts, forecastFacts, roomOf } from '../src/care';
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
});
