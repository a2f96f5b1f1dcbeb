import type { BehindSentences, HeldBackBy } from '../../care';
import type { Sentences } from '../../language';
import { counted } from './counted';

const CAUSE: Readonly<Record<HeldBackBy, string>> = {
  mites: 'mites',
  'not-counted': 'mites, not counted yet',
  food: 'too little food',
  pollen: 'too little pollen',
  'shut-in': 'days without flying',
  sick: 'the health of the brood',
  chill: 'too few bees to warm the brood',
  'no-room': 'no room to lay',
  comb: 'worn comb',
  queen: 'an old queen',
  'dead-bees': 'bees lost outside',
};

const HELPS: Readonly<Record<HeldBackBy, string>> = {
  mites: 'treat by the label, then count again',
  'not-counted': 'wash or roll a sample of bees',
  food: 'feed until a week is in the combs',
  pollen: 'a patty a week, cut small where beetles are',
  'shut-in': 'nothing but food: they catch up with the weather',
  sick: 'first the health of the brood, nothing else before',
  chill: 'close the nest up with a dummy board, narrow the entrance, shut a mesh floor',
  'no-room': 'drawn comb beside the brood',
  comb: 'worn comb outward, drawn comb or foundation beside the brood when they are strong enough',
  queen: 'look at her pattern once more; then a young queen',
  'dead-bees':
    'ask what was sprayed or flowered about; keep a sample of the dead, frozen, and tell the authority where poisoning is thought of',
};

const SEEN: Readonly<Record<BehindSentences['cause-seen']['cause'], string>> = {
  'not-counted': 'Nobody has counted mites this season',
  sick: 'Brood or bees do not look sound',
  chill: 'More brood than the bees keep warm at night',
  'dead-bees': 'Dead bees lie in front of the hive',
};

/** What is said of a colony with too few bees for its brood, and of one that stays behind. */
export const behindSentences: Sentences<BehindSentences> = {
  'brood-and-bees': ({ brood, bees }, w) =>
    `${w.number(brood, 1)} frames of brood and only ${w.number(bees, 1)} frames of bees to cover it`,
  'nights-as-cold-as': ({ low, covered }, w) =>
    `Nights down to ${w.celsius(low, 0)}: drawn together, these bees cover about ${w.number(covered, 1)} frames`,
  'range-lets-them-cover': 'The range of what was read lets them just cover it',
  'close-nest-up': 'Too few bees for their brood in the nights ahead: close the nest up',
  'gives-bees-not-less-room':
    'gives them bees instead: a comb of emerging brood or young bees shaken in, from a strong colony that is certainly healthy.',
  'frames-bare-at-night': ({ short }, w) => `${w.number(short, 1)} frames of brood bare at night`,
  'chill-rule': ({ cold, mild }, w) =>
    `In a mild night a frame of bees keeps about ${w.number(mild, 1)} frame of brood warm, in a frost ${w.number(cold, 1)}. What stays bare is chilled: a dummy board close to the last brood, empty combs outward, entrance narrow, a mesh floor shut, and no opening on a cool day.`,
  'brood-in-nest': 'brood in the nest',
  'covered-at-night': 'covered in the coldest night',
  'give-no-brood-no-box': 'Give them no brood and no box until they cover what they have.',
  'warm-nights-leave-them': 'Nights that stay warm: leave the nest as it is.',
  'young-bees-emerge-soon': 'Much of it sealed and dark: young bees emerge within days and cover the rest.',
  'chilled-brood-cast-out':
    'Brood that still chills is cast out: if much of it dies, take that comb away, and unite a colony that does not recover.',
  'brood-covered-none-chilled': 'Do bees cover all brood, and is none of it dark and dry at the edge of the nest?',
  'found-where-expected': ({ bees, brood, days }, w) => {
    const part = (of: { found: number; low: number; high: number }, what: string) =>
      `${w.number(of.found, 1)} frames of ${what}, where ${w.number(of.low, 1)} to ${w.number(of.high, 1)} were expected`;
    return `${[bees && part(bees, 'bees'), brood && part(brood, 'brood')].filter(Boolean).join('; ')} after ${counted(days, 'day')}`;
  },
  'nothing-seen-that-holds-back': 'Nothing was seen that would hold them back',
  'behind-likely': ({ cause }) => `Behind what was expected, most likely from ${CAUSE[cause]}`,
  'behind-find-out': 'Behind what was expected: find out why',
  'leaves-slow-ones-to-themselves':
    'leaves slow colonies to themselves and breeds from the others: what holds them back is often their own habit.',
  'behind-rule':
    'A sound colony with a laying queen grows, or holds what it has, by the brood that it had at the last look. One that falls short of that by more than the reading may err has a cause; the cause is mended, not the number of bees.',
  'look-first-at': 'look first at',
  'floor-neighbours-queen':
    'the floor (damp, open mesh), strong neighbours that draw its bees, and the queen’s pattern',
  cause: ({ cause }) => CAUSE[cause],
  'helps-against': ({ cause }) => HELPS[cause],
  'model-and-common-practice': 'brood of the last look taken forward day by day; causes by common practice',
  'no-comb-from-others-before-known':
    'Give them no comb of another colony before the cause is known: it may be catching.',
  'grown-by-next-look': 'Grown by the next look: it was the weather.',
  'somebody-took-bees': 'Bees or brood were taken meanwhile and nobody wrote it down: enter it, and this goes.',
  'still-behind-requeen': 'Still behind and no cause found: a young queen of another line, or unite it before winter.',
  'caught-up-or-why': 'Has it caught up? If not, what was found?',
  'mites-over-line': ({ value, limit }, w) =>
    `${w.number(value, 1)} mites on 100 bees; from ${w.number(limit)} on they cost brood and bees`,
  'food-short-for-brood': ({ kg, days }, w) =>
    `${w.kg(kg, 1)} of food, ${days < 1 ? 'less than a day' : `about ${counted(days, 'day')}`} for what they rear`,
  'pollen-short-for-brood': ({ frames }, w) => `${w.number(frames, 1)} frames of pollen, and little comes in`,
  'worn-combs-in-nest': ({ count }) => `${counted(count, 'worn or broken comb')} in the nest`,
  'queen-in-her-season': ({ seasons }) => `A queen in her season ${seasons}`,
  'cause-seen': ({ cause }) => SEEN[cause],
};
