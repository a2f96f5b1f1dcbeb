import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  type Assignments,
  checkPlan,
  modelOf,
  objectiveOf,
  type PlanningProblem,
  PlanSearch,
  rhythmsOf,
  troublesOf,
  type Trouble,
  type WayOut,
  waysOut,
} from '../src/planning';
import { keptProblem, randomProblem } from './random-problem';

const base = keptProblem('medium-7');
const [slot, hive] = [base.slots[0]!, base.hives[0]!];
const days = [0, 2, 7, 9];
const ids = days.map((day) => `d${day}`);
/** A fortnight with one group that comes twice, two supervisors, and two hives of which one may swarm. */
const fortnight: PlanningProblem = {
  ...base,
  horizonDays: 14,
  slots: days.map((day) => ({
    ...slot,
    id: `d${day}`,
    day,
    fit: day === 9 ? 0.3 : 0.9,
    temp: 'mild',
    minutes: 150,
    staffMinutes: 60,
    staffVisits: day === 7 ? 1 : 0,
    site: undefined,
  })),
  groups: [
    {
      ...base.groups[0]!,
      id: 'curlew',
      size: 6,
      sessions: 2,
      gapDays: 3,
      maxTemper: 2,
      slots: ids,
      needs: {},
      lateAfter: 20,
    },
  ],
  supervisors: [
    { id: 'morag', senior: true, slots: ['d0', 'd7', 'd9'] },
    { id: 'tomasz', senior: false, slots: ['d0', 'd2', 'd7'] },
  ],
  hives: [
    {
      ...hive,
      id: 'swarmy',
      temper: 1,
      restDays: 3,
      lastOpened: -7,
      noOpenBefore: 0,
      hygiene: 'clean',
      site: undefined,
      due: { from: 0, by: 0, weight: 14, every: 7 },
    },
    {
      ...hive,
      id: 'quiet',
      temper: 2,
      restDays: 3,
      lastOpened: null,
      noOpenBefore: 0,
      hygiene: 'clean',
      site: undefined,
      due: null,
    },
    {
      ...hive,
      id: 'lively',
      temper: 4,
      restDays: 3,
      lastOpened: null,
      noOpenBefore: 0,
      hygiene: 'clean',
      site: undefined,
      due: null,
    },
  ],
  locks: [],
  forbids: [],
  published: null,
};
const held = (
  ...sessions: readonly (readonly [at: string, by: string, ...hives: readonly string[]])[]
): Assignments => ({
  sessions: sessions.map(([at, supervisor, ...hives]) => ({ group: 'curlew', slot: at, supervisor, hives })),
  staff: [],
});
const told = ({ change }: WayOut): string => {
  const where = (item: { kind: string; slot: string; hive?: string }) =>
    [item.kind === 'staff' ? 'staff' : 'curlew', item.hive, item.slot].filter(Boolean).join(' ');
  switch (change.kind) {
    case 'put':
      return `put ${where(change.to)}`;
    case 'move':
      return `${where(change.from)} to ${where(change.to)}`;
    case 'leave-out':
      return `without ${where(change.from)}`;
    case 'lead':
      return `${change.supervisor} leads ${change.slot}`;
  }
};
const first = (plan: Assignments, kind: Trouble['kind'], rule?: Trouble['rule']): Trouble =>
  troublesOf(fortnight, plan).find((each) => each.kind === kind && (rule === undefined || each.rule === rule))!;

