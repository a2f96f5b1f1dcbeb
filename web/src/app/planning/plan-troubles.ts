import type { Text } from '@brave-comb/core/language';
import { ChangeDetectionStrategy, Component, computed, input, output } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { type Trouble, TROUBLES } from '@brave-comb/core/planning';
import { Named } from '../language/words';

/** What is weak in the plan, by kind; one kind at a time can be looked at. */
@Component({
  selector: 'bc-plan-troubles',
  imports: [MatButton, Named],
  template: `
    <div class="kinds" role="group" aria-label="Problems" i18n-aria-label>
      @for (kind of kinds(); track kind.name) {
        <button
          class="small"
          type="button"
          [matButton]="only() !== kind.name ? 'outlined' : 'filled'"
          [attr.aria-pressed]="only() === kind.name"
          (click)="chosen.emit(only() === kind.name ? null : kind.name)"
        >
          {{ kind.count }} {{ kind.name | named: 'planTrouble' }}
        </button>
      } @empty {
        <span class="quiet" i18n>No problems: every rule kept, every check met, every session likely.</span>
      }
    </div>
    @if (list().length > 0) {
      <ul>
        @for (trouble of list(); track $index) {
          <li>{{ say()(trouble.says) }}</li>
        }
      </ul>
    }
  `,
  styles: `
    .kinds {
      display: flex;
      flex-wrap: wrap;
      gap: 6px;
      align-items: center;
      margin: 0 0 8px;
    }
    .quiet {
      color: var(--ink-2);
    }
    ul {
      margin: 0 0 8px;
      padding: 0;
      list-style: none;
      columns: 300px;
    }
    li {
      padding: 2px 0 2px 8px;
      border-left: 3px solid var(--rust);
    }
  `,
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class PlanTroubles {
  readonly troubles = input.required<readonly Trouble[]>();
  readonly only = input<Trouble['kind'] | null>(null);
  readonly say = input.required<(text: Text) => string>();
  readonly chosen = output<Trouble['kind'] | null>();

  protected readonly kinds = computed(() =>
    TROUBLES.map((name) => ({ name, count: this.troubles().filter(({ kind }) => kind === name).length })).filter(
      ({ count }) => count > 0,
    ),
  );
  protected readonly list = computed(() => this.troubles().filter(({ kind }) => kind === this.only()));
}
