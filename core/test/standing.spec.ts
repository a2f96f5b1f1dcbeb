import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { SKILL_LEVELS } from '../src/inspection';
import {
  corrected,
  type Demonstration,
  DEFAULT_CHECKLIST,
  EVIDENCE_SOURCES,
  type EvidenceRule,
  gateSkills,
  isDefensive,
  isOpen,
  standingChanges,
  STANDING_STATES,
  stepsBack,
  termOf,
} from '../src/skills';
import { addDays } from '../src/units';
import { listWith, RULE, shown, standings, TODAY } from './evidence';
import { wayOf } from '../src/language';
import { english } from '../src/words';
import { missingText, ruleText, standingText } from '../src/words/en/standing';

const way = wayOf(english);

const withRule = (rule: Partial<EvidenceRule>) => listWith('finds-eggs', { rule: { ...RULE, ...rule } });
const eggs = (
  evidence: readonly Demonstration[],
  rule: Partial<EvidenceRule> = {},
  more: Parameters<typeof standings>[1] = {},
) => standings(evidence, { checklist: withRule(rule), ...more })('salma', 'finds-eggs');
const three = [
  shown('2026-04-20', 'alone', { colony: 'hive 4' }),
  shown('2026-05-02', 'alone', { colony: 'hive 6' }),
  shown('2026-05-09', 'can-teach', { colony: 'hive 6' }),
];

describe('a signature', () => {
  const signed = { trainee: 'salma', skill: 'finds-eggs', day: '2026-05-10', kind: 'signed' as const };
  // What the evidence is worth today, whether it was struck after the signature, and what becomes of the signature.
  it.each([
    ['earned, and the evidence stands', three, {}, 'signed-off', 'earned'],
    ['earned, one of three showings struck since', three.slice(1), { struck: true }, 'in-progress', 'fallen'],
    ['earned, all struck since', [], { struck: true }, 'in-progress', 'fallen'],
    [
      'earned, one struck, the rest still meets the rule',
      [...three, shown('2026-05-11', 'alone')],
      { struck: true },
      'signed-off',
      'earned',
    ],
    ['by exception, with what was shown', three.slice(2), { byException: true }, 'signed-off', 'by-exception'],
    ['by exception, that showing struck since', [], { byException: true, struck: true }, 'signed-off', 'by-exception'],
    ['earned long before, evidence faded but not struck', three.slice(2), {}, 'signed-off', 'earned'],
  ] as const)('%s', (_case, evidence, more, state, signature) => {
    const standing = eggs(evidence, {}, { signOffs: [{ ...signed, ...more }] });
    expect([standing.state, standing.signature]).toEqual([state, signature]);
    if (signature === 'fallen') expect(standingText(standing, RULE, way)).toMatch(/the signature fell/);
    if (signature === 'by-exception') expect(standingText(standing, RULE, way)).toMatch(/by exception/);
  });
});

