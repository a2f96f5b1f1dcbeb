import { figure, unit } from '../language/units';
import { ChangeDetectionStrategy, Component, computed, effect, inject, input, signal, untracked } from '@angular/core';
import { MatIcon } from '@angular/material/icon';
import { RouterLink } from '@angular/router';
import { type EntryBody, type FrameChange, type FrameSide, formatSide, towardText } from '@brave-comb/core/inspection';
import { Store } from '@ngrx/store';
import { v7 as uuid } from 'uuid';
import { CareEvents, careFeature, type DecisionDraft } from '../care/care.feature';
import { CombLegend } from '../inspection/comb-legend';
import { CombPortrait } from '../inspection/comb-portrait';
import { Clock } from '../people/clock';
import { dateText, dayOf, decimal, timeOf } from '../ui/format';
import { LevelGlyph } from '../skills/level-glyph';
import { AdviceCard } from './advice-card';
import { RangeRow } from './range-row';
import { VisitStory } from './visit-story';
import { named, Named } from '../language/words';
import { said } from '../language/said';

interface Column {
  readonly frame: number;
  readonly change: FrameChange;
  readonly last: readonly (FrameSide | null)[];
  readonly now: readonly (FrameSide | null)[];
}

/** This visit beside the last one, frame by frame, what it adds up to, and what to do about it. */
@Component({
  selector: 'bc-visit-review',
  imports: [Named, MatIcon, RouterLink, CombPortrait, CombLegend, AdviceCard, RangeRow, LevelGlyph, VisitStory],
  templateUrl: './visit-review.html',
  styleUrl: './visit-review.scss',
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class VisitReview {
  private readonly store = inject(Store);
  private readonly clock = inject(Clock);
  readonly visit = input.required<string>();

  protected readonly review = this.store.selectSignal(careFeature.selectReview);
  protected readonly fault = this.store.selectSignal(careFeature.selectFault);
  protected readonly deciding = this.store.selectSignal(careFeature.selectDeciding);
  protected readonly decisionFault = this.store.selectSignal(careFeature.selectDecisionFault);
  protected readonly chosen = signal<number | null>(null);
  protected readonly explained = signal(false);
  protected readonly unitOf = (of: 'frames' | 'kg'): string => (of === 'kg' ? unit('weight') : $localize`frames`);
  protected readonly figureOf = (of: 'frames' | 'kg', value: number): string =>
    decimal(of === 'kg' ? figure('weight', value, 1) : value);
  /** Frame about which a question was asked just now. */
  protected readonly asked = signal<number | null>(null);
  protected readonly date = dateText;
  protected readonly decimal = decimal;
  protected readonly inLine = formatSide;

  protected readonly heading = computed(() => {
    const review = this.review();
    if (!review) return '';
    const { zone, openedAt, closedAt, last } = review;
    const until = closedAt ? $localize` to ${timeOf(closedAt, zone)}` : '';
    const still = closedAt ? '' : $localize`, still open`;
    const beside = last ? $localize`, beside ${dayOf(last.at, zone)}` : '';
    return $localize`opened ${dayOf(openedAt, zone)}, ${timeOf(openedAt, zone)}${until} by ${review.group} with ${review.supervisor}${still}${beside}`;
  });
  protected readonly columns = computed<readonly Column[]>(() => {
    const review = this.review();
    if (!review) return [];
    return review.frames.map((frame, index) => ({
      frame: index + 1,
      change: review.changes[index] ?? 'not-read',
      last: review.last ? [review.last.frames[index]?.low ?? null, review.last.frames[index]?.high ?? null] : [],
      now: [frame.low, frame.high],
    }));
  });
  protected readonly notAnswered = computed(() =>
    (this.review()?.missing ?? []).map((evidence) => named('evidence', evidence)).join(', '),
  );
  /** The frame looked at closely: the chosen one, or the one with the most telling change. */
  protected readonly close = computed(() => {
    const columns = this.columns();
    const telling = ['queen-cell', 'first-eggs', 'brood-gone', 'new-brood', 'spoilt-comb', 'less-sealed', 'nectar-in'];
    const found = telling
      .map((word) => columns.find((each) => each.change === word))
      .find((each) => each !== undefined);
    const column = columns[(this.chosen() ?? found?.frame ?? 1) - 1];
    if (!column) return null;
    return {
      ...column,
      pairs: ([0, 1] as const).map((face) => ({
        toward: said(towardText({ frame: column.frame, face: face === 0 ? 'low' : 'high' }, columns.length)),
        last: column.last[face] ?? null,
        now: column.now[face] ?? null,
        seed: column.frame * 2 + face,
      })),
    };
  });
  protected readonly lastDay = computed(() => {
    const review = this.review();
    return review?.last ? dayOf(review.last.at, review.zone).split(' ').slice(1).join(' ') : '';
  });

  constructor() {
    effect(() => {
      const visit = this.visit();
      untracked(() => {
        this.chosen.set(null);
        this.store.dispatch(CareEvents.reviewOpened({ visit }));
      });
    });
  }

  protected decide(draft: DecisionDraft): void {
    this.store.dispatch(CareEvents.decisionMade({ visit: this.visit(), id: uuid(), draft }));
  }

  protected withdraw(decision: string): void {
    this.store.dispatch(CareEvents.decisionWithdrawalAsked({ visit: this.visit(), decision }));
  }

  /** Adds to the visit what somebody saw or asked afterwards. */
  protected add(body: EntryBody): void {
    const entry = { id: uuid(), at: this.clock.instant(), body };
    this.store.dispatch(CareEvents.entryAdded({ visit: this.visit(), entry }));
  }

  protected ask(event: Event, field: HTMLInputElement, frame: number): void {
    event.preventDefault();
    const text = field.value.trim();
    const box = this.review()?.box;
    if (text === '' || !box) return;
    const spot = { part: box, frame, face: null };
    this.add({ kind: 'question-asked', text, person: null, spot, photo: null, sure: null });
    this.asked.set(frame);
    field.value = '';
  }

  protected print(): void {
    globalThis.print();
  }

  protected retry(): void {
    this.store.dispatch(CareEvents.reviewOpened({ visit: this.visit() }));
  }
}
