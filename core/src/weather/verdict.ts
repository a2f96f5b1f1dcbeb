import type { Depth } from './fitness';
import { type Gauge, gaugesOf } from './gauges';
import { type HourOutlook, hourOutlooks } from './outlook';
import { HOUR, MINUTE } from './hour';
import { type Outlook, type Stretch, type Turn, bestStretch, chanceOfStretch, turnOf } from './stretch';

/** What a planned session needs of the day. Instants in ms since 1970. */
export interface SessionNeed {
  readonly depth: Depth;
  readonly from: number;
  readonly to: number;
  readonly largestGroup: number;
  /** Most trainees at one hive, by house practice. */
  readonly groupLimit: number;
}

/** The span of hours in which people may be out, at the site: from the first to the last working hour. */
export interface WorkingDay {
  readonly from: number;
  readonly to: number;
}

/** Go or not, with its reasons. */
export interface Verdict {
  /** Go as planned; move to better hours the same day; shorten (fewer frames or less time); no. */
  readonly word: 'go' | 'move' | 'short' | 'no';
  /** The hours to use and how deep, `null` on a no. */
  readonly best: (Stretch & { readonly depth: Depth }) | null;
  /** Chance of the session as it was planned. */
  readonly chance: number;
  readonly gauges: readonly Gauge[];
  readonly turn: Turn | null;
  readonly hours: readonly HourOutlook[];
  /** What can still be done on a no. */
  readonly stillPossible: (Stretch & { readonly depth: Depth }) | null;
}

/** A session goes ahead from this chance on. House practice; seven in ten. */
export const GO_CHANCE = 0.7;
/** Odds below which hours count as not fit at all: less than one forecast in twenty. */
export const HARDLY = 0.05;
const DAY = 24 * HOUR;
/** Below this many minutes a stretch is not worth putting the veils on. */
const SHORTEST = 40;

/**
 * Go or no-go for a session: the chance of its hours, the better hours of the day if there are any, and the reasons.
 *
 * @param outlook forecast, place, house practice
 * @param need the session
 * @param day working hours of that day at the site
 * @returns the verdict
 */
export function judgeSession(outlook: Outlook, need: SessionNeed, day: WorkingDay): Verdict {
  const chance = chanceOfStretch(outlook, need.depth, need.from, need.to);
  const minutes = (need.to - need.from) / MINUTE;
  const within: readonly [number, number] = [day.from, day.to];
  const common = {
    chance,
    gauges: gaugesOf(outlook, need),
    hours: hourOutlooks(outlook.ensemble, outlook.place, outlook.limits, day.from, day.to),
    stillPossible: null,
  };
  if (chance >= GO_CHANCE) {
    const best = { from: need.from, to: need.to, chance, depth: need.depth };
    return { ...common, word: 'go', best, turn: turnOf(outlook, need.depth, need.from, day.to) };
  }
  const moved = bestStretch(outlook, need.depth, minutes, within, need.from);
  if (moved && moved.chance >= GO_CHANCE) {
    const best = { ...moved, depth: need.depth };
    return { ...common, word: 'move', best, turn: turnOf(outlook, need.depth, moved.from, day.to) };
  }
  const shorter = shortened(outlook, need, within, minutes);
  if (shorter)
    return { ...common, word: 'short', best: shorter, turn: turnOf(outlook, shorter.depth, shorter.from, day.to) };
  const lid = bestStretch(outlook, 'lid', 30, within, need.from);
  const stillPossible = lid && lid.chance >= GO_CHANCE ? { ...lid, depth: 'lid' as const } : null;
  return { ...common, word: 'no', best: null, turn: null, stillPossible };
}

function shortened(
  outlook: Outlook,
  need: SessionNeed,
  within: readonly [number, number],
  minutes: number,
): (Stretch & { readonly depth: Depth }) | null {
  for (let shorter = minutes - 20; shorter >= SHORTEST; shorter -= 20) {
    const stretch = bestStretch(outlook, need.depth, shorter, within, need.from);
    if (stretch && stretch.chance >= GO_CHANCE) return { ...stretch, depth: need.depth };
  }
  if (need.depth !== 'full') return null;
  const quick = bestStretch(outlook, 'one-frame', Math.min(minutes, 60), within, need.from);
  return quick && quick.chance >= GO_CHANCE ? { ...quick, depth: 'one-frame' } : null;
}

/**
 * The next day with hours for the same session.
 *
 * @param outlook forecast, place, house practice
 * @param need the session
 * @param days working hours of the days to look at, soonest first
 * @param likelyEnough chance from which the first such day is taken; otherwise the likeliest of all
 * @returns the stretch, or `null` when the forecast holds none
 */
export function nextBest(
  outlook: Outlook,
  need: SessionNeed,
  days: readonly WorkingDay[],
  likelyEnough = GO_CHANCE,
): Stretch | null {
  const minutes = (need.to - need.from) / MINUTE;
  let best: Stretch | null = null;
  for (const day of days) {
    const later = (need.from - day.from) % DAY;
    const wished = day.from + (later < 0 ? later + DAY : later);
    const stretch = bestStretch(outlook, need.depth, minutes, [day.from, day.to], wished);
    if (!stretch || stretch.chance < HARDLY) continue;
    if (stretch.chance >= likelyEnough) return stretch;
    if (!best || stretch.chance > best.chance) best = stretch;
  }
  return best;
}
