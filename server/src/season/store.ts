import type { Forage } from '@brave-comb/core/season';
import type { Knex } from 'knex';

interface ForageRow {
  readonly id: string;
  readonly school: string;
  readonly site: string;
  readonly plant: string;
  readonly gives: Forage['gives'];
  readonly from_date: string;
  readonly to_date: string;
  readonly give_or_take: number;
}

export const insertForage = (db: Knex, row: ForageRow) => db('forage').insert(row);

/** Plants of a site in bloom at any time between two dates, earliest first. */
export async function forageBetween(
  db: Knex,
  school: string,
  site: string,
  from: string,
  to: string,
): Promise<Forage[]> {
  const rows = await db<ForageRow>('forage')
    .where({ school, site })
    .where('to_date', '>=', from)
    .where('from_date', '<=', to)
    .orderBy('from_date')
    .select();
  return rows.map((row) => ({
    plant: row.plant,
    gives: row.gives,
    from: row.from_date,
    to: row.to_date,
    giveOrTake: row.give_or_take,
  }));
}
