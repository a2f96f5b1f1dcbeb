import { say } from '../../words';
import type { Sayable, Text } from '@brave-comb/core/language';
import type { Output, endpoints } from '@brave-comb/contract';
import { SKILL_LEVELS } from '@brave-comb/core/inspection';
import { isOpen, levelSays, missingGates, ruleSaid, skillOf, standingSaid } from '@brave-comb/core/skills';
import { spoken } from '@brave-comb/core/units';
import type { Actor, Context } from '../../context';
import type { Db } from '../../database/db';
import { iso } from '../../dates';
import { type EvidenceWords, NO_JOBS, jobsDone, schoolStandings } from '../../facts/skills';
import { allHives, type HiveRow, hivesById } from '../../records/equipment';
import { groupsOf, peopleOf } from '../../records/people';
import { groupsLedFor } from '../../records/planning';
import {
  checkWords,
  courseSignOffOf,
  type DemonstrationRow,
  demonstrationsOf,
  traineeSeenBy,
} from '../../records/skills';
import { weatherDays } from '../../records/weather';

type Passport = Output<(typeof endpoints)['passport']>;
type Evidence = Omit<Passport['earlier'][number], 'weather'> & { readonly weather: Text | null };

/** A trainee's standing in every skill, and all that it rests on. */
export async function passport(context: Context, actor: Actor, trainee: string): Promise<Sayable<Passport>> {
  const { db } = context;
  const person = await traineeSeenBy(db, actor, trainee);
  const [{ checklist, standing, words, today }, shown] = await Promise.all([
    schoolStandings(context, actor.school, [trainee]),
    demonstrationsOf(db, actor.school, [trainee]),
  ]);
  const groups = await groupsOf(db, trainee);
  const [named, played, evidence] = await Promise.all([
    groupsLedFor(db, actor.school, groups),
    jobsDone(db, actor.school, groups),
    evidenceOf(db, actor.school, shown, words, (skill) => standing(trainee, skill).counted),
  ]);
  const course = await courseSignOffOf(db, actor.school, trainee);
  const signers = await peopleOf(db, actor.school, [
    ...words.signOffs.flatMap(({ by, withdrawn_by }) => [by, ...(withdrawn_by ? [withdrawn_by] : [])]),
    ...(course ? [course.by] : []),
  ]);
  const signer = (id: string | null) => signers.find((each) => each.id === id)?.name ?? '';
  const known = new Set(checklist.skills.flatMap(({ id, from }) => [id, ...from]));
  const skills = checklist.skills.map((skill) => {
    const where = standing(trainee, skill.id);
    const ids = new Set([skill.id, ...skill.from]);
    return {
      id: skill.id,
      name: skill.name,
      phase: skill.phase,
      shownBy: skill.shownBy,
      rule: ruleSaid(skill.rule),
      asked: skill.rule.level,
      sounds: SKILL_LEVELS.map((level) => levelSays(skill, level)),
      standing: where,
      says: standingSaid(where, skill.rule),
      evidence: evidence.filter((each) => ids.has(each.skill)),
      signOffs: words.signOffs
        .filter((each) => each.skill === skill.id)
        .map((row) => ({
          id: row.id,
          skill: row.skill,
          kind: row.kind,
          byException: Boolean(row.by_exception),
          by: signer(row.by),
          day: row.day,
          version: row.version,
          note: row.note,
          withdrawn: row.withdrawn_at && {
            by: signer(row.withdrawn_by),
            at: iso(row.withdrawn_at),
            reason: row.withdrawn_why ?? '',
          },
        })),
      waitsFor: skill.needs
        .filter((need) => isOpen(standing(trainee, need)))
        .map((need) => skillOf(checklist, need)?.name ?? need),
    };
  });
  const { visits, had } = played.get(trainee) ?? NO_JOBS;
  return {
    trainee: { id: person.id, name: person.name },
    school: actor.schoolName,
    groups: [...new Set(named.map(({ group }) => group))],
    supervisors: [...new Set(named.flatMap(({ supervisor }) => supervisor ?? []))],
    today,
    version: checklist.version,
    skills,
    earlier: evidence.filter((each) => !known.has(each.skill)),
    checkWords: checkWords([
      person.id,
      `${checklist.version}`,
      ...skills.map(({ id, standing: { state, level } }) => `${id} ${spoken(state)} ${spoken(level ?? '')}`),
      ...shown.map(({ id }) => id),
      ...words.signOffs.map(({ id, withdrawn_at }) => `${id} ${withdrawn_at ? 'withdrawn' : ''}`),
    ]),
    gates: missingGates(checklist, standing, trainee).map(({ name }) => name),
    hives: (await allHives(db, actor.school)).map(({ id, number }) => ({ id, number })),
    held: had.frames,
    visits,
    course: course
      ? {
          id: course.id,
          by: signer(course.by),
          day: course.day,
          version: course.version,
          skills: course.skills,
          exceptions: course.exceptions,
          note: course.note,
        }
      : null,
  };
}

