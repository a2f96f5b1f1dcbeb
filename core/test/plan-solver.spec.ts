import fc from 'fast-check';
import loadHighs from 'highs';
import { describe, expect, it } from 'vitest';
import {
  type Assignments,
  assignmentsOf,
  checkPlan,
  faultsOf,
  modelOf,
  PlanBound,
  type PlanLock,
  PlanSearch,
  type PlanningProblem,
  PinsCannotBeKept,
  solveExactly,
  solvePlan,
  startOf,
} from '../src/planning';
import { keptBest, keptProblem, randomProblem } from './random-problem';

const highs = await loadHighs();

function exact(problem: PlanningProblem) {
  const model = modelOf(problem);
  const answer = solveExactly(highs, model, { seconds: 60 });
  expect(answer.status).toBe('optimal');
  return { worth: answer.bound, plan: assignmentsOf(model, answer.picture!) };
}

/** Tries every plan: each session with each set of hives and supervisor, each staff visit; only the checker says what may be. */
function exhaustive(problem: PlanningProblem): number {
  const suspect = new Set(problem.hives.filter(({ hygiene }) => hygiene === 'suspect').map(({ id }) => id));
  const sets = (from: number, size: number): string[][] =>
    size === 0
      ? [[]]
      : problem.hives.slice(from).flatMap(({ id }, at) => sets(from + at + 1, size - 1).map((rest) => [id, ...rest]));
  const hiveSets = Array.from({ length: problem.params.maxHives }, (_, n) => sets(0, n + 1))
    .flat()
    .map((hives) => hives.toSorted((a, b) => Number(suspect.has(a)) - Number(suspect.has(b))));
  const choices: ((plan: Assignments) => Assignments)[][] = [
    ...problem.groups.flatMap(({ id: group }) =>
      problem.slots.map(({ id: slot }) =>
        problem.supervisors.flatMap(({ id: supervisor }) =>
          hiveSets.map((hives) => (plan: Assignments) => ({
            ...plan,
            sessions: [...plan.sessions, { group, slot, supervisor, hives }],
          })),
        ),
      ),
    ),
    ...problem.slots.flatMap(({ id: slot }) =>
      problem.hives.map(({ id: hive }) => [
        (plan: Assignments) => ({ ...plan, staff: [...plan.staff, { slot, hive }] }),
      ]),
    ),
  ];
  let best = -Infinity;
  const decide = (at: number, plan: Assignments): void => {
    if (at === choices.length) {
      best = Math.max(best, checkPlan(problem, plan).objective);
      return;
    }
    decide(at + 1, plan);
    for (const choose of choices[at]!) {
      const next = choose(plan);
      // Nothing that is added mends a broken rule, so what is broken now stays broken.
      if (checkPlan(problem, next).violations.length === 0) decide(at + 1, next);
    }
  };
  decide(0, { sessions: [], staff: [] });
  return best;
}

const tiny = (seed: number) =>
  randomProblem(seed, { groups: 2, hives: 3, slots: 3, days: 6, sessions: 2, maxHives: 2, published: seed % 3 === 0 });

describe('the exact solver', () => {
  it.each(Array.from({ length: 36 }, (_, seed) => seed + 1))(
    'finds what trying every plan finds, problem %i',
    (seed) => {
      const problem = tiny(seed);
      const { worth, plan } = exact(problem);
      expect(checkPlan(problem, plan).violations).toEqual([]);
      expect(checkPlan(problem, plan).objective).toBeCloseTo(worth, 6);
      expect(worth).toBeCloseTo(exhaustive(problem), 6);
    },
  );

  it.each(['small-7', 'small-8'])('proves %s', (name) => {
    expect(exact(keptProblem(name)).worth).toBeCloseTo(keptBest(name).objective, 6);
  });

  it('says that no plan keeps pins that contradict each other', () => {
    const problem = keptProblem('small-7');
    const locks: PlanLock[] = [
      { group: 'g0', slot: 't1' },
      { group: 'g0', slot: 't4' },
      { group: 'g1', slot: 't4' },
    ];
    const answer = solveExactly(highs, modelOf({ ...problem, locks }), { seconds: 10 });
    expect(answer).toEqual({ status: 'none', bound: -Infinity, picture: null });
  });
});

const anyProblem = fc
  .record({
    seed: fc.integer({ min: 1, max: 1_000_000 }),
    groups: fc.integer({ min: 1, max: 4 }),
    hives: fc.integer({ min: 1, max: 8 }),
    slots: fc.integer({ min: 1, max: 7 }),
    published: fc.boolean(),
  })
  .map(({ seed, ...size }) => randomProblem(seed, size));

