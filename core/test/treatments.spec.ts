import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { type ColonyEvent, boundBy, coursesOf, honeyLock as honeyLockInCodes } from '../src/care';
import { addDays } from '../src/units';
import { answersInEnglish } from './in-english';

const honeyLock = answersInEnglish(honeyLockInCodes);

const given = (
  medicine: string,
  date: string,
  label: Partial<Extract<ColonyEvent, { kind: 'treatment' }>> = {},
): ColonyEvent => ({
  kind: 'treatment',
  medicine,
  date,
  doses: 1,
  repeatAfter: null,
  removeAfter: null,
  withdrawal: 0,
  ...label,
});
const strips = given('amitraz strips', '2026-07-01', { removeAfter: 42, withdrawal: 30 });
const trickle = given('oxalic acid trickle', '2026-07-20');
const powder = (date: string) => given('oxytetracycline dust', date, { doses: 3, repeatAfter: 5, withdrawal: 28 });
const out = (date: string, medicine?: string): ColonyEvent => ({ kind: 'treatment-out', date, medicine });

type Expected = Readonly<Record<string, { end: string; free: string | null; next?: string | null; out?: boolean }>>;
/** What was logged, the day on which it is asked, and what is true of each medicine. Ends and waiting days reckoned by hand. */
const CASES: readonly (readonly [string, readonly ColonyEvent[], string, Expected])[] = [
  [
    'another medicine later leaves the strips and their 30 days as they are',
    [strips, trickle],
    '2026-07-25',
    {
      'amitraz strips': { end: '2026-08-12', free: '2026-09-11', out: true },
      'oxalic acid trickle': { end: '2026-07-20', free: '2026-07-20' },
    },
  ],
  [
    'strips out on the day',
    [strips, out('2026-08-12')],
    '2026-08-20',
    { 'amitraz strips': { end: '2026-08-12', free: '2026-09-11' } },
  ],
  [
    'strips out early: the label counts from the day they are out',
    [strips, out('2026-08-01')],
    '2026-08-20',
    { 'amitraz strips': { end: '2026-08-01', free: '2026-08-31' } },
  ],
  [
    'strips forgotten: the waiting days have not begun',
    [strips],
    '2026-09-20',
    { 'amitraz strips': { end: '2026-09-20', free: '2026-10-20', out: true } },
  ],
  [
    'one of two things that lie in the hive is taken out',
    [strips, given('thymol gel', '2026-07-10', { removeAfter: 28, withdrawal: 7 }), out('2026-08-07', 'Thymol gel')],
    '2026-08-08',
    {
      'amitraz strips': { end: '2026-08-12', free: '2026-09-11', out: true },
      'thymol gel': { end: '2026-08-07', free: '2026-08-14' },
    },
  ],
  [
    'three doses on their days',
    [powder('2026-05-01'), powder('2026-05-06'), powder('2026-05-11')],
    '2026-05-14',
    { 'oxytetracycline dust': { end: '2026-05-11', free: '2026-06-08', next: null } },
  ],
  [
    'the second dose is 8 days late and still to come: today at the soonest, the third five days after it',
    [powder('2026-05-01')],
    '2026-05-14',
    { 'oxytetracycline dust': { end: '2026-05-19', free: '2026-06-16', next: '2026-05-06' } },
  ],
  [
    'the second dose was 8 days late: everything after it moves by as much',
    [powder('2026-05-01'), powder('2026-05-14')],
    '2026-05-15',
    { 'oxytetracycline dust': { end: '2026-05-19', free: '2026-06-16', next: '2026-05-19' } },
  ],
  [
    'a fourth dose begins a second course and waits for its own second dose',
    [powder('2026-05-01'), powder('2026-05-06'), powder('2026-05-11'), powder('2026-05-20')],
    '2026-05-21',
    { 'oxytetracycline dust': { end: '2026-05-30', free: '2026-06-27', next: '2026-05-25' } },
  ],
  [
    'the same dose logged by two people is one dose',
    [powder('2026-05-01'), powder('2026-05-01')],
    '2026-05-02',
    { 'oxytetracycline dust': { end: '2026-05-11', free: '2026-06-08', next: '2026-05-06' } },
  ],
  [
    'a course that was left after its first dose is over, and counts from that dose',
    [powder('2026-05-01')],
    '2026-07-01',
    { 'oxytetracycline dust': { end: '2026-05-01', free: '2026-05-29', next: null } },
  ],
  [
    'withdrawal not entered: no day can be given',
    [given('thymol gel', '2026-07-01', { removeAfter: 28, withdrawal: null })],
    '2026-07-10',
    { 'thymol gel': { end: '2026-07-29', free: null, out: true } },
  ],
  [
    'everything was taken out: what was trickled a week before is not in the hive, and counts from its own day',
    [strips, trickle, out('2026-08-12')],
    '2026-08-20',
    {
      'amitraz strips': { end: '2026-08-12', free: '2026-09-11' },
      'oxalic acid trickle': { end: '2026-07-20', free: '2026-07-20' },
    },
  ],
  [
    'somebody says by name that the trickle is out: that day counts, the strips stay in',
    [strips, trickle, out('2026-07-24', 'oxalic acid trickle')],
    '2026-07-25',
    {
      'amitraz strips': { end: '2026-08-12', free: '2026-09-11', out: true },
      'oxalic acid trickle': { end: '2026-07-24', free: '2026-07-24' },
    },
  ],
  [
    'a course stopped between two doses is over, and no dose is asked for any more',
    [powder('2026-05-01'), out('2026-05-03')],
    '2026-05-04',
    { 'oxytetracycline dust': { end: '2026-05-03', free: '2026-05-31', next: null } },
  ],
  [
    'a dose after the course was taken out begins another',
    [out('2026-05-01'), powder('2026-05-01'), powder('2026-05-06'), out('2026-05-05', 'oxytetracycline dust')],
    '2026-05-07',
    { 'oxytetracycline dust': { end: '2026-05-16', free: '2026-06-13', next: '2026-05-11' } },
  ],
];

