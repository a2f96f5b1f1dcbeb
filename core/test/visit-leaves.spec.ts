import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  type StackChange,
  changeText as saidChangeText,
  stackAfter,
  stackProblem as saidStackProblem,
} from '../src/equipment';
import {
  DEFECT_IDS,
  EMPTY_LOOK,
  type EntryBody,
  REACTIONS,
  REPAIR_BY,
  STRAY_CAUSES,
  STRAY_CONTENTS,
  STRAY_PLACES,
  type VisitEntry,
  changesOf,
  closingTasks as closingTasksInCodes,
  combsShort,
  entryText as entryTextInCodes,
  likelyCause,
  parseSide,
  recordOf,
  temperOf,
  seenEnough as seenEnoughInCodes,
  stingWatches as stingWatchesInCodes,
  tasksOf as tasksOfInCodes,
  tellingSides,
  temperTrend as temperTrendInCodes,
  toldVisit as toldVisitInCodes,
} from '../src/inspection';
import { kitForHive as saidKitForHive } from '../src/planning';
import { daysBetween } from '../src/units';
import { START, STACK, entry, read } from './visit-entries';
import { answersInEnglish } from './in-english';

const stackProblem = answersInEnglish(saidStackProblem);
const changeText = answersInEnglish(saidChangeText);
const kitForHive = answersInEnglish(saidKitForHive);

const closingTasks = answersInEnglish(closingTasksInCodes);
const entryText = answersInEnglish(entryTextInCodes);
const seenEnough = answersInEnglish(seenEnoughInCodes);
const stingWatches = answersInEnglish(stingWatchesInCodes);
const tasksOf = answersInEnglish(tasksOfInCodes);
const temperTrend = answersInEnglish(temperTrendInCodes);
const toldVisit = answersInEnglish(toldVisitInCodes);

const names = (id: string) => id.toUpperCase();
const dates = { date: '2026-05-14', winter: '2026-10-03' };

