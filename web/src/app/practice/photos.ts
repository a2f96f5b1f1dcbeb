import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { AttachmentView } from '../inspection/attachment-view';
import { ViewDesk } from '../api/view-desk';
import { ViewState } from '../api/view-state';
import { dayOf } from '../ui/format';
import { FIELD } from '../parts/field';

/** The school's own photos made into drills: a question, its choices, and what to say afterwards. */
@Component({
  selector: 'bc-photo-drills',
  imports: [FIELD, MatButton, AttachmentView, ViewState],
  template: `
    <bc-view-state [watched]="watched" name="The photos" i18n-name />
    @if (watched.data(); as data) {
      <div class="g">
        <section class="sheet" aria-labelledby="bank">
          <h1 id="bank" i18n>Own photos</h1>
          @if (data.photos.length === 0) {
            <p i18n>No photo has been taken at a hive yet. At the hive, "More" has "Photo or question".</p>
          }
          <ul class="bank">
            @for (photo of data.photos; track photo.id) {
              <li>
                <button
                  type="button"
                  matButton="outlined"
                  [attr.aria-pressed]="photo.id === picked()"
                  (click)="picked.set(photo.id)"
                  i18n
                >
                  {{ photo.of }}, hive {{ photo.hive }}, {{ day(photo.takenAt)
                  }}{{ photo.spot ? ', ' + photo.spot : '' }}
                </button>
              </li>
            }
          </ul>
        </section>
        @if (chosen(); as photo) {
          <section class="sheet" aria-labelledby="make">
            <h2 id="make" i18n>Make a drill of it</h2>
            <bc-attachment-view [attachment]="photo.id" name="The chosen photo" i18n-name />
            <form
              (submit)="make($event, photo.id, question.value, right.value, [first.value, second.value], says.value)"
            >
              <label bcField
                ><span i18n>Question</span
                ><mat-form-field
                  ><input matInput #question maxlength="300" required value="What does it show?" /></mat-form-field
              ></label>
              <label bcField
                ><span i18n>Right</span
                ><mat-form-field><input matInput #right maxlength="300" required /></mat-form-field
              ></label>
              <label bcField
                ><span i18n>Wrong</span
                ><mat-form-field><input matInput #first maxlength="300" required /></mat-form-field
              ></label>
              <label bcField
                ><span i18n>Also wrong</span><mat-form-field><input matInput #second maxlength="300" /></mat-form-field
              ></label>
              <label bcField
                ><span i18n>What to say afterwards</span
                ><mat-form-field><textarea matInput #says rows="2" maxlength="500"></textarea></mat-form-field>
              </label>
              @if (problem()) {
                <p class="bad" role="alert">{{ problem() }}</p>
              }
              <button type="submit" matButton="filled" i18n>Add to practice</button>
            </form>
          </section>
        }
        <section class="sheet" aria-labelledby="asked">
          <h2 id="asked" i18n>Asked in practice</h2>
          <ul>
            @for (drill of data.drills; track drill.id) {
              <li class="drill">
                <b>{{ drill.question }}</b>
                <span i18n
                  >{{ drill.choices[drill.answer] }}; not: {{ wrong(drill.choices, drill.answer) }}.
                  {{ drill.says }}</span
                >
                <button type="button" matButton class="small" (click)="retire(drill.id)" i18n>
                  Remove it from practice
                </button>
              </li>
            } @empty {
              <li i18n>None yet.</li>
            }
          </ul>
        </section>
      </div>
    }
  `,
  styles: `
    .g {
      display: grid;
      grid-template-columns: repeat(auto-fit, minmax(min(320px, 100%), 1fr));
      gap: 24px;
      align-items: start;
      margin-top: 16px;
      padding-bottom: 24px;
    }
    .sheet {
      display: grid;
      gap: 10px;
      padding: 12px 16px 14px;
    }
    h1 {
      font-size: 21px;
    }
    h2 {
      font-size: 17px;
    }
    .bank {
      display: grid;
      gap: 6px;
    }
    .bank button {
      width: 100%;
      justify-content: flex-start;
    }
    form,
    label {
      display: grid;
      gap: 4px;
    }
    form {
      gap: 10px;
    }
    .drill {
      display: grid;
      gap: 3px;
      justify-items: start;
      padding: 8px 0;
      border-top: 1px solid var(--line-2);
    }
    .bad {
      color: var(--rust-text);
    }
  `,
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class PhotoDrillsScreen {
  private readonly desk = inject(ViewDesk);
  protected readonly watched = this.desk.watch('photoBank', () => ({}));
  protected readonly picked = signal('');
  protected readonly problem = signal('');
  protected readonly chosen = computed(() => {
    const photos = this.watched.data()?.photos ?? [];
    return photos.find(({ id }) => id === this.picked()) ?? photos[0] ?? null;
  });

  protected day(takenAt: string): string {
    return dayOf(takenAt, 'utc');
  }

  protected wrong(choices: readonly string[], answer: number): string {
    return choices.filter((_, place) => place !== answer).join(', ');
  }

  protected make(
    event: Event,
    attachment: string,
    question: string,
    right: string,
    others: readonly string[],
    says: string,
  ): void {
    event.preventDefault();
    const choices = [right, ...others].map((each) => each.trim()).filter((each) => each !== '');
    const alike = new Set(choices.map((each) => each.toLowerCase())).size < choices.length;
    this.problem.set(
      alike
        ? $localize`Two choices are the same: change one.`
        : choices.length < 2
          ? $localize`Give a wrong choice too.`
          : '',
    );
    if (this.problem() !== '') return;
    // The right one must not always be the first.
    const sorted = choices.toSorted((a, b) => a.localeCompare(b));
    const body = {
      id: this.desk.newId(),
      attachment,
      question: question.trim(),
      choices: sorted,
      answer: sorted.indexOf(right.trim()),
      says: says.trim(),
    };
    this.desk.change('makePhotoDrill', { body }, 'photoBank');
    (event.target as HTMLFormElement).reset();
  }

  protected retire(drill: string): void {
    this.desk.change('retirePhotoDrill', { params: { drill } }, 'photoBank');
  }
}