describe('the search', () => {
  it('keeps every rule, and the worth it keeps up to date is the worth that the checker reckons', () => {
    fc.assert(
      fc.property(anyProblem, fc.integer({ min: 1, max: 3000 }), (problem, iterations) => {
        const search = new PlanSearch(modelOf(problem), { seed: 3, iterations });
        search.run(iterations);
        const { violations, objective } = checkPlan(problem, search.best);
        expect(violations).toEqual([]);
        expect(objective).toBeCloseTo(search.bestTotal, 6);
        // The state itself has gone on from the best, through changes made and taken back.
        const { objective: now } = checkPlan(problem, assignmentsOf(search.model, search.state.picture()));
        expect(now).toBeCloseTo(search.state.total, 6);
      }),
      { numRuns: 150 },
    );
  });

  it('makes the same plan from the same seed and budget, in one go or in pieces', () => {
    const model = modelOf(keptProblem('medium-7'));
    const options = { seed: 5, iterations: 12_000 };
    const [once, pieces, other] = [
      new PlanSearch(model, options),
      new PlanSearch(model, options),
      new PlanSearch(model, { ...options, seed: 6 }),
    ];
    once.run(Infinity);
    while (!pieces.finished) pieces.run(777);
    other.run(Infinity);
    expect(pieces.best).toEqual(once.best);
    expect(other.best).not.toEqual(once.best);
  });

  it('is never better than the exact solver, and as good on small problems', () => {
    let reached = 0;
    for (let seed = 1; seed <= 25; seed += 1) {
      const problem = randomProblem(seed, { groups: 3, hives: 5, slots: 5 });
      const search = new PlanSearch(modelOf(problem), { seed, iterations: 30_000 });
      search.run(Infinity);
      const { worth } = exact(problem);
      expect(search.bestTotal).toBeLessThanOrEqual(worth + 1e-6);
      if (search.bestTotal > worth - 1e-6) reached += 1;
    }
    expect(reached).toBeGreaterThanOrEqual(24);
  });

  it.each([
    ['small-7', 60_000, 1],
    ['small-8', 60_000, 1],
    ['medium-7', 150_000, 0.965],
    ['medium-8', 150_000, 0.955],
    ['large-7', 120_000, 0.972],
    ['huge-7', 100_000, 0.945],
  ] as const)('comes near the proven bound of %s in %i moves', (name, iterations, ratio) => {
    const problem = keptProblem(name);
    const search = new PlanSearch(modelOf(problem), { seed: 1, iterations });
    search.run(Infinity);
    const { violations, objective } = checkPlan(problem, search.best);
    expect(violations).toEqual([]);
    expect(objective / keptBest(name).bound).toBeGreaterThanOrEqual(ratio - 1e-9);
    expect(objective).toBeLessThanOrEqual(keptBest(name).bound + 1e-6);
  });

  it('keeps what is pinned, by groups, hives, supervisors and staff', () => {
    const problem = keptProblem('medium-7');
    const locks: PlanLock[] = [
      ...problem.locks,
      { group: 'g1', slot: 't14', hives: ['h5'] },
      { staff: true, hive: 'h9', slot: 't22' },
    ];
    const pinned = { ...problem, locks };
    const search = new PlanSearch(modelOf(pinned), { seed: 2, iterations: 20_000 });
    search.run(Infinity);
    expect(checkPlan(pinned, search.best).violations).toEqual([]);
  });

  it('stays near a plan that it is given', () => {
    const problem = keptProblem('large-7');
    const best = keptBest('large-7');
    const search = new PlanSearch(modelOf(problem), { seed: 2, iterations: 5000, near: best });
    expect(search.bestTotal).toBeGreaterThanOrEqual(best.objective - 1e-6);
    search.run(Infinity);
    const kept = search.best.sessions.filter(({ group, slot }) =>
      best.sessions.some((each) => each.group === group && each.slot === slot),
    );
    expect(kept.length / best.sessions.length).toBeGreaterThan(0.85);
  });

  it('keeps to two apiaries at once: hives of the place, nobody in both', () => {
    const base = keptProblem('medium-7');
    const two: PlanningProblem = {
      ...base,
      locks: [],
      slots: base.slots.flatMap((slot) => [
        { ...slot, site: 'home' },
        { ...slot, id: `${slot.id}m`, start: slot.start + 30, site: 'moor' },
      ]),
      groups: base.groups.map((group) => ({ ...group, slots: group.slots.flatMap((slot) => [slot, `${slot}m`]) })),
      supervisors: base.supervisors.map((each) => ({
        ...each,
        slots: each.slots.flatMap((slot) => [slot, `${slot}m`]),
      })),
      hives: base.hives.map((hive, at) => ({ ...hive, site: at % 2 === 0 ? 'home' : 'moor' })),
    };
    const search = new PlanSearch(modelOf(two), { seed: 2, iterations: 40_000 });
    search.run(Infinity);
    const { violations, objective } = checkPlan(two, search.best);
    expect(violations).toEqual([]);
    expect(objective).toBeCloseTo(search.bestTotal, 6);
    const bound = new PlanBound(modelOf(two));
    expect(bound.run(150, search.bestTotal)).toBeGreaterThanOrEqual(search.bestTotal);
  });

  it('refuses to begin when the pins cannot be kept', () => {
    const problem = keptProblem('small-7');
    const locks: PlanLock[] = [{ group: 'g0', slot: 't0' }];
    expect(() => startOf(modelOf({ ...problem, locks }))).toThrow(PinsCannotBeKept);
  });
});

