import { Measured } from '../language/units';
import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { RouterLink } from '@angular/router';
import { UndoBar } from '../parts/undo-bar';
import { ViewDesk } from '../api/view-desk';
import { TaskForm } from './task-form';
import { ViewState } from '../api/view-state';
import { dateText, dayOf } from '../ui/format';
import { Named, named } from '../language/words';
import { type StrayCause } from '@brave-comb/core/inspection';

/** What visits left to be done, stray comb and its causes, wax saved, sticky hives, and how hives changed. */
@Component({
  selector: 'bc-yard-book',
  imports: [MatButton, Measured, Named, RouterLink, TaskForm, ViewState],
  template: `
    <bc-view-state [watched]="watched" name="The yard book" i18n-name />
    @if (watched.data(); as data) {
      <section class="sheet tasks" aria-labelledby="tasks-title">
        <h1 id="tasks-title" i18n>To be done</h1>
        <ul>
          @for (task of data.tasks; track task.id) {
            <li [class.done]="task.settled" [class.late]="!task.settled && task.due < data.today">
              <b>{{ task.hiveNumber }}</b>
              <span
                >{{ task.what }}
                @if (task.bring) {
                  <small i18n>bring: {{ task.bring }}</small>
                }
              </span>
              @if (task.visit) {
                <a [routerLink]="['/afterwards', task.visit]" i18n>visit</a>
              } @else {
                <span i18n>{task.source, select, by-hand {added by hand} other {sent from the yard round}}</span>
              }
              @if (task.settled; as settled) {
                <span class="due" i18n>done {{ day(settled.at) }}, {{ settled.by }}</span>
              } @else {
                <span class="due" i18n
                  >{task.due < data.today, select, true {was due} other {by}} {{ date(task.due) }}</span
                >
              }
              <button
                type="button"
                matButton="outlined"
                [attr.aria-label]="labelOf(task)"
                (click)="settle(task, !task.settled)"
                i18n
              >
                {!!task.settled, select, true {Not done} other {Done}}
              </button>
            </li>
          } @empty {
            <li class="none" i18n>
              Nothing is left to be done. Defects, stray comb and anything left undone at a visit appear here
              automatically.
            </li>
          }
        </ul>
        <bc-task-form [hives]="data.hives" [today]="data.today" />
      </section>
      <div class="books">
        <section class="sheet" aria-labelledby="stray-title">
          <h2 id="stray-title" i18n>Stray comb</h2>
          @if (causes(); as line) {
            <p>{{ line }}</p>
          }
          <ul>
            @for (each of data.strayCombs; track $index) {
              <li i18n>
                <b>Hive {{ each.hiveNumber }}</b
                >, <a [routerLink]="['/afterwards', each.visit]">{{ day(each.at) }}</a>: {{ each.where }}:
                {{ each.content | named: 'strayContent' }}, {!!each.removed, select, true {removed} other {left}}.
                Cause:
                {{ each.cause | named: 'strayCause' }}
              </li>
            } @empty {
              <li i18n>None noted.</li>
            }
          </ul>
        </section>
        <section class="sheet" aria-labelledby="wax-title">
          <h2 id="wax-title" i18n>Scraps of wax</h2>
          <p i18n>
            <b>{{ wax() | measured: 'weight' }}</b> saved in all
          </p>
          <ul>
            @for (each of data.scraps; track each.date) {
              <li i18n>
                {{ date(each.date) }}: <b>{{ each.kg | measured: 'weight' }}</b>,
                {each.hives.length, plural, =1 {hive} other {hives}}
                {{ each.hives.join(', ') }}
              </li>
            } @empty {
              <li i18n>Nothing weighed yet: at the hive, "Measure or test" has "scraps of wax".</li>
            }
          </ul>
        </section>
        <section class="sheet" aria-labelledby="stuck-title">
          <h2 id="stuck-title" i18n>Propolis</h2>
          <ul>
            @for (each of data.stuck; track $index) {
              <li>
                <b>{{ each.hiveNumber }}</b> {{ each.says }}, {{ day(each.at) }}
              </li>
            } @empty {
              <li i18n>None noted.</li>
            }
          </ul>
        </section>
        <section class="sheet" aria-labelledby="changes-title">
          <h2 id="changes-title" i18n>How hives changed</h2>
          <ul>
            @for (each of data.stackChanges; track $index) {
              <li>
                <b i18n>Hive {{ each.hiveNumber }}</b
                >, <a [routerLink]="['/afterwards', each.visit]">{{ day(each.at) }}</a>: {{ each.words
                }}{{ each.reason ? ': ' + each.reason : '' }}
              </li>
            } @empty {
              <li i18n>No part has been put on or taken away yet: at the hive, "More" has "Change the hive".</li>
            }
          </ul>
        </section>
      </div>
    }
  `,
  styles: `
    section {
      padding: 14px 18px 16px;
    }
    .tasks {
      margin: 14px 0;
    }
    h1 {
      font-size: 20px;
    }
    h2 {
      font-size: 16px;
    }
    li {
      padding: 6px 0;
      border-top: 1px solid var(--line-2);
    }
    .tasks li {
      display: grid;
      grid-template-columns: 34px minmax(0, 1fr) auto 190px auto;
      gap: 12px;
      align-items: center;
    }
    .tasks .none {
      display: block;
    }
    bc-task-form {
      display: block;
      padding-top: 10px;
    }
    .tasks small {
      display: block;
      color: var(--ink-2);
    }
    .done span {
      color: var(--ink-3);
    }
    .late .due {
      color: var(--rust-text);
      font-weight: 650;
    }
    .books {
      display: grid;
      grid-template-columns: repeat(auto-fit, minmax(320px, 1fr));
      gap: 16px;
      align-items: start;
    }
    @media (width < 700px) {
      .tasks li {
        grid-template-columns: 30px minmax(0, 1fr);
      }
      .tasks li > :nth-child(n + 3) {
        grid-column: 2;
        justify-self: start;
      }
    }
  `,
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class YardBookScreen {
  private readonly desk = inject(ViewDesk);
  private readonly undoBar = inject(UndoBar);
  protected readonly watched = this.desk.watch('yardBook', () => ({}));
  protected readonly date = dateText;
  protected readonly labelOf = ({ settled, what }: { readonly settled: unknown; readonly what: string }) =>
    settled ? $localize`Not done after all\: ${what}` : $localize`Done\: ${what}`;
  protected readonly wax = computed(() => {
    const kg = this.watched.data()?.scraps.reduce((sum, each) => sum + each.kg, 0) ?? 0;
    return Math.round(kg * 100) / 100;
  });
  /** Which cause comes up most: what to change first. */
  protected readonly causes = computed(() => {
    const counts = new Map<StrayCause, { count: number; mend: string }>();
    for (const { cause, mend } of this.watched.data()?.strayCombs ?? [])
      counts.set(cause, { count: (counts.get(cause)?.count ?? 0) + 1, mend });
    const most = [...counts].sort(([, a], [, b]) => b.count - a.count)[0];
    return most && most[1].count > 1
      ? $localize`Mostly ${named('strayCause', most[0])} (${most[1].count} times): ${most[1].mend}.`
      : null;
  });

  protected day(at: string): string {
    return dayOf(at, this.watched.data()?.zone ?? 'utc');
  }

  protected settle({ id, what }: { readonly id: string; readonly what: string }, done: boolean): void {
    const set = (to: boolean) =>
      this.desk.change('settleTask', { params: { task: id }, body: { done: to } }, 'yardBook', false);
    set(done);
    this.undoBar.show(done ? $localize`Done\: ${what}` : $localize`Not done after all\: ${what}`, () => set(!done));
  }
}
