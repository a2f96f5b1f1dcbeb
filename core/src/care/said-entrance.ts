import type { EntranceWidth } from '../inspection';

/** What is said of the entrance, wasps and robbers. */
export interface EntranceSentences {
  'bees-in-nest': null;
  'frames-of-bees': { value: number };
  'wasps-a-minute': null;
  'wasps-pass-guards': { aMinute: number };
  'wasps-press': { aMinute: number };
  'few-guards-robbing-season': { bees: number };
  'few-guards': null;
  'robbing-close-narrow': null;
  'one-bee-wide': null;
  'robbing-rule': null;
  'robbing-seen': null;
  'hot-needs-air': null;
  'shuts-for-a-day': null;
  'robbing-stings': null;
  'never-shut-in-heat': null;
  'young-bees-at-noon': null;
  'move-the-robbed-hive': null;
  'robbing-over-queenright': null;
  'narrow-entrance-to': { width: EntranceWidth };
  'entrance-width': { width: EntranceWidth };
  'narrow-rule': null;
  'traps-wasps': null;
  'guards-cope': null;
  'tunnel-or-unite': null;
  'ten-minutes-and-a-week': null;
  'open-the-entrance': null;
  'wide-rule': null;
  'strong-and-busy': { bees: number };
  'keeps-it-small': null;
  'robbers-about': null;
  'narrow-again': null;
  'traffic-flows': null;
  'feed-in-the-evening': null;
  'opened-when-robbing-is-over': null;
}
