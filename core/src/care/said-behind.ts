/** What may hold a colony back. */
export type HeldBackBy =
  | 'mites'
  | 'not-counted'
  | 'food'
  | 'pollen'
  | 'shut-in'
  | 'sick'
  | 'chill'
  | 'no-room'
  | 'comb'
  | 'queen'
  | 'dead-bees';

interface FoundAndExpected {
  readonly found: number;
  readonly low: number;
  readonly high: number;
}

/** What is said of a colony with too few bees for its brood, and of one that stays behind. */
export interface BehindSentences {
  'brood-and-bees': { brood: number; bees: number };
  'nights-as-cold-as': { low: number; covered: number };
  'range-lets-them-cover': null;
  'close-nest-up': null;
  'gives-bees-not-less-room': null;
  'frames-bare-at-night': { short: number };
  'chill-rule': { cold: number; mild: number };
  'brood-in-nest': null;
  'covered-at-night': null;
  'give-no-brood-no-box': null;
  'warm-nights-leave-them': null;
  'young-bees-emerge-soon': null;
  'chilled-brood-cast-out': null;
  'brood-covered-none-chilled': null;
  'found-where-expected': { bees: FoundAndExpected | null; brood: FoundAndExpected | null; days: number };
  'nothing-seen-that-holds-back': null;
  'behind-likely': { cause: HeldBackBy };
  'behind-find-out': null;
  'leaves-slow-ones-to-themselves': null;
  'behind-rule': null;
  'look-first-at': null;
  'floor-neighbours-queen': null;
  cause: { cause: HeldBackBy };
  'helps-against': { cause: HeldBackBy };
  'model-and-common-practice': null;
  'no-comb-from-others-before-known': null;
  'grown-by-next-look': null;
  'somebody-took-bees': null;
  'still-behind-requeen': null;
  'caught-up-or-why': null;
  'mites-over-line': { value: number; limit: number };
  'food-short-for-brood': { kg: number; days: number };
  'pollen-short-for-brood': { frames: number };
  'worn-combs-in-nest': { count: number };
  'queen-in-her-season': { seasons: number };
  'cause-seen': { cause: Extract<HeldBackBy, 'not-counted' | 'sick' | 'chill' | 'dead-bees'> };
}
