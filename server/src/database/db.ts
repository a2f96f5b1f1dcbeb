import type { Knex } from 'knex';

/** A database, or a transaction on it. Only stores speak its language; everybody else hands it on. */
export type Db = Knex;