describe('parts of a hive', () => {
  const superOn: StackChange = {
    do: 'add',
    on: 'super 1',
    layer: { id: 'super 2', kind: 'box', box: 'national-super', frames: 10, dummy: false },
  };

  it('come on where they are put and leave again', () => {
    const more = stackAfter(STACK, [superOn, { do: 'take', part: 'excluder' }]);
    expect(more.map(({ id }) => id)).toEqual(['floor', 'brood', 'super 1', 'super 2', 'crown board', 'roof']);
    expect(stackAfter(more, [{ do: 'take', part: 'super 2' }]).map(({ id }) => id)).not.toContain('super 2');
    expect(changeText(superOn)).toBe('super 2 put on super 1 (British National super, 10 frames)');
  });

  it.each<[string, StackChange, RegExp]>([
    ['a box of another family', { ...superOn, layer: { ...superOn.layer, box: 'dadant-super' } as never }, /own type/],
    ['more frames than it takes', { ...superOn, layer: { ...superOn.layer, frames: 14 } as never }, /takes 10 frames/],
    ['a part that is there', { do: 'add', on: 'brood', layer: { id: 'excluder', kind: 'excluder' } }, /another name/],
    ['on a part that is not', { do: 'add', on: 'super 9', layer: { id: 'rim', kind: 'spacer' } }, /no super 9/],
    ['on the roof', { do: 'add', on: 'roof', layer: { id: 'rim', kind: 'spacer' } }, /under it/],
    ['the floor away', { do: 'take', part: 'floor' }, /keeps its floor/],
    ['what is gone away', { do: 'take', part: 'super 7' }, /no super 7/],
  ])('do not change by putting %s', (_what, change, says) => {
    expect(stackProblem('national', STACK, change)).toMatch(says);
  });

  it('keep the last box', () => {
    const single = stackAfter(STACK, [{ do: 'take', part: 'super 1' }]);
    expect(stackProblem('national', single, { do: 'take', part: 'brood' })).toMatch(/last box/);
  });

  it('keep their names apart, a floor below and a roof on top, whatever is done', () => {
    const change = fc.oneof(
      fc.record({
        do: fc.constant('add' as const),
        on: fc.constantFrom(...STACK.map(({ id }) => id), 'rim', 'super 2'),
        layer: fc.constantFrom(
          { id: 'rim', kind: 'spacer' as const },
          { id: 'board', kind: 'escape' as const },
          { id: 'super 2', kind: 'box' as const, box: 'national-super' as const, frames: 9, dummy: false },
        ),
      }),
      fc.record({
        do: fc.constant('take' as const),
        part: fc.constantFrom('rim', 'board', 'super 1', 'brood', 'roof'),
      }),
    );
    fc.assert(
      fc.property(fc.array(change, { maxLength: 12 }), (wanted) => {
        let now = STACK;
        for (const each of wanted)
          if (stackProblem('national', now, each) === null) {
            const before = now.length;
            now = stackAfter(now, [each]);
            expect(now).toHaveLength(before + (each.do === 'add' ? 1 : -1));
          }
        expect(new Set(now.map(({ id }) => id)).size).toBe(now.length);
        expect([now[0]?.kind, now.at(-1)?.kind]).toEqual(['floor', 'roof']);
        expect(now.some(({ kind }) => kind === 'box')).toBe(true);
      }),
    );
  });

  it('are asked about by what they are when the hive is closed', () => {
    const board: StackChange = { do: 'add', on: 'excluder', layer: { id: 'board', kind: 'escape' } };
    const record = recordOf([
      entry({ kind: 'stack-changed', change: board, reason: 'clear the super' }),
      entry({ kind: 'part-taken-off', part: 'board' }),
      entry({ kind: 'part-put-back', part: 'board' }),
    ]);
    const asked = closingTasks(stackAfter(STACK, changesOf(record)), record).map(({ says }) => says);
    expect(asked).toContain('Escape board the right way up');
  });

  it('are not waited for at closing once they left for good', () => {
    const off = entry({ kind: 'part-taken-off', part: 'super 1' });
    const gone = entry({ kind: 'stack-changed', change: { do: 'take', part: 'super 1' }, reason: '' });
    expect(recordOf([off]).partsOff).toEqual(['super 1']);
    expect(recordOf([off, gone]).partsOff).toEqual([]);
  });
});

