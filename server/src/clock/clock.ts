/** The one source of "now". */
export interface Clock {
  readonly demo: boolean;
  now(): Date;
  /** Moves the clock on; only a demo's can be moved. */
  moveTo(instant: Date): Promise<void>;
  /** Sets a demo's clock back to its beginning. */
  restart(instant: Date): Promise<void>;
}

/** The machine's own clock. */
export const systemClock: Clock = {
  demo: false,
  now: () => new Date(),
  moveTo: () => Promise.reject(new Error('the machine’s clock is not moved from here')),
  restart: () => Promise.reject(new Error('the machine’s clock is not set from here')),
};

/** A clock that stands still until it is moved, for tests. */
export function fixedClock(instant: string): Clock {
  let now = new Date(instant);
  const set = (to: Date) => {
    now = to;
    return Promise.resolve();
  };
  return { demo: true, now: () => now, moveTo: set, restart: set };
}
