import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { Clock } from '../people/clock';

/** The colony's year where winter is in January, in months; the other half of the earth is half a year on. Common practice. */
const SPANS = [
  { name: $localize`build-up`, from: 2, to: 4, fill: 'var(--spruce-200)' },
  { name: $localize`swarms`, from: 4, to: 5.7, fill: 'var(--heather-100)' },
  { name: $localize`flow`, from: 5.7, to: 7.5, fill: 'var(--sky-100)' },
  { name: $localize`winter bees`, from: 7.5, to: 10, fill: 'var(--rust-200)' },
  { name: $localize`winter`, from: 10, to: 14, fill: 'var(--strip-past)' },
] as const;
const [MONTHS, HALF] = [12, 6];
/** Least share of a year that has room for its name, per cent. */
const ROOM = 9;

/** A year of a colony on one half of the earth, with today in it. */
@Component({
  selector: 'bc-year-bar',
  template: `
    <span class="bar" aria-hidden="true">
      @for (span of spans(); track span.from) {
        <i [style.left.%]="span.left" [style.width.%]="span.width" [style.background]="span.fill">{{ span.name }}</i>
      }
      <b [style.left.%]="today()"></b>
    </span>
    <span class="months" aria-hidden="true">
      @for (month of months; track $index) {
        <i>{{ month }}</i>
      }
    </span>
  `,
  styles: `
    :host {
      display: block;
    }
    i {
      font-style: normal;
    }
    .bar {
      position: relative;
      display: block;
      height: 24px;
      overflow: hidden;
      border: 1px solid var(--line-row);
    }
    .bar i {
      position: absolute;
      top: 0;
      bottom: 0;
      overflow: hidden;
      border-left: 1px solid var(--line-row);
      color: var(--ink);
      font-size: 12px;
      line-height: 22px;
      text-align: center;
      white-space: nowrap;
    }
    .bar b {
      position: absolute;
      top: 0;
      bottom: 0;
      width: 3px;
      background: var(--heather);
    }
    .months {
      display: flex;
      color: var(--ink-2);
      font-size: 12px;
    }
    .months i {
      flex: 1;
      text-align: center;
    }
  `,
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class YearBar {
  readonly south = input.required<boolean>();
  private readonly clock = inject(Clock);
  protected readonly months = Array.from({ length: MONTHS }, (_, month) =>
    new Date(Date.UTC(2026, month, 15)).toLocaleDateString($localize.locale ?? 'en', {
      month: 'narrow',
      timeZone: 'UTC',
    }),
  );
  protected readonly spans = computed(() =>
    SPANS.flatMap((span) => {
      const from = (span.from + (this.south() ? HALF : 0)) % MONTHS;
      const to = from + span.to - span.from;
      const pieces =
        to > MONTHS
          ? [
              { from, to: MONTHS },
              { from: 0, to: to - MONTHS },
            ]
          : [{ from, to }];
      return pieces.map((piece) => {
        const width = (100 * (piece.to - piece.from)) / MONTHS;
        return {
          ...piece,
          left: (100 * piece.from) / MONTHS,
          width,
          fill: span.fill,
          name: width < ROOM ? '' : span.name,
        };
      });
    }),
  );
  protected readonly today = computed(() => {
    const now = new Date(this.clock.now());
    return (100 * (now.getUTCMonth() + now.getUTCDate() / 31)) / MONTHS;
  });
}
