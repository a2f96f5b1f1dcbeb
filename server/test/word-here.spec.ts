import { type WordHere, endpoints } from '@brave-comb/contract';
import { DEFAULT_CALENDAR } from '@brave-comb/core/care';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { type School, openSchool, pathOf } from './school';

type Agent = Awaited<ReturnType<School['signIn']>>;
let school: School;
let morag: Agent;
let salma: Agent;

beforeAll(async () => {
  school = await openSchool('', 'word_here');
  morag = await school.signIn('morag');
  salma = await school.signIn('salma');
});
afterAll(() => school.close());

const here = async (word: string, agent = salma) =>
  (await agent.get(pathOf(endpoints.wordHere, { word })).expect(200)).body as WordHere;
const seen = async (word: string) =>
  (await here(word)).seen.map(({ number, date, where }) => `${number}: ${where}, ${date}`);

describe('a word of the glossary at this school', () => {
  it('says in which colonies it was seen at their last visit, the latest first, to trainees too', async () => {
    // By the records of the demo: two cells at hive 6, one counted at hive 3.
    expect(await seen('queen-cell')).toContain('6: frames 7 and 10, 2026-05-07');
    const eggs = await seen('egg');
    expect(eggs.length).toBeGreaterThan(8);
    expect(eggs.map((each) => each.slice(-10))).toEqual(
      eggs
        .map((each) => each.slice(-10))
        .toSorted()
        .toReversed(),
    );
    // Honey lies in the super as well as in the nest.
    expect((await seen('ripe-honey')).some((each) => each.includes('in another box'))).toBe(true);
  });

  it('says what the house does, and says it anew when house practice changes', async () => {
    expect((await here('swarm-check')).rules).toEqual([
      'While swarms may leave, every comb edge is looked along every 7 days. Nobody removes a cell before the supervisor has seen it.',
    ]);
    const body = { ...DEFAULT_CALENDAR, catchCells: false };
    await morag.post(endpoints.setCalendarPractice.path).send(body).expect(200);
    expect((await here('swarm-check')).rules).toEqual(['Queen cells are not hunted here: looks follow the season.']);
    expect((await here('hefting')).rules).toEqual([
      'A full-sized colony goes into winter with 18 kg of food.',
      'One person lifts up to 16 kg, two up to 24 kg.',
    ]);
  });

  it('has nothing to say of a word that no comb shows and no rule is about', async () => {
    expect(await here('anaphylaxis')).toMatchObject({ rules: [], seen: [] });
    expect(await here('no word at all')).toMatchObject({ rules: [], seen: [] });
  });
});