describe('a standing', () => {
  it('begins as not met, goes on with what is missing, and is shown when the rule is met', () => {
    expect(eggs([]).state).toBe('not-met');
    expect(eggs(three.slice(0, 1))).toMatchObject({
      state: 'in-progress',
      level: 'alone',
      missing: [
        { what: 'times', have: 1, need: 3 },
        { what: 'days', have: 1, need: 2 },
        { what: 'colonies', have: 1, need: 2 },
      ],
    });
    expect(eggs(three)).toMatchObject({ state: 'shown', missing: [], progress: 1, last: '2026-05-09' });
    expect(isOpen(eggs(three))).toBe(false);
    expect(isOpen(eggs(three.slice(1)))).toBe(true);
  });

  it.each([
    ['too much help', [shown('2026-05-10', 'with-a-word')], {}, 'times'],
    ['all on one day', [0, 1, 2].map(() => shown('2026-05-10', 'alone')), { colonies: 1 }, 'days'],
    ['all at one colony', three.map((each) => ({ ...each, colony: 'hive 4' })), {}, 'colonies'],
    ['one assessor', three, { assessors: 2 }, 'assessors'],
    ['no lead', three, { lead: true }, 'lead'],
    ['too long ago', three.map((each) => ({ ...each, day: addDays(each.day, -400) })), { times: 4 }, 'times'],
  ] as const)('is not shown with %s', (_, evidence, rule, what) => {
    const standing = eggs(evidence, rule);
    expect(standing.state).toBe('in-progress');
    expect(standing.missing.map((each) => each.what)).toContain(what);
  });

  it('takes practice up to its limit, never for a colony or an assessor', () => {
    const drill = (day: string) => shown(day, 'alone', { source: 'practice' });
    const indoors = ['2026-05-03', '2026-05-04', '2026-05-05'].map(drill);
    expect(eggs([...three.slice(0, 2), indoors[0]!]).state).toBe('shown');
    expect(eggs([three[0]!, ...indoors]).missing).toEqual([
      { what: 'times', have: 2, need: 3 },
      { what: 'colonies', have: 1, need: 2 },
    ]);
    expect(eggs(indoors, { indoors: 3, colonies: 1 }).missing.map(({ what }) => what)).toEqual(['assessors']);
  });

  it('leaves out what is dated in the future and what was only claimed', () => {
    expect(eggs([shown('2026-05-20', 'alone')]).state).toBe('not-met');
    const claim = shown('2026-05-10', 'alone', { source: 'claim', assessor: null });
    expect(eggs([claim]).state).toBe('not-met');
    expect(eggs([{ ...claim, assessor: 'ruth' }]).state).toBe('in-progress');
  });

  it('fades on its last day and comes back with one more showing', () => {
    const today = (day: string, more: readonly Demonstration[] = []) =>
      eggs([...three, ...more], {}, { today: day, now: `${day}T20:00:00.000Z` });
    const { until } = today('2026-06-01');
    expect(until).toBe(addDays('2026-05-09', 365));
    expect(today(until!).state).toBe('shown');
    const after = addDays(until!, 1);
    expect(today(after)).toMatchObject({ state: 'due-again', missing: [{ what: 'again', why: 'faded' }] });
    expect(isOpen(today(after))).toBe(true);
    expect(today(after, [shown(after, 'helped')]).state).toBe('due-again');
    expect(today(after, [shown(after, 'alone', { source: 'practice' })]).state).toBe('due-again');
    expect(today(after, [shown(after, 'alone')]).state).toBe('shown');
    expect(eggs(three, { months: null }, { today: '2036-01-01', now: '2036-01-02' })).toMatchObject({
      state: 'shown',
      until: null,
    });
  });

  it('of a season ends with the year of growth, which turns at midwinter on either half of the globe', () => {
    const on = (today: string, turn?: string, evidence = three) =>
      eggs(evidence, { months: 'season' }, { today, now: `${today}T20:00:00.000Z`, ...(turn ? { turn } : {}) });
    expect(on('2026-06-01')).toMatchObject({ state: 'shown', until: '2026-12-20' });
    expect(on('2026-12-20').state).toBe('shown');
    expect(on('2026-12-21')).toMatchObject({ state: 'due-again', missing: [{ what: 'again', why: 'faded' }] });
    // In the south the year that they were shown in is over in June.
    expect(on('2026-06-01', '06-21').until).toBe('2026-06-20');
    expect(on('2026-06-21', '06-21').state).toBe('due-again');
    // Shown on the turn itself it belongs to the year that begins.
    const turned = [...three, shown('2026-12-21', 'alone', { colony: 'hive 6' })];
    expect(on('2026-12-22', undefined, turned)).toMatchObject({ state: 'shown', until: '2027-12-20' });
    // Two of last season do not add up with one of this to what has never been held.
    const split = [
      shown('2025-08-01', 'alone', { colony: 'hive 4' }),
      shown('2025-09-01', 'alone', { colony: 'hive 6' }),
      shown('2026-05-02', 'alone', { colony: 'hive 6' }),
    ];
    expect(on('2026-05-14', undefined, split)).toMatchObject({ state: 'in-progress', counted: [split[2]!.id] });
    expect(eggs(split).state).toBe('shown');
    expect(ruleText({ ...RULE, months: 'season' }, way)).toMatch(/Holds for the season\.$/);
  });

  it('is due again when help was needed twice running, not once', () => {
    const helped = (day: string) => shown(day, 'helped');
    expect(eggs([...three, helped('2026-05-10')]).state).toBe('shown');
    const twice = [...three, helped('2026-05-10'), helped('2026-05-11')];
    expect(eggs(twice)).toMatchObject({ state: 'due-again', missing: [{ what: 'again', why: 'help-needed' }] });
    expect(eggs([...twice, shown('2026-05-12', 'alone')]).state).toBe('shown');
  });

  it('asks for no help twice running from practice, from before it was held, or with a good one between', () => {
    const indoors = (day: string) => shown(day, 'helped', { source: 'practice' });
    expect(eggs([...three, indoors('2026-05-10'), indoors('2026-05-11')]).state).toBe('shown');
    expect(eggs([...three, shown('2026-05-10', 'helped'), indoors('2026-05-11')]).state).toBe('shown');
    const signed = { trainee: 'salma', skill: 'finds-eggs', day: '2026-05-10', kind: 'signed' } as const;
    const early = [shown('2026-05-05', 'helped'), shown('2026-05-06', 'helped')];
    expect(eggs(early, {}, { signOffs: [signed] }).state).toBe('signed-off');
    const between = [shown('2026-05-10', 'helped'), shown('2026-05-11', 'alone'), shown('2026-05-12', 'helped')];
    expect(eggs([...three, ...between]).state).toBe('shown');
  });

  it('counts what was shown a year ago to the day, and not the day before', () => {
    const at = (day: string) => shown(day, 'alone');
    const old = [at('2025-05-14'), at('2025-05-13')];
    expect(eggs(old)).toMatchObject({ state: 'in-progress', counted: [old[0]!.id] });
    expect(eggs([at('2025-05-13')])).toMatchObject({ state: 'in-progress', counted: [] });
  });

  it('holds hidden readings against what is allowed, where there are any', () => {
    const off = (eighths: number | null) => eggs(three, { within: 1 }, { readingsOff: () => eighths });
    expect(off(null).state).toBe('shown');
    expect(off(0.8).state).toBe('shown');
    expect(off(1.6)).toMatchObject({ state: 'in-progress', missing: [{ what: 'readings', off: 1.6, allowed: 1 }] });
  });

  it('is signed off by the lead, whatever was counted, until it fades; a helping hand later reopens it', () => {
    const signed = { trainee: 'salma', skill: 'finds-eggs', day: '2026-05-10', kind: 'signed' } as const;
    const at = (today: string, evidence = three.slice(0, 1)) =>
      eggs(evidence, {}, { signOffs: [signed], today, now: `${today}T20:00:00.000Z` });
    expect(at('2026-05-14')).toMatchObject({ state: 'signed-off', until: addDays('2026-05-10', 365) });
    expect(at('2027-05-11').state).toBe('due-again');
    expect(at('2027-05-11', [...three, shown('2027-01-10', 'alone')]).state).toBe('signed-off');
    const carried = eggs([], {}, { signOffs: [{ ...signed, kind: 'carried' }] });
    expect(carried.state).toBe('shown');
  });

  it('counts the evidence of a skill that it took the place of', () => {
    const list = {
      version: 2,
      skills: [{ ...DEFAULT_CHECKLIST.skills[0]!, id: 'sees-eggs', rule: RULE, from: ['finds-eggs'] }],
    };
    expect(standings(three, { checklist: list })('salma', 'sees-eggs').state).toBe('shown');
    expect(standings(three, { checklist: list })('salma', 'finds-eggs').state).toBe('not-met');
  });

  it.each<[string, Demonstration[], number]>([
    ['one looked on at', [shown('2026-05-01', 'saw-it')], 0],
    ['one with help: a third of the level, none of the times', [shown('2026-05-01', 'helped')], 0.17],
    ['one alone of three', [shown('2026-05-01', 'alone')], 0.67],
    ['two alone of three', [shown('2026-05-01', 'alone'), shown('2026-05-02', 'alone')], 0.83],
    ['three alone at one hive', [1, 2, 3].map((day) => shown(`2026-05-0${day}`, 'alone')), 0.95],
    ['one better than asked', [shown('2026-05-01', 'can-teach')], 0.67],
    [
      'a good day, then three with help',
      [shown('2026-04-01', 'alone'), ...[1, 2, 3].map((day) => shown(`2026-05-0${day}`, 'helped'))],
      0.33,
    ],
  ])('%s is so much of the way', (_, evidence, progress) => {
    const standing = eggs(evidence);
    expect(standing.state).toBe('in-progress');
    expect(standing.progress).toBeCloseTo(progress, 1);
  });

  it('tells the level by the last three showings', () => {
    const helped = [1, 2, 3].map((day) => shown(`2026-05-0${day}`, 'helped'));
    expect(eggs([shown('2026-04-01', 'alone'), ...helped]).level).toBe('helped');
    expect(eggs([shown('2026-04-01', 'alone'), ...helped.slice(1)]).level).toBe('alone');
  });

  it('puts two judgements of one moment in one order, whichever came first', () => {
    const at = '2026-05-09T12:00:00.000Z';
    const two = [
      { ...shown('2026-05-09', 'helped'), id: 'a', at },
      { ...shown('2026-05-09', 'alone'), id: 'b', at },
    ];
    const list = [...three.slice(0, 2), ...two];
    expect(eggs(list)).toEqual(eggs([...list].reverse()));
    expect(eggs(list).counted.at(-1)).toBe('b');
  });

  it('holds readings as far off as is allowed', () => {
    const readingsOff = (off: number) => ({ readingsOff: () => off });
    expect(eggs(three, { within: 1 }, readingsOff(1)).state).toBe('shown');
    expect(eggs(three, { within: 1 }, readingsOff(1.01)).state).toBe('in-progress');
  });

  it('says what it is in words', () => {
    expect(standingText(eggs([]), RULE, way)).toBe('not met: alone 3 times');
    expect(standingText(eggs(three.slice(0, 2)), RULE, way)).toBe('in progress: alone once more');
    expect(standingText(eggs(three), RULE, way)).toBe('shown, until 9 May 2027');
    expect(missingText({ what: 'colonies', have: 1, need: 3 }, RULE, way)).toBe('at 2 more colonies');
    expect(missingText({ what: 'days', have: 1, need: 2 }, RULE, way)).toBe('on another day');
    expect(missingText({ what: 'assessors', have: 0, need: 1 }, RULE, way)).toBe('');
    expect(standingText(eggs([shown('2026-05-10', 'helped')]), RULE, way)).toBe(
      'in progress: alone 3 more times, on 2 days, at 2 colonies',
    );
    expect(missingText({ what: 'readings', off: 1.62, allowed: 1 }, RULE, way)).toBe(
      'hidden readings within 1 eighth, now 1.6 off',
    );
    expect(missingText({ what: 'again', why: 'faded' }, RULE, way)).toBe('faded: alone once more');
    expect(ruleText({ ...RULE, lead: true, within: 1 }, way)).toBe(
      'Alone three times, on 2 days, at 2 colonies, once before a lead instructor, hidden readings within 1 eighth on the mean; one may come from practice. Holds 12 months.',
    );
  });
});

