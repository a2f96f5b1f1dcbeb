import { figure, measured } from '../language/units';
import { named } from '../language/words';
import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import { MatIcon } from '@angular/material/icon';
import type { DaySheet, DayVerdict } from '@brave-comb/contract';
import { dayOf, longDay, oddsText, spanText, timeOf } from '../ui/format';
import { type Gauge, GaugeBar } from './gauge-bar';
import { HoursChart } from './hours-chart';

const WORDS: Readonly<Record<DayVerdict['word'], string>> = {
  go: $localize`Go`,
  move: $localize`Move`,
  short: $localize`Short`,
  no: $localize`No`,
};
const ICONS: Readonly<Record<Gauge['id'], string>> = {
  warmth: 'thermometer',
  gusts: 'air',
  dry: 'rain',
  light: 'light',
  group: 'groups',
};
const NAMES: Readonly<Record<Gauge['id'], string>> = {
  warmth: $localize`Warmth`,
  gusts: $localize`Gusts`,
  dry: $localize`Dry for`,
  light: $localize`Daylight`,
  group: $localize`Groups`,
};
const TURNS = {
  rain: $localize`rain comes in`,
  gusts: $localize`gusts get too strong`,
  cold: $localize`it gets too cold`,
  heat: $localize`it gets too hot`,
  dark: $localize`the light fades`,
  'bees-in': $localize`the foragers return`,
  'rain-soon': $localize`rain comes in`,
  thunder: $localize`thunder comes`,
} as const;

/** One word, the hours, the reasons as gauges, the day by hours, and the next day that would do. */
@Component({
  selector: 'bc-verdict-sheet',
  imports: [MatIcon, GaugeBar, HoursChart],
  templateUrl: './verdict-sheet.html',
  styleUrl: './verdict-sheet.scss',
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class VerdictSheet {
  readonly sheet = input.required<DaySheet>();
  readonly verdict = input.required<DayVerdict>();

  readonly school = input('');
  protected readonly longDay = longDay;
  protected readonly session = computed(() => this.sheet().session);
  protected readonly word = computed(() => WORDS[this.verdict().word]);
  protected readonly bar = computed(() => ({ go: 'go', move: 'short', short: 'short', no: 'no' })[this.verdict().word]);
  protected readonly hours = computed(() => {
    const { best } = this.verdict();
    const { zone } = this.session();
    return best ? $localize`${timeOf(best.from, zone)} to ${timeOf(best.to, zone)}` : $localize`no frame out`;
  });
  protected readonly depth = computed(() => {
    const { best, stillPossible, word } = this.verdict();
    const { zone, startsAt } = this.session();
    if (best)
      return word === 'move'
        ? $localize`${named('depthLook', best.depth)}, instead of ${timeOf(startsAt, zone)}`
        : named('depthLook', best.depth);
    if (stillPossible)
      return $localize`a lid from ${timeOf(stillPossible.from, zone)} to ${timeOf(stillPossible.to, zone)}, then nothing`;
    return $localize`outside looks only`;
  });
  protected readonly turnText = computed(() => {
    const { turn, chance, word } = this.verdict();
    const { zone } = this.session();
    const odds = oddsText(chance);
    if (word === 'no')
      return { head: $localize`Not that day.`, text: $localize`The planned hours are fit in ${odds} forecasts.` };
    const planned =
      word === 'go'
        ? $localize`Fit throughout in ${odds} forecasts.`
        : $localize`As planned it would be fit in ${odds} forecasts.`;
    if (turn) return { head: $localize`Changes at ${timeOf(turn.at, zone)},`, text: `${TURNS[turn.why]}. ${planned}` };
    return { head: word === 'go' ? $localize`Fit all day.` : $localize`Not as planned.`, text: planned };
  });
  protected readonly next = computed(() => {
    const { nextBest } = this.verdict();
    const { zone } = this.session();
    return nextBest
      ? {
          when: `${dayOf(nextBest.from, zone)}, ${timeOf(nextBest.from, zone)}–${timeOf(nextBest.to, zone)}`,
          odds: oddsText(nextBest.chance),
        }
      : null;
  });
  protected readonly gauges = computed(() =>
    this.verdict().gauges.map((gauge) => {
      const [reads, limit] = this.texts(gauge);
      return {
        gauge,
        icon: ICONS[gauge.id],
        name: NAMES[gauge.id],
        figure: reads,
        limit,
        word: gauge.state === 'outside' ? $localize`, not met` : gauge.state === 'tight' ? $localize`, tight` : '',
      };
    }),
  );

  private texts({ id, value, limit, sense }: Gauge): readonly [string, string] {
    const [, middle] = value;
    const bound = sense === 'at-least' ? $localize`from` : $localize`up to`;
    switch (id) {
      case 'warmth':
        return [
          $localize`${figure('temperature', middle, 0)}° coolest`,
          `${bound} ${figure('temperature', limit, 1)}°`,
        ];
      case 'gusts':
        return [measured('speed', middle, 0), `${bound} ${figure('speed', limit, 0)}`];
      case 'dry':
      case 'light':
        return [middle >= 480 ? $localize`all day` : spanText(middle), $localize`needs ${spanText(limit)}`];
      case 'group':
        return [$localize`${middle} at most`, $localize`${bound} ${limit} each`];
    }
  }
}
