import { type CompassPoint, COMPASS_POINTS } from '../units';
import { type HivePlace, type PlanHive, type PlanStand, type SitePlan, awayFrom, movedStand } from './plan';
import { type Around, laneTroubles, planTroubles } from './troubles';

/** How a stand comes clear. */
export interface Shift {
  readonly metres: number;
  readonly towards: CompassPoint;
  /** Where its middle comes to stand. */
  readonly to: HivePlace;
}

/** Shifts are looked for so far, in such steps, m. */
const [FURTHEST, STEP] = [5, 0.2];

/**
 * The shortest shift by which a stand comes clear of everything serious, and brings nothing serious to another.
 *
 * @param plan of the site
 * @param hives of the site
 * @param stand that is in trouble
 * @param around the place and how many come
 * @returns the shift; `null` where nothing within five metres helps, or nothing is wrong
 */
export function clearShift(plan: SitePlan, hives: readonly PlanHive[], stand: PlanStand, around: Around): Shift | null {
  const seriousAt = (id: (of: string) => boolean, of: ReturnType<typeof laneTroubles>) =>
    of.filter((each) => each.serious && id(each.stand)).length;
  const before = planTroubles(plan, hives, around);
  if (seriousAt((id) => id === stand.id, before) === 0) return null;
  const elsewhere = seriousAt((id) => id !== stand.id, before);
  for (let step = 1; step * STEP <= FURTHEST + 1e-9; step += 1)
    for (const [point, towards] of COMPASS_POINTS.entries()) {
      const metres = Math.round(step * STEP * 10) / 10;
      const moved = movedStand(stand, { ...awayFrom(stand, point * 45, metres), faces: stand.faces }, hives);
      const after = { ...plan, stands: plan.stands.map((each) => (each.id === stand.id ? moved.stand : each)) };
      if (laneTroubles(after, moved.hives, around).some((trouble) => trouble.stand === stand.id)) continue;
      const whole = planTroubles(after, moved.hives, around);
      if (seriousAt((id) => id === stand.id, whole) > 0 || seriousAt((id) => id !== stand.id, whole) > elsewhere)
        continue;
      return { metres, towards, to: { east: moved.stand.east, north: moved.stand.north, faces: stand.faces } };
    }
  return null;
}
