import { ChangeDetectionStrategy, Component, computed, input, signal } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { type Assignments, type PlanningProblem, rhythmsOf } from '@brave-comb/core/planning';
import { addDays } from '@brave-comb/core/units';
import { scaleLinear } from 'd3-scale';
import { dayText, shortDate, weekday } from '../ui/format';

const [NAME, WIDTH, ROW, HEAD] = [56, 600, 20, 22];
/** Hives that are drawn before the rest is asked for. */
const DRAWN = 8;
/** Days before today that are drawn, at most. */
const BACK = 14;
const SUNDAY = 7;

/** How many days pass between two looks at each colony that must be looked at again and again. */
@Component({
  selector: 'bc-plan-rhythm',
  imports: [MatButton],
  templateUrl: './plan-rhythm.html',
  styleUrl: './plan-rhythm.scss',
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class PlanRhythm {
  readonly problem = input.required<PlanningProblem>();
  readonly plan = input.required<Assignments>();
  readonly today = input.required<string>();
  /** Numbers of hives, by id. */
  readonly numbers = input.required<ReadonlyMap<string, string>>();

  protected readonly all = signal(false);
  private readonly rhythms = computed(() =>
    // What is missed comes first.
    [...rhythmsOf(this.problem(), this.plan())].sort((a, b) => b.missed.length - a.missed.length),
  );
  protected readonly hidden = computed(() => Math.max(0, this.rhythms().length - DRAWN));
  protected readonly every = computed(() => {
    const every = [...new Set(this.rhythms().map((rhythm) => rhythm.every))].sort((a, b) => a - b);
    return every.length === 0 ? null : every.join($localize` or `);
  });
  private readonly x = computed(() => {
    const first = Math.min(-1, ...this.rhythms().map(({ looks }) => Math.max(-BACK, looks[0] ?? -1)));
    return scaleLinear([first, this.problem().horizonDays], [NAME + 14, WIDTH - 14]);
  });
  protected readonly today0 = computed(() => this.x()(0));
  protected readonly weeks = computed(() => {
    const [first, last] = this.x().domain() as [number, number];
    return Array.from({ length: Math.ceil(last - first) }, (_, at) => Math.ceil(first) + at)
      .map((day) => ({ day, date: addDays(this.today(), day) }))
      .filter(({ day, date }) => weekday(date) === SUNDAY && Math.abs(day) > 1)
      .map(({ day, date }) => ({ x: this.x()(day), text: shortDate(date) }));
  });
  protected readonly rows = computed(() => {
    const x = this.x();
    const [first] = x.domain() as [number];
    const rhythms = this.all() ? this.rhythms() : this.rhythms().slice(0, DRAWN);
    return rhythms.map(({ hive, every, looks, missed }, at) => {
      const shown = looks.filter((day) => day >= first);
      return {
        hive,
        name: $localize`Hive ${this.numbers().get(hive) ?? ''}`,
        y: HEAD + at * ROW + ROW / 2,
        looks: shown.map((day) => ({ day, x: x(day), done: day < 0, today: day === 0 })),
        gaps: shown.slice(1).map((day, before) => ({
          from: x(shown[before]!),
          to: x(day),
          middle: (x(shown[before]!) + x(day)) / 2,
          days: day - shown[before]!,
          over: day - shown[before]! > every,
        })),
        missed: missed.map((day) => ({ day, x: x(day) })),
        says: this.sentence(looks, missed),
      };
    });
  });
  protected readonly height = computed(() => HEAD + this.rows().length * ROW + 4);
  protected readonly box = computed(() => `0 0 ${WIDTH} ${this.height()}`);
  protected readonly bottom = computed(() => this.height() - 4);

  private sentence(looks: readonly number[], missed: readonly number[]): string {
    const on = (days: readonly number[]) => days.map((day) => dayText(addDays(this.today(), day))).join(', ');
    const seen = looks.length === 0 ? $localize`not looked at` : $localize`looked at on ${on(looks)}`;
    return missed.length === 0 ? seen : $localize`${seen}; missed by ${on(missed)}`;
  }
}
