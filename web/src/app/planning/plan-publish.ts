import { ChangeDetectionStrategy, Component, inject } from '@angular/core';
import { MatButton } from '@angular/material/button';
import {
  MAT_DIALOG_DATA,
  MatDialogActions,
  MatDialogClose,
  MatDialogContent,
  MatDialogRef,
  MatDialogTitle,
} from '@angular/material/dialog';
import { FIELD } from '../parts/field';

/** Whom a plan touches when it is published. */
export interface PublishTouches {
  /** Groups and supervisors whose sessions change, with how many people they are. */
  readonly who: readonly string[];
  readonly people: number;
}

/** Asked before a plan is published: who gets a message, and what it says beside the changes. */
@Component({
  selector: 'bc-plan-publish',
  imports: [FIELD, MatButton, MatDialogActions, MatDialogClose, MatDialogContent, MatDialogTitle],
  template: `
    <h2 matDialogTitle i18n>Publish this plan?</h2>
    <mat-dialog-content>
      @if (data.people === 0) {
        <p i18n>Nobody’s sessions change: only what staff open.</p>
      } @else {
        <p i18n>
          {data.people, plural, =1 {One person gets a message} other {{{ data.people }} people get a message}}:
          {{ data.who.join(', ') }}.
        </p>
      }
      <label bcField>
        <span i18n>Note to everyone affected</span>
        <mat-form-field><input matInput #note type="text" maxlength="300" /></mat-form-field>
      </label>
    </mat-dialog-content>
    <mat-dialog-actions>
      <button type="button" matButton="outlined" [matDialogClose]="null" i18n>Cancel</button>
      <button type="button" matButton="filled" (click)="ref.close(note.value)" i18n>Publish</button>
    </mat-dialog-actions>
  `,
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class PlanPublish {
  protected readonly ref = inject<MatDialogRef<PlanPublish, string | null>>(MatDialogRef);
  protected readonly data = inject<PublishTouches>(MAT_DIALOG_DATA);
}
