import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  type ColonyRecord,
  type ExpectedFacts,
  expectedState,
  readFinding as readFindingInCodes,
  starvationWatch as starvationWatchInCodes,
  swarmRisk as swarmRiskInCodes,
} from '../src/care';
import type { Phase, PhaseSpan } from '../src/season';
import { addDays } from '../src/units';
import { inEnglish } from '../src/words';
import { answersInEnglish } from './in-english';

const readFinding = answersInEnglish(readFindingInCodes);
const starvationWatch = answersInEnglish(starvationWatchInCodes);
const swarmRisk = answersInEnglish(swarmRiskInCodes);

const only = (phase: Phase, swarming = false): readonly PhaseSpan[] => [
  {
    phase,
    from: '2025-06-01',
    to: '2027-06-01',
    swarming: swarming ? { from: '2025-06-01', to: '2027-06-01' } : null,
    reasons: [],
  },
];
const record: ColonyRecord = {
  date: '2026-05-01',
  bees: 8,
  eggs: 0.6,
  larvae: 1.2,
  sealed: 2.4,
  drone: 0.2,
  storesKg: 8,
  frames: 11,
};
const rape = { plant: 'Oilseed rape', nectar: 4, pollen: 4, from: '2026-04-15', to: '2026-06-15', giveOrTake: 2 };
const facts: ExpectedFacts = {
  last: record,
  today: '2026-05-15',
  phases: only('swarm-season', true),
  forage: [rape],
  days: [],
  fed: [],
  strain: 'cuts-down',
  cellsPerFrame: 5400,
  beesPerFrame: 1700,
  waiting: null,
};
const fine = (from: string, days: number, rain = 0) =>
  Array.from({ length: days }, (_, day) => ({ date: addDays(from, day), low: 8, high: 18, rain }));

