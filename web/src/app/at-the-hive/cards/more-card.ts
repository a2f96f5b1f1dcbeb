import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { MatDialogClose, MatDialogTitle } from '@angular/material/dialog';
import { BEE_SIGNS } from '@brave-comb/core/inspection';
import { Store } from '@ngrx/store';
import { inspectionFeature } from '../../inspection/inspection.feature';
import { VisitDesk } from '../../inspection/visit-desk';
import { peopleFeature } from '../../people/people.feature';
import { HivePreferences } from '../hive-preferences';
import { Named } from '../../language/words';
import { MatButton } from '@angular/material/button';

export const MORE = [
  { id: 'guess', name: $localize`Predict this side` },
  { id: 'look', name: $localize`Looked for …` },
  { id: 'measure', name: $localize`Measure or test` },
  { id: 'question', name: $localize`Photo or question` },
  { id: 'note', name: $localize`Note, spoken or tapped` },
  { id: 'move', name: $localize`Move this comb` },
  { id: 'box', name: $localize`Assess a box from above` },
  { id: 'part', name: $localize`Change the hive` },
  { id: 'defect', name: $localize`Defect or stray comb` },
  { id: 'judgement', name: $localize`What helped the trainee` },
  { id: 'incident', name: $localize`Incident` },
  { id: 'keys', name: $localize`Letters and keys` },
] as const;
export type MoreId = (typeof MORE)[number]['id'];

/** Everything that has no button of its own at the frames. */
@Component({
  selector: 'bc-more-card',
  imports: [MatButton, Named, MatDialogClose, MatDialogTitle],
  template: `
    <h2 matDialogTitle i18n>More</h2>
    <div class="grid">
      @for (each of more(); track each.id) {
        <button type="button" matButton="outlined" [matDialogClose]="each.id">{{ each.name }}</button>
      }
    </div>
    <fieldset>
      <legend i18n>Reads this side first, without the supervisor seeing</legend>
      <div class="row">
        @for (person of people(); track person.id) {
          <button
            type="button"
            matButton="outlined"
            [class.sel]="person.id === reader()"
            matDialogClose
            (click)="desk.read(person.id)"
          >
            {{ person.name }}
          </button>
        }
      </div>
    </fieldset>
    <fieldset>
      <legend i18n>Bee behaviour</legend>
      <div class="row">
        @for (sign of signs; track sign) {
          <button type="button" matButton="outlined" (click)="desk.enter({ kind: 'sign-noticed', sign })">
            {{ sign | named: 'beeSign' }} {{ count(sign) || '' }}
          </button>
        }
      </div>
    </fieldset>
    <fieldset>
      <legend i18n>Light on the comb</legend>
      <div class="row">
        <button
          type="button"
          matButton="outlined"
          [class.sel]="light() === true"
          [attr.aria-pressed]="light() === true"
          (click)="lit(true)"
          i18n
        >
          bright enough for eggs
        </button>
        <button
          type="button"
          matButton="outlined"
          [class.some]="light() === false"
          [attr.aria-pressed]="light() === false"
          (click)="lit(false)"
          i18n
        >
          too dark: "no eggs" is recorded as "not seen"
        </button>
      </div>
    </fieldset>
    <fieldset>
      <legend i18n>This device</legend>
      <div class="row">
        @for (each of preferences.all; track each.id) {
          <button
            type="button"
            matButton="outlined"
            [class.sel]="preferences.now()[each.id]"
            [attr.aria-pressed]="preferences.now()[each.id]"
            (click)="preferences.flip(each.id)"
          >
            {{ each.name }}
          </button>
        }
      </div>
    </fieldset>
    <button type="button" matButton="filled" matDialogClose i18n>Back to the hive</button>
  `,
  styleUrl: './cards.scss',
  styles: `
    .grid {
      display: grid;
      grid-template-columns: repeat(auto-fill, minmax(150px, 1fr));
      gap: 8px;
    }
  `,
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class MoreCard {
  private readonly store = inject(Store);
  protected readonly desk = inject(VisitDesk);
  protected readonly preferences = inject(HivePreferences);
  private readonly record = this.store.selectSignal(inspectionFeature.selectRecord);
  private readonly file = this.store.selectSignal(inspectionFeature.selectFile);
  protected readonly reader = this.store.selectSignal(inspectionFeature.selectReader);
  protected readonly people = computed(() => this.file()?.trainees ?? []);
  private readonly person = this.store.selectSignal(peopleFeature.selectPerson);
  /** Judging stays with supervisors. */
  protected readonly more = computed(() =>
    MORE.filter(({ id }) => id !== 'judgement' || this.person()?.role !== 'trainee'),
  );
  protected readonly signs = BEE_SIGNS;

  protected count(sign: (typeof BEE_SIGNS)[number]): number {
    return this.record().signs.filter((each) => each.sign === sign).length;
  }

  protected light(): boolean | null {
    return this.record().checks.find(({ check }) => check === 'light')?.ok ?? null;
  }

  protected lit(ok: boolean): void {
    this.desk.enter({ kind: 'checked', check: 'light', ok, person: null });
  }
}
