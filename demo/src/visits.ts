import { type FrameSides, parseSide } from '@brave-comb/core/inspection';
import { type NestShape, nest } from './nest';

/** What was found at one hive on one day. */
export interface DemoVisit {
  readonly hive: string;
  readonly date: string;
  /** 1 quiet to 5 close up now. */
  readonly mood: number;
  readonly frames: readonly FrameSides[];
  /** Food in the supers, eighths of honey and nectar on a side, lowest super first. */
  readonly supers?: readonly (readonly [honey: number, nectar: number])[];
  readonly note?: string;
  readonly stings?: number;
  /** Mites washed off so many bees. */
  readonly washed?: { readonly bees: number; readonly mites: number };
}

/** A written frame: both sides in shorthand. */
const frame = (low: string, high: string): FrameSides => ({ low: parseSide(low), high: parseSide(high) });

const FIVE_MAY_HIVE_4: readonly FrameSides[] = [
  frame('3H 5C B3', '3H 1N 4C B4'),
  frame('3H 1N 1P 3C B4', '2H 1N 2P 3C B5'),
  frame('2H 2P 1E 1L 2C B6 !', '2H 1P 2S 1L 1E 1C B7'),
  frame('1H 1P 3S 2L 1E B8', '1H 1P 4S 1L 1E B8'),
  frame('1H 1P 4S 1L 1E B8', '1H 1P 3S 2L 1E B8'),
  frame('1H 1P 3S 1L 2E B8 Q', '1H 1P 4S 2L B8'),
  frame('1H 1P 3S 2L 1E B8', '1H 1P 3S 1L 1D 1E B7'),
  frame('2H 2P 1L 1E 2C B6', '2H 2P 4C B5'),
  frame('2H 1N 1P 4C B4', '2H 1N 5C B3'),
  frame('1N 4C 3F B2', '8F B1'),
  frame('8F B0', '8F B0'),
];

const strong: NestShape = {
  frames: 11,
  brood: [2, 10],
  middle: 7,
  stages: [0.13, 0.22, 0.65],
  drone: 2,
  honey: [6, 1],
  nectar: 1,
  bees: 8,
  queenOn: 8,
};
const steady: NestShape = { frames: 10, brood: [3, 7], middle: 6, stages: [0.14, 0.26, 0.6], honey: [4, 1], bees: 7 };
const small: NestShape = { frames: 11, brood: [4, 6], middle: 4, stages: [0.2, 0.3, 0.5], honey: [2, 1], bees: 4 };

const visit = (
  hive: number,
  date: string,
  mood: number,
  shape: NestShape | readonly FrameSides[],
  more: Partial<DemoVisit> = {},
): DemoVisit => ({ hive: `${hive}`, date, mood, frames: 'brood' in shape ? nest(shape) : shape, ...more });

/** Brenna Fell's visits, oldest first. */
export const VISITS: readonly DemoVisit[] = [
  visit(4, '2026-04-12', 1, { ...steady, frames: 11, brood: [4, 7], middle: 5, bees: 5, bareFrom: 10 }),
  visit(1, '2026-04-12', 2, { ...steady, frames: 11, brood: [4, 8] }),
  visit(9, '2026-04-12', 3, { ...steady, brood: [3, 8], bees: 8 }, { note: 'Followers at the gate.' }),
  visit(8, '2026-04-18', 1, { ...steady, brood: [3, 7] }),
  visit(
    7,
    '2026-04-18',
    2,
    { ...steady, brood: [4, 6], middle: 3, stages: [0, 0.2, 0.8], cells: { 5: 1 } },
    {
      note: 'Old queen not seen, one sealed cell left.',
    },
  ),
  visit(6, '2026-04-18', 3, { ...strong, brood: [3, 9], bees: 7, drone: 1 }, { stings: 1 }),
  visit(5, '2026-04-18', 2, steady),
  visit(10, '2026-04-25', 2, { ...steady, brood: [3, 8] }),
  visit(11, '2026-04-25', 2, { ...small, brood: [4, 7], middle: 5 }),
  visit(13, '2026-04-25', 2, { ...steady, frames: 18, brood: [3, 8] }),
  visit(12, '2026-04-25', 1, { ...small, honey: [1, 0] }),
  visit(
    4,
    '2026-04-26',
    1,
    { ...steady, frames: 11, brood: [3, 8], bareFrom: 10 },
    { washed: { bees: 300, mites: 1 } },
  ),
  visit(3, '2026-04-26', 2, { ...steady, brood: [3, 8] }),
  visit(6, '2026-04-26', 3, { ...strong, brood: [2, 9] }, { supers: [[2, 2]], washed: { bees: 310, mites: 2 } }),
  visit(2, '2026-04-26', 2, { ...small, brood: [4, 6], middle: 3 }),
  visit(
    9,
    '2026-04-26',
    3,
    { ...steady, brood: [2, 8], bees: 8 },
    { supers: [[1, 1]], washed: { bees: 300, mites: 2 } },
  ),
  visit(4, '2026-05-05', 1, FIVE_MAY_HIVE_4, {
    supers: [[2, 2]],
    note: 'Cappings on 3 uneven on one side, look again.',
  }),
  visit(
    7,
    '2026-05-05',
    2,
    { ...steady, brood: [5, 6], middle: 5, stages: [0, 0, 1], honey: [4, 2], bees: 5 },
    { note: 'Short, quick queen on 6: a virgin. Closed at once.' },
  ),
  visit(8, '2026-05-05', 1, { ...steady, brood: [2, 8], nectar: 1, bees: 8 }, { supers: [[1, 2]] }),
  visit(
    6,
    '2026-05-07',
    3,
    { ...strong, cells: { 7: 1, 10: 1 } },
    {
      supers: [
        [7, 1],
        [1, 2],
      ],
      stings: 2,
      note: 'Two cups held eggs. Followed people ten metres.',
    },
  ),
  visit(5, '2026-05-07', 2, { ...steady, brood: [3, 8], nectar: 1 }),
  visit(10, '2026-05-09', 2, { ...steady, brood: [2, 8], nectar: 1 }, { supers: [[2, 1]] }),
  visit(11, '2026-05-09', 2, { ...steady, frames: 11, brood: [3, 8] }, { washed: { bees: 300, mites: 10 } }),
  visit(13, '2026-05-09', 2, { ...steady, frames: 18, brood: [3, 10], bees: 7 }),
  visit(12, '2026-05-09', 1, { ...small, brood: [4, 7], honey: [1, 0] }, { note: 'Light. Feeder put on.' }),
  visit(1, '2026-05-10', 2, { ...steady, frames: 11, brood: [2, 9], nectar: 1, bees: 8 }, { supers: [[1, 2]] }),
  visit(3, '2026-05-10', 2, { ...steady, brood: [2, 8], bees: 8, doubtfulOn: 4 }),
  visit(9, '2026-05-10', 3, { ...steady, brood: [2, 9], bees: 8, nectar: 1 }, { supers: [[3, 2]] }),
  visit(2, '2026-05-10', 2, { ...small, brood: [4, 7], middle: 5 }),
];

/** Saltpan Road's: autumn, the nest drawing in. */
export const SALTPAN_VISITS: readonly DemoVisit[] = [
  visit(1, '2026-05-06', 2, { frames: 8, brood: [4, 5], middle: 3, stages: [0.1, 0.2, 0.7], honey: [7, 3], bees: 6 }),
];
