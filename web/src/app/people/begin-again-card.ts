import { ChangeDetectionStrategy, Component } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { MatDialogModule } from '@angular/material/dialog';

/** Asks before the demo is thrown away. Answers whether it is. */
@Component({
  selector: 'bc-begin-again-card',
  imports: [MatButton, MatDialogModule],
  template: `
    <h2 mat-dialog-title i18n>Back to the beginning?</h2>
    <mat-dialog-content>
      <p i18n>
        The demo opens again on its first morning. Everything that was entered in it is thrown away, in both invented
        schools and for everybody who is looking at it, and everybody is signed out.
      </p>
    </mat-dialog-content>
    <mat-dialog-actions>
      <button type="button" matButton="filled" [mat-dialog-close]="false" i18n>Leave it as it is</button>
      <button type="button" matButton="outlined" [mat-dialog-close]="true" i18n>Throw it away and begin again</button>
    </mat-dialog-actions>
  `,
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class BeginAgainCard {}
