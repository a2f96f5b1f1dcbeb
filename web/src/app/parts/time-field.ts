import { ChangeDetectionStrategy, Component, effect, inject, input, model } from '@angular/core';
import { FormControl, ReactiveFormsModule } from '@angular/forms';
import { DateAdapter, MAT_DATE_FORMATS } from '@angular/material/core';
import { MatTimepicker, MatTimepickerInput, MatTimepickerToggle } from '@angular/material/timepicker';
import { DAY_FORMATS, DayAdapter } from './day-adapter';
import { FIELD } from './field';

/** A time of day, typed to the minute or taken from a list: `<bc-time [(value)]="from" name="Monday, from" />`. */
@Component({
  selector: 'bc-time',
  imports: [FIELD, MatTimepicker, MatTimepickerInput, MatTimepickerToggle, ReactiveFormsModule],
  providers: [
    { provide: DateAdapter, useClass: DayAdapter },
    { provide: MAT_DATE_FORMATS, useValue: DAY_FORMATS },
  ],
  template: `
    <mat-form-field class="time">
      <input
        matInput
        autocomplete="off"
        [attr.aria-label]="name()"
        [matTimepicker]="list"
        [formControl]="time"
        (blur)="take()"
        (change)="take()"
      />
      <mat-timepicker-toggle matSuffix [for]="list" aria-label="Open list of times" i18n-aria-label />
      <mat-timepicker #list interval="15m" (selected)="take()" />
      @if (time.invalid) {
        <mat-error i18n>Write the time as 13:10.</mat-error>
      }
    </mat-form-field>
  `,
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class TimeField {
  readonly value = model.required<string>();
  /** What a screen reader calls it where no label stands above it. */
  readonly name = input.required<string>();
  private readonly adapter = inject<DateAdapter<string>>(DateAdapter);
  protected readonly time = new FormControl<string | null>(null);

  constructor() {
    effect(() => this.time.setValue(this.value(), { emitEvent: false }));
  }

  protected take(): void {
    const time = this.time.value;
    if (time && this.adapter.isValid(time)) this.value.set(time);
  }
}
