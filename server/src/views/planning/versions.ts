import type { Output, endpoints } from '@brave-comb/contract';
import type { Sayable } from '@brave-comb/core/language';
import type { Actor, Context } from '../../context';
import { versionsOf } from '../../records/planning';

export async function planVersions(
  context: Context,
  actor: Actor,
): Promise<Sayable<Output<(typeof endpoints)['planVersions']>>> {
  const versions = await versionsOf(context.db, actor.school);
  return {
    versions: versions.map(({ version, by_name, at, forecast, plan, reason, changes }) => {
      const { objective, bound } = JSON.parse(plan) as { objective: number; bound: number | null };
      return {
        version,
        by: by_name,
        at: at.toISOString(),
        forecast: forecast && forecast.toISOString(),
        objective,
        bound,
        reason,
        changes,
      };
    }),
  };
}
