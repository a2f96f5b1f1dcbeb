import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import type { PhaseSpan } from '@brave-comb/contract';
import type { Skill } from '@brave-comb/core/skills';
import { addDays } from '@brave-comb/core/units';
import { scaleLinear } from 'd3-scale';
import { utcTicks } from 'd3-time';
import { dateText, monthOf } from '../ui/format';

/** When a skill can be shown within the year of the place, with today's line; the large one with its months. */
@Component({
  selector: 'bc-skill-season',
  template: `
    <div class="year" role="img" [attr.aria-label]="says()" [class.large]="large()">
      @for (bar of bars(); track bar.left) {
        <i class="bar" [style.left.%]="bar.left" [style.width.%]="bar.width"></i>
      }
      @for (mark of marks(); track mark.at) {
        <i class="offer" [style.left.%]="mark.left"></i>
      }
      @if (now() !== null) {
        <i class="now" [style.left.%]="now()"></i>
      }
      @if (large()) {
        @for (month of months(); track month.left) {
          <small [style.left.%]="month.left">{{ month.name }}</small>
        }
      }
    </div>
  `,
  styles: `
    .year {
      position: relative;
      height: 12px;
    }
    .year::before {
      position: absolute;
      top: 50%;
      width: 100%;
      border-top: 1px solid var(--line);
      content: '';
    }
    i {
      position: absolute;
    }
    .bar {
      top: 3px;
      height: 6px;
      background: var(--spruce-300);
    }
    .now {
      top: 0;
      width: 2px;
      height: 100%;
      background: var(--heather);
    }
    .large {
      height: 54px;
    }
    .large::before {
      top: 13px;
    }
    .large .bar {
      top: 4px;
      height: 18px;
    }
    .large .now {
      height: 36px;
    }
    .offer {
      top: 25px;
      width: 5px;
      height: 9px;
      border: 2px solid var(--spruce);
      border-top-width: 4px;
    }
    small {
      position: absolute;
      bottom: 0;
      color: var(--ink-2);
      font-size: var(--t-note);
    }
  `,
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class SkillSeason {
  readonly season = input.required<Skill['season']>();
  readonly phases = input.required<readonly PhaseSpan[]>();
  readonly today = input.required<string>();
  readonly large = input(false);
  /** Days on which planned sessions offer it. */
  readonly offers = input<readonly string[]>([]);

  private readonly place = computed(() => {
    const phases = this.phases();
    const first = phases.reduce((min, { from }) => (from < min ? from : min), phases[0]?.from ?? this.today());
    const last = phases.reduce((max, { to }) => (to > max ? to : max), phases[0]?.to ?? this.today());
    return scaleLinear([Date.parse(first), Date.parse(addDays(last, 1))], [0, 100]).clamp(true);
  });
  private readonly spans = computed(() => {
    const season = this.season();
    const all = this.phases();
    return (season === null ? all : all.filter(({ phase }) => season.includes(phase))).toSorted((a, b) =>
      a.from.localeCompare(b.from),
    );
  });
  protected readonly bars = computed(() => {
    const place = this.place();
    return this.spans().map(({ from, to }) => {
      const left = place(Date.parse(from));
      return { left, width: place(Date.parse(addDays(to, 1))) - left };
    });
  });
  protected readonly marks = computed(() =>
    [...new Set(this.offers())].map((at) => ({ at, left: this.place()(Date.parse(at)) })),
  );
  protected readonly now = computed(() => (this.phases().length === 0 ? null : this.place()(Date.parse(this.today()))));
  protected readonly months = computed(() => {
    const place = this.place();
    const [first = 0, last = 0] = place.domain();
    return utcTicks(new Date(first), new Date(last), 6).map((at) => ({
      left: place(+at),
      name: monthOf(at.toISOString().slice(0, 10)),
    }));
  });
  protected readonly says = computed(() => {
    const spans = this.spans();
    if (this.season() === null) return $localize`Can be shown at any opening.`;
    if (spans.length === 0) return $localize`Cannot be shown this year.`;
    return $localize`Can be shown ${spans.map(({ from, to }) => $localize`${dateText(from)} to ${dateText(to)}`).join(', ')}.`;
  });
}
