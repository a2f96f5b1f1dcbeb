import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import type { ColonyEstimate, Estimate } from '@brave-comb/core/inspection';
import { decimal } from '../shell/format';

/** What the sides read so far add up to, growing as frames are read. */
@Component({
  selector: 'bc-so-far',
  template: `
    <h2>
      Counted <small>{{ estimate().sidesRead }} of {{ sides() }} sides; whole nest by estimate</small>
    </h2>
    <dl>
      @for (row of rows(); track row.name) {
        <div [class.detail]="row.detail">
          <dt>{{ row.name }}</dt>
          <dd>
            <b>{{ row.value }}</b> {{ row.unit }}
            @if (row.range) {
              <small>whole {{ row.range }}</small>
            }
          </dd>
        </div>
      }
    </dl>
  `,
  styles: `
    h2 {
      font-size: 17px;
    }
    small {
      font: 400 13.5px var(--font);
    }
    dl {
      display: grid;
      grid-template-columns: 1.6fr 1fr;
      gap: 0 10px;
      margin-top: 4px;
      font-size: 15px;
      line-height: 1.55;
    }
    dl > div {
      display: flex;
      justify-content: space-between;
      white-space: nowrap;
    }
    @media (width < 1200px) {
      dl {
        grid-template-columns: 1.75fr 1fr;
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
      small {
        display: none;
      }
      dl {
        display: flex;
        flex-wrap: wrap;
        gap: 0 10px;
        margin: 0;
        font-size: 14px;
      }
      .detail {
        display: none !important;
      }
      dl > div {
        gap: 4px;
      }
    }
  `,
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { role: 'status', 'aria-label': 'Counted so far' },
})
export class SoFar {
  /** What the sides read so far hold; it only grows. */
  readonly counted = input.required<ColonyEstimate>();
  /** What the whole nest holds, with what is assumed of the rest. */
  readonly estimate = input.required<ColonyEstimate>();
  readonly sides = input.required<number>();

  /** What was counted, and beside it the range of the whole; on a phone brood stands for its stages. */
  protected readonly rows = computed<readonly Row[]>(() => {
    const [now, whole] = [this.counted(), this.estimate()];
    const partly = now.sidesRead < this.sides();
    const both = (name: string, counted: Estimate | null, of: Estimate | null): Row => ({
      name,
      value: counted ? decimal(counted.value) : '?',
      unit: '',
      range: partly && of && now.sidesRead > 0 ? `${short(of.low)}–${short(of.high)}` : '',
    });
    const stage = (name: string, of: Estimate): Row => ({ ...both(name, of, null), detail: true });
    return [
      both('Bees', now.framesOfBees, whole.framesOfBees),
      stage('Eggs', now.eggs),
      both('Brood', now.brood, whole.brood),
      stage('Larvae', now.larvae),
      both('Food kg', now.storesKg, whole.storesKg),
      stage('Sealed', now.sealedWorker),
      both('Pollen', now.pollen, whole.pollen),
      stage('Drone', now.sealedDrone),
    ];
  });
}

/** Ranges are rough: from ten on without decimals. */
const short = (value: number): string => (value < 9.95 ? decimal(value) : `${Math.round(value)}`);

interface Row {
  readonly name: string;
  readonly value: string;
  readonly unit: string;
  readonly range: string;
  readonly detail?: boolean;
}
