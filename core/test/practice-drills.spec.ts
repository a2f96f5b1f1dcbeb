import { ADVICE_KINDS } from '../src/care';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { EMPTY_SIDE, LETTERS, type Letter, parseSide } from '../src/inspection';
import {
  type Answer,
  type Drill,
  NAMES,
  STOP_ANSWERS,
  TOPICS,
  TOPIC_IDS,
  type TopicId,
  bestReading,
  dueOf,
  gradeOf,
  hourSays,
  indoorPlan as indoorPlanInCodes,
  levelAfter,
  makeDrill,
  markAnswer,
  markOrder as markOrderInCodes,
  markReading as markReadingInCodes,
  markTouches,
  momentSays,
  progressOf,
  readiness as readinessInCodes,
  secondsFor,
  type PracticeShown,
  shownInPractice,
  toPractise,
  wrongEighths,
} from '../src/practice';
import { DEFAULT_CHECKLIST, readingAgreement } from '../src/skills';
import { Random } from '../src/units';
import { DEFAULT_LIMITS } from '../src/weather';
import { answersInEnglish } from './in-english';

const readiness = answersInEnglish(readinessInCodes);
const indoorPlan = answersInEnglish(indoorPlanInCodes);
const markOrder = answersInEnglish(markOrderInCodes);
const markReading = answersInEnglish(markReadingInCodes);

const SOURCES = {
  limits: DEFAULT_LIMITS,
  side: parseSide('4S 1L 1P 2H'),
  photo: { question: 'What is it?', choices: ['eggs', 'nectar'], answer: 0, says: '' },
};
const seeds = fc.integer({ min: 0, max: 0x7fffffff });
const levels = fc.integer({ min: 1, max: 8 });

/** What somebody who knows everything answers. */
function perfect(drill: Drill): Answer {
  switch (drill.kind) {
    case 'comb': {
      const best = bestReading(drill.side.truth);
      const whole = Object.entries(best).filter(([, eighths]) => Number.isInteger(eighths));
      const trace = Object.entries(best).flatMap(([letter, eighths]) => (eighths < 1 ? [letter as Letter] : []));
      return { kind: 'comb', side: { ...EMPTY_SIDE, eighths: Object.fromEntries(whole), trace } };
    }
    case 'trouble':
      return { kind: 'trouble', trouble: drill.trouble };
    case 'find': {
      const { columns } = drill.side.grid;
      const queen = drill.bees[0];
      const cells = drill.cells.slice(0, drill.wanted ?? undefined);
      if (drill.find === 'queen') return { kind: 'find', touches: cells.length > 0 ? [[queen!.x, queen!.y]] : [] };
      return {
        kind: 'find',
        touches: cells.map((cell) => {
          const row = Math.floor(cell / columns);
          return [(cell % columns) + 0.5 + (row % 2) / 2, (row + 0.5) * (Math.sqrt(3) / 2)];
        }),
      };
    }
    case 'weather': {
      const { depth, forbids } = hourSays(drill, DEFAULT_LIMITS);
      return { kind: 'weather', depth, because: forbids[0] ?? null };
    }
    case 'order':
      return { kind: 'order', order: drill.order.map(({ id }) => id) };
    case 'stop':
      return { kind: 'stop', answer: momentSays(drill).answer };
    case 'next':
      return { kind: 'next', advice: drill.advice[0]!.kind };
    case 'photo':
      return { kind: 'photo', choice: drill.answer };
  }
}

