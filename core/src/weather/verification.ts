import { meanOf } from '../statistics';
import { within } from '../units';
import { DEPTHS, type Depth, type Limits, fitDepth } from './fitness';
import { type Ensemble, HOUR } from './hour';
import { type Place, sunElevation } from './sun';

/** One forecast of one day, beside what happened. */
export interface Verified {
  /** Whole days from the issue to the day that it was for. */
  readonly lead: number;
  /** Chance that was given for the day having hours fit for a full opening, 0 to 1. */
  readonly chance: number;
  readonly happened: boolean;
  /** Warmest hour by the middle forecast and as observed, °C. */
  readonly warmest: readonly [forecast: number, observed: number];
}

/** How a lead day has done. */
export interface LeadScore {
  readonly lead: number;
  readonly days: number;
  /** Mean of forecast less observed, °C: above 0 the forecast is too warm. */
  readonly bias: number;
  /** Mean size of the error, °C. */
  readonly error: number;
  /** Share of the days on which fit (a chance of half or more) or unfit came true. */
  readonly hitRate: number;
  /** Mean squared gap between the chance and what happened (Brier 1950): 0 is perfect, 0.25 is always saying half. */
  readonly brier: number;
  /** 1 − Brier score / the score of always giving the usual share: 1 perfect, 0 no better than that share, below 0 worse. */
  readonly skill: number | null;
}

/**
 * Brier score of probability forecasts of an event (Brier 1950, in its half form for two classes).
 *
 * @param pairs chance given (0 to 1) and whether it happened; at least one
 * @returns 0 (perfect) to 1
 * @throws RangeError for no pairs or a chance outside 0 to 1
 * @example brierScore([[0.7, true], [0.3, false]]) // 0.09
 */
export function brierScore(pairs: readonly (readonly [chance: number, happened: boolean])[]): number {
  if (pairs.length === 0) throw new RangeError('a Brier score needs at least one forecast');
  return meanOf(pairs.map(([chance, happened]) => (within('chance', chance, 0, 1) - Number(happened)) ** 2));
}

/**
 * Scores of the forecasts by lead day.
 *
 * @param verified forecasts with what happened, any order
 * @returns one score a lead day for which there is a forecast, soonest first
 * @throws RangeError for a chance outside 0 to 1
 */
export function scoresByLead(verified: readonly Verified[]): readonly LeadScore[] {
  const leads = [...new Set(verified.map((each) => each.lead))].sort((a, b) => a - b);
  return leads.map((lead) => {
    const all = verified.filter((each) => each.lead === lead);
    const errors = all.map(({ warmest: [forecast, observed] }) => forecast - observed);
    const brier = brierScore(all.map(({ chance, happened }) => [chance, happened]));
    const usual = meanOf(all.map(({ happened }) => Number(happened)));
    return {
      lead,
      days: all.length,
      bias: meanOf(errors),
      error: meanOf(errors.map(Math.abs)),
      hitRate: meanOf(all.map(({ chance, happened }) => Number(chance >= 0.5 === happened))),
      brier,
      skill: usual > 0 && usual < 1 ? 1 - brier / (usual * (1 - usual)) : null,
    };
  });
}

/** How far ahead the forecast has been worth planning by. */
export interface Trust {
  /** Last lead day that was clearly better than the usual share (skill of at least 0.2), `null` when none was. */
  readonly plan: number | null;
  /** Last lead day that was still better than the usual share. */
  readonly pencil: number | null;
}

/** Skill from which a lead day is worth planning by. Common practice. */
const WORTH = 0.2;
/** Fewest days before a lead day's score says anything. */
const FEWEST = 10;

/**
 * How far to trust the forecast: the last lead day up to which every one was worth it.
 *
 * @param scores by lead day, soonest first
 * @returns the last day to plan by, and the last to pencil in; `null` where too few days are known or none is worth it
 */
export function trustOf(scores: readonly LeadScore[]): Trust {
  const last = (least: number): number | null => {
    let reached: number | null = null;
    for (const { lead, days, skill } of scores) {
      if (days < FEWEST || skill === null || skill < least) break;
      reached = lead;
    }
    return reached;
  };
  return { plan: last(WORTH), pencil: last(0.02) };
}

/** Hours fit for a depth that make a day worth a session. */
export const SESSION_HOURS = 2;

/**
 * Chance that a day has hours enough for a session at a depth: 0 or 1 for an observation.
 *
 * @param ensemble forecast, or observation of one member
 * @param place the site
 * @param limits house practice
 * @param depth how deep
 * @param span midnight and next midnight at the site, ms since 1970
 * @returns share of the members with {@link SESSION_HOURS} fit hours or more, and the middle of their warmest hours; `null` when less than
 *   half of the day is known
 */
export function sessionChance(
  ensemble: Ensemble,
  place: Place,
  limits: Readonly<Record<Depth, Limits>>,
  depth: Depth,
  [from, to]: readonly [number, number],
): { readonly chance: number; readonly warmest: number } | null {
  const start = Date.parse(ensemble.start);
  const first = Math.max(0, Math.round((from - start) / HOUR));
  const last = Math.min(ensemble.members[0]?.length ?? 0, Math.round((to - start) / HOUR));
  if (last - first < 12) return null;
  const sun = Array.from({ length: last - first }, (_, hour) =>
    sunElevation(place, start + (first + hour + 0.5) * HOUR),
  );
  const goal = DEPTHS.indexOf(depth);
  const days = ensemble.members.map((member) => member.slice(first, last));
  const fit = days.filter(
    (hours) => hours.filter((hour, index) => fitDepth(hour, sun[index]!, limits) >= goal).length >= SESSION_HOURS,
  );
  const warmest = days.map((hours) => Math.max(...hours.map((hour) => hour.temperature))).sort((a, b) => a - b);
  return { chance: fit.length / days.length, warmest: warmest[Math.floor(warmest.length / 2)]! };
}
