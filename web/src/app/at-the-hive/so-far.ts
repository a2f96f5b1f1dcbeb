import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import type { ColonyEstimate, Estimate } from '@brave-comb/core/inspection';
import { decimal } from '../shell/format';

/** What the sides read so far add up to, growing as frames are read. */
@Component({
  selector: 'bc-so-far',
  template: `
    <h2>
      So far <small>frames, {{ estimate().sidesRead }} of {{ sides() }} sides</small>
    </h2>
    <dl>
      @for (row of rows(); track row.name) {
        <div [class.detail]="row.detail">
          <dt>{{ row.name }}</dt>
          <dd>
            <b>{{ row.value }}</b> {{ row.unit }}
            @if (row.range) {
              <small>{{ row.range }}</small>
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
  host: { role: 'status', 'aria-label': 'Estimates so far' },
})
export class SoFar {
  readonly estimate = input.required<ColonyEstimate>();
  readonly sides = input.required<number>();

  /** Whole figures with the range that grows with what nobody looked at; on a phone brood stands for its stages. */
  protected readonly rows = computed<readonly Row[]>(() => {
    const now = this.estimate();
    const whole = (name: string, of: Estimate | null, unit: string): Row => ({
      name,
      value: of ? decimal(of.value) : '?',
      unit,
      range: of && of.high - of.low >= 0.2 ? `${short(of.low)}–${short(of.high)}` : '',
    });
    const stage = (name: string, of: Estimate): Row => ({
      name,
      value: decimal(of.value),
      unit: '',
      range: '',
      detail: true,
    });
    return [
      whole('Bees', now.framesOfBees, ''),
      stage('Eggs', now.eggs),
      whole('Brood', now.brood, ''),
      stage('Larvae', now.larvae),
      whole('Food kg', now.storesKg, ''),
      stage('Sealed', now.sealedWorker),
      whole('Pollen', now.pollen, ''),
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
