import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { queenTimetable } from '../src/biology';
import {
  type CalendarFacts,
  type ColonyEvent,
  DEFAULT_CALENDAR,
  NEW_COLONIES,
  colonyCalendar as colonyCalendarInCodes,
  loadOf,
  newColonyPlan as newColonyPlanInCodes,
  openFrom,
} from '../src/care';
import type { Phase, PhaseSpan } from '../src/season';
import { addDays, daysBetween } from '../src/units';
import { answersInEnglish } from './in-english';

const colonyCalendar = answersInEnglish(colonyCalendarInCodes);
const newColonyPlan = answersInEnglish(newColonyPlanInCodes);

const spans = (...rows: readonly [Phase, string, string, boolean?][]): readonly PhaseSpan[] =>
  rows.map(([phase, from, to, swarms = false]) => ({
    phase,
    from,
    to,
    swarming: swarms ? { from, to } : null,
    reasons: [],
  }));
const YEAR = spans(
  ['winter-rest', '2025-12-21', '2026-02-01'],
  ['first-brood', '2026-02-02', '2026-03-20'],
  ['build-up', '2026-03-21', '2026-04-30'],
  ['swarm-season', '2026-05-01', '2026-06-20', true],
  ['flow', '2026-06-21', '2026-08-10'],
  ['making-winter-bees', '2026-08-11', '2026-10-10'],
  ['closing-down', '2026-10-11', '2026-10-31'],
  ['winter-rest', '2026-11-01', '2026-12-20'],
);
const facts: CalendarFacts = {
  today: '2026-05-14',
  phases: YEAR,
  forage: [],
  days: [],
  matingDays: [],
  colonyClass: 'teaching',
  framesOfBees: 10,
  openings: [{ date: '2026-05-10', minutes: 20, stings: 0, deep: true }],
  followUps: [],
  supers: [],
  events: [],
  practice: DEFAULT_CALENDAR,
};
const due = (more: Partial<CalendarFacts>, id: string) =>
  colonyCalendar({ ...facts, ...more }).dues.find((each) => `${each.id}:`.startsWith(`${id}:`));
const events = (...list: readonly ColonyEvent[]) => ({ events: list });

describe('queen timetable', () => {
  it('of a walk-away split of 10 May: emerges about 22 May, eggs 1 to 10 June, left alone meanwhile', () => {
    const plan = queenTimetable('queen-lost', '2026-05-10', []);
    expect(plan.emerges).toEqual({ from: '2026-05-20', to: '2026-05-23' });
    expect(plan.laying.from >= '2026-05-27' && plan.laying.from <= '2026-06-01').toBe(true);
    expect(plan.laying.to <= '2026-06-10').toBe(true);
    expect(daysBetween(plan.alone.from, '2026-05-21')).toBeGreaterThanOrEqual(0);
    expect(plan.worry > plan.laying.to).toBe(true);
  });

  it('of a cell seen sealed: it may be sealed since today or about to open, so rest begins at once', () => {
    const plan = queenTimetable('cell-sealed', '2026-05-14', []);
    expect(plan.emerges).toEqual({ from: '2026-05-14', to: '2026-05-22' });
    expect(plan.alone.from).toBe('2026-05-14');
  });

  it('of a cell with a larva: a day old or about to be sealed, 7.5 to 13 days', () => {
    expect(queenTimetable('cell-with-larva', '2026-05-14', []).emerges).toEqual({
      from: '2026-05-21',
      to: '2026-05-27',
    });
  });

  it('of a queen lost: rest lasts until the one that emerges last has flown', () => {
    const fine = Array.from({ length: 60 }, (_, day) => ({ date: addDays('2026-05-10', day), fit: 1 }));
    const { alone } = queenTimetable('queen-lost', '2026-05-10', fine);
    // Out on 23 May at the latest, she flies from 28 May on and is safe after 31 May.
    expect(alone.to >= '2026-05-31').toBe(true);
    expect(alone.to <= '2026-06-06').toBe(true);
  });

  it('gives one last day for one loss: a split without a queen and a queen lost, day 33 to 36', () => {
    const fine = Array.from({ length: 60 }, (_, day) => ({ date: addDays('2026-05-10', day), fit: 1 }));
    const worry = (...list: readonly ColonyEvent[]) => {
      const { dues } = colonyCalendar({ ...facts, ...events(...list), matingDays: fine });
      const found = dues.filter(({ title }) => /No eggs yet|Worry/.test(title));
      expect(found).toHaveLength(1);
      return found.map(({ from, due: last }) => [daysBetween('2026-05-10', from), daysBetween('2026-05-10', last)]);
    };
    expect(worry({ kind: 'hived', as: 'split-without-a-queen', date: '2026-05-10' })).toEqual([[33, 36]]);
    expect(worry({ kind: 'queen', start: 'queen-lost', date: '2026-05-10' })).toEqual([[33, 36]]);
  });

  it('is put off by days that are not fit for mating', () => {
    const weather = (fit: number) =>
      Array.from({ length: 40 }, (_, day) => ({ date: addDays('2026-05-10', day), fit }));
    const fine = queenTimetable('queen-lost', '2026-05-10', weather(1));
    const foul = queenTimetable('queen-lost', '2026-05-10', weather(0.1));
    expect(daysBetween(fine.laying.to, foul.laying.to)).toBeGreaterThan(8);
    expect(daysBetween(foul.worry, foul.laying.to)).toBeLessThan(0);
  });

  it('keeps its order whatever the weather', () => {
    fc.assert(
      fc.property(fc.array(fc.double({ min: 0, max: 1, noNaN: true }), { maxLength: 40 }), (fitness) => {
        const days = fitness.map((fit, day) => ({ date: addDays('2026-05-10', day), fit }));
        for (const start of [
          'cell-sealed',
          'cell-with-larva',
          'queen-lost',
          'virgin-emerged',
          'cell-put-in',
        ] as const) {
          const plan = queenTimetable(start, '2026-05-10', days);
          const order = [plan.emerges!.from, plan.mature!, plan.mating!.to, plan.laying.to, plan.worry];
          expect([...order].sort()).toEqual(order);
        }
      }),
    );
  });
});

