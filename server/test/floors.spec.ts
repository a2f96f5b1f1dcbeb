import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { describe, expect, it } from 'vitest';

const SRC = join(import.meta.dirname, '..', 'src');
const DOCS = join(import.meta.dirname, '..', '..', 'docs', 'architecture.md');

const filesBelow = (folder: string): string[] =>
  readdirSync(folder, { withFileTypes: true, recursive: true })
    .filter((each) => each.isFile() && each.name.endsWith('.ts'))
    .map((each) => join(each.parentPath, each.name).slice(SRC.length + 1));

/** Owner by table, as the page about the architecture lists them; who else writes there comes after. */
function owners(): Map<string, string[]> {
  const [page] = readFileSync(DOCS, 'utf8').split('# How the web application stands');
  const rows = page!.matchAll(/^\| `((?:records\/)?[a-z]+)` +\| ([a-z_, ]+?)(?: \(.*\))? *\|$/gm);
  const found = new Map<string, string[]>();
  for (const [, room, tables] of rows)
    for (const table of tables!.split(', ')) found.set(table, [...(found.get(table) ?? []), room!]);
  return found;
}

/** Tables that a store starts a statement on, with whether the statement writes. */
const statements = (text: string): { table: string; writes: boolean }[] =>
  [...text.matchAll(/\b(?:db|trx)(?:<[^>()]+>)?\(\s*'([a-z_]+)'([^;]*)/g)].map(([, table, rest]) => ({
    table: table!,
    writes: /^[^;]*?\.(insert|update|delete|truncate)\(/.test(rest!.split(/\n\n|\n}/)[0]!),
  }));

const stores = filesBelow(SRC).filter((file) => /store\.ts$|^database\/leases\.ts$/.test(file));
const roomOf = (file: string): string =>
  file
    .split('/')
    .slice(0, file.startsWith('records/') ? 2 : 1)
    .join('/');

describe('the floors of the server', () => {
  it('have an owner for every table that a store speaks of, and name no table that is not there', () => {
    const known = owners();
    const spoken = new Set(
      stores.flatMap((file) => statements(readFileSync(join(SRC, file), 'utf8')).map(({ table }) => table)),
    );
    expect([...spoken].filter((table) => !known.has(table))).toEqual([]);
    expect([...known.keys()].filter((table) => !spoken.has(table))).toEqual([]);
    expect(spoken.size).toBeGreaterThan(40);
  });

  it.each(stores)('%s writes its own room’s tables only', (file) => {
    const known = owners();
    const foreign = statements(readFileSync(join(SRC, file), 'utf8'))
      .filter(({ table, writes }) => writes && !known.get(table)?.includes(roomOf(file)))
      .map(({ table }) => table);
    expect(foreign).toEqual([]);
  });

  it('speak SQL in stores only', () => {
    const others = filesBelow(SRC).filter((file) => !/store\.ts$|^database\//.test(file));
    const speaking = others.filter((file) =>
      /\b(?:db|trx)(?:<[^>()]+>)?(?:\.raw)?\(\s*['"`]/.test(readFileSync(join(SRC, file), 'utf8')),
    );
    expect(speaking).toEqual([]);
  });
});
