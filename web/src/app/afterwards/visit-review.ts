import { figure, unit } from '../language/units';
import { ChangeDetectionStrategy, Component, computed, inject, input, linkedSignal, signal } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { MatIcon } from '@angular/material/icon';
import { RouterLink } from '@angular/router';
import {
  type EntryBody,
  type FrameChange,
  type FrameSide,
  formatSide,
  sideDifference,
  towardText,
} from '@brave-comb/core/inspection';
import type { Text } from '@brave-comb/core/language';
import { addDays } from '@brave-comb/core/units';
import { Store } from '@ngrx/store';
import { v7 as uuid } from 'uuid';
import { ViewDesk } from '../api/view-desk';
import { ViewState } from '../api/view-state';
import { CombLegend } from '../inspection/comb-legend';
import { CombPortrait } from '../inspection/comb-portrait';
import { civilDate, dateText, dayOf, decimal, timeOf } from '../ui/format';
import { Clock } from '../people/clock';
import { LevelGlyph } from '../skills/level-glyph';
import { VisitDesk } from '../inspection/visit-desk';
import { inspectionFeature } from '../inspection/inspection.feature';
import { AdviceCard, type DecisionDraft } from './advice-card';
import { ArrangeFrames } from './arrange-frames';
import { RangeRow } from './range-row';
import { VisitStory } from './visit-story';
import { named, Named } from '../language/words';
import { said } from '../language/said';
import { FIELD } from '../parts/field';
import { titled } from '../ui/titled';

/** Days until a hive is opened again, as a rule; common practice. */
const UNTIL_NEXT = 14;

const saidOrNull = (text: Text | null): string | null => (text === null ? null : said(text));

interface Column {
  readonly frame: number;
  readonly change: FrameChange;
  readonly last: readonly (FrameSide | null)[];
  readonly now: readonly (FrameSide | null)[];
  /** Where its comb stood at the last visit, when elsewhere. */
  readonly was: string | null;
}

/** This visit beside the last one, frame by frame, what it adds up to, and what to do about it. */
@Component({
  selector: 'bc-visit-review',
  imports: [
    FIELD,
    Named,
    ViewState,
    MatIcon,
    RouterLink,
    CombPortrait,
    CombLegend,
    AdviceCard,
    ArrangeFrames,
    MatButton,
    RangeRow,
    LevelGlyph,
    VisitStory,
  ],
  templateUrl: './visit-review.html',
  styleUrl: './visit-review.scss',
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class VisitReview {
  private readonly desk = inject(ViewDesk);
  private readonly visits = inject(VisitDesk);
  private readonly clock = inject(Clock);
  readonly visit = input.required<string>();

  protected readonly watched = this.desk.watch('visitReview', () => ({ params: { visit: this.visit() } }));
  protected readonly review = this.watched.data;
  protected readonly deciding = this.desk.sending;
  protected readonly chosen = linkedSignal<string, number | null>({ source: this.visit, computation: () => null });
  protected readonly explained = signal(false);
  protected readonly unitOf = (of: 'frames' | 'kg'): string => (of === 'kg' ? unit('weight') : $localize`frames`);
  protected readonly figureOf = (of: 'frames' | 'kg', value: number): string =>
    decimal(of === 'kg' ? figure('weight', value, 1) : value);
  /** The question asked just now, about which frame, and what became of it. */
  private readonly question = signal<{ readonly frame: number; readonly id: string } | null>(null);
  private readonly added = inject(Store).selectSignal(inspectionFeature.selectAdded);
  protected readonly asked = computed(() => {
    const question = this.question();
    const added = this.added();
    return question && added?.id === question.id ? { frame: question.frame, fate: added.fate } : null;
  });
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
      was: review.last?.moved.find((each) => each.frame === index + 1)?.was ?? null,
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
        difference: saidOrNull(sideDifference(column.last[face] ?? null, column.now[face] ?? null)),
        seed: column.frame * 2 + face,
      })),
    };
  });
  /** The frames are being put in another order. */
  protected readonly arranging = signal(false);
  protected readonly lastDay = computed(() => {
    const review = this.review();
    return review?.last ? dayOf(review.last.at, review.zone).split(' ').slice(1).join(' ') : '';
  });

  constructor() {
    titled(() => {
      const review = this.review();
      return review ? $localize`Hive ${review.hive}, ${dayOf(review.openedAt, review.zone)}` : null;
    });
  }

  protected decide(draft: DecisionDraft): void {
    const sent = { params: { visit: this.visit() }, body: { id: uuid(), ...draft } };
    this.desk.change('decide', sent, 'visitReview', false);
  }

  protected withdraw(decision: string): void {
    this.desk.change('withdrawDecision', { params: { decision } }, 'visitReview', false);
  }

  protected arrange(hive: string, what: string): void {
    const due = addDays(civilDate(this.clock.now(), this.review()!.zone), UNTIL_NEXT);
    this.desk.change('addTask', { params: { hive }, body: { id: uuid(), what, due } }, 'visitReview', false);
  }

  /** Adds to the visit what somebody saw or asked afterwards. */
  protected add(body: EntryBody): string {
    return this.visits.add(this.visit(), body);
  }

  protected ask(event: Event, field: HTMLInputElement, frame: number): void {
    event.preventDefault();
    const text = field.value.trim();
    const box = this.review()?.box;
    if (text === '' || !box) return;
    const spot = { part: box, frame, face: null };
    const id = this.add({ kind: 'question-asked', text, person: null, spot, photo: null, sure: null });
    this.question.set({ frame, id });
    field.value = '';
  }

  protected print(): void {
    globalThis.print();
  }
}
