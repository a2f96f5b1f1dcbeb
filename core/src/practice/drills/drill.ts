import { Unfit } from '../../language';
import type { AdviceKind } from '../../care';
import { EMPTY_SIDE, type FrameSide, type SideAddress } from '../../inspection';
import type { Depth, Limits } from '../../weather';
import { scattered } from '../../units';
import { type Trouble, layComb, recipeOfSide } from '../comb';
import type { Mark } from '../mark';
import { type PhotoQuestion, markPhoto } from '../photo';
import type { TopicId } from '../topics';
import { type CombPicture, combToRead, isSubject, markTrouble, pictureOf, troubledComb } from './comb';
import { type Find, type FindDrill, type Touch, markTouches, somethingToFind } from './find';
import { type NextDrill, markNext, someColony } from './next';
import { type OrderDrill, markOrder, someOrder } from './order';
import { markReading } from './reading';
import { type StopAnswer, type StopDrill, markMoment, someMoment } from './stop';
import { type WeatherAnswer, type WeatherDrill, hourSays, markHour, someHour } from './weather';
import { say } from '../said';

/** What a drill is made from besides its seed: the school's own limits, and what was recorded. */
export interface DrillSources {
  readonly limits: Readonly<Record<Depth, Limits>>;
  /** The recorded side to be read, for "comb from the record". */
  readonly side?: FrameSide | undefined;
  /** A recorded colony with the judges' advice, for "what next" from the record. */
  readonly colony?: NextDrill | undefined;
  readonly photo?: PhotoQuestion | undefined;
}

/** Where something recorded stands. */
export interface Recorded {
  readonly visit: string;
  /** The side, for a comb. */
  readonly address: SideAddress | null;
}

/** Something to be practised once. */
export type Drill =
  | ({ readonly kind: 'comb' } & CombPicture)
  | ({ readonly kind: 'trouble'; readonly trouble: Trouble | null } & CombPicture)
  | ({ readonly kind: 'find' } & FindDrill)
  | ({ readonly kind: 'weather' } & WeatherDrill)
  | ({ readonly kind: 'order' } & OrderDrill)
  | ({ readonly kind: 'stop' } & StopDrill)
  | ({ readonly kind: 'next' } & NextDrill)
  | ({ readonly kind: 'photo' } & PhotoQuestion);

/** What somebody answered. */
export type Answer =
  | { readonly kind: 'comb'; readonly side: FrameSide }
  | { readonly kind: 'trouble'; readonly trouble: Trouble | null }
  | { readonly kind: 'find'; readonly touches: readonly Touch[] }
  | ({ readonly kind: 'weather' } & WeatherAnswer)
  | { readonly kind: 'order'; readonly order: readonly string[] }
  | { readonly kind: 'stop'; readonly answer: StopAnswer }
  | { readonly kind: 'next'; readonly advice: AdviceKind }
  | { readonly kind: 'photo'; readonly choice: number }
  | { readonly kind: 'given-up' };

/**
 * Makes a drill. The same topic, level, seed and sources make the same drill, on every device and on the server.
 *
 * @param topic what is practised
 * @param level 1 easy to 8 hard
 * @param seed whole number
 * @param sources the school's limits; what was recorded, for drills from the record
 * @returns the drill
 * @throws RangeError when a drill from the record lacks what was recorded
 */
export function makeDrill(topic: TopicId, level: number, seed: number, sources: DrillSources): Drill {
  if (topic === 'weather') return { kind: 'weather', ...someHour(level, seed, sources.limits) };
  if (topic === 'order') return { kind: 'order', ...someOrder(level, seed) };
  if (topic === 'stop') return { kind: 'stop', ...someMoment(level, seed) };
  if (topic === 'trouble') return { kind: 'trouble', ...troubledComb(level, seed) };
  if (topic === 'next') return { kind: 'next', ...(sources.colony ?? someColony(level, seed)) };
  if (topic === 'photos') {
    if (!sources.photo) throw new Unfit(say('photo-asked-no-more'));
    return { kind: 'photo', ...sources.photo };
  }
  if (topic === 'comb-record') {
    const random = scattered(seed);
    const picture = pictureOf(layComb(recipeOfSide(sources.side ?? EMPTY_SIDE, seed)), Math.min(level, 3), random);
    return { kind: 'comb', ...picture };
  }
  const of = topic.slice(topic.indexOf('-') + 1);
  if (isSubject(of)) return { kind: 'comb', ...combToRead(of, level, seed) };
  return { kind: 'find', ...somethingToFind(of as Find, level, seed) };
}

/**
 * Marks an answer.
 *
 * @param drill what was asked
 * @param answer what was answered
 * @param sources as the drill was made from
 * @returns the mark; an answer to something else, and giving up, scores nothing
 */
export function markAnswer(drill: Drill, answer: Answer, sources: DrillSources): Mark {
  if (drill.kind === 'comb' && answer.kind === 'comb') return markReading(answer.side, drill.side.truth);
  if (drill.kind === 'trouble' && answer.kind === 'trouble') return markTrouble(answer.trouble, drill.trouble);
  if (drill.kind === 'find' && answer.kind === 'find') return markTouches(drill, answer.touches);
  if (drill.kind === 'weather' && answer.kind === 'weather') return markHour(answer, hourSays(drill, sources.limits));
  if (drill.kind === 'order' && answer.kind === 'order') return markOrder(answer.order, drill.order);
  if (drill.kind === 'stop' && answer.kind === 'stop') return markMoment(answer.answer, drill);
  if (drill.kind === 'next' && answer.kind === 'next') return markNext(answer.advice, drill.advice);
  if (drill.kind === 'photo' && answer.kind === 'photo') return markPhoto(answer.choice, drill);
  return { score: 0, right: false, says: [say('given-up-look-without-clock')] };
}
