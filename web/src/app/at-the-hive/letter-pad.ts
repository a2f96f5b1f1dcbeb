import { namesOf } from '../language/words';
import { ChangeDetectionStrategy, Component, input, output, signal } from '@angular/core';
import { type FrameSide, type Letter } from '@brave-comb/core/inspection';
import { SHORT_CONTENTS } from '../inspection/short-contents';
import { Press } from './press';

/** Brood and spoilt comb, then everything else: two columns, on a phone two rows. */
const PAD: readonly Letter[] = ['E', 'L', 'S', 'D', 'X', 'P', 'N', 'H', 'C', 'F'];
/** Eighths that a content is set to by sliding over its key. */
export interface Slid {
  readonly letter: Letter;
  readonly eighths: number;
}

/** One big button a content. A tap adds an eighth, a slide sideways sets several at once, a long press takes all that is left. */
@Component({
  selector: 'bc-letter-pad',
  imports: [Press],
  template: `
    @if (slide(); as going) {
      <p class="slide" aria-hidden="true">
        <b>{{ going.eighths }} {{ going.letter }}</b> {{ names[going.letter] }}
      </p>
    }
    @for (letter of pad; track letter) {
      <button
        type="button"
        class="key"
        [class.sliding]="slide()?.letter === letter"
        [class.on]="side().eighths[letter] || side().trace.includes(letter)"
        bcPress
        (tapped)="pressed.emit(letter)"
        (held)="held.emit(letter)"
        (slid)="slid.emit({ letter, eighths: $event })"
        (sliding)="slide.set($event === null ? null : { letter, eighths: $event })"
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
            stroke="var(--ink)"
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
  host: { role: 'group', '[attr.aria-label]': 'name' },
})
export class LetterPad {
  protected readonly name = $localize`Add an eighth; slide sideways for more; press and hold for all the rest`;
  readonly side = input.required<FrameSide>();
  readonly pressed = output<Letter>();
  /** A long press: all that is left. */
  readonly held = output<Letter>();
  /** A slide: so many eighths of a content, whatever it had. */
  readonly slid = output<Slid>();
  protected readonly slide = signal<Slid | null>(null);
  protected readonly pad = PAD;
  protected readonly short = SHORT_CONTENTS;
  protected readonly names = namesOf('content');
}
