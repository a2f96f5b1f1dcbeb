import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { type ColonyFacts, adviseColony as adviseColonyInCodes, cellsInWords } from '../src/care';
import { base, nestOf, times } from './colony-facts';
import { answersInEnglish } from './in-english';
import { inEnglish } from '../src/words';

const adviseColony = answersInEnglish(adviseColonyInCodes);

/** A colony that wants nothing: food, room, eggs, no cells. */
const thriving = base;
const dandelion = { plant: 'Dandelion', nectar: 3, pollen: 4, from: '2026-05-01', to: '2026-05-20', giveOrTake: 0 };
const kinds = (facts: ColonyFacts) => adviseColony(facts).map((advice) => advice.kind);

describe('advice', () => {
  it('is to leave a thriving colony alone for the ordinary interval', () => {
    const [advice] = adviseColony(thriving);
    expect(kinds(thriving)).toEqual(['leave-alone']);
    expect(advice?.by).toBe('2026-05-26');
    expect(advice?.followUps[0].due).toBe('2026-05-26');
  });

  it('is to feed when the food would not last, with the amount that it takes', () => {
    const hungry = { ...thriving, nest: nestOf(...times(12, '1P 1E 2L 4S B7'), ...times(10, '8C B4')) };
    const [advice] = adviseColony(hungry);
    expect(advice?.kind).toBe('feed');
    // 10 kg wanted, none found: 10 kg of sugar give 16.26 L of 1:1 syrup by weight (1.626 L a kg), more than 7.4 frames of bees take in a week.
    expect(advice?.title).toBe('Feed 6 L of thin syrup now, then look again');
    expect(advice?.whereFrom.steps.at(-1)?.[1]).toBe('16.3 L, 6 L at a time');
    expect(advice?.by).toBe('2026-05-15');
    expect(advice?.reasons[0]?.text).toMatch(/0 kg of food/);
  });

  it('sets plants in bloom against feeding', () => {
    const hungry = {
      ...thriving,
      nest: nestOf(...times(12, '1P 1E 2L 4S B7'), ...times(10, '8C B4')),
      inBloom: [dandelion],
    };
    const feeding = adviseColony(hungry).find((advice) => advice.kind === 'feed');
    expect(feeding?.reasons.some((reason) => reason.sense === 'against' && reason.text.includes('Dandelion'))).toBe(
      true,
    );
    expect(feeding?.otherSchool).toMatch(/forage/);
  });

  it('does not judge the food of a nest of which less than half was read', () => {
    expect(kinds({ ...thriving, framesRead: 4, nest: nestOf('4S B8', '4S B8') })).not.toContain('feed');
  });

  it('is to add space when bees cover the frames and nectar goes in among the brood', () => {
    const crowded = {
      ...thriving,
      nest: nestOf(...times(22, '2H 1N 1E 1L 3S B8')),
      nectarAmongBrood: [4, 5, 6],
      inBloom: [dandelion],
    };
    const advice = adviseColony(crowded).find((each) => each.kind === 'add-space');
    expect(advice?.title).toBe('Put a super on');
    expect(advice?.reasons.map((reason) => reason.text)).toEqual(
      expect.arrayContaining([
        'Bees on 11 of 11 frames; house rule is 8.8',
        'Nectar among brood on 3 frames',
        'Dandelion in bloom',
      ]),
    );
    expect(adviseColony({ ...crowded, supers: 1 }).find((each) => each.kind === 'add-space')?.title).toBe(
      'Put a second super on',
    );
  });

  it('names the other school: first fill the super that is on', () => {
    const crowded = { ...thriving, nest: nestOf(...times(22, '2H 1N 1E 1L 3S B8')), supers: 1, superFill: 0.3 };
    const advice = adviseColony(crowded).find((each) => each.kind === 'add-space');
    expect(advice?.otherSchool).toMatch(/two thirds full/);
    expect(advice?.reasons.some((reason) => reason.sense === 'against')).toBe(true);
  });

  it('is to look for eggs again within a week when none were found', () => {
    const [advice] = adviseColony({ ...thriving, eggsSeen: false });
    expect(advice).toMatchObject({ kind: 'look-again', by: '2026-05-21' });
    expect(advice?.reasons[0]?.text).toMatch(/3 to 9 days ago/);
    const broodless = adviseColony({
      ...thriving,
      queenSeen: true,
      eggsSeen: false,
      larvaeSeen: false,
      sealedSeen: false,
    });
    expect(broodless[0]?.otherSchool).toMatch(/three weeks/);
  });

  it('puts the most pressing first, always says something, and gives numbers, another school and a source with it', () => {
    const facts = fc.record({
      eggsSeen: fc.boolean(),
      larvaeSeen: fc.boolean(),
      queenCells: fc.integer({ min: 0, max: 15 }),
      framesRead: fc.integer({ min: 0, max: 11 }),
      poorDays: fc.option(fc.integer({ min: 0, max: 7 })),
      superFill: fc.option(fc.double({ min: 0, max: 1, noNaN: true })),
      supers: fc.integer({ min: 0, max: 3 }),
      lines: fc.array(fc.constantFrom('8H B8', '2H 6S B8', '8C B2', '1N 3E 4S B7', '8F B0'), { maxLength: 22 }),
    });
    fc.assert(
      fc.property(facts, ({ lines, ...change }) => {
        const advised = adviseColony({ ...thriving, ...change, nest: nestOf(...lines) });
        expect(advised.length).toBeGreaterThan(0);
        const pressing = advised.map((advice) => advice.pressing);
        expect(pressing).toEqual([...pressing].sort((a, b) => b - a));
        for (const advice of advised) {
          expect(advice.reasons.every((reason) => reason.weight >= 0 && reason.weight <= 1)).toBe(true);
          expect(advice.reasons.some((reason) => /\d/.test(reason.text) || reason.text.startsWith('No '))).toBe(true);
          expect(advice.otherSchool.length).toBeGreaterThan(20);
          expect(advice.whereFrom.source).not.toBe('');
          expect(advice.by >= thriving.today).toBe(true);
          expect(advice.title).not.toMatch(/NaN|Infinity/);
        }
      }),
    );
  });

  it('tells queen cells by how many, what they hold and where', () => {
    const cells = [
      { content: 'sealed', place: 'edge' },
      { content: 'sealed', place: 'edge' },
      { content: 'larva', place: 'face' },
    ] as const;
    expect(inEnglish(cellsInWords({ cells, queenCells: 4 }))).toBe(
      '2 × sealed cell at the edge, 1 × larva in jelly on the face, 1 not looked into',
    );
  });
});
