import { say } from './words';
import { Refusal } from './problem';

/** How many reckon at once, how many may wait in all and for one person, and how long, ms. */
export interface LaneLimits {
  readonly atOnce: number;
  readonly waiting: number;
  readonly each: number;
  readonly patience: number;
}

interface Waiting {
  readonly person: string;
  readonly start: () => void;
}

const busy = (seconds: number): Refusal => new Refusal(503, 'busy', say('many-ask-at-once'), undefined, seconds);

/**
 * A lane in which few work at once and the others wait for their turn: next is the person who has the fewest at work, so that nobody who asks
 * for much holds up those who ask for little.
 *
 * @param limits how many, and how long
 * @returns what runs some work when its turn has come; throws Refusal 503 when too many wait, or it took too long
 */
export function lane(limits: LaneLimits): <T>(person: string, work: () => Promise<T>) => Promise<T> {
  const queue: Waiting[] = [];
  const atWork = new Map<string, number>();
  let running = 0;

  const next = (): void => {
    while (running < limits.atOnce && queue.length > 0) {
      let best = 0;
      for (let at = 1; at < queue.length; at += 1)
        if ((atWork.get(queue[at]!.person) ?? 0) < (atWork.get(queue[best]!.person) ?? 0)) best = at;
      const [chosen] = queue.splice(best, 1);
      chosen!.start();
    }
  };

  const turn = (person: string): Promise<void> =>
    new Promise((done, fail) => {
      const own = queue.filter((each) => each.person === person).length;
      if (queue.length >= limits.waiting || own >= limits.each) {
        fail(busy(3));
        return;
      }
      const timer = setTimeout(() => {
        queue.splice(queue.indexOf(waiting), 1);
        fail(busy(5));
      }, limits.patience);
      const waiting: Waiting = {
        person,
        start: () => {
          clearTimeout(timer);
          running += 1;
          atWork.set(person, (atWork.get(person) ?? 0) + 1);
          done();
        },
      };
      queue.push(waiting);
      next();
    });

  return async (person, work) => {
    await turn(person);
    try {
      return await work();
    } finally {
      running -= 1;
      const left = (atWork.get(person) ?? 1) - 1;
      if (left > 0) atWork.set(person, left);
      else atWork.delete(person);
      next();
    }
  };
}
