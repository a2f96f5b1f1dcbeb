import type { Context } from './context';
import { perDatabase } from './database/per-database';
import { revisionOf } from './database/revision-store';

interface Entry<T> {
  readonly moment: string;
  readonly answer: Promise<T>;
  size: number;
}

/**
 * Answers that hold at a moment, by what was asked. While one is being reckoned, all who ask for the same at the same moment share it; those
 * that nobody asked for longest go first.
 */
export class Kept<T> {
  private readonly entries = new Map<string, Entry<T>>();
  private held = 0;

  /**
   * @param most size of all that is kept together
   * @param sizeOf size of an answer; one of more than an eighth of the whole is not kept
   */
  constructor(
    private readonly most: number,
    private readonly sizeOf: (answer: T) => number,
  ) {}

  /**
   * @param what what is asked for, and by whom if that matters
   * @param moment when the answer holds: the same again as long as nothing that it rests on has changed
   * @param reckon does it
   */
  ask(what: string, moment: string, reckon: () => Promise<T>): Promise<T> {
    const known = this.entries.get(what);
    if (known) this.drop(what, known);
    const entry = known?.moment === moment ? known : { moment, answer: reckon(), size: 0 };
    this.entries.set(what, entry);
    this.held += entry.size;
    if (entry !== known)
      entry.answer.then(
        (answer) => this.measure(what, entry, this.sizeOf(answer)),
        () => this.drop(what, entry),
      );
    return entry.answer;
  }

  private measure(what: string, entry: Entry<T>, size: number): void {
    if (this.entries.get(what) !== entry) return;
    if (size > this.most / 8) {
      this.drop(what, entry);
      return;
    }
    entry.size = size;
    this.held += size;
    for (const [oldest, each] of this.entries) {
      if (this.held <= this.most) break;
      this.drop(oldest, each);
    }
  }

  private drop(what: string, entry: Entry<T>): void {
    if (this.entries.get(what) !== entry) return;
    this.entries.delete(what);
    this.held -= entry.size;
  }
}

const MINUTE = 60_000;

/** A school at a moment: its revision, and the minute, since much is told by the clock. */
export const momentAt = (revision: number, clock: Context['clock']): string =>
  `${revision}.${Math.floor(clock.now().getTime() / MINUTE)}`;

const MOST_FACTS = 400;
const facts = perDatabase(() => new Kept<unknown>(MOST_FACTS, () => 1));

/**
 * Reckons something of a school once a revision, for all who ask. Within a change everything is reckoned: what it has written so far belongs to
 * no revision yet.
 *
 * @param context database and clock
 * @param school whose
 * @param kind what it is, with all that it depends on besides what the school has entered and the time
 * @param reckon the reckoning; its answer is not to be changed
 */
export async function onceARevision<T>(
  context: Pick<Context, 'db' | 'clock'>,
  school: string,
  kind: string,
  reckon: () => Promise<T>,
): Promise<T> {
  if (context.db.isTransaction) return reckon();
  const moment = momentAt(await revisionOf(context.db, school), context.clock);
  return facts(context.db).ask(`${school} ${kind}`, moment, reckon) as Promise<T>;
}
