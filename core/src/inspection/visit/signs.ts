import { say } from '../said';
import type { Text } from '../../language';
/** What bees do before they sting, mildest first. */
export const BEE_SIGNS = ['running', 'buzz-changed', 'head-butt', 'at-the-hand', 'following'] as const;
export type BeeSign = (typeof BEE_SIGNS)[number];

export interface NotedSign {
  readonly sign: BeeSign | 'sting';
  readonly at: string;
}

export type TemperAdvice = 'go-on' | 'smoke' | 'pause' | 'close';

/** Signs fade: after this long one counts half. Common practice. */
const HALF_LIFE_MINUTES = 5;
/** What each sign counts for. A head-butt earns the first gentle smoke, one bee at the hand begins the closing. Common practice. */
const COUNTS: Readonly<Record<NotedSign['sign'], number>> = {
  running: 0.6,
  'buzz-changed': 0.8,
  'head-butt': 1,
  'at-the-hand': 2.2,
  following: 1.6,
  sting: 1.8,
};
const FROM: readonly (readonly [number, TemperAdvice])[] = [
  [4, 'close'],
  [2, 'pause'],
  [0.5, 'smoke'],
];

/**
 * What the bees' signs of the last minutes ask for.
 *
 * @param signs signs and stings noted so far, any order
 * @param mood latest mood, 1 quiet to 5 close up; `null` when nobody noted one
 * @param now ms since 1970
 * @returns go on, smoke gently, cover and pause, or close; with the reckoned pressure (0 and up)
 * @example temperAdvice([], 5, Date.now()).advice // 'close'
 */
export function temperAdvice(
  signs: readonly NotedSign[],
  mood: number | null,
  now: number,
): { readonly advice: TemperAdvice; readonly pressure: number } {
  const pressure = signs.reduce((sum, { sign, at }) => {
    const minutes = Math.max(0, (now - Date.parse(at)) / 60_000);
    return sum + COUNTS[sign] * 0.5 ** (minutes / HALF_LIFE_MINUTES);
  }, 0);
  const reached = FROM.find(([from]) => pressure >= from)?.[1] ?? 'go-on';
  const asked: TemperAdvice = mood === 5 ? 'close' : mood === 4 ? 'pause' : 'go-on';
  const order: readonly TemperAdvice[] = ['go-on', 'smoke', 'pause', 'close'];
  return { advice: order.indexOf(asked) > order.indexOf(reached) ? asked : reached, pressure };
}

/**
 * Temper of a colony at one visit, 1 gentle to 5 not fit for beginners: the worst mood that was noted, one more when bees followed or stung
 * more than once in ten minutes.
 *
 * @param moods moods noted, 1 to 5
 * @param signs signs and stings
 * @param minutes minutes open, above 0
 * @returns 1 to 5; `null` when nothing was noted
 * @example temperScore([2, 3], [], 20) // 3
 */
export function temperScore(moods: readonly number[], signs: readonly NotedSign[], minutes: number): number | null {
  if (moods.length === 0 && signs.length === 0) return null;
  const stings = signs.filter(({ sign }) => sign === 'sting').length;
  const followed = signs.some(({ sign }) => sign === 'following');
  const hot = followed || (stings * 10) / Math.max(10, minutes) > 1;
  return Math.min(5, Math.max(1, ...moods) + (hot ? 1 : 0));
}

/** What a line of temper scores says about a colony. */
export interface TemperTrend {
  readonly suitsNovices: boolean;
  readonly says: Text;
}

/** Mean mood, 1 calm to 5 hot, up to which a hive is for novices. Common practice. */
export const NOVICE_TEMPER = 2.5;
/** Mood from which a hive is hot. Common practice. */
export const HOT_TEMPER = 4;

/**
 * Reads the temper of a colony over its last visits. One bad day is weather or a dearth; the same again is the stock.
 *
 * @param scores temper at each visit, 1 to 5, oldest first
 * @returns whether novices may work it, and what it means for raising queens. Common practice
 * @example temperTrend([2, 2, 1]).suitsNovices // true
 */
export function temperTrend(scores: readonly number[]): TemperTrend {
  const last = scores.at(-1);
  if (last === undefined) return { suitsNovices: false, says: say('temper-noted-yet-experienced-hands') };
  const recent = scores.slice(-3);
  const mean = recent.reduce((sum, score) => sum + score, 0) / recent.length;
  const line = say('temper', { scores });
  if (recent.filter((score) => score >= HOT_TEMPER).length >= 2)
    return { suitsNovices: false, says: say('hot-again-novices-daughters-queen', { line }) };
  const before = recent.slice(0, -1);
  if (before.length > 0 && last - before.reduce((sum, score) => sum + score, 0) / before.length >= 1.5)
    return { suitsNovices: false, says: say('rising-queen-dearth-robbing-weather', { line }) };
  if (mean <= NOVICE_TEMPER && last < HOT_TEMPER)
    return {
      suitsNovices: true,
      says: say('suits-novices', { line, length: recent.length, value: Math.max(...recent) }),
    };
  return { suitsNovices: false, says: say('practised-hands', { line }) };
}
