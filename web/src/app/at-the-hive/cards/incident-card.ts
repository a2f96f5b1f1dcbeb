import { ChangeDetectionStrategy, Component, inject, signal } from '@angular/core';
import { MAT_DIALOG_DATA, MatDialogClose, MatDialogRef, MatDialogTitle } from '@angular/material/dialog';
import type { VisitFile } from '@brave-comb/contract';
import { INCIDENTS } from '@brave-comb/core/inspection';
import { VisitDesk } from '../../inspection/visit-desk';
import { Choice } from '../choice';
import { FIELD } from '../../parts/field';
import { MatButton } from '@angular/material/button';

/** An incident in two taps: what, and to whom. */
@Component({
  selector: 'bc-incident-card',
  imports: [MatButton, FIELD, MatDialogClose, MatDialogTitle, Choice],
  template: `
    <h2 matDialogTitle i18n>Incident</h2>
    <bc-choice
      legend="What happened"
      i18n-legend
      of="incident"
      [options]="incidents"
      [value]="what()"
      (chosen)="what.set($event)"
    />
    @if (what() === 'sting-reaction') {
      <p class="stop" i18n>
        Trouble breathing, swollen face, faintness, a rash all over: call for help now. The emergency card says how.
      </p>
    }
    <label bcField class="text"
      ><span i18n>In words</span
      ><mat-form-field>
        <textarea matInput #words rows="2" maxlength="500" [value]="text()" (input)="text.set(words.value)"></textarea>
      </mat-form-field>
    </label>
    <fieldset>
      <legend i18n>To whom</legend>
      <div class="row">
        @for (person of people; track person.id) {
          <button type="button" matButton="outlined" [disabled]="!what()" (click)="keep(person.id)">
            {{ person.name }}
          </button>
        }
        <button type="button" matButton="outlined" [disabled]="!what()" (click)="keep(null)" i18n>
          nobody, the hive
        </button>
      </div>
    </fieldset>
    <button type="button" matButton="outlined" matDialogClose i18n>Back to the hive</button>
  `,
  styleUrl: './cards.scss',
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class IncidentCard {
  private readonly desk = inject(VisitDesk);
  private readonly dialog = inject(MatDialogRef<IncidentCard>);
  private readonly file = inject<VisitFile>(MAT_DIALOG_DATA);
  protected readonly people = [...this.file.trainees, this.file.visit.supervisor];
  protected readonly incidents = INCIDENTS;
  protected readonly what = signal<(typeof INCIDENTS)[number] | null>(null);
  protected readonly text = signal('');

  protected keep(person: string | null): void {
    const what = this.what();
    if (!what) return;
    this.desk.enter({ kind: 'incident-noted', what, person, text: this.text().trim() });
    this.dialog.close();
  }
}
