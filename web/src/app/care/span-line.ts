import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import { addDays } from '@brave-comb/core/units';
import { scaleTime } from 'd3-scale';
import { dayText } from '../ui/format';

const WIDTH = 150;
const AHEAD = 14;

/** From the first day to the last of something due, against today, with the session in which it may be done. */
@Component({
  selector: 'bc-span-line',
  template: `
    <svg [attr.viewBox]="'0 0 ' + width + ' 16'" role="img" [attr.aria-label]="label()">
      <path [attr.d]="'M0 8H' + width" stroke="var(--line)" />
      @let span = drawn();
      <path [attr.d]="'M' + span.now + ' 2v12'" stroke="var(--heather)" stroke-width="2" />
      <path
        [attr.d]="'M' + span.from + ' 8H' + span.to"
        [attr.stroke]="span.late ? 'var(--rust)' : 'var(--spruce)'"
        stroke-width="3"
      />
      @if (!span.beyond) {
        <path
          [attr.d]="'M' + span.to + ' 3v10'"
          [attr.stroke]="span.late ? 'var(--rust)' : 'var(--spruce)'"
          stroke-width="2.4"
        />
      }
      @if (span.session !== null) {
        <rect
          [attr.x]="span.session - 5"
          y="3"
          width="10"
          height="10"
          fill="var(--sheet)"
          stroke="var(--heather)"
          stroke-width="1.6"
          stroke-dasharray="3 2"
        />
      }
    </svg>
  `,
  styles: `
    svg {
      display: block;
      width: 100%;
      max-width: 150px;
      height: 16px;
    }
  `,
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class SpanLine {
  readonly today = input.required<string>();
  readonly from = input.required<string>();
  readonly by = input.required<string>();
  /** Day of the session that opens the hive next, if one is planned. */
  readonly session = input<string | null>(null);
  protected readonly width = WIDTH;

  protected readonly drawn = computed(() => {
    const today = this.today();
    const at = scaleTime([new Date(addDays(today, -4)), new Date(addDays(today, AHEAD))], [2, WIDTH - 3]).clamp(true);
    const x = (date: string) => at(new Date(date));
    const session = this.session();
    return {
      now: x(today),
      from: Math.min(x(this.from()), x(this.by()) - 3),
      to: x(this.by()),
      late: this.by() < addDays(today, 2),
      beyond: this.by() > addDays(today, AHEAD),
      session: session !== null && session <= addDays(today, AHEAD) ? x(session) : null,
    };
  });
  protected readonly label = computed(() => {
    const session = this.session();
    const span = $localize`${dayText(this.from(), this.today())} to ${dayText(this.by(), this.today())}`;
    return session === null ? span : $localize`${span}, session ${dayText(session, this.today())}`;
  });
}
