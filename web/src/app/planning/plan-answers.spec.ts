import {
  checkPlan,
  DEFAULT_PLANNING,
  modelOf,
  OBJECTIVE_PARTS,
  objectiveOf,
  PlanSearch,
  type PlanningProblem,
  troublesOf,
  withItem,
  without,
} from '@brave-comb/core/planning';
import { planAnswerer } from './plan-answers';
import type { Answers } from './plan-thoughts';

const slot = (id: string, day: number) => ({
  id,
  day,
  start: 780,
  minutes: 140,
  fit: 0.8,
  temp: 'mild' as const,
  suits: 20,
  staffMinutes: 0,
  staffVisits: 0,
});
const hive = (id: string, temper: number) => ({
  id,
  minutes: 25,
  temper,
  restDays: 4,
  lastOpened: null,
  noOpenBefore: 0,
  due: { from: 0, by: 9, weight: 6 },
  hygiene: 'clean' as const,
  disturb: 1,
  skills: { eggs: 0.6 },
});
const PROBLEM: PlanningProblem = {
  format: 'inspection-plan-instance/1',
  name: 'small',
  horizonDays: 10,
  params: {
    maxHives: 2,
    setupMinutes: 20,
    careLateRate: 0.1,
    tempFactor: { cool: 1.6, mild: 1, warm: 0.8, hot: 1.3 },
    pMax: 0.98,
    pwl: { L: [0, 1, 3], F: [0, 0.63, 0.95] },
    weights: DEFAULT_PLANNING.weights,
  },
  skills: ['eggs'],
  slots: [slot('thu', 0), slot('sun', 3), slot('next thu', 7)],
  groups: ['curlew', 'dipper'].map((id) => ({
    id,
    size: 6,
    sessions: 1,
    gapDays: 2,
    slots: ['thu', 'sun', 'next thu'],
    pace: 1.5,
    maxTemper: 3,
    lateAfter: 9,
    needs: { eggs: { weight: 6, covered: 0 } },
  })),
  supervisors: [{ id: 'ruth', senior: true, slots: ['thu', 'sun', 'next thu'] }],
  hives: [hive('calm', 1), hive('easy', 2), hive('cross', 5)],
  locks: [],
  published: null,
};
const search = new PlanSearch(modelOf(PROBLEM), { seed: 1, iterations: 2000 });
search.run(Infinity);
const plan = search.best;
const [session] = plan.sessions;
const item = { kind: 'hive', group: session!.group, slot: session!.slot, hive: session!.hives[0]! } as const;

