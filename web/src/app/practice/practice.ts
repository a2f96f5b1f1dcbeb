import { Named } from '../language/words';
import { SaidPipe } from '../language/said';
import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { toSignal } from '@angular/core/rxjs-interop';
import { RouterLink } from '@angular/router';
import { PLACES, type Progress, TOPICS, type TopicId, topicForLetters, topicOf } from '@brave-comb/core/practice';
import { Store } from '@ngrx/store';
import { map } from 'rxjs';
import { peopleFeature } from '../people/people.feature';
import { ViewState } from '../api/view-state';
import { dateText, oddsText } from '../ui/format';
import { PracticeDesk } from './practice-desk';
import { rightText, whenText } from './progress-text';

/** Drills that are listed as due before the rest is only counted. */
const LISTED = 6;

/** What is due, and everything that can be practised, with how well it is known. */
@Component({
  selector: 'bc-practice',
  imports: [MatButton, Named, SaidPipe, RouterLink, ViewState],
  providers: [PracticeDesk],
  templateUrl: './practice.html',
  styleUrl: './practice.scss',
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class PracticeScreen {
  protected readonly desk = inject(PracticeDesk);
  protected readonly listed = LISTED;
  protected readonly date = dateText;
  protected readonly staff = toSignal(
    inject(Store)
      .select(peopleFeature.selectPerson)
      .pipe(map((person) => person !== null && person.role !== 'trainee')),
  );
  protected readonly due = computed(() => this.desk.due().map(({ topic }) => topicOf(topic)));
  /** What is read wrong at the hive again and again, with the drill that follows. */
  protected readonly habits = computed(() =>
    (this.desk.data()?.habits ?? []).map(({ says, letters }) => ({ says, topic: topicOf(topicForLetters(letters)) })),
  );
  protected readonly places = computed(() =>
    PLACES.map((place) => ({
      place,
      topics: TOPICS.filter((topic) => topic.place === place).map((topic) => ({
        ...topic,
        ...this.standing(this.desk.progress().find((each) => each.topic === topic.id)!),
      })),
    })),
  );
  /** How often eggs were found on either ground. */
  protected readonly grounds = computed(() => {
    const eggs = this.desk
      .results()
      .filter(({ topic, ground }) => topic.startsWith('find-') && topic.includes('eggs') && ground);
    return (['dark', 'light'] as const).map((ground) => {
      const own = eggs.filter((each) => each.ground === ground);
      return { ground, count: own.length, right: own.filter(({ right }) => right).length };
    });
  });
  protected readonly eggsTried = computed(() => this.grounds().some(({ count }) => count > 0));

  private standing({ topic, answers, rightOfLate, level, due, known }: Progress) {
    const nothing = this.desk.empty().includes(topic);
    return {
      nothing: nothing ? this.missing(topic) : null,
      level,
      share: rightOfLate ?? 0,
      right: rightText({ answers, rightOfLate }),
      known: answers === 0 ? '' : $localize`${oddsText(known)} still knows it`,
      when: whenText(due, this.desk.now()),
    };
  }

  private missing(topic: TopicId): string {
    return topic === 'photos'
      ? $localize`no photo drill has been made yet`
      : $localize`no closed visit to read from yet`;
  }
}
