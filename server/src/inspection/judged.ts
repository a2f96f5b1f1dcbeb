import type { VisitFile } from '@brave-comb/contract';
import { SKILL_LEVELS, sideKey, type VisitRecord } from '@brave-comb/core/inspection';
import { worstOfLate } from '@brave-comb/core/planning';
import { levelSays } from '@brave-comb/core/skills';
import type { Knex } from 'knex';
import type { Context } from '../context';
import { dateAt } from '../dates';
import type { HiveRow } from '../equipment/store';
import { peopleOf, traineesOf } from '../people/store';
import { rotaOf } from '../planning/group-sheet';
import { traineeLimits } from '../planning/plan-store';
import { checklistOf } from '../skills/checklist-store';
import { replaceDemonstrations } from '../skills/evidence-store';
import { replaceReadingPairs } from '../skills/reading-store';
import { rolesPlayed } from '../skills/roles-played';
import { openSkills, type SchoolStandings, schoolStandings } from '../skills/standings';
import type { NamedVisit, VisitRow } from './store';
import { tempersOf } from './visit-facts';

/** The checklist as the hive needs it: what each skill is shown by and what its levels sound like, and who still has to show it. */
export function listedSkills(skills: SchoolStandings, trainees: readonly string[]): VisitFile['skills'] {
  const open = new Map(openSkills(skills, trainees).map((each) => [each.skill.id, each.open]));
  return skills.checklist.skills.map((skill) => ({
    id: skill.id,
    name: skill.name,
    phase: skill.phase,
    role: skill.role,
    shownBy: skill.shownBy,
    says: SKILL_LEVELS.map((level) => levelSays(skill, level)),
    open: open.get(skill.id) ?? [],
  }));
}

/** Brings what was judged in a visit up to its entries. */
export async function projectJudgements(trx: Knex, visit: NamedVisit, { judgements }: VisitRecord): Promise<void> {
  const { version } = await checklistOf(trx, visit.school, dateAt(visit.zone, visit.started_at));
  const assessors = await peopleOf(trx, visit.school, [...new Set(judgements.map(({ by }) => by))]);
  const leads = new Set(assessors.filter(({ role }) => role === 'lead').map(({ id }) => id));
  await replaceDemonstrations(
    trx,
    visit.id,
    judgements.map((each) => ({
      id: each.id,
      school: visit.school,
      trainee: each.trainee,
      skill: each.skill,
      level: each.level,
      at: new Date(each.at),
      day: dateAt(visit.zone, each.at),
      source: 'visit',
      hive: visit.hive,
      session: visit.session,
      visit: visit.id,
      judged_by: each.by,
      by_lead: leads.has(each.by),
      version,
      prompt: each.prompt ?? '',
      note: each.note ?? '',
      elsewhere: null,
    })),
  );
}

/** Brings hidden readings beside the supervisor's up to the entries of a visit; a side that nobody else read does not count. */
export async function projectReadings(trx: Knex, visit: NamedVisit, record: VisitRecord): Promise<void> {
  await replaceReadingPairs(
    trx,
    visit.id,
    record.traineeReadings.flatMap(({ id, at, person, address, side }) => {
      const reading = record.sides[sideKey(address)];
      if (!reading || reading.by === person) return [];
      const own = { school: visit.school, trainee: person, visit: visit.id };
      return [{ ...own, id, at: new Date(at), own: side.eighths, reference: reading.side.eighths }];
    }),
  );
}

/** Who is to do what at a hive that is about to be opened, by ids: kept with the visit, so that it can be told afterwards. */
export async function plannedRota(
  context: Context,
  school: string,
  hive: HiveRow,
  group: string,
  at: Date,
): Promise<NonNullable<VisitRow['rota']>> {
  const { db } = context;
  const trainees = await traineesOf(db, school, [group]);
  const [limits, tempers, played, skills] = await Promise.all([
    traineeLimits(db, school),
    tempersOf(context, hive, at),
    rolesPlayed(db, school, [group], at),
    schoolStandings(
      context,
      school,
      trainees.map(({ id }) => id),
    ),
  ]);
  const ids = new Map(trainees.map(({ id, name }) => [name, id]));
  const turns = rotaOf(
    { skills, limits, played, tempers: new Map([[hive.id, worstOfLate(tempers)]]) },
    trainees,
    hive,
    [],
  );
  const idsOf = (names: readonly string[]) => names.map((name) => ids.get(name)!);
  return turns.map(({ fromFrame, toFrame, roles }) => ({
    fromFrame,
    toFrame,
    roles: {
      smoke: idsOf(roles.smoke),
      frames: idsOf(roles.frames),
      record: idsOf(roles.record),
      clock: idsOf(roles.clock),
      watch: idsOf(roles.watch),
    },
  }));
}
