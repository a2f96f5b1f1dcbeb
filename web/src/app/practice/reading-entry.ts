import { ChangeDetectionStrategy, Component, computed, model, output, signal } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { SHORT_CONTENTS as SHORT } from '../inspection/short-contents';
import {
  EMPTY_SIDE,
  type FrameSide,
  LETTERS,
  type Letter,
  addEighths,
  eighthsLeft,
  formatSide,
  pressKey,
  toggleTrace,
} from '@brave-comb/core/inspection';

/** A comb read in eighths: by taps on plus and minus, or by the same keys as at the hive. */
@Component({
  selector: 'bc-reading-entry',
  imports: [MatButton],
  template: `
    <h2 id="what" i18n>What do you see?</h2>
    <p class="typed" role="status">
      <b>{{ line() || nothingYet }}</b> <em [class.over]="left() < 0">{{ leftText() }}</em>
    </p>
    <ul aria-labelledby="what">
      @for (letter of letters; track letter) {
        <li>
          <b class="letter" aria-hidden="true">{{ letter }}</b>
          <svg class="swatch" viewBox="0 0 30 22" aria-hidden="true">
            <rect
              x=".75"
              y=".75"
              width="28.5"
              height="20.5"
              rx="2"
              [attr.fill]="'url(#comb-m-' + letter + ')'"
              stroke="var(--paper-ink)"
            />
          </svg>
          <span class="name">{{ names[letter] }}</span>
          <button
            type="button"
            ariaLabel="One eighth less {{ names[letter] }}"
            i18n-ariaLabel
            (click)="add(letter, -1)"
          >
            −
          </button>
          <button
            type="button"
            class="bar"
            ariaLabel="Only a few cells of {{ names[letter] }}"
            i18n-ariaLabel
            [attr.aria-pressed]="side().trace.includes(letter)"
            (click)="few(letter)"
          >
            <svg viewBox="0 0 112 20" aria-hidden="true">
              @for (place of eighths; track place) {
                <rect
                  [attr.x]="place * 14 + 1"
                  y="2"
                  width="12"
                  height="16"
                  rx="1.5"
                  [attr.fill]="place < (side().eighths[letter] ?? 0) ? 'url(#comb-m-' + letter + ')' : 'var(--sheet)'"
                  [attr.stroke]="place < (side().eighths[letter] ?? 0) ? 'var(--comb-ink)' : 'var(--ink-3)'"
                />
              }
              @if (side().trace.includes(letter)) {
                <text x="7" y="15" text-anchor="middle" font-weight="700">+</text>
              }
            </svg>
          </button>
          <button type="button" ariaLabel="One eighth more {{ names[letter] }}" i18n-ariaLabel (click)="add(letter, 1)">
            +
          </button>
          <span class="unseen" i18n>{{ side().eighths[letter] ?? 0 }} eighths</span>
        </li>
      }
    </ul>
    <p class="quiet" i18n>The line adds up to eight eighths. Tap the bar for: only a few cells.</p>
    <div class="ends">
      <button
        type="button"
        class="go"
        [matButton]="left() === 0 ? 'filled' : 'outlined'"
        disabledInteractive
        [disabled]="left() !== 0"
        (click)="finish()"
      >
        @if (left() > 0) {
          <ng-container i18n>Show me ({{ left() }} left)</ng-container>
        } @else if (left() < 0) {
          <ng-container i18n>Show me ({{ -left() }} too many)</ng-container>
        } @else {
          <ng-container i18n>Show me</ng-container>
        }
      </button>
      <button type="button" matButton="outlined" (click)="gaveUp.emit()" i18n>Give up</button>
    </div>
  `,
  styleUrl: './entries.scss',
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { '(document:keydown)': 'key($event)' },
})
export class ReadingEntry {
  protected readonly nothingYet = $localize`nothing yet`;
  readonly side = model<FrameSide>(EMPTY_SIDE);
  readonly done = output();
  readonly gaveUp = output();
  protected readonly letters = LETTERS;
  protected readonly names = SHORT;
  protected readonly eighths = [0, 1, 2, 3, 4, 5, 6, 7];
  private readonly pending = signal('');
  protected readonly line = computed(() => [formatSide(this.side()), this.pending()].filter(Boolean).join(' '));
  protected readonly left = computed(() => eighthsLeft(this.side()));
  protected readonly leftText = computed(() => {
    const left = this.left();
    return left === 0 ? $localize`none left` : left > 0 ? $localize`${left} left` : $localize`${-left} too many`;
  });

  protected add(letter: Letter, by: number): void {
    this.side.update((side) => addEighths(side, letter, by));
  }

  protected few(letter: Letter): void {
    this.side.update((side) => toggleTrace(side, letter));
  }

  /** A comb is eight eighths: it is answered once all of them are read. */
  protected finish(): void {
    if (this.left() === 0) this.done.emit();
  }

  protected key(event: KeyboardEvent): void {
    if (event.ctrlKey || event.metaKey || event.altKey) return;
    const on = (event.target as HTMLElement).tagName;
    if (on === 'INPUT' || on === 'TEXTAREA' || on === 'SELECT') return;
    // A button that has the focus keeps its own enter.
    if (event.key === 'Enter' && (on === 'BUTTON' || on === 'A')) return;
    if (event.key === 'Enter') {
      this.finish();
      return;
    }
    const pressed = pressKey({ side: this.side(), pending: this.pending() }, event.key, event.shiftKey);
    if (!pressed || pressed.wish) return;
    event.preventDefault();
    this.side.set(pressed.entry.side);
    this.pending.set(pressed.entry.pending);
  }
}
