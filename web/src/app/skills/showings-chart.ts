import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import type { Coverage } from '@brave-comb/contract';
import { addDays } from '@brave-comb/core/units';
import { scaleLinear } from 'd3-scale';
import { curveStepAfter, line } from 'd3-shape';
import { dateText } from '../ui/format';

const [WIDTH, HEIGHT, RIGHT, FOOT, TOP] = [268, 104, 74, 16, 6];

/** Showings that the planned sessions offer, added up, beside what the list in force and the draft ask for. */
@Component({
  selector: 'bc-showings-chart',
  template: `
    <p>{{ says() }}</p>
    @if (path(); as shape) {
      <svg [attr.viewBox]="'0 0 ' + width + ' ' + height" aria-hidden="true">
        <line class="axis" x1="0" [attr.x2]="width - right" [attr.y1]="y()(0)" [attr.y2]="y()(0)" />
        <line class="draft" x1="0" [attr.x2]="width - right" [attr.y1]="y()(draft())" [attr.y2]="y()(draft())" />
        <line class="before" x1="0" [attr.x2]="width - right" [attr.y1]="y()(before())" [attr.y2]="y()(before())" />
        <path [attr.d]="shape" />
        @for (label of labels(); track label.says) {
          <text [attr.x]="width - right + 5" [attr.y]="label.y" [class]="label.kind">{{ label.says }}</text>
        }
        <text x="0" [attr.y]="height - 3">{{ first() }}</text>
        <text text-anchor="end" [attr.x]="width - right" [attr.y]="height - 3">{{ last() }}</text>
      </svg>
    }
  `,
  styles: `
    svg {
      display: block;
      width: 100%;
      max-width: 340px;
      margin-top: 6px;
    }
    path {
      fill: none;
      stroke: var(--spruce);
      stroke-width: 2;
    }
    line {
      stroke-width: 2;
    }
    .axis {
      stroke: var(--line);
    }
    line.draft {
      stroke: var(--heather);
    }
    line.before {
      stroke: var(--heather);
      stroke-dasharray: 2 3;
    }
    text {
      fill: var(--ink-2);
      font-size: 12px;
    }
    text.draft {
      fill: var(--heather-800);
      font-weight: 700;
    }
    text.offered {
      fill: var(--spruce-800);
    }
  `,
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class ShowingsChart {
  readonly offers = input.required<Coverage['skills'][number]['offers']>();
  readonly today = input.required<string>();
  /** Showings still needed, by the list in force and by the draft. */
  readonly before = input.required<number>();
  readonly draft = input.required<number>();
  protected readonly width = WIDTH;
  protected readonly height = HEIGHT;
  protected readonly right = RIGHT;

  /** Showings offered until each day, from none today on. */
  private readonly sum = computed(() => {
    let so = 0;
    return this.offers().map(({ startsAt, showings }) => ({ day: startsAt.slice(0, 10), showings: (so += showings) }));
  });
  private readonly offered = computed(() => Math.round(this.sum().at(-1)?.showings ?? 0));
  private readonly end = computed(() => addDays(this.sum().at(-1)?.day ?? this.today(), 1));
  protected readonly y = computed(() =>
    scaleLinear([0, Math.max(1, this.offered(), this.before(), this.draft())], [HEIGHT - FOOT, TOP]),
  );
  protected readonly path = computed(() => {
    const sum = this.sum();
    if (sum.length === 0) return null;
    const x = scaleLinear([Date.parse(this.today()), Date.parse(this.end())], [0, WIDTH - RIGHT]);
    const steps = [{ day: this.today(), showings: 0 }, ...sum, { day: this.end(), showings: sum.at(-1)!.showings }];
    return line<(typeof steps)[number]>(
      ({ day }) => x(Date.parse(day)),
      ({ showings }) => this.y()(showings),
    ).curve(curveStepAfter)(steps);
  });
  /** Labels at the right, moved apart where they would cover each other. */
  protected readonly labels = computed(() => {
    const [before, draft, offered] = [this.before(), this.draft(), this.offered()];
    const wanted = [
      { kind: 'offered', says: $localize`${offered} offered`, at: offered },
      { kind: 'draft', says: $localize`${draft} asked`, at: draft },
      ...(before === draft ? [] : [{ kind: 'before', says: $localize`${before} now`, at: before }]),
    ].sort((a, b) => b.at - a.at);
    let above = -Infinity;
    return wanted.map(({ kind, says, at }) => ({ kind, says, y: (above = Math.max(this.y()(at) + 4, above + 12)) }));
  });
  protected readonly first = computed(() => dateText(this.today()));
  protected readonly last = computed(() => dateText(this.end()));
  protected readonly says = computed(() => {
    const [before, draft, sum] = [this.before(), this.draft(), this.sum()];
    const asked = $localize`${draft} ${draft === 1 ? $localize`showing is` : $localize`showings are`} still needed${before === draft ? '' : $localize`, ${before} by the published list`}.`;
    if (sum.length === 0) return $localize`${asked} No planned session offers any.`;
    const enough = sum.find(({ showings }) => showings >= draft);
    const till = enough ? $localize`; enough by ${dateText(enough.day)}` : '';
    return $localize`${asked} Sessions planned until ${dateText(sum.at(-1)!.day)} offer about ${this.offered()}${till}.`;
  });
}
