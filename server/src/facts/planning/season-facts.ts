import type { Text } from '@brave-comb/core/language';
import type { Pin, PlanningTerms } from '@brave-comb/contract';
import { HIVE_TYPES, nestBoxes, supers } from '@brave-comb/core/equipment';
import {
  type Assignments,
  fitSlots,
  type OfferedSlot,
  openingMinutes,
  planDays,
  type PlanForbid,
  type PlanLock,
  seasonProblem,
  type SeasonProblem,
  temperatureAt,
} from '@brave-comb/core/planning';
import type { Checklist, Standings } from '@brave-comb/core/skills';
import { addDays, DAY } from '@brave-comb/core/units';
import { chanceOfStretch, MINUTE, type Outlook } from '@brave-comb/core/weather';
import type { Context } from '../../context';
import { dateAt, hourAt } from '../../dates';
import { type SiteRow, sitesOf } from '../../records/equipment';
import { visitMoods, visitsOfHives } from '../../records/inspection';
import type { HousePractice } from '@brave-comb/core/house';
import { type GroupRow, housePracticeOf, traineeGroups, traineesOf } from '../../records/people';
import {
  begunSince,
  handMade,
  type PinRow,
  pinsOf,
  plannedFrom,
  type PlannedRow,
  staffOf,
  termsOf,
  usualTerms,
} from '../../records/planning';
import { identityOf, remembered } from '../../remembered';
import { type ColonyState, colonyStates } from '../care';
import { weighed } from '../inspection';
import { phaseNow, siteSeason, type SiteSeason } from '../season';
import { schoolStandings } from '../skills';

/** A slot with where and when it is. */
export interface SiteSlot extends OfferedSlot {
  readonly siteName: string;
  readonly zone: string;
  /** Instants in ms since 1970. */
  readonly from: number;
  readonly to: number;
}

/** The season as the planner sees it. */
export interface PlanningSeason extends SeasonProblem {
  readonly today: string;
  readonly slots: readonly SiteSlot[];
  readonly groups: readonly (GroupRow & { readonly trainees: readonly { id: string; name: string }[] })[];
  readonly supervisors: readonly { readonly id: string; readonly name: string; readonly senior: boolean }[];
  readonly colonies: readonly (ColonyState & { readonly site: SiteRow })[];
  readonly pins: readonly (PinRow & { readonly by_name: string })[];
  readonly forecast: { readonly issuedAt: string | null; readonly problem: Text | null };
  readonly checklist: Checklist;
  readonly standing: Standings;
  /** What people were told. */
  readonly told: Assignments;
}

/** Minutes from the start of a session to its first open hive. Common practice. */
export const WALK_OUT = 10;

const MONTHS_BACK = 120;

/**
 * Gathers what the planner needs of a school's season.
 *
 * @param context database, clock, weather
 * @param school id of the school
 * @returns the problem, and the facts that its screen names things by
 */
