import { ChangeDetectionStrategy, Component, effect, inject, input, signal } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { RouterLink } from '@angular/router';
import { type HiveShut, PreparedVisits } from './prepared-visits';

/** Where the printed label of a hive leads: straight into its visit. */
@Component({
  selector: 'bc-hive-door',
  imports: [MatButton, RouterLink],
  template: `
    <main class="sheet">
      @if (problem(); as words) {
        <h1 i18n>
          {!!words.unplanned, select, true {This hive is not in a session now} other {This hive cannot be opened here}}
        </h1>
        <p role="alert">{{ words.says }}</p>
        @if (words.unplanned) {
          <p>
            <button type="button" matButton="filled" (click)="openAnyway()" i18n>
              Open it outside a planned session
            </button>
          </p>
          <p class="quiet" i18n>The visit is yours, without a trainee group, and is recorded like any other.</p>
        }
        <p><a routerLink="/ahead" i18n>To the day sheet</a></p>
      } @else {
        <h1 role="status" i18n>Opening the visit …</h1>
      }
    </main>
  `,
  styles: `
    main {
      max-width: 520px;
      margin: 80px auto;
      padding: 20px;
    }
    p {
      margin-top: 12px;
    }
  `,
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class HiveDoor {
  private readonly visits = inject(PreparedVisits);
  readonly hive = input.required<string>();
  /** The session that it is opened in, from the address. */
  readonly session = input<string | null>(null);
  protected readonly problem = signal<HiveShut | null>(null);

  constructor() {
    effect(() => {
      void this.visits.openHive(this.hive(), this.session()).then((shut) => this.problem.set(shut));
    });
  }

  protected openAnyway(): void {
    this.problem.set(null);
    void this.visits.openUnplanned(this.hive()).then((shut) => this.problem.set(shut));
  }
}