describe('what a visit leaves to be done', () => {
  it('is a repair by its date, with what to bring', () => {
    const gap = entry({
      kind: 'defect-noted',
      part: 'super 1',
      defect: 'gap',
      forNow: 'tape over it',
      until: 'before-winter',
    });
    expect(tasksOf(recordOf([gap]), dates)).toEqual([
      {
        key: `defect/${gap.id}`,
        what: 'Repair: gap between boxes, super 1 (for now: tape over it)',
        from: '2026-05-14',
        due: '2026-09-19',
        bring: 'tape, a box that fits',
      },
    ]);
    expect(tasksOf(recordOf([gap, entry({ kind: 'entry-undone', entry: gap.id })]), dates)).toEqual([]);
  });

  it('does not lie in the past when winter is at the door, nor nowhere when there is none', () => {
    const gap = entry({ kind: 'defect-noted', part: 'floor', defect: 'rot', forNow: '', until: 'before-winter' });
    const due = (winter: string | null) => tasksOf(recordOf([gap]), { date: '2026-05-14', winter })[0]?.due;
    expect(due('2026-05-16')).toBe('2026-05-15');
    expect(due(null)).toBe('2026-07-13');
  });

  it('mends the cause of stray comb, but blames nobody for what a visit broke', () => {
    const stray = (cause: (typeof STRAY_CAUSES)[number]) =>
      entry({
        kind: 'stray-comb-noted',
        part: 'brood',
        place: 'under-the-excluder',
        content: 'drone-brood',
        cause,
        removed: true,
      });
    expect(tasksOf(recordOf([stray('gap-too-wide')]), dates)[0]?.what).toMatch(/measure the gap/);
    expect(tasksOf(recordOf([stray('earlier-visit')]), dates)).toEqual([]);
  });

  it.each<[string, EntryBody[], RegExp, number]>([
    ['no-strap', [{ kind: 'checked', check: 'strap', ok: false, person: null }], /Strap or weight/, 2],
    [
      'mites over the limit',
      [{ kind: 'measured', measure: { what: 'mites-on-bees', method: 'alcohol-wash', bees: 300, mites: 12 } }],
      /4 mites on 100 bees.*label/,
      7,
    ],
    [
      'a thread in the matchstick test',
      [
        {
          kind: 'measured',
          measure: {
            what: 'ropiness',
            test: { lid: 'sunken', larva: 'brown', threadMm: 25, foulSmell: true },
          },
        },
      ],
      /bee inspector/,
      1,
    ],
    [
      'brood above the excluder: drones need 24 days (Winston 1987)',
      [{ kind: 'finding-noted', finding: 'brood-above', found: true, count: null, sure: null, spot: null, note: '' }],
      /out: look/,
      24,
    ],
    [
      'an entrance made narrower',
      [
        { kind: 'outside-seen', when: 'before', look: { ...EMPTY_LOOK, entrance: 'full' } },
        { kind: 'outside-seen', when: 'after', look: { ...EMPTY_LOOK, entrance: 'one-bee' } },
      ],
      /do bees find it/,
      7,
    ],
    [
      'a finding that nobody was sure of',
      [{ kind: 'finding-noted', finding: 'chalk-brood', found: true, count: 3, sure: 50, spot: null, note: '' }],
      /Look again: chalkbrood mummies, 50 %/,
      10,
    ],
  ])('follows from %s', (_what, bodies, says, days) => {
    const [task, ...more] = tasksOf(recordOf(bodies.map((body) => entry(body))), dates);
    expect(more).toEqual([]);
    expect(task?.what).toMatch(says);
    expect(daysBetween(dates.date, task!.due)).toBe(days);
  });

  it('is nothing when all is well: found sound, strapped, few mites, entrance as it was', () => {
    const well: EntryBody[] = [
      { kind: 'checked', check: 'strap', ok: true, person: null },
      { kind: 'measured', measure: { what: 'mites-on-bees', method: 'sugar-roll', bees: 300, mites: 1 } },
      { kind: 'finding-noted', finding: 'brood-above', found: false, count: null, sure: 99, spot: null, note: '' },
      { kind: 'outside-seen', when: 'before', look: { ...EMPTY_LOOK, entrance: 'half' } },
      { kind: 'outside-seen', when: 'after', look: { ...EMPTY_LOOK, entrance: 'half' } },
    ];
    expect(tasksOf(recordOf(well.map((body) => entry(body))), dates)).toEqual([]);
  });

  it('goes by the latest word on what was found', () => {
    const noted = (found: boolean): EntryBody => ({
      kind: 'finding-noted',
      finding: 'mice',
      found,
      count: null,
      sure: 60,
      spot: null,
      note: '',
    });
    const keys = (...words: boolean[]) =>
      tasksOf(recordOf(words.map((word) => entry(noted(word)))), dates).map(({ key }) => key);
    expect(keys(true)).toEqual(['unsure/mice', 'mice']);
    expect(keys(true, false)).toEqual([]);
    expect(keys(false, true)).toHaveLength(2);
  });

  it('has keys of its own and dates in order, whatever was noted', () => {
    const body = fc.oneof(
      fc.record({
        kind: fc.constant('defect-noted' as const),
        part: fc.constantFrom('brood', 'stand'),
        defect: fc.constantFrom(...DEFECT_IDS),
        forNow: fc.constantFrom('', 'taped'),
        until: fc.constantFrom(...REPAIR_BY),
      }),
      fc.record({
        kind: fc.constant('stray-comb-noted' as const),
        part: fc.constant('brood'),
        place: fc.constantFrom(...STRAY_PLACES),
        content: fc.constantFrom(...STRAY_CONTENTS),
        cause: fc.constantFrom(...STRAY_CAUSES),
        removed: fc.boolean(),
      }),
      fc.record({
        kind: fc.constant('checked' as const),
        check: fc.constantFrom('strap', 'feeder-on', 'wires-across', 'escape-up', 'spacer-out'),
        ok: fc.boolean(),
        person: fc.constant(null),
      }),
    );
    fc.assert(
      fc.property(
        fc.array(body, { maxLength: 15 }),
        fc.option(fc.constantFrom('2026-05-01', '2026-11-20')),
        (bodies, winter) => {
          const tasks = tasksOf(recordOf(bodies.map((each) => entry(each as EntryBody))), {
            date: '2026-05-14',
            winter,
          });
          expect(new Set(tasks.map(({ key }) => key)).size).toBe(tasks.length);
          for (const { from, due } of tasks) expect('2026-05-14' <= from && from <= due).toBe(true);
          expect(tasks.map(({ due }) => due)).toEqual(tasks.map(({ due }) => due).sort());
        },
      ),
    );
  });

  it('starts from the likeliest cause of each place', () => {
    expect(STRAY_PLACES.map(likelyCause)).toEqual([
      'gap-too-wide',
      'gap-too-wide',
      'empty-rim',
      'missing-frame',
      'slack-frames',
      'not-known',
      'heat-collapse',
    ]);
  });
});

