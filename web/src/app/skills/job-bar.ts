import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import type { Job } from '@brave-comb/core/inspection';

const SAYS: Readonly<Record<Job, string>> = {
  smoke: $localize`smoke`,
  frames: $localize`holds`,
  record: $localize`writes`,
  clock: $localize`clock`,
  watch: $localize`watches`,
};
const FRAME = 20;

/** Who did what at which frame: holding filled, other roles outlined and worded, watching dotted. */
@Component({
  selector: 'bc-job-bar',
  template: `
    <svg
      [attr.viewBox]="'0 0 ' + width() + ' 18'"
      [attr.width]="width()"
      height="18"
      role="img"
      [attr.aria-label]="says()"
    >
      @for (span of spans(); track span.from) {
        @if (span.role === 'watch') {
          <path
            [attr.d]="'M' + (span.x + 3) + ' 9H' + (span.x + span.width - 3)"
            stroke="var(--ink-3)"
            stroke-width="1.4"
            stroke-dasharray="1.5 3.5"
            stroke-linecap="round"
          />
        } @else {
          <rect
            [attr.x]="span.x"
            y="1.5"
            [attr.width]="span.width"
            height="15"
            rx="2"
            [attr.fill]="span.role === 'frames' ? 'var(--spruce)' : 'var(--sheet)'"
            [attr.stroke]="span.role === 'frames' ? 'var(--spruce)' : 'var(--ink-3)'"
          />
          @if (span.role === 'frames') {
            <path
              [attr.d]="'M' + (span.x - 1) + ' 1.5h' + (span.width + 2)"
              stroke="var(--spruce-800)"
              stroke-width="3"
            />
          }
          <text
            [attr.x]="span.x + span.width / 2"
            y="13.2"
            text-anchor="middle"
            font-size="12"
            [attr.font-weight]="span.role === 'frames' ? 700 : 500"
            [style.fill]="span.role === 'frames' ? 'var(--on-spruce)' : 'var(--ink)'"
          >
            {{ span.width > 34 ? span.word : span.word[0]?.toUpperCase() }}
          </text>
        }
      }
    </svg>
  `,
  styles: `
    :host {
      display: block;
    }
    svg {
      display: block;
      max-width: 100%;
    }
  `,
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class JobBar {
  readonly roles = input.required<readonly (Job | null)[]>();
  protected readonly width = computed(() => this.roles().length * FRAME);
  protected readonly spans = computed(() => {
    const roles = this.roles();
    return roles.flatMap((role, from) => {
      if (role === null || roles[from - 1] === role) return [];
      const end = roles.findIndex((each, index) => index > from && each !== role);
      const to = end < 0 ? roles.length : end;
      return [{ role, from, to, word: SAYS[role], x: from * FRAME + 1, width: (to - from) * FRAME - 2 }];
    });
  });
  protected readonly says = computed(() => {
    const spans = this.spans();
    return spans.length === 0
      ? $localize`No frame was lifted`
      : spans
          .map(
            ({ word, from, to }) =>
              `${word} ${to - from === 1 ? $localize`frame ${to}` : $localize`frames ${from + 1} to ${to}`}`,
          )
          .join(', ');
  });
}
