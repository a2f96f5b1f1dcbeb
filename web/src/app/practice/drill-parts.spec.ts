import { type Drill, makeDrill, markAnswer, TOPICS, type TopicId } from '@brave-comb/core/practice';
import { DEFAULT_LIMITS } from '@brave-comb/core/weather';
import fc from 'fast-check';
import { elementOf, show } from '../../testing/show';
import { textOf } from '../../testing/text';
import { answerOf, choicesOf } from './drill-choices';
import { DrillFacts } from './drill-facts';
import { rightText, whenText } from './progress-text';
import { said } from '../language/said';

const PHOTO = { question: 'What is it?', choices: ['pollen', 'capped honey', 'nectar'], answer: 1, says: 'Dull lids.' };
const SOURCES = { limits: DEFAULT_LIMITS, photo: PHOTO };
const made = (topic: TopicId, level: number, seed: number): Drill => makeDrill(topic, level, seed, SOURCES);

/** Everything that can be answered to some choices. */
const all = (drill: Drill): readonly (readonly string[])[] =>
  (choicesOf(drill) ?? []).reduce<readonly (readonly string[])[]>(
    (so, { options }) => so.flatMap((before) => options.map(({ id }) => [...before, id])),
    [[]],
  );

describe('drills that are answered by choosing', () => {
  const CHOSEN = ['trouble', 'weather', 'stop', 'next', 'photos'] as const satisfies readonly TopicId[];

  it('are those that need neither a reading, nor a touch, nor an order', () => {
    const asked = TOPICS.filter(({ id }) => id !== 'comb-record')
      .filter(({ id }) => choicesOf(made(id, 1, 7)) !== null)
      .map(({ id }) => id);
    expect(asked.toSorted()).toEqual([...CHOSEN].sort());
  });

  it('always hold the right answer among their choices, and one that is not right (property)', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...CHOSEN),
        fc.integer({ min: 1, max: 5 }),
        fc.integer({ min: 0, max: 2 ** 31 - 1 }),
        (topic, level, seed) => {
          const drill = made(topic, level, seed);
          const marks = all(drill).map((chosen) => markAnswer(drill, answerOf(drill, chosen), SOURCES).right);
          expect(marks).toContain(true);
          expect(marks).toContain(false);
        },
      ),
      { numRuns: 60 },
    );
  });

  it('name every choice once, in words', () => {
    for (const topic of CHOSEN)
      for (const { options } of choicesOf(made(topic, 2, 11))!) {
        expect(new Set(options.map(({ id }) => id)).size).toBe(options.length);
        expect(new Set(options.map(({ text }) => text)).size).toBe(options.length);
        expect(options.every(({ text }) => text.length > 1)).toBe(true);
      }
  });

  it('take a drill that is answered otherwise as given up', () => {
    expect(answerOf(made('order', 1, 3), ['x'])).toEqual({ kind: 'given-up' });
  });
});

describe('what is known beside a drill', () => {
  const facts = async (drill: Drill) => elementOf(await show(DrillFacts, { drill }));

  it('of the weather is the hour with its figures', async () => {
    const drill = made('weather', 1, 5);
    if (drill.kind !== 'weather') throw new Error('a drill of the weather was asked for');
    const text = textOf(await facts(drill));
    expect(text).toContain(`In the shade ${drill.weather.temperature} °C`);
    expect(text).toContain(`Gusts ${drill.weather.gust} km/h`);
    expect(text).toMatch(/Sky (closed|broken cloud|mostly clear)/);
  });

  it('of an open hive is its question, the bees, the clock and the frames that were read', async () => {
    const drill = made('stop', 2, 9);
    if (drill.kind !== 'stop') throw new Error('a drill of stopping was asked for');
    const element = await facts(drill);
    expect(textOf(element)).toMatch(/Opened to ask (Is|Are|Have) .*\?/);
    expect(textOf(element)).toContain(`Open ${drill.minutesOpen} of ${drill.minutesAllowed} min`);
    expect(element.querySelectorAll('ol > li')).toHaveLength(drill.read.length);
  });

  it('of a colony is its record, line by line', async () => {
    const drill = made('next', 1, 4);
    if (drill.kind !== 'next') throw new Error('a drill of a colony was asked for');
    const lines = [...(await facts(drill)).querySelectorAll('ul li')].map((each) => textOf(each));
    expect(lines).toEqual(drill.lines.map(said));
    expect(lines.length).toBeGreaterThan(3);
  });
});

describe('progress in words', () => {
  it('counts the last ten answers at most', () => {
    expect(rightText({ answers: 0, rightOfLate: null })).toBe('not tried');
    expect(rightText({ answers: 3, rightOfLate: 2 / 3 })).toBe('right 2 of 3');
    expect(rightText({ answers: 40, rightOfLate: 0.7 })).toBe('right 7 of 10');
  });

  it('says when something comes back', () => {
    const now = '2026-05-14T07:00:00.000Z';
    expect(whenText(null, now)).toBe('new');
    expect(whenText('2026-05-13T20:00:00.000Z', now)).toBe('due');
    expect(whenText('2026-05-14T20:00:00.000Z', now)).toBe('tomorrow');
    expect(whenText('2026-05-19T06:00:00.000Z', now)).toBe('in 5 days');
  });
});
