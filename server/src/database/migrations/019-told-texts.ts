import type { Knex } from 'knex';
import { noWayBack, textsToJson } from './parts';

/** What people are told, why a plan failed and why a forecast did not come are texts as well. */
export const up = (db: Knex): Promise<void> =>
  textsToJson(db, [
    ['messages', 'subject', false],
    ['plan_jobs', 'trouble', true],
    ['weather_refreshes', 'fault', false],
    ['comb_moves', 'from_where', false],
    ['comb_moves', 'to_where', false],
  ]);

export const down = noWayBack;
