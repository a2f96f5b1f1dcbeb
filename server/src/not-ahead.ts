import { say } from './words';
import { Refusal } from './problem';

/** Nobody has seen what is still to come. */
export function notAhead(date: string, today: string): void {
  if (date > today) throw new Refusal(422, 'in-the-future', say('seen-in-the-future', { date }));
}