describe('every drill', () => {
  it.each(TOPIC_IDS)('%s: is the same from the same seed, and who knows everything is right', (topic) => {
    fc.assert(
      fc.property(levels, seeds, (level, seed) => {
        const drill = makeDrill(topic, level, seed, SOURCES);
        const again = makeDrill(topic, level, seed, SOURCES);
        expect(JSON.stringify(again)).toBe(JSON.stringify(drill));
        const mark = markAnswer(drill, perfect(drill), SOURCES);
        expect(mark.score).toBeCloseTo(1, 6);
        expect(mark.right).toBe(true);
      }),
      { numRuns: 15 },
    );
  });

  it('scores nothing for giving up and for an answer to something else', () => {
    for (const topic of TOPIC_IDS) {
      const drill = makeDrill(topic, 3, 4, SOURCES);
      expect(markAnswer(drill, { kind: 'given-up' }, SOURCES).score).toBe(0);
      const other: Answer = drill.kind === 'stop' ? { kind: 'photo', choice: 0 } : { kind: 'stop', answer: 'go-on' };
      expect(markAnswer(drill, other, SOURCES).right).toBe(false);
    }
  });

  it('shows comb beside foundation as new, pale wax', () => {
    const grounds = { pale: 0, dark: 0 };
    for (let seed = 0; seed < 12; seed += 1)
      for (const topic of ['comb-building', 'comb-brood'] as const) {
        const drill = makeDrill(topic, 1 + (seed % 8), seed, SOURCES);
        if (drill.kind !== 'comb') throw new Error('no comb');
        grounds[drill.ground === 'light' ? 'pale' : 'dark'] += 1;
        if ((drill.side.truth.F ?? 0) > 0) expect(drill).toMatchObject({ ground: 'light' });
        if (drill.ground === 'light') expect(drill.age).toBeLessThan(0.3);
      }
    expect(grounds.dark).toBeGreaterThan(4);
  });

  it('gives less time the harder it is', () => {
    for (const { id } of TOPICS) expect(secondsFor(id, 8)).toBeLessThan(secondsFor(id, 1));
  });

  it('is not the same answer every time', () => {
    const answers = (topic: TopicId, drills = 60) =>
      new Set(
        Array.from({ length: drills }, (_, seed) => {
          const answer = perfect(makeDrill(topic, 4, seed * 7919, SOURCES));
          return 'touches' in answer ? `${answer.touches.length > 0}` : JSON.stringify(answer);
        }),
      ).size;
    expect(answers('weather')).toBeGreaterThan(5);
    expect(answers('stop')).toBe(STOP_ANSWERS.length);
    expect(answers('next', 240)).toBe(ADVICE_KINDS.length);
    expect(answers('trouble')).toBe(NAMES.length);
    for (const find of ['find-queen', 'find-sunken', 'find-two-eggs'] as const) expect(answers(find)).toBe(2);
  });
});

describe('a comb read', () => {
  it('has as much in the wrong place as would have to be moved', () => {
    expect(wrongEighths({ S: 8 }, { S: 6, L: 2 })).toBe(2);
    expect(wrongEighths({ S: 6, L: 2 }, { S: 6, L: 2 })).toBe(0);
    // What was left out lies in the wrong place as well.
    expect(wrongEighths({ S: 6 }, { S: 6, L: 2 })).toBe(2);
  });

  it('cannot be read better than by the largest remainders', () => {
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 0, max: 100 }), { minLength: 4, maxLength: 4 }), (parts) => {
        const sum = parts.reduce((total, each) => total + each, 0);
        fc.pre(sum > 0);
        const letters = ['S', 'L', 'H', 'C'] as const;
        const truth = Object.fromEntries(letters.map((letter, index) => [letter, (parts[index]! / sum) * 8]));
        const best = wrongEighths(bestReading(truth), truth);
        for (let S = 0; S <= 8; S += 1)
          for (let L = 0; S + L <= 8; L += 1)
            for (let H = 0; S + L + H <= 8; H += 1)
              expect(best).toBeLessThanOrEqual(wrongEighths({ S, L, H, C: 8 - S - L - H }, truth) + 0.51);
      }),
      { numRuns: 30 },
    );
  });

  it('is right within an eighth of what whole eighths can do, and says what went where', () => {
    const truth = { S: 3.1, L: 1.1, H: 3, E: 0.3, C: 0.5 };
    const near = markReading(parseSide('3S 1L 3H 1C +E'), truth);
    expect(near.right).toBe(true);
    const far = markReading(parseSide('6S 2H'), truth);
    expect(far.right).toBe(false);
    expect(far.says[0]).toMatch(/^Too much sealed worker: 2.9 eighths/);
    expect(far.says.join(' ')).toContain('Missed: eggs, larvae, empty comb.');
    expect(markReading(parseSide('3S 1L 3H 1X'), truth).says.join(' ')).toContain(
      'Marked but not present: damaged comb.',
    );
  });

  it('gets worse the more is put in the wrong place', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 6 }), (moved) => {
        const score = (by: number) =>
          markReading({ ...EMPTY_SIDE, eighths: { S: 7 - by, H: 1 + by } }, { S: 7, H: 1 }).score;
        expect(score(moved + 1)).toBeLessThanOrEqual(score(moved));
      }),
    );
  });
});

