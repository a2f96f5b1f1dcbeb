import type { SkillLevel } from '@brave-comb/core/inspection';
import type { Demonstration, EvidenceSource, SignOff } from '@brave-comb/core/skills';
import type { Knex } from 'knex';

export interface DemonstrationRow {
  readonly id: string;
  readonly school: string;
  readonly trainee: string;
  readonly skill: string;
  readonly level: SkillLevel;
  readonly at: Date;
  /** Civil date at its place. */
  readonly day: string;
  readonly source: EvidenceSource;
  readonly hive: string | null;
  readonly session: string | null;
  readonly visit: string | null;
  /** `null` for a claim that waits, and in practice. */
  readonly judged_by: string | null;
  readonly by_lead: 0 | 1 | boolean;
  /** Version of the checklist that was in force. */
  readonly version: number;
  readonly prompt: string;
  readonly note: string;
  /** Who judged it at which other school, for evidence of a passport. */
  readonly elsewhere: string | null;
}

export interface CorrectionRow {
  readonly id: string;
  readonly school: string;
  readonly demonstration: string;
  readonly level: SkillLevel | null;
  readonly reason: string;
  readonly by: string;
  readonly at: Date;
}

export interface SignOffRow {
  readonly id: string;
  readonly school: string;
  readonly trainee: string;
  readonly skill: string;
  readonly kind: SignOff['kind'];
  readonly by_exception: 0 | 1 | boolean;
  readonly version: number;
  readonly day: string;
  readonly note: string;
  readonly by: string;
  readonly at: Date;
  readonly withdrawn_at: Date | null;
  readonly withdrawn_by: string | null;
  readonly withdrawn_why: string | null;
}

/** Makes the demonstrations of a visit what its entries say. */
export async function replaceDemonstrations(db: Knex, visit: string, rows: readonly DemonstrationRow[]): Promise<void> {
  await db<DemonstrationRow>('demonstrations').where({ visit }).delete();
  if (rows.length > 0) await db('demonstrations').insert(rows);
}

/** Keeps a demonstration; one of the same id stays as it is. */
export const insertDemonstration = (db: Knex, rows: readonly DemonstrationRow[]) =>
  db('demonstrations').insert(rows).onConflict('id').ignore();

/** What some trainees have shown, trainee by trainee and skill by skill, each oldest first. */
export const demonstrationsOf = (db: Knex, school: string, trainees: readonly string[]): Promise<DemonstrationRow[]> =>
  db<DemonstrationRow>('demonstrations')
    .where({ school })
    .whereIn('trainee', trainees)
    .orderBy(['trainee', 'skill', 'at', 'id'])
    .select();

/** The same as far as standings are reckoned from it, in no order: of a whole school that is read in a third of the time. */
export async function shownBy(db: Knex, school: string, trainees: readonly string[]): Promise<Demonstration[]> {
  const rows = await db('demonstrations')
    .where({ school })
    .whereIn('trainee', trainees)
    .select<(Omit<Demonstration, 'lead'> & { lead: 0 | 1 | boolean })[]>(
      'id',
      'trainee',
      'skill',
      'level',
      // An ISO instant at once: making dates of them first takes longer than reading them.
      db.raw("concat(replace(cast(`at` as char), ' ', 'T'), 'Z') as `at`"),
      'day',
      'source',
      'hive as colony',
      'judged_by as assessor',
      'by_lead as lead',
    );
  for (const row of rows) row.lead = Boolean(row.lead);
  return rows as Demonstration[];
}

/** Claims of some trainees that nobody has judged yet. */
export const claimsOf = (db: Knex, school: string, trainees: readonly string[]): Promise<DemonstrationRow[]> =>
  db<DemonstrationRow>('demonstrations')
    .where({ school })
    .whereIn('trainee', trainees)
    .whereNull('judged_by')
    .whereNot({ source: 'practice' })
    .orderBy(['at', 'id'])
    .select();

export const demonstrationById = (db: Knex, school: string, id: string): Promise<DemonstrationRow | undefined> =>
  db<DemonstrationRow>('demonstrations').where({ school, id }).first();

/** Confirms a claim that nobody has settled yet. */
export const confirmClaim = (
  db: Knex,
  id: string,
  word: Pick<DemonstrationRow, 'judged_by' | 'by_lead' | 'level'>,
): Promise<number> => db('demonstrations').where({ id }).whereNull('judged_by').update(word);

