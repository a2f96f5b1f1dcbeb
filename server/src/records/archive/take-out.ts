import { ARCHIVE_FORMAT, ARCHIVE_VERSION, type ArchiveHead, type ArchiveRow } from '@brave-comb/core/exchange';
import type { Output, endpoints } from '@brave-comb/contract';
import type { Actor, Context } from '../../context';
import { iso } from '../../dates';
import { Refusal, notFound } from '../../problem';
import { say } from '../../words';
import { audit, noteOf } from '../people';
import { countRows, rowsForArchive, rowsNaming, schoolRow } from './take-out-store';
import { schoolTables } from './tables-store';

/** The whole school is the owner's to take out and to replace. */
export function ownersOnly(actor: Actor): void {
  if (!actor.owner) throw new Refusal(403, 'not-allowed', say('owners-archive'));
}

/** What an archive of the school would hold now. */
export async function archiveHere({ db }: Context, actor: Actor): Promise<Output<(typeof endpoints)['archiveHere']>> {
  const tables = await schoolTables(db);
  return {
    school: { id: actor.school, name: actor.schoolName },
    mayUse: actor.owner === true,
    tables: await Promise.all(
      tables.map(async (table) => ({
        name: table.name,
        columns: table.columns.map(({ name }) => name),
        rows: await countRows(db, table, actor.school),
      })),
    ),
  };
}

/**
 * The whole school, line by line, as it was at one moment: what is entered meanwhile is not in it, or wholly.
 *
 * @returns lines with their ends; see docs/formats/school-archive.md
 * @throws Refusal 403 for whoever is not the owner
 */
export async function schoolArchive(context: Context, actor: Actor, address: string): Promise<AsyncGenerator<string>> {
  ownersOnly(actor);
  await audit(context.db, { school: actor.school, person: actor.id, what: 'archive-taken-out', about: '', address });
  return archiveLines(context, actor);
}

async function* archiveLines({ db, clock }: Context, actor: Actor): AsyncGenerator<string> {
  const tables = await schoolTables(db);
  const trx = await db.transaction({ isolationLevel: 'repeatable read' });
  try {
    const { name, practice, home } = await schoolRow(trx, actor.school);
    const counts: Record<string, number> = { schools: 1 };
    for (const table of tables) counts[table.name] = await countRows(trx, table, actor.school);
    const head: ArchiveHead = {
      format: ARCHIVE_FORMAT,
      version: ARCHIVE_VERSION,
      made: iso(clock.now()),
      school: { id: actor.school, name },
      by: { id: actor.id, name: actor.name },
      tables: counts,
    };
    yield `${JSON.stringify({ head })}\n${JSON.stringify({ table: 'schools', row: { name, practice, home } })}\n`;
    let rows = 1;
    for (const table of tables)
      for await (const row of rowsForArchive(trx, table, actor.school)) {
        rows += 1;
        yield `${JSON.stringify({ table: table.name, row })}\n`;
      }
    yield `${JSON.stringify({ end: { rows } })}\n`;
  } finally {
    await trx.rollback();
  }
}

/** What is kept of one person. See docs/formats/school-archive.md. */
export interface PersonalRecords {
  readonly format: 'brave-comb-person';
  readonly version: 1;
  readonly made: string;
  readonly school: string;
  readonly person: { readonly id: string; readonly name: string };
  /** Rows that name the person, by table, with its columns; files are counted, not held. */
  readonly tables: Readonly<Record<string, readonly ArchiveRow[]>>;
}

/**
 * All that is kept of somebody, by table.
 *
 * @throws Refusal 403 for anybody but themselves and lead instructors, 404 where the school has nobody such
 */
export async function personalRecords(
  { db, clock }: Context,
  actor: Actor,
  person: string,
  address: string,
): Promise<PersonalRecords> {
  if (actor.role !== 'lead' && actor.id !== person) throw new Refusal(403, 'not-allowed', say('own-records-only'));
  if ((await noteOf(db, actor.school, person)) === undefined) throw notFound('person');
  const tables: Record<string, readonly ArchiveRow[]> = {};
  for (const table of await schoolTables(db)) {
    const rows = await rowsNaming(db, table, actor.school, person);
    if (rows.length > 0) tables[table.name] = rows;
  }
  const name = tables.people?.[0]?.name as string;
  await audit(db, { school: actor.school, person: actor.id, what: 'records-taken-out', about: name, address });
  return {
    format: 'brave-comb-person',
    version: 1,
    made: iso(clock.now()),
    school: actor.schoolName,
    person: { id: person, name },
    tables,
  };
}
