import { type Checklist, DEFAULT_CHECKLIST, type Skill } from '@brave-comb/core/skills';
import type { Knex } from 'knex';
import { v7 as uuid } from 'uuid';
import { withOurSentences } from '../../words';

export interface ChecklistRow {
  readonly id: string;
  readonly school: string;
  /** `null` for the draft of the next one. */
  readonly version: number | null;
  readonly skills: readonly Skill[];
  readonly note: string;
  readonly made_by: string | null;
  readonly made_at: Date;
  /** First day on which it is in force; `null` for the draft and for the list that the school began with. */
  readonly starts: string | null;
  /** Whether what is held on that day has still to be carried over. */
  readonly to_carry: 0 | 1 | boolean;
}

type Stored = Omit<ChecklistRow, 'skills'> & { readonly skills: string };
const read = (row: Stored): ChecklistRow => ({
  ...row,
  skills: (JSON.parse(row.skills) as readonly Skill[]).map(withOurSentences),
});

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

/** Versions that are in force on a day or were before, the newest first. */
const inForceBy = (db: Knex, school: string, day: string) =>
  db<Stored>('checklists')
    .where({ school })
    .whereNotNull('version')
    .where((begun) => void begun.whereNull('starts').orWhere('starts', '<=', day))
    .orderBy('version', 'desc');

const asChecklist = (row: Stored | undefined): Checklist =>
  row ? { version: row.version!, skills: read(row).skills } : DEFAULT_CHECKLIST;

/** The list in force on a civil day of the school. */
export const checklistOf = async (db: Knex, school: string, day: string): Promise<Checklist> =>
  asChecklist(await inForceBy(db, school, day).first());

/** A list that waited for its day, which has come: what is held by the one before has to be carried over to it. */
export async function checklistToCarry(
  db: Knex,
  school: string,
  day: string,
): Promise<{ readonly row: ChecklistRow; readonly before: Checklist } | null> {
  const [latest, before] = await inForceBy(db, school, day).limit(2);
  return latest?.to_carry ? { row: read(latest), before: asChecklist(before) } : null;
}

export const markCarried = (db: Knex, id: string) => db<Stored>('checklists').where({ id }).update({ to_carry: false });

/** Makes a version that waits for its day the draft again. */
export const backToDraft = (db: Knex, id: string) =>
  db<Stored>('checklists').where({ id }).update({ version: null, starts: null, to_carry: false, note: '' });

/** Ids of skills of all versions: evidence in one of them is never refused because the list has moved on. */
export async function knownSkills(db: Knex, school: string): Promise<ReadonlySet<string>> {
  const { versions } = await checklistsOf(db, school);
  const lists = [DEFAULT_CHECKLIST.skills, ...versions.map(({ skills }) => skills)];
  return new Set(lists.flatMap((skills) => skills.map(({ id }) => id)));
}

/** Keeps the draft in place of the one before. */
export async function keepDraft(
  db: Knex,
  row: Pick<ChecklistRow, 'school' | 'skills' | 'made_by' | 'made_at'>,
): Promise<void> {
  await dropDraft(db, row.school);
  await insertChecklist(db, { ...row, version: null, note: '', starts: null, to_carry: false });
}

export const dropDraft = (db: Knex, school: string) =>
  db<Stored>('checklists').where({ school }).whereNull('version').delete();

export const insertChecklist = (db: Knex, row: Omit<ChecklistRow, 'id'>) =>
  db('checklists').insert({ ...row, id: uuid(), skills: JSON.stringify(row.skills) });
