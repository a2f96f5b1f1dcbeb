import { readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { gunzipSync } from 'node:zlib';
import { Ajv2020 } from 'ajv/dist/2020.js';
import { afterAll, beforeAll, expect, it } from 'vitest';
import { endpoints } from '@brave-comb/contract';
import { schoolTables } from '../src/records/archive/tables-store';
import { type School, openSchool } from './school';

const FILE = join(import.meta.dirname, '..', '..', 'docs/formats/school-archive.schema.json');

let school: School;
beforeAll(async () => {
  school = await openSchool('', 'archive_schema');
}, 120_000);
afterAll(() => school.close());

const TYPES: Readonly<Record<string, object>> = {
  bigint: { type: 'integer' },
  int: { type: 'integer' },
  tinyint: { type: 'integer' },
  double: { type: 'number' },
  float: { type: 'number' },
  date: { type: 'string', pattern: '^\\d{4}-\\d\\d-\\d\\d$' },
};

/** What a column holds, from what the database says of it. */
function typeOf(
  holds: string,
  { data_type, column_type, length }: { data_type: string; column_type: string; length: number | null },
) {
  if (holds === 'json') return {};
  if (holds === 'moment') return { type: 'string', pattern: '^\\d{4}-\\d\\d-\\d\\dT[\\d:.]+Z$' };
  if (holds === 'bytes') return { type: 'string', contentEncoding: 'base64' };
  if (data_type === 'enum') return { enum: [...column_type.matchAll(/'([^']*)'/g)].map(([, value]) => value) };
  return TYPES[data_type] ?? { type: 'string', ...(length !== null && length < 4000 ? { maxLength: length } : {}) };
}

const orNull = (schema: { readonly enum?: readonly (string | undefined)[]; readonly type?: string }) => {
  if (schema.enum) return { enum: [...schema.enum, null] };
  return schema.type ? { ...schema, type: [schema.type, 'null'] } : schema;
};

async function schemaNow(): Promise<object> {
  const described = await school
    .db('information_schema.columns')
    .whereRaw('table_schema = database()')
    .select<{ table: string; column: string; data_type: string; column_type: string; length: number | null }[]>(
      'table_name as table',
      'column_name as column',
      'data_type as data_type',
      'column_type as column_type',
      'character_maximum_length as length',
    );
  const rows = (await schoolTables(school.db)).map(({ name, columns }) => ({
    type: 'object',
    required: ['table', 'row'],
    additionalProperties: false,
    properties: {
      table: { const: name },
      row: {
        type: 'object',
        additionalProperties: false,
        required: columns.map((column) => column.name),
        properties: Object.fromEntries(
          columns.map((column) => {
            const known = described.find((each) => each.table === name && each.column === column.name)!;
            const schema = typeOf(column.holds, known);
            return [column.name, column.nullable ? orNull(schema) : schema];
          }),
        ),
      },
    },
  }));
  const id = { type: 'string', pattern: '^[0-9a-f-]{36}$' };
  const named = { type: 'object', required: ['id', 'name'], properties: { id, name: { type: 'string' } } };
  const line = (name: string, of: object) => ({
    type: 'object',
    required: [name],
    additionalProperties: false,
    properties: { [name]: of },
  });
  return {
    $schema: 'https://json-schema.org/draft/2020-12/schema',
    title: 'A line of the archive of a school, form 1',
    anyOf: [
      line('head', {
        type: 'object',
        required: ['format', 'version', 'made', 'school', 'by', 'tables'],
        properties: {
          format: { const: 'brave-comb-school' },
          version: { const: 1 },
          made: { type: 'string' },
          school: named,
          by: named,
          tables: { type: 'object', additionalProperties: { type: 'integer', minimum: 0 } },
        },
      }),
      {
        type: 'object',
        required: ['table', 'row'],
        properties: {
          table: { const: 'schools' },
          row: { type: 'object', required: ['name', 'practice', 'home'], properties: { name: { type: 'string' } } },
        },
      },
      ...rows,
      line('end', { type: 'object', required: ['rows'], properties: { rows: { type: 'integer' } } }),
    ],
  };
}

// Written anew by: WRITE_SCHEMA=yes npm run test:api -- archive-schema
it('is described by its schema as the tables are, and keeps to it in every line', async () => {
  const schema = await schemaNow();
  if (process.env.WRITE_SCHEMA) writeFileSync(FILE, `${JSON.stringify(schema, null, 2)}\n`);
  expect(JSON.parse(readFileSync(FILE, 'utf8'))).toEqual(schema);
  const fits = new Ajv2020({ strict: false }).compile(schema);
  const morag = await school.signIn('morag');
  const answer = await morag
    .get(endpoints.takeOutArchive.path)
    .buffer(true)
    .parse((response, done) => {
      const pieces: Buffer[] = [];
      response.on('data', (piece: Buffer) => pieces.push(piece));
      response.on('end', () => done(null, Buffer.concat(pieces)));
    });
  const lines = gunzipSync(answer.body as Buffer)
    .toString('utf8')
    .trimEnd()
    .split('\n');
  expect(lines.filter((line) => !fits(JSON.parse(line))).slice(0, 3)).toEqual([]);
  expect(fits({ table: 'hives', row: { number: 4 } })).toBe(false);
}, 120_000);
