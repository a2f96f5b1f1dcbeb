import type { Knex } from 'knex';

const NAME = 'demonstrations_standing';
/** All that a standing is reckoned from, so that a whole school's is read from the index alone. */
const COLUMNS = ['school', 'trainee', 'skill', 'at', 'id', 'level', 'day', 'source', 'hive', 'judged_by', 'by_lead'];
/** Columns of the index before it. */
const BEFORE = ['school', 'trainee', 'skill'];

/** Reads standings from one index; what it replaces began alike. */
export async function up(db: Knex): Promise<void> {
  const known = await db('information_schema.statistics')
    .where({ table_schema: db.raw('database()'), table_name: 'demonstrations' })
    .distinct<{ index_name: string }[]>('index_name as index_name');
  const names = new Set(known.map(({ index_name }) => index_name));
  await db.schema.alterTable('demonstrations', (t) => {
    if (!names.has(NAME)) t.index(COLUMNS, NAME);
    if (names.has(`demonstrations_${BEFORE.join('_')}_index`)) t.dropIndex(BEFORE);
  });
}

export { noWayBack as down } from './parts';
