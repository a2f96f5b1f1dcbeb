import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { addDays } from '@brave-comb/core/units';
import { TODAY } from '../parts/today';
import { SCHOOL_ZONE } from '../people/school-zone';
import { civilDate, shortDate } from '../ui/format';

/** The last seven days as small frames: filled where somebody practised. A day without is a gap, never a loss. */
@Component({
  selector: 'bc-practice-week',
  template: `
    <ol aria-label="Days practised in the last seven" i18n-aria-label>
      @for (day of days(); track day.date) {
        <li [class.done]="day.done" [class.today]="day.today">
          <svg viewBox="0 0 28 22" aria-hidden="true">
            <rect x="1" y="1" width="26" height="4" rx="1" class="bar" />
            <path d="M5 5h18v12a3 3 0 0 1-3 3H8a3 3 0 0 1-3-3z" class="comb" />
          </svg>
          <small
            >{{ day.name
            }}<span class="unseen" i18n>{!!day.done, select, true {: practised} other {: not practised}}</span></small
          >
        </li>
      }
    </ol>
    <p>
      <b i18n>{{ count() }} of 7 days</b>
      <small>{{ words() }}</small>
    </p>
  `,
  styleUrl: './practice-week.scss',
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class PracticeWeek {
  /** Moments at which something was practised. */
  readonly at = input.required<readonly string[]>();
  private readonly today = inject(TODAY);
  private readonly zone = inject(SCHOOL_ZONE);

  protected readonly days = computed(() => {
    const [today, zone] = [this.today(), this.zone()];
    const practised = new Set(this.at().map((at) => civilDate(at, zone)));
    return [-6, -5, -4, -3, -2, -1, 0].map((by) => {
      const date = addDays(today, by);
      return {
        date,
        name: by === 0 ? $localize`today` : shortDate(date),
        today: by === 0,
        done: practised.has(date),
      };
    });
  });
  protected readonly count = computed(() => this.days().filter(({ done }) => done).length);
  protected readonly words = computed(() => {
    const [count, today] = [this.count(), this.days().at(-1)!.done];
    if (today) return $localize`today is one of them`;
    return count === 0 ? $localize`today would be the first` : $localize`today would make it ${count + 1}`;
  });
}
