import { ChangeDetectionStrategy, Component, input, output } from '@angular/core';

/** Some of several, each on or off. */
@Component({
  selector: 'bc-chip-choice',
  template: `
    <div role="group" [attr.aria-label]="legend()">
      <p>{{ says() }}</p>
      <p class="chips">
        @for (each of options(); track each) {
          <button type="button" [attr.aria-pressed]="on().includes(each)" (click)="toggled.emit(each)">
            {{ names()[each] }}
          </button>
        }
      </p>
    </div>
  `,
  styles: `
    .chips {
      display: flex;
      flex-wrap: wrap;
      gap: 6px;
    }
    button {
      min-height: 28px;
      padding: 2px 9px;
      border: 1px solid var(--ink-3);
      border-radius: 5px;
      background: var(--sheet);
      font-size: var(--t-dense);
      cursor: pointer;
    }
    button[aria-pressed='true'] {
      border-color: var(--spruce);
      background: var(--spruce-100);
      font-weight: 700;
    }
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
  readonly toggled = output<T>();
}
