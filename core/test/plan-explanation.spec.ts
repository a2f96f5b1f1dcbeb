import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  changed,
  checkPlan,
  comparePlans,
  conflictOf,
  forceInto,
  hopelessBecause,
  marginalOf,
  modelOf,
  OBJECTIVE_PARTS,
  obstaclesTo,
  type PlanItem,
  type PlanLock,
  type PlannedSession,
  type PlanningProblem,
  PlanSearch,
  skillsGained,
  stepsBetween,
  whyNot,
  withItem,
  without,
} from '../src/planning';
import { keptBest, keptProblem, randomProblem } from './random-problem';

const searched = (problem: PlanningProblem, seed = 1, iterations = 4000) => {
  const search = new PlanSearch(modelOf(problem), { seed, iterations });
  search.run(Infinity);
  return search.best;
};

describe('why something is planned', () => {
  const problem = keptProblem('medium-7');
  const plan = keptBest('medium-7');

  it('is the exact difference that taking it out makes, in parts that add up', () => {
    for (const { group, slot, hives } of plan.sessions)
      for (const hive of hives) {
        const item: PlanItem = { kind: 'hive', group, slot, hive };
        const { parts, total } = marginalOf(problem, plan, item);
        const left = checkPlan(problem, without(plan, item)).objective;
        expect(total).toBeCloseTo(plan.objective - left, 9);
        expect(OBJECTIVE_PARTS.reduce((sum, part) => sum + parts[part], 0)).toBeCloseTo(total, 9);
        const gained = skillsGained(problem, plan, item).reduce((sum, each) => sum + each.points, 0);
        expect(gained).toBeCloseTo(parts.skill, 9);
      }
  });

  it('counts a session with all its hives', () => {
    const [{ group, slot }] = plan.sessions as [PlannedSession, ...PlannedSession[]];
    const { parts } = marginalOf(problem, plan, { kind: 'session', group, slot });
    expect(parts.session).toBeGreaterThan(0);
    expect(parts.shortfall).toBeCloseTo(problem.params.weights.shortfall, 9);
  });
});

describe('who leads', () => {
  it('stays whoever people were told, wherever that supervisor can come', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 3000 }), (seed) => {
        const problem = randomProblem(seed, { groups: 3, hives: 8, slots: 8, days: 10 });
        const plan = searched(problem);
        // Somebody else leads wherever that breaks no rule.
        const told = plan.sessions.reduce<readonly PlannedSession[]>((sessions, session, at) => {
          const others = problem.supervisors.filter(({ id }) => id !== session.supervisor);
          const tries = others.map(({ id }) =>
            sessions.map((each, index) => (index === at ? { ...each, supervisor: id } : each)),
          );
          return (
            tries.find((all) => checkPlan(problem, { ...plan, sessions: all }).violations.length === 0) ?? sessions
          );
        }, plan.sessions);
        const again = new PlanSearch(modelOf({ ...problem, published: { sessions: told } }), {
          seed: 1,
          iterations: 1,
        });
        again.run(1);
        for (const session of again.best.sessions) {
          const before = told.find(({ group, slot }) => group === session.group && slot === session.slot);
          const same = told.filter(({ slot }) => again.best.sessions.some((each) => each.slot === slot)).length;
          if (before && same === told.length && again.best.sessions.length === told.length)
            expect(session.supervisor).toBe(before.supervisor);
        }
      }),
      { numRuns: 30 },
    );
  });
});

