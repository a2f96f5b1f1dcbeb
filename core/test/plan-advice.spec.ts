import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { answersInEnglish } from './in-english';
import { inEnglish } from '../src/words';
import {
  afterStep,
  checkPlan,
  coverageOf,
  indoorWork,
  LOW_ODDS,
  modelOf,
  objectiveOf,
  openingOrder as saidOpeningOrder,
  type PlanningProblem,
  PlanSearch,
  reasonsOf,
  stepsBetween,
  troublesOf as saidTroublesOf,
  wetDayOf,
} from '../src/planning';
import { type PhaseSpan } from '../src/season';
import { DEFAULT_CHECKLIST, indoorWaysOf } from '../src/skills';
import { standings } from './evidence';
import { keptBest, keptProblem, randomProblem } from './random-problem';

const troublesOf = answersInEnglish(saidTroublesOf);
const openingOrder = answersInEnglish(saidOpeningOrder);

const searched = (problem: PlanningProblem, seed = 1, iterations = 3000) => {
  const search = new PlanSearch(modelOf(problem), { seed, iterations });
  search.run(Infinity);
  return search.best;
};
const random = (seed: number) => randomProblem(seed, { groups: 3, hives: 8, slots: 8, days: 10 });

const WAYS = inEnglish(indoorWaysOf(DEFAULT_CHECKLIST));

describe('troubles of a plan', () => {
  const problem = keptProblem('medium-7');
  const plan = keptBest('medium-7');

  it('name no broken rule in a kept best plan, and every session with low odds', () => {
    const troubles = troublesOf(problem, plan);
    expect(troubles.filter(({ kind }) => kind === 'broken-rule')).toEqual([]);
    const fit = new Map(problem.slots.map((slot) => [slot.id, slot.fit]));
    expect(troubles.filter(({ kind }) => kind === 'low-odds')).toHaveLength(
      plan.sessions.filter(({ slot }) => fit.get(slot)! < LOW_ODDS).length,
    );
  });

  it('of nothing planned: all groups short and every due that ends within the days unmet', () => {
    const troubles = troublesOf(problem, { sessions: [], staff: [] });
    expect(troubles.filter(({ kind }) => kind === 'too-few-sessions').map(({ group }) => group)).toEqual(
      problem.groups.filter(({ sessions }) => sessions > 0).map(({ id }) => id),
    );
    const dues = problem.hives.filter(({ due }) => due !== null && due.by < problem.horizonDays);
    expect(troubles.filter(({ kind }) => kind === 'due-not-met')).toHaveLength(dues.length);
  });

  it('begin with the rules that a plan breaks, by the checker', () => {
    const [first] = plan.sessions;
    const twice = { ...plan, sessions: [...plan.sessions, first!] };
    const broken = troublesOf(problem, twice).filter(({ kind }) => kind === 'broken-rule');
    expect(broken.map(({ rule }) => rule)).toEqual(checkPlan(problem, twice).violations.map(({ rule }) => rule));
    expect(broken.length).toBeGreaterThan(0);
  });

  it('tell a due that is met late from one that is never met', () => {
    const hive = {
      ...problem.hives[0]!,
      id: 'h',
      due: { from: 0, by: 2, weight: 5 },
      lastOpened: null,
      noOpenBefore: 0,
    };
    const slot = { ...problem.slots[0]!, id: 's', day: 5, fit: 1, staffVisits: 1, staffMinutes: 90 };
    const small: PlanningProblem = {
      ...problem,
      hives: [hive],
      slots: [slot],
      groups: [],
      supervisors: [],
      locks: [],
      published: null,
    };
    const says = (staff: { slot: string; hive: string }[]) => troublesOf(small, { sessions: [], staff })[0]?.says;
    expect(says([])).toBe('h is due by day 2 and is not opened.');
    expect(says([{ slot: 's', hive: 'h' }])).toBe('h is due by day 2 and is opened on day 5.');
  });
});

