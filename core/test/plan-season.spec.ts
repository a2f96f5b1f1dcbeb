import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { Text } from '../src/language';
import { inEnglish } from '../src/words';
import { answersInEnglish } from './in-english';
import type { ColonyCalendar } from '../src/care';
import {
  coverageOf,
  cannotCome as saidCannotCome,
  cannotLift as saidCannotLift,
  checkPlan,
  type ColonyFacts,
  DEFAULT_PLANNING,
  fitSlots,
  loadFreeFrom,
  modelOf,
  needsOf,
  openingMinutes,
  paceOf,
  planHive,
  plannedSkill,
  PlanSearch,
  type SeasonFacts,
  seasonProblem as saidSeasonProblem,
  skillChances,
  tempOf,
} from '../src/planning';
import { DEFAULT_CHECKLIST } from '../src/skills';
import { shown, standings } from './evidence';
import { addDays } from '../src/units';
import { chanceOfStretch, DEFAULT_LIMITS, HOUR, type Outlook, type Weather } from '../src/weather';

const cannotCome = answersInEnglish(saidCannotCome);
const cannotLift = answersInEnglish(saidCannotLift);
const seasonProblem = answersInEnglish(saidSeasonProblem);

const FAIR: Weather = { temperature: 18, dewPoint: 8, wind: 6, gust: 12, rain: 0, cloud: 0.2, thunder: 0 };
const START = '2026-05-14T00:00:00Z';

/** Each member is dry until its hour, then it rains. */
const outlookOf = (dryUntil: readonly number[]): Outlook => ({
  ensemble: {
    issued: START,
    start: START,
    members: dryUntil.map((until) =>
      Array.from({ length: 24 }, (_, hour) => (hour < until ? FAIR : { ...FAIR, rain: 3 })),
    ),
  },
  place: { latitude: 55, longitude: -3 },
  limits: DEFAULT_LIMITS,
});
const at = (hour: number) => Date.parse(START) + hour * HOUR;
const NEED = { depth: 'full', longest: 150, shortest: 90, leastFit: 0.3, most: 2, pause: 30 } as const;

describe('slots from the weather', () => {
  it('lie where the whole stretch is likely fit, with the odds of the forecasts', () => {
    const outlook = outlookOf([20, 20, 20, 20, 20, 20, 14, 14, 14, 14]);
    const slots = fitSlots(outlook, [at(9), at(19)], NEED);
    expect(slots).toHaveLength(2);
    for (const { from, to, fit } of slots) {
      expect(fit).toBeCloseTo(chanceOfStretch(outlook, 'full', from, to), 9);
      expect((to - from) / 60_000).toBeGreaterThanOrEqual(90);
      expect((to - from) / 60_000).toBeLessThanOrEqual(150);
    }
    expect(slots[0]!.fit).toBe(1);
    expect(slots[1]!.from - slots[0]!.to).toBeGreaterThanOrEqual(30 * 60_000);
  });

  it('are shorter where only a short one lasts, and none where it rains or the forecast does not reach', () => {
    const [only, ...rest] = fitSlots(outlookOf([11]), [at(9), at(19)], NEED);
    expect(rest).toEqual([]);
    expect((only!.to - only!.from) / 60_000).toBeLessThan(150);
    expect(fitSlots(outlookOf([8]), [at(9), at(19)], NEED)).toEqual([]);
    expect(fitSlots(outlookOf([20]), [at(33), at(43)], NEED)).toEqual([]);
  });

  it('never overlap and never go below the least odds', () => {
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 8, max: 22 }), { minLength: 1, maxLength: 12 }), (dry) => {
        const slots = fitSlots(outlookOf(dry), [at(8), at(20)], { ...NEED, most: 3 });
        slots.forEach((slot, place) => {
          expect(slot.fit).toBeGreaterThanOrEqual(NEED.leastFit);
          expect(slot.from).toBeGreaterThanOrEqual(at(8));
          expect(slot.to).toBeLessThanOrEqual(at(20));
          if (place > 0) expect(slot.from).toBeGreaterThanOrEqual(slots[place - 1]!.to + 30 * 60_000);
        });
      }),
      { numRuns: 60 },
    );
  });

  it.each([
    [13.9, 'cool'],
    [14, 'mild'],
    [19, 'warm'],
    [28.1, 'hot'],
  ])('%d °C is %s', (temperature, temp) => {
    expect(tempOf(temperature)).toBe(temp);
  });
});

