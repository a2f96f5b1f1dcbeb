import { ChangeDetectionStrategy, Component, inject, signal } from '@angular/core';
import { MatDialogClose, MatDialogRef, MatDialogTitle } from '@angular/material/dialog';
import { PHOTO_SUBJECTS } from '@brave-comb/core/inspection';
import { Photos } from '../../inspection/photos';
import { VisitDesk } from '../../inspection/visit-desk';
import { Choice } from '../choice';
import { HiveJobs } from '../hive-jobs';
import { FIELD } from '../../parts/field';
import { FileButton } from '../../parts/file-button';
import { MatButton } from '@angular/material/button';

const SURE = ['not-asked', '50', '70', '90'] as const;

/** A photo, a mark that nobody can name, or a question: it goes to the lead's list with its place. */
@Component({
  selector: 'bc-question-card',
  imports: [MatButton, FileButton, FIELD, MatDialogClose, MatDialogTitle, Choice],
  template: `
    <h2 matDialogTitle i18n>Photo or question</h2>
    <p>{{ desk.where() }}</p>
    <bc-choice
      legend="Photo of"
      i18n-legend
      of="photoSubject"
      [options]="subjects"
      [value]="of()"
      (chosen)="of.set($event)"
    />
    <bc-file
      accept="image/*"
      capture="environment"
      (chosen)="take($event)"
      i18n
      >{busy() ? 'busy' : photo() ? 'again' : 'first', select,
        busy {Preparing the photo …}
        again {Take another}
        other {Take a photo}
      }</bc-file
    >
    @if (photo()) {
      <p role="status" i18n>
        The photo is kept on this device and sent when there is a signal. Its location and camera details are removed.
      </p>
    }
    @if (problem(); as wrong) {
      <p class="stop" role="alert">{{ wrong }}</p>
    }
    <label bcField class="text"
      ><span i18n>Question, or what you see and cannot identify</span
      ><mat-form-field>
        <textarea matInput #words rows="2" maxlength="500" [value]="text()" (input)="text.set(words.value)"></textarea>
      </mat-form-field>
    </label>
    <bc-choice
      legend="How sure of your own answer, %"
      i18n-legend
      [options]="sureSteps"
      [words]="sureWords"
      [value]="sure()"
      (chosen)="sure.set($event)"
    />
    <bc-choice
      legend="Whose question"
      i18n-legend
      [options]="jobs.people()"
      [words]="jobs.names()"
      [value]="who()"
      (chosen)="who.set($event === who() ? null : $event)"
    />
    <div class="row">
      <button type="button" matButton="filled" [disabled]="text().trim() === ''" (click)="ask()" i18n>
        Send to the lead instructor
      </button>
      <button type="button" matButton="outlined" matDialogClose i18n>Back to the hive</button>
    </div>
  `,
  styleUrl: './cards.scss',
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class QuestionCard {
  protected readonly desk = inject(VisitDesk);
  private readonly photos = inject(Photos);
  private readonly dialog = inject(MatDialogRef<QuestionCard>);
  protected readonly jobs = inject(HiveJobs);
  protected readonly subjects = PHOTO_SUBJECTS;
  protected readonly sureSteps = SURE;
  protected readonly sureWords = { 'not-asked': $localize`not asked` };
  protected readonly of = signal<(typeof PHOTO_SUBJECTS)[number]>('side');
  protected readonly text = signal('');
  protected readonly sure = signal<(typeof SURE)[number]>('not-asked');
  protected readonly who = signal<string | null>(null);
  protected readonly photo = signal<string | null>(null);
  protected readonly busy = signal(false);
  protected readonly problem = signal<string | null>(null);

  protected async take(file: File): Promise<void> {
    this.busy.set(true);
    this.problem.set(null);
    const kept = await this.photos.keep(file, this.of(), this.desk.spot());
    this.busy.set(false);
    if ('problem' in kept) this.problem.set(kept.problem);
    else this.photo.set(kept.id);
  }

  protected ask(): void {
    const sure = this.sure();
    this.desk.enter({
      kind: 'question-asked',
      text: this.text().trim(),
      person: this.who(),
      spot: this.desk.spot(),
      photo: this.photo(),
      sure: sure === 'not-asked' ? null : Number(sure),
    });
    this.dialog.close();
  }
}
