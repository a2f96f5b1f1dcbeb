import { MeasureField } from '../language/measure-field';
import { UnitName } from '../language/units';
import { ChangeDetectionStrategy, Component, effect, inject, input, output } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { NonNullableFormBuilder, ReactiveFormsModule, Validators } from '@angular/forms';
import type { SitePlant } from '@brave-comb/contract';
import { plantId } from '@brave-comb/core/season';
import { FIELD } from '../parts/field';
import { MonthDayField } from '../parts/month-day-field';

/** A plant of a site, entered or changed. */
@Component({
  selector: 'bc-plant-form',
  imports: [FIELD, MatButton, MeasureField, MonthDayField, UnitName, ReactiveFormsModule],
  template: `
    <form class="fields" [formGroup]="form" (ngSubmit)="keep()" aria-label="Plant" i18n-aria-label>
      <label bcField
        ><span i18n>Name</span
        ><mat-form-field><input matInput type="text" maxlength="80" formControlName="name" /></mat-form-field
      ></label>
      <label bcField
        ><span i18n>Nectar, 0 to 4</span
        ><mat-form-field><input matInput type="number" min="0" max="4" formControlName="nectar" /></mat-form-field>
      </label>
      <label bcField
        ><span i18n>Pollen, 0 to 4</span
        ><mat-form-field><input matInput type="number" min="0" max="4" formControlName="pollen" /></mat-form-field>
      </label>
      <label bcField
        ><span i18n>Blooms by</span
        ><mat-form-field
          ><mat-select formControlName="kind">
            <mat-option value="degree-days" i18n>degree days</mat-option>
            <mat-option value="dates" i18n>dates</mat-option>
          </mat-select></mat-form-field
        >
      </label>
      @if (form.controls.kind.value === 'degree-days') {
        <label bcField
          ><span i18n>Base, {{ 'temperature' | unit }}</span
          ><mat-form-field
            ><input matInput bcMeasure="temperature" [least]="-5" [most]="15" formControlName="base" /></mat-form-field
        ></label>
        <label bcField
          ><span i18n>Degree days</span
          ><mat-form-field><input matInput type="number" min="1" max="4000" formControlName="sum" /></mat-form-field
        ></label>
      } @else {
        <bc-month-day name="Opens on" i18n-name formControlName="opens" />
      }
      <label bcField
        ><span i18n>Days in bloom</span
        ><mat-form-field><input matInput type="number" min="3" max="200" formControlName="days" /></mat-form-field
      ></label>
      <button matButton="filled" type="submit" [disabled]="form.invalid" i18n>Save</button>
      <button matButton="outlined" type="button" (click)="left.emit()" i18n>Cancel</button>
      @if (form.invalid && form.dirty) {
        <p class="quiet" role="status" i18n>Needs a name, values from 0 to 4, and 3 to 200 days in bloom.</p>
      }
    </form>
  `,
  styles: `
    form {
      margin: 8px 0;
      padding: 8px 10px;
      background: var(--heather-100);
      border-radius: 6px;
    }
  `,
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class PlantForm {
  readonly plant = input.required<SitePlant>();
  readonly kept = output<SitePlant>();
  readonly left = output();
  private readonly build = inject(NonNullableFormBuilder);
  protected readonly form = this.build.group({
    name: ['', [Validators.required, Validators.maxLength(80)]],
    nectar: [0, [Validators.required, Validators.min(0), Validators.max(4)]],
    pollen: [0, [Validators.required, Validators.min(0), Validators.max(4)]],
    kind: this.build.control<'degree-days' | 'dates'>('dates'),
    base: [5, [Validators.required, Validators.min(-5), Validators.max(15)]],
    sum: [300, [Validators.required, Validators.min(1), Validators.max(4000)]],
    opens: ['05-01'],
    days: [21, [Validators.required, Validators.min(3), Validators.max(200)]],
  });

  constructor() {
    effect(() => {
      const { name, nectar, pollen, model } = this.plant();
      this.form.reset({
        name,
        nectar,
        pollen,
        kind: model.kind,
        days: model.days,
        ...(model.kind === 'dates' ? { opens: model.opens } : { base: model.base, sum: model.sum }),
      });
    });
  }

  protected keep(): void {
    const { name, nectar, pollen, kind, base, sum, opens, days } = this.form.getRawValue();
    this.kept.emit({
      id: this.plant().id || plantId(name),
      name: name.trim(),
      nectar: Math.round(nectar),
      pollen: Math.round(pollen),
      model: kind === 'dates' ? { kind, opens, days } : { kind, base, sum, days },
    });
  }
}
