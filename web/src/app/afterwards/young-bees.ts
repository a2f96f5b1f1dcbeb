import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import { scaleBand, scaleLinear } from 'd3-scale';

const [WIDTH, HEIGHT, FOOT] = [250, 74, 14];

/** Young bees due on each of the next three weeks' days, from the stages that were seen. */
@Component({
  selector: 'bc-young-bees',
  template: `
    <svg [attr.viewBox]="'0 0 ' + width + ' ' + height" role="img" [attr.aria-label]="says()">
      @for (bar of bars(); track bar.day) {
        <rect [attr.x]="bar.x" [attr.y]="bar.y" [attr.width]="bar.width" [attr.height]="bar.height" />
      }
      <path [attr.d]="'M0 ' + floor + 'h' + width" />
      @for (mark of marks(); track mark.day) {
        <text [attr.x]="mark.x" [attr.y]="height - 2" text-anchor="middle">{{ mark.day }}</text>
      }
    </svg>
    <p>{{ says() }}</p>
  `,
  styles: `
    svg {
      display: block;
      width: 100%;
      max-width: 300px;
    }
    rect {
      fill: var(--spruce);
    }
    path {
      stroke: var(--ink-2);
    }
    text {
      font: 600 12px var(--font);
      fill: var(--ink-2);
    }
    p {
      font-size: var(--t-dense);
    }
  `,
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class YoungBees {
  /** Bees a day from tomorrow on. */
  readonly days = input.required<readonly number[]>();
  protected readonly width = WIDTH;
  protected readonly height = HEIGHT;
  protected readonly floor = HEIGHT - FOOT;

  private readonly x = computed(() =>
    scaleBand<number>()
      .domain(this.days().map((_, index) => index + 1))
      .range([0, WIDTH])
      .padding(0.2),
  );
  protected readonly bars = computed(() => {
    const y = scaleLinear()
      .domain([0, Math.max(1, ...this.days())])
      .range([this.floor, 4]);
    return this.days().map((bees, index) => ({
      day: index + 1,
      x: this.x()(index + 1) ?? 0,
      y: y(bees),
      width: this.x().bandwidth(),
      height: this.floor - y(bees),
    }));
  });
  protected readonly marks = computed(() =>
    [1, 7, 14, 21].map((day) => ({ day, x: (this.x()(day) ?? 0) + this.x().bandwidth() / 2 })),
  );
  protected readonly says = computed(() => {
    const sum = (from: number, to: number) =>
      Math.round(
        this.days()
          .slice(from, to)
          .reduce((all, bees) => all + bees, 0) / 100,
      ) * 100;
    return $localize`Young bees due: about ${sum(0, 7)} in the first week, ${sum(7, 14)} in the second, ${sum(14, 21)} in the third.`;
  });
}
