import { Injectable, computed, inject, linkedSignal, signal } from '@angular/core';
import {
  type CopyFrom,
  type Letter,
  ShorthandError,
  addEighths,
  copySide,
  eighthsLeft,
  formatSide,
  parseSide,
  setEighths,
  toggleTrace,
} from '@brave-comb/core/inspection';
import { Store } from '@ngrx/store';
import { inspectionFeature } from '../inspection/inspection.feature';
import { VisitDesk } from '../inspection/visit-desk';
import { said } from '../language/said';
import type { Slid } from './letter-pad';

/** The side being entered: by its keys, by slides, by copies and by the line of shorthand. */
@Injectable()
export class SideLine {
  private readonly store = inject(Store);
  private readonly desk = inject(VisitDesk);
  private readonly address = this.store.selectSignal(inspectionFeature.selectAddress);
  private readonly shown = this.store.selectSignal(inspectionFeature.selectShown);
  private readonly lastSide = this.store.selectSignal(inspectionFeature.selectLastSide);
  private readonly otherSide = this.store.selectSignal(inspectionFeature.selectOtherSide);

  readonly side = computed(() => this.shown().side);
  readonly left = computed(() => eighthsLeft(this.side()));
  readonly line = computed(() => [formatSide(this.side()), this.shown().pending].filter(Boolean).join(' '));
  /** Which side is written, and how it stands. */
  private readonly written = computed(() => JSON.stringify([this.address(), this.line()]));
  /** Typed into the line and not taken over yet; what was typed for one side does not travel to the next. */
  readonly typing = linkedSignal<string, string | null>({ source: this.written, computation: () => null });
  readonly problem = linkedSignal<string, string | null>({ source: this.written, computation: () => null });
  /** The content that was tapped last, on this side. */
  readonly lastLetter = linkedSignal<string, Letter | null>({
    source: () => JSON.stringify(this.address()),
    computation: () => null,
  });
  /** What the next letter does: one eighth more, only a few cells, or all that is left. */
  readonly next = signal<'one' | 'few' | 'rest'>('one');

  add(letter: Letter): void {
    this.lastLetter.set(letter);
    const side = this.side();
    const next = this.next();
    const more = next === 'rest' ? Math.max(0, eighthsLeft(side)) : 1;
    this.desk.change(next === 'few' ? toggleTrace(side, letter) : addEighths(side, letter, more));
    this.next.set('one');
    this.problem.set(null);
  }

  /** All that is left goes to a content: a long press on its key. */
  rest(letter: Letter): void {
    this.slid({ letter, eighths: (this.side().eighths[letter] ?? 0) + Math.max(0, this.left()) });
  }

  /** So many eighths of a content, whatever it had: a slide over its key. */
  slid({ letter, eighths }: Slid): void {
    this.lastLetter.set(letter);
    this.problem.set(null);
    this.desk.change(setEighths(this.side(), letter, eighths));
  }

  /** So many more eighths of the content that was entered last. */
  fill(more: number): void {
    const letter = this.lastLetter();
    if (letter) this.desk.change(addEighths(this.side(), letter, more));
  }

  /** Takes a reading over, without its eggs. Says what is missing, or `null`. */
  copy(from: CopyFrom): string | null {
    const side = from === 'last-time' ? this.lastSide() : this.otherSide();
    if (side) this.desk.change(copySide(this.side(), side, from));
    if (side) return null;
    return from === 'last-time'
      ? $localize`This side has no reading from last time.`
      : $localize`The other side is not read yet.`;
  }

  typed(line: string): void {
    this.typing.set(line);
    try {
      const side = parseSide(line, {
        lastTime: this.lastSide() ?? undefined,
        otherSide: this.otherSide() ?? undefined,
      });
      this.problem.set(null);
      this.typing.set(null);
      if (formatSide(side) !== formatSide(this.side())) this.desk.change(side);
    } catch (error) {
      if (!(error instanceof ShorthandError)) throw error;
      this.problem.set(said(error.says));
    }
  }

  /** Takes over what is typed in the line. Says what is wrong with it, or `null`. */
  commit(): string | null {
    const typed = this.typing();
    if (typed !== null) this.typed(typed);
    return this.problem();
  }
}
