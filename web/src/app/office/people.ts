import { ChangeDetectionStrategy, Component, ElementRef, computed, inject, signal } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { MatChipListbox, MatChipOption } from '@angular/material/chips';
import { RouterLink } from '@angular/router';
import type { Members } from '@brave-comb/contract';
import { ViewDesk } from '../api/view-desk';
import { ViewState } from '../api/view-state';
import { FIELD } from '../parts/field';
import { SCHOOL_ZONE } from '../people/school-zone';
import { dayOf, momentOf } from '../ui/format';
import { GroupsCard } from './groups-card';
import { PersonSide } from './person-side';

type Person = Members['people'][number];

interface Section {
  readonly id: string;
  readonly name: string;
  readonly people: readonly Person[];
}

/** Who belongs to the school, and how each gets in. */
@Component({
  selector: 'bc-people',
  imports: [FIELD, GroupsCard, MatButton, MatChipListbox, MatChipOption, PersonSide, RouterLink, ViewState],
  templateUrl: './people.html',
  styleUrl: './office.scss',
  styles: `
    .bar {
      display: flex;
      flex-wrap: wrap;
      gap: 8px 16px;
      align-items: end;
      margin-bottom: 8px;
    }
    .bar label {
      min-width: 210px;
    }
    .section th {
      background: var(--ground);
      font-weight: 650;
    }
    @media screen and (width >= 1000px) {
      bc-person-side,
      bc-groups-card {
        position: sticky;
        top: 12px;
      }
    }
    .name {
      margin-left: -12px;
      min-width: 0;
    }
  `,
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class PeopleScreen {
  private readonly zone = inject(SCHOOL_ZONE);
  private readonly host = inject<ElementRef<HTMLElement>>(ElementRef).nativeElement;
  protected readonly watched = inject(ViewDesk).watch('members', () => ({}));
  protected readonly wanted = signal('');
  protected readonly filter = signal('all');
  protected readonly picked = signal<string | null>(null);
  protected readonly groupsOpen = signal(false);
  protected readonly groups = computed(() =>
    (this.watched.data()?.groups ?? []).filter(({ retired }) => retired === null),
  );
  private readonly people = computed(() => this.watched.data()?.people ?? []);
  protected readonly here = computed(() => this.people().filter(({ retired }) => retired === null));
  protected readonly staff = computed(() => this.here().filter(({ role }) => role !== 'trainee'));
  protected readonly outside = computed(() =>
    this.here().filter(({ wayIn }) => wayIn === 'none' || wayIn === 'invitation-over'),
  );
  protected readonly chosen = computed(() => this.people().find(({ id }) => id === this.picked()) ?? null);

  protected readonly sections = computed((): readonly Section[] => {
    const words = this.wanted()
      .toLowerCase()
      .split(/\s+/)
      .filter((each) => each !== '');
    const names = new Map(this.groups().map(({ id, name }) => [id, name]));
    const found = (all: readonly Person[]) =>
      all.filter((person) => {
        const text = [person.name, person.role, person.mail, ...person.groups.map((id) => names.get(id))].join(' ');
        return words.every((word) => text.toLowerCase().includes(word));
      });
    const filter = this.filter();
    const every: Section[] = [
      { id: 'staff', name: $localize`Staff`, people: this.staff() },
      ...this.groups().map(({ id, name }) => ({
        id,
        name,
        people: this.here().filter((person) => person.role === 'trainee' && person.groups.includes(id)),
      })),
      {
        id: 'none',
        name: $localize`Trainees without a group`,
        people: this.here().filter((person) => person.role === 'trainee' && !person.groups.some((id) => names.has(id))),
      },
      {
        id: 'left',
        name: $localize`No longer at the school`,
        people: this.people().filter(({ retired }) => retired !== null),
      },
    ];
    const shown =
      filter === 'all'
        ? every
        : filter === 'outside'
          ? [{ id: 'outside', name: $localize`Cannot sign in yet`, people: this.outside() }]
          : every.filter(({ id }) => id === filter);
    return shown
      .map((section) => ({ ...section, people: found(section.people) }))
      .filter(({ id, people }) => people.length > 0 || (words.length === 0 && names.has(id)));
  });

  protected open(id: string): void {
    this.groupsOpen.set(false);
    this.picked.set(id);
  }

  protected add(): void {
    this.groupsOpen.set(false);
    this.picked.set('new');
  }

  protected close(): void {
    const id = this.picked();
    this.picked.set(null);
    setTimeout(() => this.host.querySelector<HTMLElement>(`[data-person="${id}"]`)?.focus());
  }

  protected when(at: string | null): string {
    return at === null ? '–' : momentOf(at, this.zone());
  }

  protected untilDay(at: string | null): string {
    return at === null ? '' : dayOf(at, this.zone());
  }
}