describe('something found', () => {
  it('counts touches on something else against it', () => {
    const drill = makeDrill('find-eggs', 2, 5, SOURCES);
    if (drill.kind !== 'find') throw new Error('no find drill');
    const answer = perfect(drill);
    const touches = 'touches' in answer ? answer.touches : [];
    expect(markTouches(drill, touches).score).toBe(1);
    // Dice: 5 of 5 found with 5 wrong ones is 2 · 5 ÷ (5 + 10).
    const honey = drill.side.kinds.flatMap((kind, cell) => (kind === 'capped-honey' ? [cell] : [])).slice(0, 5);
    const wrong = honey.map((cell) => {
      const row = Math.floor(cell / drill.side.grid.columns);
      return [(cell % drill.side.grid.columns) + 0.5 + (row % 2) / 2, (row + 0.5) * 0.866] as const;
    });
    const marked = markTouches(drill, [...touches, ...wrong]);
    expect(marked.score).toBeCloseTo(10 / 15, 9);
    expect(marked.wrong).toEqual(wrong);
    expect(markTouches(drill, []).score).toBe(0);
  });

  it('rewards "not here" only where nothing is', () => {
    for (let seed = 0; seed < 30; seed += 1) {
      const drill = makeDrill('find-queen', 5, seed, SOURCES);
      if (drill.kind !== 'find') throw new Error('no find drill');
      expect(markTouches(drill, []).right).toBe(drill.cells.length === 0);
      if (drill.cells.length === 0) expect(markTouches(drill, [[20, 20]]).score).toBe(0);
    }
  });
});

describe('weather, order, stopping', () => {
  it('punishes too deep more than too careful', () => {
    const hour = {
      kind: 'weather',
      weather: { temperature: 13.5, dewPoint: 6, wind: 8, gust: 12, rain: 0, cloud: 0.3, thunder: 0 },
      elevation: 40,
      rainSoon: 0,
    } as const;
    const mark = (depth: 'lid' | 'one-frame' | 'full', because: 'cold' | null = 'cold') =>
      markAnswer(hour, { kind: 'weather', depth, because }, SOURCES).score;
    expect(mark('one-frame')).toBe(1);
    expect(mark('one-frame', null)).toBe(0.7);
    expect(mark('lid')).toBe(0.5);
    expect(mark('full')).toBe(0);
  });

  it('measures an order by its pairs as Kendall does', () => {
    const steps = ['a', 'b', 'c', 'd'].map((id) => ({ id, text: id }));
    // Kendall 1938: of the six pairs of four things, reversing all turns six, swapping two neighbours one.
    expect(markOrder(['d', 'c', 'b', 'a'], steps).score).toBe(0);
    expect(markOrder(['b', 'a', 'c', 'd'], steps).score).toBeCloseTo(5 / 6, 9);
    expect(markOrder(['b', 'a', 'c', 'd'], steps).right).toBe(true);
    expect(markOrder(['b', 'a', 'd', 'c'], steps).right).toBe(false);
    expect(markOrder([], steps).score).toBe(0);
  });

  it('does not let an order pass that hurts somebody', () => {
    const drill = makeDrill('order', 3, 2, SOURCES);
    if (drill.kind !== 'order') throw new Error('no order drill');
    const ids = drill.order.map(({ id }) => id);
    const smokeLate = [...ids.filter((id) => id !== 'smoke')];
    smokeLate.splice(smokeLate.indexOf('open') + 1, 0, 'smoke');
    const mark = markOrder(smokeLate, drill.order);
    expect(mark.right).toBe(false);
    expect(mark.says.join(' ')).toContain('guards');
  });

  it('lets bees and weather stop a visit before the question does', () => {
    const drill = makeDrill('stop', 1, 3, SOURCES);
    if (drill.kind !== 'stop') throw new Error('no stop drill');
    expect(momentSays({ ...drill, facts: { ...drill.facts, robbing: true } }).answer).toBe('close-now');
    const calm = {
      ...drill.facts,
      temper: 'go-on',
      clock: 'well',
      broodOut: 0,
      rainIn: null,
      robbing: false,
      temperature: 20,
    } as const;
    const eggs = [parseSide('1E 2L 5S'), parseSide('1E 2L 5S')] as const;
    const laying = { ...drill, facts: calm, question: 'laying', read: [eggs] } as const;
    expect(momentSays(laying).answer).toBe('enough-seen');
    const honey = [parseSide('8H'), parseSide('8H')] as const;
    expect(momentSays({ ...laying, read: [honey] }).answer).toBe('go-on');
  });
});