describe('why something is not planned', () => {
  it('is never a rule when it could have been added, and always one when it could not', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 10_000 }), fc.nat(), (seed, pick) => {
        const problem = randomProblem(seed, { groups: 3, hives: 6, slots: 6 });
        const plan = searched(problem, 1, 500);
        const group = problem.groups[pick % 3]!;
        const slot = problem.slots[pick % 6]!;
        const hive = problem.hives[(pick >> 3) % 6]!;
        const held = plan.sessions.find((each) => each.group === group.id && each.slot === slot.id);
        if (held?.hives.includes(hive.id) === true) return;
        const item: PlanItem = { kind: 'hive', group: group.id, slot: slot.id, hive: hive.id };
        const obstacles = obstaclesTo(problem, plan, item);
        const { violations } = checkPlan(problem, withItem(problem, plan, item));
        expect(obstacles.map(({ rule }) => rule).toSorted()).toEqual(violations.map(({ rule }) => rule).toSorted());
      }),
      { numRuns: 200 },
    );
  });

  it('names the rest of a hive that was opened too lately, and from when it is free', () => {
    const base = keptProblem('small-8');
    const hives = base.hives.map((hive) =>
      hive.id === 'h0' ? { ...hive, lastOpened: -1, restDays: 9, noOpenBefore: 0 } : hive,
    );
    const answer = whyNot({ ...base, hives, published: null }, { sessions: [], staff: [] }, 'h0');
    const days = new Map(base.slots.map(({ id, day }) => [id, day]));
    if (answer.freeFrom !== null) expect(days.get(answer.freeFrom)).toBeGreaterThanOrEqual(8);
    const never = hives.map((hive) => (hive.id === 'h0' ? { ...hive, restDays: 400 } : hive));
    expect(whyNot({ ...base, hives: never, published: null }, { sessions: [], staff: [] }, 'h0')).toMatchObject({
      rule: { rule: 'rest' },
      freeFrom: null,
      best: null,
    });
  });

  it('names the trade-off when no rule is in the way', () => {
    const base = keptProblem('small-8');
    const hives = base.hives.map((hive) => ({ ...hive, temper: 1, disturb: 90, lastOpened: null, noOpenBefore: 0 }));
    const answer = whyNot({ ...base, hives }, { sessions: [], staff: [] }, 'h0');
    expect(answer.rule).toBeNull();
    expect(answer.best?.marginal.total).toBeLessThan(0);
    expect(answer.best?.marginal.parts.disturb).toBeLessThan(-20);
  });
});

describe('forcing', () => {
  const problem = keptProblem('medium-7');
  const model = modelOf(problem);
  const plan = keptBest('medium-7');

  it('shows a price that is the difference of two plans, and keeps what was forced', () => {
    const lock: PlanLock = { group: 'g1', slot: 't14', hives: ['h5'] };
    const forced = forceInto(model, plan, lock, { seed: 1, iterations: 4000 })!;
    const { violations, objective } = checkPlan({ ...problem, locks: [...problem.locks, lock] }, forced.plan);
    expect(violations).toEqual([]);
    expect(forced.price).toBeCloseTo(plan.objective - objective, 9);
  });

  it('costs nothing for what is planned already', () => {
    const [{ group, slot, hives }] = plan.sessions as [PlannedSession, ...PlannedSession[]];
    expect(forceInto(model, plan, { group, slot, hives }, { seed: 1, iterations: 500 })!.price).toBeLessThanOrEqual(
      1e-9,
    );
  });

  it('is refused where a rule or pin forbids it', () => {
    const [group] = problem.groups;
    const away = problem.slots.find(({ id }) => !group!.slots.includes(id))!;
    expect(forceInto(model, plan, { group: group!.id, slot: away.id }, { seed: 1, iterations: 10 })).toBeNull();
  });
});

