import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import { scaleLinear } from 'd3-scale';

interface Estimate {
  readonly value: number;
  readonly low: number;
  readonly high: number;
}

/** Two figures with their whiskers on one axis: open mark last time, filled mark now. */
@Component({
  selector: 'bc-range-row',
  template: `
    <svg viewBox="0 0 136 20" aria-hidden="true">
      <path d="M0 17h136M.5 14v5M68 15v4M135.5 14v5" stroke="var(--line)" fill="none" />
      @if (drawn().last; as last) {
        <path [attr.d]="'M' + last.low + ' 5H' + last.high" stroke="var(--ink-2)" stroke-width="1.5" />
        <circle [attr.cx]="last.value" cy="5" r="4" fill="var(--sheet)" stroke="var(--ink-2)" stroke-width="1.8" />
      }
      @if (drawn().now; as now) {
        <path [attr.d]="'M' + now.low + ' 12H' + now.high" stroke="var(--spruce)" stroke-width="4" />
        <circle [attr.cx]="now.value" cy="12" r="4.5" fill="var(--spruce-800)" />
      }
    </svg>
  `,
  styles: `
    :host,
    svg {
      display: block;
      width: 136px;
    }
  `,
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class RangeRow {
  readonly last = input.required<Estimate | null>();
  readonly now = input.required<Estimate | null>();

  protected readonly drawn = computed(() => {
    const most = Math.max(1, this.last()?.high ?? 0, this.now()?.high ?? 0) * 1.15;
    const x = scaleLinear([0, most], [5, 131]);
    const place = (each: Estimate | null) => each && { value: x(each.value), low: x(each.low), high: x(each.high) };
    return { last: place(this.last()), now: place(this.now()) };
  });
}
