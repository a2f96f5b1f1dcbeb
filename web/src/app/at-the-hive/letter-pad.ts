import { ChangeDetectionStrategy, Component, input, output } from '@angular/core';
import type { FrameSide, Letter } from '@brave-comb/core/inspection';
import { SHORT_CONTENTS } from '../inspection/short-contents';

/** Brood and spoilt comb, then everything else: two columns, on a phone two rows. */
const PAD: readonly Letter[] = ['E', 'L', 'S', 'D', 'X', 'P', 'N', 'H', 'C', 'F'];
/** From so many ms on a press is a long one. */
const LONG_PRESS = 500;

/** One big button a content. A tap adds an eighth, a long press all that is left. */
@Component({
  selector: 'bc-letter-pad',
  template: `
    @for (letter of pad; track letter) {
      <button
        type="button"
        class="key"
        [class.on]="side().eighths[letter] || side().trace.includes(letter)"
        (pointerdown)="down(letter)"
        (pointerup)="up()"
        (pointerleave)="up()"
        (pointercancel)="up()"
        (contextmenu)="$event.preventDefault()"
        (click)="tap(letter)"
      >
        <b class="letter">{{ letter }}</b>
        <svg viewBox="0 0 38 28" aria-hidden="true">
          <rect
            x=".75"
            y=".75"
            width="36.5"
            height="26.5"
            rx="2"
            [attr.fill]="'url(#comb-m-' + letter + ')'"
            stroke="#0c1615"
            stroke-width="1.5"
          />
        </svg>
        <span class="name">{{ short[letter] }}</span>
        <b class="count">{{ side().eighths[letter] ?? (side().trace.includes(letter) ? '+' : '') }}</b>
      </button>
    }
  `,
  styleUrl: './letter-pad.scss',
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { role: 'group', 'aria-label': 'Add an eighth; hold for all that is left' },
})
export class LetterPad {
  readonly side = input.required<FrameSide>();
  readonly pressed = output<Letter>();
  /** A long press: all that is left. */
  readonly held = output<Letter>();
  private timer: ReturnType<typeof setTimeout> | null = null;
  private long = false;

  protected down(letter: Letter): void {
    this.long = false;
    this.up();
    this.timer = setTimeout(() => {
      this.long = true;
      this.held.emit(letter);
    }, LONG_PRESS);
  }

  protected up(): void {
    if (this.timer !== null) clearTimeout(this.timer);
    this.timer = null;
  }

  protected tap(letter: Letter): void {
    if (!this.long) this.pressed.emit(letter);
    this.long = false;
  }

  protected readonly pad = PAD;
  protected readonly short = SHORT_CONTENTS;
}
