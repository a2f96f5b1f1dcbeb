import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import type { YardRound } from '@brave-comb/contract';
import { FLIGHT_LANE } from '@brave-comb/core/site';
import { extent } from 'd3-array';
import { scaleLinear } from 'd3-scale';
import { arc, line } from 'd3-shape';

const SIZE = 360;
const EDGE = 44;
const HALF = (FLIGHT_LANE.halfAngle * Math.PI) / 180;

/** A site from above with its hives, their flight lanes and the way from stop to stop, walked behind the entrances. North is up. */
@Component({
  selector: 'bc-round-map',
  template: `
    <svg [attr.viewBox]="'0 0 ' + size + ' ' + drawn().height" role="img" [attr.aria-label]="label()">
      @for (hive of drawn().hives; track hive.number) {
        <g [attr.transform]="'translate(' + hive.x + ' ' + hive.y + ') rotate(' + hive.faces + ')'">
          <path [attr.d]="lane" class="lane" />
          <rect x="-10" y="-10" width="20" height="20" class="hive" [class.idle]="hive.stop === null" />
          <path d="M-5-10h10" class="door" />
        </g>
        <text [attr.x]="hive.x" [attr.y]="hive.y + 4.5" text-anchor="middle">{{ hive.number }}</text>
      }
      <path [attr.d]="drawn().way" class="way" />
      @for (hive of drawn().hives; track hive.number) {
        @if (hive.stop !== null) {
          <circle [attr.cx]="hive.backX" [attr.cy]="hive.backY" r="9" class="stop" />
          <text [attr.x]="hive.backX" [attr.y]="hive.backY + 4" text-anchor="middle" class="light">
            {{ hive.stop }}
          </text>
        }
      }
      <path d="M16 30v-16m-4 5 4-5 4 5" class="north" />
      <text x="22" y="22" i18n="North, in one letter">N</text>
    </svg>
  `,
  styles: `
    svg {
      display: block;
      width: 100%;
      border: 1px solid var(--line-2);
      background: var(--ground);
    }
    text {
      font: 700 12px var(--font);
      fill: var(--ink);
    }
    .light {
      fill: var(--sheet);
    }
    .lane {
      fill: var(--sky-100);
    }
    .hive {
      fill: var(--sheet);
      stroke: var(--ink);
      stroke-width: 1.4;
    }
    .idle {
      fill: var(--line-2);
    }
    .door {
      stroke: var(--rust);
      stroke-width: 3;
    }
    .way {
      fill: none;
      stroke: var(--heather);
      stroke-width: 2.4;
    }
    .stop {
      fill: var(--heather);
    }
    .north {
      fill: none;
      stroke: var(--ink-2);
    }
  `,
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class RoundMap {
  readonly colonies = input.required<YardRound['colonies']>();
  /** Hives in the order of the walk. */
  readonly stops = input.required<readonly string[]>();
  protected readonly size = SIZE;
  protected readonly lane = arc()({ innerRadius: 12, outerRadius: 44, startAngle: -HALF, endAngle: HALF }) ?? '';

  protected readonly drawn = computed(() => {
    const placed = this.colonies().flatMap(({ place, ...each }) => (place ? [{ ...each, place }] : []));
    const [west = 0, east = 0] = extent(placed, ({ place }) => place.east);
    const [south = 0, north = 0] = extent(placed, ({ place }) => place.north);
    const metre = Math.min(
      (SIZE - 2 * EDGE) / Math.max(4, east - west),
      (SIZE - 2 * EDGE) / Math.max(4, north - south),
    );
    const height = Math.max(120, (north - south) * metre + 2 * EDGE);
    const x = scaleLinear([west, east === west ? west + 1 : east], [EDGE, EDGE + Math.max(1, east - west) * metre]);
    const y = scaleLinear([north, north === south ? north + 1 : south], [EDGE, height - EDGE]);
    const hives = placed.map(({ hive, number, place }) => {
      const at = this.stops().indexOf(hive);
      const back = ((place.faces + 180) * Math.PI) / 180;
      const [cx, cy] = [x(place.east), y(place.north)];
      return {
        number,
        hive,
        faces: place.faces,
        x: cx,
        y: cy,
        backX: cx + Math.sin(back) * 24,
        backY: cy - Math.cos(back) * 24,
        stop: at < 0 ? null : at + 1,
      };
    });
    const walked = this.stops().flatMap((hive) => hives.find((each) => each.hive === hive) ?? []);
    return {
      hives,
      height,
      way: line<(typeof hives)[number]>(
        (each) => each.backX,
        (each) => each.backY,
      )(walked),
    };
  });

  protected readonly label = computed(() => {
    const numbers = this.stops().map((hive) => this.colonies().find((each) => each.hive === hive)?.number ?? '?');
    return numbers.length === 0
      ? $localize`The hives of the site; nothing to walk to`
      : $localize`The walk, behind the entrances\: hive ${numbers.join(', ')}`;
  });
}