export async function planningSeason(context: Context, school: string): Promise<PlanningSeason> {
  const { db, clock } = context;
  const [sites, practice, groups, staff, terms, pins] = await Promise.all([
    sitesOf(db, school),
    housePracticeOf(db, school),
    traineeGroups(db, school),
    staffOf(db, school),
    termsOf(db, school),
    pinsOf(db, school),
  ]);
  const seasons = await Promise.all(sites.map((site) => siteSeason(context, site)));
  const now = clock.now();
  const today = seasons[0]?.today ?? dateAt('UTC', now);
  const last = addDays(today, practice.planning.horizonDays);
  const until = new Date(hourAt(sites[0]?.zone ?? 'UTC', last, 0));
  const planned = await plannedFrom(db, school, now, until);
  const slots = seasons
    .flatMap((season) => slotsOf(season, practice, now.getTime(), planned))
    .sort((a, b) => a.from - b.from || a.siteName.localeCompare(b.siteName));
  const trainees = await traineesOf(
    db,
    school,
    groups.map(({ id }) => id),
  );
  const { checklist, standing } = await schoolStandings(
    context,
    school,
    trainees.map(({ id }) => id),
  );
  const bySite = await Promise.all(seasons.map((season) => colonyStates(context, season)));
  const states = bySite.flatMap((all, at) => all.map((state) => ({ ...state, site: seasons[at]!.site })));
  const since = new Date(now.getTime() - MONTHS_BACK * DAY);
  const moods = await visitMoods(db, school, since, now);
  const visits = await visitsOfHives(
    db,
    school,
    states.map(({ hive }) => hive.id),
    since,
    now,
  );
  const termsBy = new Map(terms.map((row) => [row.owner, row.terms]));
  const pick = <T extends PlanningTerms>(owner: string, usual: T): T => (termsBy.get(owner) as T | undefined) ?? usual;
  const supervisors = staff.map(({ id, name, role }) => {
    const own = pick(id, usualTerms.supervisor(practice, role === 'lead'));
    return { id, name, senior: own.senior, times: own.times };
  });
  const known: Known = {
    groups: new Set(groups.map(({ id }) => id)),
    supervisors: new Set(supervisors.map(({ id }) => id)),
    hives: new Set(states.map(({ hive }) => hive.id)),
  };
  const told = stillKnown(toldOf(planned), known);
  const slotIds = new Set(slots.map(({ id }) => id));
  const result = seasonProblem({
    name: `plan from ${today}`,
    today,
    practice: practice.planning,
    restDays: practice.calendar.restDays,
    openingLimit: practice.openingLimit,
    lift: practice.lift,
    slots,
    groups: groups.map((group) => {
      const own = pick(group.id, usualTerms.group(practice));
      return {
        id: group.id,
        trainees: trainees
          .filter((each) => each.group === group.id)
          .map(({ id }) => ({ id, ...pick<Extract<PlanningTerms, { kind: 'trainee' }>>(id, usualTerms.trainee) })),
        sessions: own.sessions,
        gapDays: own.gapDays,
        maxTemper: own.maxTemper,
        until: own.until,
        times: own.times,
        visits: visits.flatMap(({ trainee_group, started_at, closed_at, stack }) =>
          trainee_group === group.id && closed_at !== null
            ? [
                {
                  took: (closed_at.getTime() - started_at.getTime()) / 60_000,
                  reckoned: openingMinutes(framesOf(stack), supers(stack).length),
                },
              ]
            : [],
        ),
      };
    }),
    checklist,
    standing,
    phases: seasons[0]?.phases ?? [],
    supervisors,
    colonies: states.map((state) => {
      const { hive, calendar, openings, expected, swarm, site, latest } = state;
      const season = seasons.find((each) => each.site.id === site.id)!;
      const loads = weighed(hive, latest, practice).flatMap(({ kg, lift }) => (lift === 'stays-put' ? [] : (kg ?? [])));
      const suspicion = state.events.findLast(({ kind }) => kind === 'suspicion' || kind === 'suspicion-settled');
      return {
        id: hive.id,
        site: site.id,
        expected: expected && {
          bees: expected.bees.value,
          eggs: expected.eggs.value,
          larvae: expected.larvae.value,
          sealed: expected.sealed.value,
          drone: expected.drone.value,
          storesKg: expected.storesKg.value,
        },
        nestFrames: framesOf(hive.stack),
        horizontal: HIVE_TYPES[hive.type].horizontal,
        supers: supers(hive.stack).length,
        moods: moods.flatMap((each) => (each.hive === hive.id ? (each.mood ?? []) : [])),
        swarm: swarm?.level ?? null,
        suspect: suspicion?.kind === 'suspicion',
        doubtful: Object.values(latest?.record.sides ?? {}).some(({ side }) => side.doubtful),
        phase: phaseNow(season)?.phase ?? null,
        calendar,
        openings,
        heaviestKg: loads.length === 0 ? null : Math.max(...loads),
      };
    }),
    byHand: (await handMade(db, school, now, until)).map((row) => {
      const date = dateAt(row.zone, row.from);
      const minutes = (at: Date) => Math.round((at.getTime() - hourAt(row.zone, date, 0)) / MINUTE);
      const { group, hive, supervisor } = row;
      return { group, hive, supervisor, date, from: minutes(row.from), to: minutes(row.to) };
    }),
    begun: (await begunSince(db, school, new Date(hourAt(sites[0]?.zone ?? 'UTC', today, 0)), now)).filter((each) =>
      namesKnown(each, known),
    ),
    locks: pins.flatMap(({ what }) =>
      'pin' in what && slotIds.has(what.pin.slot) && namesKnown(what.pin, known) ? [lockOf(what.pin)] : [],
    ),
    forbids: pins.flatMap(({ what }): PlanForbid[] =>
      'forbid' in what && namesKnown(what.forbid, known) ? [what.forbid] : [],
    ),
    published: planned.length === 0 ? null : told.sessions,
  });
  return {
    ...result,
    told,
    today,
    slots,
    groups: groups.map((group) => ({ ...group, trainees: trainees.filter((each) => each.group === group.id) })),
    supervisors,
    colonies: states,
    pins,
    forecast: {
      issuedAt: seasons[0]?.forecast.ensemble?.issued ?? null,
      problem: seasons.map(({ forecast }) => forecast.problem).find((problem) => problem !== null) ?? null,
    },
    checklist,
    standing,
  };
}

const framesOf = (stack: Parameters<typeof nestBoxes>[0]) => nestBoxes(stack).reduce((sum, box) => sum + box.frames, 0);

export const lockOf = (pin: Extract<Pin, { pin: unknown }>['pin']): PlanLock =>
  'staff' in pin ? { staff: true, hive: pin.hive, slot: pin.slot } : pin;

/** Name of a slot: a place and a moment, so that it stays the same when the forecast changes. */
const slotName = (site: string, date: string, start: number) =>
  `${date}T${String(Math.floor(start / 60)).padStart(2, '0')}:${String(start % 60).padStart(2, '0')}/${site}`;