describe('standings of any evidence (properties)', () => {
  const any = fc
    .record({
      day: fc.integer({ min: -500, max: 0 }).map((days) => addDays(TODAY, days)),
      level: fc.constantFrom(...SKILL_LEVELS),
      source: fc.constantFrom(...EVIDENCE_SOURCES),
      colony: fc.constantFrom('hive 4', 'hive 6', 'hive 9'),
      assessor: fc.constantFrom('ruth', 'tomasz', null),
      lead: fc.boolean(),
    })
    .map(({ day, level, ...more }) => shown(day, level, more));
  const some = fc.array(any, { maxLength: 12 });
  const rank = (state: (typeof STANDING_STATES)[number]) =>
    state === 'due-again' ? 1 : STANDING_STATES.indexOf(state);

  it('do not depend on the order in which judgements arrive', () => {
    fc.assert(
      fc.property(some, fc.infiniteStream(fc.nat()), (evidence, keys) => {
        const order = evidence.map((each) => ({ each, key: keys.next().value as number }));
        const shuffled = order.toSorted((a, b) => a.key - b.key).map(({ each }) => each);
        expect(eggs(shuffled)).toEqual(eggs(evidence));
      }),
    );
  });

  it('never get worse by one more showing at the level that is asked for', () => {
    fc.assert(
      fc.property(some, (evidence) => {
        const more = [...evidence, shown(TODAY, 'alone', { colony: 'hive 9', assessor: 'marit' })];
        expect(rank(eggs(more).state)).toBeGreaterThanOrEqual(rank(eggs(evidence).state));
      }),
    );
  });

  it('say nothing is missing exactly when the skill is held', () => {
    fc.assert(
      fc.property(some, (evidence) => {
        const standing = eggs(evidence);
        if (standing.state === 'not-met') expect(standing.counted).toEqual([]);
        else expect(standing.missing.length === 0).toBe(!isOpen(standing));
        expect(standing.progress).toBeGreaterThanOrEqual(0);
        expect(standing.progress === 1).toBe(!isOpen(standing));
      }),
    );
  });

  it('of practice alone never hold a skill of the default list', () => {
    fc.assert(
      fc.property(fc.constantFrom(...DEFAULT_CHECKLIST.skills), fc.integer({ min: 1, max: 8 }), ({ id }, times) => {
        const drills = Array.from({ length: times }, (_, at) =>
          shown(addDays(TODAY, -at), 'can-teach', { skill: id, source: 'practice' }),
        );
        expect(isOpen(standings(drills)('salma', id))).toBe(true);
      }),
    );
  });

  it('take a withdrawn judgement as if it had never been made, and the latest word of several', () => {
    fc.assert(
      fc.property(fc.array(any, { minLength: 1, maxLength: 8 }), fc.nat(), (evidence, pick) => {
        const { id } = evidence[pick % evidence.length]!;
        const word = (level: 'helped' | null, at: string) => ({
          demonstration: id,
          level,
          at,
          by: 'morag',
          reason: 'x',
        });
        const [early, late] = [word('helped', '2026-05-14T10:00:00Z'), word(null, '2026-05-14T11:00:00Z')];
        expect(corrected(evidence, [late, early])).toEqual(evidence.filter((each) => each.id !== id));
        expect(corrected(evidence, [early]).find((each) => each.id === id)?.level).toBe('helped');
      }),
    );
  });
});