describe('after a sting', () => {
  const at = (minute: number) => new Date(START + minute * 60_000).toISOString();
  const now = (minute: number) => START + minute * 60_000;
  const stung = [{ person: 'ife', at: at(0) }];

  it('somebody keeps an eye on them for half an hour and asks every ten minutes', () => {
    const state = (minute: number, asked: Parameters<typeof stingWatches>[1] = []) =>
      stingWatches(stung, asked, now(minute))[0]?.state;
    expect([state(1), state(9), state(10)]).toEqual(['watch', 'watch', 'ask-now']);
    const well = [{ person: 'ife', at: at(11), reaction: 'well' as const }];
    expect([state(12, well), state(21, well)]).toEqual(['watch', 'ask-now']);
    expect(state(31)).toBe('ask-now');
    expect(state(31, well)).toBe('over');
  });

  it('anything beyond the sting is an emergency at once and stays one', () => {
    for (const reaction of ['elsewhere-too', 'breath-faint-sick'] as const) {
      const [watch] = stingWatches(stung, [{ person: 'ife', at: at(2), reaction }], now(50));
      expect(watch).toMatchObject({ state: 'emergency', reaction });
      expect(watch?.says).toMatch(/Emergency card/);
    }
  });

  it('a second sting starts the half hour anew', () => {
    const [watch] = stingWatches([...stung, { person: 'ife', at: at(25) }], [], now(31));
    expect(watch).toMatchObject({ stings: 2, minutes: 6, state: 'watch' });
  });

  it('the most pressing stands first; a sting of nobody by name is not watched', () => {
    const more = [...stung, { person: 'salma', at: at(1) }, { person: null, at: at(2) }, { person: 'jun', at: at(20) }];
    const asked = [{ person: 'salma', at: at(3), reaction: 'elsewhere-too' as const }];
    expect(stingWatches(more, asked, now(21)).map(({ person }) => person)).toEqual(['salma', 'ife', 'jun']);
  });

  it.each(['elsewhere-too', 'breath-faint-sick'] as const)(
    'is never over on the device after "%s", however well and however late they say they are',
    (reaction) => {
      const asked = [
        { person: 'ife', at: at(8), reaction },
        { person: 'ife', at: at(31), reaction: 'well' as const },
      ];
      for (const minute of [31, 45, 240, 2000])
        for (const answers of [asked, [...asked].reverse()]) {
          const [watch] = stingWatches(stung, answers, now(minute));
          expect(watch?.state).toBe('medical-care');
          expect(watch?.says).toMatch(/doctor/);
        }
    },
  );

  it('nobody is let go before the time without an answer', () => {
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: 0, max: 60 }), { minLength: 1, maxLength: 4 }),
        fc.array(fc.record({ minute: fc.integer({ min: 0, max: 90 }), reaction: fc.constantFrom(...REACTIONS) }), {
          maxLength: 4,
        }),
        fc.integer({ min: 60, max: 120 }),
        (stings, answers, minute) => {
          const sorted = answers.toSorted((a, b) => a.minute - b.minute).filter((each) => each.minute <= minute);
          const [watch] = stingWatches(
            stings.map((each) => ({ person: 'ife', at: at(each) })),
            sorted.map((each) => ({ person: 'ife', at: at(each.minute), reaction: each.reaction })),
            now(minute),
          );
          if (watch?.state === 'over') {
            expect(minute - Math.max(...stings)).toBeGreaterThanOrEqual(30);
            expect(['well', 'local-swelling']).toContain(watch.reaction);
          }
        },
      ),
    );
  });
});

