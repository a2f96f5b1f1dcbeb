import { ChangeDetectionStrategy, Component, effect, inject, input, signal } from '@angular/core';
import { RouterLink } from '@angular/router';
import { PreparedVisits } from './prepared-visits';

/** Where the printed label of a hive leads: straight into its visit. */
@Component({
  selector: 'bc-hive-door',
  imports: [RouterLink],
  template: `
    <main class="sheet">
      @if (problem(); as words) {
        <h1>This hive cannot be opened here</h1>
        <p role="alert">{{ words }}</p>
        <p><a routerLink="/ahead">To the day sheet</a></p>
      } @else {
        <h1 role="status">Opening the visit …</h1>
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
  protected readonly problem = signal<string | null>(null);

  constructor() {
    effect(() => {
      void this.visits.openHive(this.hive()).then((words) => this.problem.set(words));
    });
  }
}
