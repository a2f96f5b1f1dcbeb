import { ChangeDetectionStrategy, Component, computed, inject, linkedSignal, signal } from '@angular/core';
import { MatButton } from '@angular/material/button';
import type { Output, endpoints } from '@brave-comb/contract';
import { ViewDesk } from '../api/view-desk';
import { ViewState } from '../api/view-state';
import { FIELD } from '../parts/field';
import { SCHOOL_ZONE } from '../people/school-zone';
import { momentOf } from '../ui/format';

type Line = Output<(typeof endpoints)['changeLog']>['lines'][number];

const THINGS: Readonly<Record<NonNullable<Line['thing']>, string>> = {
  sites: $localize`site`,
  hives: $localize`hive`,
  people: $localize`person`,
  trainee_groups: $localize`group`,
  sessions: $localize`session`,
  schools: $localize`house practice`,
};
const DOORS: Readonly<Record<NonNullable<Line['door']>, string>> = {
  'signed-in': $localize`signed in`,
  'sign-in-refused': $localize`sign-in refused`,
  'sign-in-slowed-down': $localize`sign-in slowed down`,
  'signed-out': $localize`signed out`,
  'signed-out-elsewhere': $localize`signed out elsewhere`,
  'person-erased': $localize`erased a person`,
  'records-taken-out': $localize`took records out`,
  'demo-begun-again': $localize`began the demo again`,
  'school-begun': $localize`opened the school`,
  invited: $localize`made an invitation`,
  'password-chosen': $localize`chose a password`,
  'password-lost': $localize`asked for a new password`,
  'password-changed': $localize`changed the password`,
  'note-read': $localize`read an emergency note`,
  'note-on-sheet': $localize`was shown the emergency note of`,
  'archive-taken-out': $localize`took out the whole school`,
  'archive-brought-in': $localize`brought in the archive of`,
};
const FIELDS: Readonly<Record<string, string>> = {
  name: $localize`name`,
  number: $localize`number`,
  latitude: $localize`latitude`,
  longitude: $localize`longitude`,
  altitude: $localize`height, m`,
  zone: $localize`time zone`,
  emergency: $localize`emergency lines`,
  site: $localize`site`,
  stand: $localize`stand`,
  type: $localize`type`,
  stack: $localize`parts`,
  scale: $localize`scale`,
  role: $localize`role`,
  mail: $localize`mail address`,
  groups: $localize`groups`,
  emergency_note: $localize`emergency note`,
  retired_at: $localize`out of use`,
  starts_at: $localize`begins`,
  ends_at: $localize`ends`,
  depth: $localize`depth`,
  status: $localize`state`,
  called_off: $localize`called off`,
  by_hand: $localize`by hand`,
};

/** Who changed what in the school, who came in, and who read what is private. */
@Component({
  selector: 'bc-changes',
  imports: [FIELD, MatButton, ViewState],
  template: `
    <bc-view-state [watched]="watched" name="Changes" i18n-name />
    <header class="office-head">
      <h1 i18n>Changes</h1>
      <p class="quiet" i18n>who changed what, came in, or read a private note</p>
    </header>
    <section class="sheet" aria-labelledby="lines-title">
      <h2 id="lines-title" class="unseen" i18n>Changes, the newest first</h2>
      <div class="fields bar">
        <label bcField
          ><span i18n>Find by person, thing or words</span
          ><mat-form-field
            ><input
              matInput
              type="search"
              [value]="words()"
              (change)="words.set($any($event.target).value)" /></mat-form-field
        ></label>
        <mat-checkbox [checked]="doors()" (change)="doors.set($event.checked)" i18n
          >Comings and goings too</mat-checkbox
        >
      </div>
      <table class="plain-table cards" role="table">
        <thead role="rowgroup">
          <tr role="row">
            <th role="columnheader" scope="col" i18n>When</th>
            <th role="columnheader" scope="col" i18n>Who</th>
            <th role="columnheader" scope="col" i18n>What</th>
            <th role="columnheader" scope="col" i18n>Before and after</th>
          </tr>
        </thead>
        <tbody role="rowgroup">
          @for (line of lines(); track $index) {
            <tr role="row">
              <td role="cell">{{ when(line.at) }}</td>
              <td role="cell">{{ line.by ?? '–' }}</td>
              <td role="cell">{{ what(line) }}</td>
              <td role="cell">
                @for (part of line.parts; track part.field) {
                  <div>
                    <span class="quiet">{{ fieldName(part.field) }}:</span> {{ shown(part.field, part.was) }}
                    <span aria-hidden="true">→</span><span class="unseen" i18n>becomes</span>
                    <b>{{ shown(part.field, part.is) }}</b>
                  </div>
                }
              </td>
            </tr>
          } @empty {
            <tr role="row">
              <td role="cell" colspan="4" i18n>Nothing by that name.</td>
            </tr>
          }
        </tbody>
      </table>
      @if (more(); as last) {
        <p>
          <button type="button" matButton="outlined" (click)="before.set(last)" i18n>Older ones</button>
          @if (before()) {
            <button type="button" matButton (click)="before.set(null)" i18n>Back to the newest</button>
          }
        </p>
      } @else if (before()) {
        <button type="button" matButton="outlined" (click)="before.set(null)" i18n>Back to the newest</button>
      }
    </section>
  `,
  styleUrl: './office.scss',
  styles: `
    .bar {
      margin-bottom: 8px;
    }
    td {
      overflow-wrap: anywhere;
    }
  `,
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class ChangesScreen {
  private readonly zone = inject(SCHOOL_ZONE);
  protected readonly words = signal('');
  protected readonly doors = signal(true);
  /** Only what is older than this; with other words it begins at the newest again. */
  protected readonly before = linkedSignal<string, string | null>({ source: this.words, computation: () => null });
  protected readonly watched = inject(ViewDesk).watch('changeLog', () => {
    const [words, before] = [this.words().trim(), this.before()];
    return {
      query: {
        ...(words ? { words } : {}),
        ...(before ? { before } : {}),
        doors: this.doors() ? ('with' as const) : ('without' as const),
      },
    };
  });
  protected readonly lines = computed(() => this.watched.data()?.lines ?? []);
  protected readonly more = computed(() => (this.watched.data()?.more ? (this.lines().at(-1)?.at ?? null) : null));

  protected when(at: string): string {
    return momentOf(at, this.zone());
  }

  protected what({ door, thing, name, made }: Line): string {
    if (thing === null) return door === null ? name : `${DOORS[door]} ${name}`.trim();
    const of = `${THINGS[thing]} ${this.shown('starts_at', name)}`;
    return made ? $localize`${of} was added` : of;
  }

  protected fieldName(field: string): string {
    return FIELDS[field] ?? field;
  }

  /** Moments are told as such, whatever field they stand in. */
  protected shown(field: string, value: string | null): string {
    if (value === null || value === '') return '–';
    return field.endsWith('_at') && /^\d{4}-\d\d-\d\dT/.test(value) ? this.when(value) : value;
  }
}
