import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { RouterLink } from '@angular/router';
import { type Progress, type TopicId, secondsFor, topicForLetters, topicOf } from '@brave-comb/core/practice';
import { SaidPipe } from '../language/said';
import { PracticeDesk } from './practice-desk';
import { rightText, whenText } from './progress-text';

/** Drills that are listed before the rest is only counted. */
const LISTED = 4;
/** Looking at what was there takes as long again as answering, s. Common practice. */
const LOOKING = 45;

/** What to practise after this one, with why and how long it takes. */
@Component({
  selector: 'bc-practice-next',
  imports: [RouterLink, SaidPipe],
  template: `
    <header>
      <h2 id="comes-next" i18n>What comes next</h2>
      <span class="quiet" i18n>{due(), plural,
        =0 {nothing is due: this is extra}
        =1 {1 due today}
        other {{{ due() }} due today}
      }</span>
    </header>
    <ol>
      @for (line of lines(); track line.topic.id) {
        <li>
          <a [routerLink]="['/practice', line.topic.id]">{{ line.topic.name | said }}</a>
          <span class="quiet">{{ line.why }}</span>
          <span class="minutes">{{ line.when }}</span>
        </li>
      }
    </ol>
    <a routerLink="/practice/all" i18n>All drills</a>
  `,
  styleUrl: './practice-next.scss',
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class PracticeNext {
  private readonly desk = inject(PracticeDesk);
  /** What is on the table. */
  readonly now = input<TopicId | null>(null);

  private readonly habits = computed(
    () => new Map((this.desk.data()?.habits ?? []).map(({ says, letters }) => [topicForLetters(letters), says])),
  );
  private readonly waiting = computed(() => this.desk.due().filter(({ topic }) => topic !== this.now()));
  protected readonly due = computed(() => this.waiting().length);
  protected readonly lines = computed(() => {
    const habits = this.habits();
    // What is read wrong at the hive comes first, then what is due; what is known comes back later.
    const urgent = this.waiting().toSorted((a, b) => Number(habits.has(b.topic)) - Number(habits.has(a.topic)));
    const known = new Set(urgent.map(({ topic }) => topic));
    const later = this.desk
      .progress()
      .filter(({ topic, due }) => due !== null && topic !== this.now() && !known.has(topic))
      .toSorted((a, b) => a.due!.localeCompare(b.due!));
    return [...urgent, ...later].slice(0, LISTED).map((each) => ({
      topic: topicOf(each.topic),
      why: this.why(each),
      when: known.has(each.topic) ? $localize`${minutes(each)} min` : $localize`later`,
    }));
  });

  private why(each: Progress): string {
    const habit = this.habits().get(each.topic);
    if (habit !== undefined) return habit;
    if (each.answers === 0) return $localize`not tried yet`;
    const when = whenText(each.due, this.desk.now());
    return when === $localize`due` ? rightText(each) : $localize`${rightText(each)}, comes back ${when}`;
  }
}

const minutes = ({ topic, level }: Progress): number => Math.ceil((secondsFor(topic, level) + LOOKING) / 60);
