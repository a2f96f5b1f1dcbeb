import { ChangeDetectionStrategy, Component, inject } from '@angular/core';
import { MAT_DIALOG_DATA, MatDialogClose, MatDialogTitle } from '@angular/material/dialog';
import type { VisitFile } from '@brave-comb/contract';
import { MatButton } from '@angular/material/button';

/** Who was stung. The count stands already when nobody answers. */
@Component({
  selector: 'bc-sting-card',
  imports: [MatButton, MatDialogClose, MatDialogTitle],
  template: `
    <h2 matDialogTitle i18n>Sting counted. Who?</h2>
    <div class="people">
      @for (person of people; track person.id) {
        <button type="button" matButton="outlined" [matDialogClose]="person.id">{{ person.name }}</button>
      }
    </div>
    <p class="law" i18n>
      Scrape the sting out at once. Watch them for half an hour: breath, face, skin. Anything more than local swelling:
      open the emergency card.
    </p>
    <button type="button" matButton="outlined" [matDialogClose]="null" i18n>Answer later</button>
  `,
  styleUrl: './cards.scss',
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class StingCard {
  private readonly file = inject<VisitFile>(MAT_DIALOG_DATA);
  protected readonly people = [...this.file.trainees, this.file.visit.supervisor];
}