describe('a photo looked at afterwards', () => {
  const address = { box: 'brood', frame: 4, face: 'low' as const };
  const confirmed = (there: boolean, letter: 'E' | 'S' = 'E') =>
    entry({ kind: 'confirmed-afterwards', address, letter, there });
  const line = (entries: readonly VisitEntry[]) => recordOf(entries).sides['brood/4/low']?.side;

  it('shows eggs that nobody saw at the hive', () => {
    const before = [read(4, '5S 3H')];
    expect(line([...before, confirmed(true)])).toMatchObject({ eighths: { S: 5, H: 3 }, trace: ['E'] });
    const at = { box: 'brood', frames: 11, kind: 'national-deep' as const, minutesOpen: null, late: false };
    const eggs = (entries: readonly VisitEntry[]) =>
      seenEnough(recordOf(entries), ['laying'], at).evidence.find(({ id }) => id === 'eggs')?.state;
    expect([eggs(before), eggs([...before, confirmed(true)])]).toEqual(['missing', 'seen']);
  });

  it('takes back what was taken for eggs, and can itself be taken back', () => {
    const entries = [read(4, '2E 4S +L')];
    expect(line([...entries, confirmed(false)])?.eighths).toEqual({ S: 4 });
    const no = confirmed(false);
    expect(line([...entries, no, entry({ kind: 'entry-undone', entry: no.id })])?.eighths).toEqual({ E: 2, S: 4 });
    expect(line([...entries, confirmed(false), confirmed(true)])?.trace).toEqual(['L', 'E']);
  });

  it('does not lessen what was counted when it only says that it is there', () => {
    expect(line([read(4, '2E 4S'), confirmed(true)])?.eighths).toEqual({ E: 2, S: 4 });
  });
});