describe('who can come', () => {
  // 14 May 2026 is a Thursday.
  const times = {
    weekly: [
      { weekday: 4, from: 12 * 60, to: 17 * 60 },
      { weekday: 6, from: 9 * 60, to: 12 * 60 },
    ],
    away: [{ from: '2026-05-21', to: '2026-05-22', why: 'exam' }],
  };
  it.each([
    ['2026-05-14', 13 * 60, 150, null],
    ['2026-05-14', 15 * 60, 150, 'not at these hours'],
    ['2026-05-15', 13 * 60, 60, 'not on this weekday'],
    ['2026-05-16', 9 * 60, 180, null],
    ['2026-05-21', 13 * 60, 60, 'exam'],
    ['2023-12-28', 13 * 60, 60, null],
  ])('%s at minute %i for %i: %s', (date, start, minutes, why) => {
    expect(cannotCome(times, { date, start, minutes })).toBe(why);
  });
});

const CALENDAR: ColonyCalendar = {
  dues: [],
  lapsed: [],
  honey: { superOnFrom: null, fedUntil: null, standing: [], unknown: [], locked: [], says: null },
  rests: [],
  load: { openings: 0, minutes: 0, stings: 0, over: [] },
  openFrom: '2026-05-14',
};
const COLONY: ColonyFacts = {
  id: 'h4',
  site: 'home',
  expected: { bees: 8, eggs: 1, larvae: 1, sealed: 3, drone: 0.3, storesKg: 6 },
  nestFrames: 11,
  horizontal: false,
  supers: 1,
  moods: [1, 1, 2],
  swarm: 'low',
  suspect: false,
  phase: 'swarm-season',
  calendar: CALENDAR,
  openings: [],
};
const TODAY = '2026-05-14';
const HOUSE = { restDays: 4, openingLimit: 4, checklist: DEFAULT_CHECKLIST };
const opening = (daysAgo: number) => ({ date: addDays(TODAY, -daysAgo), minutes: 30, stings: 0, deep: true });

