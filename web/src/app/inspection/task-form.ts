import { ChangeDetectionStrategy, Component, inject, input, signal } from '@angular/core';
import { type AbstractControl, NonNullableFormBuilder, ReactiveFormsModule, Validators } from '@angular/forms';
import { MatButton } from '@angular/material/button';
import { MatError, MatFormField, MatLabel } from '@angular/material/form-field';
import { MatInput } from '@angular/material/input';
import { MatOption, MatSelect } from '@angular/material/select';
import { ViewDesk } from '../api/view-desk';

/** Leaves something to be done at a hive, for whoever opens it next. */
@Component({
  selector: 'bc-task-form',
  imports: [MatButton, MatError, MatFormField, MatInput, MatLabel, MatOption, MatSelect, ReactiveFormsModule],
  template: `
    @if (open()) {
      <form [formGroup]="form" aria-label="Something to do at a hive" i18n-aria-label (ngSubmit)="leave()">
        <mat-form-field [subscriptSizing]="'dynamic'">
          <mat-label i18n>Hive</mat-label>
          <mat-select formControlName="hive">
            @for (hive of hives(); track hive.id) {
              <mat-option [value]="hive.id">{{ hive.number }}</mat-option>
            }
          </mat-select>
          <mat-error i18n>Choose the hive.</mat-error>
        </mat-form-field>
        <mat-form-field class="what" [subscriptSizing]="'dynamic'">
          <mat-label i18n>What is to be done</mat-label>
          <textarea matInput formControlName="what" rows="1" maxlength="600"></textarea>
          <mat-error i18n>Say what is to be done.</mat-error>
        </mat-form-field>
        <mat-form-field [subscriptSizing]="'dynamic'">
          <mat-label i18n>By</mat-label>
          <input matInput type="date" formControlName="due" [min]="today()" />
          <mat-error i18n>Choose today or a later day.</mat-error>
        </mat-form-field>
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
