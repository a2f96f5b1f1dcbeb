import type { Sayable } from '@brave-comb/core/language';
import type { Output, endpoints } from '@brave-comb/contract';
import { openingOrder, temperatureAt, tempOf } from '@brave-comb/core/planning';
import { chanceOfStretch, MINUTE } from '@brave-comb/core/weather';
import type { Actor, Context } from '../../context';
import { iso } from '../../dates';
import { planningNames, planningSeason } from '../../facts/planning';
import { notFound } from '../../problem';
import { siteById } from '../../records/equipment';
import { visitsOfSession } from '../../records/inspection';
import { housePracticeOf } from '../../records/people';
import { groupsOfSessions, sessionById } from '../../records/planning';
import { forecastInUse } from '../../records/weather';

/** Which hives each group of a session opens in the minutes that are left. */
export async function nextHives(
  context: Context,
  actor: Actor,
  id: string,
): Promise<Sayable<Output<(typeof endpoints)['nextHives']>>> {
  const { db, clock } = context;
  const session = await sessionById(db, actor, id);
  if (!session) throw notFound('session');
  const site = (await siteById(db, actor.school, session.site))!;
  const [season, rows, visits, practice, forecast] = await Promise.all([
    planningSeason(context, actor.school),
    groupsOfSessions(db, [session.id]),
    visitsOfSession(db, actor.school, session.id),
    housePracticeOf(db, actor.school),
    forecastInUse(context, site),
  ]);
  const now = clock.now().getTime();
  const [from, to] = [Math.max(now, session.starts_at.getTime()), session.ends_at.getTime()];
  const outlook = forecast.ensemble && { ensemble: forecast.ensemble, place: site, limits: practice.limits };
  const fit = outlook && from < to ? chanceOfStretch(outlook, session.depth, from, to) : 1;
  const temp = tempOf(outlook ? temperatureAt(outlook, (from + to) / 2) : 15);
  const say = planningNames(season);
  const opened = visits.map(({ hive }) => hive);
  const toldTo = (group: string) =>
    rows.filter((row) => row.trainee_group === group && !opened.includes(row.hive)).map(({ hive }) => hive);
  const all = season.groups.filter(({ id: group }) => rows.some((row) => row.trainee_group === group));
  // Beyond what was told, no two groups are sent to one hive.
  const dealt: string[] = [];
  const groups = all.map(({ id: group }) => {
    const others = all.flatMap((each) => (each.id === group ? [] : toldTo(each.id)));
    const left = Math.floor((to - from) / MINUTE) - minutesStillOpen(season, group, visits, now);
    const supervisor = rows.find((row) => row.trainee_group === group)?.supervisor;
    const minutesLeft = Math.max(0, left);
    const order = openingOrder(season.problem, {
      group,
      minutesLeft,
      fit,
      temp,
      site: site.id,
      taken: new Set([...opened, ...others, ...dealt]),
      told: toldTo(group),
      senior: season.supervisors.find((each) => each.id === supervisor)?.senior ?? false,
    });
    dealt.push(...order.flatMap(({ hive, says: why }) => (why === null ? [hive] : [])));
    return {
      group,
      minutesLeft,
      hives: order.map(({ hive, minutes, points, leaves, says }) => ({
        id: hive,
        number: season.colonies.find((each) => each.hive.id === hive)?.hive.number ?? '?',
        minutes,
        points: Math.round(points * 10) / 10,
        leaves: leaves === null ? null : Math.floor(leaves),
        says: says === null ? null : say(says),
      })),
    };
  });
  return { at: iso(now), groups };
}

/** Minutes that a group will still need at the hive that it has open. */
function minutesStillOpen(
  { problem }: Awaited<ReturnType<typeof planningSeason>>,
  group: string,
  visits: Awaited<ReturnType<typeof visitsOfSession>>,
  now: number,
): number {
  const pace = problem.groups.find(({ id }) => id === group)?.pace ?? 1;
  const open = visits.filter(({ trainee_group, closed_at }) => trainee_group === group && closed_at === null);
  return open.reduce((sum, { hive, started_at }) => {
    const minutes = (problem.hives.find(({ id }) => id === hive)?.minutes ?? 20) * pace;
    return sum + Math.max(0, Math.ceil(minutes - (now - started_at.getTime()) / MINUTE));
  }, 0);
}
