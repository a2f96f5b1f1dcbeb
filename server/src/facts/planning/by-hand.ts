import type { Text } from '@brave-comb/core/language';
import { type NextHive, cannotCome, openingOrder, temperatureAt, tempOf } from '@brave-comb/core/planning';
import { type CivilDate, addDays, daysBetween } from '@brave-comb/core/units';
import {
  type Depth,
  type FitSpan,
  type Outlook,
  DEPTHS,
  MINUTE,
  chanceOfStretch,
  fitSpans,
} from '@brave-comb/core/weather';
import { DateTime } from 'luxon';
import type { Actor, Context } from '../../context';
import { dateAt, hourAt } from '../../dates';
import { say } from '../../words';
import { type SiteRow, siteOf } from '../../records/equipment';
import type { HousePractice } from '@brave-comb/core/house';
import { housePracticeOf } from '../../records/people';
import { groupsOfSessions, ledCounts, sessionsBetween, termsOf, usualTerms } from '../../records/planning';
import { forecastInUse } from '../../records/weather';
import { planningNames } from './names';
import { type PlanningSeason, planningSeason } from './season-facts';

/** A session that nobody gave hours lasts so long, and begins so early where no forecast says better. Common practice. */
const [USUAL, USUAL_START] = [120, 13 * 60];
const STEP = 15;

/** What a session made by hand could be. */
export interface HandFacts {
  readonly found: Awaited<ReturnType<typeof siteOf>>;
  readonly season: PlanningSeason;
  readonly date: CivilDate;
  readonly today: CivilDate;
  /** Instants, ms since 1970. */
  readonly from: number;
  readonly to: number;
  readonly depth: Depth;
  readonly spans: readonly FitSpan[];
  /** Share of the forecasts in which the hours are fit for the depth; null beyond the forecast. */
  readonly fit: number | null;
  readonly leastFit: number;
  readonly groups: readonly HandGroup[];
  readonly supervisors: readonly { readonly id: string; readonly name: string; readonly away: Text | null }[];
  /** When a hive is opened so close to the day that it would not rest; null where it is not. */
  readonly near: (hive: string) => Date | null;
}

export interface HandGroup {
  readonly id: string;
  readonly name: string;
  readonly size: number;
  readonly comes: Text | null;
  readonly next: Date | null;
  /** Hives for this group, the most useful first, with why not in words. */
  readonly order: readonly NextHive[];
  readonly hive: string | null;
  readonly supervisor: string | null;
}

export interface HandWish {
  readonly site?: string | undefined;
  readonly date?: string | undefined;
  readonly from?: string | undefined;
  readonly to?: string | undefined;
  readonly depth?: Depth | undefined;
  /** The session that is being changed. */
  readonly session?: string | undefined;
}

/**
 * What a session made by hand could be: the hours that are fit, a hive for each group by the planner's own rules, and who leads.
 *
 * @param wish site, day and hours as far as somebody has chosen them; else the first site, tomorrow, and the longest fit hours
 * @throws Refusal 404 where the school has no such site
 */
export async function handFacts(context: Context, actor: Actor, wish: HandWish): Promise<HandFacts> {
  const { db, clock } = context;
  const found = await siteOf(context, actor.school, wish.site);
  const [season, practice, terms, led] = await Promise.all([
    planningSeason(context, actor.school),
    housePracticeOf(db, actor.school),
    termsOf(db, actor.school),
    ledCounts(db, actor.school),
  ]);
  const today = dateAt(found.site.zone, clock.now());
  const date = wish.date ?? addDays(today, 1);
  const hours = await hoursOf(context, found.site, practice, { ...wish, date });
  const others = await othersAround(context, actor, hours, practice.calendar.restDays, wish.session);
  const day = {
    date,
    start: Math.round((hours.from - hours.midnight) / MINUTE),
    minutes: Math.max(0, Math.round((hours.to - hours.from) / MINUTE)),
  };
  const timesOf = (id: string) => {
    const own = terms.find(({ owner }) => owner === id)?.terms;
    return own !== undefined && 'times' in own ? own.times : usualTerms.group(practice).times;
  };
  const supervisors = season.supervisors.map(({ id, name }) => ({
    id,
    name,
    away: others.busy('supervisor', id) ? say('leads-elsewhere') : cannotCome(timesOf(id), day),
  }));
  const dealt = { hives: new Set<string>(), leaders: new Set<string>() };
  const groups = season.groups.map((group): HandGroup => {
    const comes = others.busy('trainee_group', group.id) ? say('group-elsewhere') : cannotCome(timesOf(group.id), day);
    const order = orderFor(season, found.site.id, group.id, date, hours);
    const free = comes !== null || group.trainees.length === 0 ? [] : order;
    const hive =
      free.find((each) => !each.barred && !dealt.hives.has(each.hive) && others.near(each.hive) === null)?.hive ?? null;
    const able = supervisors.filter(({ id, away }) => away === null && !dealt.leaders.has(id));
    const [leader] = able.toSorted((a, b) => timesLed(led, group.id, b.id) - timesLed(led, group.id, a.id));
    const supervisor = hive === null ? null : (leader?.id ?? null);
    if (hive !== null && supervisor !== null) {
      dealt.hives.add(hive);
      dealt.leaders.add(supervisor);
    }
    const size = group.trainees.length;
    return { id: group.id, name: group.name, size, comes, next: others.next(group.id), order, hive, supervisor };
  });
  const { from, to, depth, spans, fit } = hours;
  const { leastFit } = practice.planning;
  const near = others.near;
  return { found, season, date, today, from, to, depth, spans, fit, leastFit, groups, supervisors, near };
}