describe('ordinary looks', () => {
  it('come every seven days while cells must be caught', () => {
    expect(due({}, 'ordinary')).toMatchObject({ title: 'Look for queen cells', due: '2026-05-17', strict: 'must' });
  });

  it('come by the other school every 10 to 15 days, and seldom where nothing is asked', () => {
    const july = { today: '2026-07-01', openings: [{ date: '2026-06-25', minutes: 15, stings: 0, deep: true }] };
    expect(due(july, 'ordinary')).toMatchObject({ from: '2026-07-05', due: '2026-07-10', strict: 'should' });
    expect(due({ ...july, colonyClass: 'resting' }, 'ordinary')?.due).toBe('2026-07-25');
    const own = { ...DEFAULT_CALENDAR, intervals: { flow: [6, 7] as const } };
    expect(due({ ...july, practice: own }, 'ordinary')?.due).toBe('2026-07-02');
  });

  it('wait for spring in winter', () => {
    expect(due({ today: '2026-01-10' }, 'ordinary')).toMatchObject({
      title: 'First look of the year',
      from: '2026-02-02',
      strict: 'may',
    });
    expect(due({ today: '2026-11-20' }, 'ordinary')).toBeUndefined();
  });

  it('count winter as no delay: last opened in October, the first look is due in spring', () => {
    const autumn = [{ date: '2025-10-20', minutes: 20, stings: 0, deep: true }];
    expect(due({ today: '2026-02-26', openings: autumn }, 'ordinary')).toMatchObject({
      title: 'First look of the year',
      from: '2026-02-02',
      due: '2026-04-04',
    });
    const seen = [...autumn, { date: '2026-04-01', minutes: 20, stings: 0, deep: true }];
    expect(due({ today: '2026-04-10', openings: seen }, 'ordinary')?.title).toBe('Ordinary look');
  });

  it('look for cells on the days on which swarms may leave, not through the whole flow', () => {
    const flow: PhaseSpan = {
      phase: 'flow',
      from: '2026-06-11',
      to: '2026-09-04',
      swarming: { from: '2026-06-11', to: '2026-07-05' },
      reasons: [],
    };
    const last = (date: string) => [{ date, minutes: 10, stings: 0, deep: true }];
    const at = (today: string, opened: string) => due({ phases: [flow], today, openings: last(opened) }, 'ordinary');
    expect(at('2026-06-20', '2026-06-15')).toMatchObject({ title: 'Look for queen cells', strict: 'must' });
    expect(at('2026-08-25', '2026-08-20')).toMatchObject({ title: 'Ordinary look', strict: 'should' });
  });

  it('questions grow old, repairs do not, and nothing old is asked nine months later', () => {
    const question = {
      id: 'a',
      question: 'Swarm cells?',
      from: '2026-05-16',
      due: '2026-05-18',
      bring: null,
      about: null,
      stays: false,
    };
    const repair = { ...question, id: 'b', question: 'Mend the floor', stays: true };
    const all = [
      { kind: 'feed', what: 'thin-syrup', kg: 2, date: '2026-05-10' },
      { kind: 'super-on', holdsKg: 14, date: '2026-05-10' },
      { kind: 'queen', start: 'cell-sealed', date: '2026-05-10' },
      { kind: 'drone-comb-in', date: '2026-05-10' },
      { kind: 'brood-stopped', date: '2026-05-10' },
      { kind: 'hived', as: 'swarm', date: '2026-05-01' },
    ] as const satisfies readonly ColonyEvent[];
    const later = colonyCalendar({
      ...facts,
      today: '2027-02-26',
      phases: spans(['winter-rest', '2026-12-21', '2027-02-01'], ['first-brood', '2027-02-02', '2027-03-20']),
      followUps: [question, repair],
      ...events(...all),
    });
    expect(later.dues.map(({ title }) => title)).toEqual(['Mend the floor', 'First look of the year']);
    expect(later.lapsed.map(({ title }) => title)).toContain('Swarm cells?');
    expect(colonyCalendar({ ...facts, followUps: [question] }).dues.map(({ title }) => title)).toContain(
      'Swarm cells?',
    );
  });

  it('keep their names while they are the same task, whatever else is done or logged', () => {
    const hived = { kind: 'hived', as: 'package', date: '2026-05-01' } as const;
    const names = (openings: CalendarFacts['openings'], more: readonly ColonyEvent[] = []) =>
      new Map(
        colonyCalendar({ ...facts, today: '2026-05-10', openings, ...events(hived, ...more) }).dues.map(
          ({ id, title }) => [title, id],
        ),
      );
    const before = names([]);
    const after = names(
      [{ date: '2026-05-05', minutes: 5, stings: 0, deep: false }],
      [{ kind: 'drone-comb-in', date: '2026-05-06' }],
    );
    for (const title of ['First full check', 'Second brood box', 'First super'])
      expect(after.get(title)).toBe(before.get(title));
    expect(before.get('Feeder and cage: lid only')).toBeDefined();
    expect(after.get('Feeder and cage: lid only')).toBeUndefined();
  });

  it('do not fall into a stretch in which the colony must be left alone', () => {
    const openings = ['2026-04-28', '2026-05-02', '2026-05-05', '2026-05-08'].map((date) => ({
      date,
      minutes: 10,
      stings: 0,
      deep: true,
    }));
    const { dues, rests } = colonyCalendar({ ...facts, openings });
    const alone = rests.find((rest) => rest.strict === 'must')!;
    const ordinary = dues.find((each) => each.id.startsWith('ordinary:'))!;
    expect(daysBetween(alone.to, ordinary.from)).toBeGreaterThan(0);
    expect(daysBetween(ordinary.from, ordinary.due)).toBeGreaterThanOrEqual(0);
  });

  it('give way to the timetable of a queen in the making, and a follow-up within it is told to clash', () => {
    const queen = events({ kind: 'queen', start: 'cell-sealed', date: '2026-05-13' });
    expect(due(queen, 'ordinary')).toBeUndefined();
    const followUps = [
      { id: 'room', question: 'Room?', from: '2026-05-20', due: '2026-05-22', bring: null, about: null, stays: false },
    ];
    expect(due({ ...queen, followUps }, 'follow-up:room')?.clash).toMatch(/young queen.*until/);
    expect(due({ followUps }, 'follow-up:room')?.clash).toBeNull();
  });
});

