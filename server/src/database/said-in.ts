import type { Knex } from 'knex';

/**
 * The condition that every word stands somewhere in a row.
 *
 * @param words as somebody typed them; none asks for nothing
 * @param columns where a word may stand
 * @returns for `where`
 */
export function saidIn(words: string, columns: readonly string[]): (rows: Knex.QueryBuilder) => void {
  return (rows) => {
    for (const word of words.split(/\s+/).filter((each) => each !== '')) {
      const like = `%${word.replaceAll(/[\\%_]/g, '\\$&')}%`;
      void rows.andWhere((either) => {
        for (const column of columns) void either.orWhere(column, 'like', like);
      });
    }
  };
}
