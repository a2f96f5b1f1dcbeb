import { UnitName, figure } from '../language/units';
import { named } from '../language/words';
import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import type { DayPage } from '@brave-comb/contract';
import { scaleLinear } from 'd3-scale';
import { area, curveMonotoneX, line } from 'd3-shape';
import { hourOf } from '../ui/format';

const WIDTH = 1180;
const LEFT = 190;
const TOP = 14;
const WARMTH = 92;
const DEPTH_ROWS = [
  ['full', 'var(--spruce)'],
  ['one-frame', 'var(--spruce-600)'],
  ['lid', 'var(--spruce-300)'],
  ['outside', 'var(--spruce-200)'],
] as const;
const ROW = 17;
const HOUR = 3_600_000;

/** The hours of one day: warmth, gusts and rain with their ranges, and the odds for each depth as filled cells. */
@Component({
  selector: 'bc-day-hours',
  imports: [UnitName],
  template: `
    <div class="scroll" tabindex="0" role="group" aria-label="Hours of the day, as a chart" i18n-aria-label>
      <svg [attr.viewBox]="'0 0 ' + width + ' ' + height()" role="img" [attr.aria-label]="label()">
        <text x="0" [attr.y]="top + 12" class="strong" i18n>Shade, {{ 'temperature' | unit }}</text>
        <text x="0" [attr.y]="top + 27" i18n>grey: 8 in 10 fall</text>
        <text x="0" [attr.y]="top + 40" i18n>within; bars: rain,</text>
        <text x="0" [attr.y]="top + 53" i18n>hatched: may be</text>
        @for (degree of degrees(); track degree.value) {
          <path [attr.d]="'M' + left + ' ' + degree.y + 'H' + width" stroke="var(--line)" stroke-dasharray="2 3" />
          <text [attr.x]="left - 6" [attr.y]="degree.y + 4" text-anchor="end">{{ degree.name }}</text>
        }
        @for (hour of hours(); track hour.at) {
          <rect
            [attr.x]="hour.x"
            [attr.y]="top"
            [attr.width]="hour.width"
            [attr.height]="hour.maybe"
            fill="url(#hatch-rain)"
          />
          <rect
            [attr.x]="hour.x"
            [attr.y]="top"
            [attr.width]="hour.width"
            [attr.height]="hour.rain"
            fill="var(--sky)"
          />
          <text [attr.x]="hour.x" [attr.y]="height() - 2" [attr.text-anchor]="'middle'">{{ hour.name }}</text>
          <text [attr.x]="hour.x + hour.width / 2" [attr.y]="gustY" text-anchor="middle" [class.warn]="hour.windy">
            {{ hour.gust }}
          </text>
          <text [attr.x]="hour.x + hour.width / 2" [attr.y]="gustY + 16" text-anchor="middle">{{ hour.brood }}</text>
          @for (cell of hour.cells; track cell.depth) {
            <rect
              [attr.x]="hour.x + 1"
              [attr.y]="cell.y + (row - 3) * (1 - cell.chance)"
              [attr.width]="hour.width - 2"
              [attr.height]="(row - 3) * cell.chance"
              [attr.fill]="cell.fill"
            />
          }
        }
        <path [attr.d]="warmth().spread" fill="var(--ink)" fill-opacity=".14" />
        <path [attr.d]="warmth().middle" fill="none" stroke="var(--ink)" stroke-width="2" />
        <text x="0" [attr.y]="gustY" class="strong" i18n>Gusts, {{ 'speed' | unit }}</text>
        <text x="0" [attr.y]="gustY + 16" class="strong" i18n>Max. minutes brood may be out</text>
        @for (depth of depths; track depth.name) {
          <text x="0" [attr.y]="depth.y + 12" class="strong">{{ depth.name }}</text>
          <path [attr.d]="'M' + left + ' ' + (depth.y + row - 2) + 'H' + width" stroke="var(--line-2)" />
        }
        @if (sun(); as at) {
          <path [attr.d]="at.d" stroke="var(--rust)" stroke-dasharray="4 3" fill="none" />
          <text [attr.x]="at.x" y="10" text-anchor="middle" i18n>sun’s noon</text>
        }
      </svg>
    </div>
  `,
  styles: `
    .scroll {
      overflow-x: auto;
    }
    svg {
      display: block;
      width: 100%;
      min-width: 760px;
    }
    text {
      font-size: 12px;
      fill: var(--ink-2);
    }
    .strong {
      font-weight: 650;
      fill: var(--ink);
    }
    .warn {
      font-weight: 700;
      fill: var(--rust-text);
    }
  `,
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class DayHours {
  readonly day = input.required<DayPage>();
  protected readonly width = WIDTH;
  protected readonly left = LEFT;
  protected readonly top = TOP;
  protected readonly row = ROW;
  protected readonly gustY = TOP + WARMTH + 16;
  private readonly depthTop = TOP + WARMTH + 42;
  protected readonly depths = DEPTH_ROWS.map(([depth], index) => ({
    depth,
    name: named('depth', depth),
    y: this.depthTop + index * ROW,
  }));
  protected readonly height = computed(() => this.depthTop + DEPTH_ROWS.length * ROW + 18);

  private readonly x = computed(() => {
    const hours = this.day().hours;
    const first = Date.parse(hours[0]?.at ?? this.day().sun.noon);
    return scaleLinear([first, first + Math.max(1, hours.length) * HOUR], [LEFT, WIDTH - 8]);
  });
  private readonly y = computed(() => {
    const all = this.day().hours.flatMap((hour) => [...hour.temperature]);
    return scaleLinear([Math.min(5, ...all), Math.max(20, ...all)], [TOP + WARMTH - 4, TOP + 6]);
  });
  protected readonly degrees = computed(() =>
    this.y()
      .ticks(4)
      .map((value) => ({ value, name: figure('temperature', value, 0), y: this.y()(value) })),
  );
  protected readonly hours = computed(() => {
    const x = this.x();
    const rain = scaleLinear([0, 4], [0, WARMTH]).clamp(true);
    const { zone } = this.day().site;
    const limit = this.day().limits.full.gust;
    return this.day().hours.map((hour) => {
      const at = Date.parse(hour.at);
      return {
        at: hour.at,
        x: x(at),
        width: x(at + HOUR) - x(at),
        name: hourOf(at, zone),
        rain: rain(hour.rain[0]),
        maybe: rain(hour.rain[1]),
        gust: figure('speed', hour.gust[1], 0),
        windy: hour.gust[1] > limit,
        brood: hour.broodMinutes > 0 ? hour.broodMinutes : '–',
        cells: DEPTH_ROWS.map(([depth, fill], index) => ({
          depth,
          fill,
          chance: hour.chance[depth],
          y: this.depthTop + index * ROW,
        })),
      };
    });
  });
  protected readonly warmth = computed(() => {
    const hours = this.day().hours;
    const x = (hour: (typeof hours)[number]) => this.x()(Date.parse(hour.at) + HOUR / 2);
    const y = this.y();
    return {
      middle: line<(typeof hours)[number]>(x, (hour) => y(hour.temperature[1])).curve(curveMonotoneX)(hours) ?? '',
      spread:
        area<(typeof hours)[number]>(
          x,
          (hour) => y(hour.temperature[0]),
          (hour) => y(hour.temperature[2]),
        ).curve(curveMonotoneX)(hours) ?? '',
    };
  });
  protected readonly sun = computed(() => {
    const at = this.x()(Date.parse(this.day().sun.noon));
    return at > LEFT && at < WIDTH ? { x: at, d: `M${at} ${TOP}V${TOP + WARMTH}` } : null;
  });
  protected readonly label = computed(
    () =>
      $localize`Hour by hour: ${this.day()
        .spans.map((span) => span.words)
        .join('. ')}`,
  );
}