describe('a wet day', () => {
  it('has a reserve that keeps every rule when the session is moved there, at the price that it says', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 5000 }), (seed) => {
        const problem = random(seed);
        const plan = searched(problem);
        const fit = new Map(problem.slots.map((slot) => [slot.id, slot]));
        const wet = plan.sessions.flatMap((session) => {
          const found = wetDayOf(problem, plan, session, WAYS);
          return found === null ? [] : [{ ...session, ...found }];
        });
        expect(wet).toHaveLength(plan.sessions.filter(({ slot }) => fit.get(slot)!.fit < LOW_ODDS).length);
        for (const { group, slot, reserve, staff } of wet) {
          const left = plan.sessions.filter((each) => each.group !== group || each.slot !== slot);
          const free = { ...problem, locks: [] };
          if (reserve !== null) {
            const { price, ...session } = reserve;
            const moved = { sessions: [...left, session], staff: plan.staff };
            expect(checkPlan(free, moved).violations).toEqual([]);
            expect(price).toBeCloseTo(objectiveOf(problem, plan) - objectiveOf(problem, moved), 6);
            expect(fit.get(session.slot)!.day).not.toBe(fit.get(slot)!.day);
          }
          for (const visit of staff)
            expect(checkPlan(free, { sessions: left, staff: [...plan.staff, visit] }).violations).toEqual([]);
        }
      }),
      { numRuns: 40 },
    );
  });

  it('gives work under a roof for what is open, the most open first, each way once', () => {
    const work = indoorWork(
      {
        'tells-cells': { weight: 6, covered: 0 },
        'weighs-first': { weight: 3, covered: 0 },
        'makes-gap': { weight: 2, covered: 0 },
        'outermost-first': { weight: 1, covered: 0 },
        'eases-off': { weight: 9, covered: 0 },
        'sums-up': { weight: 0, covered: 1 },
      },
      WAYS,
    );
    expect(work.map(({ skill }) => skill)).toEqual(['tells-cells', 'weighs-first', 'makes-gap']);
    expect(indoorWork({}, WAYS)).toEqual([]);
    const all = indoorWork(
      Object.fromEntries(DEFAULT_CHECKLIST.skills.map(({ id }) => [id, { weight: 1, covered: 0 }])),
      WAYS,
      99,
    );
    expect(new Set(all.map(({ how }) => how)).size).toBe(all.length);
  });
});

describe('reasons that are kept with a plan', () => {
  it('are one for each opening and say by how much the plan would be worse without it', () => {
    const problem = keptProblem('small-7');
    const plan = keptBest('small-7');
    const reasons = reasonsOf(problem, plan);
    expect(reasons).toHaveLength(plan.sessions.reduce((sum, { hives }) => sum + hives.length, 0) + plan.staff.length);
    // In a best plan nothing can be taken out to its advantage.
    for (const { marginal } of reasons) expect(marginal.total).toBeGreaterThanOrEqual(-1e-9);
  });
});

describe('a step of the way to another plan', () => {
  it('taken by itself keeps the rules, and together they arrive', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 5000 }), (seed) => {
        const problem = random(seed);
        const [from, to] = [searched(problem, 1, 300), searched(problem, 2, 3000)];
        const steps = stepsBetween(problem, from, to);
        for (const at of steps.keys()) {
          const { plan, made } = afterStep(problem, from, steps, at);
          expect(made).toContain(at);
          expect(checkPlan(problem, plan).violations).toEqual([]);
        }
        let plan = from;
        for (let left = steps; left.length > 0; left = stepsBetween(problem, plan, to))
          plan = afterStep(problem, plan, left, left.length - 1).plan;
        expect(objectiveOf(problem, plan)).toBeCloseTo(objectiveOf(problem, to), 6);
      }),
      { numRuns: 25 },
    );
  });
});

