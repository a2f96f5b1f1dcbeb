import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { RouterLink } from '@angular/router';
import type { Hives } from '@brave-comb/contract';
import { markColour } from '@brave-comb/core/biology';
import { nestBoxes, supers } from '@brave-comb/core/equipment';
import { named } from '@brave-comb/core/language';
import { ViewDesk } from '../api/view-desk';
import { ViewState } from '../api/view-state';
import { said } from '../language/said';
import { FIELD } from '../parts/field';
import { recordTable } from '../parts/record-table';
import { SORT } from '../parts/sort-words';
import { dateText } from '../ui/format';

type Hive = Hives['hives'][number];

/** Brood boxes and supers, as hives are spoken of. */
export const boxesText = ({ stack }: Pick<Hive, 'stack'>): string =>
  stack.length === 0 ? '' : $localize`${nestBoxes(stack).length} + ${supers(stack).length}`;

/** A queen by her year and mark. */
export const queenText = (queen: { readonly year: number; readonly marked: boolean } | null): string => {
  if (queen === null) return $localize`not known`;
  return queen.marked
    ? $localize`${queen.year}, ${said(named('queenColour', markColour(queen.year)))}`
    : $localize`${queen.year}, not marked`;
};

/** Every hive of the school with what lives in it. */
@Component({
  selector: 'bc-hives',
  imports: [FIELD, MatButton, RouterLink, SORT, ViewState],
  template: `
    <bc-view-state [watched]="watched" name="Hives" i18n-name />
    @if (watched.data(); as data) {
      <header class="office-head">
        <h1 i18n>Hives</h1>
        <p class="quiet" i18n>
          {{ inUse() }} in use at {{ data.sites.length }}
          {data.sites.length, plural, =1 {site} other {sites}}
        </p>
        <div class="ways">
          <a matButton="outlined" routerLink="/at-the-hive/labels" i18n>Print labels</a>
          <a matButton="outlined" routerLink="/office/hives/new" i18n>Add one</a>
          <a matButton="filled" routerLink="/office/hives/paste" i18n>Paste a list</a>
        </div>
      </header>
      @if (data.hives.length > 0) {
        <section class="sheet" aria-labelledby="hives-title">
          <h2 id="hives-title" class="unseen" i18n>All hives</h2>
          <label bcField class="find"
            ><span i18n>Find by number, site, stand or type</span
            ><mat-form-field
              ><input
                matInput
                type="search"
                [value]="wanted()"
                (input)="wanted.set($any($event.target).value)" /></mat-form-field
          ></label>
          <div class="wide-table">
            <table
              class="plain-table cards"
              role="table"
              matSort
              [matSortActive]="table.order().active"
              [matSortDirection]="table.order().direction"
              (matSortChange)="table.order.set($event)"
            >
              <thead role="rowgroup">
                <tr role="row">
                  <th role="columnheader" scope="col" mat-sort-header="number" i18n>Hive</th>
                  <th role="columnheader" scope="col" mat-sort-header="site" i18n>Site and stand</th>
                  <th role="columnheader" scope="col" mat-sort-header="type" i18n>Type</th>
                  <th role="columnheader" scope="col" i18n>Boxes</th>
                  <th role="columnheader" scope="col" mat-sort-header="queen" i18n>Queen</th>
                  <th role="columnheader" scope="col" mat-sort-header="since" i18n>Colony here since</th>
                </tr>
              </thead>
              <tbody role="rowgroup">
                @for (hive of table.lines(); track hive.id) {
                  <tr role="row" [class.retired]="hive.retired">
                    <th role="rowheader" scope="row">
                      <a [routerLink]="['/office/hives', hive.id]">{{ hive.number }}</a>
                      @if (hive.retired) {
                        <small class="quiet" i18n>out of use</small>
                      }
                    </th>
                    <td role="cell">{{ hive.siteName }}, {{ hive.stand }}</td>
                    <td role="cell">{{ typeName(hive) }}</td>
                    <td role="cell" data-head="Boxes" i18n-data-head>{{ boxesText(hive) }}</td>
                    <td role="cell" data-head="Queen" i18n-data-head>
                      {{ hive.colony ? queenText(hive.colony.queen) : '' }}
                    </td>
                    <td role="cell" data-head="Since" i18n-data-head>
                      @if (hive.colony; as colony) {
                        {{ dateText(colony.since)
                        }}<small class="quiet">{{ colony.origin && ', ' + colony.origin }}</small>
                      } @else {
                        <span class="quiet" i18n>empty</span>
                      }
                    </td>
                  </tr>
                } @empty {
                  <tr role="row">
                    <td role="cell" colspan="6" i18n>No hive is called that.</td>
                  </tr>
                }
              </tbody>
            </table>
          </div>
        </section>
      } @else {
        <section class="sheet chosen">
          <p i18n>No hive yet. Paste them from a spreadsheet, whatever its columns are called, or add one by one.</p>
          <p class="row">
            <a matButton="filled" routerLink="/office/hives/paste" i18n>Paste a list</a>
            <a matButton="outlined" routerLink="/office/hives/new" i18n>Add one</a>
          </p>
        </section>
      }
    }
  `,
  styleUrl: './office.scss',
  styles: `
    .find {
      display: block;
      max-width: 330px;
      margin-bottom: 8px;
    }
  `,
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class HivesScreen {
  protected readonly watched = inject(ViewDesk).watch('schoolHives', () => ({}));
  protected readonly wanted = signal('');
  protected readonly boxesText = boxesText;
  protected readonly queenText = queenText;
  protected readonly dateText = dateText;
  private readonly hives = computed(() => this.watched.data()?.hives ?? []);
  protected readonly inUse = computed(() => this.hives().filter(({ retired }) => retired === null).length);
  protected readonly table = recordTable<Hive>(
    () => {
      const words = this.wanted()
        .toLowerCase()
        .split(/\s+/)
        .filter((each) => each !== '');
      return this.hives().filter((hive) => {
        const text = `${hive.number} ${hive.siteName} ${hive.stand} ${this.typeName(hive)}`.toLowerCase();
        return words.every((word) => text.includes(word));
      });
    },
    {
      number: ({ number }) => number,
      site: ({ siteName, stand }) => `${siteName} ${stand}`,
      type: (hive) => this.typeName(hive),
      queen: ({ colony }) => colony?.queen?.year ?? null,
      since: ({ colony }) => colony?.since ?? null,
    },
  );

  protected typeName({ type }: Hive): string {
    return said(named('hiveType', type));
  }
}
