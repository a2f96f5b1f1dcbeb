import { Measured, measured } from '../language/units';
import { ChangeDetectionStrategy, Component, computed, effect, inject, signal } from '@angular/core';
import type { Trust } from '@brave-comb/contract';
import { Store } from '@ngrx/store';
import { scaleLinear } from 'd3-scale';
import { dayText, decimal, oddsText, timeOf } from '../ui/format';
import { ViewDesk } from '../api/view-desk';
import { seasonFeature } from '../season/season.feature';
import { ViewState } from '../api/view-state';
import { LimitsForm } from './limits-form';
import { ObservationForm } from './observation-form';
import { WeatherFiles } from './weather-files';
import { FIELD } from '../parts/field';

const WIDTH = 560;
const HEIGHT = 150;
const LEFT = 52;
const CATCH_UP = 1500;
/** Days that a lead must have before its score says anything. */
const ENOUGH = 10;

/** How far the forecast can be trusted, what was measured at the site, and the house's limits. */
@Component({
  selector: 'bc-weather-page',
  imports: [FIELD, Measured, ViewState, LimitsForm, ObservationForm, WeatherFiles],
  templateUrl: './weather-page.html',
  styleUrl: './weather-page.scss',
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class WeatherPage {
  private readonly desk = inject(ViewDesk);
  private readonly site = inject(Store).selectSignal(seasonFeature.selectSite);
  protected readonly watched = this.desk.watch('forecastTrust', () => {
    const site = this.site();
    return site ? { query: { site } } : null;
  });
  protected readonly data = this.watched.data;
  protected readonly lead = signal(3);
  protected readonly width = WIDTH;
  protected readonly height = HEIGHT;
  protected readonly left = LEFT;

  constructor() {
    // Past forecasts are looked up some days at a time: ask again while some are missing.
    const wanting = computed(() => (this.data()?.missing ?? 0) > 0);
    effect((onCleanup) => {
      if (!wanting()) return;
      const timer = setInterval(() => this.watched.reload(), CATCH_UP);
      onCleanup(() => clearInterval(timer));
    });
  }

  protected readonly verdict = computed(() => {
    const data = this.data();
    if (!data || data.scores.length === 0) return $localize`No day yet to compare a forecast with what happened.`;
    const most = Math.max(...data.scores.map((score) => score.days));
    if (most < ENOUGH) return $localize`Only ${most} days so far; needs ${ENOUGH} to judge.`;
    const { plan, pencil } = data.trust;
    if (plan === null)
      return $localize`The forecast has been no better than the seasonal average: check again on the day.`;
    if (plan === data.scores.at(-1)?.lead) return $localize`Plan by it up to day ${plan}; the nearer, the surer.`;
    const far = pencil !== null && pencil > plan ? $localize`, provisionally up to day ${pencil}` : '';
    return $localize`Plan by it up to day ${plan}${far}. Beyond that it is no better than the time of year.`;
  });

  protected readonly chart = computed(() => {
    const scores = this.data()?.scores ?? [];
    const x = scaleLinear([-0.5, 9.5], [LEFT, WIDTH]);
    const y = scaleLinear([0, 1], [HEIGHT - 22, 8]).clamp(true);
    const column = (WIDTH - LEFT) / 10;
    return {
      bars: scores.map((score) => ({
        ...score,
        x: x(score.lead) - column * 0.32,
        middle: x(score.lead),
        width: column * 0.64,
        hitY: y(score.hitRate),
        hitHeight: y(0) - y(score.hitRate),
        skillY: y(Math.max(0, score.skill ?? 0)),
      })),
      lines: [0, 0.5, 1].map((share) => ({ share, y: y(share) })),
    };
  });

  /** Each day of the record with what was said some days ahead. */
  protected readonly days = computed(() => {
    const lead = this.lead();
    return (this.data()?.days ?? []).map((day) => {
      const said = day.said.find((each) => each.lead === lead);
      return {
        date: day.date,
        fit: day.fit,
        chance: said?.chance ?? null,
        right: said ? said.chance >= 0.5 === day.fit : null,
        title: $localize`${dayText(day.date)}\: ${day.fit ? $localize`fit` : $localize`not fit`}, warmest ${measured('temperature', day.warmest, 1)}; ${said ? $localize`${lead} days before: ${oddsText(said.chance)}, ${measured('temperature', said.warmest, 1)}` : $localize`no forecast kept`}`,
      };
    });
  });
  protected readonly leads = computed(() => (this.data()?.scores ?? []).map((score) => score.lead));

  protected age(data: Trust): string {
    return data.forecast.issuedAt
      ? $localize`Forecast of ${timeOf(data.forecast.issuedAt, data.site.zone)}`
      : $localize`No forecast`;
  }
  protected readonly dayText = dayText;
  protected readonly decimal = decimal;
}
