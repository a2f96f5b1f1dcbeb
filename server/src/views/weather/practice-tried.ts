import type { TriedPractice } from '@brave-comb/contract';
import { type HousePractice, practiceTroubles, withFigures } from '@brave-comb/core/house';
import type { Sayable } from '@brave-comb/core/language';
import { DAY, addDays } from '@brave-comb/core/units';
import { chanceOfStretch, hourOutlooks } from '@brave-comb/core/weather';
import type { Body } from '../../body';
import type { Actor, Context } from '../../context';
import { dateAt, hourAt, iso } from '../../dates';
import { sitesOf } from '../../records/equipment';
import { housePracticeOf } from '../../records/people';
import { sessionsBetween } from '../../records/planning';
import { forecastInUse } from '../../records/weather';

const DAYS = 14;

/** What would change with other figures: what is unusual, the fit hours of the coming days, the sessions that are planned. */
export async function tryHousePractice(
  context: Context,
  actor: Actor,
  { changes }: Body<'tryHousePractice'>,
): Promise<Sayable<TriedPractice>> {
  const { db, clock } = context;
  const now = clock.now();
  const before = await housePracticeOf(db, actor.school);
  const after = withFigures(before, changes);
  const troubles = practiceTroubles(after, changes);
  if (troubles.some(({ refused }) => refused)) return { troubles, sites: [], sessions: [] };
  const coming = (await sessionsBetween(db, actor, now, new Date(now.getTime() + DAYS * DAY))).filter(
    ({ status }) => status === 'planned',
  );
  const sites = await Promise.all(
    (await sitesOf(db, actor.school)).map(async (site) => {
      const { ensemble } = await forecastInUse(context, site);
      if (!ensemble) return null;
      const hours = ({ limits, workingHours: [first, last] }: HousePractice, date: string) => {
        const all = hourOutlooks(ensemble, site, limits, hourAt(site.zone, date, first), hourAt(site.zone, date, last));
        return all.length < last - first ? null : all.reduce((sum, { chance }) => sum + chance.full, 0);
      };
      const today = dateAt(site.zone, now);
      const days = Array.from({ length: DAYS }, (_, day) => addDays(today, day)).flatMap((date) => {
        const [was, is] = [hours(before, date), hours(after, date)];
        return was === null || is === null ? [] : [{ date, before: was, after: is }];
      });
      const end = Date.parse(ensemble.start) + (ensemble.members[0]?.length ?? 0) * 3_600_000;
      const sessions = coming
        .filter((session) => session.site === site.id && session.ends_at.getTime() <= end)
        .map(({ starts_at, ends_at }) => {
          const chance = ({ limits }: HousePractice) =>
            chanceOfStretch({ ensemble, place: site, limits }, 'full', starts_at.getTime(), ends_at.getTime());
          return { at: iso(starts_at), site: site.name, before: chance(before), after: chance(after) };
        });
      return { id: site.id, name: site.name, days, sessions };
    }),
  );
  const known = sites.filter((site) => site !== null);
  return {
    troubles,
    sites: known.map(({ id, name, days }) => ({ id, name, days })),
    sessions: known
      .flatMap((site) => site.sessions)
      .filter((session) => Math.abs(session.before - session.after) >= 0.01)
      .toSorted((a, b) => a.at.localeCompare(b.at)),
  };
}
