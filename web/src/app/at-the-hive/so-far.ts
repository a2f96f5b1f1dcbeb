import { unit, weighed } from '../language/units';
import { named } from '../language/words';
import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import { type ColonyEstimate, type Estimate, LETTERS } from '@brave-comb/core/inspection';
import { decimal } from '../ui/format';

/** What the sides read so far add up to, growing as frames are read. */
@Component({
  selector: 'bc-so-far',
  template: `
    <div class="key">
      <h2 i18n>
        Counted <small>{{ estimate().sidesRead }} of {{ sides() }} sides</small>
      </h2>
      <span class="estimated" i18n>whole hive, estimated</span>
    </div>
    <dl>
      @for (row of rows(); track row.name) {
        <div [class.first]="row.first">
          <dt>{{ row.name }}</dt>
          <dd>
            <b>{{ row.value }}</b>
          </dd>
          @if (row.range) {
            <dd class="whole"><small i18n>whole</small> {{ row.range }}</dd>
          }
          <dd class="bar" aria-hidden="true">
            <i [style.width.%]="row.share"></i>
            <i class="of" [style.left.%]="row.from" [style.width.%]="row.to - row.from"></i>
          </dd>
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
    .estimated,
    .bar {
      display: none;
    }
    @media (width < 700px), (height < 560px) {
      p,
      dd small {
        display: none;
      }
      .key {
        display: flex;
        gap: 10px;
        align-items: baseline;
        justify-content: space-between;
        font-size: 14px;
      }
      h2 {
        font: 650 14px var(--font);
      }
      .estimated {
        display: inline;
      }
      h2::before,
      .estimated::before {
        content: '';
        display: inline-block;
        width: 14px;
        height: 10px;
        margin-right: 6px;
        border: 1px solid var(--spruce);
        background: var(--spruce);
      }
      i {
        display: block;
        height: 10px;
        background: var(--spruce);
      }
      .estimated::before,
      .of {
        border: 1px solid var(--spruce);
        background: repeating-linear-gradient(135deg, var(--spruce) 0 1.5px, var(--sheet) 1.5px 4px);
      }
      dl {
        display: grid;
        grid-template-columns: 1fr 1fr;
        gap: 0 16px;
        margin: 0;
        font-size: 14px;
      }
      dl > div {
        grid-template-columns: auto auto minmax(0, 1fr);
        gap: 0 5px;
      }
      .bar {
        position: relative;
        display: block;
        grid-column: 1 / -1;
        height: 12px;
        border: 1px solid var(--ink-3);
        background: var(--sheet);
      }
      .of {
        position: absolute;
        top: 0;
      }
    }
    /* Under the thumb there is room for two of them; the others stand in the sheet from below. */
    :host-context(main) dl > div:not(.first) {
      @media (width < 700px), (height < 560px) {
        display: none;
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
    const both = (name: string, counted: Estimate | null, of: Estimate | null, first = false): Row => ({
      name,
      first,
      ...shares(counted && now.known ? counted.value : 0, partly && now.sidesRead > 0 ? of : null),
      value: counted && now.known ? decimal(counted.value) : '?',
      // The whole holds at least what was counted.
      range: partly && of && now.sidesRead > 0 ? rangeText(Math.max(of.low, counted?.value ?? 0), of.high) : '',
    });
    return [
      both($localize`Bees`, now.framesOfBees, whole.framesOfBees),
      both($localize`Brood`, now.brood, whole.brood, true),
      both($localize`Food, ${unit('weight')}`, weighed(now.storesKg), weighed(whole.storesKg), true),
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

/** Lengths of the bars, per cent of the longer one with some room behind it. */
function shares(counted: number, of: Estimate | null): Pick<Row, 'share' | 'from' | 'to'> {
  const most = 1.15 * Math.max(counted, of?.high ?? 0, 0.01);
  return {
    share: (100 * counted) / most,
    from: (100 * Math.max(counted, of?.low ?? 0)) / most,
    to: (100 * Math.max(counted, of?.high ?? 0)) / most,
  };
}

const rangeText = (low: number, high: number): string => `${short(low)}–${short(Math.max(low, high))}`;

interface Row {
  readonly name: string;
  /** Among the two that a phone shows. */
  readonly first: boolean;
  readonly share: number;
  readonly from: number;
  readonly to: number;
  readonly value: string;
  readonly range: string;
}
