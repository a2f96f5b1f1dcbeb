import { Named } from '../language/words';
import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import type { AliveRound as Round } from '@brave-comb/contract';
import { peopleFeature } from '../people/people.feature';
import { Store } from '@ngrx/store';
import { ViewDesk } from '../api/view-desk';
import { ViewState } from '../api/view-state';
import { dayText } from '../ui/format';
import { MatButton } from '@angular/material/button';

const STATES = ['alive', 'dead', 'unsure'] as const;

/** The round after winter: each hive tapped as alive, dead or unsure without opening it, and who came through by set-up. */
@Component({
  selector: 'bc-alive-round',
  imports: [MatButton, Named, ViewState],
  template: `
    <section class="sheet" aria-labelledby="alive-title">
      <h2 id="alive-title" i18n>Winter survival check</h2>
      <p class="quiet" i18n>
        From outside: flight on a mild day, hums when tapped, droppings. Flying bees alone prove no good winter; robbers
        fly too.
      </p>
      <bc-view-state [watched]="watched" name="The round" i18n-name />
      @if (watched.data(); as all) {
        <p class="sum">
          <b>{{ sum(all.survival) }}</b>
        </p>
        <ul class="hives">
          @for (hive of all.hives; track hive.id) {
            <li>
              <div role="group" ariaLabel="Hive {{ hive.number }}" i18n-ariaLabel>
                <b>{{ hive.number }}</b>
                @for (state of states; track state) {
                  <button
                    type="button"
                    matButton="outlined"
                    class="small"
                    [attr.data-state]="state"
                    [attr.aria-pressed]="hive.state === state"
                    [disabled]="!mayEdit()"
                    (click)="tap(hive.id, hive.state === state ? null : state)"
                  >
                    {{ state | named: 'aliveState' }}
                  </button>
                }
                <i>
                  @if (hive.date) {
                    {{ dayText(hive.date) }}
                  } @else {
                    <ng-container i18n>not seen yet </ng-container>
                  }
                </i>
              </div>
            </li>
          }
        </ul>
        @if (all.bySetUp.length && all.survival.dead) {
          <h3 i18n>By set-up</h3>
          <table class="plain-table">
            <thead>
              <tr>
                <th scope="col" i18n>Set-up</th>
                <th scope="col" i18n>Came through</th>
                <th scope="col" i18n>True share, 19 in 20</th>
              </tr>
            </thead>
            <tbody>
              @for (row of all.bySetUp; track row.name + row.value) {
                <tr>
                  <th scope="row">{{ row.name }}: {{ row.value }}</th>
                  <td i18n>{{ row.survival.alive }} of {{ row.survival.alive + row.survival.dead }}</td>
                  <td i18n>{{ percent(row.survival.low) }} to {{ percent(row.survival.high) }} %</td>
                </tr>
              }
            </tbody>
          </table>
          <p class="quiet" i18n>Few hives prove nothing: where the ranges overlap, the difference may be chance.</p>
        }
        @for (year of all.earlier; track year.year) {
          <p class="quiet" i18n>Winter to {{ year.year.slice(0, 4) }}: {{ sum(year.survival) }}</p>
        }
      }
    </section>
  `,
  styles: `
    .sum {
      margin: 6px 0;
    }
    .hives {
      display: grid;
      gap: 4px;
    }
    li > div {
      display: flex;
      gap: 4px;
      align-items: center;
    }
    li b {
      width: 26px;
    }
    button {
      min-width: 74px;
    }
    button[data-state='alive'][aria-pressed='true'] {
      color: var(--ink);
      background: var(--moss-100);
      border-color: var(--moss);
    }
    button[data-state='dead'][aria-pressed='true'] {
      color: var(--ink);
      background: var(--madder-100);
      border-color: var(--madder);
    }
    i {
      margin-left: 6px;
      color: var(--ink-2);
      font-style: normal;
      font-size: var(--t-dense);
    }
  `,
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class AliveRound {
  private readonly desk = inject(ViewDesk);
  private readonly person = inject(Store).selectSignal(peopleFeature.selectPerson);
  readonly site = input.required<string>();
  protected readonly states = STATES;
  protected readonly watched = this.desk.watch('aliveRound', () => ({ query: { site: this.site() } }));
  protected readonly mayEdit = computed(() => this.person()?.role !== 'trainee');

  protected sum({ alive, dead, unsure, share, low, high }: Round['survival']): string {
    const known = alive + dead;
    if (share === null) return unsure > 0 ? $localize`${unsure} unsure, none known yet` : $localize`No hive tapped yet`;
    const rest = unsure > 0 ? $localize`, ${unsure} unsure` : '';
    return $localize`${alive} of ${known} alive${rest}\: ${this.percent(share)} % (likely ${this.percent(low)} to ${this.percent(high)} %)`;
  }

  protected percent(share: number): number {
    return Math.round(share * 100);
  }

  protected tap(hive: string, state: (typeof STATES)[number] | null): void {
    const date = this.watched.data()?.today;
    if (date) this.desk.change('tapAlive', { params: { hive }, body: { state, date } }, 'aliveRound');
  }

  protected readonly dayText = dayText;
}
