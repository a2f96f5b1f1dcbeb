import type { PhaseSpan } from '@brave-comb/core/season';
import type { Context } from '../../context';
import { dayAtSchool, sitesOf } from '../../records/equipment';
import { siteSeason } from './site-season';

/** Today and the phases of the year at a school, by its first site; no phases before it has one. */
export async function schoolPhases(
  context: Context,
  school: string,
): Promise<{ readonly today: string; readonly phases: readonly PhaseSpan[] }> {
  const [site] = await sitesOf(context.db, school);
  if (site) return siteSeason(context, site);
  return { today: await dayAtSchool(context.db, school, context.clock.now()), phases: [] };
}