describe('pins in conflict', () => {
  const base = keptProblem('medium-7');

  it('are told with the rule between them, and no pin that could be spared', () => {
    const days = new Map(base.slots.map(({ id, day }) => [id, day]));
    const alone = (group: string, slot: string) => conflictOf({ ...base, locks: [{ group, slot }] }) === null;
    const [{ id: group, gapDays, slots }] = base.groups as [PlanningProblem['groups'][number]];
    const open = slots.filter((slot) => alone(group, slot));
    const first = open[0]!;
    const second = open.find((slot) => slot !== first && days.get(slot)! - days.get(first)! < gapDays)!;
    const spare: PlanLock = { group: base.groups[3]!.id, slot: base.groups[3]!.slots.at(-1)! };
    const locks: PlanLock[] = [spare, { group, slot: first }, { group, slot: second }];
    const conflict = conflictOf({ ...base, locks })!;
    expect(conflict.locks).toEqual(locks.slice(1));
    expect(conflict.rules.map(({ rule }) => rule)).toEqual(['group-gap']);
  });

  it('are null when all can be kept', () => {
    expect(conflictOf(base)).toBeNull();
  });

  it.each<[string, PlanLock[], string]>([
    [
      'two supervisors for one session',
      [
        { group: 'g0', slot: 't1', supervisor: 's0' },
        { group: 'g0', slot: 't1', supervisor: 's1' },
      ],
      'lock',
    ],
    [
      'one supervisor for two groups',
      [
        { group: 'g0', slot: 't4', supervisor: 's1' },
        { group: 'g1', slot: 't4', supervisor: 's1' },
      ],
      'supervisor-one-group',
    ],
    [
      'a hive that must rest',
      [
        { group: 'g0', slot: 't1', hives: ['h0'] },
        { staff: true, slot: 't3', hive: 'h0' },
      ],
      'rest',
    ],
  ])('name %s', (_, locks, rule) => {
    const small = keptProblem('small-7');
    const all = small.slots.map(({ id }) => id);
    const open: PlanningProblem = {
      ...small,
      slots: small.slots.map((slot) => ({ ...slot, suits: 40, staffMinutes: 60, staffVisits: 2 })),
      groups: small.groups.map((group) => ({ ...group, slots: all })),
      supervisors: small.supervisors.map((each) => ({ ...each, slots: all })),
      locks,
    };
    const conflict = conflictOf(open)!;
    expect(conflict.locks).toEqual(locks);
    expect(conflict.rules.map((each) => each.rule)).toContain(rule);
    for (const lock of locks) expect(conflictOf({ ...open, locks: locks.filter((each) => each !== lock) })).toBeNull();
  });
});

describe('nothing can be planned', () => {
  const problem = keptProblem('small-7');
  it.each<[string, Partial<PlanningProblem>, string | null]>([
    ['without slots', { slots: [] }, 'no slots'],
    ['without groups', { groups: [] }, 'no groups'],
    ['without supervisors', { supervisors: [] }, 'no supervisors'],
    ['when no supervisor comes', { supervisors: [{ id: 's0', senior: true, slots: [] }] }, 'no supervisors'],
    [
      'when groups and supervisors never meet',
      { groups: problem.groups.map((each) => ({ ...each, slots: ['t5'] })) },
      'nobody can come',
    ],
    [
      'when all hives rest',
      { hives: problem.hives.map((hive) => ({ ...hive, noOpenBefore: 99 })) },
      'no hive can be opened',
    ],
    ['is not said when a session could be held', {}, null],
  ])('%s', (_, change, because) => {
    expect(hopelessBecause({ ...problem, ...change })).toBe(because);
  });
});

describe('from one plan to another', () => {
  it('goes in steps that each keep the rules, gains that add up, to the very plan', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 10_000 }), (seed) => {
        const problem = randomProblem(seed, { groups: 4, hives: 8, slots: 8 });
        const [before, after] = [searched(problem, 1, 300), searched(problem, 2, 3000)];
        const steps = stepsBetween(problem, before, after);
        let plan = before;
        for (const { change, objective } of steps) {
          plan = changed(plan, change);
          expect(checkPlan(problem, plan).violations).toEqual([]);
          expect(checkPlan(problem, plan).objective).toBeCloseTo(objective, 9);
        }
        const gained = steps.reduce((sum, { gain }) => sum + gain, 0);
        expect(gained).toBeCloseTo(comparePlans(problem, before, after).total, 9);
        const sorted = (each: typeof plan) => each.sessions.map((session) => JSON.stringify(session)).toSorted();
        expect(sorted(plan)).toEqual(sorted(after));
        expect(plan.staff.length).toBe(after.staff.length);
      }),
      { numRuns: 80 },
    );
  });
});
