const KEY = 'brave-comb/clock';

interface Kept {
  readonly server: number;
  readonly wall: number;
  readonly demo: boolean;
}

/** Writes down the server's time as it was just told, ms, beside this device's own. */
export function keepClock(server: number, demo: boolean): void {
  const kept: Kept = { server, wall: Date.now(), demo };
  try {
    localStorage.setItem(KEY, JSON.stringify(kept));
  } catch {
    // A full device knows its own time still.
  }
}

/** The server's time by the last contact and what has passed since on this device; never earlier than that contact. */
export function keptClock(): { readonly now: string; readonly demo: boolean } {
  const kept = JSON.parse(localStorage.getItem(KEY) ?? 'null') as Partial<Kept> | null;
  const since = Math.max(0, Date.now() - (kept?.wall ?? 0));
  const now = kept?.server === undefined ? Date.now() : kept.server + since;
  return { now: new Date(now).toISOString(), demo: kept?.demo ?? false };
}
