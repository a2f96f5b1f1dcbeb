import { UnitName, measured } from '../language/units';
import { ChangeDetectionStrategy, Component, computed, inject, output } from '@angular/core';
import { type BoxLayer, BOXES, boxWeight, isBox, supers } from '@brave-comb/core/equipment';
import { BROOD, guardsOf, shows, spacingVerdict } from '@brave-comb/core/inspection';
import { Store } from '@ngrx/store';
import { inspectionFeature } from '../inspection/inspection.feature';
import { VisitDesk } from '../inspection/visit-desk';
import { Choice } from './choice';
import { Count } from './count';
import { named } from '../language/words';
import { SaidPipe } from '../language/said';
import { MatButton } from '@angular/material/button';

const FEELS = ['light', 'half', 'nearly-full', 'full'] as const;
type Feel = (typeof FEELS)[number];
/** Part of a full box's honey that each feel stands for. Common practice. */
const FEEL_SHARE: Readonly<Record<Feel, number>> = { light: 0.1, half: 0.5, 'nearly-full': 0.8, full: 1 };
const feltKg = (layer: BoxLayer, feel: Feel): number =>
  boxWeight(layer, { honeySides: layer.frames * 2 * FEEL_SHARE[feel], nectarSides: 0, broodSides: 0 });

/** Supers one by one: weight first, then a look; brood up here matters. */
@Component({
  selector: 'bc-supers-panel',
  imports: [MatButton, UnitName, SaidPipe, Choice, Count],
  template: `
    @for (box of boxes(); track box.layer.id) {
      <section [attr.aria-label]="box.layer.id">
        <h3>
          {{ box.layer.id }} <small>{{ box.expected }}</small>
        </h3>
        @for (guard of box.guards; track guard.id) {
          <p class="caution">{{ guard.says | said }}</p>
        }
        @if (box.brood) {
          <p class="stop" i18n>
            Brood in {{ box.layer.id }}: is the queen above the excluder? Bees will not leave brood by an escape, and
            drones caught up here cannot get out. Look for her, or look again at the excluder.
          </p>
        }
        @if (!box.spacing.ok) {
          <p class="caution">{{ box.spacing.says | said }}</p>
        }
        <div class="row">
          <button
            type="button"
            matButton="outlined"
            [class.sel]="box.off"
            [attr.aria-pressed]="box.off"
            (click)="toggle(box.layer)"
            i18n
          >
            {!!box.off, select, true {is off, upright on a stand} other {Lift it off}}
          </button>
          <button type="button" matButton="outlined" (click)="framesOf.emit(box.layer)" i18n>Look at its frames</button>
          <button
            type="button"
            matButton="outlined"
            [class.some]="box.tipped"
            [disabled]="box.tipped"
            (click)="desk.enter({ kind: 'box-tipped', box: box.layer.id })"
            i18n
          >
            {!!box.tipped, select, true {was on its side: respace} other {It was on its side}}
          </button>
        </div>
        <bc-choice
          legend="By lifting it"
          i18n-legend
          of="superFeel"
          [options]="feels"
          [value]="box.feel"
          (chosen)="feel(box.layer, $event)"
        />
        <bc-count
          legend="On the scale, {{ 'weight' | unit }}"
          i18n-legend
          quantity="weight"
          [value]="box.kg"
          [most]="80"
          (counted)="weigh(box.layer, $event)"
        />
      </section>
    } @empty {
      <p i18n>No super on this hive.</p>
    }
  `,
  styleUrl: './hive-parts.scss',
  styles: `
    :host,
    section {
      display: grid;
      gap: 9px;
      align-content: start;
    }
    section {
      padding-bottom: 10px;
      border-bottom: 2px solid var(--line);
    }
    small {
      font: 400 15px var(--font);
    }
  `,
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class SupersPanel {
  private readonly store = inject(Store);
  protected readonly desk = inject(VisitDesk);
  readonly framesOf = output<BoxLayer>();
  private readonly stack = this.store.selectSignal(inspectionFeature.selectStack);
  private readonly file = this.store.selectSignal(inspectionFeature.selectFile);
  private readonly record = this.store.selectSignal(inspectionFeature.selectRecord);
  private readonly facts = this.store.selectSignal(inspectionFeature.selectGuardFacts);
  protected readonly feels = FEELS;

  protected readonly boxes = computed(() => {
    const file = this.file();
    const record = this.record();
    if (!file) return [];
    return supers(this.stack())
      .toReversed()
      .map((layer) => {
        const lift = file.lifting.find((part) => part.layer.id === layer.id);
        const sides = Object.values(record.sides).filter(({ address }) => address.box === layer.id);
        const weight = (how: 'scale' | 'by-feel') =>
          record.measures
            .map(({ measure }) => measure)
            .findLast((each) => each.what === 'weight' && each.part === layer.id && each.how === how);
        const [kg, felt] = [weight('scale'), weight('by-feel')];
        const bare = sides.filter(({ side }) => (side.eighths.F ?? 0) >= 4).length / 2;
        return {
          layer,
          expected: lift?.kg
            ? $localize`about ${measured('weight', lift.kg, 1)}${lift.lift ? `: ${named('lift', lift.lift)}` : ''}`
            : $localize`weight not known: judge before you lift`,
          off: record.partsOff.includes(layer.id),
          tipped: record.tipped.includes(layer.id),
          brood: sides.some(({ side }) => BROOD.some((letter) => shows(side, letter))),
          guards: guardsOf({ do: 'lift-box', box: layer.id }, this.facts()),
          spacing: spacingVerdict('super', layer.frames, BOXES[layer.box].frames, bare),
          feel: FEELS.find((feel) => felt?.what === 'weight' && felt.kg === feltKg(layer, feel)) ?? null,
          kg: kg?.what === 'weight' ? kg.kg : null,
        };
      });
  });

  protected toggle(layer: BoxLayer): void {
    const off = this.record().partsOff.includes(layer.id);
    if (!off && isBox(layer)) this.desk.enter({ kind: 'box-opened', box: layer.id });
    this.desk.enter({ kind: off ? 'part-put-back' : 'part-taken-off', part: layer.id });
  }

  protected feel(layer: BoxLayer, feel: Feel): void {
    const kg = feltKg(layer, feel);
    this.desk.enter({ kind: 'measured', measure: { what: 'weight', part: layer.id, how: 'by-feel', kg } });
  }

  protected weigh(layer: BoxLayer, kg: number | null): void {
    if (kg !== null)
      this.desk.enter({ kind: 'measured', measure: { what: 'weight', part: layer.id, how: 'scale', kg } });
  }
}
