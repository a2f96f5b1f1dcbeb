import { type CivilDate, addDays } from '../units';

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
  readonly title: string;
  readonly question: string;
  readonly bring: string | null;
  readonly from: CivilDate;
  readonly due: CivilDate;
  readonly strict: 'must' | 'should' | 'may';
}

export interface NewColonyPlan {
  readonly steps: readonly ColonyStep[];
  /** Stretches in which it is not opened. */
  readonly alone: readonly { readonly from: CivilDate; readonly to: CivilDate; readonly why: string }[];
  /** What another school does. */
  readonly otherSchool: string;
}

type Row = readonly [
  key: string,
  title: string,
  question: string,
  bring: string | null,
  from: number,
  due: number,
  strict: ColonyStep['strict'],
];
interface Plan {
  readonly steps: readonly Row[];
  readonly alone: readonly (readonly [from: number, to: number, why: string])[];
  readonly otherSchool: string;
}

/** Days from the day it was hived. Common practice; a brood round of 21 days stands behind most of them. */
const PLANS: Readonly<Record<NewColony, Plan>> = {
  package: {
    steps: [
      ['cage', 'Feeder and cage: lid only', 'Queen out of the cage? Feed left?', 'Syrup 1:1', 3, 5, 'should'],
      [
        'full-check',
        'First full check',
        'Eggs, larvae and sealed brood? Comb on how many frames?',
        'Frames, syrup',
        19,
        24,
        'must',
      ],
      ['second-box', 'Second brood box', 'Bees on all frames?', 'Brood box with frames', 21, 28, 'should'],
      ['super', 'First super', 'Second box covered?', 'Super, excluder', 47, 54, 'may'],
    ],
    alone: [[5, 18, 'They settle: a new queen that is disturbed early is balled or leaves']],
    otherSchool: 'starts a package in two boxes at once and saves the visit at three weeks.',
  },
  swarm: {
    steps: [
      ['eggs', 'Peek for eggs, one frame', 'Eggs? Then mark her', 'Marker', 3, 4, 'should'],
      ['room', 'Room', 'Comb on all frames?', 'Box with frames', 8, 14, 'may'],
      ['full-check', 'First full check', 'Brood pattern? Doubtful brood looked at again?', 'Frames', 19, 23, 'must'],
    ],
    alone: [[5, 18, 'They build: leave them in peace but for room and feed']],
    otherSchool: 'waits until day 7 for the first look: a cast with a virgin queen needs longer to lay.',
  },
  'late-swarm': {
    steps: [
      ['eggs', 'Peek for eggs and food', 'Eggs? Feed taken?', 'Syrup 1:1, patty', 4, 6, 'must'],
      ['food', 'Food and bees', 'How many frames of bees? Food in kg?', 'Syrup, follower board', 12, 16, 'must'],
      [
        'full-check',
        'First full check: unite or keep?',
        'Brood pattern? Enough bees for winter?',
        'Frames of drawn comb',
        20,
        24,
        'must',
      ],
    ],
    alone: [[7, 11, 'A week to ten days is too early to judge them']],
    otherSchool: 'lets nature cull late swarms and does not expect them to live.',
  },
  nucleus: {
    steps: [
      ['settled', 'Settled? Food?', 'Eggs? Food in kg?', 'Syrup', 5, 8, 'should'],
      ['full-check', 'First full check', 'Brood on how many frames?', 'Frames', 12, 16, 'must'],
      ['room', 'Second box or super', 'Bees on all frames?', 'Box', 20, 30, 'may'],
    ],
    alone: [[0, 4, 'They learn the place']],
    otherSchool: 'opens it the next day to see that the queen came through the move.',
  },
  'split-with-the-queen': {
    steps: [
      ['queen', 'Queen and food', 'Eggs? Enough bees stayed?', 'Feed', 4, 7, 'should'],
      ['look', 'Ordinary look', 'Cells again? Room?', 'Frames', 10, 14, 'should'],
    ],
    alone: [],
    otherSchool: 'gives it no look for two weeks: she was laying when she was moved.',
  },
  'split-without-a-queen': {
    steps: [['cells', 'Count and choose cells', 'Good cells, where? Leave one or two', 'Cell guards', 5, 8, 'must']],
    alone: [],
    otherSchool: 'gives a queen or a ripe cell instead and saves two to three weeks of brood.',
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
