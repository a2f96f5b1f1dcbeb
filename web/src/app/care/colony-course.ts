import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import type { ColonyLine } from '@brave-comb/contract';
import { max } from 'd3-array';
import { scaleLinear } from 'd3-scale';
import { area, line } from 'd3-shape';
import { decimal } from '../ui/format';

const WIDTH = 96;
const HEIGHT = 30;

/** Bees as a line over brood as a ground, at the last visits. */
@Component({
  selector: 'bc-colony-course',
  template: `
    <svg [attr.viewBox]="'0 0 ' + width + ' ' + height" role="img" [attr.aria-label]="label()">
      <path d="M0 29.5H96" stroke="var(--line)" />
      <path [attr.d]="drawn().brood" fill="var(--comb-sealed-fine)" />
      <path [attr.d]="drawn().bees" fill="none" stroke="var(--spruce)" stroke-width="1.8" />
      @for (dot of drawn().dots; track dot.x; let last = $last) {
        <circle [attr.cx]="dot.x" [attr.cy]="dot.y" [attr.r]="last ? 3 : 1.8" fill="var(--spruce)" />
      }
    </svg>
  `,
  styles: `
    svg {
      display: block;
      width: 96px;
      height: 30px;
      overflow: visible;
    }
  `,
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class ColonyCourse {
  readonly course = input.required<ColonyLine['course']>();
  /** Frames that the height stands for. */
  readonly most = input(14);
  protected readonly width = WIDTH;
  protected readonly height = HEIGHT;

  protected readonly drawn = computed(() => {
    const course = this.course();
    const last = course.at(-1);
    const first = course[0];
    if (!first || !last) return { bees: null, brood: null, dots: [] };
    const to = Date.parse(last.date);
    const x = scaleLinear([Math.min(Date.parse(first.date), to - 1), to], [2, WIDTH - 4]);
    const y = scaleLinear([0, Math.max(this.most(), max(course, ({ bees }) => bees ?? 0) ?? 0)], [HEIGHT - 1, 3]);
    const at = ({ date }: (typeof course)[number]) => x(Date.parse(date));
    const counted = course.flatMap((each) => (each.bees === null ? [] : [{ ...each, bees: each.bees }]));
    return {
      brood: area<(typeof course)[number]>(at, y(0), ({ brood }) => y(brood))([...course]),
      bees: line<(typeof counted)[number]>(at, ({ bees }) => y(bees))(counted),
      dots: counted.map((each) => ({ x: at(each), y: y(each.bees) })),
    };
  });

  protected readonly label = computed(() => {
    const [first, last] = [this.course()[0], this.course().at(-1)];
    if (!first || !last) return $localize`No comb read yet`;
    return $localize`Bees from ${this.told(first.bees)} to ${this.told(last.bees)} frames, brood from ${this.told(first.brood)} to ${this.told(last.brood)}, over ${this.course().length} visits`;
  });
  private readonly told = (frames: number | null) => (frames === null ? $localize`not counted` : decimal(frames, 1));
}