describe('how hard and how soon again', () => {
  it('steps up after two right answers and down after one wrong', () => {
    const answered = (...right: boolean[]) => {
      const answers: { level: number; right: boolean }[] = [];
      for (const each of right) answers.push({ level: levelAfter(answers), right: each });
      return levelAfter(answers);
    };
    expect(answered()).toBe(1);
    expect(answered(true, true)).toBe(2);
    expect(answered(true, true, true)).toBe(2);
    expect(answered(true, true, true, true)).toBe(3);
    expect(answered(true, true, true, true, false)).toBe(2);
    expect(answered(false)).toBe(1);
    expect(answered(...Array.from({ length: 40 }, () => true))).toBe(8);
  });

  it('settles where seven in ten are right', () => {
    // Levitt 1971, from memory: two up, one down aims at 70.7 in a hundred.
    const random = new Random(17);
    const chance = (level: number) => 1 / (1 + Math.exp((level - 4.6) * 0.9));
    const answers: { level: number; right: boolean }[] = [];
    for (let answer = 0; answer < 4000; answer += 1) {
      const level = levelAfter(answers.slice(-60));
      answers.push({ level, right: random.unit() < chance(level) });
    }
    const right = answers.slice(200).filter((each) => each.right).length / (answers.length - 200);
    expect(right).toBeGreaterThan(0.66);
    expect(right).toBeLessThan(0.76);
  });

  it('grades by time as well as by what is right', () => {
    expect(gradeOf({ score: 1, right: true }, 10, 40)).toBe('easy');
    expect(gradeOf({ score: 1, right: true }, 30, 40)).toBe('good');
    expect(gradeOf({ score: 1, right: true }, 50, 40)).toBe('hard');
    expect(gradeOf({ score: 0.6, right: false }, 10, 40)).toBe('hard');
    expect(gradeOf({ score: 0.2, right: false }, 10, 40)).toBe('again');
  });

  it('spaces what is known further and further, and brings back what was wrong', () => {
    const day = (number: number) => new Date(Date.UTC(2026, 4, number)).toISOString();
    const first = dueOf([{ at: day(1), grade: 'good' }], day(1));
    const second = dueOf(
      [
        { at: day(1), grade: 'good' },
        { at: day(4), grade: 'good' },
      ],
      day(4),
    );
    const lapsed = dueOf(
      [
        { at: day(1), grade: 'good' },
        { at: day(4), grade: 'again' },
      ],
      day(4),
    );
    expect(Date.parse(first.due!)).toBeGreaterThan(Date.parse(day(1)));
    expect(second.stability).toBeGreaterThan(first.stability);
    expect(lapsed.stability).toBeLessThan(first.stability);
    expect(dueOf([], day(1))).toEqual({ due: null, stability: 0, known: 0 });
    // By the published forgetting curve nine in ten are left after as many days as the stability says.
    const later = new Date(Date.parse(day(1)) + first.stability * 86_400_000).toISOString();
    expect(dueOf([{ at: day(1), grade: 'good' }], later).known).toBeCloseTo(0.9, 1);
  });

  it('does not care in which order devices send', () => {
    const answers = [
      { at: '2026-05-01T10:00:00.000Z', grade: 'good' },
      { at: '2026-05-03T10:00:00.000Z', grade: 'again' },
      { at: '2026-05-06T10:00:00.000Z', grade: 'easy' },
    ] as const;
    const now = '2026-05-07T10:00:00.000Z';
    expect(dueOf([...answers].reverse(), now)).toEqual(dueOf(answers, now));
  });
});

const result = (topic: TopicId, at: string, right: boolean, level = 3) => ({
  id: `${topic}${at}`,
  trainee: 'ife',
  topic,
  at,
  level,
  seconds: 20,
  score: right ? 1 : 0,
  right,
  grade: right ? ('good' as const) : ('again' as const),
  read: null,
  truth: null,
  ground: null,
  recorded: null,
});