describe('every treatment keeps its own end and its own withdrawal', () => {
  it.each(CASES)('%s', (_name, events, today, expected) => {
    const courses = coursesOf(events, today);
    for (const [medicine, { end, free, next, out: inside = false }] of Object.entries(expected)) {
      const course = courses.findLast((each) => each.medicine === medicine)!;
      expect(course).toMatchObject({ end, freeFrom: free, toTakeOut: inside });
      if (next !== undefined) expect(course.nextDose).toBe(next);
    }
  });

  // Kept beside the cases, so that whoever changes a rule reads what it changes: `npx vitest run --project core treatments -u`.
  it('as kept, to the last day', async () => {
    const told = CASES.map(([name, events, today]) => {
      const courses = coursesOf(events, today).map(
        (each) =>
          `${each.medicine}, ${each.from}: ${each.given} of ${each.planned} doses, the last ${each.lastDose}, next ${each.nextDose ?? '-'}, until ${each.end}${each.ended ? ', ended' : ''}${each.toTakeOut ? ', to be taken out' : ''}, free from ${each.freeFrom ?? '-'}`,
      );
      const { says } = honeyLock(coursesOf(events, today), [{ name: 'super 1', since: '2026-04-01' }], today);
      return `## ${name}, ${today}\n\n${courses.join('\n')}\n${says ?? ''}\n`;
    });
    await expect(told.join('\n')).toMatchFileSnapshot('../../docs/cases/answers/courses.txt');
  });

  it('whatever else is logged, in whatever order', () => {
    const other = fc.record({
      medicine: fc.constantFrom('oxalic acid trickle', 'formic acid pad', 'thymol gel'),
      day: fc.integer({ min: -30, max: 60 }),
      withdrawal: fc.integer({ min: 0, max: 60 }),
    });
    const alone = coursesOf([strips], '2026-08-20')[0];
    fc.assert(
      fc.property(fc.array(other, { maxLength: 6 }), fc.boolean(), (others, first) => {
        const more = others.map(({ medicine, day, withdrawal }) =>
          given(medicine, addDays('2026-07-01', day), { withdrawal }),
        );
        const events = first ? [strips, ...more] : [...more, strips];
        expect(coursesOf(events, '2026-08-20').filter(({ medicine }) => medicine === 'amitraz strips')).toEqual([
          alone,
        ]);
      }),
    );
  });
});

