import { figure } from '../language/units';
import { named } from '../language/words';
import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import type { DayVerdict } from '@brave-comb/contract';
import { scaleLinear } from 'd3-scale';
import { area, curveMonotoneX, line } from 'd3-shape';
import { hourOf, timeOf } from '../ui/format';

const WIDTH = 350;
const CHART = 60;
const BAND = 65;
const HEIGHT = 97;
const LIKELY = 0.7;

/** The hours of the day: warmth with its range, rain from above, how deep one may open, the session, and the hour it turns. */
@Component({
  selector: 'bc-hours-chart',
  template: `
    <svg [attr.viewBox]="'-24 -12 ' + (width + 30) + ' ' + (height + 14)" role="img" [attr.aria-label]="label()">
      <rect
        [attr.x]="session().x"
        y="0"
        [attr.width]="session().width"
        [attr.height]="chart"
        fill="var(--heather-100)"
      />
      <rect [attr.x]="session().x" y="-4" [attr.width]="session().width" height="4" rx="2" fill="var(--heather)" />
      <text
        [attr.x]="session().x + session().width / 2"
        [attr.y]="band - 5"
        text-anchor="middle"
        font-size="12"
        font-weight="700"
        style="fill: var(--heather)"
        i18n
      >
        session
      </text>
      @for (degree of degrees(); track degree.value) {
        <path [attr.d]="'M0 ' + degree.y + 'H' + width" stroke="var(--line)" stroke-dasharray="2 3" />
        <text x="-4" [attr.y]="degree.y + 4" text-anchor="end" font-size="12" style="fill: var(--ink-2)">
          {{ degree.name }}°
        </text>
      }
      @for (hour of hours(); track hour.at) {
        @if (hour.maybeRain > hour.rain) {
          <rect
            [attr.x]="hour.x"
            y="0"
            [attr.width]="hour.width"
            [attr.height]="hour.maybeRain"
            fill="url(#hatch-rain)"
          />
        }
        @if (hour.rain > 0) {
          <rect
            [attr.x]="hour.x"
            y="0"
            [attr.width]="hour.width"
            [attr.height]="hour.rain"
            fill="var(--sky)"
            fill-opacity=".8"
          />
        }
      }
      <path [attr.d]="warmth().spread" fill="var(--ink)" fill-opacity=".14" />
      <path [attr.d]="warmth().middle" fill="none" stroke="var(--ink)" stroke-width="2" />
      @if (turn(); as at) {
        <path [attr.d]="'M' + at.x + ' -2V' + (band + 16)" stroke="var(--rust)" stroke-width="2" />
        <path
          [attr.d]="'M' + at.from + ' 2H' + at.to + 'm0-3v6M' + at.from + ' -1v6'"
          stroke="var(--rust)"
          stroke-width="1.5"
          fill="none"
        />
        <text
          [attr.x]="at.textX"
          y="-6"
          [attr.text-anchor]="at.anchor"
          font-size="12"
          font-weight="700"
          style="fill: var(--rust-text)"
        >
          {{ at.text }}
        </text>
      }
      @for (piece of bands(); track piece.x) {
        <rect [attr.x]="piece.x" [attr.y]="band" [attr.width]="piece.width" height="16" [attr.fill]="piece.fill" />
        @if (piece.text) {
          <text
            [attr.x]="piece.x + piece.width / 2"
            [attr.y]="band + 12"
            text-anchor="middle"
            font-size="12"
            font-weight="650"
            [style.fill]="piece.ink"
          >
            {{ piece.text }}
          </text>
        }
      }
      @for (hour of hours(); track hour.at) {
        <text [attr.x]="hour.x" [attr.y]="band + 30" text-anchor="middle" font-size="12" style="fill: var(--ink-2)">
          {{ hour.name }}
        </text>
      }
    </svg>
  `,
  styles: `
    :host,
    svg {
      display: block;
      width: 100%;
      overflow: visible;
    }
  `,
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class HoursChart {
  readonly verdict = input.required<DayVerdict>();
  readonly zone = input.required<string>();
  readonly startsAt = input.required<string>();
  readonly endsAt = input.required<string>();

  protected readonly width = WIDTH;
  protected readonly chart = CHART;
  protected readonly band = BAND;
  protected readonly height = HEIGHT;

  private readonly x = computed(() => {
    const hours = this.verdict().hours;
    const first = Date.parse(hours[0]?.at ?? this.startsAt());
    return scaleLinear([first, first + Math.max(1, hours.length) * 3_600_000], [0, WIDTH]).clamp(true);
  });
  private readonly y = computed(() => {
    const all = this.verdict().hours.flatMap((hour) => [...hour.temperature]);
    return scaleLinear([Math.min(8, ...all), Math.max(20, ...all)], [CHART - 4, 10]);
  });

  protected readonly session = computed(() => {
    const x = this.x();
    const from = x(Date.parse(this.startsAt()));
    return { x: from, width: Math.max(0, x(Date.parse(this.endsAt())) - from) };
  });
  protected readonly degrees = computed(() =>
    [10, 15].map((value) => ({ value, name: figure('temperature', value), y: this.y()(value) })),
  );
  protected readonly hours = computed(() => {
    const x = this.x();
    const rain = scaleLinear([0, 4], [0, CHART]).clamp(true);
    return this.verdict().hours.map((hour) => {
      const at = Date.parse(hour.at);
      return {
        at: hour.at,
        name: hourOf(hour.at, this.zone()),
        x: x(at),
        width: x(at + 3_600_000) - x(at) - 0.5,
        rain: rain(hour.rain[0]),
        maybeRain: rain(hour.rain[1]),
      };
    });
  });
  protected readonly warmth = computed(() => {
    const hours = this.verdict().hours;
    const x = (hour: (typeof hours)[number]) => this.x()(Date.parse(hour.at) + 1_800_000);
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
  protected readonly turn = computed(() => {
    const turn = this.verdict().turn;
    if (!turn) return null;
    const x = this.x();
    const at = Date.parse(turn.at);
    const middle = x(at);
    const right = middle < WIDTH * 0.6;
    return {
      x: middle,
      from: x(at - turn.giveOrTake * 60_000),
      to: x(at + turn.giveOrTake * 60_000),
      text: $localize`turns ${timeOf(turn.at, this.zone())}, ± ${turn.giveOrTake} min`,
      textX: right ? Math.max(middle - 4, this.session().x + this.session().width + 4) : WIDTH,
      anchor: right ? 'start' : 'end',
    };
  });
  /** Stretches of hours with the same depth, sure from seven in ten on, hatched where it may be. */
  protected readonly bands = computed(() => {
    const kind = ({ chance }: DayVerdict['hours'][number]) =>
      chance.full >= LIKELY
        ? 'full'
        : chance.full >= 0.3
          ? 'may-be'
          : chance['one-frame'] >= LIKELY
            ? 'one-frame'
            : chance.lid >= LIKELY
              ? 'lid'
              : 'shut';
    const fills = {
      full: 'var(--spruce)',
      'may-be': 'url(#hatch-may-be)',
      'one-frame': 'var(--spruce-300)',
      lid: 'var(--spruce-200)',
      shut: 'var(--line-2)',
    };
    const names = {
      full: named('depth', 'full'),
      'may-be': '',
      'one-frame': named('depth', 'one-frame'),
      lid: named('depth', 'lid'),
      shut: $localize`closed`,
    };
    const pieces: { kind: keyof typeof fills; from: number; to: number }[] = [];
    for (const hour of this.verdict().hours) {
      const at = Date.parse(hour.at);
      const last = pieces.at(-1);
      if (last?.kind === kind(hour)) last.to = at + 3_600_000;
      else pieces.push({ kind: kind(hour), from: at, to: at + 3_600_000 });
    }
    const x = this.x();
    return pieces.map((piece) => {
      const width = x(piece.to) - x(piece.from) - 1;
      const text = names[piece.kind];
      return {
        x: x(piece.from),
        width,
        fill: fills[piece.kind],
        ink:
          piece.kind === 'full'
            ? 'var(--on-spruce)'
            : piece.kind === 'one-frame'
              ? 'var(--paper-spruce)'
              : 'var(--ink)',
        text: width > text.length * 5.6 ? text : '',
      };
    });
  });
  protected readonly label = computed(
    () =>
      $localize`Hours of the day: ` +
      this.verdict()
        .hours.map(
          (hour) =>
            $localize`${timeOf(hour.at, this.zone())} ${figure('temperature', hour.temperature[1], 0)} degrees, full inspection ${Math.round(hour.chance.full * 10)} in 10`,
        )
        .join('; '),
  );
}
