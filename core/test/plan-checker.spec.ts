import { describe, expect, it } from 'vitest';
import { answersInEnglish } from './in-english';
import {
  type Assignments,
  checkPlan as saidCheckPlan,
  faultsOf as saidFaultsOf,
  OBJECTIVE_PARTS,
  PLAN_RULES,
  type PlanningProblem,
  type PlanRule,
  worthOfLearning,
} from '../src/planning';
import { KEPT, keptBest, keptProblem } from './random-problem';

const checkPlan = answersInEnglish(saidCheckPlan);
const faultsOf = answersInEnglish(saidFaultsOf);

/** Two apiaries, three groups, hives of every kind; every number is chosen so that one change breaks one rule. */
const PROBLEM: PlanningProblem = {
  ...keptProblem('small-7'),
  name: 'by hand',
  skills: ['eggs'],
  slots: [
    {
      id: 'mon',
      day: 0,
      start: 600,
      minutes: 90,
      fit: 0.8,
      temp: 'mild',
      suits: 12,
      staffMinutes: 40,
      staffVisits: 2,
      site: 'home',
    },
    {
      id: 'wed',
      day: 2,
      start: 600,
      minutes: 90,
      fit: 0.5,
      temp: 'warm',
      suits: 30,
      staffMinutes: 40,
      staffVisits: 2,
      site: 'home',
    },
    {
      id: 'moor',
      day: 2,
      start: 660,
      minutes: 90,
      fit: 0.6,
      temp: 'warm',
      suits: 30,
      staffMinutes: 0,
      staffVisits: 0,
      site: 'moor',
    },
    {
      id: 'sun',
      day: 6,
      start: 600,
      minutes: 90,
      fit: 0.9,
      temp: 'cool',
      suits: 30,
      staffMinutes: 100,
      staffVisits: 3,
      site: 'home',
    },
  ],
  groups: [
    {
      id: 'curlew',
      size: 5,
      sessions: 2,
      gapDays: 3,
      slots: ['mon', 'wed', 'sun'],
      pace: 1.5,
      maxTemper: 2,
      lateAfter: 3,
      needs: { eggs: { weight: 2, covered: 0 } },
    },
    {
      id: 'dipper',
      size: 6,
      sessions: 2,
      gapDays: 0,
      slots: ['mon', 'wed', 'moor', 'sun'],
      pace: 1,
      maxTemper: 4,
      lateAfter: 9,
      needs: {},
    },
  ],
  supervisors: [
    { id: 'ruth', senior: true, slots: ['mon', 'wed', 'moor', 'sun'] },
    { id: 'tomasz', senior: false, slots: ['wed', 'moor', 'sun'] },
  ],
  hives: [
    {
      id: 'calm',
      minutes: 20,
      temper: 1,
      restDays: 5,
      lastOpened: -5,
      noOpenBefore: 0,
      due: { from: 0, by: 0, weight: 5 },
      hygiene: 'clean',
      disturb: 1,
      skills: { eggs: 0.5 },
      site: 'home',
    },
    {
      id: 'brisk',
      minutes: 20,
      temper: 3,
      restDays: 2,
      lastOpened: null,
      noOpenBefore: 1,
      due: null,
      hygiene: 'clean',
      disturb: 1,
      skills: {},
      site: 'home',
    },
    {
      id: 'doubtful',
      minutes: 25,
      temper: 1,
      restDays: 3,
      lastOpened: null,
      noOpenBefore: 0,
      due: null,
      hygiene: 'suspect',
      disturb: 1,
      skills: {},
      site: 'home',
    },
    {
      id: 'query',
      minutes: 15,
      temper: 1,
      restDays: 0,
      lastOpened: null,
      noOpenBefore: 0,
      due: null,
      hygiene: 'suspect',
      disturb: 1,
      skills: {},
      site: 'home',
    },
    {
      id: 'heather',
      minutes: 20,
      temper: 1,
      restDays: 3,
      lastOpened: null,
      noOpenBefore: 0,
      due: null,
      hygiene: 'clean',
      disturb: 1,
      skills: {},
      site: 'moor',
    },
  ],
  locks: [],
  forbids: [],
  published: null,
};

const session = (group: string, slot: string, supervisor: string, ...hives: string[]) => ({
  group,
  slot,
  supervisor,
  hives,
});
const GOOD: Assignments = {
  sessions: [session('curlew', 'mon', 'ruth', 'calm', 'doubtful'), session('curlew', 'sun', 'tomasz', 'calm')],
  staff: [{ slot: 'wed', hive: 'brisk' }],
};
const rulesOf = (plan: Assignments, problem = PROBLEM) => [
  ...new Set(checkPlan(problem, plan).violations.map(({ rule }) => rule)),
];

