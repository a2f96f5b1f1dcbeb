import type { Knex } from 'knex';

/**
 * Keeps the rows in which every word stands somewhere.
 *
 * @param query rows
 * @param words as somebody typed them
 * @param columns where a word may stand
 */
export function saidIn<Q extends Knex.QueryBuilder>(query: Q, words: string, columns: readonly string[]): Q {
  for (const word of words.split(/\s+/).filter((each) => each !== '')) {
    const like = `%${word.replaceAll(/[\\%_]/g, '\\$&')}%`;
    void query.andWhere((either) => {
      for (const column of columns) void either.orWhere(column, 'like', like);
    });
  }
  return query;
}
