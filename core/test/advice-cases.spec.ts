import { describe, expect, it } from 'vitest';
import { type AdviceKind, type ColonyFacts, adviseColony as adviseColonyInCodes } from '../src/care';
import { type QueenCell, parseSide, queenStatus } from '../src/inspection';
import { AUTUMN, BROODLESS, CROWDED, POOR, TINY, base, cells, nestOf, times } from './colony-facts';
import { inEnglish } from '../src/words';
import { answersInEnglish } from './in-english';

const adviseColony = answersInEnglish(adviseColonyInCodes);

const bees = (line: string) =>
  queenStatus({
    date: '2026-05-14',
    sides: times(5, line).map((each) => parseSide(each)),
    eggsLookedFor: true,
    virginSeen: false,
    droneLayerSeen: false,
  });
const found = (list: readonly QueenCell[], more: Partial<ColonyFacts> = {}): Partial<ColonyFacts> => ({
  cells: list,
  queenCells: list.length,
  framesWithCells: [5],
  ...more,
});
const clover = { plant: 'White clover', nectar: 4, pollen: 3, from: '2026-05-28', to: '2026-07-25', giveOrTake: 0 };
const noEggs = { eggsSeen: false, larvaeSeen: false, sealedSeen: false } as const;
const winter = {
  phase: 'winter-rest',
  today: '2026-11-10',
  reopens: '2027-02-03',
  highs: [6, 7, 5, 6, 7, 8, 6],
} as const;
const cold = [6, 7, 5, 8, 7, 6, 7];