/** Boxes on the hive and since when; the day for a new super; which boxes are locked for harvest. */
const LOCKS: readonly (readonly [
  string,
  readonly ColonyEvent[],
  readonly (readonly [string, string | null])[],
  string,
  string | null,
  readonly string[],
])[] = [
  ['no medicine', [], [['super 1', '2026-05-01']], '2026-07-01', null, []],
  [
    'inside the withdrawal a new super waits, one that stood on is locked',
    [strips, out('2026-08-12')],
    [['super 1', '2026-06-01']],
    '2026-08-20',
    '2026-09-11',
    ['super 1'],
  ],
  [
    'the withdrawal is over: a new super may go on, the old one stays locked',
    [strips, out('2026-08-12')],
    [
      ['super 1', '2026-06-01'],
      ['super 2', '2026-09-15'],
    ],
    '2026-09-20',
    null,
    ['super 1'],
  ],
  [
    'put on inside the withdrawal: locked',
    [strips, out('2026-08-12')],
    [['super 2', '2026-08-20']],
    '2026-09-20',
    null,
    ['super 2'],
  ],
  [
    'put on the day before it is free: locked; on the day itself: not',
    [strips, out('2026-08-12')],
    [
      ['super 2', '2026-09-10'],
      ['super 3', '2026-09-11'],
    ],
    '2026-09-11',
    null,
    ['super 2'],
  ],
  ['the day before it is free', [strips, out('2026-08-12')], [], '2026-09-10', '2026-09-11', []],
  [
    'put on the day on which the strips went in: it stood on during them',
    [strips, out('2026-08-12')],
    [['super 1', '2026-07-01']],
    '2026-09-20',
    null,
    ['super 1'],
  ],
  [
    'of two medicines the later day counts',
    [given('thymol gel', '2026-08-01', { removeAfter: 28, withdrawal: 60 }), trickle],
    [],
    '2026-08-02',
    '2026-10-28',
    [],
  ],
  [
    'the label allows it with supers on',
    [given('formic acid pad', '2026-07-01', { withdrawal: 0, supersAllowed: true })],
    [['super 1', '2026-06-01']],
    '2026-07-05',
    null,
    [],
  ],
  [
    'no withdrawal days, yet not allowed with supers on: what stood on is locked',
    [given('formic acid pad', '2026-07-01', { removeAfter: 7 })],
    [['super 1', '2026-06-01']],
    '2026-07-05',
    '2026-07-08',
    ['super 1'],
  ],
  [
    'nobody noted when the box came on, medicine lately',
    [strips, out('2026-08-12')],
    [['super 1', null]],
    '2026-09-20',
    null,
    ['super 1'],
  ],
  [
    'nobody noted when the box came on, medicine last year',
    [given('amitraz strips', '2025-08-01', { removeAfter: 42, withdrawal: 30 }), out('2025-09-12')],
    [['super 1', null]],
    '2026-06-20',
    null,
    [],
  ],
];

describe('honey lock', () => {
  it.each(LOCKS)('%s', (_name, events, boxes, today, superOnFrom, locked) => {
    const lock = honeyLock(
      coursesOf(events, today),
      boxes.map(([name, since]) => ({ name, since })),
      today,
    );
    expect(lock.superOnFrom).toBe(superOnFrom);
    expect(lock.locked.map(({ name }) => name)).toEqual(locked);
    if (locked.length > 0) expect(lock.says).toMatch(/Not for harvest/);
  });

  const allowed = given('formic acid pad', '2026-07-01', { removeAfter: 7, withdrawal: 20, supersAllowed: true });
  const long = given('thymol gel', '2026-07-05', { removeAfter: 28, withdrawal: 60 });
  it.each<readonly [string, readonly ColonyEvent[], string, string | null]>([
    ['the day before the first dose', [strips, out('2026-08-12')], '2026-06-30', null],
    ['the day of the first dose', [strips, out('2026-08-12')], '2026-07-01', 'amitraz strips'],
    ['the last day of the withdrawal', [strips, out('2026-08-12')], '2026-09-10', 'amitraz strips'],
    ['the day on which honey is free', [strips, out('2026-08-12')], '2026-09-11', null],
    ['of two that bind, the one that frees last', [strips, long], '2026-07-10', 'thymol gel'],
    [
      'of two that bind, begun the other way round',
      [
        given('thymol gel', '2026-06-01', { removeAfter: 28, withdrawal: 60 }),
        given('amitraz strips', '2026-07-01', { removeAfter: 42, withdrawal: 200 }),
      ],
      '2026-07-10',
      'amitraz strips',
    ],
    ['one that the label allows with supers on', [allowed], '2026-07-03', null],
    [
      'a year after a medicine of which nobody entered the days, less one',
      [given('thymol gel', '2026-07-01', { withdrawal: null })],
      '2027-06-30',
      'thymol gel',
    ],
    ['a year after it', [given('thymol gel', '2026-07-01', { withdrawal: null })], '2027-07-01', null],
  ])('binds honey: %s', (_name, events, date, medicine) => {
    expect(boundBy(coursesOf(events, '2026-09-20'), date)?.medicine ?? null).toBe(medicine);
  });

  it('names days of another year with their year', () => {
    const { says, locked } = honeyLock(
      coursesOf(
        [given('amitraz strips', '2025-11-20', { removeAfter: 42, withdrawal: 90 }), out('2026-01-05')],
        '2026-02-10',
      ),
      [{ name: 'super 1', since: '2025-08-01' }],
      '2026-02-10',
    );
    expect(locked[0]!.why).toBe('stood on during amitraz strips of 20 Nov 2025');
    expect(says).toContain('may go on from 5 Apr.');
  });

  it('says that the withdrawal is missing', () => {
    const lock = honeyLock(
      coursesOf([given('thymol gel', '2026-07-01', { withdrawal: null })], '2026-07-10'),
      [],
      '2026-07-10',
    );
    expect(lock).toMatchObject({ superOnFrom: null, unknown: ['thymol gel'] });
    expect(lock.says).toMatch(/from the label/);
  });
});
