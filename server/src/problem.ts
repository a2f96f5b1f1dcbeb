import { type Sayable, type Text, named } from '@brave-comb/core/language';
import { type Problem, type ProblemId, WRONG } from '@brave-comb/contract';
import { type Thing, say } from './words';

const KNOWN: ReadonlySet<string> = new Set(WRONG);
/** What broke a rule of the contract, in whose words it may be told; what only has the wrong shape is told by the validator itself. */
export const wrongText = (message: string): Text => (KNOWN.has(message) ? named('wrong', message) : message);

/** A refusal that says what to do, with its HTTP status. */
export class Refusal extends Error {
  constructor(
    readonly status: number,
    readonly problem: ProblemId,
    /** What is wrong, and what to do. */
    readonly says: Text,
    readonly details?: Sayable<Problem>['details'],
    /** When it makes sense to ask again, s. */
    readonly retryAfter?: number,
  ) {
    super(typeof says === 'string' ? says : says.say);
    this.name = 'Refusal';
  }
}

export const notFound = (what: Thing): Refusal => new Refusal(404, 'not-found', say('no-such-thing', { what }));
