import { ChangeDetectionStrategy, Component, inject, input, signal } from '@angular/core';
import { type AbstractControl, NonNullableFormBuilder, ReactiveFormsModule, Validators } from '@angular/forms';
import { MatButton } from '@angular/material/button';
import { ViewDesk } from '../api/view-desk';
import { FIELD } from '../parts/field';
import { DayField } from '../parts/day-field';

/** Leaves something to be done at a hive, for whoever opens it next. */
@Component({
  selector: 'bc-task-form',
  imports: [FIELD, DayField, MatButton, ReactiveFormsModule],
  template: `
    @if (open()) {
      <form [formGroup]="form" aria-label="Something to do at a hive" i18n-aria-label (ngSubmit)="leave()">
        <label bcField
          ><span i18n>Hive</span
          ><mat-form-field>
            <mat-select formControlName="hive">
              @for (hive of hives(); track hive.id) {
                <mat-option [value]="hive.id">{{ hive.number }}</mat-option>
              }
            </mat-select>
            <mat-error i18n>Choose the hive.</mat-error>
          </mat-form-field></label
        >
        <label bcField class="what"
          ><span i18n>What is to be done</span
          ><mat-form-field>
            <textarea matInput formControlName="what" rows="1" maxlength="600"></textarea>
            <mat-error i18n>Say what is to be done.</mat-error>
          </mat-form-field></label
        >
        <label bcField
          ><span i18n>By</span>
          <bc-day required formControlName="due" [min]="today()" />
        </label>
        <button type="submit" matButton="filled" i18n>Put it on the list</button>
        <button type="button" matButton (click)="open.set(false)" i18n>Cancel</button>
      </form>
    } @else {
      <button type="button" matButton="outlined" (click)="open.set(true)" i18n>Something else to do at a hive</button>
    }
  `,
  styles: `
    form {
      display: flex;
      flex-wrap: wrap;
      gap: 8px 12px;
      align-items: center;
    }
    .what {
      flex: 1 1 280px;
    }
  `,
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class TaskForm {
  readonly hives = input.required<readonly { readonly id: string; readonly number: string }[]>();
  readonly today = input.required<string>();
  private readonly desk = inject(ViewDesk);
  protected readonly open = signal(false);
  protected readonly form = inject(NonNullableFormBuilder).group({
    hive: ['', Validators.required],
    what: ['', [Validators.required, Validators.pattern(/\S/)]],
    due: [
      '',
      [
        Validators.required,
        (due: AbstractControl<string>) => (due.value && due.value < this.today() ? { past: true } : null),
      ],
    ],
  });

  protected leave(): void {
    if (this.form.invalid) {
      this.form.markAllAsTouched();
      return;
    }
    const { hive, what, due } = this.form.getRawValue();
    this.desk.change('addTask', { params: { hive }, body: { id: this.desk.newId(), what, due } }, 'yardBook', false);
    this.form.reset();
    this.open.set(false);
  }
}
