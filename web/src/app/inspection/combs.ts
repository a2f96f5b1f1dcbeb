import { Named } from '../language/words';
import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { COMB_GRADES, type CombGrade } from '@brave-comb/core/inspection';
import { ViewDesk } from '../api/view-desk';
import { ViewState } from '../api/view-state';

/** Combs: what is in store, what is due for renewal, and where moved ones came from and went. */
@Component({
  selector: 'bc-combs',
  imports: [MatButton, Named, ViewState],
  template: `
    <bc-view-state [watched]="watched" name="The combs" i18n-name />
    @if (watched.data(); as data) {
      <section class="sheet" aria-labelledby="stock-title">
        <h1 id="stock-title" i18n>Combs in store</h1>
        <ul class="stock">
          @for (each of data.stock; track each.store + each.kind) {
            <li>
              <b>{{ each.count }}</b> {{ each.kind }} <span>{{ each.store }}</span>
            </li>
          } @empty {
            <li i18n>Nothing is in store according to the records. Combs moved at the hive appear here.</li>
          }
        </ul>
        @for (each of data.shortfall; track each.kind) {
          <p class="short" i18n>
            Short of {{ each.kind }}: {{ each.need }} needed by {each.hives.length, plural, =1 {hive} other {hives}}
            {{ each.hives.join(', ') }}, {{ each.have }} in store.
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
              (click)="shown.set(grade)"
            >
              {{ grade | named: 'combGrade' }} ({{ count(grade) }})
            </button>
          }
        </p>
        <div class="wide-table">
          <table class="plain-table">
            <thead>
              <tr>
                <th scope="col" i18n>Comb</th>
                <th scope="col" i18n>Kind</th>
                <th scope="col" i18n>Where</th>
                <th scope="col" i18n>From</th>
                <th scope="col" i18n>Why</th>
              </tr>
            </thead>
            <tbody>
              @for (each of rows(); track each.comb.id) {
                <tr>
                  <th scope="row">{{ each.comb.label }}</th>
                  <td>{{ each.comb.kind }}{{ each.comb.since ? ', ' + each.comb.since : '' }}</td>
                  <td i18n>
                    {!!each.hiveNumber, select,
                      true {hive {{ each.hiveNumber }}, {{ each.box }}, place {{ each.place }}}
                      other {{{ each.store }}}
                    }
                  </td>
                  <td i18n>{!!each.donorNumber, select, true {hive {{ each.donorNumber }}} other {}}</td>
                  <td>{{ each.why }}</td>
                </tr>
              } @empty {
                <tr>
                  <td colspan="5" i18n>
                    No comb of this grade is known. Combs are recorded when the first visit is closed.
                  </td>
                </tr>
              }
            </tbody>
          </table>
        </div>
      </section>
      <section class="sheet" aria-labelledby="moves-title">
        <h2 id="moves-title" i18n>Moves, newest first</h2>
        <ul>
          @for (move of data.moves; track $index) {
            <li i18n>
              {{ move.at.slice(0, 10) }} <b>{{ move.label }}</b> from {{ move.from }} to {{ move.to
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
  protected readonly shown = signal<CombGrade>('replace');
  private readonly combs = computed(() => this.watched.data()?.combs ?? []);
  protected readonly rows = computed(() => this.combs().filter(({ grade }) => grade === this.shown()));

  protected count(grade: CombGrade): number {
    return this.combs().filter((each) => each.grade === grade).length;
  }
}
