import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { MatDialogClose, MatDialogRef, MatDialogTitle } from '@angular/material/dialog';
import { Store } from '@ngrx/store';
import { follows } from '../../ui/follows';
import { inspectionFeature } from '../../inspection/inspection.feature';
import { VisitDesk } from '../../inspection/visit-desk';
import { Choice } from '../choice';
import { HiveJobs } from '../hive-jobs';
import { Named, named } from '../../language/words';
import { FIELD } from '../../parts/field';
import { MatButton } from '@angular/material/button';

/** Ways of helping, the least first. */
const PROMPTS = [
  $localize`asked what comes next`,
  $localize`named the step`,
  $localize`pointed`,
  $localize`showed it once`,
  $localize`hand over hand`,
];

/** What helped, and a note, to a judgement of this visit. */
@Component({
  selector: 'bc-judgement-card',
  imports: [MatButton, FIELD, Named, MatDialogClose, MatDialogTitle, Choice],
  template: `
    <h2 matDialogTitle i18n>What helped, and a note</h2>
    @if (chosen(); as judged) {
      <bc-choice
        legend="Judged"
        i18n-legend
        [options]="ids()"
        [words]="words()"
        [value]="id()"
        (chosen)="id.set($event)"
      />
      <bc-choice legend="What helped" i18n-legend [options]="prompts" [value]="prompt()" (chosen)="helped($event)" />
      <label bcField class="text"
        ><span i18n>Note for the debrief</span
        ><mat-form-field>
          <textarea
            matInput
            #words_
            rows="2"
            maxlength="500"
            [value]="note()"
            (input)="note.set(words_.value)"
          ></textarea>
        </mat-form-field>
      </label>
      <div class="row">
        <button type="button" matButton="filled" (click)="keep()" i18n>
          Save with "{{ judged.level | named: 'skillLevel' }}"
        </button>
        <button type="button" matButton="outlined" matDialogClose i18n>Back to the hive</button>
      </div>
    } @else {
      <p i18n>Nobody has been assessed in this visit yet: choose trainee, skill and level first.</p>
      <button type="button" matButton="outlined" matDialogClose i18n>Back to the hive</button>
    }
  `,
  styleUrl: './cards.scss',
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class JudgementCard {
  private readonly store = inject(Store);
  private readonly desk = inject(VisitDesk);
  private readonly dialog = inject(MatDialogRef<JudgementCard>);
  private readonly jobs = inject(HiveJobs);
  private readonly file = this.store.selectSignal(inspectionFeature.selectFile);
  private readonly record = this.store.selectSignal(inspectionFeature.selectRecord);
  protected readonly prompts = PROMPTS;

  private readonly judgements = computed(() => this.record().judgements.toReversed());
  protected readonly ids = computed(() => this.judgements().map(({ id }) => id));
  protected readonly words = computed<Readonly<Record<string, string>>>(() =>
    Object.fromEntries(
      this.judgements().map(({ id, trainee, skill, level }) => [
        id,
        `${this.jobs.names()[trainee] ?? $localize`somebody`}, ${this.file()?.skills.find((each) => each.id === skill)?.name ?? skill}: ${named('skillLevel', level)}`,
      ]),
    ),
  );
  /** The judgement made last stands first. */
  protected readonly id = follows<string | null>(() => this.ids()[0] ?? null);
  protected readonly chosen = computed(() => this.judgements().find(({ id }) => id === this.id()) ?? null);
  protected readonly prompt = follows(() => this.chosen()?.prompt ?? '', this.id);
  protected readonly note = follows(() => this.chosen()?.note ?? '', this.id);

  protected helped(prompt: string): void {
    this.prompt.set(prompt === this.prompt() ? '' : prompt);
  }

  protected keep(): void {
    const judged = this.chosen();
    if (!judged) return;
    const { trainee, skill, level } = judged;
    const [prompt, note] = [this.prompt(), this.note().trim()];
    this.desk.enter({
      kind: 'skill-judged',
      trainee,
      skill,
      level,
      ...(prompt ? { prompt } : {}),
      ...(note ? { note } : {}),
    });
    this.dialog.close();
  }
}
