interface Asked<V> {
  readonly done: (found: V | undefined) => void;
  readonly fail: (error: unknown) => void;
}

/**
 * Looks up many at once. What is asked for while a look is under way waits for the next one, so an answer is never older than its question.
 *
 * @param look finds what there is of some keys
 * @returns looks one key up
 */
export function batched<V>(look: (keys: readonly string[]) => Promise<ReadonlyMap<string, V>>) {
  let asked = new Map<string, Asked<V>[]>();
  let looking = false;

  const next = async (): Promise<void> => {
    looking = true;
    while (asked.size > 0) {
      const now = asked;
      asked = new Map();
      try {
        const found = await look([...now.keys()]);
        for (const [key, all] of now) for (const { done } of all) done(found.get(key));
      } catch (error) {
        for (const all of now.values()) for (const { fail } of all) fail(error);
      }
    }
    looking = false;
  };

  return (key: string): Promise<V | undefined> =>
    new Promise((done, fail) => {
      asked.set(key, [...(asked.get(key) ?? []), { done, fail }]);
      if (!looking) void next();
    });
}