describe('expected state', () => {
  it('is the record itself on the day of the record', () => {
    const now = expectedState({ ...facts, today: record.date });
    expect(now.bees.value).toBeCloseTo(8, 5);
    expect(now.sealed.value).toBeCloseTo(2.4, 5);
    expect(now.storesKg.value).toBe(8);
    expect(() => expectedState({ ...facts, today: '2026-04-30' })).toThrow(/after the day/);
  });

  it('grows in swarm season, with more doubt as the record ages', () => {
    const soon = expectedState({ ...facts, today: '2026-05-08' });
    const late = expectedState({ ...facts, today: '2026-05-29' });
    expect(late.bees.value).toBeGreaterThan(soon.bees.value);
    const width = (each: { low: number; high: number; value: number }) => (each.high - each.low) / each.value;
    expect(width(late.brood)).toBeGreaterThan(width(soon.brood));
  });

  it('holds steady laying at one to two to four: eggs, larvae, sealed', () => {
    const { eggs, larvae, sealed } = expectedState({ ...facts, last: { ...record, bees: 14 }, today: '2026-06-08' });
    expect(larvae.value / eggs.value).toBeCloseTo(2, 0);
    expect(sealed.value / eggs.value).toBeCloseTo(4, 0);
  });

  it('answers a dearth by its strain: keeps laying, cuts down, stops', () => {
    const brood = (strain: ExpectedFacts['strain']) =>
      expectedState({
        ...facts,
        phases: only('dearth'),
        forage: [],
        strain,
        today: '2026-05-29',
        last: { ...record, storesKg: 20 },
      });
    const [keeps, cuts, stops] = [brood('keeps-laying'), brood('cuts-down'), brood('stops')];
    expect(keeps.brood.value).toBeGreaterThan(cuts.brood.value);
    expect(cuts.brood.value).toBeGreaterThan(stops.brood.value);
    expect(stops.brood.value).toBeLessThan(0.5);
    expect(inEnglish(cuts.because).join()).toMatch(/28 days of dearth.*cuts its brood down/);
    expect(inEnglish(cuts.mood)).toMatch(/defensive/);
  });

  it('is lifted by feeding in a dearth', () => {
    const dearth = { ...facts, phases: only('dearth'), forage: [], today: '2026-05-29' };
    const fed = [2, 9, 16, 23].map((day) => ({ date: addDays('2026-05-01', day), kg: 2 }));
    expect(expectedState({ ...dearth, fed }).brood.value).toBeGreaterThan(expectedState(dearth).brood.value);
    expect(expectedState({ ...dearth, fed }).storesKg.value).toBeGreaterThan(expectedState(dearth).storesKg.value + 4);
  });

  it('falls after five days of rain where pollen is thin, less where it is plenty', () => {
    const wet = { ...facts, days: fine('2026-05-02', 13, 9), last: { ...record, bees: 14 } };
    const thin = expectedState({ ...wet, forage: [{ ...rape, pollen: 1 }] });
    const rich = expectedState({ ...wet, forage: [{ ...rape, pollen: 9 }] });
    const dry = expectedState({ ...wet, days: fine('2026-05-02', 13) });
    expect(thin.eggs.value).toBeLessThan(rich.eggs.value);
    expect(rich.eggs.value).toBeLessThan(dry.eggs.value);
    expect(inEnglish(thin.because).join()).toMatch(/rain or cold/);
  });

  it('expects no eggs and no larvae of a queen that cannot lay yet, nor takes the few old cells for hers', () => {
    const virgin = { stopped: '2026-05-01', from: '2026-05-20', to: '2026-05-30' };
    const before = expectedState({ ...facts, waiting: virgin, today: '2026-05-15' });
    expect(before.eggs).toEqual({ value: 0, low: 0, high: 0 });
    expect(before.larvae.value).toBe(0);
    expect(inEnglish(before.because).join()).toMatch(/cannot lay before 20 May/);
    const unproven = expectedState({ ...facts, waiting: virgin, today: '2026-05-26' });
    expect(unproven.eggs.value).toBe(0);
    expect(unproven.eggs.low).toBe(0);
    expect(unproven.eggs.high).toBeGreaterThan(0.2);
    expect(inEnglish(unproven.because).join()).toMatch(/none before then is no failure/);
    const overdue = expectedState({ ...facts, waiting: virgin, today: '2026-06-05' });
    expect(overdue.eggs.low).toBe(0);
    expect(overdue.eggs.value).toBeGreaterThan(0);
  });

  it('does not let a wintering colony grow: about as many bees at the end of winter as at its beginning, or fewer', () => {
    const span = (phase: Phase, from: string, to: string): PhaseSpan => ({
      phase,
      from,
      to,
      swarming: null,
      reasons: [],
    });
    const south = [
      span('closing-down', '2026-05-01', '2026-05-31'),
      span('winter-rest', '2026-06-01', '2026-07-26'),
      span('first-brood', '2026-07-27', '2026-08-20'),
      span('build-up', '2026-08-21', '2026-10-10'),
    ];
    for (const bees of [3.4, 6, 9]) {
      const autumn = {
        ...record,
        date: '2026-05-06',
        bees,
        eggs: 0.02 * bees,
        larvae: 0.05 * bees,
        sealed: 0.1 * bees,
        drone: 0,
        storesKg: 16,
      };
      const at = (today: string) => expectedState({ ...facts, phases: south, forage: [], last: autumn, today }).bees;
      expect(at('2026-08-28').value).toBeLessThanOrEqual(bees * 1.1);
      expect(at('2026-08-28').value).toBeGreaterThan(bees * 0.35);
      expect(at('2026-10-10').value).toBeGreaterThan(at('2026-08-28').value);
    }
  });

  it('says that a record is too old instead of expecting nothing: nine months without a look', () => {
    const year = [
      { phase: 'swarm-season', from: '2026-04-20', to: '2026-06-20', swarming: null, reasons: [] },
      { phase: 'flow', from: '2026-06-21', to: '2026-10-31', swarming: null, reasons: [] },
      { phase: 'winter-rest', from: '2026-11-01', to: '2027-03-01', swarming: null, reasons: [] },
    ] as const satisfies readonly PhaseSpan[];
    const state = expectedState({ ...facts, phases: year, today: '2027-02-26' });
    expect(inEnglish(state.stale)).toMatch(/not known/);
    expect(starvationWatch(state, 7, 5).level).toBe('none');
    expect(expectedState({ ...facts, phases: year, today: '2026-06-20' }).stale).toBeNull();
    const over = { ...record, date: '2026-10-20' };
    expect(expectedState({ ...facts, last: over, phases: year, today: '2027-02-26' }).stale).toBeNull();
  });

  it('refuses a record that cannot be', () => {
    expect(() => expectedState({ ...facts, last: { ...record, bees: Number.NaN } })).toThrow(/frames of bees/);
    expect(() => expectedState({ ...facts, last: { ...record, storesKg: -1 } })).toThrow(/food/);
  });

  it('brings a strong hive about a kilogram a day in a flow', () => {
    const flow = {
      ...facts,
      phases: only('flow'),
      forage: [rape, { ...rape, plant: 'Sycamore' }],
      days: fine('2026-05-01', 30),
      last: { ...record, bees: 14 },
    };
    const gain = (expectedState({ ...flow, today: '2026-05-11' }).storesKg.value - 8) / 10;
    expect(gain).toBeGreaterThan(0.6);
    expect(gain).toBeLessThan(1.5);
  });

  it('never goes below nothing, whatever the record', () => {
    fc.assert(
      fc.property(
        fc.record({
          bees: fc.double({ min: 0, max: 20, noNaN: true }),
          eggs: fc.double({ min: 0, max: 3, noNaN: true }),
          larvae: fc.double({ min: 0, max: 4, noNaN: true }),
          sealed: fc.double({ min: 0, max: 8, noNaN: true }),
          storesKg: fc.double({ min: 0, max: 30, noNaN: true }),
        }),
        fc.constantFrom<Phase>('winter-rest', 'build-up', 'swarm-season', 'dearth', 'closing-down'),
        fc.integer({ min: 0, max: 200 }),
        (some, phase, days) => {
          const state = expectedState({
            ...facts,
            last: { ...record, ...some },
            phases: only(phase),
            today: addDays(record.date, days),
          });
          for (const each of [state.bees, state.brood, state.storesKg, state.drone, state.sealed]) {
            expect(Number.isFinite(each.value)).toBe(true);
            expect(each.low).toBeGreaterThanOrEqual(0);
            expect(each.low).toBeLessThanOrEqual(each.value);
            expect(each.high).toBeGreaterThanOrEqual(each.value);
          }
        },
      ),
      { numRuns: 80 },
    );
  });
});

