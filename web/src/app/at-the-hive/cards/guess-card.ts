import { namesOf } from '../../language/words';
import { said } from '../../language/said';
import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { MatDialogClose, MatDialogRef, MatDialogTitle } from '@angular/material/dialog';
import { LETTERS, type Letter, sideText } from '@brave-comb/core/inspection';
import { Store } from '@ngrx/store';
import { inspectionFeature } from '../../inspection/inspection.feature';
import { VisitDesk } from '../../inspection/visit-desk';
import { Choice } from '../choice';
import { HiveJobs } from '../hive-jobs';
import { MatButton } from '@angular/material/button';

/** Predict, then look: somebody says what a side will hold before it is turned. */
@Component({
  selector: 'bc-guess-card',
  imports: [MatButton, MatDialogClose, MatDialogTitle, Choice],
  template: `
    <h2 matDialogTitle i18n>What will {{ where() }} hold?</h2>
    <bc-choice
      legend="Who predicts"
      i18n-legend
      [options]="jobs.people()"
      [words]="jobs.names()"
      [value]="who()"
      (chosen)="who.set($event)"
    />
    <fieldset>
      <legend i18n>Most of it first</legend>
      <div class="row">
        @for (letter of letters; track letter) {
          <button
            type="button"
            matButton="outlined"
            [class.sel]="order(letter)"
            [attr.aria-pressed]="order(letter) !== ''"
            (click)="toggle(letter)"
          >
            {{ words[letter] }} {{ order(letter) }}
          </button>
        }
      </div>
    </fieldset>
    @if (ahead(); as nest) {
      <p class="why" i18n>The nest should lie on frames {{ nest.from }} to {{ nest.to }}.</p>
    }
    <div class="row">
      <button type="button" matButton="filled" [disabled]="guess().length === 0 || !who()" (click)="keep()" i18n>
        Turn the frame
      </button>
      <button type="button" matButton="outlined" matDialogClose i18n>Not now</button>
    </div>
  `,
  styleUrl: './cards.scss',
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class GuessCard {
  private readonly store = inject(Store);
  private readonly desk = inject(VisitDesk);
  private readonly dialog = inject(MatDialogRef<GuessCard>);
  protected readonly ahead = this.store.selectSignal(inspectionFeature.selectNestAhead);
  protected readonly address = this.store.selectSignal(inspectionFeature.selectAddress);
  private readonly stack = this.store.selectSignal(inspectionFeature.selectStack);
  protected readonly letters = LETTERS;
  protected readonly words = namesOf('content');
  protected readonly jobs = inject(HiveJobs);
  protected readonly who = signal(this.jobs.holder() ?? this.jobs.people()[0] ?? null);
  protected readonly guess = signal<readonly Letter[]>([]);
  protected readonly where = computed(() => {
    const address = this.address();
    return address ? said(sideText(address, this.stack())) : '';
  });

  protected order(letter: Letter): string {
    const at = this.guess().indexOf(letter);
    return at < 0 ? '' : `${at + 1}`;
  }

  protected toggle(letter: Letter): void {
    this.guess.update((guess) =>
      guess.includes(letter) ? guess.filter((each) => each !== letter) : [...guess, letter],
    );
  }

  protected keep(): void {
    const [person, address] = [this.who(), this.address()];
    if (!person || !address) return;
    this.desk.enter({ kind: 'side-guessed', person, address, letters: [...this.guess()] });
    this.dialog.close();
  }
}
