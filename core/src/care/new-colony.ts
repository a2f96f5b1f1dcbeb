import { type CivilDate, addDays } from '../units';
import { say } from './said';
import type { Text } from '../language';

/** How a colony began. */
export const NEW_COLONIES = [
  'package',
  'swarm',
  'late-swarm',
  'nucleus',
  'split-with-the-queen',
  'split-without-a-queen',
] as const;
export type NewColony = (typeof NEW_COLONIES)[number];

/** A step of a young colony's first weeks. */
export interface ColonyStep {
  /** Names the step within its plan, for good. */
  readonly key: string;
  readonly title: Text;
  readonly question: Text;
  readonly bring: Text | null;
  readonly from: CivilDate;
  readonly due: CivilDate;
  readonly strict: 'must' | 'should' | 'may';
}

export interface NewColonyPlan {
  readonly steps: readonly ColonyStep[];
  /** Stretches in which it is not opened. */
  readonly alone: readonly { readonly from: CivilDate; readonly to: CivilDate; readonly why: Text }[];
  /** What another school does. */
  readonly otherSchool: Text;
}

type Row = readonly [
  key: string,
  title: Text,
  question: Text,
  bring: Text | null,
  from: number,
  due: number,
  strict: ColonyStep['strict'],
];
interface Plan {
  readonly steps: readonly Row[];
  readonly alone: readonly (readonly [from: number, to: number, why: Text])[];
  readonly otherSchool: Text;
}

/** Days from the day it was hived. Common practice; a brood round of 21 days stands behind most of them. */
const PLANS: Readonly<Record<NewColony, Plan>> = {
  package: {
    steps: [
      ['cage', say('feeder-cage-lid-only'), say('queen-out-cage-feed-left'), say('syrup-one-to-one'), 3, 5, 'should'],
      [
        'full-check',
        say('first-full-check'),
        say('eggs-larvae-sealed-brood-comb'),
        say('frames-syrup'),
        19,
        24,
        'must',
      ],
      ['second-box', say('second-brood-box'), say('bees-all-frames'), say('brood-box-frames'), 21, 28, 'should'],
      ['super', say('first-super'), say('second-box-covered'), say('super-excluder'), 47, 54, 'may'],
    ],
    alone: [[5, 18, say('settle-new-queen-disturbed-early')]],
    otherSchool: say('starts-package-two-boxes-once'),
  },
  swarm: {
    steps: [
      ['eggs', say('peek-eggs-one-frame'), say('eggs-then-mark-her'), say('marker'), 3, 4, 'should'],
      ['room', say('room'), say('comb-all-frames'), say('box-frames'), 8, 14, 'may'],
      [
        'full-check',
        say('first-full-check'),
        say('brood-pattern-doubtful-brood-looked'),
        say('frames'),
        19,
        23,
        'must',
      ],
    ],
    alone: [[5, 18, say('build-leave-peace-but-room')]],
    otherSchool: say('waits-until-day-first-look'),
  },
  'late-swarm': {
    steps: [
      ['eggs', say('peek-eggs-food'), say('eggs-feed-taken'), say('syrup-patty'), 4, 6, 'must'],
      ['food', say('food-bees'), say('how-many-frames-bees-food'), say('syrup-follower-board'), 12, 16, 'must'],
      [
        'full-check',
        say('first-full-check-unite-keep'),
        say('brood-pattern-enough-bees-winter'),
        say('frames-drawn-comb'),
        20,
        24,
        'must',
      ],
    ],
    alone: [[7, 11, say('week-ten-days-too-early')]],
    otherSchool: say('lets-nature-cull-late-swarms'),
  },
  nucleus: {
    steps: [
      ['settled', say('settled-food'), say('eggs-food-kg'), say('syrup'), 5, 8, 'should'],
      ['full-check', say('first-full-check'), say('brood-how-many-frames'), say('frames'), 12, 16, 'must'],
      ['room', say('second-box-super'), say('bees-all-frames'), say('box'), 20, 30, 'may'],
    ],
    alone: [[0, 4, say('learn-place')]],
    otherSchool: say('opens-next-day-see-queen'),
  },
  'split-with-the-queen': {
    steps: [
      ['queen', say('queen-food'), say('eggs-enough-bees-stayed'), say('feed'), 4, 7, 'should'],
      ['look', say('ordinary-look'), say('cells-again-room'), say('frames'), 10, 14, 'should'],
    ],
    alone: [],
    otherSchool: say('gives-look-two-weeks-she'),
  },
  'split-without-a-queen': {
    steps: [['cells', say('count-choose-cells'), say('good-cells-where-leave-one'), say('cell-guards'), 5, 8, 'must']],
    alone: [],
    otherSchool: say('gives-queen-ripe-cell-instead'),
  },
};

/**
 * What a new colony needs in its first weeks, and when it is left alone. When the queen of a split lays is told by the
 * timetable of a queen lost on its day.
 *
 * @param kind how it began
 * @param date the day on which it was hived or made
 * @returns its plan
 * @throws RangeError for a malformed date
 * @example newColonyPlan('package', '2026-04-20').steps[1]?.due // '2026-05-14'
 */
export function newColonyPlan(kind: NewColony, date: CivilDate): NewColonyPlan {
  const { steps, alone, otherSchool } = PLANS[kind];
  return {
    steps: steps.map(([key, title, question, bring, from, due, strict]) => ({
      key,
      title,
      question,
      bring,
      from: addDays(date, from),
      due: addDays(date, due),
      strict,
    })),
    alone: alone.map(([from, to, why]) => ({ from: addDays(date, from), to: addDays(date, to), why })),
    otherSchool,
  };
}
