import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import { MatTooltip } from '@angular/material/tooltip';
import type { GroupSheet } from '@brave-comb/contract';
import { BOXES, FRAMES } from '@brave-comb/core/equipment';
import { BoxMap } from '../inspection/box-map';
import { CombPortrait } from '../inspection/comb-portrait';

const USUAL_RATIO = 0.56;

/** The nest as the last visit left it: from above, and the two sides that told most. */
@Component({
  selector: 'bc-last-nest',
  imports: [BoxMap, CombPortrait, MatTooltip],
  template: `
    <bc-box-map
      [frames]="frames()"
      [width]="176"
      [height]="64"
      numbers="few"
      [ringed]="ringed()"
      [matTooltip]="says"
      name="Hive {{ card().hive.number }} last time, from above"
      i18n-name
    />
    <div class="portraits">
      @for (portrait of portraits(); track portrait.key) {
        <figure>
          <bc-comb-portrait
            [side]="portrait.side"
            [width]="72"
            [ratio]="ratio()"
            [seed]="portrait.seed"
            name="Frame {{ portrait.name }}"
            i18n-name
            [queenMark]="card().queenMark"
          />
          <figcaption>{{ portrait.name }}</figcaption>
        </figure>
      }
    </div>
  `,
  styles: `
    .portraits {
      display: grid;
      grid-template-columns: 1fr 1fr;
      gap: 10px;
      margin-top: 5px;
    }
    figcaption {
      color: var(--ink-2);
      font-size: 12px;
      text-align: center;
    }
  `,
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class LastNest {
  readonly card = input.required<GroupSheet>();

  protected readonly says = $localize`The nest from above, as the last visit read it. Ringed frames are the two sides below.`;
  protected readonly frames = computed(() => this.card().lastTime?.frames ?? []);
  private readonly telling = computed(() => this.card().lastTime?.telling ?? []);
  protected readonly ratio = computed(() => {
    const box = this.card().stack.find(({ layer }) => layer.kind === 'box')?.layer;
    const kind = box?.kind === 'box' ? FRAMES[BOXES[box.box].frame] : null;
    return kind ? kind.height / kind.width : USUAL_RATIO;
  });
  protected readonly ringed = computed(() => this.telling().map(({ frame }) => frame));
  protected readonly portraits = computed(() =>
    this.telling().map(({ frame, face }) => ({
      key: `${frame}${face}`,
      side: this.frames()[frame - 1]?.[face] ?? null,
      seed: frame * 2 + (face === 'low' ? 0 : 1),
      name: $localize`${frame}, toward ${face === 'low' ? frame - 1 : frame + 1}`,
    })),
  );
}
