import type { Knex } from 'knex';
import MySql2Client from 'knex/lib/dialects/mysql2/index.js';

/** How long one statement may take, ms; so long also a dead line is waited for. */
const STATEMENT_LIMIT = 20_000;

interface Line {
  __knex__disposed?: unknown;
  destroy(): void;
}
interface Statement {
  options?: object;
}

/**
 * The driver with an end to waiting: a statement that is not answered, because the database stands still or the line to it is dead, fails
 * like one on a closed line, and its line is never used again.
 */
export class BoundedClient extends MySql2Client {
  override async _query(line: Line, asked: string | Statement): Promise<unknown> {
    const statement: Statement = typeof asked === 'string' ? ({ sql: asked } as Statement) : asked;
    statement.options = { timeout: STATEMENT_LIMIT, ...statement.options };
    try {
      return await super._query(line, statement);
    } catch (error) {
      if ((error as { code?: string }).code === 'PROTOCOL_SEQUENCE_TIMEOUT') line.__knex__disposed = error;
      throw error;
    }
  }

  override async destroyRawConnection(line: Line): Promise<void> {
    if (line.__knex__disposed) line.destroy();
    else await super.destroyRawConnection(line);
  }
}

/** The client as {@link Knex.Config} wants it. */
export const boundedClient = BoundedClient as unknown as typeof Knex.Client;
