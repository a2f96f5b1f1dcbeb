import type { Text } from '@brave-comb/core/language';
import { CdkDrag, type CdkDragEnd, type CdkDragMove } from '@angular/cdk/drag-drop';
import { ChangeDetectionStrategy, Component, input, output } from '@angular/core';
import { MatIcon } from '@angular/material/icon';
import type { PlanItem } from '@brave-comb/core/planning';
import { type Cell, cellKey, openingKey, type Row } from './plan-rows';

/** What it costs to put a hive that is carried into a cell. */
export interface Offer {
  readonly price: number | null;
  readonly says: Text;
}

export const itemOf = ({ group, slot }: Pick<Cell, 'group' | 'slot'>, hive: string): PlanItem =>
  group === null ? { kind: 'staff', slot, hive } : { kind: 'hive', group, slot, hive };

/** Points from which tenths say nothing. */
const TENTHS_UNDER = 9.95;
/** Points with their sign, a gain as plus. */
export const pointsText = (gain: number): string =>
  `${gain < 0 ? '−' : '+'}${Math.abs(gain).toFixed(Math.abs(gain) < TENTHS_UNDER ? 1 : 0)}`;

/** One group's row of the planner board. */
@Component({
  selector: 'bc-plan-row',
  imports: [CdkDrag, MatIcon],
  templateUrl: './plan-row.html',
  styleUrl: './plan-row.scss',
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { role: 'row' },
})
export class PlanRow {
  readonly row = input.required<Row>();
  /** Opening that is chosen, if it is in this row. */
  readonly chosen = input<string | null>(null);
  /** Opening of this row that the Tab key leads to, if it is in this row. */
  readonly stop = input<string | null>(null);
  /** Cell of this row over which a hive is carried. */
  readonly target = input<string | null>(null);
  /** What a carried hive would cost in each cell; null while none is carried. */
  readonly offers = input<ReadonlyMap<string, Offer> | null>(null);
  readonly mayMove = input(false);
  readonly picked = output<PlanItem>();
  readonly grabbed = output<PlanItem>();
  readonly carriedOver = output<string | null>();
  readonly dropped = output();

  protected readonly keyOf = cellKey;
  protected readonly itemOf = itemOf;
  private dragging = false;

  protected idOf({ group, slot }: Cell, hive: string): string {
    return openingKey(group, slot, hive);
  }

  protected offerText(cell: Cell): string {
    const offer = this.offers()?.get(cellKey(cell.group, cell.slot));
    if (offer === undefined) return '';
    return offer.price === null ? $localize`no` : pointsText(-offer.price);
  }

  protected choose(cell: Cell, hive: string): void {
    if (!this.dragging) this.picked.emit(itemOf(cell, hive));
  }

  protected grab(cell: Cell, hive: string): void {
    this.dragging = true;
    this.grabbed.emit(itemOf(cell, hive));
  }

  protected move({ pointerPosition: { x, y } }: CdkDragMove): void {
    const cell = document.elementFromPoint(x, y)?.closest('[data-cell]');
    this.carriedOver.emit(cell?.getAttribute('data-cell') ?? null);
  }

  protected drop({ source }: CdkDragEnd): void {
    source.reset();
    this.dropped.emit();
    // The click that ends a drag chooses nothing.
    setTimeout(() => (this.dragging = false));
  }
}
