import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { ARCHIVE_VERSION, archiveReading, linesOf } from '../src/exchange';
import { Unfit } from '../src/language';
import { inEnglish } from '../src/words';

const head = (tables: object, change: object = {}) => ({
  head: {
    format: 'brave-comb-school',
    version: ARCHIVE_VERSION,
    made: '2026-12-01T09:00:00.000Z',
    school: { id: 's', name: 'Thorn Hollow' },
    by: { id: 'p', name: 'Morag Ure' },
    tables,
    ...change,
  },
});
const row = (table: string, id: string) => ({ table, row: { id } });
const end = (rows: number) => ({ end: { rows } });

/** Reads all lines; what is wrong, in English. */
function read(...lines: readonly (object | string)[]): string {
  const reading = archiveReading();
  try {
    for (const line of lines) reading.line(typeof line === 'string' ? line : JSON.stringify(line));
    return `${reading.whole().school.name}: whole`;
  } catch (error) {
    return error instanceof Unfit ? inEnglish(error.says) : String(error);
  }
}

describe('an archive of a school', () => {
  const cases: readonly (readonly [why: string, lines: readonly (object | string)[], says: RegExp])[] = [
    [
      'whole',
      [head({ sites: 1, hives: 2 }), row('sites', 'a'), row('hives', '1'), row('hives', '2'), end(3)],
      /whole$/,
    ],
    ['of a school with nothing', [head({ sites: 0, hives: 0 }), end(0)], /whole$/],
    ['tables without rows between', [head({ a: 0, b: 1, c: 0 }), row('b', '1'), end(1)], /whole$/],
    ['another file', ['{"some": "json"}'], /no archive of a school/],
    ['no JSON at all', ['<html>'], /no archive of a school/],
    ['an empty file', [], /no archive of a school/],
    ['of a newer installation', [head({}, { version: 9 }), end(0)], /form 9.*reads up to 1: update/],
    ['of no version', [head({}, { version: 'x' }), end(0)], /no archive/],
    ['without counts', [head({ a: 'many' }), end(0)], /first line of the archive is damaged/],
    [
      'a line torn in the middle',
      [head({ a: 1 }), '{"table":"a","row":{"id"', end(1)],
      /Line 2 of the archive is damaged/,
    ],
    ['cut off after a whole row', [head({ a: 2 }), row('a', '1'), row('a', '2')], /ends after line 3 and is not whole/],
    ['a row is missing', [head({ a: 2, b: 0 }), row('a', '1'), end(1)], /promises 2 rows of a and holds 1/],
    ['a row too many', [head({ a: 1 }), row('a', '1'), row('a', '2'), end(2)], /promises 1 rows of a and holds 2/],
    ['the end counts otherwise', [head({ a: 1 }), row('a', '1'), end(7)], /Line 3 of the archive is damaged/],
    ['a table that was not named', [head({ a: 0 }), row('b', '1'), end(1)], /Line 2/],
    [
      'tables in another order',
      [head({ a: 1, b: 1 }), row('b', '1'), row('a', '1'), end(2)],
      /promises 1 rows of a and holds 0/,
    ],
    ['something after the end', [head({ a: 0 }), end(0), row('a', '1')], /Line 3/],
    ['a row that is none', [head({ a: 1 }), { table: 'a', row: [] }, end(1)], /Line 2/],
  ];
  it.each(cases)('%s', (_why, lines, says) => {
    expect(read(...lines)).toMatch(says);
  });
});

describe('lines of a text in pieces', () => {
  const all = async (pieces: readonly string[], longest?: number): Promise<string[]> => {
    const sent = new ReadableStream<string>({
      start(stream) {
        for (const piece of pieces) stream.enqueue(piece);
        stream.close();
      },
    });
    const lines: string[] = [];
    for await (const line of linesOf(sent, longest)) lines.push(line);
    return lines;
  };

  it('are the same however the text is cut', async () => {
    await fc.assert(
      fc.asyncProperty(
        fc.array(fc.string({ unit: fc.constantFrom('a', 'é', '🐝', '"') }), { minLength: 1 }),
        fc.array(fc.nat(400)),
        async (lines, cuts) => {
          const text = `${lines.join('\n')}\n`;
          const at = [...new Set(cuts.map((cut) => cut % (text.length + 1)))].sort((a, b) => a - b);
          const pieces = [0, ...at].map((from, index) => text.slice(from, at[index] ?? text.length));
          expect(await all(pieces)).toEqual(lines);
        },
      ),
    );
  });

  it('are no longer than any record', async () => {
    await expect(all(['aaaa', 'aaaa', 'aaaa'], 10)).rejects.toThrow(Unfit);
    expect(await all(['aaaa\n', 'aaaa\n', 'aaaa'], 10)).toEqual(['aaaa', 'aaaa', 'aaaa']);
  });
});
