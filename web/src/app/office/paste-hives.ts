import { ChangeDetectionStrategy, Component, computed, inject, signal, viewChild } from '@angular/core';
import { RouterLink } from '@angular/router';
import { HIVE_TYPES, type HiveTypeId } from '@brave-comb/core/equipment';
import { named } from '@brave-comb/core/language';
import {
  type HiveField,
  type HivesOfSchool,
  type ListedHive,
  type Pasted,
  type RosterRow,
  hiveColumns,
  readHiveList,
  sumsBeside,
} from '@brave-comb/core/roster';
import { saving } from '../api/saving';
import { ViewDesk } from '../api/view-desk';
import { ViewState } from '../api/view-state';
import { said } from '../language/said';
import { DayField } from '../parts/day-field';
import { FIELD } from '../parts/field';
import { type PasteKind, PasteList, type ReadyRow } from './paste-list';

interface Reading {
  readonly pasted: Pasted;
  readonly columns: readonly (HiveField | null)[];
  readonly rows: readonly RosterRow<HiveField, ListedHive>[];
}

const NAMES: Readonly<Record<HiveField, string>> = {
  number: $localize`number`,
  place: $localize`site and stand`,
  site: $localize`site`,
  stand: $localize`stand`,
  type: $localize`hive type`,
  boxes: $localize`boxes`,
  brood: $localize`brood boxes`,
  supers: $localize`supers`,
  frames: $localize`frames`,
  queen: $localize`queen`,
  origin: $localize`where the bees come from`,
  since: $localize`here since`,
  feeder: $localize`feeder`,
  scale: $localize`scale`,
};
const SUMS = {
  hives: $localize`Hives`,
  brood: $localize`Brood boxes`,
  supers: $localize`Supers`,
  feeders: $localize`Feeders`,
} as const;