describe('the next hive by the minutes left', () => {
  const base = keptProblem('small-7');
  const hive = (id: string, minutes: number, more: Partial<PlanningProblem['hives'][number]> = {}) => ({
    id,
    minutes,
    temper: 1,
    restDays: 3,
    lastOpened: null,
    noOpenBefore: 0,
    due: null,
    hygiene: 'clean' as const,
    disturb: 0.5,
    skills: { egg: 0.8 },
    ...more,
  });
  const problem = (hives: PlanningProblem['hives']): PlanningProblem => ({
    ...base,
    skills: ['egg'],
    groups: [
      {
        id: 'g',
        size: 6,
        sessions: 1,
        gapDays: 1,
        slots: [],
        pace: 1,
        maxTemper: 2,
        lateAfter: 9,
        needs: { egg: { weight: 6, covered: 0 } },
      },
    ],
    hives,
    locks: [],
    published: null,
  });
  const now = {
    group: 'g',
    fit: 1,
    temp: 'mild',
    site: 'home',
    taken: new Set<string>(),
    told: [],
    senior: false,
  } as const;
  const open = (order: ReturnType<typeof openingOrder>) =>
    order.flatMap(({ hive: id, says }) => (says === null ? [id] : []));

  it('prefers what is due, fits the minutes and says what is left', () => {
    const hives = [hive('big', 40), hive('due', 20, { due: { from: 0, by: 1, weight: 9 } }), hive('small', 15)];
    const order = openingOrder(problem(hives), { ...now, minutesLeft: 45 });
    expect(open(order)).toEqual(['due', 'small']);
    expect(order.map(({ leaves }) => leaves)).toEqual([25, 5, null]);
    expect(order[2]!.says).toMatch(/worth more in the time/);
    expect(open(openingOrder(problem(hives), { ...now, minutesLeft: 18 }))).toEqual(['small']);
    expect(open(openingOrder(problem(hives), { ...now, minutesLeft: 5 }))).toEqual([]);
  });

  it('never spends the session on one big colony when two small ones teach more', () => {
    const hives = [hive('big', 60), hive('a', 25, { skills: { egg: 0.7 } }), hive('b', 25, { skills: { egg: 0.7 } })];
    expect(open(openingOrder(problem(hives), { ...now, minutesLeft: 60 })).toSorted()).toEqual(['a', 'b']);
  });

  it('leaves out what the rules forbid, takes a suspect hive last and only with a senior supervisor', () => {
    const hives = [
      hive('wild', 10, { temper: 4 }),
      hive('rests', 10, { lastOpened: -1 }),
      hive('suspect', 10, { hygiene: 'suspect', due: { from: 0, by: 0, weight: 9 } }),
      hive('calm', 10),
      hive('held', 10),
    ];
    const alone = openingOrder(problem(hives), { ...now, minutesLeft: 60, taken: new Set(['held']) });
    expect(open(alone)).toEqual(['calm']);
    const senior = openingOrder(problem(hives), { ...now, minutesLeft: 60, senior: true });
    expect(open(senior).at(-1)).toBe('suspect');
    expect(senior.find(({ hive: id }) => id === 'rests')!.says).toMatch(/rests/);
    expect(() => openingOrder(problem(hives), { ...now, group: 'x', minutesLeft: 9 })).toThrow(RangeError);
    // A few days on the same hive has rested; what only finds no time is not barred.
    const later = openingOrder(problem(hives), { ...now, minutesLeft: 12, day: 6 });
    expect(later.find(({ hive: id }) => id === 'rests')!.barred).toBe(false);
    expect(later.find(({ hive: id }) => id === 'wild')!.barred).toBe(true);
    expect(senior.find(({ hive: id }) => id === 'rests')!.barred).toBe(true);
  });

  it('begins with what the group was told, in that order, and fills the time that is left', () => {
    const hives = [hive('due', 20, { due: { from: 0, by: 1, weight: 9 } }), hive('second', 20), hive('first', 20)];
    const order = openingOrder(problem(hives), { ...now, minutesLeft: 75, told: ['first', 'second'] });
    expect(open(order)).toEqual(['first', 'second', 'due']);
    expect(open(openingOrder(problem(hives), { ...now, minutesLeft: 30, told: ['first', 'second'] }))).toEqual([
      'first',
    ]);
  });

  it('fits the minutes, whatever the hives', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 5000 }), fc.integer({ min: 0, max: 150 }), (seed, minutesLeft) => {
        const season = random(seed);
        for (const { id } of season.groups) {
          const order = openingOrder(season, { ...now, group: id, minutesLeft });
          for (const { leaves, says } of order) if (says === null) expect(leaves).toBeGreaterThanOrEqual(0);
          expect(order).toHaveLength(season.hives.length);
        }
      }),
      { numRuns: 30 },
    );
  });
});

