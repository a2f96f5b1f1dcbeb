import { ChangeDetectionStrategy, Component, computed, inject, input, output, signal } from '@angular/core';
import { NonNullableFormBuilder, ReactiveFormsModule } from '@angular/forms';
import { MatButtonModule } from '@angular/material/button';
import type { Review, endpoints } from '@brave-comb/contract';
import { addDays, laterOf } from '@brave-comb/core/units';
import type { Sent } from '../api/contract-client';
import { dateText } from '../ui/format';
import { AdviceTimes, isFit } from './advice-times';
import { Worded } from '../parts/worded';
import { FIELD } from '../parts/field';

/** What the instructor decides on one advice. */
export type DecisionDraft = Omit<Sent<typeof endpoints.decide>['body'], 'id'>;

type Advised = Review['advice'][number];

/** Days from which somebody may choose another than advised. */
const CHOICE = 21;
/** From this urgency on it is shown when it is in time, and what it starts. */
const SHOWN_FROM = 0.4;

/** One advice: what, by when, why and why not, what another school would do, and what the instructor decides. */
@Component({
  selector: 'bc-advice-card',
  imports: [FIELD, AdviceTimes, MatButtonModule, ReactiveFormsModule, Worded],
  templateUrl: './advice-card.html',
  styleUrl: './advice-card.scss',
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class AdviceCard {
  readonly advised = input.required<Advised>();
  readonly rank = input.required<number>();
  readonly mayDecide = input(false);
  readonly groups = input<Review['groups']>([]);
  readonly ahead = input<Review['ahead']>([]);
  readonly busy = input(false);
  readonly decided = output<DecisionDraft>();
  readonly withdrawn = output<string>();

  protected readonly open = signal<'adjust' | 'decline' | null>(null);
  protected readonly explained = signal(false);
  protected readonly tried = signal(false);
  /** "by" a day, "until" it for what is left alone, and nothing after what says today itself. */
  protected readonly when = computed(() => {
    const { kind, title, by } = this.advised().advice;
    if (title.endsWith('today')) return '';
    return kind === 'leave-alone' ? $localize` until ${dateText(by)}` : $localize`, by ${dateText(by)}`;
  });
  /** How firm it is, by how much of the nest was read. */
  protected readonly firm = computed(
    () =>
      ({
        firm: $localize`Firm: most of the nest was read.`,
        likely: $localize`Likely: part of the nest was read.`,
        guess: $localize`A guess: a quarter of the nest or less was read.`,
      })[this.advised().advice.confidence],
  );
  protected readonly dateText = dateText;
  protected readonly words = {
    accepted: $localize`Decided`,
    otherwise: $localize`Something else`,
    declined: $localize`Declined`,
  } as const;
  protected readonly form = inject(NonNullableFormBuilder).group({
    on: '',
    group: '',
    action: '',
    reason: '',
    due: '',
  });
  protected readonly timed = computed(
    () => this.advised().advice.pressing >= SHOWN_FROM && this.advised().decision === null,
  );
  /** Days on which it can be done, with what is foreseen of them. */
  protected readonly choice = computed(() => {
    const { from: first, by } = this.advised().advice;
    // Of a visit some days ago nothing is done in the past.
    const from = laterOf(first, this.ahead()[0]?.date ?? first);
    const { advice } = this.advised();
    const days = new Map(this.ahead().map((day) => [day.date, day]));
    return Array.from({ length: CHOICE }, (_, day) => addDays(from, day)).map((date) => {
      const day = days.get(date);
      return { date, late: date > by, poor: day !== undefined && !isFit(advice, day) };
    });
  });

  protected accept(): void {
    this.decided.emit({ advice: this.advised().advice.kind, verdict: 'accepted', action: '', reason: '' });
  }

  protected start(what: 'adjust' | 'decline'): void {
    const { by } = this.advised().advice;
    this.tried.set(false);
    this.form.reset({
      on: what === 'adjust' ? laterOf(this.choice()[0]!.date, by) : '',
      group: '',
      action: '',
      reason: '',
      due: '',
    });
    this.open.set(what);
  }

  /** Another day or group is still what was advised; another action, or none, needs a reason. */
  protected submit(): void {
    const { on, group, action, reason, due } = this.form.getRawValue();
    const verdict = this.open() === 'decline' ? 'declined' : action.trim() === '' ? 'accepted' : 'otherwise';
    this.tried.set(true);
    if (verdict !== 'accepted' && reason.trim() === '') return;
    this.decided.emit({
      advice: this.advised().advice.kind,
      verdict,
      action,
      reason,
      ...(on ? { on } : {}),
      ...(group ? { group } : {}),
      ...(due ? { due } : {}),
    });
    this.open.set(null);
  }
}