describe('what an answer shows', () => {
  const every = {
    ...DEFAULT_CHECKLIST,
    skills: DEFAULT_CHECKLIST.skills.map((skill) => ({ ...skill, rule: { ...skill.rule, indoors: 1 } })),
  };
  const comb = { kind: 'comb', side: EMPTY_SIDE } as const;
  // As the screens ask it: eighths say nothing of ages, of weight or of causes.
  it.each<readonly [string, PracticeShown['topic'], PracticeShown['answer'], readonly string[]]>([
    ['brood comb in eighths', 'comb-brood', comb, ['draws-frame', 'tells-contents']],
    ['a recorded side in eighths', 'comb-record', comb, ['draws-frame', 'tells-contents']],
    ['eggs and larvae in eighths', 'comb-young', comb, ['tells-contents']],
    ['stores in eighths', 'comb-stores', comb, ['tells-contents']],
    ['spotty brood in eighths', 'comb-spotty', comb, ['tells-contents']],
    ['drone brood in eighths', 'comb-drones', comb, ['tells-contents']],
    ['new comb in eighths', 'comb-building', comb, ['tells-contents']],
    ['five cells with eggs', 'find-eggs', { kind: 'find', touches: [] }, ['finds-eggs']],
    ['the queen on a side', 'find-queen', { kind: 'find', touches: [] }, []],
    ['sunken cappings', 'find-sunken', { kind: 'find', touches: [] }, ['suspect-lids']],
    ['sunken cappings by name', 'trouble', { kind: 'trouble', trouble: 'sunken-lids' }, ['suspect-lids']],
    ['twisted larvae by name', 'trouble', { kind: 'trouble', trouble: 'twisted-larvae' }, ['larvae-shine']],
    ['a sound comb', 'trouble', { kind: 'trouble', trouble: null }, []],
    ['enough seen', 'stop', { kind: 'stop', answer: 'enough-seen' }, ['knows-enough']],
    ['to go on', 'stop', { kind: 'stop', answer: 'go-on' }, ['knows-enough']],
    ['to close because of rain or bees', 'stop', { kind: 'stop', answer: 'close-now' }, []],
    ['a box is due', 'next', { kind: 'next', advice: 'add-space' }, ['decides-room']],
    ['feed is due', 'next', { kind: 'next', advice: 'feed' }, ['decides-feed']],
    ['to look again, undated', 'next', { kind: 'next', advice: 'look-again' }, []],
  ])('%s', (_what, topic, answer, skills) => {
    const shown = { topic, answer, level: 3, right: true, grade: 'good', seconds: 30, asTable: false } as const;
    expect(
      shownInPractice(shown, every)
        .map(({ id }) => id)
        .sort(),
    ).toEqual(skills);
  });
});

describe('progress and what to practise', () => {
  const now = '2026-05-14T12:00:00.000Z';
  it('puts the longest overdue first and what was never tried last', () => {
    const progress = progressOf(
      [result('weather', '2026-04-20T10:00:00.000Z', true), result('order', '2026-04-01T10:00:00.000Z', false)],
      now,
    );
    const first = toPractise(progress, now).map(({ topic }) => topic);
    expect(first.slice(0, 2)).toEqual(['order', 'weather']);
    expect(first).toHaveLength(TOPICS.length);
    expect(progress.find(({ topic }) => topic === 'order')).toMatchObject({ answers: 1, rightOfLate: 0, level: 2 });
  });

  it('is weak evidence only when right, in time, hard enough, and where the list lets it', () => {
    const good: PracticeShown = {
      topic: 'find-eggs',
      level: 3,
      right: true,
      grade: 'good',
      seconds: 20,
      asTable: false,
      answer: { kind: 'find', touches: [] },
    };
    expect(shownInPractice(good, DEFAULT_CHECKLIST).map(({ id }) => id)).toContain('finds-eggs');
    expect(shownInPractice({ ...good, level: 2 }, DEFAULT_CHECKLIST)).toEqual([]);
    expect(shownInPractice({ ...good, grade: 'hard' }, DEFAULT_CHECKLIST)).toEqual([]);
    expect(shownInPractice({ ...good, right: false }, DEFAULT_CHECKLIST)).toEqual([]);
    expect(shownInPractice({ ...good, asTable: true }, DEFAULT_CHECKLIST)).toEqual([]);
    const comb = { ...good, topic: 'comb-stores', answer: { kind: 'comb', side: EMPTY_SIDE } } as const;
    expect(shownInPractice(comb, DEFAULT_CHECKLIST).length).toBeGreaterThan(0);
    expect(shownInPractice({ ...comb, seconds: 2 }, DEFAULT_CHECKLIST)).toEqual([]);
    const never = {
      ...DEFAULT_CHECKLIST,
      skills: DEFAULT_CHECKLIST.skills.map((skill) => ({ ...skill, rule: { ...skill.rule, indoors: 0 } })),
    };
    expect(shownInPractice(good, never)).toEqual([]);
  });

  it('names only skills of the usual checklist that can be practised indoors', () => {
    const indoors = new Set(DEFAULT_CHECKLIST.skills.filter(({ rule }) => rule.indoors > 0).map(({ id }) => id));
    for (const { id, skills } of TOPICS)
      expect(
        skills.some((skill) => indoors.has(skill)),
        id,
      ).toBe(true);
    const known = new Set(DEFAULT_CHECKLIST.skills.map(({ id }) => id));
    expect(TOPICS.flatMap(({ skills }) => skills).filter((skill) => !known.has(skill))).toEqual([]);
  });
});

