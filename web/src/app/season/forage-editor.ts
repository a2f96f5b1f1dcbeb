import { measured } from '../language/units';
import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { MatButton } from '@angular/material/button';
import type { Forage, SitePlant } from '@brave-comb/contract';
import { DEGREE_DAY_METHODS, type DegreeDayMethod } from '@brave-comb/core/season';
import { Store } from '@ngrx/store';
import { dateText, dayText } from '../ui/format';
import { MovePlanner } from './move-planner';
import { PlantForm } from './plant-form';
import { ViewDesk } from '../api/view-desk';
import { seasonFeature } from './season.feature';
import { ViewState } from '../api/view-state';
import { Named } from '../language/words';
import { FIELD } from '../parts/field';
import { MonthDayField } from '../parts/month-day-field';
import { DayField } from '../parts/day-field';
import { UndoBar } from '../parts/undo-bar';

type Row = Forage['plants'][number];

const WORTH = [$localize`none`, $localize`a little`, $localize`useful`, $localize`good`, $localize`a main source`];

/** How other plants moved the date, days; nothing where they did not. */
function movedText(days: number): string {
  if (days === 0) return '';
  if (days === 1) return $localize`; 1 day later, going by other plants this year`;
  if (days === -1) return $localize`; 1 day earlier, going by other plants this year`;
  return days > 0
    ? $localize`; ${days} days later, going by other plants this year`
    : $localize`; ${-days} days earlier, going by other plants this year`;
}

/** The forage calendar of a site: its plants, this year's bloom, what was seen, and the general list to choose from. */
@Component({
  selector: 'bc-forage-editor',
  imports: [DayField, FIELD, MatButton, MonthDayField, Named, ViewState, PlantForm, MovePlanner],
  templateUrl: './forage-editor.html',
  styleUrl: './forage-editor.scss',
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class ForageEditor {
  private readonly desk = inject(ViewDesk);
  private readonly undoBar = inject(UndoBar);
  private readonly site = inject(Store).selectSignal(seasonFeature.selectSite);
  protected readonly watched = this.desk.watch('forage', () => {
    const site = this.site();
    return site ? { query: { site } } : null;
  });
  protected readonly data = this.watched.data;
  protected readonly editing = signal<SitePlant | null>(null);
  protected readonly search = signal('');
  protected readonly rows = computed(() =>
    [...(this.data()?.plants ?? [])].sort((a, b) => (a.bloom?.from ?? '9').localeCompare(b.bloom?.from ?? '9')),
  );
  protected readonly found = computed(() => {
    const wanted = this.search().trim().toLowerCase();
    const list = this.data()?.list ?? [];
    return wanted
      ? list.filter((plant) => plant.name.toLowerCase().includes(wanted) || plant.latin.toLowerCase().includes(wanted))
      : list;
  });

  protected worth(value: number): string {
    return WORTH[value] ?? '';
  }

  protected state(row: Row): string {
    const { bloom } = row;
    if (!bloom) return $localize`not warm enough here`;
    if (bloom.ended) return $localize`over since ${dayText(bloom.to)}`;
    if (bloom.state === 'seen') return $localize`seen ${dayText(bloom.from)}, to about ${dayText(bloom.to)}`;
    const when = $localize`${dayText(bloom.from)}, ${bloom.giveOrTake} days either way`;
    return bloom.state === 'expected' ? $localize`expected ${when}` : $localize`calculated for ${when}, not seen yet`;
  }

  protected reason(row: Row): string {
    const { bloom, model } = row;
    if (!bloom) return '';
    const sum = bloom.sum
      ? $localize`${bloom.sum.now} of ${bloom.sum.needed} degree days over ${measured('temperature', bloom.sum.base, 1)}`
      : model.kind === 'dates'
        ? $localize`by the length of the day, from ${dayText(`2001-${model.opens}`)}`
        : '';
    const moved = movedText(bloom.movedBy);
    return $localize`${sum}${moved}; usual ${dayText(bloom.usual.from)}`;
  }

  protected seenThisYear(row: Row, which: 'first' | 'last'): string | null {
    const year = row.seen.at(-1);
    return year && row.bloom && year.year <= row.bloom.from && year.year >= this.yearBegin() ? year[which] : null;
  }

  private readonly yearBegin = computed(() => {
    const data = this.data();
    if (!data) return '';
    const year = Number(data.today.slice(0, 4));
    const thisYear = `${year}-${data.turn}`;
    return thisYear <= data.today ? thisYear : `${year - 1}-${data.turn}`;
  });

  protected see(row: Row, which: 'first' | 'last', date: string | null): void {
    const site = this.data()?.site.id;
    if (!site) return;
    const before = this.seenThisYear(row, which);
    const note = (day: string | null) =>
      this.desk.change('seeBloom', { params: { site }, body: { plant: row.id, which, date: day } }, 'forage');
    note(date);
    const words =
      date === null
        ? $localize`What was seen of ${row.name} was taken back.`
        : $localize`${row.name}, seen ${dateText(date)}.`;
    this.undoBar.show(words, () => note(before));
  }

  protected add(plant: SitePlant): void {
    const site = this.data()?.site.id;
    if (!site) return;
    const { id, name, nectar, pollen, model } = plant;
    this.desk.change('keepPlant', { params: { site }, body: { id, name, nectar, pollen, model } }, 'forage');
    this.editing.set(null);
  }

  protected drop(row: Row): void {
    const site = this.data()?.site.id;
    if (!site) return;
    this.desk.change('dropPlant', { params: { site }, body: { plant: row.id } }, 'forage');
    this.undoBar.show($localize`${row.name} was removed from the list.`, () => this.add(row));
  }

  protected edit(row: Row | null): void {
    this.editing.set(
      row
        ? { id: row.id, name: row.name, nectar: row.nectar, pollen: row.pollen, model: row.model }
        : {
            id: '',
            name: '',
            nectar: 2,
            pollen: 2,
            model: { kind: 'dates', opens: this.data()?.today.slice(5) ?? '05-01', days: 21 },
          },
    );
  }

  protected readonly methods = DEGREE_DAY_METHODS;

  protected setClimate(turn: string, method: DegreeDayMethod): void {
    const site = this.data()?.site.id;
    if (site) this.desk.change('setClimate', { params: { site }, body: { turn: turn || null, method } }, 'forage');
  }

  protected readonly dateText = dateText;
  protected readonly dayText = dayText;
}
