import { ChangeDetectionStrategy, Component, effect, inject, input } from '@angular/core';
import { NonNullableFormBuilder, ReactiveFormsModule } from '@angular/forms';
import type { Calendars } from '@brave-comb/contract';
import { ViewDesk } from '../api/view-desk';

/** House practice of the colony calendar: how often, how long a rest, how much teaching. */
@Component({
  selector: 'bc-care-rules',
  imports: [ReactiveFormsModule],
  template: `
    <section class="sheet" aria-labelledby="rules-title">
      <h2 id="rules-title">House rules</h2>
      <form class="fields" [formGroup]="form" (ngSubmit)="save()">
        <label class="tick"
          ><input type="checkbox" formControlName="catchCells" /> Catch queen cells in swarm season</label
        >
        <label
          >Days between looks then <input type="number" min="3" max="21" formControlName="swarmIntervalDays"
        /></label>
        <label>Rest after frames came out <input type="number" min="0" max="21" formControlName="restDays" /></label>
        <label>Openings in 30 days <input type="number" min="1" max="30" formControlName="openings" /></label>
        <label>Minutes open <input type="number" min="10" max="1200" formControlName="minutes" /></label>
        <label>Stings <input type="number" min="1" max="200" formControlName="stings" /></label>
        <button class="btn" type="submit" [disabled]="form.invalid || form.pristine">Keep</button>
      </form>
      <p class="quiet">
        Seven days, where no swarm may be lost: a cell is sealed on day 8. The other school looks every 10 to 15 days
        and takes a swarm now and then; each opening costs the bees part of a day.
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
