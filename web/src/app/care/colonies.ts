import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { MatButtonToggleModule } from '@angular/material/button-toggle';
import { MatCheckbox } from '@angular/material/checkbox';
import { SORT } from '../parts/sort-words';
import { RouterLink } from '@angular/router';
import type { ColonyLine } from '@brave-comb/contract';
import { addDays, daysBetween } from '@brave-comb/core/units';
import { ViewDesk } from '../api/view-desk';
import { ViewState } from '../api/view-state';
import { BoxMap } from '../inspection/box-map';
import { measured } from '../language/units';
import { recordTable } from '../parts/record-table';
import { civilDate, dateText, dayText, decimal } from '../ui/format';
import { ColonyCompare } from './colony-compare';
import { ColonyCourse } from './colony-course';
import { RangeLine } from './range-line';
import { SpanLine } from './span-line';

type Attention = ColonyLine['attention'];
const BANDS: readonly Attention[] = ['now', 'this-week', 'later', 'nothing'];
/** Days of food that are drawn at full length, and below which it is a matter of days. */
const FOOD = { most: 40, few: 10 } as const;
const MOST_MITES = 5;

/** All colonies by how soon each needs somebody. */
@Component({
  selector: 'bc-colonies',
  imports: [
    BoxMap,
    ColonyCompare,
    ColonyCourse,
    MatButtonToggleModule,
    MatCheckbox,
    SORT,
    RangeLine,
    RouterLink,
    SpanLine,
    ViewState,
  ],
  templateUrl: './colonies.html',
  styleUrl: './colonies.scss',
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class Colonies {
  protected readonly watched = inject(ViewDesk).watch('colonyList', () => ({}));
  protected readonly data = this.watched.data;
  /** A site, all of them, or those for people who are new to it. */
  protected readonly filter = signal('all');
  protected readonly picked = signal<ReadonlySet<string>>(new Set());
  protected readonly mostMites = MOST_MITES;

  protected readonly shown = computed(() => {
    const filter = this.filter();
    const all = this.data()?.colonies ?? [];
    if (filter === 'all') return all;
    return filter === 'novices'
      ? all.filter(({ forNovices }) => forNovices)
      : all.filter(({ site }) => site.id === filter);
  });
  protected readonly table = recordTable(this.shown, {
    hive: ({ number }) => number,
    queen: ({ queen }) => queen.year,
    bees: ({ bees }) => bees?.value ?? null,
    stores: ({ storesKg }) => storesKg?.value ?? null,
    mites: ({ mites }) => mites?.inHundred.value ?? null,
    due: (line) => this.next(line)?.by ?? null,
    opened: ({ opened }) => opened.times,
  });
  /** By how soon each needs somebody, until a head is pressed: then all in that order. */
  protected readonly bands = computed(() => {
    if (this.table.order().direction !== '') return [{ band: null, title: ['', ''], lines: this.table.lines() }];
    return BANDS.map((band) => ({
      band,
      title: this.titleOf(band),
      lines: this.shown().filter((each) => each.attention === band),
    })).filter(({ lines }) => lines.length > 0);
  });
  protected readonly counts = computed(() => {
    const all = this.data()?.colonies ?? [];
    return {
      all: all.length,
      novices: all.filter(({ forNovices }) => forNovices).length,
      at: (site: string) => all.filter((each) => each.site.id === site).length,
    };
  });
  protected readonly compared = computed(() => this.shown().filter(({ hive }) => this.picked().has(hive)));

  private titleOf(band: Attention): readonly [title: string, says: string] {
    const today = this.data()?.today ?? '2000-01-01';
    switch (band) {
      case 'now':
        return [$localize`By ${dateText(addDays(today, 2))}`, $localize`within two days, or already late`];
      case 'this-week':
        return [$localize`By ${dateText(addDays(today, 7))}`, $localize`within the week`];
      case 'later':
        return [$localize`Can wait`, $localize`nothing urgent this week`];
      case 'nothing':
        return [$localize`Nothing needed`, $localize`as far as anyone has seen`];
    }
  }

  protected pick(hive: string, on: boolean): void {
    const picked = new Set(this.picked());
    if (on) picked.add(hive);
    else picked.delete(hive);
    this.picked.set(picked);
  }

  protected clear(): void {
    this.picked.set(new Set());
  }

  protected next({ asks, decideAt }: ColonyLine) {
    const ask = asks.find(({ strict }) => strict !== 'may') ?? asks[0] ?? null;
    return ask && { ...ask, link: ask.toDecide && decideAt ? ['/afterwards', decideAt] : null };
  }

  protected isLate = (by: string) => daysBetween(this.data()?.today ?? by, by) < 0;
  protected sessionOn = ({ next }: ColonyLine) => (next ? civilDate(next.startsAt, this.data()?.zone ?? 'utc') : null);
  protected foodWidth = (days: number | null) => (days === null ? 100 : Math.min(100, (days / FOOD.most) * 100));
  protected few = (days: number | null) => days !== null && days < FOOD.few;
  protected readonly squares = ({ opened }: ColonyLine) =>
    Array.from({ length: Math.max(opened.times, opened.limit) }, (_, at) => ({
      on: at < opened.times,
      over: at >= opened.limit,
    }));
  protected readonly measured = measured;
  protected readonly decimal = decimal;
  protected readonly dayText = dayText;
}
