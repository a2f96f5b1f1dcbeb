import { said } from '../../language/said';
import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { MAT_DIALOG_DATA, MatDialogClose, MatDialogTitle } from '@angular/material/dialog';
import { type NoteLine, formatSide, readNotes } from '@brave-comb/core/inspection';
import { FIELD } from '../../parts/field';
import { MatButton } from '@angular/material/button';

/** A line of notes that could be read. */
export type ReadNote = Extract<NoteLine, { side: unknown }>;

/** Pasted notes, a side a line. What cannot be read stays in its place with what is wrong with it. */
@Component({
  selector: 'bc-notes-card',
  imports: [MatButton, FIELD, MatDialogClose, MatDialogTitle],
  template: `
    <h2 matDialogTitle i18n>Pasted notes</h2>
    <mat-form-field>
      <textarea
        matInput
        #field
        class="notes"
        rows="8"
        aria-label="Notes, a side a line"
        i18n-aria-label
        [value]="text()"
        (input)="text.set(field.value)"
      ></textarea>
    </mat-form-field>
    <ul class="lines">
      @for (line of lines(); track line.line) {
        <li [class.bad]="line.problem">
          <b>{{ line.line }}</b> {{ line.said }}
        </li>
      }
    </ul>
    <div class="row">
      <button type="button" matButton="outlined" matDialogClose i18n>Not now</button>
      <button type="button" matButton="filled" [disabled]="read().length === 0" [matDialogClose]="read()" i18n>
        Record {{ read().length }} {read().length, plural, =1 {side} other {sides}}
      </button>
    </div>
  `,
  styleUrl: './cards.scss',
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class NotesCard {
  private readonly data = inject<{ readonly text: string; readonly frames: number }>(MAT_DIALOG_DATA);
  protected readonly text = signal(this.data.text);
  private readonly notes = computed(() => readNotes(this.text(), this.data.frames));
  protected readonly read = computed(() => this.notes().flatMap((line) => ('side' in line ? [line] : [])));
  protected readonly lines = computed(() =>
    this.notes().map((line) =>
      'side' in line
        ? { line: line.line, said: $localize`frame ${line.address.frame}\: ${formatSide(line.side)}`, problem: false }
        : { line: line.line, said: `${line.text} – ${said(line.problem)}`, problem: true },
    ),
  );
}