type Hours = Awaited<ReturnType<typeof hoursOf>>;

/** Hours of a day, chosen or the best there are, with what the weather says of them. */
async function hoursOf(
  context: Context,
  site: SiteRow,
  { limits, workingHours, planning }: HousePractice,
  wish: HandWish & { readonly date: CivilDate },
) {
  const { date } = wish;
  const [midnight, next] = [hourAt(site.zone, date, 0), hourAt(site.zone, date, 24)];
  const { ensemble } = await forecastInUse(context, site);
  const end = ensemble ? Date.parse(ensemble.start) + (ensemble.members[0]?.length ?? 0) * 60 * MINUTE : 0;
  const outlook: Outlook | null = ensemble && next <= end ? { ensemble, place: site, limits } : null;
  const spans = outlook ? fitSpans(outlook, midnight, next) : [];
  const best = bestHours(spans, midnight, workingHours);
  const instant = (time: string) => DateTime.fromISO(`${date}T${time}`, { zone: site.zone }).toMillis();
  const from = wish.from === undefined ? best.from : instant(wish.from);
  const to = wish.to === undefined ? Math.max(best.to, from + 30 * MINUTE) : instant(wish.to);
  const own = wish.from === undefined ? best.depth : deepest(outlook, from, to, planning.leastFit);
  const depth = wish.depth ?? own;
  const fit = outlook && from < to ? chanceOfStretch(outlook, depth, from, to) : null;
  return { midnight, from, to, depth, spans, fit, temperature: outlook ? temperatureAt(outlook, (from + to) / 2) : 15 };
}

/** Other sessions that are planned: who is busy in these hours, and which hives are opened close to this day. */
async function othersAround(
  { db }: Context,
  actor: Actor,
  { midnight, from, to }: Hours,
  restDays: number,
  except: string | undefined,
) {
  const days = (count: number) => new Date(midnight + count * 24 * 60 * MINUTE);
  const sessions = (await sessionsBetween(db, actor, days(-14), days(60))).filter(
    ({ id, status }) => status === 'planned' && id !== except,
  );
  const parts = await groupsOfSessions(
    db,
    sessions.map(({ id }) => id),
  );
  const at = new Map(sessions.map((session) => [session.id, session]));
  const meanwhile = (id: string) => at.get(id)!.starts_at.getTime() < to && from < at.get(id)!.ends_at.getTime();
  return {
    busy: (key: 'trainee_group' | 'supervisor', id: string) =>
      parts.some((part) => part[key] === id && meanwhile(part.session)),
    /** When a hive is opened so close to the day that it would not rest. */
    near: (hive: string): Date | null =>
      parts
        .filter((part) => part.hive === hive)
        .map((part) => at.get(part.session)!.starts_at)
        .find((start) => start > days(1 - Math.max(1, restDays)) && start < days(Math.max(1, restDays))) ?? null,
    next: (group: string): Date | null =>
      parts
        .filter((part) => part.trainee_group === group && at.get(part.session)!.starts_at >= days(0))
        .map((part) => at.get(part.session)!.starts_at)
        .toSorted((a, b) => a.getTime() - b.getTime())[0] ?? null,
  };
}

