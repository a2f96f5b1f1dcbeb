import { ChangeDetectionStrategy, Component, computed, input, linkedSignal, output } from '@angular/core';
import { MatButtonToggleModule } from '@angular/material/button-toggle';
import { MatListModule } from '@angular/material/list';
import type { PlanItem } from '@brave-comb/core/planning';
import type { Cell, Row, Token } from './plan-rows';

/** A slot, as its head on the board says it. */
export interface DayHead {
  readonly id: string;
  readonly date: string;
  readonly day: string;
  readonly hours: string;
  readonly site: string;
  readonly odds: string;
}
interface Line {
  readonly key: string;
  readonly item: PlanItem;
  readonly row: Row;
  readonly cell: Cell;
  readonly token: Token;
}

/** The plan for reading, day by day: on a phone, where a board has no room. */
@Component({
  selector: 'bc-plan-days',
  imports: [MatButtonToggleModule, MatListModule],
  template: `
    <mat-button-toggle-group
      [value]="whose()"
      (change)="whose.set($event.value)"
      aria-label="Whose sessions"
      i18n-aria-label
      hideSingleSelectionIndicator
    >
      @if (own()) {
        <mat-button-toggle value="mine" i18n>Mine</mat-button-toggle>
      }
      @for (row of groups(); track row.id) {
        <mat-button-toggle [value]="row.id">{{ row.name }}</mat-button-toggle>
      }
      <mat-button-toggle value="all" i18n>All</mat-button-toggle>
    </mat-button-toggle-group>
    @for (day of days(); track day.head.id) {
      <section [attr.aria-label]="day.head.day + ', ' + day.head.hours">
        <h3>
          {{ day.head.day }} <span>{{ day.head.hours }}, {{ day.head.site }}</span>
        </h3>
        <p class="odds" [class.unsure]="day.unsure">{{ day.head.odds }}</p>
        <mat-action-list>
          @for (line of day.lines; track line.key) {
            <button type="button" mat-list-item (click)="opened.emit(line.item)">
              <span matListItemTitle i18n
                >{{ line.row.name }}: hive {{ line.token.number
                }}{!!line.cell.supervisor, select, true {, {{ line.cell.supervisor }}} other {}
              }</span>
              <span matListItemLine>{{ line.token.headline }}</span>
            </button>
          }
        </mat-action-list>
      </section>
    } @empty {
      <p class="none" i18n>
        {whose(), select, mine {You lead no session in these days.} other {No session is planned in these days.}}
      </p>
    }
  `,
  styles: `
    :host {
      display: grid;
      gap: 4px;
      padding: 12px 0;
    }
    mat-button-toggle-group {
      justify-self: start;
      margin: 0 14px 4px;
      flex-wrap: wrap;
    }
    section {
      padding: 8px 14px 0;
      border-top: 1px solid var(--line-2);
    }
    h3 {
      font-size: 17px;
    }
    h3 span {
      color: var(--ink-2);
      font: 400 14px var(--font);
    }
    .odds {
      color: var(--ink-2);
    }
    .unsure {
      color: var(--rust-text);
    }
    .none {
      padding: 8px 14px;
    }
    mat-action-list {
      margin: 0 -14px;
    }
  `,
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class PlanDays {
  readonly slots = input.required<readonly DayHead[]>();
  readonly rows = input.required<readonly Row[]>();
  /** First name of whoever leads and reads it; empty for who leads no group. */
  readonly own = input('');
  readonly opened = output<PlanItem>();

  protected readonly groups = computed(() => this.rows().filter(({ id }) => id !== null));
  protected readonly whose = linkedSignal<string>(() => (this.own() === '' ? 'all' : 'mine'));
  protected readonly days = computed(() => {
    const whose = this.whose();
    const mine = (row: Row, cell: Cell): boolean =>
      whose === 'all' || (whose === 'mine' ? cell.supervisor === this.own() : row.id === whose);
    return this.slots()
      .map((head) => {
        const cells = this.rows().flatMap((row) =>
          row.cells.filter(({ slot }) => slot === head.id).map((cell) => ({ row, cell })),
        );
        return {
          head,
          unsure: cells.some(({ cell }) => cell.unsure),
          lines: cells
            .filter(({ row, cell }) => mine(row, cell))
            .flatMap(({ row, cell }) =>
              cell.tokens
                .filter(({ state }) => state !== 'there')
                .map((token): Line => {
                  const at = { slot: cell.slot, hive: token.hive };
                  const item: PlanItem =
                    cell.group === null ? { kind: 'staff', ...at } : { kind: 'hive', group: cell.group, ...at };
                  return { key: `${row.id ?? 'staff'} ${token.hive}`, item, row, cell, token };
                }),
            ),
        };
      })
      .filter(({ lines }) => lines.length > 0);
  });
}
