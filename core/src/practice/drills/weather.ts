import { DEPTHS, type Depth, type Hindrance, type Limits, type Weather, fitDepth, hindrances } from '../../weather';
import { scattered, roundTo, spoken } from '../../units';
import type { Mark } from '../mark';
import { say } from '../said';

/** An hour in which somebody wants to open a hive. */
export interface WeatherDrill {
  readonly weather: Weather;
  /** Height of the sun, degrees. */
  readonly elevation: number;
  /** Rain in the hour in which closing up would end, mm. */
  readonly rainSoon: number;
}

export interface WeatherAnswer {
  /** Deepest opening, `null` for not even an outside look. */
  readonly depth: Depth | null;
  /** What forbids more, `null` for nothing. */
  readonly because: Hindrance | null;
}

type HousePractice = Readonly<Record<Depth, Limits>>;

/** An hour near the limits: the higher the level, the nearer. */
export function someHour(level: number, seed: number, limits: HousePractice): WeatherDrill {
  const random = scattered(seed);
  const near = (limit: number, spread: number) => limit + (random.unit() - 0.5) * 2 * spread * (1.3 - level / 8);
  const edge = DEPTHS[1 + random.below(DEPTHS.length - 1)]!;
  const { warmth, gust } = limits[edge];
  const lot = random.unit();
  const temperature = roundTo(near(lot < 0.55 ? warmth : warmth + 5, 6), 1);
  const cloud = roundTo(random.unit(), 1);
  const gusts = Math.round(Math.max(3, lot > 0.75 ? near(gust, 15) : 8 + random.unit() * 14));
  const wet = random.unit();
  return {
    weather: {
      temperature,
      dewPoint: roundTo(temperature - 2 - random.unit() * 8, 1),
      wind: Math.round(gusts * 0.6),
      gust: gusts,
      rain: wet > 0.86 ? roundTo(0.2 + random.unit(), 1) : 0,
      cloud: wet > 0.86 ? 1 : cloud,
      thunder: random.unit() > 0.92 ? 0.4 : 0,
    },
    elevation: Math.round(random.unit() > 0.85 ? 2 + random.unit() * 14 : 20 + random.unit() * 35),
    rainSoon: wet > 0.7 && wet <= 0.86 ? roundTo(0.3 + random.unit(), 1) : 0,
  };
}

/** What the school's limits say of an hour: the deepest opening, and everything that forbids the next one. */
export interface HourTruth {
  readonly depth: Depth | null;
  readonly forbids: readonly Hindrance[];
}

/** What the school's limits say of an hour. */
export function hourSays({ weather, elevation, rainSoon }: WeatherDrill, limits: HousePractice): HourTruth {
  const fit = fitDepth(weather, elevation, limits, rainSoon);
  const deeper = DEPTHS[fit + 1];
  return {
    depth: DEPTHS[fit] ?? null,
    forbids: deeper ? hindrances(weather, elevation, limits[deeper], deeper === 'outside' ? 0 : rainSoon) : [],
  };
}

const placeOf = (depth: Depth | null): number => (depth === null ? -1 : DEPTHS.indexOf(depth));

/**
 * Marks an answer: too deep opens a hive that should stay shut and scores nothing; too careful costs a lesson and scores half. Of several
 * things that forbid more, each is a right reason.
 *
 * @param given what was answered
 * @param truth what the school's limits say
 * @returns the mark; right with the depth and a reason
 */
export function markHour(given: WeatherAnswer, truth: HourTruth): Mark {
  const [own, right] = [placeOf(given.depth), placeOf(truth.depth)];
  const told = truth.depth === null ? say('even-outside-look') : say('as-deep-as', { depth: truth.depth });
  const why =
    truth.forbids.length === 0
      ? say('nothing-forbids-full-opening')
      : say('what-forbids-more', { hindrances: truth.forbids.map(spoken) });
  if (own > right) return { score: 0, right: false, says: [say('too-deep-hour-would-hurt'), told, why] };
  if (own < right)
    return { score: own === right - 1 ? 0.5 : 0.25, right: false, says: [say('too-careful-lesson-lost'), told, why] };
  const because = given.because === null ? truth.forbids.length === 0 : truth.forbids.includes(given.because);
  return { score: because ? 1 : 0.7, right: because, says: because ? [told] : [told, why] };
}
