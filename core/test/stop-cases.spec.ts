import { describe, expect, it } from 'vitest';
import { type CloseFacts, type Question, parseSide } from '../src/inspection';
import { type StopAnswer, type StopDrill, momentSays } from '../src/practice';
import { inEnglish } from '../src/words';

/** Frames as they were read, both sides: "frame | other side"; one line for both sides alike. Eleven frames stand in the box. */
type Case = readonly [
  what: string,
  question: Question,
  frames: readonly string[],
  answer: StopAnswer,
  why: RegExp,
  facts?: Partial<CloseFacts>,
];

const calm: CloseFacts = {
  temper: 'go-on',
  clock: 'well',
  broodOut: 1,
  broodAllowed: 5,
  temperature: 18,
  rainIn: null,
  robbing: false,
};
const times = (count: number, line: string) => Array.from({ length: count }, () => line);
const FULL = '8H';
const HALF = '5H 3C';
const BARE = '8F';
const EMPTY = '8C';
const BROOD = '1E 1L 4S 1P 1H';
const SEALED = '6S 2H';

const CASES: readonly Case[] = [
  // Food
  ['food: five outer frames full of honey', 'stores', times(5, FULL), 'enough-seen', /enough/],
  [
    'food: three full outer frames, two of brood',
    'stores',
    [...times(3, FULL), ...times(2, BROOD)],
    'enough-seen',
    /enough/,
  ],
  [
    'food: nine frames with 5 to 6 eighths of honey on the outer sides',
    'stores',
    [...times(3, HALF), ...times(4, BROOD), ...times(2, HALF)],
    'enough-seen',
    /enough/,
  ],
  ['food: one full frame only', 'stores', [FULL, ...times(2, BROOD)], 'go-on', /look at 11/],
  ['food: nothing on the first three', 'stores', times(3, EMPTY), 'go-on', /look at 11/],
  ['food: ten of eleven read, an eighth on each side', 'stores', times(10, '1H 7C'), 'enough-seen', /too little/],
  ['food: ten of eleven read, none at all', 'stores', times(10, EMPTY), 'enough-seen', /too little/],
  ['food: nine read, none', 'stores', times(9, EMPTY), 'enough-seen', /too little/],
  ['food: ten read, just short of the alarm', 'stores', [...times(9, '1H 7C'), FULL], 'go-on', /look at 11/],
  ['food: eight read, none: three may hold it', 'stores', times(8, EMPTY), 'go-on', /look at 11/],
  ['food: all read, little', 'stores', times(11, '1H 7C'), 'enough-seen', /too little|both outer/],
  ['food in fresh nectar counts for what it weighs', 'stores', times(8, '8N'), 'enough-seen', /enough/],
  // Room
  ['room: frames 1 to 3 wholly empty', 'room', times(3, EMPTY), 'enough-seen', /room for a week/],
  ['room: two bare frames', 'room', times(2, BARE), 'enough-seen', /room for a week/],
  ['room: one empty frame', 'room', [EMPTY, BROOD], 'go-on', /look at 10, 11/],
  ['room: half empty sides on four frames', 'room', times(4, '4C 4H'), 'enough-seen', /room for a week/],
  ['room: ten full, one unread', 'room', times(10, FULL), 'enough-seen', /hardly any room/],
  ['room: nine full, two unread', 'room', times(9, FULL), 'enough-seen', /hardly any room/],
  ['room: eight full, three unread', 'room', times(8, FULL), 'go-on', /look at 10, 11/],
  ['room: full frames and one empty, two unread', 'room', [EMPTY, ...times(8, FULL)], 'go-on', /look at 10, 11/],
  // Is she laying?
  ['laying: eggs, larvae and sealed brood seen', 'laying', [FULL, FULL, BROOD], 'enough-seen', /eggs/],
  ['laying: sealed brood alone', 'laying', [FULL, FULL, SEALED], 'go-on', /eggs/],
  ['laying: stores only so far', 'laying', times(3, FULL), 'go-on', /eggs/],
  // Queen cells
  [
    'cells: brood passed at both ends, none',
    'queen-cells',
    [FULL, ...times(4, BROOD), FULL],
    'enough-seen',
    /none seen/,
  ],
  ['cells: still within the brood', 'queen-cells', [FULL, ...times(4, BROOD)], 'go-on', /look at 6/],
  [
    'cells: the wall on one side, stores on the other',
    'queen-cells',
    [...times(3, BROOD), FULL],
    'enough-seen',
    /none seen/,
  ],
  // The bees, the weather and the clock come first
  [
    'answered, but they run: finish and close',
    'stores',
    times(5, FULL),
    'finish-frame',
    /two minutes/,
    { temper: 'pause' },
  ],
  [
    'not answered, and they run: finish and close',
    'stores',
    [FULL],
    'finish-frame',
    /two minutes/,
    { temper: 'pause' },
  ],
  ['they fly at veils', 'laying', [FULL], 'close-now', /defensive/, { temper: 'close' }],
  ['robbing has begun', 'room', times(3, EMPTY), 'close-now', /Robbing/, { robbing: true }],
  ['rain on open brood', 'laying', [FULL, BROOD], 'close-now', /Rain on/, { rainIn: 0 }],
  ['rain in five minutes', 'laying', [FULL], 'finish-frame', /Rain in about 5/, { rainIn: 5 }],
  ['rain in half an hour', 'laying', [FULL], 'go-on', /eggs/, { rainIn: 30 }],
  ['brood out longer than allowed', 'laying', [FULL, SEALED], 'finish-frame', /put it back/, { broodOut: 6 }],
  ['open longer than allowed', 'laying', [FULL], 'close-now', /longer than allowed/, { clock: 'shut-now' }],
  ['time nearly up', 'laying', [FULL], 'finish-frame', /nearly up/, { clock: 'start-closing' }],
  ['six degrees, brood out', 'laying', [FULL, SEALED], 'close-now', /chills/, { temperature: 6 }],
  ['a little smoke is asked for: no reason to close', 'laying', [FULL], 'go-on', /eggs/, { temper: 'smoke' }],
];

describe('stop or go on, as a beekeeper would answer', () => {
  it('has at least thirty cases', () => {
    expect(CASES.length).toBeGreaterThanOrEqual(30);
  });

  it.each(CASES.map(([what, ...rest]) => [what, rest] as const))(
    '%s',
    (_what, [question, frames, answer, why, facts]) => {
      const drill: StopDrill = {
        question,
        read: frames.map((line) => [parseSide(line), parseSide(line)]),
        frames: 11,
        minutesOpen: 12,
        minutesAllowed: 25,
        facts: { ...calm, ...(facts ?? {}) },
      };
      const says = momentSays(drill);
      expect(says.answer).toBe(answer);
      expect(inEnglish(says.why).join(' ')).toMatch(why);
      if (answer === 'finish-frame') expect(inEnglish(says.why).join(' ')).not.toMatch(/^Cover the frames and wait/);
    },
  );
});
