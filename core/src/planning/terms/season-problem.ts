import { say } from '../said';
import type { Text } from '../../language';
import type { PhaseSpan } from '../../season';
import type { Checklist, Standings } from '../../skills';
import { addDays, type CivilDate, daysBetween } from '../../units';
import { type ColonyFacts, planHive, restsIn, turnWorth } from './colony-terms';
import { CURVE } from '../solver/curve';
import { cannotLift, type GroupTerms, planGroup } from './group-terms';
import { modelOf } from '../solver/model';
import type { PlanForbid, PlanLock, PlanningProblem, PlanParams, PublishedSession } from '../solver/problem';
import { cannotCome, type DayHours, tempOf, type Times } from './slots';
import { canPin } from '../solver/start';

/** How a house plans. Points: one is one open skill practised once by one trainee. Figures: common practice. */
export interface HousePlanning {
  readonly horizonDays: number;
  /** Longest and shortest session, and the pause between two of a day, minutes. */
  readonly longest: number;
  readonly shortest: number;
  readonly pause: number;
  readonly slotsADay: number;
  /** Odds under which a slot is not offered, 0 to 1. */
  readonly leastFit: number;
  readonly maxHives: number;
  readonly setupMinutes: number;
  readonly suits: number;
  /** Minutes and hives a slot that staff open without a group. */
  readonly staffMinutes: number;
  readonly staffVisits: number;
  readonly weights: PlanParams['weights'];
}

export const DEFAULT_PLANNING: HousePlanning = {
  horizonDays: 14,
  longest: 150,
  shortest: 90,
  pause: 30,
  slotsADay: 2,
  leastFit: 0.3,
  maxHives: 2,
  setupMinutes: 25,
  suits: 30,
  staffMinutes: 60,
  staffVisits: 2,
  weights: {
    skill: 1,
    session: 10,
    shortfall: 8,
    care: 1,
    disturb: 1,
    staffVisit: 3,
    late: 0.5,
    fairness: 30,
    changeSession: 3,
    changeHive: 1,
  },
};

/** A slot that the weather, or an announcement, offers. */
export interface OfferedSlot extends DayHours {
  readonly id: string;
  readonly site: string;
  readonly fit: number;
  readonly temperature: number;
}

export interface SeasonFacts {
  /** Openings of today whose session has begun: they are held as they were told, whatever is planned now. */
  readonly begun?: readonly { readonly group: string; readonly hive: string }[] | undefined;
  /** Openings of sessions that were made by hand: they are held, and the plan works round them. Minutes from midnight at the site. */
  readonly byHand?:
    | readonly {
        readonly group: string;
        readonly hive: string;
        readonly supervisor: string;
        readonly date: CivilDate;
        readonly from: number;
        readonly to: number;
      }[]
    | undefined;
  readonly name: string;
  readonly today: CivilDate;
  readonly practice: HousePlanning;
  readonly restDays: number;
  readonly openingLimit: number;
  readonly lift: { readonly one: number; readonly two: number };
  readonly slots: readonly OfferedSlot[];
  readonly groups: readonly (Omit<GroupTerms, 'slots'> & { readonly times: Times })[];
  readonly checklist: Checklist;
  readonly standing: Standings;
  /** The year of the first site. */
  readonly phases: readonly PhaseSpan[];
  readonly supervisors: readonly { readonly id: string; readonly senior: boolean; readonly times: Times }[];
  readonly colonies: readonly (ColonyFacts & {
    /** Heaviest part that has to come off, kg. */
    readonly heaviestKg: number | null;
  })[];
  readonly locks: readonly PlanLock[];
  readonly forbids: readonly PlanForbid[];
  readonly published: readonly PublishedSession[] | null;
}

/** A rule of the season that became a forbidden pair, in words. */
export interface SeasonForbid extends PlanForbid {
  readonly why: Text;
}

export interface SeasonProblem {
  readonly problem: PlanningProblem;
  /** What the season forbids beyond the planner's own rules: rests within the plan, lifting. */
  readonly forbids: readonly SeasonForbid[];
  /** Why a group or supervisor cannot come, by `id slot`. */
  readonly away: ReadonlyMap<string, Text>;
}

/**
 * The planning problem of a school's coming days.
 *
 * @param facts slots offered by the weather, groups with their times and standings, supervisors, colonies with calendars
 * @returns the problem, and in words what was forbidden and who cannot come
 */