describe('a term of a season', () => {
  it('always ends on the eve of the turn, within a year of the last showing (property)', () => {
    const turns = fc.constantFrom('12-21', '06-21', '01-01', '03-01');
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 1200 }), turns, (days, turn) => {
        const day = addDays('2023-01-01', days);
        const { until } = eggs(
          [shown(day, 'alone')],
          { months: 'season', times: 1, days: 1, colonies: 1 },
          { today: day, now: `${day}T20:00:00.000Z`, turn },
        );
        expect(addDays(until!, 1).slice(5)).toBe(turn);
        expect(until! >= day).toBe(true);
        expect(until! < addDays(day, 366)).toBe(true);
      }),
    );
  });
});

describe('forgetting', () => {
  it('keeps a fixed term, or lets it grow with the days on which it was shown', () => {
    const growing = { school: 'growing-term', growth: 1.5, most: 24 } as const;
    expect(termOf(12, 3, { school: 'fixed-term' })).toBe(12);
    expect([1, 2, 3].map((days) => termOf(12, days, growing))).toEqual([12, 18, 24]);
    expect(termOf(36, 2, growing)).toBe(36);
    expect(termOf(null, 2, growing)).toBeNull();
    expect(termOf('season', 5, growing)).toBe('season');
    const often = [...three, shown('2026-05-12', 'alone'), shown('2026-05-13', 'alone')];
    expect(eggs(often, {}, { forgetting: growing }).until! > eggs(often).until!).toBe(true);
  });
});

