import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  type Colony,
  type ColonyDay,
  type Counted,
  type ForecastFacts,
  HELD,
  type Habit,
  type Ranged,
  USUAL_HABIT,
  WORKER_DAYS,
  adultsNextDay,
  beesOf,
  cellsBetween,
  colonyNextDay,
  colonyOf,
  copyOf,
  foragerShare,
  forecastColony,
  mitesInAll,
  mitesNextDay,
  mitesOf,
} from '../src/biology';

const nest = { frames: 11, cellsPerFrame: 5400, beesPerFrame: 1700, holdsKg: 60 };
const ordinary: ColonyDay = {
  laying: 1500,
  life: 34,
  broodPerBees: 0.75,
  incomeKg: 0.05,
  fedKg: 0,
  clustered: false,
  drones: 0.05,
  mitesKilled: 0,
};
const may: Counted = { bees: 8, eggs: 0.6, larvae: 1.2, sealed: 2.4, storesKg: 8 };
const days = (count: number, day: ColonyDay = ordinary) => Array.from({ length: count }, () => day);
const after = (colony: Colony, ahead: readonly ColonyDay[], habit: Habit = USUAL_HABIT) => {
  const gone = copyOf(colony);
  const held = ahead.map((day) => colonyNextDay(gone, day, nest, habit));
  return { colony: gone, held };
};

describe('adults after Khoury, Myerscough & Barron 2011 (PLoS ONE 6: e18491)', () => {
  // Their figures: 2000 eggs a day, half of the greatest emergence at 27,000 bees.
  const [laid, half] = [2000, 27_000];
  const settled = (death: number) => {
    let adults = { house: 16_000, foragers: 8000 };
    for (let day = 0; day < 20_000; day += 1) {
      const all = adults.house + adults.foragers;
      adults = adultsNextDay(adults, (laid * all) / (half + all), death);
    }
    return adults;
  };

  it('die out where more than 0.355 of the foragers die a day, and live below (their critical rate)', () => {
    const bees = ({ house, foragers }: ReturnType<typeof settled>) => house + foragers;
    expect(bees(settled(0.36))).toBeLessThan(1);
    expect(bees(settled(0.35))).toBeGreaterThan(100);
    // m = L/(2w) · (α + σ + √((α − σ)² + 4Lσ/w)) / (α − L/w), their equation for the threshold.
    const [alpha, sigma, rate] = [0.25, 0.75, laid / half];
    const critical =
      ((rate / 2) * (alpha + sigma + Math.sqrt((alpha - sigma) ** 2 + 4 * rate * sigma))) / (alpha - rate);
    expect(critical).toBeCloseTo(0.355, 3);
    expect(bees(settled(critical * 1.005))).toBeLessThan(1);
    expect(bees(settled(critical * 0.995))).toBeGreaterThan(10);
  });

  it('settle where as many emerge as die, and as many go out as die outside', () => {
    const { house, foragers } = settled(0.24);
    const all = house + foragers;
    expect((laid * all) / (half + all)).toBeCloseTo(0.24 * foragers, 3);
    expect(house * (0.25 - (0.75 * foragers) / all)).toBeCloseTo(0.24 * foragers, 3);
  });

  it('keep the share of foragers that so long a life leaves, at most a third', () => {
    fc.assert(
      fc.property(fc.double({ min: 10, max: 200, noNaN: true }), (life) => {
        const share = foragerShare(life);
        expect(share).toBeGreaterThan(0);
        expect(share).toBeLessThan(1 / 3);
        // Nobody dies but foragers, so one in `life` bees a day.
        const next = adultsNextDay({ house: (1 - share) * 1e4, foragers: share * 1e4 }, 1e4 / life, 1 / (life * share));
        expect(next.foragers).toBeCloseTo(share * 1e4, 5);
        expect(next.house + next.foragers).toBeCloseTo(1e4, 5);
      }),
    );
    expect(() => foragerShare(3)).toThrow(/life/);
  });
});

