import type { Knex } from 'knex';
import type { Clock } from './clock';

const HEARTBEAT = 5_000;
const ROW = { id: 1 };

/** What the clock's row holds: demo time `base` was (or will be) shown at machine time `anchor`. */
interface ClockRow {
  readonly base: Date;
  readonly anchor: Date;
  readonly beat: Date;
}

/**
 * The demo's clock. It runs while a server runs and stands still while none does, so that a demo left overnight opens where it was left.
 *
 * @param db database that keeps it
 * @param start instant of the very first start, ISO
 * @param latest it is set back to this when it stands beyond, ms since 1970
 * @returns the clock and a function that ends its heartbeat
 */
export async function demoClock(
  db: Knex,
  start: string,
  latest = Infinity,
): Promise<{ clock: Clock; stop: () => void }> {
  const machine = () => Date.now();
  await db('demo_clock')
    .insert({ ...ROW, base: new Date(start), anchor: new Date(machine()), beat: new Date(machine()) })
    .onConflict('id')
    .ignore();
  const row = await db<ClockRow>('demo_clock').where(ROW).first();
  if (!row) throw new Error('the demo clock has no row');
  let base = Math.min(row.base.getTime(), latest);
  let anchor = row.anchor.getTime();
  const slept = machine() - row.beat.getTime() > 3 * HEARTBEAT;
  if (slept || base < row.base.getTime()) {
    if (slept) base += row.beat.getTime() - anchor;
    anchor = machine();
    await db('demo_clock')
      .where(ROW)
      .update({ base: new Date(base), anchor: new Date(anchor), beat: new Date(anchor) });
  }
  const beat = async () => {
    await db('demo_clock')
      .where(ROW)
      .update({ beat: new Date(machine()) });
    const fresh = await db<ClockRow>('demo_clock').where(ROW).first();
    if (fresh) [base, anchor] = [fresh.base.getTime(), fresh.anchor.getTime()];
  };
  const timer = setInterval(() => void beat().catch(() => undefined), HEARTBEAT);
  timer.unref();
  const moveTo = async (instant: Date) => {
    const at = machine();
    await db('demo_clock')
      .where(ROW)
      .update({ base: instant, anchor: new Date(at), beat: new Date(at) });
    [base, anchor] = [instant.getTime(), at];
  };
  const clock: Clock = { demo: true, now: () => new Date(base + machine() - anchor), moveTo };
  return { clock, stop: () => clearInterval(timer) };
}
