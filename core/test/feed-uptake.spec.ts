import { describe, expect, it } from 'vitest';
import {
  type ColonyEvent,
  type ColonyFacts,
  feedAnswer as feedAnswerInCodes,
  feedingsOf as feedingsOfInCodes,
  honeyLock as honeyLockInCodes,
} from '../src/care';
import { BROODLESS, GOOD, POOR, TINY, base, nestOf, times } from './colony-facts';
import { answersInEnglish } from './in-english';

const feedAnswer = answersInEnglish(feedAnswerInCodes);
const feedingsOf = answersInEnglish(feedingsOfInCodes);
const honeyLock = answersInEnglish(honeyLockInCodes);

const syrup = (date: string, kg = 5): ColonyEvent => ({ kind: 'feed', what: 'thin-syrup', kg, date });
const fondant: ColonyEvent = { kind: 'feed', what: 'fondant', kg: 2, date: '2026-02-10' };
const empty = (date: string): ColonyEvent => ({ kind: 'feeder-empty', date });

/** Eight frames of bees. What was given, boxes and since when they stand, the day asked, until when it is carried, and which box is not for people. */
const BOXES: readonly (readonly [
  string,
  readonly ColonyEvent[],
  readonly (readonly [string, string | null])[],
  string,
  string | null,
  readonly string[],
])[] = [
  [
    'syrup and super on one day',
    [syrup('2026-05-14')],
    [['super 1', '2026-05-14']],
    '2026-05-16',
    '2026-05-19',
    ['super 1'],
  ],
  [
    'the super stood on before',
    [syrup('2026-05-14')],
    [['super 1', '2026-05-01']],
    '2026-05-16',
    '2026-05-19',
    ['super 1'],
  ],
  [
    'still so when the feed is long gone',
    [syrup('2026-05-14')],
    [['super 1', '2026-05-01']],
    '2026-07-01',
    null,
    ['super 1'],
  ],
  ['a super put on after it was taken', [syrup('2026-05-14')], [['super 1', '2026-05-25']], '2026-05-26', null, []],
  [
    'the feeder was seen empty, then the super',
    [syrup('2026-05-14'), empty('2026-05-16')],
    [['super 1', '2026-05-16']],
    '2026-05-17',
    null,
    [],
  ],
  [
    'the super came a day before the feeder was empty',
    [syrup('2026-05-14'), empty('2026-05-16')],
    [['super 1', '2026-05-15']],
    '2026-05-17',
    null,
    ['super 1'],
  ],
  [
    'two feeds, the second still there',
    [syrup('2026-05-01'), empty('2026-05-04'), syrup('2026-05-14', 8)],
    [],
    '2026-05-16',
    '2026-05-22',
    [],
  ],
  ['fondant in February, supers in May', [fondant], [['super 1', '2026-05-10']], '2026-05-12', null, []],
  [
    'only the second of two boxes was on',
    [syrup('2026-05-14')],
    [
      ['super 1', '2026-05-20'],
      ['super 2', '2026-05-10'],
    ],
    '2026-05-21',
    null,
    ['super 2'],
  ],
  ['nobody noted when the box came on', [syrup('2026-05-14')], [['super 1', null]], '2026-05-21', null, ['super 1']],
  ['nobody noted it, fed last autumn', [syrup('2025-09-10')], [['super 1', null]], '2026-05-21', null, []],
  [
    'fed only after the day that is asked for',
    [syrup('2026-05-20')],
    [['super 1', '2026-05-01']],
    '2026-05-16',
    null,
    [],
  ],
];

describe('feed and honey boxes', () => {
  it.each(BOXES)('%s', (_name, events, boxes, today, fedUntil, locked) => {
    const lock = honeyLock(
      [],
      boxes.map(([name, since]) => ({ name, since })),
      today,
      feedingsOf(events, 8),
    );
    expect(lock.fedUntil).toBe(fedUntil);
    expect(lock.locked.map(({ name }) => name)).toEqual(locked);
    expect(lock.standing).toEqual(boxes.map(([name]) => name));
  });
});

const clover = { plant: 'White clover', nectar: 4, pollen: 3, from: '2026-05-28', to: '2026-07-25', giveOrTake: 0 };
const bramble = { ...clover, plant: 'Bramble' };
const autumn = { today: '2026-09-20', phase: 'closing-down' } as const;
const FULL = nestOf(...times(16, '8H B6'), ...times(6, '2H 1P 1E 1L 3S B6'));

/** What is known, whether they are fed, and words that the reason must hold. */
const ANSWERS: readonly (readonly [string, Partial<ColonyFacts>, 'yes' | 'no' | 'not-known', RegExp])[] = [
  ['food enough in May', {}, 'no', /kg found, at least 5 kg wanted; lasts about \d+ days/],
  ['hardly any food, poor days', { nest: POOR, poorDays: 6 }, 'yes', /kg of food/],
  [
    'hardly any food in a flow',
    { nest: TINY, inBloom: [clover], nectar: 4, poorDays: 1 },
    'no',
    /White clover in bloom.*gather/,
  ],
  [
    'starving in a flow',
    { nest: nestOf(...times(22, '1E 2L 3S 2C B6')), inBloom: [clover], nectar: 4, poorDays: 1 },
    'yes',
    /less than a day/,
  ],
  [
    'two supers 95 % full, clover in bloom',
    { nest: POOR, supers: 2, superKg: 20, superFill: 0.95, inBloom: [clover, bramble], nectar: 6 },
    'no',
    /kg found/,
  ],
  ['under half of the frames read', { framesRead: 5 }, 'not-known', /5 of 11 frames were read/],
  ['one frame looked at and that one poor', { framesRead: 1, nest: POOR }, 'not-known', /1 of 11/],
  ['enough for winter', { ...autumn, nest: FULL }, 'no', /for winter/],
  ['too little for winter', { ...autumn, nest: GOOD }, 'yes', /for winter/],
  [
    'winter rest, broodless, ample food',
    { today: '2026-12-10', phase: 'winter-rest', nest: BROODLESS, highs: [6, 5, 7, 6, 6, 5, 6] },
    'no',
    /lasts about/,
  ],
  ['phase unknown, food enough', { phase: null }, 'no', /kg found/],
];

describe('feed, yes or no', () => {
  it.each(ANSWERS)('%s', (_name, more, feed, why) => {
    const answer = feedAnswer({ ...base, ...more });
    expect(answer.feed).toBe(feed);
    expect(answer.why).toMatch(why);
  });
});
