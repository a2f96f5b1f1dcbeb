import { randomUUID } from 'node:crypto';
import { type ArchiveHead, type ArchiveRow, archiveReading } from '@brave-comb/core/exchange';
import { Unfit } from '@brave-comb/core/language';
import type { Query } from '../../body';
import type { Actor, Context } from '../../context';
import type { Db } from '../../database/db';
import { revise } from '../../database/revision-store';
import { Refusal } from '../../problem';
import { hashOf } from '../../secrets';
import { say } from '../../words';
import { audit } from '../people';
import {
  emptySchool,
  hasSchool,
  holdSchool,
  idsOf,
  keepPersonRow,
  personRow,
  tidyOutside,
  wayInOf,
  waysIn,
  withoutWayIn,
  writeSchool,
  writing,
} from './bring-in-store';
import { type Column, type Table, schoolTables } from './tables-store';
import { ownersOnly } from './take-out';

type Wish = Query<'bringInArchive'>;

const UUID = /\b[0-9a-f]{8}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{12}\b/g;

/** Another id for each id, always the same one within an import. */
function renamed(id: string, salt: string): string {
  const hex = hashOf(salt + id);
  return `${hex.slice(0, 8)}-${hex.slice(8, 12)}-8${hex.slice(13, 16)}-9${hex.slice(17, 20)}-${hex.slice(20, 32)}`;
}

/** How ids of an archive are called here. They stand in columns and within what was entered, so the whole line is gone through. */
function idsHere(head: ArchiveHead, actor: Actor, { ids, me }: Wish): (line: string) => string {
  const known = new Map([[head.school.id, actor.school]]);
  if (me !== undefined) known.set(me, actor.id);
  if (ids !== 'new') {
    const moved = [...known].filter(([there, here]) => there !== here);
    return (line) => moved.reduce((text, [there, here]) => text.replaceAll(there, here), line);
  }
  // A copy has ids of its own, also for whoever of it bears theirs here.
  const salt = randomUUID();
  return (line) => line.replaceAll(UUID, (id) => known.get(id) ?? renamed(id, salt));
}

const STAYS_OWNER = { role: 'lead', retired_at: null, erased_at: null } as const;

/** Rows of an archive that may be pointed to, by table. */
type Seen = Map<string, Set<string>>;

const canBeKept = ({ holds }: Column, value: unknown): boolean => {
  if (value === null || holds === 'json') return true;
  return holds === 'moment' ? typeof value === 'string' && !Number.isNaN(Date.parse(value)) : typeof value !== 'object';
};

/** Refuses a row that does not fit this installation, belongs to another school or points out of the archive. */
function checkRow(table: Table, row: ArchiveRow, school: string, seen: Seen, number: number): void {
  for (const [name, value] of Object.entries(row)) {
    const column = table.columns.find((each) => each.name === name);
    if (!column) throw new Unfit(say('archive-column', { table: table.name, column: name }));
    if (!canBeKept(column, value)) throw new Unfit(say('archive-value', { line: number, column: name }));
  }
  if (table.of === 'school' && row.school !== school) throw new Unfit(say('archive-other-school', { line: number }));
  for (const { column, table: to } of table.references) {
    const id = row[column];
    if (id === null || id === undefined || to === table.name) continue;
    if (typeof id !== 'string' || !seen.get(to)?.has(id))
      throw new Unfit(say('archive-points-out', { line: number, table: to }));
  }
  if (typeof row.id === 'string') seen.get(table.name)?.add(row.id);
}

/**
 * Replaces a school by an archive: all of it, or nothing where anything does not fit, the connection ends or the server does. Whoever brings it
 * in stays owner and signed in; everybody else keeps the way in that they have here, or has none until they are invited.
 *
 * @param lines of the archive, as they come
 * @returns how many rows, the school's name, and how many have to be invited
 * @throws Refusal 403 for whoever is not the owner, 409 where the name is another or ids belong to another school, 422 saying which line does not fit
 */
