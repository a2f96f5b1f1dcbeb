const numbers = new WeakMap<object, number>();
let known = 0;

/** A number for an object that is never changed: the same for the same object, and for no other. */
export function identityOf(object: object | null): number {
  if (object === null) return 0;
  let own = numbers.get(object);
  if (own === undefined) numbers.set(object, (own = known += 1));
  return own;
}

/**
 * Reckons once what rests on the same facts, for whoever asks. Facts are compared by what they say, so an answer is never older than they are.
 *
 * @param most how many answers are kept; those that nobody asked for longest go first
 * @param factsOf everything that the reckoning rests on, as JSON would write it; large objects by `identityOf`
 * @param reckon the reckoning: the same facts, the same answer. Answers are not to be changed.
 * @returns the reckoning, remembered
 */
export function remembered<Asked extends readonly unknown[], Answer>(
  most: number,
  factsOf: (...asked: Asked) => unknown,
  reckon: (...asked: Asked) => Answer,
): (...asked: Asked) => Answer {
  const answers = new Map<string, Answer>();
  return (...asked) => {
    const key = JSON.stringify(factsOf(...asked));
    const answer = answers.has(key) ? answers.get(key)! : reckon(...asked);
    answers.delete(key);
    answers.set(key, answer);
    if (answers.size > most) answers.delete(answers.keys().next().value!);
    return answer;
  };
}
