import { ChangeDetectionStrategy, Component, computed, input, output } from '@angular/core';
import { type Quantity, roundTo } from '@brave-comb/core/units';
import { keptFigure, typedFigure } from '../language/units';
import { FIELD } from '../parts/field';
import { MatButton } from '@angular/material/button';

/** A number to be stepped or typed; empty while nobody counted. */
@Component({
  selector: 'bc-count',
  imports: [MatButton, FIELD],
  template: `
    <div class="count" role="group" [attr.aria-label]="legend()">
      <span>{{ legend() }}</span>
      <button type="button" matButton="outlined" ariaLabel="{{ legend() }}, less" i18n-ariaLabel (click)="by(-1)">
        −
      </button>
      <mat-form-field
        ><input
          matInput
          #field
          type="number"
          inputmode="decimal"
          [attr.aria-label]="legend()"
          [min]="shownLeast()"
          [max]="shownMost()"
          [step]="step()"
          [value]="shown() ?? ''"
          (change)="typed(field.value)"
      /></mat-form-field>
      <button type="button" matButton="outlined" ariaLabel="{{ legend() }}, more" i18n-ariaLabel (click)="by(1)">
        +
      </button>
    </div>
  `,
  styleUrl: './hive-parts.scss',
  styles: `
    .count {
      display: grid;
      grid-template-columns: 1fr auto 84px auto;
      gap: 6px;
      align-items: center;
      font-weight: 650;
    }
  `,
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class Count {
  readonly legend = input.required<string>();
  readonly value = input.required<number | null>();
  readonly step = input(1);
  readonly least = input(0);
  readonly most = input(999);
  /** What is measured, where it is: value and limits are in the core's unit, what is shown, typed and stepped in the reader's. */
  readonly quantity = input<Quantity | null>(null);
  readonly counted = output<number | null>();

  protected readonly shown = computed(() => this.inUnit(this.value()));
  protected readonly shownLeast = computed(() => this.inUnit(this.least()) ?? 0);
  protected readonly shownMost = computed(() => this.inUnit(this.most()) ?? 0);

  private readonly start = computed(() => this.shown() ?? this.shownLeast());

  protected by(steps: number): void {
    const first = this.shown() === null && steps > 0;
    this.keep(first ? this.shownLeast() + this.step() : this.start() + steps * this.step());
  }

  protected typed(text: string): void {
    if (text.trim() === '' || !Number.isFinite(Number(text))) this.counted.emit(null);
    else this.keep(Number(text));
  }

  private inUnit(value: number | null): number | null {
    const of = this.quantity();
    return of === null || value === null ? value : Number(typedFigure(of, value));
  }

  private keep(shown: number): void {
    const of = this.quantity();
    const value = of === null ? shown : (keptFigure(of, `${shown}`) ?? this.least());
    const held = Math.min(this.most(), Math.max(this.least(), value));
    this.counted.emit(roundTo(held, of === null ? 2 : 4));
  }
}
