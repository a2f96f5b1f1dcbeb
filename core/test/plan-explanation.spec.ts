import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { answersInEnglish } from './in-english';
import {
  changed,
  checkPlan,
  comparePlans,
  conflictOf,
  forceInto,
  hopelessBecause,
  marginalOf,
  modelOf,
  moveTo,
  OBJECTIVE_PARTS,
  objectiveParts,
  obstaclesTo,
  type PlanItem,
  type PlanLock,
  type PlannedSession,
  type PlanningProblem,
  PlanSearch,
  released,
  skillsGained,
  stepsBetween,
  troublesOf as saidTroublesOf,
  whyNot,
  withItem,
  without,
} from '../src/planning';
import { keptBest, keptProblem, randomProblem } from './random-problem';

const troublesOf = answersInEnglish(saidTroublesOf);

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

describe('moving', () => {
  const problem = keptProblem('medium-7');
  const plan = keptBest('medium-7');
  const openingsOf = (
    of: { sessions: readonly PlannedSession[]; staff: readonly { slot: string; hive: string }[] },
    hive: string,
  ) =>
    [
      ...of.sessions.filter(({ hives }) => hives.includes(hive)).map(({ slot }) => slot),
      ...of.staff.filter((each) => each.hive === hive).map(({ slot }) => slot),
    ].sort();

  it.each([false, true])(
    'takes a hive from its place and puts it elsewhere, never a second time (pinned: %s)',
    (pinned) => {
      let moved = 0;
      for (const { group, slot, hives } of plan.sessions.slice(0, 5)) {
        const hive = hives[0]!;
        const here: PlanLock = { group, slot, hives: [hive] };
        const model = modelOf(pinned ? { ...problem, locks: [here] } : problem);
        for (const to of problem.groups.find(({ id }) => id === group)!.slots.filter((id) => id !== slot)) {
          const lock: PlanLock = { group, slot: to, hives: [hive] };
          const item: PlanItem = { kind: 'hive', group, slot, hive };
          const found = moveTo(model, plan, item, lock, { seed: 1, iterations: 600 });
          if (found === null) continue;
          moved += 1;
          const before = openingsOf(plan, hive);
          expect(checkPlan({ ...problem, locks: [lock] }, found.plan).violations).toEqual([]);
          expect(openingsOf(found.plan, hive)).not.toContain(slot);
          expect(openingsOf(found.plan, hive).length).toBeLessThanOrEqual(before.length);
          expect(found.price).toBeCloseTo(plan.objective - found.plan.objective, 9);
          break;
        }
      }
      expect(moved).toBeGreaterThan(2);
    },
  );

  it('releases a pin of what it takes away, and no other', () => {
    const item: PlanItem = { kind: 'hive', group: 'g1', slot: 't1', hive: 'h1' };
    expect(released({ group: 'g1', slot: 't1', hives: ['h1'] }, item)).toBeNull();
    expect(released({ group: 'g1', slot: 't1', hives: ['h1', 'h2'] }, item)).toEqual({
      group: 'g1',
      slot: 't1',
      hives: ['h2'],
    });
    for (const other of [
      { group: 'g2', slot: 't1', hives: ['h1'] },
      { group: 'g1', slot: 't2', hives: ['h1'] },
      { group: 'g1', slot: 't1' },
      { staff: true, slot: 't1', hive: 'h1' },
    ] as const)
      expect(released(other, item)).toBe(other);
  });
});

