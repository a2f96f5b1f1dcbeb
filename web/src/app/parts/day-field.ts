import { ChangeDetectionStrategy, Component, booleanAttribute, effect, input, model } from '@angular/core';
import {
  type AbstractControl,
  type ControlValueAccessor,
  FormControl,
  NG_VALIDATORS,
  NG_VALUE_ACCESSOR,
  ReactiveFormsModule,
  type ValidationErrors,
  type Validator,
  Validators,
} from '@angular/forms';
import { DateAdapter, MAT_DATE_FORMATS } from '@angular/material/core';
import {
  MatDatepicker,
  MatDatepickerInput,
  MatDatepickerIntl,
  MatDatepickerToggle,
} from '@angular/material/datepicker';
import { dateText } from '../ui/format';
import { CalendarWords } from './calendar-words';
import { DAY_FORMATS, DayAdapter } from './day-adapter';
import { FIELD } from './field';

/** A day, typed or picked from the days of a month: `<bc-day [min]="today()" formControlName="due" />`. An empty text stands for none. */
@Component({
  selector: 'bc-day',
  imports: [FIELD, MatDatepicker, MatDatepickerInput, MatDatepickerToggle, ReactiveFormsModule],
  providers: [
    { provide: DateAdapter, useClass: DayAdapter },
    { provide: MAT_DATE_FORMATS, useValue: DAY_FORMATS },
    { provide: MatDatepickerIntl, useClass: CalendarWords },
    { provide: NG_VALUE_ACCESSOR, useExisting: DayField, multi: true },
    { provide: NG_VALIDATORS, useExisting: DayField, multi: true },
  ],
  template: `
    <mat-form-field class="day">
      <input
        matInput
        autocomplete="off"
        [attr.aria-label]="name() || null"
        [matDatepicker]="picker"
        [min]="min() || null"
        [max]="max() || null"
        [formControl]="day"
        (input)="tell()"
        (dateChange)="take()"
        (blur)="touched()"
      />
      <mat-datepicker-toggle matSuffix [for]="picker" />
      <mat-datepicker #picker />
      @if (day.hasError('matDatepickerParse')) {
        <mat-error i18n>Write the day as 16/5, Sat or +3.</mat-error>
      } @else if (day.hasError('required')) {
        <mat-error i18n>Choose a day.</mat-error>
      } @else if (day.hasError('matDatepickerMin')) {
        <mat-error i18n>{{ say(min()) }} at the earliest.</mat-error>
      } @else if (day.hasError('matDatepickerMax')) {
        <mat-error i18n>{{ say(max()) }} at the latest.</mat-error>
      }
    </mat-form-field>
  `,
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class DayField implements ControlValueAccessor, Validator {
  readonly value = model<string>('');
  /** First and last day that may be chosen, none where empty. */
  readonly min = input<string>('');
  readonly max = input<string>('');
  readonly required = input(false, { transform: booleanAttribute });
  /** What a screen reader calls it where no label stands above it. */
  readonly name = input('');
  protected readonly day = new FormControl<string | null>(null);
  protected readonly say = dateText;
  private changed: (value: string) => void = () => undefined;
  protected touched: () => void = () => undefined;

  constructor() {
    effect(() => {
      if (this.required()) this.day.addValidators(Validators.required);
      else this.day.removeValidators(Validators.required);
      this.day.updateValueAndValidity({ emitEvent: false });
    });
    effect(() => this.day.setValue(this.value() || null, { emitEvent: false }));
  }

  protected tell(): void {
    this.changed(this.day.value ?? '');
  }

  protected take(): void {
    this.tell();
    if (this.day.valid) this.value.set(this.day.value ?? '');
  }

  writeValue(value: string | null): void {
    this.value.set(value ?? '');
  }

  registerOnChange(changed: (value: string) => void): void {
    this.changed = changed;
  }

  registerOnTouched(touched: () => void): void {
    this.touched = touched;
  }

  setDisabledState(disabled: boolean): void {
    if (disabled) this.day.disable({ emitEvent: false });
    else this.day.enable({ emitEvent: false });
  }

  validate(_control: AbstractControl): ValidationErrors | null {
    return this.day.errors;
  }
}