describe('reading a finding', () => {
  const autumn: ColonyRecord = {
    ...record,
    date: '2025-10-05',
    bees: 9,
    eggs: 0.3,
    larvae: 0.7,
    sealed: 1.6,
    drone: 0,
    storesKg: 15,
  };
  const phases: readonly PhaseSpan[] = [
    { phase: 'closing-down', from: '2025-09-20', to: '2025-11-01', swarming: null, reasons: [] },
    { phase: 'winter-rest', from: '2025-11-02', to: '2026-01-25', swarming: null, reasons: [] },
    { phase: 'first-brood', from: '2026-01-26', to: '2026-03-20', swarming: null, reasons: [] },
  ];
  const winter: ExpectedFacts = { ...facts, last: autumn, phases, forage: [], today: '2026-02-20' };

  it('says that brood halved over winter and freed comb full of food is normal for this time of year', () => {
    const expected = expectedState(winter);
    const found = { bees: 6, brood: 1.3, sealed: 0.6, drone: 0, storesKg: 15.5, foodFrames: 6, emptyFrames: 2 };
    const rich = { ...expected, storesKg: { value: 13, low: 8, high: 18 } };
    expect(readFinding(rich, autumn, found).says).toBe(
      'Brood halved over winter, freed comb full of food: normal for this time of year.',
    );
  });

  it('has five to seven frames of bees in late winter as normal', () => {
    const expected = expectedState(winter);
    expect(expected.bees.low).toBeLessThanOrEqual(6);
    expect(expected.bees.high).toBeGreaterThanOrEqual(6);
    expect(expected.brood.value).toBeGreaterThan(0.1);
    expect(expected.brood.value).toBeLessThan(2.5);
  });

  it('does not call a failing colony normal', () => {
    const finding = readFinding(expectedState(facts), record, {
      bees: 3,
      brood: 0.2,
      sealed: 0.2,
      drone: 0,
      storesKg: 2,
      foodFrames: 0,
      emptyFrames: 8,
    });
    expect(finding.says).toMatch(/frames of bees less than expected/);
    expect(finding.says).toMatch(/brood less than expected/);
    expect(finding.says).not.toMatch(/normal/);
    expect(finding.lines.find((line) => line.measure === 'brood')?.word).toBe('less-than-expected');
  });
});

