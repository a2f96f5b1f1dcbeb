/** The one source of "now". */
export interface Clock {
  readonly demo: boolean;
  now(): Date;
  /** Sets the clock; only a demo's can be set. */
  moveTo(instant: Date): Promise<void>;
}

/** The machine's own clock. */
export const systemClock: Clock = {
  demo: false,
  now: () => new Date(),
  moveTo: () => Promise.reject(new Error('the machine’s clock is not moved from here')),
};

/** A clock that stands still until it is moved, for tests. */
export function fixedClock(instant: string): Clock {
  let now = new Date(instant);
  return {
    demo: true,
    now: () => now,
    moveTo: (to) => {
      now = to;
      return Promise.resolve();
    },
  };
}