/** Hives in bulk, from anybody's spreadsheet. */
@Component({
  selector: 'bc-paste-hives',
  imports: [DayField, FIELD, PasteList, RouterLink, ViewState],
  template: `
    <bc-view-state [watched]="watched" name="Hives" i18n-name />
    @if (watched.data(); as data) {
      <header class="office-head">
        <h1><a class="up" routerLink="/office/hives" i18n>Hives</a><span i18n>Paste</span></h1>
        <p class="quiet" i18n>beside the {{ data.hives.length }} you have</p>
      </header>
      @if (data.sites.length === 0) {
        <section class="sheet short">
          <p i18n>Hives stand at a site: set one up first.</p>
          <a routerLink="/office/sites" i18n>To the sites</a>
        </section>
      } @else {
        <div class="fields usual">
          <p i18n>Where the list does not say:</p>
          <label bcField
            ><span i18n>Hive type</span>
            <mat-form-field>
              <mat-select [value]="usual()" (selectionChange)="chosen.set($event.value)">
                @for (type of types; track type.id) {
                  <mat-option [value]="type.id">{{ type.name }}</mat-option>
                }
              </mat-select>
            </mat-form-field>
          </label>
          <label bcField
            ><span i18n>Colonies here since</span
            ><bc-day [value]="since()" [max]="data.today" (valueChange)="$event && sinceChosen.set($event)"
          /></label>
        </div>
        <bc-paste-list
          [kind]="kind()"
          [busy]="save.busy()"
          [fault]="save.fault()"
          [addWords]="addWords"
          (add)="add($event)"
          (readings)="reading.set($event)"
        >
          <div beside class="stack">
            @if (sums().length > 0) {
              <section class="sheet" aria-labelledby="sums-title">
                <h2 id="sums-title" i18n>Your sums, and ours</h2>
                <table class="plain-table">
                  <thead>
                    <tr>
                      <th scope="col"><span class="unseen" i18n>What</span></th>
                      <th scope="col" class="number" i18n>yours</th>
                      <th scope="col" class="number" i18n>read</th>
                    </tr>
                  </thead>
                  <tbody>
                    @for (sum of sums(); track sum.of) {
                      <tr [class.differs]="sum.theirs !== sum.read">
                        <th scope="row">{{ sumNames[sum.of] }}</th>
                        <td class="number">{{ sum.theirs }}</td>
                        <td class="number">
                          <b>{{ sum.read }}</b>
                        </td>
                      </tr>
                    }
                  </tbody>
                </table>
                <p class="quiet" i18n>
                  {!!allAgree(), select, true {All agree.} other {What is still to settle is missing from ours.}}
                </p>
              </section>
            }
            @if (newStands().length > 0) {
              <p class="quiet" i18n>New stands: {{ newStands().join(', ') }}.</p>
            }
          </div>
        </bc-paste-list>
      }
    }
  `,
  styleUrl: './office.scss',
  styles: `
    .usual {
      align-items: end;
      margin-bottom: 16px;
    }
    .differs > * {
      background: var(--rust-100);
    }
  `,
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class PasteHives {
  protected readonly watched = inject(ViewDesk).watch('schoolHives', () => ({}));
  protected readonly save = saving();
  private readonly list = viewChild(PasteList);
  protected readonly chosen = signal<HiveTypeId | null>(null);
  protected readonly usual = computed(() => this.chosen() ?? this.watched.data()?.usual ?? 'national');
  protected readonly sinceChosen = signal<string | null>(null);
  protected readonly since = computed(() => this.sinceChosen() ?? this.watched.data()?.today ?? '');
  protected readonly types = (Object.keys(HIVE_TYPES) as HiveTypeId[]).map((id) => ({
    id,
    name: said(named('hiveType', id)),
  }));
  protected readonly sumNames = SUMS;
  protected readonly reading = signal<Reading | null>(null);
  private readonly school = computed((): HivesOfSchool => {
    const data = this.watched.data();
    return {
      sites: data?.sites ?? [],
      hives: (data?.hives ?? []).map(({ id, number, site, retired }) => ({
        id,
        number,
        site,
        retired: retired !== null,
      })),
      types: this.types,
      usual: this.usual(),
      since: this.since(),
      today: data?.today ?? '',
    };
  });
  protected readonly kind = computed((): PasteKind<HiveField, ListedHive> => {
    const school = this.school();
    const [first = { name: '' }] = school.sites;
    return {
      id: 'hives',
      rules: hiveColumns(school.sites),
      names: NAMES,
      example: $localize`number, stand, boxes, queen\n21, ${first.name} A, 1 + 1, 2025 blue\n22, ${first.name} A, 1 + 0, green`,
      read: (pasted, columns, settled) => readHiveList(pasted, columns, settled, school),
    };
  });
  protected readonly sums = computed(() => {
    const reading = this.reading();
    return reading ? sumsBeside(reading.pasted, reading.columns, reading.rows) : [];
  });
  protected readonly allAgree = computed(() => this.sums().every(({ theirs, read }) => theirs === read));
  protected readonly newStands = computed(() => {
    const there = new Set((this.watched.data()?.hives ?? []).map(({ site, stand }) => `${site} ${stand}`));
    const names = new Map((this.watched.data()?.sites ?? []).map(({ id, name }) => [id, name]));
    const read = (this.reading()?.rows ?? []).flatMap((row) => row.read ?? []);
    return [
      ...new Set(
        read
          .filter(({ site, stand }) => !there.has(`${site} ${stand}`))
          .map(({ site, stand }) => `${names.get(site) ?? ''} ${stand}`),
      ),
    ];
  });
  protected readonly addWords = (count: number): string =>
    count === 1 ? $localize`Add 1 hive` : $localize`Add ${count} hives`;

  protected async add(rows: readonly ReadyRow<ListedHive>[]): Promise<void> {
    const hives = rows.map(({ id, read: { is, queen, origin, since, ...hive } }) => ({
      ...hive,
      id: is ?? id,
      known: is !== null,
      colony: { origin, since, queen },
    }));
    const done = await this.save.send('addHives', { body: { hives } });
    if (!done) return;
    const words = rows.length === 1 ? $localize`1 hive was added.` : $localize`${rows.length} hives were added.`;
    await this.list()?.took(rows, words);
  }
}
