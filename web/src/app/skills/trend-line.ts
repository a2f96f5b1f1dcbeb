import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import { scaleLinear } from 'd3-scale';
import { line } from 'd3-shape';

const [WIDTH, HEIGHT, EDGE] = [110, 26, 4];

export interface TrendPoint {
  /** ISO instant. */
  readonly at: string;
  readonly value: number;
}

/** How a figure went from day to day, with a line at nought. */
@Component({
  selector: 'bc-trend-line',
  template: `
    @if (shape(); as drawn) {
      <svg [attr.viewBox]="'0 0 ' + width + ' ' + height" role="img" [attr.aria-label]="says()">
        <line x1="0" [attr.x2]="width" [attr.y1]="drawn.zero" [attr.y2]="drawn.zero" />
        <path [attr.d]="drawn.path" />
        <circle r="3" [attr.cx]="drawn.last.x" [attr.cy]="drawn.last.y" />
      </svg>
    } @else {
      <span class="quiet" i18n>one day</span>
    }
  `,
  styles: `
    svg {
      display: block;
      width: 110px;
    }
    line {
      stroke: var(--line);
    }
    path {
      fill: none;
      stroke: var(--heather);
      stroke-width: 2;
    }
    circle {
      fill: var(--heather);
    }
    .quiet {
      color: var(--ink-2);
    }
  `,
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class TrendLine {
  readonly points = input.required<readonly TrendPoint[]>();
  /** Largest value that fits, either way. */
  readonly reach = input.required<number>();
  /** Smallest value: nought for figures that have no sign. */
  readonly least = input<number | null>(null);
  protected readonly width = WIDTH;
  protected readonly height = HEIGHT;

  protected readonly shape = computed(() => {
    const points = this.points();
    const [first, last] = [points[0], points.at(-1)];
    if (!first || !last || points.length < 2) return null;
    const x = scaleLinear([Date.parse(first.at), Date.parse(last.at)], [EDGE, WIDTH - EDGE]);
    const y = scaleLinear([this.least() ?? -this.reach(), this.reach()], [HEIGHT - EDGE, EDGE]).clamp(true);
    const path = line<TrendPoint>(
      ({ at }) => x(Date.parse(at)),
      ({ value }) => y(value),
    )(points);
    return { path, zero: y(0), last: { x: x(Date.parse(last.at)), y: y(last.value) } };
  });
  protected readonly says = computed(() => {
    const points = this.points();
    return $localize`From ${points[0]?.value.toFixed(1) ?? ''} to ${points.at(-1)?.value.toFixed(1) ?? ''} over ${points.length} days`;
  });
}
