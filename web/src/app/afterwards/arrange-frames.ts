import { CdkDrag, type CdkDragDrop, CdkDropList, moveItemInArray } from '@angular/cdk/drag-drop';
import { LiveAnnouncer } from '@angular/cdk/a11y';
import {
  ChangeDetectionStrategy,
  Component,
  computed,
  inject,
  input,
  linkedSignal,
  output,
  signal,
} from '@angular/core';
import { MatButton } from '@angular/material/button';
import { MatButtonToggle, MatButtonToggleGroup } from '@angular/material/button-toggle';
import { ARRANGE_AIMS, type ArrangeAim, arrangedFor, movesTo, readOrder, roleOf } from '@brave-comb/core/care';
import type { FrameSides } from '@brave-comb/core/inspection';
import { CombPortrait } from '../inspection/comb-portrait';
import { SaidPipe } from '../language/said';
import { named, Named } from '../language/words';

/** Frames of a nest put in another order: by an aim, then by hand; what has to be lifted for it, and what it means for the nest. */
@Component({
  selector: 'bc-arrange-frames',
  imports: [CdkDrag, CdkDropList, CombPortrait, MatButton, MatButtonToggle, MatButtonToggleGroup, Named, SaidPipe],
  template: `
    <h2 id="arrange" i18n>Put the frames in order</h2>
    <mat-button-toggle-group
      hideSingleSelectionIndicator
      aria-label="What for"
      i18n-aria-label
      [value]="aim()"
      (change)="aim.set($event.value)"
    >
      @for (each of aims; track each) {
        <mat-button-toggle [value]="each">{{ each | named: 'arrangeAim' }}</mat-button-toggle>
      }
    </mat-button-toggle-group>
    <p class="how" i18n>Drag a frame, or choose one and press Alt with an arrow key.</p>
    <ol
      cdkDropList
      [cdkDropListOrientation]="'horizontal'"
      aria-labelledby="arrange"
      (cdkDropListDropped)="drop($event)"
    >
      @for (frame of order(); track frame) {
        <li cdkDrag [cdkDragLockAxis]="'x'">
          <button
            type="button"
            [class.lifted]="lifted().has(frame)"
            ariaLabel="Frame {{ frame }}, {{ roles()[frame - 1]! | named: 'combRole' }}, place {{ $index + 1 }} of {{
              order().length
            }}. Alt and arrow keys move it."
            i18n-ariaLabel
            (keydown.alt.arrowleft)="shift($event, $index, -1)"
            (keydown.alt.arrowright)="shift($event, $index, 1)"
          >
            <b>{{ frame }}</b>
            <bc-comb-portrait [side]="frames()[frame - 1]!.low" [width]="54" [seed]="frame * 2" />
            <bc-comb-portrait [side]="frames()[frame - 1]!.high" [width]="54" [seed]="frame * 2 + 1" />
            <small>{{ roles()[frame - 1]! | named: 'combRole' }}</small>
          </button>
        </li>
      }
    </ol>
    <div class="says">
      <section aria-label="What is lifted" i18n-aria-label>
        <h3 i18n>
          {moves().length, plural,
            =0 {Nothing to lift: already in this order}
            =1 {One frame to lift}
            other {{{ moves().length }} frames to lift}
          }
        </h3>
        <ol class="moves">
          @for (move of moves(); track move.frame) {
            <li i18n>
              Frame {{ move.frame }},
              {move.after ?? 'wall', select, wall {to the left wall} other {to the right of frame {{ move.after }}}}
            </li>
          }
        </ol>
      </section>
      <section aria-label="What it means" i18n-aria-label>
        <h3 i18n>What it means for the nest</h3>
        <ul>
          @for (line of means(); track $index) {
            <li>{{ line | said }}</li>
          }
        </ul>
      </section>
    </div>
    <p class="how" i18n>
      On a good flying day, about 15 °C or more; find the queen first; keep each comb facing the same way.
    </p>
    <div class="row">
      @if (mayPlan()) {
        <button type="button" matButton="filled" [disabled]="left() || moves().length === 0" (click)="leave()" i18n>
          Leave it for the next visit
        </button>
      }
      <button type="button" matButton="outlined" (click)="again()" i18n>As they hang now</button>
    </div>
    @if (left()) {
      <p role="status" i18n>On the list of this hive: whoever opens it next reads which frame goes where.</p>
    }
  `,
  styleUrl: './arrange-frames.scss',
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class ArrangeFrames {
  readonly frames = input.required<readonly FrameSides[]>();
  /** Whether what is to be lifted may be left for the next visit. */
  readonly mayPlan = input(false);
  /** The moves, in words, left for whoever opens the hive next. */
  readonly planned = output<string>();
  private readonly announcer = inject(LiveAnnouncer);
  protected readonly aims = ARRANGE_AIMS;
  protected readonly aim = signal<ArrangeAim | null>('brood-together');
  protected readonly roles = computed(() => this.frames().map(roleOf));
  private readonly asTheyHang = computed(() => this.roles().map((_, index) => index + 1));
  protected readonly order = linkedSignal((): readonly number[] => {
    const aim = this.aim();
    return aim ? arrangedFor(this.roles(), aim) : this.asTheyHang();
  });
  protected readonly moves = computed(() => movesTo(this.order()));
  protected readonly lifted = computed(() => new Set(this.moves().map(({ frame }) => frame)));
  private readonly leftOrder = signal<readonly number[] | null>(null);
  protected readonly left = computed(() => this.leftOrder() === this.order());
  protected readonly means = computed(() => readOrder(this.frames(), this.order()).says);

  protected drop({ previousIndex, currentIndex }: CdkDragDrop<unknown>): void {
    this.take(previousIndex, currentIndex);
  }

  protected shift(event: Event, at: number, by: number): void {
    event.preventDefault();
    const to = at + by;
    if (to < 0 || to >= this.order().length) return;
    const frame = this.order()[at]!;
    this.take(at, to);
    // The row is built anew in its order; whoever moves by keys stays on the frame.
    const button = event.currentTarget as HTMLElement;
    queueMicrotask(() => button.focus());
    void this.announcer.announce(
      $localize`Frame ${frame}, ${named('combRole', this.roles()[frame - 1]!)}, place ${to + 1}`,
    );
  }

  protected again(): void {
    this.aim.set(null);
    this.order.set(this.asTheyHang());
  }

  protected leave(): void {
    const lines = this.moves().map(({ frame, after }) =>
      after === null ? $localize`frame ${frame} to the left wall` : $localize`frame ${frame} to the right of ${after}`,
    );
    this.leftOrder.set(this.order());
    this.planned.emit($localize`Put the frames in order\: ${lines.join(', ')}`);
  }

  private take(from: number, to: number): void {
    const order = [...this.order()];
    moveItemInArray(order, from, to);
    this.order.set(order);
  }
}
