import { ChangeDetectionStrategy, Component, computed, input, output } from '@angular/core';
import { MatButton } from '@angular/material/button';
import type { ColonyLine } from '@brave-comb/contract';
import { max } from 'd3-array';
import { unit, figure } from '../language/units';
import { decimal } from '../ui/format';

interface Measure {
  readonly name: string;
  readonly of: (line: ColonyLine) => number | null;
  readonly told: (value: number) => string;
}

const frames = (value: number) => decimal(value, 1);
const MEASURES: readonly Measure[] = [
  { name: $localize`Bees, frames`, of: ({ bees }) => bees?.value ?? null, told: frames },
  { name: $localize`Brood, frames`, of: ({ brood }) => brood?.value ?? null, told: frames },
  {
    name: $localize`Brood to a frame of bees`,
    of: ({ bees, brood }) => (bees && brood && bees.value > 0 ? brood.value / bees.value : null),
    told: (value) => decimal(value, 2),
  },
  {
    name: $localize`Stores, ${unit('weight')}`,
    of: ({ storesKg }) => storesKg?.value ?? null,
    told: (value) => decimal(figure('weight', value), 1),
  },
  { name: $localize`Days of food`, of: ({ foodDays }) => foodDays, told: (value) => decimal(value, 0) },
  { name: $localize`Mites per 100 bees`, of: ({ mites }) => mites?.inHundred.value ?? null, told: frames },
  { name: $localize`Temper, 1 to 5`, of: ({ temper }) => temper, told: (value) => decimal(value, 0) },
  { name: $localize`Opened in 30 days`, of: ({ opened }) => opened.times, told: (value) => decimal(value, 0) },
];

/** Colonies side by side, figure by figure. */
@Component({
  selector: 'bc-colony-compare',
  imports: [MatButton],
  template: `
    <section class="sheet chosen" aria-labelledby="compare-title">
      <header>
        <h2 id="compare-title" i18n>Side by side</h2>
        <button type="button" matButton="outlined" (click)="closed.emit()" i18n>Close</button>
      </header>
      <div class="wide-table">
        <table>
          <thead>
            <tr>
              <th scope="col" i18n>Expected today</th>
              @for (colony of colonies(); track colony.hive) {
                <th scope="col" i18n>Hive {{ colony.number }}</th>
              }
            </tr>
          </thead>
          <tbody>
            @for (row of rows(); track row.name) {
              <tr>
                <th scope="row">{{ row.name }}</th>
                @for (cell of row.cells; track cell.hive) {
                  <td>
                    {{ cell.text }}
                    <span aria-hidden="true"><i [style.width.%]="cell.share"></i></span>
                  </td>
                }
              </tr>
            }
          </tbody>
        </table>
      </div>
    </section>
  `,
  styles: `
    .sheet {
      padding: 8px 14px 12px;
    }
    header {
      display: flex;
      justify-content: space-between;
      align-items: center;
    }
    table {
      width: 100%;
      border-collapse: collapse;
      font-size: var(--t-dense);
    }
    th,
    td {
      padding: 4px 8px;
      border-top: 1px solid var(--line-2);
      text-align: left;
    }
    span {
      display: block;
      height: 5px;
      background: var(--line-2);
    }
    i {
      display: block;
      height: 100%;
      background: var(--spruce);
    }
  `,
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class ColonyCompare {
  readonly colonies = input.required<readonly ColonyLine[]>();
  readonly closed = output();

  protected readonly rows = computed(() => {
    const colonies = this.colonies();
    return MEASURES.map(({ name, of, told }) => {
      const most = max(colonies, (each) => of(each) ?? 0) ?? 0;
      return {
        name,
        cells: colonies.map((each) => {
          const value = of(each);
          return {
            hive: each.hive,
            text: value === null ? $localize`not known` : told(value),
            share: value === null || most === 0 ? 0 : (value / most) * 100,
          };
        }),
      };
    });
  });
}
