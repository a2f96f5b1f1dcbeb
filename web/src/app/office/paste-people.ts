import { ChangeDetectionStrategy, Component, computed, inject, signal, viewChild } from '@angular/core';
import { RouterLink } from '@angular/router';
import {
  type ListedPerson,
  PEOPLE_COLUMNS,
  type PeopleField,
  type RosterRow,
  readPeopleList,
} from '@brave-comb/core/roster';
import { saving } from '../api/saving';
import { ViewDesk } from '../api/view-desk';
import { ViewState } from '../api/view-state';
import { type PasteKind, PasteList, type ReadyRow } from './paste-list';

const NAMES: Readonly<Record<PeopleField, string>> = {
  name: $localize`name`,
  first: $localize`first name`,
  last: $localize`last name`,
  role: $localize`role`,
  group: $localize`group`,
  mail: $localize`mail address`,
  emergency: $localize`emergency note`,
};

/** The people of a course, from anybody's spreadsheet. */
@Component({
  selector: 'bc-paste-people',
  imports: [PasteList, RouterLink, ViewState],
  template: `
    <bc-view-state [watched]="watched" name="People" i18n-name />
    @if (watched.data(); as data) {
      <header class="office-head">
        <h1><a class="up" routerLink="/office/people" i18n>People</a><span i18n>Paste</span></h1>
        <p class="quiet" i18n>beside the {{ data.people.length }} you have</p>
      </header>
      <bc-paste-list
        [kind]="kind()"
        [busy]="save.busy()"
        [fault]="save.fault()"
        [addWords]="addWords"
        (add)="add($event)"
        (readings)="rows.set($event?.rows ?? [])"
      >
        <section beside class="sheet" aria-labelledby="groups-title">
          <h2 id="groups-title" i18n>Groups</h2>
          @for (group of groups(); track group.name) {
            <p>
              <b>{{ group.name }}</b> {{ group.count }}
              @if (group.fresh) {
                <span class="quiet" i18n>new</span>
              }
            </p>
          } @empty {
            <p class="quiet" i18n>No column says a group. Groups can be given afterwards too.</p>
          }
          <p class="quiet" i18n>Whoever has no role in the list is a trainee. Nobody is told anything yet.</p>
        </section>
      </bc-paste-list>
    }
  `,
  styleUrl: './office.scss',
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class PastePeople {
  protected readonly watched = inject(ViewDesk).watch('members', () => ({}));
  protected readonly save = saving();
  private readonly list = viewChild(PasteList);
  protected readonly rows = signal<readonly RosterRow<PeopleField, ListedPerson>[]>([]);
  private readonly known = computed(() =>
    (this.watched.data()?.people ?? []).filter(({ retired }) => retired === null),
  );
  protected readonly kind = computed((): PasteKind<PeopleField, ListedPerson> => {
    const known = this.known();
    return {
      id: 'people',
      rules: PEOPLE_COLUMNS,
      names: NAMES,
      example: $localize`name, group, mail, role\nNadia Koskinen, Dipper, nadia@brenna-fell.example, trainee\nLeilani Kealoha, , leilani@brenna-fell.example, supervisor`,
      read: (pasted, columns, settled) => readPeopleList(pasted, columns, settled, known),
    };
  });
  protected readonly groups = computed(() => {
    const there = new Set((this.watched.data()?.groups ?? []).map(({ name }) => name.toLowerCase()));
    const counts = new Map<string, number>();
    for (const { groups } of this.rows().flatMap((row) => row.read ?? []))
      for (const name of groups) counts.set(name, (counts.get(name) ?? 0) + 1);
    return [...counts].map(([name, count]) => ({ name, count, fresh: !there.has(name.toLowerCase()) }));
  });
  protected readonly addWords = (count: number): string =>
    count === 1 ? $localize`Add 1 person` : $localize`Add ${count} people`;

  protected async add(rows: readonly ReadyRow<ListedPerson>[]): Promise<void> {
    const people = rows.map(({ id, read: { is, ...person } }) => ({ ...person, id: is ?? id, known: is !== null }));
    const done = await this.save.send('addMembers', { body: { people } });
    if (!done) return;
    const words = rows.length === 1 ? $localize`1 person was added.` : $localize`${rows.length} people were added.`;
    await this.list()?.took(rows, words);
  }
}