const slotAt = (site: SiteRow, from: number, to: number, fit: number, temperature: number): SiteSlot => {
  const date = dateAt(site.zone, new Date(from));
  const start = Math.round((from - hourAt(site.zone, date, 0)) / MINUTE);
  return {
    id: slotName(site.id, date, start),
    site: site.id,
    siteName: site.name,
    zone: site.zone,
    date,
    start,
    minutes: Math.round((to - from) / MINUTE),
    fit,
    temperature,
    from,
    to,
  };
};

/** Slots at one site: those that hold planned sessions as they were told, and others where the weather offers them. */
function slotsOf(season: SiteSeason, practice: HousePractice, now: number, planned: readonly PlannedRow[]): SiteSlot[] {
  const { site, forecast } = season;
  const told = new Map(
    planned
      .filter((each) => each.site === site.id)
      .map((each) => [each.session, [each.from.getTime(), each.to.getTime()] as const]),
  );
  const spans = [...new Set(told.values())].filter(
    ([from], at, all) => all.findIndex((other) => other[0] === from) === at,
  );
  if (!forecast.ensemble) return spans.map(([from, to]) => slotAt(site, from, to, 0, 15));
  const outlook: Outlook = { ensemble: forecast.ensemble, place: site, limits: practice.limits };
  const kept = spans.map(([from, to]) =>
    slotAt(site, from, to, chanceOfStretch(outlook, 'full', from, to), temperatureAt(outlook, (from + to) / 2)),
  );
  const free = offeredSlots(outlook, site, season.today, practice, Math.ceil(now / HALF_HOUR) * HALF_HOUR).filter(
    (slot) => !kept.some((other) => slot.from < other.to && other.from < slot.to),
  );
  return [...kept, ...free];
}

const HALF_HOUR = 30 * MINUTE;

/** Slots that the weather offers at a site from an instant on. */
const offeredSlots = remembered(
  20,
  ({ ensemble, limits }: Outlook, site: SiteRow, today: string, practice: HousePractice, from: number) => [
    identityOf(ensemble),
    limits,
    site,
    today,
    practice.planning,
    practice.workingHours,
    from,
  ],
  (outlook, site, today, { planning, workingHours: [first, last] }, from) =>
    planDays(today, planning).flatMap((date) => {
      const open = Math.max(hourAt(site.zone, date, first), from);
      const close = hourAt(site.zone, date, last);
      if (open >= close) return [];
      return fitSlots(outlook, [open, close], {
        depth: 'full',
        longest: planning.longest,
        shortest: planning.shortest,
        leastFit: planning.leastFit,
        most: planning.slotsADay,
        pause: planning.pause,
      }).map(({ from, to, fit, temperature }) => slotAt(site, from, to, fit, temperature));
    }),
);

/** Whom and what a plan may name: what is out of use, and who has left, is planned for no more. */
interface Known {
  readonly groups: ReadonlySet<string>;
  readonly supervisors: ReadonlySet<string>;
  readonly hives: ReadonlySet<string>;
}

const namesKnown = (
  {
    group,
    hive,
    hives,
    supervisor,
  }: {
    readonly group?: string | undefined;
    readonly hive?: string | undefined;
    readonly hives?: readonly string[] | undefined;
    readonly supervisor?: string | undefined;
  },
  known: Known,
): boolean =>
  (group === undefined || known.groups.has(group)) &&
  (supervisor === undefined || known.supervisors.has(supervisor)) &&
  [...(hive === undefined ? [] : [hive]), ...(hives ?? [])].every((each) => known.hives.has(each));

/** What people were told, without what is out of use. */
const stillKnown = ({ sessions, staff }: Assignments, known: Known): Assignments => ({
  sessions: sessions
    .map((session) => ({ ...session, hives: session.hives.filter((hive) => known.hives.has(hive)) }))
    .filter((session) => session.hives.length > 0 && namesKnown(session, known)),
  staff: staff.filter(({ hive }) => known.hives.has(hive)),
});

/** Planned openings as a plan: sessions with their hives in order, and what staff open alone. */
function toldOf(planned: readonly PlannedRow[]): Assignments {
  const sessions = new Map<string, { group: string; slot: string; supervisor: string; hives: string[] }>();
  const staff: Assignments['staff'][number][] = [];
  for (const { zone, from, site, group, hive, supervisor, staff: alone } of planned) {
    const date = dateAt(zone, from);
    const slot = slotName(site, date, Math.round((from.getTime() - hourAt(zone, date, 0)) / MINUTE));
    if (alone === 1) {
      staff.push({ slot, hive });
      continue;
    }
    const key = `${group} ${slot}`;
    const session = sessions.get(key) ?? { group, slot, supervisor, hives: [] };
    sessions.set(key, session);
    session.hives.push(hive);
  }
  return { sessions: [...sessions.values()], staff };
}