describe('rest and load', () => {
  it('rests after frames came out, not after a look from outside', () => {
    expect(colonyCalendar(facts).openFrom).toBe('2026-05-15');
    const outside = { ...facts, openings: [{ date: '2026-05-13', minutes: 5, stings: 0, deep: false }] };
    expect(colonyCalendar(outside).openFrom).toBe('2026-05-14');
  });

  it('closes a hive that has had enough of teaching, until the oldest opening is thirty days old', () => {
    const openings = ['2026-04-20', '2026-04-28', '2026-05-05', '2026-05-12'].map((date) => ({
      date,
      minutes: 20,
      stings: 1,
      deep: true,
    }));
    const calendar = colonyCalendar({ ...facts, openings });
    expect(calendar.load).toMatchObject({ openings: 4, minutes: 80, stings: 4, over: ['openings'] });
    expect(calendar.openFrom).toBe('2026-05-20');
    expect(calendar.rests.find((rest) => rest.strict === 'must')?.why).toMatch(/4 openings, 80 minutes/);
  });

  it('counts openings of thirty days only', () => {
    const openings = [{ date: '2026-04-14', minutes: 200, stings: 9, deep: true }];
    expect(loadOf(openings, '2026-05-14', DEFAULT_CALENDAR.load)).toMatchObject({ openings: 0, over: [] });
    expect(loadOf(openings, '2026-05-13', DEFAULT_CALENDAR.load).over).toEqual(['minutes']);
  });

  it('finds the first free day past rests that touch and overlap', () => {
    const rests = [
      { from: '2026-05-14', to: '2026-05-16' },
      { from: '2026-05-16', to: '2026-05-20' },
      { from: '2026-05-21', to: '2026-05-21' },
    ];
    expect(openFrom('2026-05-14', rests)).toBe('2026-05-22');
    expect(openFrom('2026-05-13', rests)).toBe('2026-05-13');
  });
});

