import {
  ChangeDetectionStrategy,
  Component,
  ElementRef,
  afterNextRender,
  computed,
  input,
  output,
  viewChild,
} from '@angular/core';
import { MatButton } from '@angular/material/button';

/** A stop of the first round. */
export interface Stop {
  readonly path: string;
  /** Selector of the part that is shown. */
  readonly at: string;
  readonly title: string;
  readonly says: string;
}

/** Room between the part and the edge of the hole in the veil, px. */
const AROUND = 4;

/** A stop of the first round: a hole in the veil over the part that is meant, which can be used, and what it is. */
@Component({
  selector: 'bc-round-stop',
  imports: [MatButton],
  template: `
    @if (hole(); as box) {
      <span
        class="hole"
        [style.left.px]="box.left"
        [style.top.px]="box.top"
        [style.width.px]="box.width"
        [style.height.px]="box.height"
      ></span>
    }
    <section
      class="card sheet chosen"
      role="dialog"
      aria-labelledby="round-title"
      [class.above]="low()"
      (keydown.escape)="left.emit()"
    >
      <p class="quiet" i18n>Stop {{ number() }} of {{ of() }}</p>
      <h2 id="round-title">{{ stop().title }}</h2>
      <p>{{ stop().says }}</p>
      @if (!part()) {
        <p class="quiet" i18n>It is not on this page today: there is nothing to show.</p>
      }
      <p class="ends">
        @if (number() > 1) {
          <button type="button" matButton="outlined" (click)="back.emit()" i18n>Back</button>
        }
        <button #onward type="button" matButton="filled" (click)="next.emit()" i18n>
          {number() === of(), select, true {Done} other {Next}}
        </button>
        <button type="button" matButton (click)="left.emit()" i18n>Leave the round</button>
      </p>
      <p class="quiet" i18n>It waits for you under ? and changes nothing in your records.</p>
    </section>
  `,
  styles: `
    .hole {
      position: fixed;
      border: 3px solid var(--heather);
      border-radius: 6px;
      box-shadow: 0 0 0 200vmax rgb(12 22 21 / 58%);
      pointer-events: none;
    }
    .card {
      position: fixed;
      left: 50%;
      bottom: 20px;
      display: grid;
      gap: 6px;
      width: min(460px, 94vw);
      padding: 12px 16px;
      pointer-events: auto;
      translate: -50%;
    }
    .card.above {
      top: 20px;
      bottom: auto;
    }
    .ends {
      display: flex;
      flex-wrap: wrap;
      gap: 8px;
      margin-top: 4px;
    }
  `,
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class RoundStop {
  readonly stop = input.required<Stop>();
  readonly number = input.required<number>();
  readonly of = input.required<number>();
  /** The part that is meant, `null` where the page has none today. */
  readonly part = input.required<Element | null>();
  readonly next = output();
  readonly back = output();
  readonly left = output();
  private readonly onward = viewChild.required<unknown, ElementRef<HTMLElement>>('onward', { read: ElementRef });

  protected readonly hole = computed(() => {
    const box = this.part()?.getBoundingClientRect();
    if (!box) return null;
    return {
      left: box.left - AROUND,
      top: box.top - AROUND,
      width: box.width + 2 * AROUND,
      height: box.height + 2 * AROUND,
    };
  });
  /** Whether the part is so low that the card would lie over it. */
  protected readonly low = computed(() => {
    const hole = this.hole();
    return hole !== null && hole.top + hole.height > innerHeight - 260 && hole.top > 260;
  });

  constructor() {
    afterNextRender(() => this.onward().nativeElement.focus());
  }
}
