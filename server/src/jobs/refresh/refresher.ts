import { v7 as uuid } from 'uuid';
import type { Context } from '../../context';
import { giveLease, takeLease } from '../../database/leases';
import { revise } from '../../database/revision-store';
import { allSites } from '../../records/equipment';
import { refreshScales } from '../../records/season';
import { refreshWeather } from '../../records/weather';
import type { Sources } from '../../sources';

const LEASE = 'refresh';
/** Longer than one site takes whose sources do not answer, s. */
const LEASE_LASTS = 60;
const LOOK_EVERY = 5_000;

/**
 * Fetches what is missing from outside, for all sites, and keeps it: forecasts, days that have been, weights of hives. One process at a time
 * does it; when another is at it, nothing is done.
 *
 * @param context database, clock, log
 * @param sources where it comes from
 * @param me who does it; a process's own id
 * @param atOnce also what failed a moment ago
 * @returns whether it was this one's turn
 */
export async function refresh(context: Context, sources: Sources, me: string, atOnce = false): Promise<boolean> {
  const { db } = context;
  if (!(await takeLease(db, LEASE, me, LEASE_LASTS))) return false;
  try {
    for (const site of await allSites(db)) {
      const weather = await refreshWeather(context, sources.weather, site, atOnce);
      const weights = await refreshScales(context, sources.scale, site);
      if (weather || weights) await revise(db, site.school, () => Promise.resolve());
      if (!(await takeLease(db, LEASE, me, LEASE_LASTS))) return false;
    }
  } finally {
    await giveLease(db, LEASE, me);
  }
  return true;
}

/** Longest that somebody waits whose clock was moved, ms. */
const PATIENCE = 6_000;

/** Refreshes at once, or waits a moment while another process is at it. What is not here then is said on the screens. */
export async function refreshNow(context: Context, sources: Sources): Promise<void> {
  const me = uuid();
  const until = Date.now() + PATIENCE;
  const done = async () => {
    while (!(await refresh(context, sources, me, true)) && Date.now() < until)
      await new Promise((go) => setTimeout(go, 200));
  };
  await Promise.race([done(), new Promise((go) => setTimeout(go, PATIENCE).unref())]);
}

/** Refreshes again and again, until it is stopped. */
export function startRefresher(context: Context, sources: Sources): { stop: () => Promise<void> } {
  const me = uuid();
  let stopping = false;
  let timer: NodeJS.Timeout;
  const turn = async (): Promise<void> => {
    await refresh(context, sources, me).catch((error: unknown) =>
      context.log.warn({ err: error }, 'weather and weights cannot be refreshed'),
    );
    if (!stopping) timer = setTimeout(() => void (current = turn()), LOOK_EVERY);
  };
  let current = turn();
  return {
    stop: async () => {
      stopping = true;
      clearTimeout(timer);
      await current;
    },
  };
}
