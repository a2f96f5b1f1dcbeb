import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { MatDialogModule } from '@angular/material/dialog';
import { ViewDesk } from '../api/view-desk';
import { ViewState } from '../api/view-state';
import { dayOf } from '../ui/format';
import { FIELD } from '../parts/field';

/** The secret address of one's own calendar: made, shown once, revoked. */
@Component({
  selector: 'bc-calendar-address',
  imports: [FIELD, MatButton, MatDialogModule, ViewState],
  template: `
    <h2 mat-dialog-title i18n>My calendar address</h2>
    <mat-dialog-content>
      <bc-view-state [watched]="watched" name="Your address" i18n-name />
      <p i18n>
        Any calendar program can subscribe to it: your sessions, and for those who open hives what is due. Anyone with
        the address can read it, so do not share it.
      </p>
      @if (address(); as made) {
        <label bcField class="made"
          ><span i18n>Copy it now: it is shown only once</span
          ><mat-form-field><input matInput readonly #field [value]="made" (focus)="field.select()" /></mat-form-field>
        </label>
      } @else if (since(); as when) {
        <p i18n>One has been in use since {{ when }}. It is not shown again; a new one replaces it.</p>
      } @else {
        <p i18n>You have none yet.</p>
      }
    </mat-dialog-content>
    <mat-dialog-actions>
      @if (since()) {
        <button type="button" matButton="outlined" (click)="revoke()" i18n>Disable it</button>
      }
      <button type="button" matButton="filled" (click)="create()" i18n>
        {!!since(), select, true {Make a new one} other {Make one}}
      </button>
      <button type="button" matButton="outlined" mat-dialog-close i18n>Close</button>
    </mat-dialog-actions>
  `,
  styles: `
    p {
      margin-bottom: 8px;
    }
    .made {
      display: grid;
      gap: 4px;
      font-size: var(--t-dense);
    }
    mat-dialog-actions {
      gap: 8px;
    }
  `,
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class CalendarFeedCard {
  private readonly desk = inject(ViewDesk);
  protected readonly watched = this.desk.watch('calendarFeed', () => ({}));
  private readonly made = this.desk.lastAnswer('createCalendarFeed');
  protected readonly address = computed(() => {
    const made = this.made() as { path: string } | null;
    return made ? new URL(made.path, globalThis.location.origin).href : null;
  });
  protected readonly since = computed(() => {
    const since = this.watched.data()?.since;
    return since ? dayOf(since, Intl.DateTimeFormat().resolvedOptions().timeZone) : null;
  });

  protected create(): void {
    this.desk.change('createCalendarFeed', {}, 'calendarFeed', false);
  }

  protected revoke(): void {
    this.desk.change('revokeCalendarFeed', {}, 'calendarFeed', false);
  }
}