describe('the bound', () => {
  it('is never below the best plan, at any time', () => {
    fc.assert(
      fc.property(anyProblem, (problem) => {
        const { worth } = exact(problem);
        const bound = new PlanBound(modelOf(problem));
        let before = bound.value;
        for (let round = 0; round < 8; round += 1) {
          const value = bound.run(10, worth);
          expect(value).toBeLessThanOrEqual(before);
          expect(value).toBeGreaterThanOrEqual(worth - 1e-6);
          before = value;
        }
      }),
      { numRuns: 60 },
    );
  });

  it.each([
    ['medium-7', 300],
    ['medium-8', 300],
    ['large-7', 200],
  ] as const)('comes within 0.3 % of what was proven for %s in %i rounds', (name, rounds) => {
    const best = keptBest(name);
    const value = new PlanBound(modelOf(keptProblem(name))).run(rounds, best.objective);
    expect(value).toBeGreaterThanOrEqual(best.objective);
    expect(value / best.bound).toBeLessThan(1.003);
  });
});

describe('the optimum of a small problem', () => {
  const small = fc
    .integer({ min: 1, max: 100_000 })
    .map((seed) => randomProblem(seed, { groups: 2, hives: 4, slots: 4 }));

  it('is never lowered by one more slot', () => {
    fc.assert(
      fc.property(small, (problem) => {
        const fewer = (list: readonly string[]) => list.filter((slot) => slot !== 't3');
        const without: PlanningProblem = {
          ...problem,
          slots: problem.slots.filter(({ id }) => id !== 't3'),
          groups: problem.groups.map((group) => ({ ...group, slots: fewer(group.slots) })),
          supervisors: problem.supervisors.map((each) => ({ ...each, slots: fewer(each.slots) })),
        };
        expect(exact(problem).worth).toBeGreaterThanOrEqual(exact(without).worth - 1e-6);
      }),
      { numRuns: 40 },
    );
  });

  it('is never raised by a pin, and the pin is kept', () => {
    fc.assert(
      fc.property(small, fc.nat(), fc.nat(), (problem, pickGroup, pickSlot) => {
        const group = problem.groups[pickGroup % problem.groups.length]!;
        const slot = problem.slots[pickSlot % problem.slots.length]!;
        const pinned = { ...problem, locks: [{ group: group.id, slot: slot.id }] };
        const answer = solveExactly(highs, modelOf(pinned), { seconds: 60 });
        if (answer.status === 'none') return;
        expect(answer.bound).toBeLessThanOrEqual(exact(problem).worth + 1e-6);
        expect(checkPlan(pinned, assignmentsOf(modelOf(pinned), answer.picture!)).violations).toEqual([]);
      }),
      { numRuns: 40 },
    );
  });
});

describe('planning', () => {
  it('proves a small plan and says so', () => {
    const problem = keptProblem('small-8');
    const plan = solvePlan(problem, { seed: 1, iterations: 40_000, rounds: 100, exact: { highs, seconds: 20 } });
    expect(faultsOf(problem, plan)).toEqual([]);
    expect(plan.gap).toBeLessThan(1e-6);
  });

  it('tells of better plans and falling bounds as they come, and stops when told', () => {
    const problem = keptProblem('large-7');
    const told: { objective: number; bound: number | null }[] = [];
    const plan = solvePlan(problem, {
      seed: 1,
      iterations: 60_000,
      rounds: 200,
      onProgress: ({ objective, bound }) => {
        told.push({ objective, bound });
        return told.length < 60;
      },
    });
    expect(told).toHaveLength(60);
    for (const [at, { objective, bound }] of told.entries()) {
      if (at === 0) continue;
      expect(objective).toBeGreaterThanOrEqual(told[at - 1]!.objective);
      if (bound !== null) expect(bound).toBeGreaterThanOrEqual(objective);
    }
    expect(faultsOf(problem, plan)).toEqual([]);
    expect(plan.objective).toBe(told.at(-1)!.objective);
  });
});
