import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import type { PlanJob } from '@brave-comb/contract';
import { scaleLinear } from 'd3-scale';
import { area, curveStepAfter, line } from 'd3-shape';

const [WIDTH, HEIGHT] = [290, 62];

/** How near the best possible the plan is, and how the two came together. */
@Component({
  selector: 'bc-plan-course',
  template: `
    <p class="gap">{{ words() }}</p>
    <p class="quiet">{{ below() }}</p>
    @if (paths(); as drawn) {
      <svg [attr.viewBox]="'0 0 290 62'" width="290" height="62" aria-hidden="true">
        <path [attr.d]="drawn.between" class="between" />
        <path [attr.d]="drawn.bound" class="bound" />
        <path [attr.d]="drawn.best" class="best" />
      </svg>
      <p class="quiet figures" i18n>
        {{ drawn.points }}<br />
        {{ job()?.seconds }} of {{ job()?.limit }} s
      </p>
    }
  `,
  styles: `
    .gap {
      margin: 0;
      font: 700 25px/1.1 var(--display);
    }
    svg {
      display: block;
      max-width: 100%;
    }
    .between {
      fill: var(--spruce-100);
    }
    .bound {
      fill: none;
      stroke: var(--ink-2);
      stroke-dasharray: 4 3;
    }
    .best {
      fill: none;
      stroke: var(--spruce);
      stroke-width: 2.2;
    }
    .figures {
      text-align: right;
    }
  `,
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class PlanCourse {
  readonly job = input<PlanJob | null>(null);
  /** Worth of the plan on the board when it is not the best that was found. */
  readonly shown = input<number | null>(null);

  private readonly gap = computed(() => {
    const job = this.job();
    const last = job?.course.at(-1);
    if (!last || last.bound === null || last.bound <= 0) return null;
    return Math.max(0, (last.bound - last.objective) / last.bound);
  });
  protected readonly words = computed(() => {
    const gap = this.gap();
    const shown = this.shown();
    if (shown !== null) return $localize`${shown.toFixed(1)} points`;
    if (gap !== null)
      return gap < 0.0005 ? $localize`Best plan found (proven)` : $localize`Within ${(100 * gap).toFixed(1)} %`;
    const status = this.job()?.status;
    return status === 'waiting' || status === 'running' ? $localize`Planning …` : $localize`Not planned yet`;
  });
  protected readonly below = computed(() => {
    const gap = this.gap();
    const [shown, best] = [this.shown(), this.job()?.course.at(-1)?.objective ?? null];
    if (shown !== null && best !== null)
      return $localize`the plan on the board; the best found has ${best.toFixed(1)}${gap !== null && gap < 0.0005 ? $localize`, proven` : ''}`;
    if (gap === null) return '';
    return gap < 0.0005 ? $localize`proven best` : $localize`of the best possible`;
  });

  protected readonly paths = computed(() => {
    const job = this.job();
    const course = (job?.course ?? []).flatMap((point) =>
      point.bound === null ? [] : [{ ...point, bound: point.bound }],
    );
    const last = course.at(-1);
    if (!job || !last) return null;
    const low = Math.min(...course.map(({ objective }) => objective));
    const high = Math.max(last.bound, ...course.slice(-20).map(({ bound }) => bound));
    const x = scaleLinear([0, Math.max(0.5, last.at)], [0, WIDTH]);
    const y = scaleLinear([low, Math.max(high, low + 1)], [HEIGHT - 4, 4]).clamp(true);
    type Point = (typeof course)[number];
    const at = (point: Point) => x(point.at);
    return {
      best: line<Point>(at, ({ objective }) => y(objective)).curve(curveStepAfter)(course),
      bound: line<Point>(at, ({ bound }) => y(bound)).curve(curveStepAfter)(course),
      between: area<Point>(
        at,
        ({ objective }) => y(objective),
        ({ bound }) => y(bound),
      ).curve(curveStepAfter)(course),
      points: $localize`${last.objective.toFixed(1)} of at most ${last.bound.toFixed(1)} points`,
    };
  });
}