describe('a defensive colony', () => {
  it('is one by its last visits or by this one, whichever is worse', () => {
    expect([1, 2, 3, 4, 5].map((mood) => isDefensive(mood))).toEqual([false, false, true, true, true]);
    expect(isDefensive(2, 4)).toBe(true);
    expect(isDefensive(4, 1)).toBe(true);
    expect(isDefensive(null, 2)).toBe(false);
    expect(isDefensive(null)).toBe(false);
  });
});

describe('gates', () => {
  const held = (skill: string) =>
    ['2026-04-20', '2026-04-28', '2026-05-05'].map((day, at) => shown(day, 'alone', { skill, colony: `hive ${at}` }));
  const gate = ['lights-smoker', 'smokes-in-order', 'veil-checked', 'eases-off'];

  it('bar frames of a defensive colony until smoke, veil and “bees are getting upset” are held', () => {
    const names = (evidence: readonly Demonstration[], temper: number | null) =>
      gateSkills(DEFAULT_CHECKLIST, standings(evidence), 'salma', temper).map(({ id }) => id);
    expect(names([], 4).toSorted()).toEqual(gate.toSorted());
    expect(names(gate.slice(1).flatMap(held), 4)).toEqual(['lights-smoker']);
    expect(names(gate.flatMap(held), 5)).toEqual([]);
    expect(names([], 2)).toEqual([]);
    expect(names([], null)).toEqual([]);
  });
});