describe('starvation watch', () => {
  const hungry = expectedState({
    ...facts,
    phases: only('build-up'),
    forage: [],
    last: { ...record, storesKg: 2.2 },
    today: '2026-05-03',
  });

  it('calls for feed when brood is high and food is nearly gone', () => {
    expect(starvationWatch(hungry, 5, 5)).toMatchObject({ level: 'feed-now' });
    expect(inEnglish(starvationWatch(hungry, 5, 5).reasons).join()).toMatch(/5 of the next 7 days/);
  });

  it('is silent with plenty', () => {
    const rich = expectedState({ ...facts, last: { ...record, storesKg: 20 } });
    expect(starvationWatch(rich, 1, 5).level).toBe('none');
  });
});

describe('swarm risk', () => {
  const risk = {
    last: { ...record, bees: 9, sealed: 3 },
    today: '2026-05-03',
    phases: only('swarm-season', true),
    flowFrom: '2026-06-05',
    roomFrames: 11,
    cellsPerFrame: 7000,
    beesPerFrame: 2200,
    queenSeasons: 1,
    cells: 0,
  };

  it('counts 21 000 bees and more from three solid frames within 21 days', () => {
    const solid = swarmRisk({ ...risk, last: { ...record, eggs: 0, larvae: 0, sealed: 3 } });
    expect(solid.beesDue).toBeGreaterThanOrEqual(21_000);
  });

  it('is high with big brood five weeks before the flow, and gives a window', () => {
    const high = swarmRisk(risk);
    expect(high.level).toBe('high');
    expect(high.window).not.toBeNull();
    expect(inEnglish(high.reasons).join()).toMatch(/weeks before the main flow/);
  });

  it('is lower with more room, and gone when the season is over', () => {
    expect(swarmRisk({ ...risk, roomFrames: 40, flowFrom: null }).level).toBe('low');
    const over = swarmRisk({
      ...risk,
      phases: [{ phase: 'closing-down', from: '2026-01-01', to: '2027-01-01', swarming: null, reasons: [] }],
    });
    expect(over).toMatchObject({ level: 'low', window: null });
  });

  it('ends with the last day on which swarms leave, not with the phase that holds it', () => {
    const flow: PhaseSpan = {
      phase: 'flow',
      from: '2026-06-11',
      to: '2026-09-04',
      swarming: { from: '2026-06-11', to: '2026-07-05' },
      reasons: [],
    };
    expect(
      swarmRisk({ ...risk, phases: [flow], today: '2026-08-25', last: { ...risk.last, date: '2026-08-20' } }),
    ).toMatchObject({ level: 'low', window: null });
  });

  it('says a few hundred bees as what they are', () => {
    const tiny = swarmRisk({ ...risk, last: { ...record, bees: 1, eggs: 0, larvae: 0.02, sealed: 0.05 } });
    expect(tiny.reasons[0]).toMatch(/about [1-9]00 bees/);
  });

  it('says leaving when cells hold brood', () => {
    expect(swarmRisk({ ...risk, cells: 4 })).toMatchObject({ level: 'leaving', window: { from: '2026-05-03' } });
  });
});
