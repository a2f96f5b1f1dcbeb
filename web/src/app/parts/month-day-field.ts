import { ChangeDetectionStrategy, Component, computed, input, model } from '@angular/core';
import { type ControlValueAccessor, NG_VALUE_ACCESSOR } from '@angular/forms';
import { monthOf } from '../ui/format';
import { FIELD } from './field';

/** A year in which every day of a year is there. */
const LEAP = 2028;
const two = (number: number): string => `${number}`.padStart(2, '0');
const MONTHS = Array.from({ length: 12 }, (_, month) => two(month + 1));

/** A day of every year, by month and day: "05-17" of the contract. `<bc-month-day name="Opens" formControlName="opens" />` */
@Component({
  selector: 'bc-month-day',
  imports: [FIELD],
  providers: [{ provide: NG_VALUE_ACCESSOR, useExisting: MonthDayField, multi: true }],
  template: `
    <span class="name" aria-hidden="true">{{ name() }}</span>
    <span class="pair" role="group" [attr.aria-label]="name()">
      <mat-form-field>
        <mat-select [aria-label]="dayName" [value]="day()" (selectionChange)="choose(month(), $event.value)">
          @for (each of days(); track each) {
            <mat-option [value]="each">{{ +each }}</mat-option>
          }
        </mat-select>
      </mat-form-field>
      <mat-form-field>
        <mat-select [aria-label]="monthName" [value]="month()" (selectionChange)="choose($event.value, day())">
          @for (each of months; track each) {
            <mat-option [value]="each">{{ nameOf(each) }}</mat-option>
          }
        </mat-select>
      </mat-form-field>
    </span>
  `,
  styles: `
    :host {
      display: grid;
      gap: 3px;
    }
    .name {
      font-weight: 650;
    }
    .pair {
      display: flex;
      gap: 6px;
    }
    mat-form-field {
      width: 84px;
    }
  `,
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class MonthDayField implements ControlValueAccessor {
  readonly value = model('01-01');
  readonly name = input.required<string>();
  protected readonly dayName = $localize`Day`;
  protected readonly monthName = $localize`Month`;
  protected readonly months = MONTHS;
  protected readonly month = computed(() => this.value().slice(0, 2));
  protected readonly day = computed(() => this.value().slice(3));
  protected readonly days = computed(() => {
    const length = new Date(Date.UTC(LEAP, Number(this.month()), 0)).getUTCDate();
    return Array.from({ length }, (_, day) => two(day + 1));
  });
  private changed: (value: string) => void = () => undefined;

  protected readonly nameOf = (month: string): string => monthOf(`${LEAP}-${month}-01`);

  protected choose(month: string, day: string): void {
    const last = new Date(Date.UTC(LEAP, Number(month), 0)).getUTCDate();
    this.value.set(`${month}-${two(Math.min(last, Number(day)))}`);
    this.changed(this.value());
  }

  writeValue(value: string | null): void {
    if (value) this.value.set(value);
  }

  registerOnChange(changed: (value: string) => void): void {
    this.changed = changed;
  }

  registerOnTouched(): void {
    // Two choices are always valid: nothing waits for a touch.
  }
}
