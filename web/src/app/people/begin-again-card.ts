import { ChangeDetectionStrategy, Component } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { MatDialogModule } from '@angular/material/dialog';

/** Asks before the demo is thrown away. Answers whether it is. */
@Component({
  selector: 'bc-begin-again-card',
  imports: [MatButton, MatDialogModule],
  template: `
    <h2 mat-dialog-title i18n>Start the demo again?</h2>
    <mat-dialog-content>
      <p i18n>
        The demo opens again on its first morning. Everything entered in it is deleted, in both invented schools and for
        everyone using it, and everyone is signed out.
      </p>
    </mat-dialog-content>
    <mat-dialog-actions>
      <button type="button" matButton="filled" [mat-dialog-close]="false" i18n>Cancel</button>
      <button type="button" matButton="outlined" [mat-dialog-close]="true" i18n>Delete it and start again</button>
    </mat-dialog-actions>
  `,
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class BeginAgainCard {}
