import { unit, weighed } from '../language/units';
import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import type { ExpectedState } from '@brave-comb/contract';
import { decimal } from '../ui/format';
import { named } from '../language/words';

/** What a colony should look like today, before it is opened. */
@Component({
  selector: 'bc-expected-card',
  template: `
    <h3 i18n>Expect today</h3>
    @if (expected().stale; as why) {
      <p>{{ why }}</p>
    } @else {
      <dl>
        @for (line of lines(); track line.name) {
          <div>
            <dt>{{ line.name }}</dt>
            <dd>
              <b>{{ line.value }}</b> {{ line.unit }}<i>{{ line.range }}</i>
            </dd>
          </div>
        }
        <div>
          <dt i18n>Mood</dt>
          <dd>{{ expected().mood }}</dd>
        </div>
      </dl>
    }
    <p class="quiet">
      <ng-container i18n
        >From the record of {{ expected().days }} days ago{!!phase(), select, true {, now {{ phase() }}} other {}}.
      </ng-container>
      @for (why of expected().because; track why) {
        <span>{{ why }}. </span>
      }
    </p>
  `,
  styles: `
    h3 {
      margin: 8px 0 2px;
      font-size: 14px;
    }
    dl {
      display: grid;
      gap: 1px;
      font-size: var(--t-dense);
    }
    div {
      display: grid;
      grid-template-columns: 104px 1fr;
      gap: 8px;
    }
    dt {
      color: var(--ink-2);
    }
    i {
      margin-left: 8px;
      color: var(--ink-2);
      font-style: normal;
    }
    p {
      margin-top: 3px;
    }
  `,
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class ExpectedCard {
  readonly expected = input.required<ExpectedState>();
  protected readonly phase = computed(() => {
    const { phase } = this.expected();
    return phase ? named('phase', phase) : '';
  });
  protected readonly lines = computed(() => {
    const { bees, eggs, larvae, sealed, drone, storesKg } = this.expected();
    const line = (name: string, { value, low, high }: ExpectedState['bees'], unit: string) => ({
      name,
      value: decimal(value),
      unit,
      range: $localize`${decimal(low)} to ${decimal(high)}`,
    });
    return [
      line($localize`Bees`, bees, $localize`frames`),
      line($localize`Eggs`, eggs, $localize`frames`),
      line($localize`Larvae`, larvae, $localize`frames`),
      line($localize`Sealed`, sealed, $localize`frames`),
      line($localize`Drone brood`, drone, $localize`frames`),
      line($localize`Stores`, weighed(storesKg), unit('weight')),
    ];
  });
}
