import { named } from '../language/words';
import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import { TOLD_FROM } from '@brave-comb/core/skills';
import { scaleLinear } from 'd3-scale';
import type { Readings } from './agreement-view';

const [WIDTH, NAME, ROW, TOP] = [300, 96, 21, 6];
/** Eighths that the chart reaches to either side. */
const REACH = 3;

/** Bias and limits of agreement by letter: fewer to the left, more to the right, a line at one eighth. */
@Component({
  selector: 'bc-readings-chart',
  template: `
    <svg [attr.viewBox]="'0 0 ' + width + ' ' + height()" role="img" [attr.aria-label]="says()">
      @for (mark of marks; track mark.at) {
        <line
          [attr.x1]="mark.x"
          [attr.x2]="mark.x"
          y1="2"
          [attr.y2]="height() - 18"
          [class.zero]="mark.at === 0"
          class="mark"
        />
      }
      @for (row of rows(); track row.letter) {
        <text x="0" [attr.y]="row.y + 4">{{ row.name }}</text>
        @if (row.from !== null) {
          <line class="limits" [attr.x1]="row.from" [attr.x2]="row.to" [attr.y1]="row.y" [attr.y2]="row.y" />
        }
        <circle [attr.cx]="row.x" [attr.cy]="row.y" r="4.5" [class.few]="row.few" />
      }
      <text class="foot" [attr.x]="name" [attr.y]="height() - 4" i18n>fewer</text>
      <text class="foot" text-anchor="middle" [attr.x]="middle" [attr.y]="height() - 4" i18n>1 eighth a line</text>
      <text class="foot" text-anchor="end" [attr.x]="width" [attr.y]="height() - 4" i18n>more</text>
    </svg>
  `,
  styles: `
    svg {
      display: block;
      width: 100%;
      max-width: 380px;
    }
    text {
      font-size: 12px;
    }
    .foot {
      fill: var(--ink-2);
      font-size: 12px;
    }
    .mark {
      stroke: var(--line);
      stroke-dasharray: 2 3;
    }
    .zero {
      stroke: var(--ink-2);
      stroke-dasharray: none;
    }
    .limits {
      stroke: var(--heather);
      stroke-width: 3;
    }
    circle {
      fill: var(--heather);
      stroke: var(--heather);
      stroke-width: 1.5;
    }
    .few {
      fill: var(--sheet);
    }
  `,
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class ReadingsChart {
  readonly letters = input.required<Readings['letters']>();
  protected readonly width = WIDTH;
  protected readonly name = NAME;
  private readonly x = scaleLinear()
    .domain([-REACH, REACH])
    .range([NAME + 8, WIDTH - 8])
    .clamp(true);
  protected readonly middle = this.x(0);
  protected readonly marks = [-2, -1, 0, 1, 2].map((at) => ({ at, x: this.x(at) }));
  protected readonly height = computed(() => TOP + this.letters().length * ROW + 20);
  protected readonly rows = computed(() =>
    this.letters().map(({ letter, bias, limits, count }, at) => ({
      letter,
      few: count < TOLD_FROM,
      name: named('content', letter),
      y: TOP + at * ROW + ROW / 2,
      x: this.x(bias),
      from: limits && count >= TOLD_FROM ? this.x(limits[0]) : null,
      to: limits && count >= TOLD_FROM ? this.x(limits[1]) : null,
    })),
  );
  protected readonly says = computed(() =>
    this.letters()
      .map(({ letter, bias, count }) =>
        count < TOLD_FROM
          ? $localize`${named('content', letter)} on ${count} ${count === 1 ? $localize`side` : $localize`sides`}, too few to say`
          : Math.abs(bias) < 0.05
            ? $localize`${named('content', letter)} as the supervisor`
            : $localize`${named('content', letter)} ${Math.abs(bias).toFixed(1)} eighths ${bias < 0 ? $localize`fewer` : $localize`more`}`,
      )
      .join(', '),
  );
}
