import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import type { ColonyEstimate } from '@brave-comb/core/inspection';
import { decimal } from '../shell/format';

/** What the sides read so far add up to, growing as frames are read. */
@Component({
  selector: 'bc-so-far',
  template: `
    <h2>
      So far <small>{{ estimate().sidesRead }} of {{ sides() }} sides</small>
    </h2>
    <dl>
      @for (row of rows(); track row.name) {
        <div [class.detail]="row.detail">
          <dt>{{ row.name }}</dt>
          <dd>
            <b>{{ row.value }}</b> {{ row.unit }}
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
      font: 400 14px var(--font);
    }
    dl {
      display: grid;
      grid-template-columns: 1fr 1fr;
      gap: 0 12px;
      margin-top: 4px;
      font-size: 15.5px;
      line-height: 1.5;
    }
    dl > div {
      display: flex;
      justify-content: space-between;
      white-space: nowrap;
    }
    @media (width < 700px) {
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

  /** On a phone brood stands for its stages. */
  protected readonly rows = computed<readonly { name: string; value: string; unit: string; detail?: boolean }[]>(() => {
    const now = this.estimate();
    return [
      { name: 'Bees', value: now.framesOfBees ? decimal(now.framesOfBees.value) : '?', unit: 'fr' },
      { name: 'Food', value: decimal(now.storesKg.value), unit: 'kg' },
      { name: 'Eggs', value: decimal(now.eggs.value), unit: 'fr', detail: true },
      { name: 'Pollen', value: decimal(now.pollen.value), unit: 'fr' },
      { name: 'Larvae', value: decimal(now.larvae.value), unit: 'fr', detail: true },
      { name: 'Sealed', value: decimal(now.sealedWorker.value), unit: 'fr', detail: true },
      { name: 'Drone', value: decimal(now.sealedDrone.value), unit: 'fr', detail: true },
      { name: 'Brood', value: decimal(now.brood.value), unit: 'fr' },
    ];
  });
}
