import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import { MatTooltip } from '@angular/material/tooltip';
import type { DayVerdict } from '@brave-comb/contract';
import { scaleLinear } from 'd3-scale';

export type Gauge = DayVerdict['gauges'][number];

const SCALES: Readonly<Record<Gauge['id'], readonly [number, number]>> = {
  warmth: [5, 25],
  gusts: [0, 60],
  dry: [0, 480],
  light: [0, 480],
  group: [0, 14],
};

/** A reason as a gauge: green part fit, line the limit, bar the range, round mark inside the limit, square madder mark outside it. */
@Component({
  selector: 'bc-gauge-bar',
  imports: [MatTooltip],
  template: `
    <svg [matTooltip]="says" viewBox="0 0 92 14" aria-hidden="true">
      <rect y="5" width="92" height="4" fill="var(--line)" />
      <rect
        [attr.x]="drawn().fitFrom"
        y="5"
        [attr.width]="drawn().fitTo - drawn().fitFrom"
        height="4"
        fill="var(--spruce-300)"
      />
      <rect
        [attr.x]="drawn().low"
        y="4"
        [attr.width]="drawn().spread"
        height="6"
        [attr.fill]="
          drawn().outside ? 'url(#hatch-madder)' : gauge().state === 'tight' ? 'url(#hatch-rust)' : 'var(--spruce)'
        "
      />
      <path [attr.d]="'M' + drawn().limit + ' 0v14'" stroke="var(--ink)" stroke-width="2" />
      @if (drawn().outside) {
        <rect [attr.x]="drawn().middle - 4" y="3" width="8" height="8" fill="var(--madder)" />
      } @else {
        <circle [attr.cx]="drawn().middle" cy="7" r="4" fill="var(--spruce-800)" />
      }
    </svg>
  `,
  styles: `
    :host,
    svg {
      display: block;
      width: 92px;
    }
  `,
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class GaugeBar {
  protected readonly says = $localize`Green is fit, the line is the limit, the bar the range forecast, the mark what is likeliest.`;
  readonly gauge = input.required<Gauge>();

  protected readonly drawn = computed(() => {
    const { id, value, limit, sense, state } = this.gauge();
    const x = scaleLinear([...SCALES[id]], [0, 92]).clamp(true);
    return {
      limit: x(limit),
      fitFrom: sense === 'at-least' ? x(limit) : 0,
      fitTo: sense === 'at-least' ? 92 : x(limit),
      low: x(value[0]),
      spread: Math.max(1.5, x(value[2]) - x(value[0])),
      middle: Math.min(88, Math.max(4, x(value[1]))),
      outside: state === 'outside',
    };
  });
}