describe('the checker', () => {
  it('finds nothing in a plan that keeps the rules', () => {
    expect(checkPlan(PROBLEM, GOOD).violations).toEqual([]);
  });

  const only = (...sessions: Assignments['sessions']): Assignments => ({ sessions, staff: [] });
  const staff = (...visits: [string, string][]): Assignments => ({
    sessions: [],
    staff: visits.map(([slot, hive]) => ({ slot, hive })),
  });
  const broken: Record<PlanRule, readonly [plan: Assignments, problem?: Partial<PlanningProblem>]> = {
    'group-slot': [only(session('curlew', 'moor', 'ruth', 'heather'))],
    'group-twice': [only(session('dipper', 'wed', 'ruth', 'brisk'), session('dipper', 'wed', 'tomasz', 'calm'))],
    'group-sessions': [
      only(
        session('dipper', 'mon', 'ruth', 'query'),
        session('dipper', 'wed', 'ruth', 'brisk'),
        session('dipper', 'sun', 'ruth', 'calm'),
      ),
    ],
    'group-gap': [only(session('curlew', 'mon', 'ruth', 'calm'), session('curlew', 'wed', 'ruth', 'query'))],
    'supervisor-slot': [only(session('dipper', 'mon', 'tomasz', 'calm'))],
    'supervisor-one-group': [
      only(session('curlew', 'wed', 'ruth', 'calm'), session('dipper', 'moor', 'ruth', 'heather')),
    ],
    'hive-count': [only(session('dipper', 'mon', 'ruth'))],
    'hive-repeated': [only(session('dipper', 'mon', 'ruth', 'calm', 'calm'))],
    'hive-shared': [only(session('curlew', 'sun', 'ruth', 'calm'), session('dipper', 'sun', 'tomasz', 'calm'))],
    'session-minutes': [only(session('curlew', 'mon', 'ruth', 'calm', 'query', 'doubtful'))],
    temper: [only(session('curlew', 'wed', 'ruth', 'brisk'))],
    'suspect-last': [only(session('curlew', 'mon', 'ruth', 'doubtful', 'calm'))],
    'suspect-senior': [only(session('dipper', 'sun', 'tomasz', 'query'))],
    suits: [only(session('curlew', 'mon', 'ruth', 'calm'), session('dipper', 'mon', 'tomasz', 'query'))],
    'staff-visits': [staff(['wed', 'calm'], ['wed', 'brisk'], ['wed', 'query'])],
    'staff-minutes': [staff(['wed', 'calm'], ['wed', 'doubtful'])],
    'staff-suspect': [staff(['sun', 'doubtful'], ['sun', 'query'])],
    rest: [only(session('curlew', 'mon', 'ruth', 'calm'), session('dipper', 'wed', 'ruth', 'calm'))],
    'not-before': [only(session('dipper', 'mon', 'ruth', 'brisk'))],
    place: [only(session('dipper', 'moor', 'ruth', 'calm'))],
    forbidden: [GOOD, { forbids: [{ group: 'curlew', hive: 'doubtful' }] }],
    lock: [GOOD, { locks: [{ group: 'dipper', slot: 'sun' }] }],
  };
  it.each(PLAN_RULES)('names the rule "%s" when it is broken', (rule) => {
    const [plan, problem] = broken[rule];
    const found = checkPlan({ ...PROBLEM, ...problem }, plan).violations;
    expect(found.map((each) => each.rule)).toContain(rule);
    for (const { says } of found) expect(says).toMatch(/\w+ .*\.$/);
  });

  it('counts the rest before the plan too', () => {
    const rested = { ...PROBLEM, hives: PROBLEM.hives.map((hive) => ({ ...hive, lastOpened: -4, restDays: 5 })) };
    expect(rulesOf(only(session('dipper', 'mon', 'ruth', 'calm')), rested)).toEqual(['rest']);
    expect(rulesOf(only(session('dipper', 'wed', 'ruth', 'calm')), rested)).toEqual([]);
  });

  it.each([
    ['a session that is not held', [{ group: 'curlew', slot: 'wed' }]],
    ['a hive that is not opened', [{ group: 'curlew', slot: 'sun', hives: ['calm', 'query'] }]],
    ['a supervisor who is elsewhere', [{ group: 'curlew', slot: 'mon', supervisor: 'tomasz' }]],
    ['a visit that staff do not make', [{ staff: true as const, hive: 'brisk', slot: 'sun' }]],
  ])('holds a pin against %s', (_, locks) => {
    expect(rulesOf(GOOD, { ...PROBLEM, locks })).toEqual(['lock']);
  });

  it.each([
    [{ slot: 'mon' }, true],
    [{ group: 'curlew', slot: 'sun' }, true],
    [{ hive: 'brisk' }, true],
    [{ hive: 'brisk', staff: true as const }, true],
    [{ group: 'dipper', hive: 'brisk' }, false],
    [{ group: 'curlew', hive: 'doubtful', slot: 'sun' }, false],
    [{ hive: 'calm', staff: true as const }, false],
  ])('reads what is forbidden: %o', (forbid, caught) => {
    expect(rulesOf(GOOD, { ...PROBLEM, forbids: [forbid] })).toEqual(caught ? ['forbidden'] : []);
  });

  it('refuses names that the problem does not have, all at once', () => {
    const plan = only(session('swift', 'mon', 'ruth', 'hive 99'));
    expect(() => checkPlan(PROBLEM, plan)).toThrow('group "swift", hive "hive 99"');
  });

  it('reckons the worth by hand-made figures', () => {
    // Curlew at Monday and Sunday: sessions 4 × (0.8 + 0.9); three days late on Sunday, 0.4 each; dipper lacks two sessions, 6 each.
    const { parts, objective } = checkPlan(PROBLEM, GOOD);
    expect(parts.session).toBeCloseTo(6.8, 12);
    expect(parts.late).toBeCloseTo(-1.2, 12);
    expect(parts.shortfall).toBe(-12);
    expect(parts.staffVisit).toBe(-2.5);
    // Care of the calm hive on its day: 5 × 0.8; on Sunday only 5 × 0.9 × (1 − 0.6), which does not count beside it.
    expect(parts.care).toBeCloseTo(4, 12);
    // Openings: mild 1 × 0.8 twice, cool 1.6 × 0.9, warm 0.8 × 0.5.
    expect(parts.disturb).toBeCloseTo(-(0.8 + 0.8 + 1.44 + 0.4), 12);
    // Eggs: 0.8 × 0.5 and 0.9 × 0.5, so L = −ln 0.6 − ln 0.55; the curve between 0.9 and 1.25.
    const practice = -Math.log(0.6) - Math.log(0.55);
    const worth = 0.59343 + ((practice - 0.9) / 0.35) * (0.713495 - 0.59343);
    expect(parts.skill).toBeCloseTo(10 * 2 * worth, 9);
    expect(parts.fairness).toBeCloseTo(6 * worth, 9);
    expect(objective).toBeCloseTo(
      OBJECTIVE_PARTS.reduce((sum, part) => sum + parts[part], 0),
      12,
    );
  });

  it('charges for each session and hive that people were told otherwise', () => {
    const published = {
      sessions: [
        { group: 'curlew', slot: 'mon', hives: ['calm', 'query'] },
        { group: 'dipper', slot: 'wed', hives: ['brisk', 'calm'] },
      ],
    };
    // Monday: one hive out, one in. Wednesday dropped with two hives. Sunday new, its hives cost nothing.
    expect(checkPlan({ ...PROBLEM, published }, GOOD).parts.change).toBeCloseTo(-(1 + 2 + 1 + 2), 12);
  });

  it('reads practice off the curve, flat after its end', () => {
    const { pwl } = PROBLEM.params;
    expect(worthOfLearning(pwl, 0)).toBe(0);
    expect(worthOfLearning(pwl, 0.25)).toBeCloseTo((0.139292 + 0.295312) / 2, 12);
    expect(worthOfLearning(pwl, 99)).toBe(0.993262);
    expect(() => worthOfLearning(pwl, -1)).toThrow(RangeError);
  });
});

describe('a plan that states its worth', () => {
  it.each(KEPT)('agrees with what was found best for %s', (name) => {
    expect(faultsOf(keptProblem(name), keptBest(name))).toEqual([]);
  });

  it('is caught when it states too much, beats its own bound or answers another problem', () => {
    const [problem, best] = [keptProblem('small-7'), keptBest('small-7')];
    expect(faultsOf(problem, { ...best, objective: best.objective * (1 + 3e-6) })).toHaveLength(1);
    expect(faultsOf(problem, { ...best, objective: best.objective * (1 + 3e-7) })).toEqual([]);
    expect(faultsOf(problem, { ...best, bound: best.objective - 1 })).toHaveLength(1);
    expect(faultsOf(problem, { ...best, instance: 'small-9' })).toHaveLength(1);
  });
});