describe('a colony through its days', () => {
  it('seals the cell of an egg on day 9 and lets the bee out on day 21', () => {
    const colony = colonyOf({ ...may, eggs: 0, larvae: 0, sealed: 0 }, nest, 34);
    const { colony: nine } = after(colony, [ordinary, ...days(9, { ...ordinary, laying: 0 })]);
    expect(nine.cells[9]).toBeCloseTo(Math.min(1500, (11 * 0.72 * 5400) / 6), 0);
    expect(cellsBetween(nine, 0, 9)).toBe(0);
    const { colony: last } = after(colony, [ordinary, ...days(20, { ...ordinary, laying: 0 })]);
    expect(cellsBetween(last, 0, WORKER_DAYS)).toBeGreaterThan(0);
    const { colony: out } = after(colony, [ordinary, ...days(21, { ...ordinary, laying: 0 })]);
    expect(cellsBetween(out, 0, WORKER_DAYS)).toBe(0);
    expect(beesOf(out)).toBeGreaterThan(beesOf(after(colony, days(22, { ...ordinary, laying: 0 })).colony));
  });

  it('has no bee and no cell from nowhere: what is there was laid, and less the dead (property)', () => {
    const counted = fc.record({
      bees: fc.double({ min: 0, max: 20, noNaN: true }),
      eggs: fc.double({ min: 0, max: 2, noNaN: true }),
      larvae: fc.double({ min: 0, max: 3, noNaN: true }),
      sealed: fc.double({ min: 0, max: 5, noNaN: true }),
      storesKg: fc.double({ min: 0, max: 30, noNaN: true }),
    });
    fc.assert(
      fc.property(
        counted,
        fc.integer({ min: 1, max: 60 }),
        fc.integer({ min: 0, max: 2000 }),
        (seen, count, laying) => {
          const begun = colonyOf(seen, nest, 34);
          const { colony } = after(begun, days(count, { ...ordinary, laying }));
          const came = beesOf(begun) + cellsBetween(begun, 0, WORKER_DAYS) + laying * count;
          expect(beesOf(colony) + cellsBetween(colony, 0, WORKER_DAYS)).toBeLessThanOrEqual(came + 1e-6);
          expect(
            Math.min(colony.adults.house, colony.adults.foragers, colony.storesKg, ...colony.cells),
          ).toBeGreaterThanOrEqual(0);
          expect(cellsBetween(colony, 0, WORKER_DAYS)).toBeLessThanOrEqual(
            Math.max(11 * 0.72, seen.eggs + seen.larvae + seen.sealed) * 5400 + 1e-6,
          );
        },
      ),
    );
  });

  it('never has less food, bees or brood later for more food now (property)', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 10, noNaN: true }),
        fc.double({ min: 0.1, max: 10, noNaN: true }),
        fc.double({ min: 0, max: 0.03, noNaN: true }),
        (kg, more, incomeKg) => {
          const at = (storesKg: number) =>
            after(colonyOf({ ...may, storesKg }, nest, 34), days(12, { ...ordinary, incomeKg })).colony;
          expect(at(kg + more).storesKg).toBeGreaterThanOrEqual(at(kg).storesKg - 1e-9);
          expect(beesOf(at(kg + more))).toBeGreaterThanOrEqual(beesOf(at(kg)) - 1e-6);
        },
      ),
    );
  });

  it.each([
    ['at rest without food to gain, it eats', { ...ordinary, incomeKg: 0, laying: 0 }, 8, (kg: number) => kg < 8],
    ['what is fed is there', { ...ordinary, fedKg: 1, incomeKg: 0 }, 8, (kg: number) => kg > 20],
    [
      'in the winter cluster a day costs half',
      { ...ordinary, clustered: true, laying: 0, incomeKg: 0 },
      8,
      (kg: number) => kg > 5,
    ],
  ] as const)('%s', (_, day, kg, right) => {
    const bare = colonyOf({ ...may, eggs: 0, larvae: 0, sealed: 0, storesKg: kg }, nest, 34);
    expect(right(after(bare, days(20, day)).colony.storesKg)).toBe(true);
  });

  it('gathers no more than fits into its combs', () => {
    const full = { ...nest, holdsKg: 10 };
    const colony = colonyOf(may, nest, 34);
    for (const day of days(40)) {
      colonyNextDay(colony, day, full);
      expect(colony.storesKg).toBeLessThanOrEqual(10);
    }
    expect(colony.storesKg).toBeGreaterThan(9.5);
  });

  it('rears less when it hungers and when the nest is full, and says which', () => {
    const hungry = after(colonyOf({ ...may, storesKg: 1 }, nest, 34), days(10, { ...ordinary, incomeKg: 0 }));
    const fed = after(colonyOf(may, nest, 34), days(10, { ...ordinary, incomeKg: 0 }));
    expect(hungry.held.every((each) => (each & HELD.hungry) > 0)).toBe(true);
    expect(fed.held.some((each) => (each & HELD.hungry) > 0)).toBe(false);
    expect(cellsBetween(hungry.colony, 0, 9)).toBeLessThan(cellsBetween(fed.colony, 0, 9) / 2);
    const full = after(colonyOf({ ...may, bees: 3 }, nest, 34), days(10));
    expect(full.held.some((each) => (each & HELD.crowded) > 0)).toBe(true);
  });
});

