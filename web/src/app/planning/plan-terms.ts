import { Measured, UnitName, keptFigure, typedFigure } from '../language/units';
import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { RouterLink } from '@angular/router';
import type { Output, PlanningTerms, endpoints } from '@brave-comb/contract';
import { Clock } from '../people/clock';
import { ViewDesk } from '../api/view-desk';
import { ViewState } from '../api/view-state';
import { civilDate } from '../ui/format';
import { TimesForm } from './times-form';
import { FIELD } from '../parts/field';
import { DayField } from '../parts/day-field';

type Owner = Output<(typeof endpoints)['planningTerms']>['owners'][number];
const KINDS = [
  ['group', $localize`Groups`],
  ['supervisor', $localize`Supervisors`],
  ['trainee', $localize`Trainees`],
] as const;

/** When groups and supervisors can come, what trainees may lift: what the planner goes by. */
@Component({
  selector: 'bc-plan-terms',
  imports: [DayField, FIELD, MatButton, UnitName, Measured, RouterLink, ViewState, TimesForm],
  templateUrl: './plan-terms.html',
  styleUrl: './plan-terms.scss',
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class PlanTermsScreen {
  private readonly desk = inject(ViewDesk);
  private readonly clock = inject(Clock);
  protected readonly watched = this.desk.watch('planningTerms', () => ({}));
  protected readonly data = this.watched.data;
  protected readonly today = computed(() => civilDate(this.clock.now(), 'utc'));
  /** What is being changed and not saved yet, by owner. */
  private readonly edits = signal<ReadonlyMap<string, PlanningTerms>>(new Map());
  protected readonly words = signal('');
  protected readonly typedFigure = typedFigure;
  protected readonly keptFigure = keptFigure;
  protected readonly sections = computed(() =>
    KINDS.map(([kind, title]) => ({
      kind,
      title,
      owners: (this.data()?.owners ?? [])
        .filter(({ terms }) => terms.kind === kind)
        .map((owner) => ({
          ...owner,
          terms: this.edits().get(owner.id) ?? owner.terms,
          edited: this.edits().has(owner.id),
        })),
    })),
  );
  protected edit(owner: Owner, change: Partial<PlanningTerms>): void {
    this.edits.update((edits) => new Map([...edits, [owner.id, { ...owner.terms, ...change } as PlanningTerms]]));
  }

  protected save(owner: Owner): void {
    this.desk.change(
      'setPlanningTerms',
      { params: { owner: owner.id }, body: { terms: owner.terms } },
      'planningTerms',
    );
    this.edits.update((edits) => new Map([...edits].filter(([id]) => id !== owner.id)));
    this.words.set($localize`${owner.name} is saved. The next plan goes by it.`);
  }
}
