import { ChangeDetectionStrategy, Component, computed, inject, input, output, signal } from '@angular/core';
import { NonNullableFormBuilder, ReactiveFormsModule } from '@angular/forms';
import type { Review, endpoints } from '@brave-comb/contract';
import type { Sent } from '../api/contract-client';
import { dateText } from '../ui/format';

/** What the instructor decides on one advice. */
export type DecisionDraft = Omit<Sent<typeof endpoints.decide>['body'], 'id'>;

type Advised = Review['advice'][number];

/** One advice: what, by when, why and why not, what another school would do, and what the instructor decides. */
@Component({
  selector: 'bc-advice-card',
  imports: [ReactiveFormsModule],
  templateUrl: './advice-card.html',
  styleUrl: './advice-card.scss',
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class AdviceCard {
  readonly advised = input.required<Advised>();
  readonly rank = input.required<number>();
  readonly mayDecide = input(false);
  readonly busy = input(false);
  readonly decided = output<DecisionDraft>();
  readonly withdrawn = output<string>();

  protected readonly open = signal<'otherwise' | 'declined' | null>(null);
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
    otherwise: $localize`Otherwise`,
    declined: $localize`Declined`,
  } as const;
  protected readonly form = inject(NonNullableFormBuilder).group({ action: '', reason: '', due: '' });

  protected accept(): void {
    this.decided.emit({ advice: this.advised().advice.kind, verdict: 'accepted', action: '', reason: '' });
  }

  protected start(verdict: 'otherwise' | 'declined'): void {
    this.tried.set(false);
    this.form.reset({
      action: '',
      reason: '',
      due: verdict === 'otherwise' ? this.advised().advice.followUps[0].due : '',
    });
    this.open.set(verdict);
  }

  protected submit(): void {
    const verdict = this.open();
    const { action, reason, due } = this.form.getRawValue();
    this.tried.set(true);
    if (!verdict || reason.trim() === '' || (verdict === 'otherwise' && action.trim() === '')) return;
    this.decided.emit({ advice: this.advised().advice.kind, verdict, action, reason, ...(due ? { due } : {}) });
    this.open.set(null);
  }
}