describe('mites', () => {
  const capped = { workersCapped: 1000, dronesCapped: 40, bees: 25_000 };
  const rate = (day: typeof capped) => {
    const mites = mitesOf(100, day);
    for (let each = 0; each < 60; each += 1) mitesNextDay(mites, { ...day, killed: 0 });
    const then = mitesInAll(mites);
    for (let each = 0; each < 60; each += 1) mitesNextDay(mites, { ...day, killed: 0 });
    return Math.log(mitesInAll(mites) / then) / 60;
  };

  it('grow by 1.5 to 3 % a day with brood (Martin 1998: 2.1 %, Fries et al. 1994: 2.5 %; from memory), sit mostly under cappings, fewer without', () => {
    expect(rate(capped)).toBeGreaterThan(0.015);
    expect(rate(capped)).toBeLessThan(0.03);
    expect(rate({ ...capped, dronesCapped: 0 })).toBeLessThan(rate(capped));
    expect(rate({ workersCapped: 0, dronesCapped: 0, bees: 12_000 })).toBeCloseTo(-0.003, 4);
    const mites = mitesOf(100, capped);
    expect(1 - mites.onBees / mitesInAll(mites)).toBeGreaterThan(0.6);
    expect(1 - mites.onBees / mitesInAll(mites)).toBeLessThan(0.9);
  });

  it('are killed on bees and safe under cappings; nobody is born where no cell opens', () => {
    const mites = mitesOf(100, capped);
    mitesNextDay(mites, { ...capped, killed: 1 });
    expect(mites.onBees).toBe(0);
    expect(mitesInAll(mites)).toBeGreaterThan(100);
    const alone = mitesOf(100, { workersCapped: 0, dronesCapped: 0, bees: 10_000 });
    for (let day = 0; day < 12; day += 1) {
      const before = mitesInAll(alone);
      mitesNextDay(alone, { ...capped, killed: 0 });
      expect(mitesInAll(alone)).toBeLessThanOrEqual(before);
    }
  });
});