describe('dates that events set', () => {
  it('a queen: is she laying, and when to worry; eggs seen end it', () => {
    const start = { kind: 'queen', start: 'queen-lost', date: '2026-05-10' } as const;
    expect(due(events(start), 'queen-worry')).toMatchObject({ strict: 'must' });
    expect(due(events(start), 'queen-eggs')!.from > '2026-05-24').toBe(true);
    expect(due(events(start, { kind: 'eggs-seen', date: '2026-06-02' }), 'queen-worry')).toBeUndefined();
    // Eggs of the queen that was lost are no eggs of her daughter.
    expect(due(events(start, { kind: 'eggs-seen', date: '2026-05-12' }), 'queen-worry')).toMatchObject({
      strict: 'must',
    });
  });

  it('drone comb: out before day 24 from the egg, at the latest', () => {
    const comb = due(events({ kind: 'drone-comb-in', date: '2026-05-01' }), 'drone-comb')!;
    expect(comb).toMatchObject({ due: '2026-05-24', strict: 'must' });
    expect(
      due(
        events({ kind: 'drone-comb-in', date: '2026-05-01' }, { kind: 'drone-comb-out', date: '2026-05-20' }),
        'drone-comb',
      ),
    ).toBeUndefined();
  });

  it('a treatment: repeat, removal, end of withdrawal, and a count after it, all by the label', () => {
    const strips = {
      kind: 'treatment',
      medicine: 'thymol gel',
      date: '2026-05-01',
      repeatAfter: 14,
      doses: 2,
      removeAfter: 28,
      withdrawal: 7,
    } as const;
    expect(due(events(strips), 'treatment-repeat')).toMatchObject({
      title: 'thymol gel: dose 2 of 2',
      from: '2026-05-14',
      due: '2026-05-16',
    });
    const warm = [14, 20, 26].map((high, day) => ({ date: addDays('2026-05-14', day), low: 8, high, rain: 0 }));
    expect(due({ ...events(strips), days: warm }, 'treatment-repeat')?.why).toMatch(/reach 14 to 26 °C.*label/);
    expect(due(events(strips), 'treatment-out')?.from).toBe('2026-06-12');
    const second = { ...strips, date: '2026-05-15' } as const;
    const both = { ...events(strips, second), today: '2026-05-20' };
    expect(due(both, 'treatment-repeat')).toBeUndefined();
    expect(due(both, 'treatment-out')?.from).toBe('2026-06-12');
    expect(due(both, 'withdrawal')?.due).toBe('2026-06-19');
    expect(
      due(
        { ...events(strips, second, { kind: 'treatment-out', date: '2026-06-10' }), today: '2026-06-12' },
        'withdrawal',
      )?.due,
    ).toBe('2026-06-17');
    expect(due(both, 'mites-after')?.from).toBe('2026-06-19');
  });

  it('feed and patty: half a kilogram of patty is gone in a week from a brimming deep, slower from few bees', () => {
    const patty = events({ kind: 'patty', kg: 0.45, date: '2026-05-10' });
    expect(due(patty, 'patty')?.due).toBe('2026-05-20');
    expect(due({ ...patty, framesOfBees: 4 }, 'patty')!.due > '2026-05-22').toBe(true);
    const syrup = events({ kind: 'feed', what: 'thin-syrup', kg: 5, date: '2026-05-12' });
    expect(due(syrup, 'feed')?.due).toBe('2026-05-19');
    expect(due(syrup, 'feed')?.why).toMatch(/three to four days/);
    const thick = events({ kind: 'feed', what: 'thick-syrup', kg: 5, date: '2026-05-12' });
    expect(due(thick, 'feed')?.why).toMatch(/keeps for weeks/);
    expect(
      due(
        events(
          { kind: 'feed', what: 'thin-syrup', kg: 5, date: '2026-05-12' },
          { kind: 'feeder-empty', date: '2026-05-15' },
        ),
        'feed',
      ),
    ).toBeUndefined();
  });

  it('a super: full in one to two weeks of a strong flow, and not at all without one', () => {
    const on = events({ kind: 'super-on', holdsKg: 14, date: '2026-05-10' });
    const forage = [
      { plant: 'Sycamore', nectar: 4, pollen: 2, from: '2026-05-01', to: '2026-06-10', giveOrTake: 2 },
      { plant: 'Rape', nectar: 4, pollen: 4, from: '2026-05-01', to: '2026-06-10', giveOrTake: 2 },
    ];
    const fine = Array.from({ length: 40 }, (_, day) => ({
      date: addDays('2026-05-01', day),
      low: 9,
      high: 20,
      rain: 0,
    }));
    const full = due({ ...on, forage, days: fine, framesOfBees: 14 }, 'super-full')!;
    const days = daysBetween('2026-05-10', full.due) - 3;
    expect(days).toBeGreaterThanOrEqual(7);
    expect(days).toBeLessThanOrEqual(14);
    expect(due(on, 'super-full')).toBeUndefined();
  });

  it('a super put on inside a withdrawal: a warning at once, and nobody asks whether it is full', () => {
    const dust = {
      kind: 'treatment',
      medicine: 'oxytetracycline dust',
      doses: 1,
      repeatAfter: null,
      removeAfter: null,
    } as const;
    const inside = {
      ...events({ ...dust, date: '2026-05-01', withdrawal: 28 }, { kind: 'super-on', holdsKg: 14, date: '2026-05-15' }),
      today: '2026-05-15',
      supers: [{ name: 'super 1', since: '2026-05-15' }],
    };
    expect(due(inside, 'super-inside-withdrawal')).toMatchObject({ strict: 'must', due: '2026-05-15' });
    expect(due(inside, 'super-full')).toBeUndefined();
    expect(colonyCalendar({ ...facts, ...inside }).honey).toMatchObject({
      superOnFrom: '2026-05-29',
      locked: [{ name: 'super 1' }],
    });
  });

  it('a suspicion: look or ask within the week, and the inspector decides', () => {
    expect(due(events({ kind: 'suspicion', of: 'foulbrood', date: '2026-05-12' }), 'disease')?.why).toMatch(
      /inspector/,
    );
    expect(
      due(
        events(
          { kind: 'suspicion', of: 'foulbrood', date: '2026-05-12' },
          { kind: 'suspicion-settled', date: '2026-05-13' },
        ),
        'disease',
      ),
    ).toBeUndefined();
  });

  it('brood stopped: no sealed worker brood from day 21', () => {
    expect(due(events({ kind: 'brood-stopped', date: '2026-05-01' }), 'brood-free')).toMatchObject({
      from: '2026-05-22',
      due: '2026-05-28',
    });
  });
});