/** What is known, the first advice, its title, and its last day. Written before the rules, as a beekeeper would put it. */
const CASES: readonly (readonly [string, Partial<ColonyFacts>, AdviceKind, RegExp, string?])[] = [
  // Queen cells, 14 May.
  ['one empty cup is routine', found(cells(1, 'cup', 'edge')), 'leave-alone', /Leave them alone/],
  ['five empty cups are routine', found(cells(5, 'cup', 'edge')), 'leave-alone', /Leave them alone/],
  [
    'an egg in a cup is sealed in five days at the soonest',
    found(cells(1, 'egg', 'edge')),
    'queen-cells',
    /Eggs in cups/,
    '2026-05-19',
  ],
  [
    'a larva in jelly at the edge: decide today',
    found(cells(1, 'larva', 'edge')),
    'queen-cells',
    /decide today/,
    '2026-05-14',
  ],
  [
    'five larvae at the edge: decide today',
    found(cells(5, 'larva', 'edge')),
    'queen-cells',
    /decide today/,
    '2026-05-14',
  ],
  [
    'eight sealed at the edge, eggs seen: act today',
    found(cells(8, 'sealed', 'edge')),
    'queen-cells',
    /act today/,
    '2026-05-14',
  ],
  [
    'eight sealed at the edge, no eggs: act today',
    found(cells(8, 'sealed', 'edge'), { eggsSeen: false }),
    'queen-cells',
    /act today/,
    '2026-05-14',
  ],
  [
    'sealed cells beside cups: the sealed ones decide',
    found([...cells(3, 'cup', 'edge'), ...cells(2, 'sealed', 'edge')]),
    'queen-cells',
    /act today/,
    '2026-05-14',
  ],
  [
    'five sealed on the face, eggs: too many for a daughter',
    found(cells(5, 'sealed', 'face')),
    'queen-cells',
    /act today/,
    '2026-05-14',
  ],
  ['two sealed on the face, eggs: they replace her', found(cells(2, 'sealed', 'face')), 'queen-cells', /replace her/],
  ['one fed on the face, eggs: they replace her', found(cells(1, 'larva', 'face')), 'queen-cells', /replace her/],
  [
    'four sealed on the face, no eggs: a young queen is coming',
    found(cells(4, 'sealed', 'face'), { eggsSeen: false, queen: bees('6S') }),
    'queen-cells',
    /leave them alone/i,
  ],
  [
    'an open cell, no eggs: she is out',
    found(cells(1, 'emerged', 'edge'), { eggsSeen: false, queen: bees('6S') }),
    'queen-cells',
    /leave them alone/i,
  ],
  [
    'three cells, nobody looked in: look today or tomorrow',
    { queenCells: 3, framesWithCells: [4, 6] },
    'queen-cells',
    /Look into the 3 queen cells/,
    '2026-05-15',
  ],
  [
    'one cup and one cell unknown',
    { queenCells: 2, cells: cells(1, 'cup', 'edge'), framesWithCells: [4] },
    'queen-cells',
    /Look into the queen cell/,
    '2026-05-15',
  ],
  [
    'sealed cells in November: no mating any more',
    { ...winter, ...found(cells(2, 'sealed', 'face')), ...noEggs, queen: bees('8C') },
    'queen-cells',
    /unite/,
  ],
  // Eggs, and the season.
  ['no eggs in May', { eggsSeen: false, queen: bees('4L 4S') }, 'look-again', /eggs/, '2026-05-21'],
  ['no brood in May: a test frame', { ...noEggs, queen: bees('8C') }, 'queen', /test/, '2026-05-17'],
  [
    'no brood in May, and she was seen',
    { ...noEggs, queenSeen: true, queen: bees('8C') },
    'look-again',
    /eggs/,
    '2026-05-21',
  ],
  [
    'no brood on 10 November is winter',
    { ...winter, ...noEggs, nest: BROODLESS, queen: bees('8C') },
    'leave-alone',
    /Leave them/,
    '2027-02-03',
  ],
  [
    'no eggs while closing down',
    { ...noEggs, phase: 'closing-down', today: '2026-10-15', nest: nestOf(...times(22, '7H B5')), queen: bees('8C') },
    'leave-alone',
    /Leave/,
  ],
  [
    'no brood in a dearth of a strain that stops',
    { ...noEggs, phase: 'dearth', strain: 'stops', queen: bees('8C') },
    'leave-alone',
    /Leave/,
  ],
  [
    'no brood in a dearth of a strain that keeps laying',
    { ...noEggs, phase: 'dearth', strain: 'keeps-laying', queen: bees('8C') },
    'queen',
    /test/,
  ],
  [
    'no eggs of a virgin before she can lay',
    {
      ...noEggs,
      queen: bees('8C'),
      youngQueen: { layingTo: '2026-06-02', aloneTo: '2026-05-29', worry: '2026-06-10' },
    },
    'leave-alone',
    /Leave/,
    '2026-05-29',
  ],
  ['domed cappings only, eggs seen', { queen: bees('1E 1L 2D 4C') }, 'queen', /Drone layer/],
  ['a doubtful frame', { doubtfulFrames: [5] }, 'look-again', /doubtful/, '2026-05-19'],
  ['a third of the nest read, no eggs on it: no finding', { framesRead: 4, eggsSeen: false }, 'leave-alone', /Leave/],
  // Food.
  [
    'hungry in May: thin syrup, as much as they take in a week',
    { nest: POOR },
    'feed',
    /Feed \d(\.5)? L of thin syrup now, then look again/,
    '2026-05-15',
  ],
  [
    '3.6 frames of bees in May: a litre or two, then look again',
    { nest: TINY },
    'feed',
    /Feed (1|1\.5|2) L of thin syrup.*look again/,
  ],
  [
    'short of food with days left, two full supers for harvest on',
    { nest: POOR, supers: 2, superKg: 20, superFill: 0.95, phase: 'flow', nectar: 8, inBloom: [clover] },
    'leave-alone',
    /Leave/,
  ],
  [
    'starving with an empty super for harvest on',
    { nest: POOR, supers: 1, superKg: 0, superFill: 0 },
    'feed',
    /now/,
    '2026-05-15',
  ],
  [
    'short, not starving, an empty super on, no flow: super off first',
    {
      nest: nestOf(...times(8, '2H 5C B4'), ...times(6, '1P 1L 1S B4'), ...times(8, '8C B1')),
      supers: 1,
      superKg: 0,
      superFill: 0,
    },
    'feed',
    /Take the supers off first/,
  ],
  [
    'short, not starving, flow on: nothing is fed',
    {
      nest: nestOf(...times(8, '2H 5C B4'), ...times(6, '1P 1E 1S B4'), ...times(8, '8C B1')),
      nectar: 6,
      inBloom: [clover],
    },
    'leave-alone',
    /Leave/,
  ],
  [
    'six kilograms on 10 October are not a winter',
    { nest: AUTUMN, phase: 'closing-down', today: '2026-10-10', highs: [13, 14, 13, 12, 14, 13, 12] },
    'feed',
    /thick syrup/,
  ],
  [
    'short on 20 October, cold: candy',
    { nest: AUTUMN, phase: 'closing-down', today: '2026-10-20', highs: cold },
    'feed',
    /candy/,
  ],
  [
    'short while winter bees are made: thick syrup',
    { nest: AUTUMN, phase: 'making-winter-bees', today: '2026-09-10' },
    'feed',
    /thick syrup/,
  ],
  [
    'the super left as winter food counts',
    {
      nest: AUTUMN,
      phase: 'closing-down',
      today: '2026-10-10',
      supers: 1,
      superKg: 14,
      superFill: 1,
      supersAreTheirs: true,
      eggsSeen: true,
    },
    'leave-alone',
    /Leave/,
  ],
  [
    'short in January: candy over the bees',
    {
      ...winter,
      today: '2027-01-10',
      ...noEggs,
      queen: bees('8C'),
      nest: nestOf(...times(8, '1H 7C B6'), ...times(14, '8C B1')),
    },
    'feed',
    /candy/,
  ],
  [
    'a quarter of the nest read: food is not judged',
    { framesRead: 3, nest: nestOf('4S B8', '4S B8') },
    'cannot-tell',
    /Cannot be told yet/,
  ],
  // Room.
  ['crowded in May', { nest: CROWDED, nectarAmongBrood: [4, 5, 6] }, 'add-space', /Put a super on/],
  [
    'crowded on 20 November, every day unfit',
    { ...winter, today: '2026-11-20', nest: nestOf(...times(22, '6H 2C B8')), poorDays: 7 },
    'leave-alone',
    /Leave/,
  ],
  ['crowded in a dearth: no new box', { nest: CROWDED, phase: 'dearth' }, 'leave-alone', /Leave/],
  ['crowded, a week of rain ahead', { nest: CROWDED, poorDays: 7 }, 'leave-alone', /Leave/],
  [
    'crowded while a medicine binds honey',
    { nest: CROWDED, nectarAmongBrood: [4, 5, 6], superOnFrom: '2026-06-08' },
    'add-space',
    /not for harvest/,
  ],
];