describe('a new version of the list', () => {
  const before = standings(three, { checklist: withRule({}) });
  const changes = (rule: Partial<EvidenceRule>, signOffs: Parameters<typeof standings>[1] = {}) => {
    const next = withRule(rule);
    return standingChanges(next, before, standings(three, { checklist: next, ...signOffs }), ['salma', 'jun']);
  };

  it('is shown beforehand with what it changes for whom', () => {
    expect(changes({})).toEqual([]);
    const stricter = changes({ times: 5 });
    expect(stricter).toHaveLength(1);
    expect(stricter[0]).toMatchObject({ trainee: 'salma', skill: 'finds-eggs', before: { state: 'shown' } });
    expect(stepsBack(stricter[0]!)).toBe(true);
  });

  it('takes nothing away from those whose standing is carried over', () => {
    const carried = { trainee: 'salma', skill: 'finds-eggs', day: TODAY, kind: 'carried' } as const;
    expect(changes({ times: 5 }, { signOffs: [carried] })).toEqual([]);
  });

  it('compares a skill with the ones that it took the place of', () => {
    const renamed = listWith('finds-eggs', { id: 'sees-eggs', from: ['finds-eggs'], rule: RULE });
    const kept = standingChanges(renamed, before, standings(three, { checklist: renamed }), ['salma']);
    expect(kept).toEqual([]);
    const lost = listWith('finds-eggs', { id: 'sees-eggs', rule: RULE });
    const gone = standingChanges(lost, before, standings(three, { checklist: lost }), ['salma']);
    expect(gone).toEqual([]);
  });
});
