import { ChangeDetectionStrategy, Component, inject, signal } from '@angular/core';
import { MatDialogClose, MatDialogRef, MatDialogTitle } from '@angular/material/dialog';
import { STOP_REASONS } from '@brave-comb/core/inspection';
import { Choice } from '../choice';
import { FIELD } from '../../parts/field';
import { MatButton } from '@angular/material/button';

export interface StopAnswer {
  readonly reason: (typeof STOP_REASONS)[number];
  readonly note: string;
}

/** Reasons to stop before all was seen. */
const EARLY = STOP_REASONS.filter((reason) => reason !== 'question-answered');

/** Why the visit stops before all was seen that it was opened for. */
@Component({
  selector: 'bc-stop-card',
  imports: [MatButton, FIELD, MatDialogClose, MatDialogTitle, Choice],
  template: `
    <h2 matDialogTitle i18n>Stop here: why?</h2>
    <bc-choice
      legend="Because of"
      i18n-legend
      of="stopReason"
      [options]="reasons"
      [value]="reason()"
      (chosen)="reason.set($event)"
    />
    <label bcField class="text"
      ><span i18n>In words</span
      ><mat-form-field>
        <textarea matInput #words rows="2" maxlength="500" [value]="note()" (input)="note.set(words.value)"></textarea>
      </mat-form-field>
    </label>
    <p i18n>The visit is recorded as partial.</p>
    <div class="row">
      <button type="button" matButton="filled" [disabled]="!reason()" (click)="keep()" i18n>
        Stop and start closing
      </button>
      <button type="button" matButton="outlined" matDialogClose i18n>Go on</button>
    </div>
  `,
  styleUrl: './cards.scss',
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class StopCard {
  private readonly dialog = inject(MatDialogRef<StopCard, StopAnswer>);
  protected readonly reasons = EARLY;
  protected readonly reason = signal<StopAnswer['reason'] | null>(null);
  protected readonly note = signal('');

  protected keep(): void {
    const reason = this.reason();
    if (reason) this.dialog.close({ reason, note: this.note().trim() });
  }
}
