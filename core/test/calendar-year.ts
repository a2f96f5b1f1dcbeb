import type { Phase, PhaseSpan } from '../src/season';
import { type CivilDate, addDays } from '../src/units';

/** The year of a place: each phase with its first day, the day after the last, and when swarms may leave. */
const YEARS: Readonly<Record<string, readonly (readonly [Phase, CivilDate, CivilDate?, CivilDate?])[]>> = {
  maritime: [
    ['winter-rest', '2025-12-21'],
    ['first-brood', '2026-02-02'],
    ['build-up', '2026-03-21'],
    ['swarm-season', '2026-05-01', '2026-05-01', '2026-06-20'],
    ['flow', '2026-06-21'],
    ['making-winter-bees', '2026-08-11'],
    ['closing-down', '2026-10-11'],
    ['winter-rest', '2026-11-01'],
  ],
  south: [
    ['winter-rest', '2026-06-21'],
    ['build-up', '2026-08-10'],
    ['swarm-season', '2026-09-25', '2026-09-25', '2026-11-25'],
    ['flow', '2026-11-26'],
    ['dearth', '2027-01-20'],
    ['late-flow', '2027-03-01'],
    ['making-winter-bees', '2027-04-01'],
  ],
};
/** The phases of a place. */
export const yearOf = (place: string): readonly PhaseSpan[] => {
  const rows = YEARS[place]!;
  return rows.map(([phase, from, opens, closes], at) => ({
    phase,
    from,
    to: addDays(rows[at + 1]?.[1] ?? addDays(rows[0]![1], 365), -1),
    swarming: opens && closes ? { from: opens, to: closes } : null,
    reasons: [],
  }));
};
