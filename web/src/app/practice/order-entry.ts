import { CdkDrag, type CdkDragDrop, CdkDropList, moveItemInArray } from '@angular/cdk/drag-drop';
import { ChangeDetectionStrategy, Component, input, linkedSignal, output, signal } from '@angular/core';
import { MatButton } from '@angular/material/button';
import type { OrderStep } from '@brave-comb/core/practice';
import { SaidPipe, said } from '../language/said';

/** Steps that are put in order, by dragging or by keys. */
@Component({
  selector: 'bc-order-entry',
  imports: [MatButton, SaidPipe, CdkDrag, CdkDropList],
  template: `
    <h2 id="order" i18n>Put them in order</h2>
    <p class="quiet" i18n>Drag a step, or choose one and press Alt with the arrow keys.</p>
    <ol cdkDropList aria-labelledby="order" (cdkDropListDropped)="drop($event)">
      @for (step of order(); track step.id) {
        <li cdkDrag>
          <button
            type="button"
            ariaLabel="{{ step.text | said }}, place {{ $index + 1 }} of {{
              order().length
            }}. Alt and arrow keys move it."
            i18n-ariaLabel
            (keydown.alt.arrowup)="move($event, $index, -1)"
            (keydown.alt.arrowdown)="move($event, $index, 1)"
          >
            <b aria-hidden="true">{{ $index + 1 }}</b> {{ step.text | said }}
          </button>
          <span class="arrows">
            <button
              type="button"
              [disabled]="$first"
              ariaLabel="{{ step.text | said }} up"
              i18n-ariaLabel
              (click)="shift($index, -1)"
            >
              ↑
            </button>
            <button
              type="button"
              [disabled]="$last"
              ariaLabel="{{ step.text | said }} down"
              i18n-ariaLabel
              (click)="shift($index, 1)"
            >
              ↓
            </button>
          </span>
        </li>
      }
    </ol>
    <p class="unseen" aria-live="polite">{{ moved() }}</p>
    <div class="ends">
      <button type="button" class="go" matButton="filled" (click)="done.emit(ids())" i18n>Done, show me</button>
      <button type="button" matButton="outlined" (click)="gaveUp.emit()" i18n>Give up</button>
    </div>
  `,
  styleUrl: './entries.scss',
  styles: `
    ol {
      display: grid;
    }
    li {
      grid-template-columns: minmax(0, 1fr) auto;
      gap: 6px;
      background: var(--sheet);
    }
    li > button {
      border: 0;
      font-size: var(--t-body);
      font-weight: 400;
      text-align: left;
      cursor: grab;
    }
    .arrows {
      display: flex;
      gap: 4px;
    }
    .arrows button {
      width: 36px;
      min-height: 34px;
      font-size: 15px;
    }
    .arrows button:disabled {
      color: var(--ink-3);
      cursor: default;
    }
  `,
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class OrderEntry {
  readonly steps = input.required<readonly OrderStep[]>();
  readonly done = output<readonly string[]>();
  readonly gaveUp = output();
  protected readonly order = linkedSignal(() => [...this.steps()]);
  protected readonly moved = signal('');

  protected ids(): readonly string[] {
    return this.order().map(({ id }) => id);
  }

  protected drop({ previousIndex, currentIndex }: CdkDragDrop<unknown>): void {
    this.place(previousIndex, currentIndex);
  }

  protected move(event: Event, index: number, by: number): void {
    event.preventDefault();
    this.shift(index, by);
  }

  protected shift(index: number, by: number): void {
    const to = index + by;
    if (to >= 0 && to < this.order().length) this.place(index, to);
  }

  private place(from: number, to: number): void {
    const order = [...this.order()];
    moveItemInArray(order, from, to);
    this.order.set(order);
    this.moved.set($localize`${said(order[to]!.text)}\: place ${to + 1}`);
  }
}
