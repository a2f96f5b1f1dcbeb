import { idNow, withIdsOfNow } from '@brave-comb/core/exchange';
import type { Knex } from 'knex';
import { noWayBack } from './parts';

/** Columns that hold one id. */
const ID_COLUMNS: readonly (readonly [table: string, column: string])[] = [
  ['sessions', 'depth'],
  ['pollen_seen', 'colour'],
  ['season_events', 'kind'],
  ['demonstrations', 'level'],
  ['demonstration_corrections', 'level'],
  ['colony_events', 'kind'],
  ['decisions', 'advice'],
  ['combs', 'store'],
  ['audit_log', 'what'],
];

/** Columns of JSON in which ids stand. */
const JSON_COLUMNS: readonly (readonly [table: string, column: string])[] = [
  ['schools', 'practice'],
  ['colony_events', 'detail'],
  ['visits', 'questions'],
  ['visits', 'rota'],
  ['visits', 'combs'],
  ['visit_entries', 'body'],
  ['asked_questions', 'spot'],
  ['dropped_sessions', 'session'],
  ['dropped_sessions', 'groups'],
  ['plan_pins', 'what'],
  ['plan_jobs', 'problem'],
  ['plan_jobs', 'plan'],
  ['plan_jobs', 'course'],
  ['plan_versions', 'problem'],
  ['plan_versions', 'plan'],
  ['plan_versions', 'changes'],
  ['checklists', 'skills'],
  ['reading_pairs', 'own'],
  ['reading_pairs', 'reference'],
  ['debrief_signatures', 'parts'],
  ['practice_results', 'answer'],
  ['practice_results', 'recorded'],
  ['indoor_plans', 'stations'],
];

/** Small tables that have no `id`. */
const JSON_OF_SMALL_TABLES: typeof JSON_COLUMNS = [
  ['session_groups', 'reasons'],
  ['planning_terms', 'terms'],
];

const ENUMS: readonly (readonly [table: string, column: string, values: readonly string[], otherwise?: string])[] = [
  ['sessions', 'status', ['planned', 'held', 'called-off']],
  ['sites', 'degree_days', ['average', 'clamped-average', 'single-sine'], 'single-sine'],
  ['colonies', 'strain', ['keeps-laying', 'cuts-down', 'stops'], 'cuts-down'],
  ['site_plants', 'kind', ['degree-days', 'dates']],
];

/** Rows read at a time. */
const PORTION = 2000;

/** Ids become words joined by hyphens: they name things, what people read is made from them. */
export async function up(db: Knex): Promise<void> {
  for (const [table, column, values, otherwise] of ENUMS) await turnEnum(db, table, column, values, otherwise);
  for (const [table, column] of ID_COLUMNS) await turnIds(db, table, column);
  for (const [table, column] of JSON_COLUMNS) await turnJson(db, table, column);
  for (const [table, column] of JSON_OF_SMALL_TABLES) await turnSmallJson(db, table, column);
  await turnTaskKeys(db);
}

async function turnEnum(
  db: Knex,
  table: string,
  column: string,
  values: readonly string[],
  otherwise?: string,
): Promise<void> {
  const alter = (type: string) =>
    db.schema.alterTable(table, (t) => {
      const changed = t.specificType(column, type).notNullable();
      void (otherwise === undefined ? changed : changed.defaultTo(otherwise)).alter();
    });
  await alter('varchar(40)');
  await turnIds(db, table, column);
  await alter(`enum(${values.map((value) => `'${value}'`).join(',')})`);
}

async function turnIds(db: Knex, table: string, column: string): Promise<void> {
  const kept = (await db(table).distinct(column).whereNotNull(column).pluck(column)) as string[];
  for (const id of kept.filter((each) => idNow(each) !== each))
    await db(table).where(column, id).update(column, idNow(id));
}

/** The text with the ids of today, `null` where nothing changes. */
function turned(text: string | null): string | null {
  if (text === null || text === '') return null;
  const kept: unknown = JSON.parse(text);
  const now = withIdsOfNow(kept);
  return now === kept ? null : JSON.stringify(now);
}

/** A column of JSON as it stands in the table. */
const textOf = (db: Knex, column: string) => db.raw('cast(?? as char) as text', [column]);

async function turnSmallJson(db: Knex, table: string, column: string): Promise<void> {
  const kept: { text: string | null }[] = await db(table).distinct(textOf(db, column));
  for (const { text } of kept) {
    const now = turned(text);
    if (now !== null) await db(table).where(column, text).update(column, now);
  }
}

async function turnJson(db: Knex, table: string, column: string): Promise<void> {
  for (let after = ''; ;) {
    const rows: { id: string; text: string | null }[] = await db(table)
      .where('id', '>', after)
      .orderBy('id')
      .limit(PORTION)
      .select('id', textOf(db, column));
    for (const { id, text } of rows) {
      const now = turned(text);
      if (now !== null) await db(table).where('id', id).update(column, now);
    }
    if (rows.length < PORTION) return;
    after = rows.at(-1)!.id;
  }
}

/** A task is known by what it follows from: `unsure/` and the finding. */
async function turnTaskKeys(db: Knex): Promise<void> {
  const kept = (await db('follow_ups').distinct('task').where('task', 'like', 'unsure/%').pluck('task')) as string[];
  for (const key of kept) {
    const now = `unsure/${idNow(key.slice('unsure/'.length))}`;
    if (now !== key) await db('follow_ups').where('task', key).update('task', now);
  }
}

export const down = noWayBack;