describe('new colonies', () => {
  it('a package: first check about week 3, second body at week 3, super at week 7', () => {
    const { steps, alone } = newColonyPlan('package', '2026-04-20');
    expect(steps.map(({ title, from }) => [title, daysBetween('2026-04-20', from)])).toEqual([
      ['Feeder and cage: lid only', 3],
      ['First full check', 19],
      ['Second brood box', 21],
      ['First super', 47],
    ]);
    expect(alone[0]).toMatchObject({ from: '2026-04-25', to: '2026-05-08' });
  });

  it('a swarm: peek at day 3 to 4, full check about three weeks', () => {
    const { steps } = newColonyPlan('swarm', '2026-05-10');
    expect(steps[0]).toMatchObject({ from: '2026-05-13', due: '2026-05-14' });
    expect(steps.at(-1)).toMatchObject({ due: '2026-06-02', strict: 'must' });
  });

  it('never asks for a look while it says leave them alone', () => {
    for (const kind of NEW_COLONIES) {
      const { steps, alone } = newColonyPlan(kind, '2026-05-10');
      for (const step of steps.filter(({ title }) => !title.startsWith('Room')))
        for (const rest of alone)
          expect(
            daysBetween(step.from, rest.from) > 0 || daysBetween(rest.to, step.due) > 0,
            `${kind}: ${step.title}`,
          ).toBe(true);
    }
  });

  it('shows on the calendar until its steps are done', () => {
    const hived = events({ kind: 'hived', as: 'swarm', date: '2026-05-10' });
    expect(due({ ...hived, openings: [] }, 'new-eggs')?.why).toMatch(/Swarm of 10 May, day 3/);
    const later = {
      ...hived,
      today: '2026-06-05',
      openings: [{ date: '2026-06-01', minutes: 20, stings: 0, deep: true }],
    };
    expect(colonyCalendar({ ...facts, ...later }).dues.filter((each) => each.id.startsWith('new-'))).toEqual([]);
  });
});