describe('a visit told afterwards', () => {
  const told = (bodies: readonly EntryBody[], minutes: readonly number[] = []) =>
    Object.fromEntries(
      toldVisit(recordOf(bodies.map((body, index) => entry(body, minutes[index] ?? index))), names, STACK).map(
        ({ title, lines }) => [title, lines.map(({ text }) => text)],
      ),
    );

  it('says nothing of what nobody entered', () => {
    expect(toldVisit(recordOf([]), names)).toEqual([]);
  });

  it('names who did what, what was looked for, how sure, and what was overruled', () => {
    const said = told([
      { kind: 'role-given', role: 'smoke', person: 'ife' },
      { kind: 'checked', check: 'veil', ok: true, person: 'ife' },
      { kind: 'checked', check: 'glasses', ok: false, person: 'salma' },
      { kind: 'guard-overridden', guard: 'do-not-open', reason: 'swarm on the branch' },
      { kind: 'finding-noted', finding: 'chalk-brood', found: false, count: null, sure: 90, spot: null, note: '' },
      { kind: 'finding-noted', finding: 'moth', found: true, count: null, sure: 70, spot: null, note: '' },
      { kind: 'sting-counted', person: 'ife' },
      { kind: 'sting-asked-after', person: 'ife', reaction: 'well' },
    ]);
    expect(said['Before and around']).toEqual([
      'By hand: smoke IFE',
      '1 veil checked closed by somebody else',
      expect.stringMatching(/^Glasses or magnifier on \(SALMA\): no\./),
    ]);
    expect(said.Overruled).toEqual(['do not open: swarm on the branch (RUTH)']);
    expect(said['Looked for']).toEqual([
      expect.stringMatching(/^Found: wax moth, 70 % sure/),
      'Looked for, not found, at least 90 % sure: chalkbrood mummies',
    ]);
    expect(said['Mood and stings']).toContain('1 sting: IFE, then fine');
  });

  it('tells a later word on the same finding, not the first', () => {
    const noted = (found: boolean): EntryBody => ({
      kind: 'finding-noted',
      finding: 'moth',
      found,
      count: null,
      sure: null,
      spot: null,
      note: '',
    });
    expect(told([noted(true), noted(false)])['Looked for']).toEqual(['Looked for, not found: wax moth']);
  });

  it('scores guesses and first readings against what was read, and calls the wall a wall', () => {
    const wall = { box: 'brood', frame: 11, face: 'high' as const };
    const side = (line: string) => parseSide(line);
    const said = told([
      { kind: 'side-guessed', person: 'ife', address: wall, letters: ['H'] },
      { kind: 'side-read-by-trainee', person: 'salma', address: wall, side: side('6H 2N') },
      { kind: 'frame-side-recorded', address: wall, side: side('8H'), seen: null },
      { kind: 'side-guessed', person: 'jun', address: { ...wall, frame: 2 }, letters: ['S'] },
    ]);
    expect(said['Predicted, read first']).toEqual([
      'IFE, frame 11 toward the wall: capped honey (10 of 10)',
      'SALMA read frame 11 toward the wall first: 2N 6H, 2 eighths off',
    ]);
  });

  it('reckons how long the hive stood open and which frame was out longest', () => {
    const said = told(
      [
        { kind: 'part-taken-off', part: 'roof' },
        { kind: 'smoke-given', place: 'entrance' },
        { kind: 'frame-lifted', box: 'brood', frame: 1 },
        { kind: 'frame-lifted', box: 'brood', frame: 2 },
        { kind: 'frame-set-back', box: 'brood', frame: 2 },
        { kind: 'visit-closed', reason: 'time', note: '' },
      ],
      [0, 1, 2, 4, 9, 18],
    );
    expect(said['Smoke and time']).toEqual([
      'Open 18 min',
      'Longest out: frame 2 of brood, 5 min',
      'Smoke 1 time: entrance 1',
    ]);
  });
});

describe('temper of a visit', () => {
  const opened = () => entry({ kind: 'part-taken-off', part: 'roof' }, 0);
  const mood = (value: number, minute: number) => entry({ kind: 'mood-noted', mood: value }, minute);
  const sting = (minute: number) => entry({ kind: 'sting-counted', person: null }, minute);
  const closed = (minute: number) =>
    entry({ kind: 'visit-closed', reason: 'question-answered', note: '' } as unknown as EntryBody, minute);

  it.each<[string, VisitEntry[], number | null]>([
    ['nothing noted', [opened(), closed(20)], null],
    ['the worst mood counts', [opened(), mood(2, 1), mood(3, 5), closed(20)], 3],
    ['one sting in ten minutes is nothing', [opened(), mood(2, 1), sting(5), closed(10)], 2],
    ['two stings in ten minutes', [opened(), mood(2, 1), sting(5), sting(6), closed(10)], 3],
    ['two stings in half an hour', [opened(), mood(2, 1), sting(5), sting(26), closed(30)], 2],
    ['four stings in half an hour', [opened(), mood(2, 1), sting(5), sting(6), sting(7), sting(26), closed(30)], 3],
    ['two stings, closed at once', [opened(), sting(1), sting(2), closed(2)], 2],
    ['two stings at a hive that nobody opened', [mood(1, 0), sting(1), sting(2)], 2],
    ['two stings, not closed yet', [opened(), mood(1, 0), sting(1), sting(20)], 2],
    ['followed', [opened(), mood(4, 1), entry({ kind: 'sign-noticed', sign: 'following' }, 3), closed(20)], 5],
    ['no more than five', [opened(), mood(5, 1), entry({ kind: 'sign-noticed', sign: 'following' }, 3), closed(20)], 5],
  ])('%s', (_, entries, temper) => expect(temperOf(recordOf(entries))).toBe(temper));
});