describe('a colony for the planner', () => {
  it('gives a chance for each skill of the checklist, and no other', () => {
    expect(Object.keys(skillChances(DEFAULT_CHECKLIST, COLONY)).toSorted()).toEqual(
      DEFAULT_CHECKLIST.skills.map(({ id }) => id).toSorted(),
    );
    const chances = skillChances(DEFAULT_CHECKLIST, COLONY);
    for (const { id, season } of DEFAULT_CHECKLIST.skills) {
      const inSeason = season === null || season.includes('swarm-season');
      if (inSeason) expect(chances[id], id).toBeGreaterThan(0);
      else expect(chances[id], id).toBe(0);
      expect(chances[id], id).toBeLessThan(1);
    }
  });

  it('offers eggs where she lays, cells where they would swarm, lids to doubt where disease is suspected', () => {
    const queenless = { ...COLONY, expected: { ...COLONY.expected!, eggs: 0 } };
    expect(skillChances(DEFAULT_CHECKLIST, queenless)['finds-eggs']).toBe(0);
    expect(skillChances(DEFAULT_CHECKLIST, COLONY)['finds-eggs']).toBeGreaterThan(0.8);
    expect(skillChances(DEFAULT_CHECKLIST, { ...COLONY, swarm: 'leaving' })['tells-cells']).toBeGreaterThan(0.8);
    expect(skillChances(DEFAULT_CHECKLIST, { ...COLONY, suspect: true })['suspect-lids']).toBeGreaterThan(0.5);
    expect(skillChances(DEFAULT_CHECKLIST, { ...COLONY, supers: 0 })['lifts-box']).toBeLessThan(0.2);
  });

  it('rests, waits for the load of thirty days, and counts days from the plan’s first', () => {
    const openings = [28, 20, 12, 3].map(opening);
    const hive = planHive({ ...COLONY, openings }, TODAY, HOUSE);
    expect(hive.lastOpened).toBe(-3);
    expect(hive.restDays).toBe(4);
    // Four openings in thirty days: free when the one of 28 days ago falls out.
    expect(hive.noOpenBefore).toBe(2);
    expect(planHive({ ...COLONY, openings: openings.slice(1) }, TODAY, HOUSE).noOpenBefore).toBe(0);
    expect(loadFreeFrom(openings, TODAY, 3)).toBe(addDays(TODAY, 10));
  });

  it('takes the most binding due date, and half of what is due beside it; what needs no opening does not count', () => {
    const due = (
      from: number,
      by: number,
      strict: 'must' | 'should' | 'may',
      opens = true,
      clash: string | null = null,
    ) => ({
      id: `${from}`,
      title: '',
      from: addDays(TODAY, from),
      due: addDays(TODAY, by),
      why: '',
      strict,
      question: null,
      bring: null,
      opens,
      clash,
    });
    const dues = [
      due(-2, 3, 'should'),
      due(1, 5, 'must'),
      due(9, 12, 'should'),
      due(0, 1, 'must', false),
      due(0, 2, 'must', true, 'rest'),
    ];
    const hive = planHive({ ...COLONY, calendar: { ...CALENDAR, dues } }, TODAY, HOUSE);
    expect(hive.due).toEqual({ from: 1, by: 5, weight: 14 + 4.5 });
    expect(planHive({ ...COLONY, calendar: { ...CALENDAR, dues: [due(-9, -4, 'should')] } }, TODAY, HOUSE).due).toEqual(
      {
        from: 0,
        by: 0,
        weight: 9,
      },
    );
  });

  it('has what comes again as often as it comes, to its last day', () => {
    const look = {
      id: 'ordinary',
      title: 'Look for queen cells',
      from: addDays(TODAY, 1),
      due: addDays(TODAY, 2),
      why: '',
      strict: 'must' as const,
      question: null,
      bring: null,
      opens: true,
      clash: null,
      again: { every: 7, until: addDays(TODAY, 20) },
    };
    expect(planHive({ ...COLONY, calendar: { ...CALENDAR, dues: [look] } }, TODAY, HOUSE).due).toEqual({
      from: 1,
      by: 2,
      weight: 14,
      every: 7,
      until: 20,
    });
  });

  it('goes by the worst of the last three moods, and is careful with a colony never met', () => {
    expect(planHive({ ...COLONY, moods: [5, 1, 1, 3] }, TODAY, HOUSE).temper).toBe(3);
    expect(planHive({ ...COLONY, moods: [] }, TODAY, HOUSE).temper).toBe(2);
  });

  it('disturbs a small colony more, one opened often more, and takes longer with more frames', () => {
    const small = { ...COLONY, expected: { ...COLONY.expected!, bees: 2 } };
    const worth = (colony: ColonyFacts) => planHive(colony, TODAY, HOUSE).disturb;
    expect(worth(small)).toBeGreaterThan(worth(COLONY));
    expect(worth({ ...COLONY, openings: [opening(10), opening(20)] })).toBeGreaterThan(worth(COLONY));
    expect(worth({ ...COLONY, phase: 'winter-rest' })).toBeGreaterThan(3 * worth(COLONY));
    expect(openingMinutes(11, 2)).toBeGreaterThan(openingMinutes(5, 0));
  });
});

