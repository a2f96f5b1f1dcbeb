import { ChangeDetectionStrategy, Component, inject, signal } from '@angular/core';
import { MatDialogClose, MatDialogRef, MatDialogTitle } from '@angular/material/dialog';
import { STOP_REASONS } from '@brave-comb/core/inspection';
import { Choice } from '../choice';

export interface StopAnswer {
  readonly reason: (typeof STOP_REASONS)[number];
  readonly note: string;
}

/** Reasons to stop before all was seen. */
const EARLY = STOP_REASONS.filter((reason) => reason !== 'question-answered');

/** Why the visit stops before all was seen that it was opened for. */
@Component({
  selector: 'bc-stop-card',
  imports: [MatDialogClose, MatDialogTitle, Choice],
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
    <label class="text"
      ><ng-container i18n>In words</ng-container
      ><textarea #words rows="2" maxlength="500" [value]="note()" (input)="note.set(words.value)"></textarea>
    </label>
    <p i18n>The visit is recorded as partial.</p>
    <div class="row">
      <button type="button" class="big sel" [disabled]="!reason()" (click)="keep()" i18n>Stop and start closing</button>
      <button type="button" class="big" matDialogClose i18n>Go on</button>
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
