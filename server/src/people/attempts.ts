import { createHash } from 'node:crypto';
import type { Knex } from 'knex';
import { RateLimiterMySQL, RateLimiterRes } from 'rate-limiter-flexible';
import { Refusal } from '../problem';

const QUARTER_HOUR = 15 * 60;

/** Slows down guessing: failures by name and by address, kept in the database so that every server process counts the same. */
export interface Attempts {
  /** Refuses with 429 when there were too many failures. */
  admit(name: string, address: string): Promise<void>;
  failed(name: string, address: string): Promise<void>;
  succeeded(name: string): Promise<void>;
}

export function signInAttempts(db: Knex): Attempts {
  const limiter = (keyPrefix: string, points: number) =>
    new RateLimiterMySQL({
      storeClient: db,
      storeType: 'knex',
      dbName: (db.client as { database(): string }).database(),
      tableName: 'rate_limits',
      tableCreated: true,
      keyPrefix,
      points,
      duration: QUARTER_HOUR,
    });
  const byName = limiter('name', 10);
  const byAddress = limiter('address', 60);
  const key = (text: string) => createHash('sha256').update(text.toLowerCase()).digest('hex').slice(0, 40);
  const count = (limit: RateLimiterMySQL, text: string) =>
    limit.consume(key(text)).catch((error: unknown) => {
      if (!(error instanceof RateLimiterRes)) throw error;
    });
  return {
    admit: async (name, address) => {
      for (const [limit, text] of [
        [byName, name],
        [byAddress, address],
      ] as const) {
        const state = await limit.get(key(text));
        if (state && state.consumedPoints >= limit.points) {
          const minutes = Math.max(1, Math.ceil(state.msBeforeNext / 60_000));
          throw new Refusal(429, 'too many tries', `Too many wrong passwords. Try again in ${minutes} minutes.`);
        }
      }
    },
    failed: async (name, address) => {
      await Promise.all([count(byName, name), count(byAddress, address)]);
    },
    succeeded: async (name) => {
      await byName.delete(key(name));
    },
  };
}
