import type { DayVerdict } from '@brave-comb/contract';
import { addDays } from '@brave-comb/core/units';
import { type Ensemble, type Stretch, judgeSession, nextBest } from '@brave-comb/core/weather';
import { dateAt, hourAt, iso } from '../../dates';
import type { SiteRow } from '../../records/equipment';
import type { HousePractice } from '@brave-comb/core/house';
import type { SessionRow } from '../../records/planning';

const DAYS_AHEAD = 9;

/** Verdicts by forecast and what else they depend on: reckoning one takes tens of milliseconds. */
const reckoned = new WeakMap<Ensemble, Map<string, DayVerdict>>();

/** Go or no-go for one session by one forecast, with the next day that would do. */
export function dayVerdict(
  ensemble: Ensemble,
  site: SiteRow,
  session: SessionRow,
  practice: HousePractice,
  largestGroup: number,
): DayVerdict {
  const known = reckoned.get(ensemble) ?? new Map<string, DayVerdict>();
  reckoned.set(ensemble, known);
  const key = JSON.stringify([
    site.id,
    session.id,
    session.starts_at,
    session.ends_at,
    session.depth,
    practice,
    largestGroup,
  ]);
  const verdict = known.get(key) ?? reckon(ensemble, site, session, practice, largestGroup);
  known.set(key, verdict);
  return verdict;
}

function reckon(
  ensemble: Ensemble,
  site: SiteRow,
  session: SessionRow,
  practice: HousePractice,
  largestGroup: number,
): DayVerdict {
  const outlook = { ensemble, place: site, limits: practice.limits };
  const [first, last] = practice.workingHours;
  const date = dateAt(site.zone, session.starts_at);
  const working = (day: string) => ({ from: hourAt(site.zone, day, first), to: hourAt(site.zone, day, last) });
  const need = {
    depth: session.depth,
    from: session.starts_at.getTime(),
    to: session.ends_at.getTime(),
    largestGroup,
    groupLimit: practice.groupLimit,
  };
  const verdict = judgeSession(outlook, need, working(date));
  const next = nextBest(
    outlook,
    need,
    Array.from({ length: DAYS_AHEAD }, (_, day) => working(addDays(date, day + 1))),
  );
  const hours = <T extends Stretch>({ from, to, ...rest }: T) => ({ ...rest, from: iso(from), to: iso(to) });
  return {
    word: verdict.word,
    best: verdict.best && hours(verdict.best),
    chance: verdict.chance,
    gauges: verdict.gauges,
    turn: verdict.turn && { ...verdict.turn, at: iso(verdict.turn.at) },
    hours: verdict.hours,
    stillPossible: verdict.stillPossible && hours(verdict.stillPossible),
    nextBest: next && hours(next),
  };
}