/** Demonstrations with names, weather of their day, and later words; the newest first. */
async function evidenceOf(
  db: Db,
  school: string,
  demonstrations: readonly DemonstrationRow[],
  { corrections }: EvidenceWords,
  countedIn: (skill: string) => readonly string[],
): Promise<readonly Evidence[]> {
  const [hives, people] = await Promise.all([
    hivesById(db, school, [...new Set(demonstrations.flatMap(({ hive }) => hive ?? []))]),
    peopleOf(db, school, [
      ...new Set([...demonstrations.flatMap(({ judged_by }) => judged_by ?? []), ...corrections.map(({ by }) => by)]),
    ]),
  ]);
  const sky = await skyOf(db, demonstrations, hives);
  const nameOf = (id: string | null) => people.find((each) => each.id === id)?.name ?? null;
  return demonstrations
    .toSorted((a, b) => b.at.getTime() - a.at.getTime())
    .map((row): Evidence => {
      const words = corrections.filter(({ demonstration }) => demonstration === row.id);
      const last = words.at(-1);
      return {
        id: row.id,
        skill: row.skill,
        level: last?.level ?? row.level,
        first: last ? row.level : null,
        withdrawn: last?.level === null,
        at: iso(row.at),
        day: row.day,
        source: row.source,
        hive: hives.find(({ id }) => id === row.hive)?.number ?? null,
        visit: row.visit,
        assessor: row.judged_by === null ? null : (row.elsewhere ?? nameOf(row.judged_by)),
        lead: Boolean(row.by_lead),
        version: row.version,
        prompt: row.prompt,
        note: row.note,
        weather: sky(row),
        counts: countedIn(row.skill).includes(row.id),
        corrections: words.map(({ level, by, at, reason }) => ({ level, by: nameOf(by) ?? '', at: iso(at), reason })),
      };
    });
}

/** The day's weather at the hive, where it is on record. */
async function skyOf(
  db: Db,
  rows: readonly DemonstrationRow[],
  hives: readonly HiveRow[],
): Promise<(row: DemonstrationRow) => Text | null> {
  const days = rows.map(({ day }) => day).toSorted();
  const [first, last] = [days[0], days.at(-1)];
  if (first === undefined || last === undefined) return () => null;
  const sites = [...new Set(hives.map(({ site }) => site))];
  const known = (await Promise.all(sites.map((site) => weatherDays(db, site, first, last)))).flat();
  const said = new Map(
    known.map(({ site, date, high, rain }) => [`${site} ${date}`, say('sky-of-the-day', { high, rain })]),
  );
  const siteOf = new Map(hives.map(({ id, site }) => [id, site]));
  return ({ hive, day }) => (hive ? (said.get(`${siteOf.get(hive)} ${day}`) ?? null) : null);
}
