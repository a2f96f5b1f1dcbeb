import { say } from '../words';
import { DAY } from '@brave-comb/core/units';
import type { Context } from '../context';
import { Refusal } from '../problem';
import { DEMO_START, loadDemo } from './load';
import { emptyAll } from './store';

const YEARS = 2;

/** The demo's clock goes no further, ms since 1970. */
export const LATEST_DEMO_TIME = Date.parse(DEMO_START) + YEARS * 365 * DAY;

/** Opens the demo as it was at first, in one transaction: what was entered in it is thrown away, all sign-ins with it. */
export async function beginAgain(context: Context): Promise<void> {
  if (!context.clock.demo) throw new Refusal(409, 'no-demo', say('no-demo'));
  await context.db.transaction(async (trx) => {
    await emptyAll(trx);
    await loadDemo({ ...context, db: trx });
  });
  await context.clock.moveTo(new Date(DEMO_START));
}
