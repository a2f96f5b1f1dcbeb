import { Injectable, signal } from '@angular/core';

/** Where a job of a round is done: on the walk, in its evening, at a session, or not now. */
export const PLACES = ['round', 'evening', 'session', 'later'] as const;
export type GoesTo = (typeof PLACES)[number];

interface Choices {
  readonly day: string;
  readonly goesTo: Readonly<Record<string, GoesTo>>;
  readonly packed: readonly string[];
}
const KEPT = 'yard-round';

/** What somebody chose for today's round and ticked off as packed, kept on this device for the day. */
@Injectable({ providedIn: 'root' })
export class RoundChoices {
  private readonly choices = signal<Choices>(read());

  /** Begins a new day's round; that of the same day goes on. */
  begin(day: string): void {
    if (this.choices().day !== day) this.keep({ day, goesTo: {}, packed: [] });
  }

  of(job: string): GoesTo | null {
    return this.choices().goesTo[job] ?? null;
  }

  isPacked(thing: string): boolean {
    return this.choices().packed.includes(thing);
  }

  choose(job: string, goesTo: GoesTo): void {
    const before = this.choices();
    this.keep({ ...before, goesTo: { ...before.goesTo, [job]: goesTo } });
  }

  pack(thing: string, on: boolean): void {
    const before = this.choices();
    const others = before.packed.filter((each) => each !== thing);
    this.keep({ ...before, packed: on ? [...others, thing] : others });
  }

  private keep(choices: Choices): void {
    this.choices.set(choices);
    localStorage.setItem(KEPT, JSON.stringify(choices));
  }
}

function read(): Choices {
  const none: Choices = { day: '', goesTo: {}, packed: [] };
  try {
    return { ...none, ...(JSON.parse(localStorage.getItem(KEPT) ?? '{}') as Partial<Choices>) };
  } catch {
    return none;
  }
}
