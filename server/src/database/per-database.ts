import type { Knex } from 'knex';

/**
 * State that is kept in memory for one database: nothing that was read from one is ever taken for another's.
 *
 * @param make the state to begin with
 * @returns the state of a database
 */
export function perDatabase<T extends object>(make: () => T): (db: Knex) => T {
  const known = new WeakMap<Knex, T>();
  return (db) => {
    let own = known.get(db);
    if (!own) known.set(db, (own = make()));
    return own;
  };
}
