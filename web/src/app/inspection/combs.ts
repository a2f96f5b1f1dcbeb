import { Named, named } from '../language/words';
import { ChangeDetectionStrategy, Component, computed, inject, linkedSignal } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { COMB_GRADES, type CombGrade, type CombStore } from '@brave-comb/core/inspection';
import { SORT } from '../parts/sort-words';
import { Pages } from '../parts/pages';
import { recordTable } from '../parts/record-table';
import { dateText } from '../ui/format';
import { ViewDesk } from '../api/view-desk';
import { ViewState } from '../api/view-state';

/** Combs on a page. */
const PAGE = 50;

/** Combs: what is in store, what is due for renewal, and where moved ones came from and went. */
@Component({
  selector: 'bc-combs',
  imports: [MatButton, Pages, SORT, Named, ViewState],
  template: `
    <bc-view-state [watched]="watched" name="The combs" i18n-name />
    @if (watched.data(); as data) {
      <section class="sheet" aria-labelledby="stock-title">
        <h1 id="stock-title" i18n>Combs in store</h1>
        <ul class="stock">
          @for (each of data.stock; track each.store + each.kind) {
            <li>
              <b>{{ each.count }}</b> {{ each.kind | named: 'combKind' }}
              <span>{{ each.store | named: 'combStore' }}</span>
            </li>
          } @empty {
            <li i18n>Nothing is in store according to the records. Combs moved at the hive appear here.</li>
          }
        </ul>
        @for (each of data.shortfall; track each.kind) {
          <p class="short" i18n>
            Short of {{ each.kind | named: 'combKind' }}: {{ each.need }} needed by
            {each.hives.length, plural, =1 {hive} other {hives}} {{ each.hives.join(', ') }}, {{ each.have }} in store.
          </p>
        }
      </section>
      <section class="sheet" aria-labelledby="combs-title">
        <h2 id="combs-title" i18n>By grade</h2>
        <p class="row" role="group" aria-label="Grade" i18n-aria-label>
          @for (grade of grades; track grade) {
            <button
              type="button"
              [matButton]="grade !== shown() ? 'outlined' : 'filled'"
              [attr.aria-pressed]="grade === shown()"
              (click)="show(grade)"
            >
              {{ grade | named: 'combGrade' }} ({{ count(grade) }})
            </button>
          }
        </p>
        <div class="wide-table">
          <table class="plain-table cards" role="table" matSort (matSortChange)="table.order.set($event)">
            <thead role="rowgroup">
              <tr role="row">
                <th scope="col" role="columnheader" mat-sort-header="comb" i18n>Comb</th>
                <th scope="col" role="columnheader" mat-sort-header="kind" i18n>Kind</th>
                <th scope="col" role="columnheader" mat-sort-header="where" i18n>Where</th>
                <th scope="col" role="columnheader" mat-sort-header="from" i18n>From</th>
                <th scope="col" role="columnheader" i18n>Why</th>
              </tr>
            </thead>
            <tbody role="rowgroup">
              @for (each of table.lines(); track each.comb.id) {
                <tr role="row">
                  <th scope="row" role="rowheader">{{ each.comb.label }}</th>
                  <td role="cell">
                    {{ each.comb.kind | named: 'combKind' }}{{ each.comb.since ? ', ' + each.comb.since : '' }}
                  </td>
                  <td role="cell" i18n>
                    {!!each.hiveNumber, select,
                      true {hive {{ each.hiveNumber }}, {{ each.box }}, place {{ each.place }}}
                      other {{{ storeName(each.store) }}}
                    }
                  </td>
                  <td role="cell" data-head="From" i18n-data-head i18n>
                    {!!each.donorNumber, select, true {hive {{ each.donorNumber }}} other {}}
                  </td>
                  <td role="cell">{{ each.why }}</td>
                </tr>
              } @empty {
                <tr role="row">
                  <td role="cell" colspan="5" i18n>
                    No comb of this grade is known. Combs are recorded when the first visit is closed.
                  </td>
                </tr>
              }
            </tbody>
          </table>
        </div>
        <bc-pages [table]="table" name="Combs of this grade" i18n-name />
      </section>
      <section class="sheet" aria-labelledby="moves-title">
        <h2 id="moves-title" i18n>Moves, newest first</h2>
        <ul>
          @for (move of data.moves; track $index) {
            <li i18n>
              {{ day(move.at) }} <b>{{ move.label }}</b> from {{ move.from }} to {{ move.to
              }}{{ move.reason ? ': ' + move.reason : '' }}
            </li>
          } @empty {
            <li i18n>No comb has been moved yet.</li>
          }
        </ul>
      </section>
    }
  `,
  styles: `
    .short {
      margin-top: 6px;
      padding: 4px 10px;
      border-left: 4px solid var(--rust);
      background: var(--rust-100);
      color: var(--rust-text);
    }
    section {
      max-width: 980px;
      margin: 18px auto;
      padding: 16px 20px 18px;
    }
    h1,
    h2 {
      font-size: 20px;
    }
    .stock {
      display: flex;
      flex-wrap: wrap;
      gap: 6px 26px;
    }
    .stock span {
      color: var(--ink-2);
    }
    li {
      padding: 4px 0;
    }
    .row {
      display: flex;
      gap: 8px;
      margin: 8px 0;
    }
  `,
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class CombsScreen {
  protected readonly watched = inject(ViewDesk).watch('combLedger', () => ({}));
  protected readonly grades = COMB_GRADES;
  private readonly combs = computed(() => this.watched.data()?.combs ?? []);
  /** What is to be renewed first, as far as there is any. */
  protected readonly shown = linkedSignal<CombGrade>(
    () => COMB_GRADES.toReversed().find((grade) => this.count(grade) > 0) ?? 'replace',
  );
  protected readonly table = recordTable(
    computed(() => this.combs().filter(({ grade }) => grade === this.shown())),
    {
      comb: ({ comb }) => comb.label,
      kind: ({ comb }) => comb.kind,
      where: ({ hiveNumber, box, place, store }) => (hiveNumber ? `${hiveNumber} ${box} ${place}` : store),
      from: ({ donorNumber }) => donorNumber,
    },
    PAGE,
  );

  protected show(grade: CombGrade): void {
    this.shown.set(grade);
    this.table.page.set({ pageIndex: 0, pageSize: PAGE });
  }

  protected storeName(store: CombStore | null): string {
    return store === null ? '' : named('combStore', store);
  }

  protected day(at: string): string {
    return dateText(at.slice(0, 10));
  }

  protected count(grade: CombGrade): number {
    return this.combs().filter((each) => each.grade === grade).length;
  }
}
