import { Measured } from '../language/units';
import { ChangeDetectionStrategy, Component, computed, inject, input, signal } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { ViewDesk } from '../api/view-desk';
import { ViewState } from '../api/view-state';
import { dayText } from '../ui/format';
import { FIELD } from '../parts/field';

/** A later flow at another site: a dated plan for taking hives there and back. */
@Component({
  selector: 'bc-move-planner',
  imports: [FIELD, MatButton, Measured, ViewState],
  template: `
    <section class="sheet" aria-labelledby="move-title">
      <h2 id="move-title" i18n>A later flow elsewhere</h2>
      <bc-view-state [watched]="watched" name="The flows of other sites" i18n-name />
      @if (watched.data(); as all) {
        @if (all.targets.length) {
          <div class="fields">
            <label bcField
              ><span i18n>Flow</span
              ><mat-form-field
                ><mat-select value="" (selectionChange)="choose($event.value)">
                  <mat-option value="" i18n>choose one</mat-option>
                  @for (each of all.targets; track each.site + each.plant) {
                    <mat-option [value]="each.site + '|' + each.plant" i18n>
                      {{ each.plant }}, {{ each.name }}, {{ each.km | measured: 'distance' : 1 }}, from
                      {{ dayText(each.from) }}
                    </mat-option>
                  }
                </mat-select></mat-form-field
              >
            </label>
            <label bcField
              ><span i18n>Hives</span
              ><mat-form-field
                ><input
                  matInput
                  #count
                  type="number"
                  min="1"
                  max="200"
                  [value]="hives()"
                  (change)="hives.set(+count.value || 1)" /></mat-form-field
            ></label>
          </div>
        } @else {
          <p class="quiet" i18n>No other site of the school has a good nectar plant still to bloom.</p>
        }
        @if (all.plan; as plan) {
          <p i18n>
            <b>Go {{ dayText(plan.move.from) }} to {{ dayText(plan.move.due) }}</b
            >, back {{ dayText(plan.back.from) }} to {{ dayText(plan.back.due) }}.
          </p>
          @for (warning of plan.warnings; track warning) {
            <p class="warn">{{ warning }}</p>
          }
          <ol>
            @for (task of plan.tasks; track task.title) {
              <li>
                <b>{{ dayText(task.from) }}–{{ dayText(task.due) }}</b> {{ task.title }}<i>{{ task.why }}</i>
              </li>
            }
          </ol>
          <fieldset>
            <legend i18n>Which hives</legend>
            @for (colony of colonies(); track colony.hive) {
              <mat-checkbox [checked]="chosen().includes(colony.hive)" (change)="toggle(colony.hive)">{{
                colony.number
              }}</mat-checkbox>
            }
          </fieldset>
          <button type="button" matButton="filled" [disabled]="chosen().length === 0" (click)="schedule()" i18n>
            Add to their calendars
          </button>
          @if (done(); as tasks) {
            <p role="status" i18n>{{ tasks }} tasks added to their calendars.</p>
          }
        }
      }
    </section>
  `,
  styles: `
    .warn {
      color: var(--rust-text);
    }
    ol {
      display: grid;
      gap: 3px;
      margin: 6px 0;
      font-size: var(--t-dense);
    }
    i {
      display: block;
      color: var(--ink-2);
      font-style: normal;
    }
    fieldset {
      display: flex;
      flex-wrap: wrap;
      gap: 6px 12px;
      margin: 0 0 8px;
      padding: 4px 0;
      border: 0;
      font-size: var(--t-dense);
    }
    legend {
      padding: 0;
      color: var(--ink-2);
    }
  `,
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class MovePlanner {
  private readonly desk = inject(ViewDesk);
  readonly site = input.required<string>();
  private readonly target = signal<{ to: string; plant: string } | null>(null);
  protected readonly hives = signal(1);
  protected readonly chosen = signal<readonly string[]>([]);
  protected readonly watched = this.desk.watch('movePlan', () => {
    const target = this.target();
    return { query: { from: this.site(), ...target, ...(target ? { hives: `${this.hives()}` } : {}) } };
  });
  private readonly calendars = this.desk.watch('colonyCalendars', () => ({ query: { site: this.site() } }));
  protected readonly colonies = computed(() => this.calendars.data()?.colonies ?? []);
  private readonly answer = this.desk.lastAnswer('scheduleMove');
  protected readonly done = computed(() => this.answer()?.tasks ?? null);

  protected choose(value: string): void {
    const [to, plant] = value.split('|');
    this.target.set(to && plant ? { to, plant } : null);
  }

  protected toggle(hive: string): void {
    this.chosen.update((hives) => (hives.includes(hive) ? hives.filter((each) => each !== hive) : [...hives, hive]));
    this.hives.set(Math.max(1, this.chosen().length));
  }

  protected schedule(): void {
    const target = this.target();
    if (!target) return;
    const body = { id: this.desk.newId(), from: this.site(), ...target, hives: this.chosen() };
    this.desk.change('scheduleMove', { body }, 'colonyCalendars', false);
  }

  protected readonly dayText = dayText;
}
