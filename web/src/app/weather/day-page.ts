import { Measured, UnitName } from '../language/units';
import { DEPTHS } from '@brave-comb/core/weather';
import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { RouterLink } from '@angular/router';
import type { DayPage } from '@brave-comb/contract';
import { swarmingOn } from '@brave-comb/core/season';
import { addDays, upperFirst } from '@brave-comb/core/units';
import { Store } from '@ngrx/store';
import { dateText, decimal, oddsText, spanText, timeOf } from '../ui/format';
import { ViewDesk } from '../api/view-desk';
import { seasonFeature } from '../season/season.feature';
import { ViewState } from '../api/view-state';
import { DayHours } from './day-hours';
import { DaySessions } from './day-sessions';
import { Named, named } from '../language/words';
import { titled } from '../ui/titled';

/** One day hour by hour: what may be opened when, why, and what light, heat and smoke ask of people. */
@Component({
  selector: 'bc-day-page',
  imports: [MatButton, UnitName, Measured, Named, RouterLink, ViewState, DayHours, DaySessions],
  templateUrl: './day-page.html',
  styleUrl: './day-page.scss',
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class DayPageScreen {
  private readonly desk = inject(ViewDesk);
  private readonly site = inject(Store).selectSignal(seasonFeature.selectSite);
  readonly date = input.required<string>();
  protected readonly watched = this.desk.watch('dayPage', () => {
    const site = this.site();
    return site ? { params: { date: this.date() }, query: { site } } : null;
  });
  protected readonly day = this.watched.data;
  protected readonly best = computed(() => {
    const spans = this.day()?.spans ?? [];
    const order: (DayPage['spans'][number]['depth'] | null)[] = ['full', 'one-frame', 'lid', 'outside'];
    const depth = order.find((each) => spans.some((span) => span.depth === each));
    return depth ? spans.find((span) => span.depth === depth)! : null;
  });
  protected readonly depthLimits = computed(() => {
    const limits = this.day()?.limits;
    if (!limits) return [];
    return DEPTHS.map((depth) => ({ name: upperFirst(named('depthLook', depth)), ...limits[depth] }));
  });

  constructor() {
    titled(() => $localize`Weather, ${dateText(this.date())}`);
  }

  protected time(at: string | null): string {
    const day = this.day();
    return at && day ? timeOf(at, day.site.zone) : '–';
  }
  protected near(days: number): string {
    return addDays(this.date(), days);
  }
  protected readonly dateText = dateText;
  protected readonly swarming = computed(() => {
    const day = this.day();
    return day?.phase ? swarmingOn(day.phase, day.date) : false;
  });
  protected readonly oddsText = oddsText;
  protected readonly decimal = decimal;
  protected readonly spanText = spanText;
}