describe('ways out of a trouble', () => {
  it.each([
    {
      case: 'who leads cannot come: somebody else leads, which costs nothing',
      plan: held(['d2', 'morag', 'quiet']),
      trouble: ['broken-rule', 'supervisor-slot'],
      ways: ['tomasz leads d2'],
    },
    {
      case: 'a look that nobody does on its last day: the group does it that day',
      plan: held(['d0', 'morag', 'quiet'], ['d7', 'morag', 'swarmy']),
      trouble: ['due-not-met'],
      ways: ['put curlew swarmy d0'],
    },
    {
      case: 'the second look is missed: group or staff, on the day that counts',
      plan: held(['d0', 'morag', 'swarmy'], ['d7', 'tomasz', 'quiet']),
      trouble: ['due-not-met'],
      ways: ['put curlew swarmy d7', 'put staff swarmy d7'],
    },
    {
      case: 'a lively hive: without it, since nobody else may open it with a group',
      plan: held(['d0', 'morag', 'quiet', 'lively']),
      trouble: ['broken-rule', 'temper'],
      ways: ['without curlew lively d0', 'curlew lively d0 to staff lively d7'],
    },
    {
      case: 'a session on a day that is rarely fit: on another day',
      plan: held(['d0', 'morag', 'quiet'], ['d9', 'morag', 'quiet']),
      trouble: ['low-odds'],
      ways: ['curlew d9 to curlew d7'],
    },
    {
      case: 'two sessions a day too near to each other: one of them moves',
      plan: held(['d0', 'tomasz', 'quiet'], ['d2', 'tomasz', 'swarmy']),
      trouble: ['broken-rule', 'group-gap'],
      ways: ['curlew d2 to curlew d7'],
    },
    {
      case: 'one session too few: another one, with whatever it brings most for',
      plan: held(['d0', 'morag', 'swarmy']),
      trouble: ['too-few-sessions'],
      ways: ['put curlew swarmy d7'],
    },
  ] as const)('$case', ({ plan, trouble: [kind, rule], ways }) => {
    const found = waysOut(fortnight, plan, first(plan, kind, rule), 4).map(told);
    expect(found).toEqual(expect.arrayContaining([...ways]));
    expect(found[0]).toBe(ways[0]);
  });

  it('offers two of different sorts before two of one sort', () => {
    const plan = held(['d0', 'tomasz', 'quiet'], ['d2', 'tomasz', 'swarmy']);
    const kinds = waysOut(fortnight, plan, first(plan, 'broken-rule', 'group-gap')).map(({ change }) => change.kind);
    expect(new Set(kinds).size).toBe(2);
  });

  it('offers nothing that takes away what is fixed', () => {
    const plan = held(['d0', 'morag', 'lively']);
    const problem = { ...fortnight, locks: [{ group: 'curlew', slot: 'd0', hives: ['lively'] }] };
    const [trouble] = troublesOf(problem, plan).filter(({ rule }) => rule === 'temper');
    expect(waysOut(problem, plan, trouble!)).toEqual([]);
  });

  it('ends the trouble, breaks nothing that was kept, and costs exactly what it says', () => {
    const rules = (problem: PlanningProblem, plan: Assignments) =>
      checkPlan(problem, plan).violations.map((each) => JSON.stringify(each));
    let offered = 0;
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 2000 }), (seed) => {
        const problem = randomProblem(seed, { groups: 3, hives: 6, slots: 7, days: 12 });
        const search = new PlanSearch(modelOf(problem), { seed, iterations: 300 });
        search.run(Infinity);
        // As somebody's hand leaves it: every session one slot later.
        const plan = {
          ...search.best,
          sessions: search.best.sessions.map((each, at) => ({
            ...each,
            slot: problem.slots[(problem.slots.findIndex(({ id }) => id === each.slot) + (at % 2)) % 7]!.id,
          })),
        };
        const before = new Set(rules(problem, plan));
        for (const trouble of troublesOf(problem, plan).slice(0, 6)) {
          const ways = waysOut(problem, plan, trouble);
          offered += ways.length;
          const prices = ways.map(({ price }) => price);
          if (prices.length > 0) expect(prices[0]).toBe(Math.min(...prices));
          for (const way of ways) {
            expect(way.price).toBeCloseTo(objectiveOf(problem, plan) - objectiveOf(problem, way.plan), 9);
            expect(rules(problem, way.plan).filter((each) => !before.has(each))).toEqual([]);
            expect(troublesOf(problem, way.plan)).not.toContainEqual(trouble);
          }
        }
      }),
      { numRuns: 40 },
    );
    expect(offered).toBeGreaterThan(40);
  });
});

describe('how often a colony is looked at', () => {
  it('has the last look, those of groups and staff, and the turns that nobody opens it for', () => {
    expect(rhythmsOf(fortnight, held(['d0', 'morag', 'quiet']))).toEqual([
      { hive: 'swarmy', every: 7, looks: [-7], missed: [0, 7] },
    ]);
    const both = { ...held(['d0', 'morag', 'swarmy']), staff: [{ slot: 'd7', hive: 'swarmy' }] };
    expect(rhythmsOf(fortnight, both)).toEqual([{ hive: 'swarmy', every: 7, looks: [-7, 0, 7], missed: [] }]);
  });

  it('leaves out what is due once, and what is due for nothing', () => {
    const once = (due: PlanningProblem['hives'][number]['due']) => ({
      ...fortnight,
      hives: fortnight.hives.map((each) => (each.id === 'swarmy' ? { ...each, due } : each)),
    });
    expect(rhythmsOf(once({ from: 0, by: 0, weight: 14 }), held())).toEqual([]);
    expect(rhythmsOf(once({ from: 0, by: 0, weight: 0, every: 7 }), held())).toEqual([]);
  });
});