describe('what is due again', () => {
  const base = keptProblem('small-7');
  const [slot] = base.slots as [PlanningProblem['slots'][number], ...PlanningProblem['slots'][number][]];
  const days = [0, 3, 7, 9, 14];
  const swarming: PlanningProblem = {
    ...base,
    horizonDays: 14,
    slots: days.map((day) => ({ ...slot, id: `d${day}`, day, fit: 1, suits: 40, staffVisits: 0, staffMinutes: 0 })),
    groups: [
      {
        ...base.groups[0]!,
        id: 'g',
        sessions: 3,
        gapDays: 1,
        maxTemper: 5,
        slots: days.map((day) => `d${day}`),
        needs: {},
      },
    ],
    supervisors: [{ id: 's', senior: true, slots: days.map((day) => `d${day}`) }],
    hives: [
      {
        ...base.hives[0]!,
        id: 'swarmy',
        restDays: 3,
        lastOpened: -7,
        noOpenBefore: 0,
        hygiene: 'clean',
        disturb: 1,
        due: { from: 0, by: 0, weight: 14, every: 7 },
      },
    ],
    locks: [],
    forbids: [],
    published: null,
  };
  const opened = (on: readonly string[]) => ({
    sessions: on.map((id) => ({ group: 'g', slot: id, supervisor: 's', hives: ['swarmy'] })),
    staff: [],
  });
  const care = (on: readonly string[], due: Partial<NonNullable<PlanningProblem['hives'][number]['due']>> = {}) => {
    const problem = { ...swarming, hives: swarming.hives.map((hive) => ({ ...hive, due: { ...hive.due!, ...due } })) };
    return objectiveParts(problem, opened(on)).care / problem.params.weights.care;
  };

  it.each([
    ['one look in a fortnight counts once', ['d0'], {}, 14],
    ['two in one week count once', ['d0', 'd3'], {}, 14],
    ['one a week counts twice', ['d0', 'd7'], {}, 28],
    ['a late one loses a tenth a day', ['d3', 'd9'], {}, 14 * 0.7 + 14 * 0.8],
    ['without a return it counts once', ['d0', 'd7'], { every: undefined }, 14],
    ['after the season has ended it comes no more', ['d0', 'd7'], { until: 6 }, 14],
  ] as const)('%s', (_case, on, due, points) => {
    expect(care(on, due)).toBeCloseTo(points, 9);
  });

  it('is planned as often as the days hold, and what is missed is told', () => {
    const search = new PlanSearch(modelOf(swarming), { seed: 1, iterations: 4000 });
    search.run(Infinity);
    expect(search.best.sessions.map((each) => each.slot).sort()).toEqual(expect.arrayContaining(['d0', 'd7']));
    expect(troublesOf(swarming, opened(['d0', 'd7'])).filter(({ kind }) => kind === 'due-not-met')).toEqual([]);
    expect(
      troublesOf(swarming, opened(['d0'])).flatMap(({ kind, says }) => (kind === 'due-not-met' ? [says] : [])),
    ).toEqual(['swarmy is due again by day 7 and is not opened for it.']);
  });
});

describe('the order of opening', () => {
  it('has doubtful hives after sound ones, and suspect ones last', () => {
    const problem = keptProblem('medium-7');
    const hives = ['suspect', 'doubtful', 'clean'].map((hygiene, at) => ({
      ...problem.hives[at]!,
      hygiene: hygiene as 'clean',
    }));
    const few = { ...problem, hives: [...hives, ...problem.hives.slice(3)] };
    const { group, slot } = keptBest('medium-7').sessions[0]!;
    const full = hives.reduce<Parameters<typeof withItem>[1]>(
      (plan, { id }) => withItem(few, plan, { kind: 'hive', group, slot, hive: id }),
      { sessions: [], staff: [] },
    );
    expect(full.sessions[0]!.hives).toEqual([hives[2]!.id, hives[1]!.id, hives[0]!.id]);
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
    ['without slots', { slots: [] }, 'no-slots'],
    ['when no hour is fit', { slots: problem.slots.map((slot) => ({ ...slot, fit: 0.04 })) }, 'no-fit-hours'],
    ['without groups', { groups: [] }, 'no-groups'],
    ['without supervisors', { supervisors: [] }, 'no-supervisors'],
    ['when no supervisor comes', { supervisors: [{ id: 's0', senior: true, slots: [] }] }, 'no-supervisors'],
    [
      'when groups and supervisors never meet',
      { groups: problem.groups.map((each) => ({ ...each, slots: ['t5'] })) },
      'nobody-can-come',
    ],
    [
      'when all hives rest',
      { hives: problem.hives.map((hive) => ({ ...hive, noOpenBefore: 99 })) },
      'no-hive-can-be-opened',
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
