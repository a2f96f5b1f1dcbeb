import { SHORT_CONTENTS } from '../inspection/short-contents';
import { namesOf, named } from '../language/words';
import { ChangeDetectionStrategy, Component, computed, input, output } from '@angular/core';
import { type FrameSide, LETTERS, type Letter, eighthsLeft } from '@brave-comb/core/inspection';

/** The frame's top bar in eight segments. A tap on one takes it back, one on an open one fills up to there; a ninth stands out and nothing is dropped. */
@Component({
  selector: 'bc-eighths-bar',
  template: `
    <div class="bar" [class.over]="left() < 0" role="group" aria-label="Eighths of this side" i18n-aria-label>
      @for (letter of segments(); track $index; let index = $index) {
        <button
          type="button"
          class="segment"
          [class.ninth]="index >= 8"
          ariaLabel="Take back an eighth of {{ contents[letter] }}"
          i18n-ariaLabel
          (click)="takenBack.emit(letter)"
        >
          <svg viewBox="0 0 60 52" preserveAspectRatio="none" aria-hidden="true">
            <rect width="60" height="52" [attr.fill]="'url(#comb-m-' + letter + ')'" />
          </svg>
          <b>{{ letter }}</b>
        </button>
      }
      @if (left() > 0) {
        <span class="rest" [style.flex]="left()">
          @for (more of open(); track more) {
            <button
              type="button"
              class="left"
              [disabled]="!last()"
              [attr.aria-label]="fillText(more)"
              (click)="filled.emit(more)"
            ></button>
          }
          <span class="words" aria-hidden="true">
            <span i18n>{{ left() }}{left() > 1, select, true {&ngsp;left} other {}}</span>
            @if (last(); as letter) {
              @if (left() > 2) {
                <small i18n>tap: {{ short[letter] }}</small>
              }
            }
          </span>
        </span>
      }
    </div>
  `,
  styles: `
    .bar {
      display: flex;
      position: relative;
      min-height: 52px;
      margin: 0 4.6%;
      border: 2px solid var(--ink);
      border-radius: 3px;
      background: var(--spruce);
    }
    .bar::before,
    .bar::after {
      content: '';
      position: absolute;
      top: 9px;
      bottom: 9px;
      width: 5%;
      border-radius: 3px;
      background: var(--spruce);
    }
    .bar::before {
      right: 100%;
    }
    .bar::after {
      left: 100%;
    }
    .segment {
      position: relative;
      flex: 1;
      min-width: 0;
      min-height: 48px;
      padding: 0;
      overflow: hidden;
      border: 0;
      border-right: 2px solid var(--ink);
      border-radius: 0;
      background: var(--sheet);
    }
    .segment:last-child {
      border-right: 0;
    }
    svg {
      position: absolute;
      inset: 0;
      width: 100%;
      height: 100%;
    }
    b {
      position: relative;
      display: inline-block;
      min-width: 28px;
      background: var(--sheet);
      border: 1.5px solid var(--ink);
      border-radius: 4px;
      color: var(--ink);
      font-size: 20px;
      line-height: 27px;
    }
    .ninth {
      overflow: visible;
      outline: 3px solid var(--madder);
      transform: translateY(-7px) rotate(4deg);
    }
    .rest {
      position: relative;
      display: flex;
      min-width: 0;
      background: var(--sheet);
    }
    .rest::after {
      content: '';
      position: absolute;
      inset: 2px;
      border: 3px dashed var(--heather);
      pointer-events: none;
    }
    .left {
      flex: 1;
      min-width: 0;
      padding: 0;
      border: 0;
      border-radius: 0;
      background: none;
    }
    .left:enabled + .left:enabled {
      border-left: 1.5px dotted var(--heather);
    }
    .words {
      position: absolute;
      inset: 0;
      display: grid;
      gap: 2px;
      place-content: center;
      color: var(--heather);
      font-size: 15px;
      font-weight: 700;
      line-height: 1;
      text-align: center;
      pointer-events: none;
    }
    .words small {
      font-size: 13px;
    }
    /* On a phone the bar takes the whole width: an eighth is wide enough for a glove. */
    @media (width < 700px) {
      .bar {
        margin: 0 -8px;
        border-inline: 0;
        border-radius: 0;
      }
      .bar::before,
      .bar::after {
        content: none;
      }
      .words {
        font-size: 13px;
      }
    }
  `,
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class EighthsBar {
  readonly side = input.required<FrameSide>();
  /** The content that was entered last: a tap on an open eighth fills up to there with it. */
  readonly last = input<Letter | null>(null);
  readonly takenBack = output<Letter>();
  /** So many open eighths go to the content that was entered last. */
  readonly filled = output<number>();
  protected readonly contents = namesOf('content');
  protected readonly short = SHORT_CONTENTS;
  protected readonly left = computed(() => eighthsLeft(this.side()));
  protected readonly open = computed(() => Array.from({ length: this.left() }, (_, index) => index + 1));
  protected readonly segments = computed(() =>
    LETTERS.flatMap((letter) => Array.from({ length: Math.min(16, this.side().eighths[letter] ?? 0) }, () => letter)),
  );

  protected fillText(more: number): string {
    const last = this.last();
    if (!last) return $localize`${more} open`;
    return `${more === this.left() ? $localize`All ${more} left` : $localize`${more} more`}: ${named('content', last)}`;
  }
}
