import { type Checklist, DEFAULT_CHECKLIST, type Skill } from '@brave-comb/core/skills';
import type { Knex } from 'knex';
import { v7 as uuid } from 'uuid';

export interface ChecklistRow {
  readonly id: string;
  readonly school: string;
  /** `null` for the draft of the next one. */
  readonly version: number | null;
  readonly skills: readonly Skill[];
  readonly note: string;
  readonly made_by: string | null;
  readonly made_at: Date;
}

type Stored = Omit<ChecklistRow, 'skills'> & { readonly skills: string };
const read = (row: Stored): ChecklistRow => ({ ...row, skills: JSON.parse(row.skills) as readonly Skill[] });

/** Versions of a school's list, the newest first, and the draft if there is one. A school that never wrote one goes by the default. */
export async function checklistsOf(
  db: Knex,
  school: string,
): Promise<{ readonly draft: ChecklistRow | null; readonly versions: readonly ChecklistRow[] }> {
  const rows = (await db<Stored>('checklists').where({ school }).orderBy('version', 'desc').select()).map(read);
  return {
    draft: rows.find(({ version }) => version === null) ?? null,
    versions: rows.filter(({ version }) => version !== null),
  };
}

/** The list in force. */
export async function checklistOf(db: Knex, school: string): Promise<Checklist> {
  const row = await db<Stored>('checklists')
    .where({ school })
    .whereNotNull('version')
    .orderBy('version', 'desc')
    .first();
  return row ? { version: row.version!, skills: read(row).skills } : DEFAULT_CHECKLIST;
}

/** Ids of skills of all versions: evidence in one of them is never refused because the list has moved on. */
export async function knownSkills(db: Knex, school: string): Promise<ReadonlySet<string>> {
  const { versions } = await checklistsOf(db, school);
  const lists = [DEFAULT_CHECKLIST.skills, ...versions.map(({ skills }) => skills)];
  return new Set(lists.flatMap((skills) => skills.map(({ id }) => id)));
}

/** Keeps the draft in place of the one before. */
export async function keepDraft(db: Knex, row: Omit<ChecklistRow, 'id' | 'version'>): Promise<void> {
  await dropDraft(db, row.school);
  await insertChecklist(db, { ...row, version: null });
}

export const dropDraft = (db: Knex, school: string) =>
  db<Stored>('checklists').where({ school }).whereNull('version').delete();

export const insertChecklist = (db: Knex, row: Omit<ChecklistRow, 'id'>) =>
  db('checklists').insert({ ...row, id: uuid(), skills: JSON.stringify(row.skills) });

/** Holds the school's lists until the transaction ends, so that two versions are not put in force side by side. */
export const lockSchool = (trx: Knex, school: string) => trx('schools').where({ id: school }).forUpdate().first();
