import { ChangeDetectionStrategy, Component, inject } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { MAT_DIALOG_DATA, MatDialogModule } from '@angular/material/dialog';

/** Asks before somebody signs out while entries wait on the device, or without signal. Answers whether they do. */
@Component({
  selector: 'bc-sign-out-card',
  imports: [MatButton, MatDialogModule],
  template: `
    <h2 mat-dialog-title i18n>Sign out now?</h2>
    <mat-dialog-content>
      @if (asked.waiting > 0) {
        <p i18n>
          {asked.waiting, plural,
            =1 {1 entry has not been sent yet. It stays on this device under your name, hidden from others, and is sent}
            other {
              {{ asked.waiting }} entries have not been sent yet. They stay on this device under your name, hidden from
              others, and are sent
            }
          }
          when you sign in here again.
        </p>
      }
      @if (!asked.online) {
        <p i18n>
          There is no signal: nobody can sign in here until there is one again. The school's data is removed from this
          device at once.
        </p>
      }
    </mat-dialog-content>
    <mat-dialog-actions>
      <button type="button" matButton="filled" [mat-dialog-close]="false" i18n>Stay signed in</button>
      <button type="button" matButton="outlined" [mat-dialog-close]="true" i18n>Sign out</button>
    </mat-dialog-actions>
  `,
  styles: `
    p {
      margin-bottom: 8px;
    }
  `,
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class SignOutCard {
  protected readonly asked = inject<{ readonly waiting: number; readonly online: boolean }>(MAT_DIALOG_DATA);
}