/** Hives of a site for a group, the most useful first, with why not in words. */
function orderFor(
  season: PlanningSeason,
  site: string,
  group: string,
  date: CivilDate,
  { from, to, fit, temperature }: Hours,
): readonly NextHive[] {
  const named = planningNames(season);
  return openingOrder(season.problem, {
    group,
    minutesLeft: Math.max(0, (to - from) / MINUTE - season.problem.params.setupMinutes),
    fit: fit ?? 1,
    temp: tempOf(temperature),
    site,
    taken: new Set(),
    told: [],
    senior: true,
    day: Math.max(0, daysBetween(season.today, date)),
  }).map((each) => ({ ...each, says: each.says === null ? null : named(each.says) }));
}

const timesLed = (led: Awaited<ReturnType<typeof ledCounts>>, group: string, supervisor: string): number =>
  led.find((each) => each.group === group && each.supervisor === supervisor)?.times ?? 0;

/** The deepest look for which some hours are fit; a full one where no forecast says otherwise. */
function deepest(outlook: Outlook | null, from: number, to: number, leastFit: number): Depth {
  if (!outlook || from >= to) return 'full';
  return DEPTHS.findLast((depth) => chanceOfStretch(outlook, depth, from, to) >= leastFit) ?? 'outside';
}

/** The deepest stretch of the working day, the longest of them, at most as long as a session usually lasts; in whole quarters. */
function bestHours(
  spans: readonly FitSpan[],
  midnight: number,
  [open, close]: readonly [number, number],
): { readonly from: number; readonly to: number; readonly depth: Depth } {
  const [first, last] = [midnight + open * 60 * MINUTE, midnight + close * 60 * MINUTE];
  const usual = midnight + USUAL_START * MINUTE;
  const inDay = spans
    .map((span) => ({ depth: span.depth, from: Math.max(first, span.from), to: Math.min(last, span.to) }))
    .filter(({ depth, from, to }) => depth !== null && to - from >= 60 * MINUTE);
  const rank = ({ depth }: { readonly depth: Depth | null }) => (depth === null ? -1 : DEPTHS.indexOf(depth));
  const [best] = inDay.toSorted((a, b) => rank(b) - rank(a) || b.to - b.from - (a.to - a.from));
  if (!best) return { from: usual, to: usual + USUAL * MINUTE, depth: 'full' };
  const quarter = (at: number, round: (value: number) => number) =>
    midnight + round((at - midnight) / (STEP * MINUTE)) * STEP * MINUTE;
  const earliest = quarter(best.from, Math.ceil);
  const latest = quarter(best.to, Math.floor);
  const length = Math.min(USUAL * MINUTE, latest - earliest);
  // In the middle of a long stretch there is room on both sides.
  const from = quarter(earliest + (latest - earliest - length) / 2, Math.floor);
  return { from, to: from + length, depth: best.depth! };
}

/**
 * What speaks against a session as somebody wants it, in words.
 *
 * @param facts what it could be
 * @param parts groups with their hives and leaders
 */
export function handTroubles(
  { season, fit, depth, leastFit, groups, supervisors, found, near }: HandFacts,
  parts: readonly { readonly group: string; readonly hive: string; readonly supervisor: string }[],
): readonly Text[] {
  const troubles: Text[] = [];
  if (fit !== null && fit < leastFit) troubles.push(say('hand-weather', { depth, tenths: Math.round(fit * 10) }));
  for (const [at, { group: id, hive, supervisor }] of parts.entries()) {
    const group = groups.find((each) => each.id === id);
    const leader = supervisors.find((each) => each.id === supervisor);
    if (group?.comes) troubles.push(say('hand-group', { group: group.name, why: group.comes }));
    if (leader && parts.findIndex((each) => each.supervisor === supervisor) < at)
      troubles.push(say('hand-leader-twice', { name: leader.name }));
    if (leader?.away) troubles.push(say('hand-leader', { name: leader.name, why: leader.away }));
    const order = group?.order.find((each) => each.hive === hive);
    const number = season.colonies.find((each) => each.hive.id === hive)?.hive.number ?? null;
    if (order === undefined) troubles.push(say('hand-empty-hive', { number, site: found.site.name }));
    else if (order.barred && order.says !== null) troubles.push(order.says);
    const other = near(hive);
    if (other !== null)
      troubles.push(
        say('hand-hive-planned', { number, when: say('weekday', { date: dateAt(found.site.zone, other) }) }),
      );
  }
  return troubles;
}