export async function bringInArchive(
  context: Context,
  actor: Actor,
  wish: Wish,
  lines: AsyncIterable<string>,
  address: string,
): Promise<{ rows: number; school: string; withoutWayIn: number }> {
  ownersOnly(actor);
  const { db } = context;
  return revise(db, actor.school, async (trx) => {
    const { name } = await holdSchool(trx, actor.school);
    if (wish.replaces.trim() !== name.trim()) throw new Refusal(409, 'not-what-it-says', say('archive-name', { name }));
    const done = await replace(trx, actor, wish, lines);
    await audit(trx, {
      school: actor.school,
      person: actor.id,
      what: 'archive-brought-in',
      about: `${done.head.school.name}, ${done.head.made}`,
      address,
    });
    return { rows: done.rows, school: done.name, withoutWayIn: await withoutWayIn(trx, actor.school) };
  });
}

/** Whether a database says that something of the archive is already kept for another school. */
const taken = (error: unknown): boolean => (error as { code?: string }).code === 'ER_DUP_ENTRY';

async function replace(trx: Db, actor: Actor, wish: Wish, lines: AsyncIterable<string>) {
  const { school } = actor;
  const tables = new Map((await schoolTables(trx)).map((table) => [table.name, table]));
  const seen: Seen = new Map(
    [...tables.values()].flatMap(({ references }) =>
      references.map(({ table }) => [table, new Set<string>()] as const),
    ),
  );
  const [here, own] = [await waysIn(trx, school), await personRow(trx, actor.id)];
  const before = { people: [...here.keys()], sites: await idsOf(trx, 'sites', school) };
  const reading = archiveReading();
  let toHere = (line: string): string => line;
  let head: ArchiveHead | undefined;
  let table: Table | undefined;
  let into: ReturnType<typeof writing> | undefined;
  let number = 0;
  let rows = 0;
  let name = actor.schoolName;
  try {
    for await (const text of lines) {
      number += 1;
      const line = reading.line(toHere(text));
      if (line.is === 'head') {
        head = line.head;
        if (wish.ids !== 'new' && head.school.id !== school && (await hasSchool(trx, head.school.id)))
          throw new Refusal(409, 'id-in-use', say('archive-ids-in-use'));
        toHere = idsHere(head, actor, wish);
        const unknown = Object.keys(head.tables).find((each) => each !== 'schools' && !tables.has(each));
        if (unknown !== undefined) throw new Unfit(say('archive-column', { table: unknown, column: null }));
        await emptySchool(trx, [...tables.values()], school);
        continue;
      }
      if (line.is === 'end') continue;
      rows += 1;
      if (line.table === 'schools') {
        name = String(line.row.name);
        await writeSchool(trx, school, line.row);
        continue;
      }
      if (table?.name !== line.table) {
        await into?.done();
        table = tables.get(line.table)!;
        into = writing(trx, table);
      }
      checkRow(table, line.row, school, seen, number);
      const id = line.row.id as string;
      const way = table.name === 'people' ? wayInOf(id, here.get(id)) : {};
      // Whoever brings it in stays who they are here, whatever the archive says of them.
      await into?.add(line.row, id === actor.id ? { ...way, ...STAYS_OWNER } : way, text.length);
    }
    await into?.done();
    head = reading.whole();
    if (!seen.get('people')?.has(actor.id)) await keepPersonRow(trx, own);
  } catch (error) {
    if (error instanceof Unfit) throw new Refusal(422, 'not-valid', say('archive-refused', { why: error.says }));
    if (taken(error) && wish.ids !== 'new') throw new Refusal(409, 'id-in-use', say('archive-ids-in-use'));
    throw error;
  }
  const after = {
    people: new Set(await idsOf(trx, 'people', school)),
    sites: new Set(await idsOf(trx, 'sites', school)),
  };
  await tidyOutside(trx, {
    people: before.people.filter((id) => !after.people.has(id)),
    sites: before.sites.filter((id) => !after.sites.has(id)),
  });
  return { head, rows, name };
}
