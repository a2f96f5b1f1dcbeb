import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import type { ObjectiveParts } from '@brave-comb/core/planning';
import { skillName } from './plan-names';
import { pointsText } from './plan-row';
import type { Answers } from './plan-thoughts';

const LABELS: Readonly<Record<keyof ObjectiveParts, string>> = {
  session: $localize`Weather`,
  skill: $localize`Skills`,
  fairness: $localize`Fairness`,
  care: $localize`Care`,
  late: $localize`Lateness`,
  shortfall: $localize`Session held`,
  disturb: $localize`Disturbance`,
  staffVisit: $localize`Staff effort`,
  change: $localize`Change`,
};
const SMALL = 0.05;
/** Patterns are found by their id, so each drawing has its own. */
let drawn = 0;

/** What one opening adds to the plan, part by part, as small bars. */
@Component({
  selector: 'bc-plan-why',
  template: `
    <ul>
      @for (part of parts(); track part.name) {
        <li>
          <span class="name">{{ part.name }}</span>
          <svg width="110" height="10" aria-hidden="true">
            <line x1="40" x2="40" y1="0" y2="10" stroke="var(--ink-3)" />
            <rect
              [attr.x]="part.value < 0 ? 40 - part.width : 40"
              y="1"
              [attr.width]="part.width"
              height="8"
              [attr.fill]="part.value < 0 ? 'url(#' + pattern + ')' : 'var(--spruce)'"
            />
            <defs>
              <pattern
                [attr.id]="pattern"
                width="5"
                height="5"
                patternUnits="userSpaceOnUse"
                patternTransform="rotate(45)"
              >
                <rect width="5" height="5" fill="var(--rust-100)" />
                <rect width="2.5" height="5" fill="var(--rust)" />
              </pattern>
            </defs>
          </svg>
          <b [class.cost]="part.value < 0">{{ signed(part.value) }}</b>
          @if (part.note) {
            <small>{{ part.note }}</small>
          }
        </li>
      }
    </ul>
  `,
  styles: `
    ul {
      margin: 0;
      padding: 0;
      list-style: none;
      font-size: var(--t-dense);
    }
    li {
      display: grid;
      grid-template-columns: 92px 110px auto;
      gap: 0 8px;
      align-items: center;
      padding: 3px 0;
      border-top: 1px solid var(--line-2);
    }
    small {
      grid-column: 1 / -1;
      color: var(--ink-2);
      font-size: var(--t-note);
    }
    .cost {
      color: var(--rust-text);
    }
  `,
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class PlanWhy {
  readonly why = input.required<Answers['why']>();
  readonly skillNames = input<readonly { readonly id: string; readonly name: string }[]>([]);

  protected readonly pattern = `plan-cost-${(drawn += 1)}`;

  protected readonly parts = computed(() => {
    const { marginal, skills } = this.why();
    const shown = (Object.entries(marginal.parts) as [keyof ObjectiveParts, number][]).filter(
      ([, value]) => Math.abs(value) >= SMALL,
    );
    const widest = Math.max(1, ...shown.map(([, value]) => Math.abs(value)));
    return shown
      .sort(([, a], [, b]) => b - a)
      .map(([part, value]) => ({
        name: LABELS[part],
        value,
        width: (Math.abs(value) / widest) * (value < 0 ? 38 : 66),
        note:
          part === 'skill'
            ? skills
                .slice(0, 3)
                .map(({ skill, points }) => `${skillName(skill, this.skillNames())} ${points.toFixed(1)}`)
                .join(', ')
            : '',
      }));
  });

  protected readonly signed = pointsText;
}
