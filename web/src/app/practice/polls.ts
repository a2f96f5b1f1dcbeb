import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { toSignal } from '@angular/core/rxjs-interop';
import type { Output, endpoints } from '@brave-comb/contract';
import { POLL_ANSWERS, POLL_MOMENTS, type PollAnswer } from '@brave-comb/core/practice';
import { Store } from '@ngrx/store';
import { follows } from '../ui/follows';
import { peopleFeature } from '../people/people.feature';
import { ViewDesk } from '../api/view-desk';
import { ViewState } from '../api/view-state';
import { dateText } from '../ui/format';
import { FIELD } from '../parts/field';
import { MatButtonToggle, MatButtonToggleGroup } from '@angular/material/button-toggle';

type Poll = Output<(typeof endpoints)['polls']>['polls'][number];
type Question = Poll['questions'][number];

/** What a group feels ready for, asked before a lesson and again after it. */
@Component({
  selector: 'bc-polls',
  imports: [MatButtonToggle, MatButtonToggleGroup, FIELD, MatButton, ViewState],
  templateUrl: './polls.html',
  styleUrl: './polls.scss',
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class PollsScreen {
  private readonly desk = inject(ViewDesk);
  protected readonly watched = this.desk.watch('polls', () => ({}));
  private readonly person = toSignal(inject(Store).select(peopleFeature.selectPerson));
  protected readonly trainee = computed(() => this.person()?.role === 'trainee');
  protected readonly answers = POLL_ANSWERS;
  protected readonly answerWords: Readonly<Record<PollAnswer, string>> = {
    yes: $localize`yes`,
    no: $localize`no`,
    unsure: $localize`unsure`,
  };
  protected readonly moments = POLL_MOMENTS;
  protected readonly sessions = computed(() => this.watched.data()?.sessions ?? []);
  protected readonly picked = signal('');
  protected readonly session = computed(
    () => this.sessions().find(({ id, group }) => `${id}/${group}` === this.picked()) ?? this.sessions()[0] ?? null,
  );
  protected readonly draft = follows(
    () => (this.session()?.suggested ?? []).join('\n'),
    () => this.session()?.id,
  );
  protected readonly day = dateText;

  protected bars(question: Question) {
    return POLL_MOMENTS.flatMap((moment) => {
      const counts = question.counts?.[moment];
      if (!counts) return [];
      const all = POLL_ANSWERS.reduce((sum, answer) => sum + counts[answer], 0);
      return [
        {
          moment,
          says: POLL_ANSWERS.map((answer) => `${counts[answer]} ${answer}`).join(', '),
          parts: POLL_ANSWERS.map((answer) => ({ answer, share: (100 * counts[answer]) / Math.max(1, all) })),
        },
      ];
    });
  }

  protected vote({ id, moment }: Poll, question: number, answer: PollAnswer): void {
    const body = { moment, answers: [{ question, answer }] };
    this.desk.change('answerPoll', { params: { poll: id }, body }, 'polls');
  }

  protected ask(event: Event): void {
    event.preventDefault();
    const session = this.session();
    const questions = this.draft()
      .split('\n')
      .map((line) => line.trim())
      .filter((line) => line !== '');
    if (!session || questions.length === 0) return;
    const body = { id: this.desk.newId(), session: session.id, group: session.group, questions };
    this.desk.change('askPoll', { body }, 'polls');
  }
}