describe('what a colony comes to', () => {
  const ranged = (value: number, share = 0.1): Ranged => ({
    value,
    low: value * (1 - share),
    high: value * (1 + share),
  });
  const seenOn = (day: number, colony: Colony, sample: ForecastFacts['seen'][number]['sample'] = null) => ({
    day,
    bees: ranged(beesOf(colony) / nest.beesPerFrame),
    eggs: ranged(cellsBetween(colony, 0, 3) / nest.cellsPerFrame),
    larvae: ranged(cellsBetween(colony, 3, 9) / nest.cellsPerFrame),
    sealed: ranged(cellsBetween(colony, 9, WORKER_DAYS) / nest.cellsPerFrame),
    storesKg: ranged(colony.storesKg),
    sample,
    frames: nest.frames,
    holdsKg: nest.holdsKg,
    foodMoved: false,
  });
  const spring = { ...may, bees: 5, eggs: 0.3, larvae: 0.6, sealed: 1.2 };
  const visits = (habit: Habit, on: readonly number[]) => {
    const begun = colonyOf(spring, nest, 34);
    return on.map((day) => seenOn(day, after(begun, days(day), habit).colony));
  };
  const facts = (over: Partial<ForecastFacts> = {}): ForecastFacts => ({
    seen: visits(USUAL_HABIT, [0, 10, 20, 30]),
    days: days(73),
    nest,
    draws: 300,
    seed: 7,
    ...over,
  });

  it('is the same from the same seed, and its bands lie in order', () => {
    expect(forecastColony(facts()).bands).toEqual(forecastColony(facts()).bands);
    expect(forecastColony(facts({ seed: 8 })).bands).not.toEqual(forecastColony(facts()).bands);
    const { bands, from } = forecastColony(facts());
    expect(from).toBe(30);
    for (const band of [bands.bees!, bands.brood!, bands.storesKg!].flat()) {
      const inOrder = [band.p5, band.p25, band.p50, band.p75, band.p95];
      expect(inOrder).toEqual([...inOrder].sort((a, b) => a - b));
    }
    expect(bands.bees).toHaveLength(43);
    expect(bands.mites).toBeNull();
  });

  it('begins at what was seen and grows less sure with every week', () => {
    const { bees } = forecastColony(facts()).bands;
    const wide = (day: number) => bees![day]!.p95 - bees![day]!.p5;
    expect(bees![0]!.p50).toBeCloseTo(facts().seen.at(-1)!.bees!.value, 0);
    expect(wide(42)).toBeGreaterThan(wide(14));
    expect(wide(14)).toBeGreaterThan(wide(0));
  });

  it('learns from visits that a queen lays less than others', () => {
    const lays = (laying: number) =>
      forecastColony(facts({ seen: visits({ ...USUAL_HABIT, laying }, [0, 10, 20, 30, 40]) })).habit.laying;
    expect(lays(0.4).p95).toBeLessThan(lays(1).p50);
    expect(lays(0.4).p50).toBeLessThan(0.6);
  });

  it('holds what is seen about nine times in ten over colonies that differ as colonies do', () => {
    let normal = 3;
    const next = () => {
      normal = (normal * 16_807) % 2_147_483_647;
      return normal / 2_147_483_647;
    };
    const gauss = () => Math.sqrt(-2 * Math.log(next())) * Math.cos(2 * Math.PI * next());
    const all = Array.from({ length: 60 }, (_, seed) => {
      const habit = {
        laying: Math.exp(0.3 * gauss()),
        nursing: Math.exp(0.25 * gauss()),
        life: Math.exp(0.15 * gauss()),
        income: Math.exp(0.5 * gauss()),
        mites: 1,
      };
      return forecastColony(facts({ seen: visits(habit, [0, 12, 24]), seed, draws: 150 })).hindsight;
    }).flat();
    const share = all.filter(({ held }) => held).length / all.length;
    expect(all).toHaveLength(60 * 6);
    expect(share).toBeGreaterThan(0.85);
    // Bands that held everything would say nothing.
    const wide = all.map(({ foreseen, seen }) => (foreseen.p95 - foreseen.p5) / seen);
    expect(wide.sort((a, b) => a - b)[wide.length / 2]!).toBeLessThan(1);
  });

  it('foresees mites from the day on which they were counted, fewer after a medicine', () => {
    const seen = facts().seen.map((visit, index) =>
      index === 1 ? { ...visit, sample: { bees: 300, mites: 6 } } : visit,
    );
    const { bands, hindsight } = forecastColony(facts({ seen }));
    expect(bands.mites![0]!.p50).toBeGreaterThan(1.2);
    expect(bands.mites!.at(-1)!.p50).toBeGreaterThan(bands.mites![0]!.p50);
    expect(hindsight.some(({ of }) => of === 'mites')).toBe(false);
    const treated = days(73).map((day, index) => (index >= 32 && index < 60 ? { ...day, mitesKilled: 0.3 } : day));
    expect(forecastColony(facts({ seen, days: treated })).bands.mites!.at(-1)!.p50).toBeLessThan(
      bands.mites!.at(-1)!.p50 / 3,
    );
    const twice = seen.map((visit, index) => (index === 3 ? { ...visit, sample: { bees: 300, mites: 7 } } : visit));
    expect(forecastColony(facts({ seen: twice })).hindsight.filter(({ of }) => of === 'mites')).toHaveLength(1);
  });

  it('keeps what a visit did not look at as it was reckoned', () => {
    const hefted = { ...facts().seen[3]!, bees: null, eggs: null, larvae: null, sealed: null };
    const { bands, hindsight } = forecastColony(facts({ seen: [...facts().seen.slice(0, 3), hefted] }));
    expect(bands.bees![0]!.p50).toBeCloseTo(facts().seen[3]!.bees!.value, 0);
    expect(hindsight.filter(({ day }) => day === 30).map(({ of }) => of)).toEqual(['storesKg']);
  });

  it('refuses what cannot be foreseen', () => {
    const { seen } = facts();
    expect(() => forecastColony(facts({ seen: [] }))).toThrow(/begins with a visit/);
    expect(() => forecastColony(facts({ seen: [{ ...seen[0]!, bees: null }] }))).toThrow(/begins with a visit/);
    expect(() => forecastColony(facts({ seen: [seen[1]!, seen[0]!] }))).toThrow(/visit 2 is not after/);
    expect(() => forecastColony(facts({ days: days(30) }))).toThrow(/visit 4 lies outside/);
    expect(() => forecastColony(facts({ draws: 0 }))).toThrow(/draws/);
  });
});
