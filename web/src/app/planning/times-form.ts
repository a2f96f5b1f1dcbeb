import { ChangeDetectionStrategy, Component, computed, input, output } from '@angular/core';
import { MatButton } from '@angular/material/button';
import type { PlanningTerms } from '@brave-comb/contract';
import { FIELD } from '../parts/field';
import { DayField } from '../parts/day-field';
import { TimeField } from '../parts/time-field';

type Times = Extract<PlanningTerms, { kind: 'supervisor' }>['times'];
type Week = Times['weekly'][number];
type Away = Times['away'][number];

const DAYS = [
  $localize`Monday`,
  $localize`Tuesday`,
  $localize`Wednesday`,
  $localize`Thursday`,
  $localize`Friday`,
  $localize`Saturday`,
  $localize`Sunday`,
];
const [MORNING, EVENING] = [9 * 60, 18 * 60];
const clock = (minute: number) =>
  `${String(Math.floor(minute / 60)).padStart(2, '0')}:${String(minute % 60).padStart(2, '0')}`;
const minutes = (time: string) => Number(time.slice(0, 2)) * 60 + Number(time.slice(3, 5));

/** Hours of the week in which somebody can come, and days away. */
@Component({
  selector: 'bc-times-form',
  imports: [DayField, TimeField, FIELD, MatButton],
  template: `
    <fieldset>
      <legend i18n>Hours of the week</legend>
      @for (day of days(); track day.weekday) {
        <div class="day">
          <mat-checkbox [checked]="day.hours.length > 0" (change)="toggle(day.weekday)">{{ day.name }}</mat-checkbox>
          @for (hours of day.hours; track $index) {
            <span>
              <bc-time
                name="{{ day.name }}, from"
                i18n-name
                [value]="hours.from"
                (valueChange)="set(hours.at, { from: minutesOf($event) })"
              /><ng-container i18n> to </ng-container
              ><bc-time
                name="{{ day.name }}, to"
                i18n-name
                [value]="hours.to"
                (valueChange)="set(hours.at, { to: minutesOf($event) })"
              />
            </span>
          }
        </div>
      }
    </fieldset>
    <fieldset>
      <legend i18n>Away</legend>
      @for (away of times().away; track $index) {
        <div class="day">
          <span>
            <bc-day
              name="Away from"
              i18n-name
              [value]="away.from"
              (valueChange)="setAway($index, { from: $event })"
            /><ng-container i18n> to </ng-container
            ><bc-day
              name="Away to"
              i18n-name
              [min]="away.from"
              [value]="away.to"
              (valueChange)="setAway($index, { to: $event })"
            />
          </span>
          <mat-form-field
            ><input
              matInput
              type="text"
              [value]="away.why"
              maxlength="60"
              aria-label="Why away"
              i18n-aria-label
              (change)="setAway($index, { why: $any($event.target).value })"
          /></mat-form-field>
          <button type="button" matButton="outlined" (click)="dropAway($index)" i18n>Remove</button>
        </div>
      }
      <button type="button" matButton="outlined" (click)="addAway()" i18n>Add days away</button>
    </fieldset>
  `,
  styles: `
    fieldset {
      margin: 6px 0;
      padding: 4px 8px 8px;
      border: 1px solid var(--line);
      border-radius: 5px;
    }
    .day {
      display: flex;
      flex-wrap: wrap;
      gap: 4px 12px;
      align-items: center;
      min-height: 34px;
    }
    mat-checkbox {
      width: 130px;
    }
  `,
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class TimesForm {
  readonly times = input.required<Times>();
  readonly today = input.required<string>();
  readonly changed = output<Times>();

  protected readonly minutesOf = minutes;
  protected readonly days = computed(() =>
    DAYS.map((name, index) => ({
      name,
      weekday: index + 1,
      hours: this.times().weekly.flatMap((each, at) =>
        each.weekday === index + 1 ? [{ at, from: clock(each.from), to: clock(each.to) }] : [],
      ),
    })),
  );

  protected toggle(weekday: number): void {
    const { weekly, away } = this.times();
    const left = weekly.filter((each) => each.weekday !== weekday);
    const none = left.length === weekly.length;
    this.changed.emit({ weekly: none ? [...left, { weekday, from: MORNING, to: EVENING }] : left, away });
  }

  protected set(at: number, change: Partial<Week>): void {
    const { weekly, away } = this.times();
    this.changed.emit({ weekly: weekly.map((each, index) => (index === at ? { ...each, ...change } : each)), away });
  }

  protected setAway(at: number, change: Partial<Away>): void {
    const { weekly, away } = this.times();
    this.changed.emit({ weekly, away: away.map((each, index) => (index === at ? { ...each, ...change } : each)) });
  }

  protected addAway(): void {
    const { weekly, away } = this.times();
    this.changed.emit({ weekly, away: [...away, { from: this.today(), to: this.today(), why: $localize`away` }] });
  }

  protected dropAway(at: number): void {
    const { weekly, away } = this.times();
    this.changed.emit({ weekly, away: away.filter((_, index) => index !== at) });
  }
}
