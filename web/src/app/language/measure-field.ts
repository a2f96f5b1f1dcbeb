import { Directive, ElementRef, effect, inject, input } from '@angular/core';
import { type ControlValueAccessor, NG_VALUE_ACCESSOR } from '@angular/forms';
import type { Quantity } from '@brave-comb/core/units';
import { keptFigure, typedFigure } from './units';

/** A number of a form that is shown and typed in the reader's unit, and kept in the core's: `bcMeasure="weight" [least]="0.1" [most]="40"`. */
@Directive({
  selector: 'input[bcMeasure]',
  providers: [{ provide: NG_VALUE_ACCESSOR, useExisting: MeasureField, multi: true }],
  host: { type: 'number', step: 'any', '(input)': 'typed()', '(blur)': 'touched()' },
})
export class MeasureField implements ControlValueAccessor {
  readonly bcMeasure = input.required<Quantity>();
  /** Least and most that may be kept, in the core's unit. */
  readonly least = input<number>();
  readonly most = input<number>();
  private readonly field = inject<ElementRef<HTMLInputElement>>(ElementRef).nativeElement;
  private changed: (value: number | null) => void = () => undefined;
  protected touched: () => void = () => undefined;

  constructor() {
    effect(() => {
      this.field.min = `${typedFigure(this.bcMeasure(), this.least())}`;
      this.field.max = `${typedFigure(this.bcMeasure(), this.most())}`;
    });
  }

  writeValue(value: number | null): void {
    this.field.value = `${typedFigure(this.bcMeasure(), value)}`;
  }

  registerOnChange(changed: (value: number | null) => void): void {
    this.changed = changed;
  }

  registerOnTouched(touched: () => void): void {
    this.touched = touched;
  }

  setDisabledState(disabled: boolean): void {
    this.field.disabled = disabled;
  }

  protected typed(): void {
    this.changed(keptFigure(this.bcMeasure(), this.field.value));
  }
}
