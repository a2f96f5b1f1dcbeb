import { Measured } from '../language/units';
import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { MatButton } from '@angular/material/button';
import type { Happenings } from '@brave-comb/contract';
import { Store } from '@ngrx/store';
import { dayText, decimal, sureText } from '../ui/format';
import { AliveRound } from './alive-round';
import { FlowSigns } from './flow-signs';
import { PollenKey } from './pollen-key';
import { TriggerRules } from './trigger-rules';
import { ViewDesk } from '../api/view-desk';
import { seasonFeature } from './season.feature';
import { ViewState } from '../api/view-state';
import { Named } from '../language/words';
import { FIELD } from '../parts/field';
import { DayField } from '../parts/day-field';

type Kind = Happenings['events'][number]['kind'];

/** What was seen at a site: events that set tasks going, signs of flow or dearth, pollen colours, the alive round. */
@Component({
  selector: 'bc-seen',
  imports: [DayField, FIELD, MatButton, Measured, Named, ViewState, FlowSigns, PollenKey, AliveRound, TriggerRules],
  templateUrl: './seen.html',
  styleUrl: './seen.scss',
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class Seen {
  private readonly desk = inject(ViewDesk);
  private readonly site = inject(Store).selectSignal(seasonFeature.selectSite);
  protected readonly watched = this.desk.watch('happenings', () => {
    const site = this.site();
    return site ? { query: { site } } : null;
  });
  protected readonly data = this.watched.data;
  protected readonly kind = signal<Kind>('first-bloom');
  protected readonly plant = signal('');

  /** What logging the chosen event would set going. */
  protected readonly sets = computed(() =>
    (this.data()?.triggers ?? []).filter(
      (trigger) =>
        trigger.active && trigger.on === this.kind() && (trigger.plant === null || trigger.plant === this.plant()),
    ),
  );
  protected readonly meaning = computed(
    () => this.data()?.meanings.find((each) => each.kind === this.kind())?.means ?? '',
  );

  protected log(date: string): void {
    const site = this.data()?.site.id;
    if (!site || !date) return;
    const plant = this.kind() === 'first-bloom' ? this.plant() || null : null;
    this.desk.change(
      'logSeasonEvent',
      { params: { site }, body: { id: this.desk.newId(), kind: this.kind(), plant, date } },
      'happenings',
    );
  }

  protected withdraw(event: string): void {
    this.desk.change('withdrawSeasonEvent', { params: { event } }, 'happenings');
  }

  protected asKind(value: string): void {
    this.kind.set(value as Kind);
  }

  protected readonly dayText = dayText;
  protected readonly decimal = decimal;
  protected readonly sureText = sureText;
}
