import { type Text, named } from '../language';
import type { Letter } from '../inspection';

/** Views of practice: where a drill is done. */
export const PLACES = ['comb', 'find', 'weather', 'order', 'stop', 'next', 'photos'] as const;
export type Place = (typeof PLACES)[number];

/** What can be practised. */
export interface Topic {
  readonly id: string;
  readonly place: Place;
  readonly name: Text;
  readonly asks: Text;
  /** Skills of the usual checklist that it practises; what it shows is another matter. */
  readonly skills: readonly string[];
  /** Seconds that the bees would give, at the easiest and at the hardest level. */
  readonly seconds: readonly [easy: number, hard: number];
  /** How a group practises it together indoors. */
  readonly station: Text;
}

const topic = <Id extends string>(id: Id, rest: Pick<Topic, 'place' | 'skills' | 'seconds'>) => ({
  id,
  ...rest,
  name: named('topic', id),
  asks: named('topicAsks', id),
  station: named('topicStation', id),
});
const comb = (skills: readonly string[]) => ({ place: 'comb', skills, seconds: [90, 30] }) as const;
const find = (skills: readonly string[]) => ({ place: 'find', skills, seconds: [90, 30] }) as const;

/** Everything that can be practised indoors, in the order of a visit. */
export const TOPICS = [
  topic('weather', {
    place: 'weather',
    skills: ['reads-weather'],
    seconds: [60, 25],
  }),
  topic('order', {
    place: 'order',
    skills: ['keeps-parts', 'closes-complete', 'smokes-in-order'],
    seconds: [120, 60],
  }),
  topic('comb-brood', comb(['tells-contents', 'draws-frame'])),
  topic('comb-young', comb(['ages-larvae', 'tells-contents'])),
  topic('comb-stores', comb(['tells-contents', 'estimates-stores', 'wet-nectar'])),
  topic('comb-drones', comb(['tells-lids', 'tells-contents'])),
  topic('comb-spotty', comb(['scores-pattern', 'tells-contents'])),
  topic('comb-building', comb(['tells-comb', 'tells-contents'])),
  topic('comb-record', comb(['tells-contents', 'draws-frame'])),
  topic('find-eggs', find(['finds-eggs'])),
  topic('find-two-eggs', find(['finds-eggs', 'tells-contents'])),
  topic('find-queen', find(['tells-castes'])),
  topic('find-sunken', find(['suspect-lids', 'tells-lids'])),
  topic('trouble', {
    place: 'comb',
    skills: ['suspect-lids', 'larvae-shine'],
    seconds: [75, 30],
  }),
  topic('stop', {
    place: 'stop',
    skills: ['knows-enough', 'eases-off'],
    seconds: [60, 25],
  }),
  topic('next', {
    place: 'next',
    skills: ['decides-room', 'decides-feed', 'dates-revisit'],
    seconds: [90, 45],
  }),
  topic('photos', {
    place: 'photos',
    skills: ['tells-contents'],
    seconds: [45, 20],
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
