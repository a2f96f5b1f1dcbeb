import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { MatCheckbox } from '@angular/material/checkbox';
import { MAT_DIALOG_DATA, MatDialogClose, MatDialogTitle } from '@angular/material/dialog';
import type { PassportSkill } from './passport-view';

export interface SignAsk {
  readonly trainee: string;
  readonly skills: readonly PassportSkill[];
}

/** What is about to be signed, skill by skill; single ones can be left out. Answers with the skills, or nothing. */
@Component({
  selector: 'bc-sign-card',
  imports: [MatButton, MatCheckbox, MatDialogClose, MatDialogTitle],
  template: `
    <h2 matDialogTitle i18n>
      Sign off {{ chosen().length }} {chosen().length, plural, =1 {skill} other {skills}} of {{ ask.trainee }}
    </h2>
    <div class="list" tabindex="0" role="group" aria-label="Skills to sign off" i18n-aria-label>
      @for (skill of ask.skills; track skill.id) {
        <mat-checkbox [checked]="!left().has(skill.id)" (change)="turn(skill.id)"
          ><b>{{ skill.name }}</b> {{ skill.says }}</mat-checkbox
        >
      }
    </div>
    <div class="row">
      <button type="button" matButton="filled" [disabled]="chosen().length === 0" [matDialogClose]="chosen()" i18n>
        Sign off {{ chosen().length }}
      </button>
      <button type="button" matButton="outlined" matDialogClose i18n>Cancel</button>
    </div>
  `,
  styleUrl: './judge-card.scss',
  styles: `
    .list {
      display: grid;
      gap: 6px;
      max-height: 50vh;
      overflow-y: auto;
    }
  `,
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class SignCard {
  protected readonly ask = inject<SignAsk>(MAT_DIALOG_DATA);
  protected readonly left = signal<ReadonlySet<string>>(new Set());
  protected readonly chosen = computed(() => this.ask.skills.map(({ id }) => id).filter((id) => !this.left().has(id)));

  protected turn(id: string): void {
    this.left.update((left) => new Set(left.has(id) ? [...left].filter((each) => each !== id) : [...left, id]));
  }
}
