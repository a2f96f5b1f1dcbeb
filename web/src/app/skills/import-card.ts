import { ChangeDetectionStrategy, Component, inject, signal } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { MatCheckbox } from '@angular/material/checkbox';
import { MAT_DIALOG_DATA, MatDialogClose, MatDialogTitle } from '@angular/material/dialog';
import { type PassportFile, sameName } from '@brave-comb/core/exchange';
import { dateInFull } from '../ui/format';

export interface ImportAsk {
  readonly trainee: string;
  readonly file: PassportFile;
}

/** Whose passport it is, from which school, of when and by whom, before anything is taken in. Answers whether it goes on. */
@Component({
  selector: 'bc-import-card',
  imports: [MatButton, MatCheckbox, MatDialogClose, MatDialogTitle],
  template: `
    <h2 matDialogTitle i18n>Import a passport for {{ ask.trainee }}</h2>
    <p i18n>
      Passport of <b>{{ ask.file.trainee }}</b>, {{ ask.file.school }}, made {{ day(ask.file.made) }}: {{ count }}
      {count, plural, =1 {showing} other {showings}}{{ years ? ', ' + years : '' }}.
    </p>
    @if (assessors.length > 0) {
      <p i18n>Judged by {{ assessors.join(', ') }}.</p>
    }
    <p i18n>It counts only once you have accepted it, beside the matrix.</p>
    @if (another) {
      <p class="stop" role="alert" i18n>This passport has another name than {{ ask.trainee }}.</p>
      <mat-checkbox [checked]="same()" (change)="same.set($event.checked)" i18n
        >It is the same person; the name has changed.</mat-checkbox
      >
    }
    <div class="row">
      <button
        type="button"
        matButton="filled"
        [disabled]="another && !same()"
        [matDialogClose]="{ anotherName: another }"
        i18n
      >
        Import
      </button>
      <button type="button" matButton="outlined" matDialogClose i18n>Cancel</button>
    </div>
  `,
  styleUrl: './judge-card.scss',
  styles: `
    .stop {
      padding: 6px 10px;
      border-left: 4px solid var(--madder);
      background: var(--madder-100);
    }
  `,
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class ImportCard {
  protected readonly ask = inject<ImportAsk>(MAT_DIALOG_DATA);
  protected readonly day = dateInFull;
  protected readonly same = signal(false);
  private readonly shown = this.ask.file.skills.flatMap(({ evidence }) => evidence);
  protected readonly count = this.shown.length;
  protected readonly assessors = [...new Set(this.shown.flatMap(({ assessor }) => assessor ?? []))].slice(0, 6);
  protected readonly years = spanOf(this.shown.map(({ day }) => day.slice(0, 4)));
  protected readonly another = !sameName(this.ask.file.trainee, this.ask.trainee);
}

function spanOf(years: readonly string[]): string {
  const [first, last] = [years.toSorted()[0], years.toSorted().at(-1)];
  return first === undefined ? '' : first === last ? first : $localize`${first} to ${last}`;
}
