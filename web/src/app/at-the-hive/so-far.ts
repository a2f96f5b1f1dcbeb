import { unit, weighed } from '../language/units';
import { named } from '../language/words';
import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import { type ColonyEstimate, type Estimate, LETTERS } from '@brave-comb/core/inspection';
import { decimal } from '../ui/format';

/** What the sides read so far add up to, growing as frames are read. */
@Component({
  selector: 'bc-so-far',
  template: `
    <h2 i18n>
      Counted <small>{{ estimate().sidesRead }} of {{ sides() }} sides</small>
    </h2>
    <dl>
      @for (row of rows(); track row.name) {
        <div>
          <dt>{{ row.name }}</dt>
          <dd>
            <b>{{ row.value }}</b>
          </dd>
          @if (row.range) {
            <dd class="whole"><small i18n>whole</small> {{ row.range }}</dd>
          }
        </div>
      }
    </dl>
    <p>
      @for (stage of stages(); track stage.letter) {
        <span
          ><b aria-hidden="true">{{ stage.letter }}</b
          ><span class="unseen">{{ stage.name }}</span> {{ stage.value }}</span
        >
      }
    </p>
  `,
  styles: `
    h2 {
      font-size: 17px;
    }
    small {
      font: 400 13.5px var(--font);
    }
    dl {
      margin-top: 4px;
      font-size: 15px;
      line-height: 1.4;
    }
    dl > div {
      display: grid;
      grid-template-columns: minmax(56px, 1fr) 34px minmax(82px, 1.4fr);
      align-items: baseline;
      white-space: nowrap;
    }
    dd {
      text-align: right;
    }
    p {
      display: flex;
      justify-content: space-between;
      font-size: 14px;
    }
    @media (width < 1200px) {
      dl,
      p {
        font-size: 13.5px;
      }
      small {
        font-size: 12.5px;
      }
    }
    @media (width < 700px), (height < 560px) {
      :host {
        display: flex;
        gap: 10px;
        align-items: baseline;
        flex-wrap: wrap;
      }
      h2 {
        font-size: 15px;
        white-space: nowrap;
      }
      small,
      .whole,
      p {
        display: none;
      }
      dl {
        display: flex;
        flex-wrap: wrap;
        gap: 0 10px;
        margin: 0;
        font-size: 14px;
      }
      dl > div {
        display: flex;
        gap: 4px;
      }
    }
  `,
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { role: 'status', '[attr.aria-label]': 'name' },
})
export class SoFar {
  protected readonly name = $localize`Counted so far`;
  /** What the sides read so far hold; it only grows. */
  readonly counted = input.required<ColonyEstimate>();
  /** What the whole nest holds, with what is assumed of the rest. */
  readonly estimate = input.required<ColonyEstimate>();
  readonly sides = input.required<number>();

  /** What was counted, and beside it the range of the whole. */
  protected readonly rows = computed<readonly Row[]>(() => {
    const [now, whole] = [this.counted(), this.estimate()];
    const partly = now.sidesRead < this.sides();
    const both = (name: string, counted: Estimate | null, of: Estimate | null): Row => ({
      name,
      value: counted && now.known ? decimal(counted.value) : '?',
      range: partly && of && now.sidesRead > 0 ? `${short(of.low)}–${short(of.high)}` : '',
    });
    return [
      both($localize`Bees`, now.framesOfBees, whole.framesOfBees),
      both($localize`Brood`, now.brood, whole.brood),
      both($localize`Food, ${unit('weight')}`, weighed(now.storesKg), weighed(whole.storesKg)),
      both($localize`Pollen`, now.pollen, whole.pollen),
    ];
  });
  protected readonly stages = computed(() => {
    const { known, eggs, larvae, sealedWorker, sealedDrone } = this.counted();
    const stages = { E: eggs, L: larvae, S: sealedWorker, D: sealedDrone } as const;
    return LETTERS.filter((letter): letter is keyof typeof stages => letter in stages).map((letter) => ({
      letter,
      name: named('content', letter),
      value: known ? decimal(stages[letter].value) : '?',
    }));
  });
}

/** Ranges are rough: from ten on without decimals. */
const short = (value: number): string => (value < 9.95 ? decimal(value) : `${Math.round(value)}`);

interface Row {
  readonly name: string;
  readonly value: string;
  readonly range: string;
}
