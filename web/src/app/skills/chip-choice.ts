import { ChangeDetectionStrategy, Component, input, output } from '@angular/core';
import { MatChipListbox, MatChipOption } from '@angular/material/chips';

/** Some of several, each on or off. */
@Component({
  selector: 'bc-chip-choice',
  imports: [MatChipListbox, MatChipOption],
  template: `
    <p>{{ says() }}</p>
    <mat-chip-listbox multiple [disabled]="fixed()" [attr.aria-label]="legend()">
      @for (each of options(); track each) {
        <mat-chip-option [selected]="on().includes(each)" (selectionChange)="$event.isUserInput && toggled.emit(each)">
          {{ names()[each] }}
        </mat-chip-option>
      }
    </mat-chip-listbox>
  `,
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class ChipChoice<T extends string> {
  readonly legend = input.required<string>();
  readonly says = input.required<string>();
  readonly options = input.required<readonly T[]>();
  /** What each is called. */
  readonly names = input.required<Readonly<Record<T, string>>>();
  readonly on = input.required<readonly T[]>();
  /** Whether it can only be read. */
  readonly fixed = input(false);
  readonly toggled = output<T>();
}