export function seasonProblem(facts: SeasonFacts): SeasonProblem {
  const { practice, today } = facts;
  const slots = facts.slots.map((slot) => ({ ...slot, day: daysBetween(today, slot.date) }));
  const away = new Map<string, Text>();
  const comes = (id: string, times: Times, busy: (slot: DatedSlot) => Text | null) =>
    slots.flatMap((slot) => {
      const why = cannotCome(times, slot) ?? busy(slot);
      if (why !== null) away.set(`${id} ${slot.id}`, why);
      return why === null ? [slot.id] : [];
    });
  const hives = facts.colonies.map((colony) => {
    const hive = planHive(colony, today, facts);
    const turn = turnWorth(colony.openings.filter(({ date }) => daysBetween(date, today) < 30).length);
    const due = hive.due ?? (turn > 0 ? { from: 0, by: practice.horizonDays, weight: 0 } : null);
    return { ...hive, due: due === null ? null : { ...due, weight: due.weight + turn } };
  });
  const groups = facts.groups.map(({ times, ...terms }) =>
    planGroup(
      {
        ...terms,
        sessions: Math.max(0, terms.sessions - handSessions(facts, terms.id)),
        slots: comes(terms.id, times, (slot) => comesByHand(facts, terms.id, terms.gapDays, slot)),
      },
      facts,
    ),
  );
  const forbids = seasonForbids(facts, slots, hives);
  const problem: PlanningProblem = {
    format: 'inspection-plan-instance/1',
    name: facts.name,
    horizonDays: practice.horizonDays,
    params: {
      ...CURVE,
      maxHives: practice.maxHives,
      setupMinutes: practice.setupMinutes,
      weights: practice.weights,
    },
    // A school without hives has skills to be shown anyway.
    skills: [
      ...new Set([
        ...hives.flatMap(({ skills }) => Object.keys(skills)),
        ...groups.flatMap(({ needs }) => Object.keys(needs)),
      ]),
    ],
    slots: slots.map(({ id, day, start, minutes, fit, temperature, site }) => ({
      id,
      day,
      start,
      minutes,
      fit,
      temp: tempOf(temperature),
      suits: practice.suits,
      staffMinutes: practice.staffMinutes,
      staffVisits: practice.staffVisits,
      site,
    })),
    groups,
    supervisors: facts.supervisors.map(({ id, senior, times }) => ({
      id,
      senior,
      slots: comes(id, times, (slot) => leadsByHand(facts, id, slot)),
    })),
    hives,
    locks: facts.locks,
    forbids: [...facts.forbids, ...forbids.map(({ why: _, ...forbid }) => forbid)],
    published: facts.published === null ? null : { sessions: facts.published },
  };
  return { problem: withToday(problem, practice), forbids, away };
}

type DatedSlot = OfferedSlot & { readonly day: number };

/** What the season forbids: rests, lifting, what was opened today and what is opened by hand. */
function seasonForbids(
  facts: SeasonFacts,
  slots: readonly DatedSlot[],
  hives: PlanningProblem['hives'],
): readonly SeasonForbid[] {
  const rests = facts.colonies.flatMap((colony) =>
    slots.flatMap((slot) => {
      const why = restsIn(colony.calendar, slot.date);
      const opens = hives.find(({ id }) => id === colony.id)!.noOpenBefore;
      return why === null || slot.day < opens || slot.site !== colony.site
        ? []
        : [{ hive: colony.id, slot: slot.id, why }];
    }),
  );
  const lifts = facts.groups.flatMap(({ id: group, trainees }) =>
    facts.colonies.flatMap(({ id: hive, heaviestKg }) => {
      const why = cannotLift(trainees, heaviestKg, facts.lift);
      return why === null ? [] : [{ group, hive, why }];
    }),
  );
  const begun = (facts.begun ?? []).flatMap(({ group, hive }) => {
    const gap = facts.groups.find(({ id }) => id === group)?.gapDays ?? 0;
    return slots.flatMap(({ id: slot, day }): SeasonForbid[] => [
      ...(day < Math.max(1, gap) ? [{ group, slot, why: say('group-session-today') }] : []),
      ...(day === 0 ? [{ hive, slot, why: say('opened-today') }] : []),
    ]);
  });
  const byHand = (facts.byHand ?? []).flatMap(({ hive, date }) =>
    slots
      .filter((slot) => Math.abs(daysBetween(date, slot.date)) < Math.max(1, facts.restDays))
      .map((slot): SeasonForbid => ({ hive, slot: slot.id, why: say('opened-by-hand', { date }) })),
  );
  return [...rests, ...lifts, ...begun, ...byHand];
}

/** The session made by hand for which a group does not come to a slot. */
function comesByHand({ byHand = [] }: SeasonFacts, group: string, gapDays: number, { date }: OfferedSlot): Text | null {
  const own = byHand.find(
    (each) => each.group === group && Math.abs(daysBetween(each.date, date)) < Math.max(1, gapDays),
  );
  return own === undefined ? null : say('comes-by-hand', { date: own.date });
}

/** Whether somebody leads a session made by hand during a slot. */
function leadsByHand({ byHand = [] }: SeasonFacts, id: string, slot: OfferedSlot): Text | null {
  const busy = byHand.some(
    ({ supervisor, date, from, to }) =>
      supervisor === id && date === slot.date && from < slot.start + slot.minutes && slot.start < to,
  );
  return busy ? say('leads-by-hand') : null;
}

/** Sessions of a group that were made by hand within the plan's days. */
function handSessions({ byHand = [], today, practice }: SeasonFacts, group: string): number {
  const last = addDays(today, practice.horizonDays);
  const own = byHand.filter((each) => each.group === group && each.date >= today && each.date < last);
  return new Set(own.map(({ date, from }) => `${date} ${from}`)).size;
}

/** People are on their way: what was told for today stays, unless its weather is no longer worth it or it cannot be kept. */
function withToday(problem: PlanningProblem, { leastFit }: HousePlanning): PlanningProblem {
  const model = modelOf(problem);
  if (!canPin(model, problem.locks)) return problem;
  const today = new Set(problem.slots.filter(({ day, fit }) => day === 0 && fit >= leastFit).map(({ id }) => id));
  const stays = (problem.published?.sessions ?? []).filter(({ slot }) => today.has(slot));
  const locks = stays.reduce<readonly PlanLock[]>(
    (kept, lock) => (canPin(model, [...kept, lock]) ? [...kept, lock] : kept),
    problem.locks,
  );
  return { ...problem, locks };
}

/** Dates of a plan, first to last. */
export const planDays = (today: CivilDate, { horizonDays }: HousePlanning): readonly CivilDate[] =>
  Array.from({ length: horizonDays }, (_, day) => addDays(today, day));
