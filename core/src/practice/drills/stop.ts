import {
  type ClockState,
  type CloseFacts,
  type FrameSide,
  QUESTIONS,
  type Question,
  type VisitEntry,
  closeAdvice,
  recordOf,
  seenEnough,
} from '../../inspection';
import { scattered } from '../../units';
import type { Mark } from '../mark';
import { MADE_BOX, MADE_FRAMES, MADE_KIND, madeNest } from './made-hive';
import { say } from '../said';
import { type Text } from '../../language';

export const STOP_ANSWERS = ['go-on', 'enough-seen', 'finish-frame', 'close-now'] as const;
export type StopAnswer = (typeof STOP_ANSWERS)[number];

/** An open hive at one moment. */
export interface StopDrill {
  readonly question: Question;
  /** Both sides of the frames read so far, from frame 1. */
  readonly read: readonly (readonly [low: FrameSide, high: FrameSide])[];
  readonly frames: number;
  readonly minutesOpen: number;
  readonly minutesAllowed: number;
  readonly facts: CloseFacts;
}

/** A moment of an open hive: calm ones and pressed ones in turn. */
export function someMoment(level: number, seed: number): StopDrill {
  const random = scattered(seed);
  const nest = madeNest(
    {
      broodFrames: 5 + random.below(3),
      eggs: random.unit() < 0.75,
      larvae: random.unit() < 0.9,
      food: random.unit(),
      bees: 4 + random.unit() * 4,
      cellFrames: random.unit() < 0.25 ? 1 : 0,
    },
    random,
  );
  const read = nest.slice(0, 3 + random.below(MADE_FRAMES - 3));
  const pressed = random.unit() < 0.25 + level * 0.04;
  const minutesAllowed = 25;
  const share = pressed ? 0.6 + random.unit() * 0.5 : 0.3 + random.unit() * 0.4;
  const lot = pressed ? random.below(6) : -1;
  const clock: ClockState = share >= 1 ? 'shut-now' : share >= 0.8 ? 'start-closing' : 'well';
  return {
    question: QUESTIONS[random.below(4)]!,
    read,
    frames: MADE_FRAMES,
    minutesOpen: Math.round(share * minutesAllowed),
    minutesAllowed,
    facts: {
      temper: lot === 0 ? 'close' : lot === 1 ? 'pause' : random.unit() < 0.2 ? 'smoke' : 'go-on',
      clock,
      broodOut: lot === 2 ? 6 : 1,
      broodAllowed: 5,
      temperature: Math.round(15 + random.unit() * 8),
      rainIn: lot === 3 ? 2 + random.below(8) : lot === 4 ? 0 : null,
      robbing: lot === 5,
    },
  };
}

/** What is to be done, and why: the bees and the weather first, then whether enough was seen. */
export function momentSays(drill: StopDrill): { readonly answer: StopAnswer; readonly why: readonly Text[] } {
  const { level, reasons } = closeAdvice(drill.facts);
  if (level === 'close-now') return { answer: 'close-now', why: reasons };
  if (level === 'hurry') return { answer: 'finish-frame', why: reasons };
  const entries = drill.read.flatMap((faces, index): VisitEntry[] =>
    (['low', 'high'] as const).map((face, side) => ({
      id: `${index}${face}`,
      at: new Date(0).toISOString(),
      by: '',
      body: {
        kind: 'frame-side-recorded',
        address: { box: MADE_BOX, frame: index + 1, face },
        side: faces[side]!,
        seen: null,
      },
    })),
  );
  const place = { box: MADE_BOX, frames: drill.frames, kind: MADE_KIND, minutesOpen: drill.minutesOpen, late: false };
  const { enough, evidence, framesToGo } = seenEnough(recordOf(entries), [drill.question], place);
  if (enough) return { answer: 'enough-seen', why: evidence.map(({ id, where }) => say('seen-where', { id, where })) };
  return {
    answer: 'go-on',
    why: [
      ...evidence.filter(({ state }) => state === 'missing').map(({ id, where }) => say('seen-where', { id, where })),
      say('to-go', { framesToGo }),
    ],
  };
}

/** Marks an answer: to go on when the bees say close scores nothing, to close a frame early half. */
export function markMoment(given: StopAnswer, drill: StopDrill): Mark {
  const { answer, why } = momentSays(drill);
  if (given === answer) return { score: 1, right: true, says: why };
  const [own, right] = [STOP_ANSWERS.indexOf(given), STOP_ANSWERS.indexOf(answer)];
  const says = [say('better', { answer }), ...why];
  if (answer === 'enough-seen' && given === 'finish-frame') return { score: 0.6, right: false, says };
  return { score: own > right ? 0.5 : 0, right: false, says };
}
