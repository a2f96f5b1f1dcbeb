import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import type { GroupSheet } from '@brave-comb/contract';
import { FLIGHT_LANE } from '@brave-comb/core/site';
import { MatTooltip } from '@angular/material/tooltip';
import { arc } from 'd3-shape';

const [SIZE, METRE] = [168, 22];
const LETTER = { frames: 'F', smoke: 'S', record: 'R', clock: 'C', watch: 'W' } as const;
const HALF = (FLIGHT_LANE.halfAngle * Math.PI) / 180;

/** A hive from above with the flight lanes and a mark for each person. North is up. */
@Component({
  selector: 'bc-standing-map',
  imports: [MatTooltip],
  template: `
    <svg
      [matTooltip]="letters"
      [attr.viewBox]="view"
      [attr.width]="size()"
      [attr.height]="size()"
      role="img"
      [attr.aria-label]="name()"
    >
      @for (hive of hives(); track hive.number) {
        <g [attr.transform]="'translate(' + hive.x + ' ' + hive.y + ') rotate(' + hive.faces + ')'">
          <path [attr.d]="lane" class="lane" />
          <rect x="-5.5" y="-5.5" width="11" height="11" [class.here]="hive.here" class="hive" />
          <path d="M-3-5.5h6" class="door" />
        </g>
        <text [attr.x]="hive.x" [attr.y]="hive.y + 3.5" text-anchor="middle" [class.light]="hive.here">
          {{ hive.number }}
        </text>
      }
      @for (mark of marks(); track $index) {
        <circle [attr.cx]="mark.x" [attr.cy]="mark.y" r="5.2" class="mark" />
        <text [attr.x]="mark.x" [attr.y]="mark.y + 3" text-anchor="middle" class="light">{{ mark.letter }}</text>
      }
      <path d="M-76-64v-12m-3 4 3-4 3 4" class="north" />
      <text x="-70" y="-70" i18n="North, in one letter">N</text>
    </svg>
  `,
  styles: `
    svg {
      display: block;
      max-width: 100%;
      border: 1px solid var(--line-2);
      background: var(--ground);
    }
    text {
      font: 600 12px var(--font);
      fill: var(--ink);
    }
    .light {
      fill: var(--sheet);
    }
    .lane {
      fill: var(--sky-100);
      stroke: var(--sky);
      stroke-dasharray: 2 2;
      stroke-width: 0.7;
    }
    .hive {
      fill: var(--sheet);
      stroke: var(--ink-2);
    }
    .here {
      fill: var(--spruce);
    }
    .door {
      stroke: var(--rust);
      stroke-width: 2;
    }
    .mark {
      fill: var(--heather);
    }
    .north {
      fill: none;
      stroke: var(--ink-2);
    }
  `,
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class StandingMap {
  readonly standing = input.required<NonNullable<GroupSheet['standing']>>();
  readonly number = input.required<string>();
  readonly size = input(132);

  protected readonly letters = $localize`F holds frames, S smoke, R record, C clock, W watch; dashed: the bees’ flight lane`;
  protected readonly view = `${-SIZE / 2} ${-SIZE / 2} ${SIZE} ${SIZE}`;
  protected readonly lane =
    arc()({ innerRadius: 0, outerRadius: FLIGHT_LANE.metres * METRE, startAngle: -HALF, endAngle: HALF }) ?? '';
  protected readonly name = computed(
    () => $localize`Where to stand at hive ${this.number()}\: ${this.standing().says.join(' ')}`,
  );
  protected readonly hives = computed(() => {
    const { faces, neighbours } = this.standing();
    const placed = neighbours.map((each) => ({ ...each, x: each.x * METRE, y: -each.y * METRE, here: false }));
    return [...placed, { number: this.number(), x: 0, y: 0, faces, here: true }];
  });
  protected readonly marks = computed(() =>
    this.standing().marks.map(({ role, x, y }) => ({ x: x * METRE, y: -y * METRE, letter: LETTER[role] })),
  );
}
