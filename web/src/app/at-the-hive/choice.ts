import { ChangeDetectionStrategy, Component, computed, input, output } from '@angular/core';
import { type NameSet, namesOf } from '../language/words';
import { SaidPipe } from '../language/said';
import { type Text } from '@brave-comb/core/language';
import { MatButton } from '@angular/material/button';

/** One of a few, as buttons large enough for gloves. */
@Component({
  selector: 'bc-choice',
  imports: [MatButton, SaidPipe],
  template: `
    <fieldset>
      <legend>{{ legend() }}</legend>
      <div class="row">
        @for (option of options(); track option) {
          <button
            type="button"
            matButton="outlined"
            [class.sel]="option === value()"
            [attr.aria-pressed]="option === value()"
            (click)="chosen.emit(option)"
          >
            {{ words()[option] ?? named()[option] ?? option | said }}
          </button>
        }
      </div>
    </fieldset>
  `,
  styleUrl: './hive-parts.scss',
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class Choice<T extends string> {
  readonly legend = input.required<string>();
  readonly options = input.required<readonly T[]>();
  readonly value = input<T | null | undefined>(null);
  /** The set that the options are ids of. */
  readonly of = input<NameSet | null>(null);
  /** What to write instead of the option itself. */
  readonly words = input<Readonly<Partial<Record<string, Text>>>>({});
  readonly chosen = output<T>();
  protected readonly named = computed<Readonly<Partial<Record<string, string>>>>(() => {
    const set = this.of();
    return set === null ? {} : namesOf(set);
  });
}
