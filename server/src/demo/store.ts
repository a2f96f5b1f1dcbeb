import type { Knex } from 'knex';

export const schoolNames = (db: Knex): Promise<string[]> => db('schools').pluck('name');
