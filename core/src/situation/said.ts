import { type Text, saying } from '../language';

/** What this room says: what is wrong with a situation, and what was taken for granted. */
export interface SituationSentences {
  'no-nest-box': null;
  'not-in-the-stack': { part: string; parts: readonly string[] };
  'two-parts-alike': { part: string };
  'too-many-frames': { part: string; frames: number; takes: number };
  'side-line': { line: string; why: Text };
  'no-such-plant': { plant: string };
  'year-begins': { latitude: number };
  'last-before-first': { plant: string };
  'before-is-not-before': { date: string; today: string };
  'event-ahead': { date: string; today: string };
  'measure-unfit': { why: string };
  'phase-said': null;
}
export const say = saying<SituationSentences>('situation');
