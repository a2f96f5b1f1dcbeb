import type { Knex } from 'knex';
import { noWayBack, textsToJson } from './parts';

/** No sentence is kept that can be made: columns of texts become JSON. What was kept as words stays as words. */
export const up = (db: Knex): Promise<void> =>
  textsToJson(db, [
    ['follow_ups', 'question', false],
    ['follow_ups', 'bring', true],
    ['decisions', 'action', false],
    ['stack_changes', 'words', false],
  ]);

export const down = noWayBack;
