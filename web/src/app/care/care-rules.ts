import { ChangeDetectionStrategy, Component, effect, inject, input } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { NonNullableFormBuilder, ReactiveFormsModule } from '@angular/forms';
import type { Calendars } from '@brave-comb/contract';
import { ViewDesk } from '../api/view-desk';
import { FIELD } from '../parts/field';

/** House practice of the colony calendar: how often, how long a rest, how much teaching. */
@Component({
  selector: 'bc-care-rules',
  imports: [FIELD, MatButton, ReactiveFormsModule],
  template: `
    <section class="sheet" aria-labelledby="rules-title">
      <h2 id="rules-title" i18n>House rules</h2>
      <form class="fields" [formGroup]="form" (ngSubmit)="save()">
        <mat-checkbox formControlName="catchCells" i18n>Catch queen cells in swarm season</mat-checkbox>
        <label bcField
          ><span i18n>Days between looks then</span
          ><mat-form-field
            ><input matInput type="number" min="3" max="21" formControlName="swarmIntervalDays" /></mat-form-field
        ></label>
        <label bcField
          ><span i18n>Rest after frames came out</span
          ><mat-form-field><input matInput type="number" min="0" max="21" formControlName="restDays" /></mat-form-field
        ></label>
        <label bcField
          ><span i18n>Openings in 30 days</span
          ><mat-form-field><input matInput type="number" min="1" max="30" formControlName="openings" /></mat-form-field
        ></label>
        <label bcField
          ><span i18n>Minutes open</span
          ><mat-form-field
            ><input matInput type="number" min="10" max="1200" formControlName="minutes" /></mat-form-field
        ></label>
        <label bcField
          ><span i18n>Stings</span
          ><mat-form-field><input matInput type="number" min="1" max="200" formControlName="stings" /></mat-form-field
        ></label>
        <button matButton="filled" type="submit" [disabled]="form.invalid || form.pristine" i18n>Save</button>
      </form>
      <p class="quiet" i18n>
        Seven days, where no swarm may be lost: a cell is sealed on day 8. Other practice looks every 10 to 15 days and
        accepts the occasional swarm; each opening costs the bees part of a day.
      </p>
    </section>
  `,
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class CareRules {
  private readonly desk = inject(ViewDesk);
  readonly rules = input.required<Calendars>();
  private readonly build = inject(NonNullableFormBuilder);
  protected readonly form = this.build.group({
    catchCells: true,
    swarmIntervalDays: 7,
    restDays: 4,
    openings: 4,
    minutes: 120,
    stings: 12,
  });

  constructor() {
    effect(() => {
      const { catchCells, swarmIntervalDays, restDays, loadLimit } = this.rules();
      this.form.reset({ catchCells, swarmIntervalDays, restDays, ...loadLimit });
    });
  }

  protected save(): void {
    const { catchCells, swarmIntervalDays, restDays, ...load } = this.form.getRawValue();
    const body = { catchCells, swarmIntervalDays, restDays, load };
    this.desk.change('setCalendarPractice', { body }, 'colonyCalendars', false);
  }
}