describe('the planning worker', () => {
  it('wants a problem first', () => {
    expect(() => planAnswerer()({ about: 'not-placed', plan })).toThrow('no problem was sent');
  });

  const ask = planAnswerer();
  ask({ about: 'problem', problem: PROBLEM });

  it('explains an opening by parts that add up', () => {
    const { marginal, skills } = ask({ about: 'why', plan, item }) as Answers['why'];
    expect(OBJECTIVE_PARTS.reduce((sum, part) => sum + marginal.parts[part], 0)).toBeCloseTo(marginal.total, 9);
    expect(skills[0]?.skill).toBe('eggs');
    expect(skills[0]?.points).toBeCloseTo(marginal.parts.skill, 9);
  });

  it('prices other places, the cheapest first, each of which keeps the rules', () => {
    const places = ask({ about: 'places', plan, item }) as Answers['places'];
    const priced = places.filter(({ price }) => price !== null);
    expect(priced.length).toBeGreaterThan(1);
    const prices = priced.map(({ price }) => price!);
    expect(prices).toEqual(prices.toSorted((a, b) => a - b));
    for (const { lock } of priced) {
      const forced = ask({ about: 'force', item: null, plan, lock }) as NonNullable<Answers['force']>;
      expect(checkPlan({ ...PROBLEM, locks: [lock] }, forced.plan).violations).toEqual([]);
    }
  });

  it('says why a hive has no place, and that a rule forbids what cannot be forced', () => {
    const left = ask({ about: 'not-placed', plan }) as Answers['not-placed'];
    expect(left.find((each) => each.hive === 'cross')?.rule?.rule).toBe('temper');
    expect(
      ask({ about: 'force', item: null, plan, lock: { group: 'curlew', slot: 'sun', hives: ['cross'] } }),
    ).toBeNull();
  });

  it('prices every cell for a hive that is picked up: what direct moving would cost, or the rule', () => {
    const cells = ask({ about: 'cells', plan, item }) as Answers['cells'];
    const there = plan.sessions.filter(({ hives }) => hives.includes(item.hive)).length;
    expect(cells.length).toBe(PROBLEM.groups.length * PROBLEM.slots.length - there);
    const before = objectiveOf(PROBLEM, plan);
    for (const { lock, price, says } of cells) {
      if (lock.staff === true) throw new Error('no staff can come');
      if (price === null) {
        expect(says).not.toBe('');
        continue;
      }
      const moved = withItem(PROBLEM, without(plan, item), {
        kind: 'hive',
        group: lock.group,
        slot: lock.slot,
        hive: item.hive,
      });
      expect(checkPlan(PROBLEM, moved).violations).toEqual([]);
      expect(price).toBeCloseTo(before - objectiveOf(PROBLEM, moved), 9);
      const mended = ask({ about: 'price', plan, item, lock }) as Answers['price'];
      expect(mended.price).toBeLessThanOrEqual(price + 1e-6);
    }
  });

  it('prices a force by what it costs, not by what mending a poor plan gains', () => {
    const poor = { sessions: plan.sessions.slice(0, 1), staff: [] };
    const lock = { group: session!.group, slot: session!.slot, hives: [item.hive] };
    const answer = ask({ about: 'force', plan: poor, item: null, lock }) as NonNullable<Answers['force']>;
    expect(objectiveOf(PROBLEM, answer.plan)).toBeGreaterThan(objectiveOf(PROBLEM, poor));
    // It stands there already: to force it costs nothing.
    expect(Math.abs(answer.price)).toBeLessThan(0.5);
  });

  it('gives reasons for every opening and troubles as the core sees them', () => {
    const reasons = ask({ about: 'reasons', plan }) as Answers['reasons'];
    expect(reasons).toHaveLength(plan.sessions.flatMap(({ hives }) => hives).length + plan.staff.length);
    expect(ask({ about: 'troubles', plan })).toEqual(troublesOf(PROBLEM, plan));
  });

  it('compares two plans and makes steps between them, all or one', () => {
    const other = { sessions: [], staff: [] };
    const found = ask({ about: 'comparison', plan, other }) as Answers['comparison'];
    expect(found.worth).toBeCloseTo(objectiveOf(PROBLEM, plan), 9);
    expect(found.worth + found.more.total).toBeCloseTo(objectiveOf(PROBLEM, other), 9);
    expect(found.changes).toBe(plan.sessions.length);
    const steps = found.steps!;
    const all = ask({ about: 'step', plan, steps, take: { first: steps.length } }) as Answers['step'];
    expect(all).toEqual({ plan: other, made: steps.length });
    const one = ask({ about: 'step', plan, steps, take: { only: 0 } }) as Answers['step'];
    expect(one.plan.sessions).toHaveLength(plan.sessions.length - 1);
  });

  it('does not put in order what are too many changes to be made one by one', () => {
    const staff = Array.from({ length: 31 }, () => ({ slot: 'sun', hive: 'calm' }));
    const many = { sessions: [], staff: staff.map((visit, at) => ({ ...visit, slot: PROBLEM.slots[at % 3]!.id })) };
    const found = ask({ about: 'comparison', plan: { sessions: [], staff: [] }, other: many }) as Answers['comparison'];
    expect(found.steps).toBeNull();
    expect(found.changes).toBe(31);
  });
});