describe('coverage of the checklist', () => {
  const problem = keptProblem('small-7');
  const [group] = problem.groups;
  const [slot] = problem.slots;
  const hive = { ...problem.hives[0]!, temper: 1, noOpenBefore: 0, skills: { 'tells-cells': 0.9, 'finds-eggs': 0.8 } };
  const facts = {
    checklist: DEFAULT_CHECKLIST,
    today: '2026-05-14',
    phases: [
      { phase: 'build-up', from: '2026-04-01', to: '2026-05-01' },
      { phase: 'swarm-season', from: '2026-05-02', to: '2026-06-10' },
      { phase: 'flow', from: '2026-06-11', to: '2026-07-20' },
      { phase: 'winter-rest', from: '2026-11-01', to: '2026-12-20' },
    ] as unknown as PhaseSpan[],
    groups: [{ id: group!.id, trainees: ['ife', 'jun'] }],
    standing: standings([]),
    problem: {
      ...problem,
      slots: [{ ...slot!, id: 's', day: 3, fit: 1 }],
      groups: [{ ...group!, slots: ['s'], maxTemper: 2 }],
      hives: [hive],
    },
    plan: { sessions: [], staff: [] },
  };
  const row = (skill: string, with_: Partial<Parameters<typeof coverageOf>[0]> = {}) =>
    coverageOf({ ...facts, ...with_ }).find((each) => each.skill === skill)!;

  it('has a row for every skill, first the seasonal ones that end soonest and nobody has seen', () => {
    const rows = coverageOf(facts);
    expect(rows).toHaveLength(DEFAULT_CHECKLIST.skills.length);
    expect(rows[0]).toMatchObject({
      skill: 'tells-cells',
      nobody: true,
      window: { from: '2026-05-02', to: '2026-06-10' },
    });
    expect(row('finds-eggs').window).toEqual({ from: '2026-04-01', to: '2026-07-20' });
    expect(row('veil-checked')).toMatchObject({ seasonal: false, window: null });
    expect(row('tells-cells', { today: '2026-11-20' }).window).toBeNull();
  });

  it('names the opening that could be had, and the planned one before it', () => {
    expect(row('tells-cells').groups[0]!.next).toEqual({ slot: 's', hive: hive.id, chance: 0.9, planned: false });
    const plan = { sessions: [{ group: group!.id, slot: 's', supervisor: 'x', hives: [hive.id] }], staff: [] };
    expect(row('tells-cells', { plan }).groups[0]!.next!.planned).toBe(true);
    expect(row('ages-larvae').groups[0]!.next).toBeNull();
  });

  it('reckons what planned sessions offer: by the odds, to those whose turn it is, nobody twice in a session', () => {
    const at = (hives: readonly string[], slotFit = 1) => ({
      plan: { sessions: [{ group: group!.id, slot: 's', supervisor: 'x', hives }], staff: [] },
      problem: {
        ...facts.problem,
        slots: [{ ...facts.problem.slots[0]!, fit: slotFit }],
        hives: [hive, { ...hive, id: 'other' }],
      },
      groups: [{ id: group!.id, trainees: ['ife', 'jun', 'mateo', 'salma', 'piotr'] }],
    });
    const offered = (skill: string, with_: ReturnType<typeof at>) =>
      row(skill, with_).offers.map((each) => each.showings);
    const { role } = DEFAULT_CHECKLIST.skills.find(({ id }) => id === 'finds-eggs')!;
    expect(role).not.toBe('everybody');
    // Two of five have their turn at one hive, four at two.
    expect(offered('finds-eggs', at([hive.id]))[0]).toBeCloseTo(1.6);
    expect(offered('finds-eggs', at([hive.id, 'other']))[0]).toBeCloseTo(3.2);
    expect(offered('finds-eggs', at([hive.id], 0.25))[0]).toBeCloseTo(0.4);
    expect(offered('ages-larvae', at([hive.id]))).toEqual([]);
    const two = { ...at([hive.id, 'other']), groups: facts.groups };
    expect(offered('tells-cells', two)).toEqual([2]);
  });
});
