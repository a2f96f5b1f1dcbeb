import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { describe, expect, it } from 'vitest';
import { type Situation, UnfitSituation, factsOf, judgeSituation } from '../src/situation';
import { inEnglish } from '../src/words';

const example = JSON.parse(
  readFileSync(join(import.meta.dirname, '../../docs/formats/situation.example.json'), 'utf8'),
) as Situation;
const bare: Situation = {
  format: 'colony-situation/1',
  date: '2026-05-14',
  site: { latitude: 53.4, longitude: -1.6 },
  hive: { stack: ['floor', 'national-brood', 'roof'] },
};
const faultsOf = (situation: Situation) => {
  try {
    judgeSituation(situation);
  } catch (error) {
    if (error instanceof UnfitSituation)
      return inEnglish(error.faults).map(({ path, says }) => `${path.join('.')}: ${says}`);
    throw error;
  }
  return [];
};

describe('a situation', () => {
  it('is judged as it would be at the hive', () => {
    const { facts, advice } = judgeSituation(example);
    expect(facts).toMatchObject({
      phase: 'dearth',
      frames: 11,
      framesRead: 9,
      eggsSeen: true,
      queenSeasons: 2,
      poorDays: 4,
    });
    expect(facts.daysSinceLast).toBe(14);
    expect(inEnglish(advice)[0]).toMatchObject({ kind: 'feed', by: '2026-06-19' });
  });

  it('may say next to nothing: then it cannot be told, and which look would tell', () => {
    const [first, ...more] = inEnglish(judgeSituation(bare).advice);
    expect(more).toEqual([]);
    expect(first).toMatchObject({ kind: 'cannot-tell', confidence: 'guess' });
    expect(first!.followUps[0].question).toMatch(/one frame from the middle/);
  });

  it('tells the season of the place: the same day is spring in one half and autumn in the other', () => {
    const at = (latitude: number) => factsOf({ ...bare, site: { latitude, longitude: 145 } }).phase;
    expect([at(53), at(-38)]).toEqual([
      expect.stringMatching(/swarm-season|flow|build-up/),
      expect.stringMatching(/closing-down|making-winter-bees|winter-rest/),
    ]);
  });

  it('takes a top-bar hive, a hive of two brood boxes, and sides by box', () => {
    const topBar = factsOf({
      ...bare,
      hive: { stack: ['top-bar-body', 'roof'] },
      visit: { sides: ['9/10: 2S 1E B6'] },
    });
    expect(topBar).toMatchObject({ frames: 24, eggsSeen: true, supers: 0 });
    const two = factsOf({
      ...bare,
      hive: {
        stack: ['floor', 'langstroth-10-deep', 'langstroth-10-deep', 'excluder', 'langstroth-10-medium', 'roof'],
      },
      visit: { sides: { 'brood box 2': ['5/6: 3S 1L B7', '5/4: 4S B7'], 'super 1': ['5/6: 8H B4'] } },
    });
    expect(two).toMatchObject({ frames: 10, framesRead: 1, supers: 1, superFill: 1, eggsSeen: false });
  });

  it('counts queen, treatments and feeds from its events, and what was seen before', () => {
    const facts = factsOf({
      ...bare,
      events: [
        { date: '2026-05-10', kind: 'queen', start: 'virgin-emerged' },
        {
          date: '2026-04-20',
          kind: 'treatment',
          medicine: 'formic acid',
          repeatAfter: null,
          doses: 1,
          removeAfter: 14,
          withdrawal: 10,
        },
      ],
      before: [
        { date: '2026-05-01', measures: [{ what: 'mites-on-bees', method: 'alcohol-wash', bees: 300, mites: 6 }] },
      ],
      colony: { queen: { mark: 'blue' } },
    });
    expect(facts.youngQueen!.layingTo > '2026-05-14').toBe(true);
    expect(facts.courses).toMatchObject([{ medicine: 'formic acid', ended: false }]);
    expect(facts.samples).toEqual([{ date: '2026-05-01', method: 'alcohol-wash', bees: 300, mites: 6 }]);
    expect(facts.queenSeasons).toBe(2);
  });

  it('takes eggs that were seen for more than a queen that was said to be lost', () => {
    const lost = { date: '2026-04-14', kind: 'queen', start: 'queen-lost' } as const;
    const sides = ['4/5: 1P 2E 1L 3S B7', '5/4: 1P 2E 1L 3S B7', '5/6: 2E 2L 4S B8', '6/5: 1E 2L 4S B8'];
    const { advice } = judgeSituation({ ...bare, events: [lost], visit: { sides } });
    expect(inEnglish(advice).some(({ kind }) => kind === 'queen')).toBe(false);
  });

  it('tells every fault at once, in words, with its place', () => {
    expect(
      faultsOf({
        ...bare,
        site: { latitude: 12, longitude: 0 },
        season: { plants: [{ plant: 'nettles' }, { plant: 'hawthorn', first: '2026-05-20', last: '2026-05-10' }] },
        hive: { stack: ['floor', { box: 'national-brood', frames: 14 }, { box: 'national-super', id: 'brood box' }] },
        events: [{ date: '2026-06-01', kind: 'super-off' }],
        before: [{ date: '2026-05-14' }],
      }),
    ).toEqual([
      'hive.stack.1.frames: “brood box” is said to hold 14 frames; at most 11 fit.',
      'hive.stack: Two boxes are called “brood box”: give one of them another id.',
      expect.stringMatching(/^site\.yearBegins: At 12° between the tropics/),
      'events.0.date: What happened on 2026-06-01 has not happened by 2026-05-14.',
      expect.stringMatching(/^before\.0\.date: A look of 2026-05-14 is not before/),
    ]);
    expect(
      faultsOf({
        ...bare,
        visit: {
          sides: ['6/7: 3S 9Q', '6/9: 3S'],
          seams: { 'super 1': 6 },
          measures: [{ what: 'mites-in-drone-brood', cells: 10, infested: 20 }],
        },
      }),
    ).toEqual([
      expect.stringMatching(/^visit\.sides\.0: “6\/7: 3S 9Q”: /),
      expect.stringMatching(/^visit\.sides\.1: “6\/9: 3S”: /),
      'visit.seams.super 1: There is no box called “super 1” on this hive; its boxes are “brood box”.',
      expect.stringMatching(/^visit\.measures\.0: A measure cannot be/),
    ]);
    expect(faultsOf({ ...bare, hive: { stack: ['floor', 'roof'] } })).toEqual([
      'hive.stack: The stack has no box: name at least one, such as national-brood.',
    ]);
  });
});
