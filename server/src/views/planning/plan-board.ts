import { planningNames } from '../../facts/planning';
import type { Pin, PlanBoard, PlanJob } from '@brave-comb/contract';
import type { Sayable } from '@brave-comb/core/language';
import { conflictOf, hopelessBecause, type PlanningProblem } from '@brave-comb/core/planning';
import { isOpen } from '@brave-comb/core/skills';
import type { Actor, Context } from '../../context';
import { iso } from '../../dates';
import { planningSeason, type PlanningSeason } from '../../facts/planning';
import { jobView, latestJob, latestVersion } from '../../records/planning';

/** Everything on the planner board. */
export async function planBoard(context: Context, actor: Actor): Promise<Sayable<PlanBoard>> {
  const { db, clock } = context;
  const season = await planningSeason(context, actor.school);
  const [version, job] = await Promise.all([latestVersion(db, actor.school), latestJob(db, actor.school)]);
  const now = clock.now().getTime();
  return {
    today: season.today,
    forecast: season.forecast,
    slots: season.slots.map(({ id, siteName, date, from, to, zone, fit, temperature }) => ({
      id,
      site: siteName,
      date,
      startsAt: iso(from),
      endsAt: iso(to),
      zone,
      fit,
      temperature,
      past: from <= now,
    })),
    groups: season.groups.map(({ id, name, trainees }) => ({
      id,
      name,
      size: trainees.length,
      openSkills: season.checklist.skills.filter(({ id: skill }) =>
        trainees.some((each) => isOpen(season.standing(each.id, skill))),
      ).length,
    })),
    supervisors: season.supervisors.map(({ id, name, senior }) => ({ id, name, senior })),
    hives: season.colonies.map(({ hive, site, calendar }) => ({
      id: hive.id,
      number: hive.number,
      stand: hive.stand,
      site: site.name,
      due: calendar.dues.find(({ opens }) => opens)?.title ?? null,
    })),
    skills: season.checklist.skills.map(({ id, name, indoors }) => ({ id, name, indoors })),
    away: Object.fromEntries(season.away),
    closed: season.forbids.map(({ group, slot, hive, why }) => ({ group, slot, hive, why })),
    problem: season.problem,
    pins: season.pins.map(({ id, by_name, at, what }) => ({ id, by: by_name, at: iso(at), what })),
    hopeless: hopelessBecause(season.problem),
    conflict: conflictIn(season),
    told: {
      sessions: season.told.sessions.map((each) => ({ ...each, hives: [...each.hives] })),
      staff: [...season.told.staff],
    },
    published:
      version === undefined
        ? null
        : {
            version: version.version,
            by: version.by_name,
            at: iso(version.at),
            forecast: version.forecast && iso(version.forecast),
            fits: Object.fromEntries(
              (JSON.parse(version.problem) as PlanningProblem).slots.map(({ id, fit }) => [id, fit] as const),
            ),
            plan: JSON.parse(version.plan) as NonNullable<PlanJob['plan']>,
          },
    job: job === undefined ? null : jobView(job),
    mayPlan: actor.role === 'lead',
  };
}

/** Pins that cannot be kept together, by their own ids. */
function conflictIn(season: PlanningSeason): Sayable<PlanBoard>['conflict'] {
  const { problem, pins } = season;
  const conflict = conflictOf(problem);
  if (conflict === null) return null;
  const called = planningNames(season);
  const same = (what: Pin, lock: (typeof conflict.locks)[number]) =>
    'pin' in what &&
    what.pin.slot === lock.slot &&
    ('staff' in what.pin
      ? lock.staff === true && what.pin.hive === lock.hive
      : lock.staff !== true && what.pin.group === lock.group);
  return {
    pins: pins.filter(({ what }) => conflict.locks.some((lock) => same(what, lock))).map(({ id }) => id),
    rules: conflict.rules.map(({ rule, group, slot, hive, supervisor, says }) => ({
      rule,
      group,
      slot,
      hive,
      supervisor,
      says: called(says),
    })),
  };
}