describe('what a colony needs next, case by case', () => {
  it.each(CASES.map(([name, ...rest]) => ({ name, rest })))('$name', ({ rest: [facts, kind, title, by] }) => {
    const [first] = adviseColony({ ...base, ...facts });
    expect(first).toMatchObject({ kind });
    expect(first!.title).toMatch(title);
    if (by) expect(first!.by).toBe(by);
  });

  it('never feeds and adds a box side by side', () => {
    const both = adviseColony({ ...base, nest: nestOf(...times(22, '1E 2L 5S B8')), nectarAmongBrood: [4, 5, 6] });
    expect(both.map(({ kind }) => kind)).not.toContain('add-space');
    expect(both[0]).toMatchObject({ kind: 'feed' });
    expect(both[0]!.reasons.some(({ text }) => text.includes('Room is short as well'))).toBe(true);
  });

  it('says how much was read, and the range, where a part was read only', () => {
    const partly = { ...CROWDED, sidesRead: 8, framesOfBees: { value: 11, low: 7.2, high: 13 } };
    const room = adviseColony({ ...base, nest: partly, framesRead: 4, nectarAmongBrood: [4] }).find(
      ({ kind }) => kind === 'add-space',
    );
    expect(room?.reasons[0]?.text).toMatch(/11 of 11 frames \(7\.2 to 11 by 8 of 22 sides\)/);
    const unsure = adviseColony({
      ...base,
      nest: { ...partly, framesOfBees: { value: 11, low: 5, high: 13 } },
      framesRead: 4,
    }).find(({ kind }) => kind === 'add-space');
    expect(unsure === undefined || unsure.title.includes('look')).toBe(true);
  });

  it('takes no food that nobody looked at for none', () => {
    const advice = adviseColony({ ...base, framesRead: 1, nest: nestOf('4S B8') });
    expect(inEnglish(advice[0]?.reasons.map(({ text }) => text) ?? []).join()).toMatch(
      /Not known: how much food there is/,
    );
    expect(inEnglish(advice[0]?.reasons.map(({ text }) => text) ?? []).join()).not.toMatch(/0 kg/);
  });
});
