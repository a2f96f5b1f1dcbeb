import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import type { Review } from '@brave-comb/contract';
import { addDays, daysBetween } from '@brave-comb/core/units';
import { scaleLinear } from 'd3-scale';
import { dateText } from '../ui/format';

type Advice = Review['advice'][number]['advice'];

const WIDTH = 320;
const EDGE = 8;
/** Hours from which a hive can be seen to on a day, and with which a day is fit all through. Common practice. */
const FIT_HOURS = 2;
const ALL_DAY = 8;

/** Hours of a day that are fit for an advice: for opening wholly, or for the lid alone. */
export const hoursFor = ({ errand }: Pick<Advice, 'errand'>, day: Review['ahead'][number]): number =>
  errand.opens ? day.full : day.lid;

export const isFit = (advice: Pick<Advice, 'errand'>, day: Review['ahead'][number]): boolean =>
  hoursFor(advice, day) >= FIT_HOURS;

/** When an advice is in time, day by day with the weather, and what it starts on one line of time. */
@Component({
  selector: 'bc-advice-times',
  template: `
    @if (days().length > 0) {
      <ol class="days" aria-label="Days on which it is in time" i18n-aria-label>
        @for (day of days(); track day.date) {
          <li [class.late]="day.late" [class.last]="day.last">
            <span>{{ day.name }}</span>
            <i aria-hidden="true"><b [style.height.%]="day.height"></b></i>
            <span class="unseen" i18n
              >, {day.hours, plural, =0 {no hour fit} =1 {one hour fit} other {{{ day.hours }} hours fit}}</span
            >
          </li>
        }
      </ol>
      <p class="under" i18n>
        {late(), select,
          never {In time on all days shown.}
          none {No day in time has two fit hours.}
          other {Last fit day in time: {{ lastFit() }}.}
        }
      </p>
    }
    <svg [attr.viewBox]="'0 0 ' + width + ' 22'" aria-hidden="true">
      <path [attr.d]="'M0 11H' + width" stroke="var(--line)" />
      @let line = drawn();
      <path [attr.d]="'M' + line.from + ' 11H' + line.by" stroke="var(--heather)" stroke-width="3" />
      <circle [attr.cx]="line.by" cy="11" r="6" fill="var(--heather)" />
      @for (next of line.next; track $index) {
        <path
          [attr.d]="'M' + next.from + ' 11H' + next.due"
          stroke="var(--rust)"
          stroke-width="5"
          stroke-opacity="0.35"
        />
        <circle [attr.cx]="next.due" cy="11" r="6.5" fill="var(--sheet)" stroke="var(--rust)" stroke-width="2" />
        <text [attr.x]="next.due" y="14.5">{{ $index + 1 }}</text>
      }
    </svg>
    <ol class="next">
      @for (next of advice().followUps; track $index) {
        <li>
          <b>{{ dateText(next.due) }}</b> {{ next.question }}
        </li>
      }
    </ol>
  `,
  styleUrl: './advice-times.scss',
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class AdviceTimes {
  readonly advice = input.required<Advice>();
  readonly ahead = input.required<Review['ahead']>();
  protected readonly width = WIDTH;
  protected readonly dateText = dateText;

  protected readonly days = computed(() => {
    const advice = this.advice();
    const { from, by } = advice;
    return this.ahead()
      .filter(({ date }) => date >= from)
      .slice(0, 7)
      .map((day) => ({ date: day.date, hours: Math.round(hoursFor(advice, day)), fit: isFit(advice, day) }))
      .map(({ date, hours, fit }) => ({
        date,
        hours,
        height: Math.min(1, hours / ALL_DAY) * 100,
        fit,
        name: dateText(date).split(' ').slice(0, 2).join(' '),
        late: date > by,
        last: date === by,
      }));
  });
  private readonly fitDay = computed(() => this.days().findLast(({ late, fit }) => !late && fit));
  protected readonly late = computed(() =>
    this.fitDay() === undefined ? 'none' : this.days().every(({ late }) => !late) ? 'never' : 'some',
  );
  protected readonly lastFit = computed(() => dateText(this.fitDay()?.date ?? this.advice().by));

  protected readonly drawn = computed(() => {
    const { from, by, followUps } = this.advice();
    const first = from;
    const end = followUps.reduce((last, { due }) => (due > last ? due : last), addDays(by, 1));
    const x = scaleLinear([0, Math.max(1, daysBetween(first, end))], [EDGE, WIDTH - EDGE]);
    const at = (date: string) => x(daysBetween(first, date));
    return {
      from: at(from),
      by: at(by),
      next: followUps.map((each) => ({ from: at(each.from), due: at(each.due) })),
    };
  });
}
