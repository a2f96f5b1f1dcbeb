import { ChangeDetectionStrategy, Component, inject } from '@angular/core';
import { MAT_DIALOG_DATA, MatDialogClose, MatDialogTitle } from '@angular/material/dialog';
import type { DaySheet } from '@brave-comb/contract';
import { MatButton } from '@angular/material/button';

/** What to do, whom to call and what to say, also without signal. */
@Component({
  selector: 'bc-emergency-card',
  imports: [MatButton, MatDialogClose, MatDialogTitle],
  template: `
    <h2 matDialogTitle i18n>Emergency card</h2>
    <div class="card">
      <ol>
        @for (step of card.steps; track step) {
          <li>{{ step }}</li>
        }
      </ol>
      <div>
        <a class="call" [href]="'tel:' + card.number" i18n>Call {{ card.number }}</a>
        <dl>
          <dt i18n>Place</dt>
          <dd>{{ card.place }}</dd>
          <dt i18n>Grid</dt>
          <dd>{{ card.grid }}</dd>
          <dt i18n>Signal</dt>
          <dd>{{ card.signal }}</dd>
          <dt i18n>Kit</dt>
          <dd>{{ card.kit }}</dd>
          <dt i18n>School</dt>
          <dd>{{ card.school }}</dd>
          @for (person of card.people; track person.name) {
            <dt>{{ person.name }}</dt>
            <dd>{{ person.note }}</dd>
          }
        </dl>
      </div>
    </div>
    <p class="law" i18n>First aid only: the ambulance, the doctor and the label on the adrenaline pen come first.</p>
    <button type="button" matButton="outlined" matDialogClose i18n>Close</button>
  `,
  styleUrl: './card.scss',
  styles: `
    .card {
      display: grid;
      grid-template-columns: repeat(auto-fit, minmax(min(260px, 100%), 1fr));
      gap: 22px;
    }
    .call {
      display: grid;
      place-items: center;
      min-height: 64px;
      margin-bottom: 12px;
      border-radius: 7px;
      background: var(--madder);
      color: var(--on-spruce);
      font: 700 22px var(--display);
      text-decoration: none;
    }
  `,
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class EmergencyCard {
  protected readonly card = inject<DaySheet['emergency']>(MAT_DIALOG_DATA);
}
