import { said } from '../language/said';
import { ChangeDetectionStrategy, Component, computed, effect, inject, untracked } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { toSignal } from '@angular/core/rxjs-interop';
import { RouterLink } from '@angular/router';
import type { AskedQuestion } from '@brave-comb/contract';
import { spotText } from '@brave-comb/core/inspection';
import { Store } from '@ngrx/store';
import { peopleFeature } from '../people/people.feature';
import { ViewDesk } from '../api/view-desk';
import { ViewState } from '../api/view-state';
import { momentOf } from '../ui/format';
import { AttachmentView } from './attachment-view';
import { DeviceStore } from '../device/device-store';
import { FIELD } from '../parts/field';

/** Questions asked at the hives and marks that nobody could name, with the lead's answers. */
@Component({
  selector: 'bc-questions',
  imports: [FIELD, MatButton, RouterLink, ViewState, AttachmentView],
  template: `
    <bc-view-state [watched]="watched" name="The questions" i18n-name />
    @if (watched.data(); as data) {
      <section class="sheet" aria-labelledby="questions-title">
        <h1 id="questions-title" i18n>Questions from the hives</h1>
        <ul>
          @for (question of data.questions; track question.id) {
            <li>
              <h2>{{ question.text }}</h2>
              <p class="where" i18n>
                <a [routerLink]="['/afterwards', question.visit]">Hive {{ question.hiveNumber }}</a
                >, {{ place(question) }}{{ when(question) }}; {{ question.group }},
                {{ question.person ?? question.askedBy
                }}{question.sure === null, select, true {} other {, {{ question.sure }} % sure}}
              </p>
              @if (question.photo; as photo) {
                <bc-attachment-view [attachment]="photo" name="Photo to: {{ question.text }}" i18n-name />
              }
              @if (question.answer; as answer) {
                <p>
                  <b>{{ answer.text }}</b> <small>{{ answer.by }}</small>
                </p>
              }
              @if (mayAnswer()) {
                <form (submit)="answer($event, question.id, field)">
                  <label bcField
                    ><span class="unseen" i18n>Answer to: {{ question.text }}</span>
                    <mat-form-field>
                      <textarea
                        matInput
                        #field
                        rows="2"
                        maxlength="1000"
                        [placeholder]="question.answer ? anotherAnswer : firstAnswer"
                      ></textarea>
                    </mat-form-field>
                  </label>
                  <button type="submit" matButton="filled" i18n>Answer</button>
                </form>
              }
            </li>
          } @empty {
            <li i18n>Nobody has asked anything yet. At the hive, "More" has "Photo or question".</li>
          }
        </ul>
      </section>
    }
  `,
  styles: `
    section {
      max-width: 860px;
      margin: 18px auto;
      padding: 16px 20px 18px;
    }
    h1 {
      font-size: 20px;
    }
    h2 {
      font-size: 16px;
    }
    li {
      display: grid;
      gap: 6px;
      padding: 12px 0;
      border-top: 1px solid var(--line-2);
    }
    .where {
      color: var(--ink-2);
    }
    form {
      display: flex;
      gap: 10px;
      align-items: end;
    }
    label {
      flex: 1;
    }
    textarea {
      width: 100%;
    }
  `,
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class QuestionsScreen {
  protected readonly firstAnswer = $localize`Answer`;
  protected readonly anotherAnswer = $localize`Another answer`;
  private readonly desk = inject(ViewDesk);
  protected readonly watched = this.desk.watch('askedQuestions', () => ({}));
  private readonly store = inject(Store);
  private readonly person = toSignal(this.store.select(peopleFeature.selectPerson));
  private readonly device = inject(DeviceStore);

  constructor() {
    // What was just asked may still be on its way, also from a page that was left meanwhile.
    const waits = computed(() => this.device.unsentEntries() > 0);
    let waited = false;
    effect(() => {
      if (!waits() && waited) untracked(() => this.watched.reload());
      waited = waits();
    });
  }

  protected mayAnswer(): boolean {
    return this.person()?.role !== 'trainee';
  }

  protected place({ spot }: AskedQuestion): string {
    return spot ? `${said(spotText(spot))}, ` : '';
  }

  protected when({ askedAt, zone }: AskedQuestion): string {
    return momentOf(askedAt, zone);
  }

  protected answer(event: Event, question: string, field: HTMLTextAreaElement): void {
    event.preventDefault();
    const text = field.value.trim();
    if (text === '') return;
    this.desk.change('answerQuestion', { params: { question }, body: { text } }, 'askedQuestions', false);
    field.value = '';
  }
}
