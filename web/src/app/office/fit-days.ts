import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import type { TriedPractice } from '@brave-comb/contract';
import { scaleLinear } from 'd3-scale';
import { shortDate } from '../ui/format';

const [WIDTH, HEIGHT, FOOT] = [320, 96, 16];
/** Room at both sides for the day below the outer bars. */
const SIDE = 12;

/** Fit hours of each coming day, before and after a change: what stays is filled, what is lost or won is an outline. */
@Component({
  selector: 'bc-fit-days',
  template: `
    <svg [attr.viewBox]="box" role="img" [attr.aria-label]="says()">
      @for (bar of bars(); track bar.date) {
        <rect
          class="before"
          [attr.x]="bar.x"
          [attr.width]="bar.width"
          [attr.y]="bar.before"
          [attr.height]="bar.foot - bar.before"
        />
        <rect
          class="after"
          [attr.x]="bar.x"
          [attr.width]="bar.width"
          [attr.y]="bar.after"
          [attr.height]="bar.foot - bar.after"
        />
        @if (bar.told) {
          <text [attr.x]="bar.x + bar.width / 2" [attr.y]="height - 3">{{ bar.day }}</text>
        }
      }
    </svg>
  `,
  styles: `
    svg {
      display: block;
      width: 100%;
    }
    .before {
      fill: none;
      stroke: var(--ink-2);
    }
    .after {
      fill: var(--spruce);
    }
    text {
      fill: var(--ink-2);
      font-size: 12px;
      text-anchor: middle;
    }
  `,
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class FitDays {
  readonly days = input.required<TriedPractice['sites'][number]['days']>();
  protected readonly box = `0 0 ${WIDTH} ${HEIGHT}`;
  protected readonly height = HEIGHT;
  protected readonly bars = computed(() => {
    const days = this.days();
    const most = Math.max(4, ...days.flatMap(({ before, after }) => [before, after]));
    const y = scaleLinear([0, most], [HEIGHT - FOOT, 2]);
    const step = (WIDTH - 2 * SIDE) / Math.max(1, days.length);
    return days.map(({ date, before, after }, at) => ({
      date,
      day: shortDate(date),
      told: at % 4 === 0,
      x: SIDE + at * step + 3,
      width: step - 6,
      foot: HEIGHT - FOOT,
      before: y(before),
      after: y(after),
    }));
  });
  protected readonly says = computed(() =>
    this.days()
      .filter(({ before, after }) => Math.abs(before - after) >= 0.05)
      .map(
        ({ date, before, after }) =>
          $localize`${shortDate(date)}\: ${before.toFixed(1)} hours become ${after.toFixed(1)}`,
      )
      .join('; '),
  );
}
