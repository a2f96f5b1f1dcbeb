import { say } from '../../words';
import { RateLimiterMySQL, RateLimiterRes } from 'rate-limiter-flexible';
import type { Db } from '../../database/db';
import { Refusal } from '../../problem';
import { hashOf, newSecret } from '../../secrets';
import { knowDevice, knowsDevice } from './store';

const QUARTER_HOUR = 15 * 60;
const HOUR = 60 * 60;

/** Where an attempt to sign in comes from. */
export interface Attempt {
  readonly name: string;
  readonly address: string;
  /** What the device was given when somebody last signed in on it, empty for a strange one. */
  readonly device: string;
}

/** Slows down guessing. */
export interface Attempts {
  /**
   * Counts an attempt, before the password is looked at.
   *
   * @throws Refusal 429 when there were too many
   */
  admit(attempt: Attempt): Promise<void>;
  /** The password was right: the attempt was none. Returns what the device is to be known by. */
  succeeded(attempt: Attempt, person: string): Promise<string>;
}

/**
 * Slows down guessing, counted in the database so that every server process counts the same: by name and address together, by name, and by
 * address. A device on which that person signed in before has a count of its own (the "device cookies" of OWASP's page on slow guessing), so
 * strangers who guess at a name lock out nobody but themselves, and a school behind one router is not locked out by its own slips.
 *
 * @param db database
 */
export function signInAttempts(db: Db): Attempts {
  const limiter = (keyPrefix: string, points: number, duration: number) =>
    new RateLimiterMySQL({
      storeClient: db,
      storeType: 'knex',
      dbName: (db.client as { database(): string }).database(),
      tableName: 'rate_limits',
      tableCreated: true,
      keyPrefix,
      points,
      duration,
    });
  const byPair = limiter('pair', 10, QUARTER_HOUR);
  const byName = limiter('name', 60, HOUR);
  const byAddress = limiter('address', 200, QUARTER_HOUR);
  const byDevice = limiter('device', 20, QUARTER_HOUR);
  const key = (text: string) => hashOf(text.toLowerCase()).slice(0, 40);

  const counts = async ({
    name,
    address,
    device,
  }: Attempt): Promise<readonly (readonly [RateLimiterMySQL, string])[]> =>
    device !== '' && (await knowsDevice(db, hashOf(device), name.toLowerCase()))
      ? [[byDevice, key(device)]]
      : [
          [byPair, key(`${name} ${address}`)],
          [byName, key(name)],
          [byAddress, key(address)],
        ];

  return {
    admit: async (attempt) => {
      for (const [limit, own] of await counts(attempt)) {
        const state = await limit.consume(own).catch((error: unknown) => {
          if (error instanceof RateLimiterRes) return error;
          throw error;
        });
        if (state.consumedPoints <= limit.points) continue;
        const seconds = Math.max(1, Math.ceil(state.msBeforeNext / 1000));
        throw new Refusal(
          429,
          'too-many-tries',
          say('too-many-tries', { minutes: Math.ceil(seconds / 60) }),
          undefined,
          seconds,
        );
      }
    },
    succeeded: async (attempt, person) => {
      for (const [limit, own] of await counts(attempt)) {
        if (limit === byPair || limit === byDevice) await limit.delete(own);
        else await limit.reward(own);
      }
      const device = attempt.device || newSecret();
      await knowDevice(db, hashOf(device), person, new Date());
      return device;
    },
  };
}
