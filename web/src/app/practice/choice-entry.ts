import { ChangeDetectionStrategy, Component, input, linkedSignal, output } from '@angular/core';
import { MatButton } from '@angular/material/button';

/** One question of a choice, with what can be said to it. */
export interface Choice {
  readonly id: string;
  readonly legend: string;
  readonly options: readonly { readonly id: string; readonly text: string }[];
}

/** One or two choices, each of several answers. */
@Component({
  selector: 'bc-choice-entry',
  imports: [MatButton],
  template: `
    @for (choice of choices(); track choice.id) {
      <div role="group" [attr.aria-labelledby]="'choice-' + choice.id">
        <h2 [id]="'choice-' + choice.id">{{ choice.legend }}</h2>
        <p class="choices">
          @for (option of choice.options; track option.id) {
            <button
              type="button"
              matButton="outlined"
              [attr.aria-pressed]="isChosen(choice.id, option.id)"
              (click)="choose(choice.id, option.id)"
            >
              {{ option.text }}
            </button>
          }
        </p>
      </div>
    }
    <div class="ends">
      <button type="button" class="go" matButton="filled" [disabled]="!whole()" (click)="done.emit(chosen())" i18n>
        Done, show me
      </button>
      <button type="button" matButton="outlined" (click)="gaveUp.emit()" i18n>Give up</button>
    </div>
  `,
  styleUrl: './entries.scss',
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class ChoiceEntry {
  readonly choices = input.required<readonly Choice[]>();
  readonly done = output<readonly string[]>();
  readonly gaveUp = output();
  /** What was chosen for each choice, in their order; empty while nothing is. */
  protected readonly chosen = linkedSignal<readonly string[]>(() => this.choices().map(() => ''));

  protected whole(): boolean {
    return this.chosen().every((each) => each !== '');
  }

  protected isChosen(choice: string, option: string): boolean {
    return this.chosen()[this.choices().findIndex(({ id }) => id === choice)] === option;
  }

  protected choose(choice: string, option: string): void {
    this.chosen.update((all) => all.map((each, index) => (this.choices()[index]?.id === choice ? option : each)));
  }
}