describe('a group for the planner', () => {
  it('needs one point for each trainee and open skill, more when few weeks are left, none when there are no more', () => {
    const held = ['2026-04-20', '2026-04-28', '2026-05-05'].map((day, at) =>
      shown(day, 'alone', { trainee: 'ife', colony: `hive ${at}` }),
    );
    const standing = standings([...held, shown('2026-05-01', 'saw-it', { trainee: 'jun' })]);
    const trainees = ['ife', 'jun', 'greta'].map((id) => ({ id, seated: false }));
    const needs = (weeks: number | null) => needsOf(DEFAULT_CHECKLIST, trainees, standing, () => weeks);
    const eggs = (weeks: number | null) => needs(weeks)['finds-eggs']!;
    expect(eggs(null).weight).toBe(2);
    expect(eggs(20).weight).toBe(2);
    expect(eggs(3).weight).toBe(3);
    expect(eggs(0.1).weight).toBeCloseTo(4, 1);
    expect(needs(0)).toEqual({});
    expect(eggs(null).covered).toBeGreaterThanOrEqual(0);
    expect(eggs(null).covered).toBeLessThan(0.5);
    expect(needs(null)['sums-up']).toEqual({ weight: 3, covered: 0 });
    expect(needsOf(DEFAULT_CHECKLIST, [], standing, () => null)).toEqual({});
  });

  it('sends those who work sitting to a hive of table height for what hands do at the frames', () => {
    const needs = needsOf(
      DEFAULT_CHECKLIST,
      [
        { id: 'ife', seated: false },
        { id: 'niamh', seated: true },
      ],
      standings([]),
      () => null,
    );
    const atFrames = Object.keys(needs).filter((key) => plannedSkill(key).seated);
    expect(atFrames.map((key) => plannedSkill(key).skill)).toContain('lifts-straight');
    for (const key of atFrames) expect(needs[key]!.weight).toBe(1);
    expect(needs['lifts-straight']!.weight).toBe(1);
    expect(needs['finds-eggs']!.weight).toBe(2);
    const upright = planHive(COLONY, TODAY, HOUSE).skills;
    const flat = planHive({ ...COLONY, horizontal: true }, TODAY, HOUSE).skills;
    for (const key of atFrames) {
      expect(upright[key] ?? 0).toBe(0);
      expect(flat[key]).toBe(flat[plannedSkill(key).skill]);
    }
  });

  it('takes half as long again before anything was recorded, and moves towards what was', () => {
    expect(paceOf([])).toBe(1.5);
    const brisk = Array.from({ length: 30 }, () => ({ took: 25, reckoned: 25 }));
    expect(paceOf(brisk)).toBeLessThan(1.06);
    expect(paceOf([{ took: 500, reckoned: 25 }])).toBeLessThan(1.8);
  });

  const able = { liftKg: null, seated: false };
  const LIFT = { one: 16, two: 24 };
  it.each([
    ['nothing to lift', [{ liftKg: 0, seated: true }], null, null],
    ['one lifts alone', [able], 14, null],
    ['two lift together, the supervisor is one', [able, { liftKg: 5, seated: false }], 22, null],
    [
      'nobody beside the supervisor can',
      [
        { liftKg: 5, seated: false },
        { liftKg: null, seated: true },
      ],
      22,
      '22 kg to lift, 1 can',
    ],
    ['by-frames', [{ liftKg: 5, seated: false }], 30, null],
  ])('and its backs: %s', (_, trainees, kg, why) => {
    expect(cannotLift(trainees, kg, LIFT)).toBe(why);
  });
});

const TIMES = { weekly: [1, 2, 3, 4, 5, 6, 7].map((weekday) => ({ weekday, from: 0, to: 1440 })), away: [] };
const FACTS: SeasonFacts = {
  name: 'Brenna Fell',
  today: TODAY,
  practice: DEFAULT_PLANNING,
  restDays: 4,
  openingLimit: 4,
  lift: { one: 16, two: 24 },
  slots: [0, 2, 5].flatMap((day) =>
    ['home', 'moor'].map((site) => ({
      id: `${site} ${day}`,
      site,
      date: addDays(TODAY, day),
      start: 780,
      minutes: 140,
      fit: 0.8,
      temperature: 17,
    })),
  ),
  groups: ['curlew', 'dipper'].map((id) => ({
    id,
    trainees: ['a', 'b', 'c', 'd'].map((name) => ({ id: `${id} ${name}`, liftKg: null, seated: false })),
    sessions: 2,
    gapDays: 2,
    maxTemper: 3,
    until: null,
    visits: [],
    times: id === 'dipper' ? { ...TIMES, away: [{ from: TODAY, to: TODAY, why: 'at work' }] } : TIMES,
  })),
  checklist: DEFAULT_CHECKLIST,
  standing: standings([]),
  phases: [
    { phase: 'swarm-season', from: '2026-05-02', to: '2026-06-10', reasons: [] },
    { phase: 'flow', from: '2026-06-11', to: '2026-07-20', reasons: [] },
  ] as unknown as SeasonFacts['phases'],
  supervisors: [
    { id: 'ruth', senior: true, times: TIMES },
    { id: 'tomasz', senior: false, times: TIMES },
  ],
  colonies: ['home', 'home', 'moor', 'moor'].map((site, at) => ({
    ...COLONY,
    id: `hive ${at}`,
    site,
    heaviestKg: null,
  })),
  locks: [],
  forbids: [],
  published: null,
};

