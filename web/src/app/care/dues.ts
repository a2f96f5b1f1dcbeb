import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { SORT } from '../parts/sort-words';
import { RouterLink } from '@angular/router';
import type { Calendars, ColonyCalendar } from '@brave-comb/contract';
import { daysBetween } from '@brave-comb/core/units';
import { Store } from '@ngrx/store';
import { ViewDesk } from '../api/view-desk';
import { seasonFeature } from '../season/season.feature';
import { ViewState } from '../api/view-state';
import { dateText, dayText, decimal } from '../ui/format';
import { CareRules } from './care-rules';
import { EventForm, type LoggedEvent } from './event-form';
import { ExpectedCard } from './expected-card';
import { Named } from '../language/words';
import { FIELD } from '../parts/field';
import { Worded } from '../parts/worded';
import { recordTable } from '../parts/record-table';

const STRICT = ['must', 'should', 'may'];

/** The colony calendar: what is due at each hive, why and how strictly, until when it is left alone, its load, and what to expect. */
@Component({
  selector: 'bc-dues',
  imports: [FIELD, MatButton, SORT, Named, RouterLink, ViewState, EventForm, ExpectedCard, CareRules, Worded],
  templateUrl: './dues.html',
  styleUrl: './dues.scss',
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class Dues {
  private readonly desk = inject(ViewDesk);
  private readonly site = inject(Store).selectSignal(seasonFeature.selectSite);
  protected readonly watched = this.desk.watch('colonyCalendars', () => {
    const site = this.site();
    return site ? { query: { site } } : null;
  });
  protected readonly data = this.watched.data;
  private readonly opened = signal<string | null>(null);
  protected readonly colony = computed(() => {
    const colonies = this.data()?.colonies ?? [];
    return colonies.find((each) => each.hive === this.opened()) ?? null;
  });

  /** Every due of every hive in one list, the soonest first. */
  private readonly lines = computed(() => {
    const data = this.data();
    if (!data) return [];
    const all = data.colonies.flatMap((colony) =>
      colony.dues.map((due) => ({
        key: `${colony.hive} ${due.id}`,
        hive: colony.hive,
        number: colony.number,
        due,
        days: daysBetween(data.today, due.due),
        begins: daysBetween(data.today, due.from),
      })),
    );
    return all.sort((a, b) => a.days - b.days || a.number.localeCompare(b.number));
  });
  protected readonly table = recordTable(this.lines, {
    hive: ({ number }) => number,
    due: ({ days }) => days,
    what: ({ due }) => due.title,
    strict: ({ due }) => STRICT.indexOf(due.strict),
  });

  protected readonly alerts = computed(() =>
    (this.data()?.colonies ?? []).flatMap((colony) => [
      ...(colony.starvation && colony.starvation.level !== 'none'
        ? [
            {
              hive: colony.hive,
              number: colony.number,
              head: colony.starvation.level === 'feed-now' ? $localize`Feed now` : $localize`Food: watch`,
              text: colony.starvation.reasons.join('; '),
              urgent: colony.starvation.level === 'feed-now',
            },
          ]
        : []),
      ...(colony.swarm && (colony.swarm.level === 'high' || colony.swarm.level === 'leaving')
        ? [
            {
              hive: colony.hive,
              number: colony.number,
              head: colony.swarm.level === 'leaving' ? $localize`About to swarm` : $localize`Swarm risk`,
              text: colony.swarm.window
                ? $localize`${dayText(colony.swarm.window.from)} to ${dayText(colony.swarm.window.to)}\: ${colony.swarm.reasons.join('; ')}`
                : colony.swarm.reasons.join('; '),
              urgent: colony.swarm.level === 'leaving',
            },
          ]
        : []),
    ]),
  );

  protected when(days: number, begins: number): string {
    if (days < 0) return days === -1 ? $localize`1 day late` : $localize`${-days} days late`;
    if (begins > 0) return begins === days ? $localize`in ${days} days` : $localize`in ${begins} to ${days} days`;
    return days === 0 ? $localize`today` : days === 1 ? $localize`by tomorrow` : $localize`within ${days} days`;
  }

  protected open(hive: string): void {
    this.opened.set(this.opened() === hive ? null : hive);
  }

  protected setColony(colony: ColonyCalendar, change: Partial<Pick<ColonyCalendar, 'class' | 'strain'>>): void {
    this.desk.change(
      'setColony',
      { params: { hive: colony.hive }, body: { class: colony.class, strain: colony.strain, ...change } },
      'colonyCalendars',
    );
  }

  protected log(hive: string, entry: LoggedEvent): void {
    this.desk.change(
      'logColonyEvent',
      { params: { hive }, body: { id: this.desk.newId(), ...entry } },
      'colonyCalendars',
    );
  }

  protected withdraw(event: string): void {
    this.desk.change('withdrawColonyEvent', { params: { event } }, 'colonyCalendars');
  }

  protected share(of: number, limit: number): number {
    return Math.min(1, of / Math.max(1, limit)) * 100;
  }

  protected classes(): readonly Calendars['colonies'][number]['class'][] {
    return ['production', 'teaching', 'nucleus', 'resting'];
  }
  protected strains(): readonly Calendars['colonies'][number]['strain'][] {
    return ['keeps-laying', 'cuts-down', 'stops'];
  }
  protected readonly dayText = dayText;
  protected readonly dateText = dateText;
  protected readonly decimal = decimal;
}