describe('a session indoors', () => {
  const now = '2026-05-14T12:00:00.000Z';
  const member = (trainee: string, wrong: readonly TopicId[], open: readonly string[] = []) => ({
    trainee,
    progress: progressOf(
      TOPIC_IDS.flatMap((topic) => [
        result(topic, '2026-05-12T10:00:00.000Z', !wrong.includes(topic)),
        result(topic, '2026-05-13T10:00:00.000Z', !wrong.includes(topic)),
      ]),
      now,
    ),
    readings: readingAgreement([]),
    open,
  });

  it('takes the weakest drills first, from different views, and gives them the most time', () => {
    const plan = indoorPlan([member('a', ['find-eggs', 'weather']), member('b', ['find-eggs'])], 90);
    expect(plan[0]?.topic).toBe('find-eggs');
    expect(plan[1]?.topic).toBe('weather');
    expect(plan[0]!.minutes).toBeGreaterThan(plan[1]!.minutes);
    expect(plan.every(({ how, why }) => how !== '' && why.length > 0)).toBe(true);
    expect(plan[0]?.why[0]).toBe('Right in 0 of 4 answers of late.');
  });

  it('pairs the strongest with the weakest and leaves nobody alone', () => {
    const plan = indoorPlan([member('strong', []), member('weak', ['order']), member('odd', ['order'])], 60, 1);
    expect(plan[0]?.topic).toBe('order');
    expect(plan[0]?.pairs.flat().sort()).toEqual(['odd', 'strong', 'weak']);
    expect(plan[0]?.pairs.every((pair) => pair.length > 1)).toBe(true);
  });

  it('gives every trainee a place at each station, whatever the group', () => {
    fc.assert(
      fc.property(
        fc.array(fc.subarray([...TOPIC_IDS]), { minLength: 1, maxLength: 9 }),
        fc.integer({ min: 1, max: 5 }),
        (groups, stations) => {
          const members = groups.map((wrong, index) => member(`t${index}`, wrong));
          const plan = indoorPlan(members, 90, stations);
          expect(plan).toHaveLength(stations);
          for (const { pairs } of plan) expect(pairs.flat()).toHaveLength(members.length);
          expect(plan.map(({ weakness }) => weakness)).toEqual(
            plan.map(({ weakness }) => weakness).toSorted((a, b) => b - a),
          );
        },
      ),
      { numRuns: 20 },
    );
  });

  it('needs somebody and some time', () => {
    expect(() => indoorPlan([], 90)).toThrow(/at least one trainee/);
    expect(() => indoorPlan([member('a', [])], 0)).toThrow(/minutes above 0/);
  });
});

describe('readiness before and after a lesson', () => {
  it('tells who is not ready, what the lesson gave and what it took', () => {
    const vote = (person: string, moment: 'before' | 'after', answer: 'yes' | 'no' | 'unsure') => ({
      person,
      moment,
      answer,
    });
    expect(readiness([]).says).toBe('Nobody answered yet.');
    const before = [vote('a', 'before', 'unsure'), vote('b', 'before', 'yes'), vote('c', 'before', 'no')];
    expect(readiness(before).counts.before).toEqual({ yes: 1, no: 1, unsure: 1 });
    expect(readiness(before).says).toBe('Not ready: 2 of 3.');
    const all = [...before, vote('a', 'after', 'yes'), vote('b', 'after', 'unsure'), vote('c', 'after', 'yes')];
    expect(readiness(all).says).toBe(
      'Not ready: 2 of 3 before, 1 of 3 after. 2 gained. 1 is less sure than before: ask why.',
    );
  });
});

it('letters of readings are those of the trade', () => {
  const drill = makeDrill('comb-brood', 5, 3, SOURCES);
  expect(
    drill.kind === 'comb' && Object.keys(drill.side.truth).every((letter) => LETTERS.includes(letter as Letter)),
  ).toBe(true);
});
