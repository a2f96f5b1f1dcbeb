import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import type { ExpectedState } from '@brave-comb/contract';
import { decimal } from '../ui/format';
import { Named } from '../ui/words';

/** What a colony should look like today, before it is opened. */
@Component({
  selector: 'bc-expected-card',
  imports: [Named],
  template: `
    <h3>Expect today</h3>
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
          <dt>Mood</dt>
          <dd>{{ expected().mood }}</dd>
        </div>
      </dl>
    }
    <p class="quiet">
      From the record of {{ expected().days }} days ago{{
        expected().phase ? ', now ' + (expected().phase! | named: 'phase') : ''
      }}.
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
  protected readonly lines = computed(() => {
    const { bees, eggs, larvae, sealed, drone, storesKg } = this.expected();
    const line = (name: string, { value, low, high }: ExpectedState['bees'], unit: string) => ({
      name,
      value: decimal(value),
      unit,
      range: `${decimal(low)} to ${decimal(high)}`,
    });
    return [
      line('Bees', bees, 'frames'),
      line('Eggs', eggs, 'frames'),
      line('Larvae', larvae, 'frames'),
      line('Sealed', sealed, 'frames'),
      line('Drone brood', drone, 'frames'),
      line('Stores', storesKg, 'kg'),
    ];
  });
}
