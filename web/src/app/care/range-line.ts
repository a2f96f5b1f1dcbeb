import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import { scaleLinear } from 'd3-scale';

const WIDTH = 92;

/** A figure with its range on a short scale, and the limit that it is held against. */
@Component({
  selector: 'bc-range-line',
  template: `
    <svg [attr.viewBox]="'0 0 ' + width + ' 12'" aria-hidden="true">
      <path [attr.d]="'M0 6H' + width" stroke="var(--line)" />
      @let each = drawn();
      <path
        [attr.d]="'M' + each.low + ' 6H' + each.high + 'M' + each.low + ' 2.5v7M' + each.high + ' 2.5v7'"
        [attr.stroke]="each.ink"
        stroke-width="1.8"
      />
      <circle [attr.cx]="each.value" cy="6" r="3.4" [attr.fill]="each.ink" />
      <path [attr.d]="'M' + each.limit + ' 0v12'" stroke="var(--madder)" stroke-width="2" />
    </svg>
  `,
  styles: `
    svg {
      display: block;
      width: 92px;
      height: 12px;
    }
  `,
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class RangeLine {
  readonly range = input.required<{ readonly value: number; readonly low: number; readonly high: number }>();
  readonly limit = input.required<number>();
  /** Figure at the right end of the scale. */
  readonly most = input.required<number>();
  protected readonly width = WIDTH;

  protected readonly drawn = computed(() => {
    const x = scaleLinear([0, this.most()], [3, WIDTH - 3]).clamp(true);
    const { value, low, high } = this.range();
    const ink = value >= this.limit() ? 'var(--madder)' : 'var(--spruce)';
    return { low: x(low), high: x(high), value: x(value), limit: x(this.limit()), ink };
  });
}