describe('the problem of a season', () => {
  it('becomes a plan that keeps to places, times and people', () => {
    const { problem, away } = saidSeasonProblem(FACTS);
    expect(away.get('dipper home 0')).toBe('at work');
    const search = new PlanSearch(modelOf(problem), { seed: 1, iterations: 40000 });
    search.run(Infinity);
    expect(checkPlan(problem, search.best).violations).toEqual([]);
    expect(search.best.sessions).toHaveLength(4);
    for (const { slot, hives } of search.best.sessions)
      for (const hive of hives) expect(Number(hive.at(-1)) < 2 ? 'home' : 'moor').toBe(slot.split(' ')[0]);
  });

  it('forbids days on which a colony must be left alone, and boxes that a group cannot lift, each with its reason', () => {
    const rests = [
      {
        cause: 'young-queen' as const,
        from: addDays(TODAY, 2),
        to: addDays(TODAY, 5),
        why: 'young-queen',
        strict: 'must' as const,
      },
    ];
    const [first, ...others] = FACTS.colonies;
    const heavy = { ...others[0]!, heaviestKg: 22 };
    const weak = FACTS.groups.map((group) => ({
      ...group,
      trainees: group.trainees.map((each) => ({ ...each, liftKg: 5 })),
    }));
    const { problem, forbids } = seasonProblem({
      ...FACTS,
      groups: weak,
      colonies: [{ ...first!, calendar: { ...CALENDAR, rests } }, heavy, ...others.slice(1)],
    });
    expect(forbids).toContainEqual({ hive: 'hive 0', slot: 'home 2', why: 'young-queen' });
    expect(forbids).toContainEqual({ group: 'curlew', hive: 'hive 1', why: '22 kg to lift, 1 can' });
    const search = new PlanSearch(modelOf(problem), { seed: 1, iterations: 3000 });
    search.run(Infinity);
    expect(checkPlan(problem, search.best).violations).toEqual([]);
    expect(search.best.sessions.flatMap(({ hives }) => hives)).not.toContain('hive 1');
    expect(search.best.sessions.filter(({ hives, slot }) => hives.includes('hive 0') && slot !== 'home 0')).toEqual([]);
  });

  it('lets what was told for today stand, unless the weather or another pin forbids it', () => {
    const told = { group: 'curlew', slot: 'home 0', hives: ['hive 0'] };
    const locksOf = (facts: Partial<SeasonFacts>) =>
      seasonProblem({ ...FACTS, published: [told, { ...told, group: 'dipper' }], ...facts }).problem.locks;
    // Dipper cannot come today, so only Curlew's session can stand.
    expect(locksOf({})).toEqual([told]);
    const wet = FACTS.slots.map((slot) => ({ ...slot, fit: slot.id === 'home 0' ? 0.1 : slot.fit }));
    expect(locksOf({ slots: wet })).toEqual([]);
    const other = { staff: true as const, hive: 'hive 0', slot: 'home 0' };
    expect(locksOf({ locks: [other] })).toEqual([other]);
    expect(locksOf({ published: [{ ...told, slot: 'home 2' }] })).toEqual([]);
  });

  it('leaves a session that has begun as it was told', () => {
    const { problem, forbids } = seasonProblem({ ...FACTS, begun: [{ group: 'curlew', hive: 'hive 0' }] });
    expect(forbids).toContainEqual({ group: 'curlew', slot: 'home 0', why: 'The group has a session today.' });
    expect(forbids).toContainEqual({ hive: 'hive 0', slot: 'home 0', why: 'It is opened today, as people were told.' });
    // Two days between its sessions: the day after next is free again.
    expect(forbids.some(({ group, slot }) => group === 'curlew' && slot === 'home 2')).toBe(false);
    const search = new PlanSearch(modelOf(problem), { seed: 1, iterations: 4000 });
    search.run(Infinity);
    expect(search.best.sessions.filter(({ slot }) => slot.endsWith(' 0'))).toEqual([]);
  });

  it.each<[what: string, day: number, hours: readonly [number, number], comes: string, leads: string, rests: string]>([
    // Two days between sessions of a group, four days of rest for a hive; slots on days 0, 2 and 5 from 13:00 to 15:20.
    ['the same hours', 2, [780, 900], 'home 0, home 5', 'home 0, home 5', 'home 0, home 2, home 5'],
    ['earlier on that day', 2, [540, 660], 'home 0, home 5', 'home 0, home 2, home 5', 'home 0, home 2, home 5'],
    ['the day before', 1, [780, 900], 'home 5', 'home 0, home 2, home 5', 'home 0, home 2'],
    ['a week later', 12, [780, 900], 'home 0, home 2, home 5', 'home 0, home 2, home 5', ''],
  ])('works round a session made by hand: %s', (_what, day, [from, to], comes, leads, rests) => {
    const byHand = [{ group: 'curlew', hive: 'hive 0', supervisor: 'ruth', date: addDays(TODAY, day), from, to }];
    const { problem, forbids, away } = seasonProblem({ ...FACTS, byHand });
    const home = (slots: readonly string[]) => slots.filter((slot) => slot.startsWith('home')).join(', ');
    expect(home(problem.groups.find(({ id }) => id === 'curlew')!.slots)).toBe(comes);
    expect(home(problem.supervisors.find(({ id }) => id === 'ruth')!.slots)).toBe(leads);
    expect(home(forbids.flatMap(({ hive, slot }) => (hive === 'hive 0' && slot ? [slot] : [])))).toBe(rests);
    // Within the plan's days it counts as one of the group's sessions.
    expect(problem.groups.find(({ id }) => id === 'curlew')!.sessions).toBe(1);
    expect(problem.groups.find(({ id }) => id === 'dipper')!.sessions).toBe(2);
    if (day === 2) {
      const why = (away as unknown as ReadonlyMap<string, Text>).get('curlew home 2') ?? '';
      expect(inEnglish(why)).toBe('has a session made by hand on Sat 16 May');
    }
  });

  it('names a planned opening as the next chance, whatever its weather; else the first with a fair one', () => {
    const { problem } = seasonProblem(FACTS);
    const wet = {
      ...problem,
      slots: problem.slots.map((slot) => ({ ...slot, fit: slot.id === 'home 2' ? 0.04 : slot.fit })),
    };
    const coverage = (sessions: readonly { group: string; slot: string; supervisor: string; hives: string[] }[]) =>
      coverageOf({
        checklist: DEFAULT_CHECKLIST,
        today: TODAY,
        phases: FACTS.phases,
        groups: [{ id: 'curlew', trainees: ['curlew a'] }],
        standing: standings([]),
        problem: wet,
        plan: { sessions, staff: [] },
      }).find(({ skill }) => skill === 'lifts-straight')!.groups[0]!.next;
    expect(coverage([{ group: 'curlew', slot: 'home 2', supervisor: 'ruth', hives: ['hive 0'] }])).toMatchObject({
      slot: 'home 2',
      planned: true,
    });
    expect(coverage([])).toMatchObject({ planned: false });
    expect(coverage([])?.slot).not.toBe('home 2');
  });

  it('turns to colonies that were opened least when nothing is due', () => {
    const busy = { ...FACTS.colonies[0]!, openings: [25, 18, 11].map(opening) };
    const { problem } = seasonProblem({ ...FACTS, colonies: [busy, ...FACTS.colonies.slice(1)] });
    expect(problem.hives.map(({ due }) => due?.weight ?? 0)).toEqual([0, 3, 3, 3]);
  });
});
