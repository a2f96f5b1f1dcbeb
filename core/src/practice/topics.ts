import type { Letter } from '../inspection';

/** Views of practice: where a drill is done. */
export const PLACES = ['Comb', 'Find', 'Weather', 'Order', 'Stop', 'Next', 'Photos'] as const;
export type Place = (typeof PLACES)[number];

/** What can be practised. */
export interface Topic {
  readonly id: string;
  readonly place: Place;
  readonly name: string;
  readonly asks: string;
  /** Skills of the usual checklist that it practises; what it shows is another matter. */
  readonly skills: readonly string[];
  /** Seconds that the bees would give, at the easiest and at the hardest level. */
  readonly seconds: readonly [easy: number, hard: number];
  /** How a group practises it together indoors. */
  readonly station: string;
}

const topic = <Id extends string>(id: Id, rest: Omit<Topic, 'id'>) => ({ id, ...rest });
const comb = (asks: string, skills: readonly string[], station: string) =>
  ({ place: 'Comb', asks, skills, seconds: [90, 30], station }) as const;
const find = (asks: string, skills: readonly string[], station: string) =>
  ({ place: 'Find', asks, skills, seconds: [90, 30], station }) as const;

/** Everything that can be practised indoors, in the order of a visit. */
export const TOPICS = [
  topic('weather', {
    place: 'Weather',
    name: 'Weather',
    asks: 'How deep may the hive be opened in this hour, and what forbids more?',
    skills: ['reads-weather'],
    seconds: [60, 25],
    station: 'Weather cards: each says go, quick or no, and names what would turn it.',
  }),
  topic('order', {
    place: 'Order',
    name: 'Order of steps',
    asks: 'Put the steps of this visit in order.',
    skills: ['keeps-parts', 'closes-complete', 'smokes-in-order'],
    seconds: [120, 60],
    station: 'An empty hive: one calls the next step, another does it, the rest say "stop" when it is wrong.',
  }),
  topic('comb-brood', {
    name: 'Brood comb',
    ...comb(
      'Read it in eighths.',
      ['tells-contents', 'draws-frame'],
      'Two read the same comb, then settle where they differ before the truth is shown.',
    ),
  }),
  topic('comb-young', {
    name: 'Eggs and larvae',
    ...comb(
      'Read it in eighths; mind the rim.',
      ['ages-larvae', 'tells-contents'],
      'Light from above, then along the cells: what did the second look add?',
    ),
  }),
  topic('comb-stores', {
    name: 'Stores and pollen',
    ...comb(
      'Read it in eighths; open or capped?',
      ['tells-contents', 'estimates-stores', 'wet-nectar'],
      'Ten store combs: eighths, then kilograms, then the scale.',
    ),
  }),
  topic('comb-drones', {
    name: 'Drone brood',
    ...comb(
      'Read it in eighths; flat or domed?',
      ['tells-lids', 'tells-contents'],
      'Flat, domed or bullet: thumb up, flat or down at each picture.',
    ),
  }),
  topic('comb-spotty', {
    name: 'Spotty brood',
    ...comb(
      'Read it in eighths; how much of the brood stands open?',
      ['scores-pattern', 'tells-contents'],
      'Lay a frame of ten by ten cells on the comb and count the open ones.',
    ),
  }),
  topic('comb-building', {
    name: 'New comb',
    ...comb(
      'Read it in eighths; how far is it drawn?',
      ['tells-comb', 'tells-contents'],
      'Foundation, half drawn and old comb side by side: date them.',
    ),
  }),
  topic('comb-record', {
    name: 'Comb from the record',
    ...comb(
      'Read this recorded side in eighths.',
      ['tells-contents', 'draws-frame'],
      'Last visit’s frames in their order: read them as a visit, one writes.',
    ),
  }),
  topic('find-eggs', {
    name: 'Find the eggs',
    ...find('Touch five cells with an egg.', ['finds-eggs'], 'Dark and light comb in turn: who sees eggs on which?'),
  }),
  topic('find-two-eggs', {
    name: 'Two eggs in a cell',
    ...find(
      'Touch the cell with two eggs, if there is one.',
      ['finds-eggs', 'tells-contents'],
      'One egg, two, none: read out cell by cell.',
    ),
  }),
  topic('find-queen', {
    name: 'Find the queen',
    ...find(
      'Touch the queen, or say that she is not on this side.',
      ['tells-castes'],
      'Rim first, then inward: ten seconds a side, then pass it on.',
    ),
  }),
  topic('find-sunken', {
    name: 'Sunken lids',
    ...find(
      'Touch every lid that is sunken or pierced, or say that there is none.',
      ['suspect-lids', 'tells-lids'],
      'Sound and sunken lids mixed: each says what the next step would be.',
    ),
  }),
  topic('trouble', {
    place: 'Comb',
    name: 'What is wrong?',
    asks: 'Name what this comb shows, or that it is sound.',
    skills: ['suspect-lids', 'larvae-shine'],
    seconds: [75, 30],
    station: 'Pictures of troubles: name it, say whom to call and what stays in the hive.',
  }),
  topic('stop', {
    place: 'Stop',
    name: 'Stop or go on',
    asks: 'The hive is open. Go on, finish this frame, or close?',
    skills: ['knows-enough', 'eases-off'],
    seconds: [60, 25],
    station: 'Read out a visit frame by frame: each raises a hand when it has seen enough.',
  }),
  topic('next', {
    place: 'Next',
    name: 'What next',
    asks: 'What does this colony need next?',
    skills: ['decides-room', 'decides-feed', 'dates-revisit'],
    seconds: [90, 45],
    station: 'A colony’s record on the wall: two groups argue for two answers.',
  }),
  topic('photos', {
    place: 'Photos',
    name: 'Own photos',
    asks: 'Say what the photo shows.',
    skills: ['tells-contents'],
    seconds: [45, 20],
    station: 'The school’s own photos, one by one: all write, then all show.',
  }),
] as const satisfies readonly Topic[];
export type TopicId = (typeof TOPICS)[number]['id'];
export const TOPIC_IDS = TOPICS.map(({ id }) => id);

/** A topic by its id. */
export const topicOf = (id: TopicId): Topic => TOPICS.find((each) => each.id === id)!;

/** Combs on which a letter is drilled. */
const DRILLED_ON: Readonly<Record<Letter, TopicId>> = {
  E: 'comb-young',
  L: 'comb-young',
  S: 'comb-brood',
  D: 'comb-drones',
  P: 'comb-stores',
  N: 'comb-stores',
  H: 'comb-stores',
  C: 'comb-building',
  F: 'comb-building',
  X: 'trouble',
};

/**
 * The drill that follows from a habit of reading.
 *
 * @param letters what is read wrong; of two that are mixed up, brood with the rest is drilled on brood comb
 * @returns a topic of combs
 * @throws RangeError without any letter
 */
export function topicForLetters(letters: readonly Letter[]): TopicId {
  const topics = [...new Set(letters.map((letter) => DRILLED_ON[letter]))];
  if (topics[0] === undefined) throw new RangeError('name at least one thing that is read wrong');
  return topics.length === 1 ? topics[0] : 'comb-brood';
}
