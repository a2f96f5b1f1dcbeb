import { ChangeDetectionStrategy, Component, computed, inject, linkedSignal, signal } from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { NonNullableFormBuilder, ReactiveFormsModule, Validators } from '@angular/forms';
import { MatButton } from '@angular/material/button';
import type { Increase } from '@brave-comb/contract';
import { QUEEN_SOURCES, type QueenSource, boxLayout, TRIAL_MEASURES, type TrialMeasure } from '@brave-comb/core/care';
import { addDays } from '@brave-comb/core/units';
import { Store } from '@ngrx/store';
import { ViewDesk } from '../api/view-desk';
import { ViewState } from '../api/view-state';
import { measured } from '../language/units';
import { peopleFeature } from '../people/people.feature';
import { seasonFeature } from '../season/season.feature';
import { DayField } from '../parts/day-field';
import { FIELD } from '../parts/field';
import { dateText, dayText, decimal } from '../ui/format';

type Trial = Increase['trials'][number];

const SOURCES: Readonly<Record<QueenSource, string>> = {
  graft: $localize`raised from larvae of a chosen mother`,
  'buy-mated': $localize`bought laying`,
  'buy-cells': $localize`bought as ripe cells`,
  'walk-away': $localize`left to the bees`,
};
const MEASURES: Readonly<Record<TrialMeasure, string>> = {
  honey: $localize`honey in the supers`,
  bees: $localize`frames of bees`,
  brood: $localize`frames of brood`,
  stores: $localize`food in the nest`,
  mites: $localize`mites per 100 bees`,
};
/** Frames of a new box. */
const NEW_BOX = 10;
/** Days until a trial is looked at again, at first. */
const REVISIT = 30;

/** More colonies and more comb: what can be divided and when, drawn comb against its goal, trials of methods. */
@Component({
  selector: 'bc-increase',
  imports: [DayField, FIELD, MatButton, ReactiveFormsModule, ViewState],
  templateUrl: './increase.html',
  styleUrls: ['./colony-pages.scss', './increase.scss'],
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class IncreaseScreen {
  private readonly desk = inject(ViewDesk);
  private readonly build = inject(NonNullableFormBuilder);
  private readonly seasonSite = inject(Store).selectSignal(seasonFeature.selectSite);
  private readonly person = toSignal(inject(Store).select(peopleFeature.selectPerson));
  protected readonly leads = computed(() => this.person()?.role === 'lead');

  readonly asked = signal<{ source: QueenSource; wanted: number; by?: string }>({
    source: 'graft',
    wanted: 2,
  });
  protected readonly watched = this.desk.watch('increase', () => {
    const site = this.seasonSite();
    return site ? { query: { site, ...this.asked() } } : null;
  });
  protected readonly data = this.watched.data;

  protected readonly wish = this.build.group({
    source: this.build.control<QueenSource>('graft'),
    wanted: this.build.control(2, [Validators.required, Validators.min(1), Validators.max(50)]),
    by: '',
  });
  protected readonly goal = linkedSignal(() => this.data()?.combs.goal ?? 0);
  protected readonly trial = this.build.group({
    question: this.build.control('', [Validators.required, Validators.minLength(3), Validators.maxLength(200)]),
    one: this.build.control('', [Validators.required, Validators.maxLength(80)]),
    other: this.build.control('', [Validators.required, Validators.maxLength(80)]),
    measure: this.build.control<TrialMeasure>('honey'),
    revisit: this.build.control('', Validators.required),
    hives: this.build.control<string[]>([], [Validators.required, Validators.minLength(2)]),
  });
  protected readonly planning = signal(false);

  protected readonly sources = QUEEN_SOURCES.map((source) => ({ source, name: SOURCES[source] }));
  protected readonly measures = TRIAL_MEASURES.map((measure) => ({ measure, name: MEASURES[measure] }));
  /** Frames of a new box as they stand with what is in store: drawn or not. */
  protected readonly layout = computed(() => boxLayout(NEW_BOX, this.data()?.combs.inStore ?? 0));
  protected readonly layoutText = computed(() =>
    this.layout()
      .map((drawn) => (drawn ? $localize`drawn` : $localize`foundation`))
      .join(', '),
  );
  protected readonly givers = computed(() => (this.data()?.plan.givers ?? []).filter(({ units }) => units > 0));
  protected readonly others = computed(() => (this.data()?.plan.givers ?? []).filter(({ units }) => units === 0));

  protected plan(): void {
    if (this.wish.invalid) return;
    const { source, wanted, by } = this.wish.getRawValue();
    this.asked.set({ source, wanted, ...(by ? { by } : {}) });
  }

  protected setGoal(goal: number): void {
    this.desk.change('setCombGoal', { body: { goal } }, 'increase', false);
  }

  protected openTrial(): void {
    const data = this.data();
    if (!data) return;
    this.trial.patchValue({ revisit: addDays(data.today, REVISIT), hives: data.hives.map(({ hive }) => hive) });
    this.planning.set(true);
  }

  protected begin(): void {
    const data = this.data();
    this.trial.markAllAsTouched();
    if (!data || this.trial.invalid) return;
    const params = { site: data.site.id };
    this.desk.change(
      'beginTrial',
      { params, body: { id: this.desk.newId(), ...this.trial.getRawValue() } },
      'increase',
      false,
    );
    this.planning.set(false);
    this.trial.reset();
  }

  protected end(trial: string, how: 'ended' | 'withdrawn'): void {
    this.desk.change('endTrial', { params: { trial }, body: { how } }, 'increase', false);
  }

  /** What a trial sets against what, and by what it tells. */
  protected against({ one, other, measure }: Trial): string {
    return $localize`${one} against ${other}, by ${MEASURES[measure]}`;
  }

  /** Since when a trial runs, and until when. */
  protected ran({ begun, ended, revisit, by }: Trial, today: string): string {
    return ended
      ? $localize`since ${dayText(begun, today)}, ended ${dayText(ended, today)}, begun by ${by}`
      : $localize`since ${dayText(begun, today)}, look again ${dayText(revisit, today)}, begun by ${by}`;
  }

  /** A figure of a trial, with its unit. */
  protected figure(measure: TrialMeasure, value: number | null): string {
    if (value === null) return '–';
    return measure === 'honey' || measure === 'stores' ? measured('weight', value, 1) : decimal(value, 1);
  }

  protected readonly dateText = dateText;
  protected readonly dayText = dayText;
  protected readonly measured = measured;
}
