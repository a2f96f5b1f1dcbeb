import { ChangeDetectionStrategy, Component, computed, input, output } from '@angular/core';

/** A number to be stepped or typed; empty while nobody counted. */
@Component({
  selector: 'bc-count',
  template: `
    <div class="count" role="group" [attr.aria-label]="legend()">
      <span>{{ legend() }}</span>
      <button type="button" class="big" ariaLabel="{{ legend() }}, less" i18n-ariaLabel (click)="by(-1)">−</button>
      <input
        #field
        type="number"
        inputmode="decimal"
        [attr.aria-label]="legend()"
        [min]="least()"
        [max]="most()"
        [step]="step()"
        [value]="value() ?? ''"
        (change)="typed(field.value)"
      />
      <button type="button" class="big" ariaLabel="{{ legend() }}, more" i18n-ariaLabel (click)="by(1)">+</button>
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
    input {
      width: 84px;
      text-align: center;
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
  readonly counted = output<number | null>();

  private readonly start = computed(() => this.value() ?? this.least());

  protected by(steps: number): void {
    const first = this.value() === null && steps > 0 ? this.least() + this.step() : this.start() + steps * this.step();
    this.counted.emit(this.held(first));
  }

  protected typed(text: string): void {
    const value = Number(text);
    this.counted.emit(text.trim() === '' || !Number.isFinite(value) ? null : this.held(value));
  }

  private held(value: number): number {
    return Math.round(Math.min(this.most(), Math.max(this.least(), value)) * 100) / 100;
  }
}
