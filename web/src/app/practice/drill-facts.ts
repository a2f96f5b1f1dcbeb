import { measured } from '../language/units';
import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import { formatSide } from '@brave-comb/core/inspection';
import type { Drill } from '@brave-comb/core/practice';
import { CombPortrait } from '../inspection/comb-portrait';
import { SaidPipe } from '../language/said';

const QUESTION_TEXT = {
  laying: $localize`Is she laying?`,
  'queen-cells': $localize`Are there queen cells?`,
  room: $localize`Have they room?`,
  stores: $localize`Have they food?`,
  health: $localize`Is the brood healthy?`,
  pests: $localize`Are there pests?`,
} as const;
const TEMPER_TEXT = {
  'go-on': $localize`calm on the combs`,
  smoke: $localize`a head-butt or two`,
  pause: $localize`running, at the hands`,
  close: $localize`stinging, following`,
} as const;
const CLOCK_TEXT = {
  'not-open': '',
  well: $localize`in time`,
  'start-closing': $localize`nearly up`,
  'shut-now': 'overdrawn',
  closed: '',
} as const;

/** What is known of the hour, the open hive or the colony that a drill is about. */
@Component({
  selector: 'bc-drill-facts',
  imports: [SaidPipe, CombPortrait],
  template: `
    @if (plain().length > 0) {
      <ul>
        @for (line of plain(); track $index) {
          <li>{{ line | said }}</li>
        }
      </ul>
    }
    <dl>
      @for (line of lines(); track line[0]) {
        <div>
          <dt>{{ line[0] }}</dt>
          <dd>{{ line[1] }}</dd>
        </div>
      }
    </dl>
    @if (frames().length > 0) {
      <h2 i18n>Read so far</h2>
      <ol>
        @for (frame of frames(); track frame.number) {
          <li>
            <b>{{ frame.number }}</b>
            @for (face of frame.faces; track $index) {
              <figure>
                <bc-comb-portrait [side]="face.side" [width]="112" [seed]="frame.number" [name]="face.line" />
                <figcaption>{{ face.line }}</figcaption>
              </figure>
            }
          </li>
        }
      </ol>
    }
  `,
  styles: `
    dl {
      display: grid;
      grid-template-columns: repeat(auto-fill, minmax(220px, 1fr));
      gap: 6px 22px;
    }
    dl div {
      display: flex;
      gap: 10px;
      justify-content: space-between;
      padding: 5px 0;
      border-bottom: 1px solid var(--line-2);
    }
    dt {
      color: var(--ink-2);
    }
    dd {
      font-weight: 700;
      text-align: right;
    }
    h2 {
      margin: 14px 0 6px;
      font-size: 16px;
    }
    ol {
      display: grid;
      grid-template-columns: repeat(auto-fill, minmax(250px, 1fr));
      gap: 10px 16px;
    }
    ol li {
      display: flex;
      gap: 8px;
      align-items: flex-start;
    }
    ul {
      display: grid;
      grid-template-columns: repeat(auto-fill, minmax(260px, 1fr));
      gap: 0 22px;
    }
    ul li {
      padding: 6px 0;
      border-bottom: 1px solid var(--line-2);
      font-size: 16px;
    }
    figcaption {
      max-width: 112px;
      font-size: 12px;
    }
  `,
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class DrillFacts {
  readonly drill = input.required<Drill>();
  protected readonly lines = computed((): readonly (readonly [string, string])[] => {
    const drill = this.drill();
    if (drill.kind === 'weather') {
      const { temperature, gust, rain, cloud, thunder } = drill.weather;
      return [
        [$localize`In the shade`, measured('temperature', temperature, 1)],
        [$localize`Gusts`, measured('speed', gust, 0)],
        [$localize`Rain this hour`, rain === 0 ? $localize`none` : measured('rain', rain, 1)],
        [$localize`Rain in the next`, drill.rainSoon === 0 ? $localize`none` : measured('rain', drill.rainSoon, 1)],
        [
          $localize`Sky`,
          cloud > 0.85 ? $localize`closed` : cloud > 0.4 ? $localize`broken cloud` : $localize`mostly clear`,
        ],
        [$localize`Sun above the horizon`, `${drill.elevation}°`],
        [$localize`Thunder`, thunder > 0 ? $localize`${Math.round(thunder * 10)} in 10` : $localize`none`],
      ];
    }
    if (drill.kind === 'stop') {
      const { facts } = drill;
      return [
        [$localize`Opened to ask`, QUESTION_TEXT[drill.question]],
        [$localize`Bees`, TEMPER_TEXT[facts.temper]],
        [$localize`Open`, $localize`${drill.minutesOpen} of ${drill.minutesAllowed} min, ${CLOCK_TEXT[facts.clock]}`],
        [$localize`Brood frame out`, $localize`${facts.broodOut ?? 0} of ${facts.broodAllowed} min`],
        [$localize`In the shade`, measured('temperature', facts.temperature ?? 0, 0)],
        [
          $localize`Rain`,
          facts.rainIn === null
            ? $localize`none in sight`
            : facts.rainIn <= 0
              ? $localize`it rains`
              : $localize`in ${facts.rainIn} min`,
        ],
        [$localize`Robbers`, facts.robbing ? $localize`fighting over the open hive` : $localize`none`],
        [$localize`Frames in the box`, `${drill.frames}`],
      ];
    }
    return [];
  });
  protected readonly plain = computed(() => {
    const drill = this.drill();
    return drill.kind === 'next' ? drill.lines : [];
  });
  protected readonly frames = computed(() => {
    const drill = this.drill();
    return drill.kind === 'stop'
      ? drill.read.map((faces, index) => ({
          number: index + 1,
          faces: faces.map((side) => ({ side, line: formatSide(side) })),
        }))
      : [];
  });
}