/** Later words on demonstrations of some trainees. */
export const correctionsOf = (db: Knex, school: string, trainees: readonly string[]): Promise<CorrectionRow[]> =>
  db('demonstration_corrections')
    .join('demonstrations', 'demonstrations.id', 'demonstration_corrections.demonstration')
    .where('demonstration_corrections.school', school)
    .whereIn('demonstrations.trainee', trainees)
    .orderBy('demonstration_corrections.at')
    .select<CorrectionRow[]>('demonstration_corrections.*');

export const insertCorrection = (db: Knex, row: CorrectionRow) =>
  db('demonstration_corrections').insert(row).onConflict('id').ignore();

export const signOffsOf = (db: Knex, school: string, trainees: readonly string[]): Promise<SignOffRow[]> =>
  db<SignOffRow>('sign_offs').where({ school }).whereIn('trainee', trainees).orderBy('at').select();

export const signOffById = (db: Knex, school: string, id: string): Promise<SignOffRow | undefined> =>
  db<SignOffRow>('sign_offs').where({ school, id }).first();

export const insertSignOffs = (
  db: Knex,
  rows: readonly Omit<SignOffRow, 'withdrawn_at' | 'withdrawn_by' | 'withdrawn_why'>[],
) => db('sign_offs').insert(rows).onConflict('id').ignore();

export const updateSignOff = (
  db: Knex,
  id: string,
  change: Pick<SignOffRow, 'withdrawn_at' | 'withdrawn_by' | 'withdrawn_why'>,
) => db('sign_offs').where({ id }).update(change);

export interface CourseSignOffRow {
  readonly id: string;
  readonly school: string;
  readonly trainee: string;
  readonly day: string;
  readonly version: number;
  readonly skills: number;
  readonly exceptions: number;
  readonly note: string;
  readonly by: string;
  readonly at: Date;
  readonly withdrawn_at: Date | null;
  readonly withdrawn_by: string | null;
  readonly withdrawn_why: string | null;
}

/** The closing signature that stands under a trainee's course. */
export const courseSignOffOf = (db: Knex, school: string, trainee: string): Promise<CourseSignOffRow | undefined> =>
  db<CourseSignOffRow>('course_sign_offs')
    .where({ school, trainee })
    .whereNull('withdrawn_at')
    .orderBy('at', 'desc')
    .first();

export const insertCourseSignOff = (
  db: Knex,
  row: Omit<CourseSignOffRow, 'withdrawn_at' | 'withdrawn_by' | 'withdrawn_why'>,
) => db('course_sign_offs').insert(row).onConflict('id').ignore();

export const courseSignOffById = (db: Knex, school: string, id: string): Promise<CourseSignOffRow | undefined> =>
  db<CourseSignOffRow>('course_sign_offs').where({ school, id }).first();

export const withdrawCourseSignOff = (
  db: Knex,
  school: string,
  id: string,
  change: Pick<CourseSignOffRow, 'withdrawn_at' | 'withdrawn_by' | 'withdrawn_why'>,
): Promise<number> =>
  db<CourseSignOffRow>('course_sign_offs').where({ school, id }).whereNull('withdrawn_at').update(change);

/** What came of a trainee with passports and waits for a word. */
export const waitingOfPassports = async (db: Knex, school: string, trainee: string): Promise<DemonstrationRow[]> => {
  const refused = db('demonstration_corrections').select('demonstration');
  return db<DemonstrationRow>('demonstrations')
    .where({ school, trainee, source: 'passport' })
    .whereNull('judged_by')
    .whereNotIn('id', refused)
    .select();
};

export const removeDemonstrations = (db: Knex, ids: readonly string[]): Promise<number> =>
  db('demonstrations').whereIn('id', ids).delete();

/** How many demonstrations a school has in each skill. */
export const countsBySkill = async (db: Knex, school: string): Promise<ReadonlyMap<string, number>> => {
  const rows = await db('demonstrations')
    .where({ school })
    .groupBy('skill')
    .select<{ skill: string; count: number }[]>('skill', db.raw('count(*) as count'));
  return new Map(rows.map(({ skill, count }) => [skill, count]));
};

/** Takes out what was said of a trainee in words; what was counted stays. */
export async function forgetWordsOn(db: Knex, school: string, trainee: string): Promise<void> {
  await db('demonstrations').where({ school, trainee }).update({ note: '', prompt: '' });
  await db('demonstration_corrections')
    .whereIn('demonstration', db('demonstrations').where({ school, trainee }).select('id'))
    .update({ reason: '' });
  await db('sign_offs').where({ school, trainee }).update({ note: '', withdrawn_why: null });
  await db('course_sign_offs').where({ school, trainee }).update({ note: '', withdrawn_why: null });
}
