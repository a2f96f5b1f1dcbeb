import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { MAT_DIALOG_DATA, MatDialogClose, MatDialogTitle } from '@angular/material/dialog';
import type { Guard } from '@brave-comb/core/inspection';
import { SaidPipe } from '../../language/said';
import { FIELD } from '../../parts/field';
import { MatButton } from '@angular/material/button';

export interface GuardAsk {
  readonly title: string;
  readonly guards: readonly Guard[];
  readonly goOn: string;
}

/** What stands against a step: barred, or to be gone with a reason that is kept. Answers with the reason, or nothing. */
@Component({
  selector: 'bc-guard-card',
  imports: [MatButton, FIELD, SaidPipe, MatDialogClose, MatDialogTitle],
  template: `
    <h2 matDialogTitle>{{ ask.title }}</h2>
    @for (guard of ask.guards; track guard.id) {
      <p [class]="guard.bar === 'warns' ? 'caution' : 'stop'">{{ guard.says | said }}</p>
    }
    @if (!barred() && asksWhy()) {
      <label bcField class="text"
        ><span i18n>Your reason, kept with the visit</span
        ><mat-form-field>
          <textarea
            matInput
            #why
            rows="2"
            maxlength="500"
            [value]="reason()"
            (input)="reason.set(why.value)"
          ></textarea>
        </mat-form-field>
      </label>
    }
    <div class="row">
      <button type="button" matButton="filled" matDialogClose="put right" i18n>Put it right first</button>
      @if (!barred()) {
        <button
          type="button"
          matButton="outlined"
          [disabled]="asksWhy() && reason().trim() === ''"
          [matDialogClose]="{ reason: reason().trim() }"
        >
          {{ ask.goOn }}
        </button>
      }
    </div>
  `,
  styleUrl: './cards.scss',
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class GuardCard {
  protected readonly ask = inject<GuardAsk>(MAT_DIALOG_DATA);
  protected readonly reason = signal('');
  protected readonly barred = computed(() => this.ask.guards.some(({ bar }) => bar === 'bars'));
  protected readonly asksWhy = computed(() => this.ask.guards.some(({ bar }) => bar === 'needs-a-reason'));
}