describe('small words', () => {
  it('every kind of entry is said in words', () => {
    expect(entryText({ kind: 'mood-noted', mood: 2 })).toBe('mood: easy');
    expect(entryText(read(1, '3S 1L').body)).toBe('brood, frame 1 toward the wall: 1L 3S');
    expect(entryText({ kind: 'part-taken-off', part: 'roof' })).toBe('part taken off: roof');
  });

  it('tells tempers one visit after another', () => {
    expect(temperTrend([2, 1, 2]).says).toBe('Temper 2, 1, 2: suits novices, worth breeding from for temper.');
  });

  it('temper: twice hot is the stock, one bad day is not; a gentle line suits novices', () => {
    expect(temperTrend([])).toMatchObject({ suitsNovices: false });
    expect(temperTrend([2, 1, 2])).toMatchObject({
      suitsNovices: true,
      says: expect.stringMatching(/breeding from/) as string,
    });
    expect(temperTrend([2, 4, 4]).says).toMatch(/no daughters/);
    expect(temperTrend([2, 2, 4])).toMatchObject({
      suitsNovices: false,
      says: expect.stringMatching(/rising/) as string,
    });
    expect(temperTrend([3, 3, 3])).toMatchObject({
      suitsNovices: false,
      says: expect.stringMatching(/practised/) as string,
    });
  });

  it('a first opening gets spares, a hive in mid-season only what its jobs ask for', () => {
    const job = { hive: '4', question: 'Repair: loose joint, floor', bring: 'screws and a driver' };
    expect(kitForHive([job], 12)).toEqual(['screws and a driver']);
    expect(kitForHive([job], 200)).toEqual(['screws and a driver', 'two frames of foundation', 'a feeder, filled']);
    expect(kitForHive([], null)).toHaveLength(2);
  });

  it('combs are short where jobs ask for more than is in store', () => {
    const jobs = [
      { hive: '4', question: 'Hang a frame of foundation beside the brood' },
      { hive: '7', question: 'Two food combs in?' },
      { hive: '9', question: 'Foundation in place of old comb' },
    ];
    expect(combsShort(jobs, { foundation: 1, food: 2 })).toEqual([
      { kind: 'foundation', need: 2, have: 1, hives: ['4', '9'] },
    ]);
    expect(combsShort([], {})).toEqual([]);
  });

  it('telling sides: doubt and cells before the queen, before brood, before honey; one a frame', () => {
    const sides = (
      [
        ['8H', 1],
        ['2E 6S', 4],
        ['8S !', 6],
        ['4S 4H K2', 7],
        ['1E 7H !', 6],
      ] as const
    ).map(([line, frame], index) => ({
      address: { box: 'brood', frame, face: index % 2 === 0 ? ('low' as const) : ('high' as const) },
      side: parseSide(line),
    }));
    expect(tellingSides(sides, 2).map(({ address }) => address.frame)).toEqual([6, 7]);
    expect(tellingSides(sides, 9).map(({ address }) => address.frame)).toEqual([1, 4, 6, 7]);
  });

  it('late in the year the first brood ends the visit, a doubt does not go away', () => {
    const at = { box: 'brood', frames: 11, kind: 'national-deep' as const, minutesOpen: null };
    const one = [read(1, '3S 5H')];
    const enough = (entries: readonly VisitEntry[], late: boolean) =>
      seenEnough(recordOf(entries), ['laying', 'stores'], { ...at, late }).enough;
    expect([enough(one, false), enough(one, true), enough([read(1, '8H')], true)]).toEqual([false, true, false]);
    expect(enough([read(1, '3S 5H !')], true)).toBe(false);
  });
});
