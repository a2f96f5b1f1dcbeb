import type { Sayable } from '@brave-comb/core/language';
import type { MySession as Shown, Output, endpoints } from '@brave-comb/contract';
import { JOBS } from '@brave-comb/core/inspection';
import { isOpen, type Skill } from '@brave-comb/core/skills';
import { chanceOfStretch } from '@brave-comb/core/weather';
import { DAY } from '@brave-comb/core/units';
import type { Actor, Context } from '../../context';
import { dateAt, iso } from '../../dates';
import { planningSeason, type PlanningSeason, rotaOf } from '../../facts/planning';
import { jobsDone, type JobsDone } from '../../facts/skills';
import { type HiveRow, hivesById, type SiteRow, sitesOf } from '../../records/equipment';
import { groupsOf, housePracticeOf, traineesOf } from '../../records/people';
import { groupsOfSessions, type NamedSessionGroup, sessionsBetween, traineeLimits } from '../../records/planning';
import { forecastInUse } from '../../records/weather';

type MySession = Sayable<Shown>;

const DAYS = 42;
/** Skills named for one hive. */
const SHOWN = 4;
/** What somebody can show who does not do that job, against who does; chance that is worth naming. */
const [ASIDE, FAIR] = [0.4, 0.2];

/** The coming sessions of somebody: a trainee's with the own jobs and skills, a supervisor's with those of the groups. */
export async function mySessions(
  context: Context,
  actor: Actor,
): Promise<Sayable<Output<(typeof endpoints)['mySessions']>>> {
  const { db, clock } = context;
  const now = clock.now();
  const sites = new Map((await sitesOf(db, actor.school)).map((site) => [site.id, site]));
  const practice = await housePracticeOf(db, actor.school);
  const own = actor.role === 'trainee' ? await groupsOf(db, actor.id) : null;
  const coming = (
    await sessionsBetween(db, actor, new Date(now.getTime() - DAY), new Date(now.getTime() + DAYS * DAY))
  ).filter(({ status, ends_at }) => status === 'planned' && ends_at.getTime() > now.getTime());
  const rows = await groupsOfSessions(
    db,
    coming.map(({ id }) => id),
  );
  const concerns = (row: NamedSessionGroup) =>
    actor.role === 'lead' || (own === null ? row.supervisor === actor.id : own.includes(row.trainee_group));
  const mine = coming.map(({ id }) => rows.filter((row) => row.session === id && concerns(row)));
  const trainees = await traineesOf(db, actor.school, [
    ...new Set(mine.flatMap((all) => all.map((row) => row.trainee_group))),
  ]);
  const [hives, limits, played, season] = await Promise.all([
    hivesById(db, actor.school, [...new Set(mine.flatMap((all) => all.map(({ hive }) => hive)))]),
    traineeLimits(db, actor.school),
    jobsDone(db, actor.school, [...new Set(trainees.map(({ group }) => group))]),
    planningSeason(context, actor.school),
  ]);
  const seen = new Map(season.problem.hives.map(({ id, skills }) => [id, skills]));
  const tempers = new Map(season.problem.hives.map(({ id, temper }) => [id, temper]));
  const facts: Facts = { actor, trainees, hives, limits, seen, tempers, skills: season, played };
  const chances = new Map<string, (from: Date, to: Date) => number | null>();
  for (const site of new Set(coming.map((session) => session.site))) {
    const place = sites.get(site)!;
    const { ensemble } = await forecastInUse(context, place);
    const end = ensemble ? Date.parse(ensemble.start) + (ensemble.members[0]?.length ?? 0) * 3_600_000 : 0;
    chances.set(site, (from, to) =>
      ensemble === null || to.getTime() > end
        ? null
        : chanceOfStretch({ ensemble, place, limits: practice.limits }, 'full', from.getTime(), to.getTime()),
    );
  }
  const sessions = coming.flatMap((session, at): MySession[] => {
    const site = sites.get(session.site)!;
    const groups = [...new Set(mine[at]!.map((row) => row.trainee_group))];
    return groups.map((group): MySession => {
      const openings = mine[at]!.filter((row) => row.trainee_group === group);
      return {
        session: session.id,
        site: site.name,
        zone: site.zone,
        startsAt: iso(session.starts_at),
        endsAt: iso(session.ends_at),
        group: openings[0]!.group_name,
        supervisor: openings[0]!.supervisor_name,
        fit: chances.get(site.id)!(session.starts_at, session.ends_at),
        hives: openings.map((row, before) => hiveOf(facts, row, openings.slice(0, before))),
        ifWet: openings[0]!.reasons?.ifWet ?? null,
      };
    });
  });
  return { today: todayAt([...sites.values()], now), sessions };
}

const todayAt = ([site]: readonly SiteRow[], now: Date) => dateAt(site?.zone ?? 'UTC', now);

interface Facts {
  readonly actor: Actor;
  readonly trainees: Awaited<ReturnType<typeof traineesOf>>;
  readonly hives: readonly HiveRow[];
  readonly limits: Awaited<ReturnType<typeof traineeLimits>>;
  readonly skills: Pick<PlanningSeason, 'checklist' | 'standing'>;
  readonly played: ReadonlyMap<string, JobsDone>;
  readonly tempers: ReadonlyMap<string, number>;
  /** Chance of each skill at each hive. */
  readonly seen: ReadonlyMap<string, Readonly<Record<string, number>>>;
}

/** One hive of a session: why it is opened, who does what, and what can be shown there. */
function hiveOf(
  facts: Facts,
  row: NamedSessionGroup,
  before: readonly NamedSessionGroup[],
): MySession['hives'][number] {
  const hiveBy = (id: string) => facts.hives.find((each) => each.id === id)!;
  const { actor, skills } = facts;
  const hive = hiveBy(row.hive);
  const earlier = before.map((each) => hiveBy(each.hive));
  const group = facts.trainees.filter((each) => each.group === row.trainee_group);
  const everybody = rotaOf(facts, group, hive, earlier).flatMap(({ fromFrame, toFrame, roles }) =>
    JOBS.map((role) => ({ role, fromFrame, toFrame, names: roles[role] })),
  );
  const jobs =
    actor.role === 'trainee'
      ? everybody.filter(({ names }) => names.includes(actor.name)).map((job) => ({ ...job, names: [] }))
      : everybody.filter(({ role, names }) => role !== 'watch' && names.length > 0);
  const openFor = (skill: string) =>
    actor.role === 'trainee'
      ? Number(isOpen(skills.standing(actor.id, skill)))
      : group.filter(({ id }) => isOpen(skills.standing(id, skill))).length;
  const chances = facts.seen.get(hive.id) ?? {};
  const worth = ({ id, role }: Skill) =>
    openFor(id) * (chances[id] ?? 0) * (jobs.some((job) => job.role === role) ? 1 : ASIDE);
  const learn = skills.checklist.skills
    .map((skill) => ({ name: skill.name, chance: chances[skill.id] ?? 0, worth: worth(skill) }))
    .filter((each) => each.worth >= FAIR)
    .sort((a, b) => b.worth - a.worth)
    .slice(0, SHOWN);
  return {
    number: hive.number,
    at: iso(row.starts_at),
    why: [...(row.reasons?.lines ?? [])],
    jobs,
    learn: learn.map(({ name, chance }) => ({ name, chance })),
  };
}
