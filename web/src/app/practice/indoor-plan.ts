import { ChangeDetectionStrategy, Component, computed, inject, input, signal } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { RouterLink } from '@angular/router';
import { follows } from '../ui/follows';
import { Clock } from '../people/clock';
import { ViewDesk } from '../api/view-desk';
import { ViewState } from '../api/view-state';
import { civilDate, dateText } from '../ui/format';
import { StationList } from './station-list';
import { FIELD } from '../parts/field';
import { DayField } from '../parts/day-field';

const STATIONS = [1, 2, 3, 4, 5, 6] as const;

/** A session under a roof from what a group is weakest at: stations, how long, who with whom. Once set out, its trainees see it. */
@Component({
  selector: 'bc-indoor-plan',
  imports: [DayField, FIELD, MatButton, RouterLink, StationList, ViewState],
  templateUrl: './indoor-plan.html',
  styleUrl: './indoor-plan.scss',
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class IndoorPlanScreen {
  private readonly desk = inject(ViewDesk);
  private readonly clock = inject(Clock);
  /** From the address. */
  readonly group = input<string | undefined>();
  protected readonly practice = this.desk.watch('practice', () => ({}));
  protected readonly today = computed(() => civilDate(this.clock.now(), 'utc'));
  protected readonly chosen = follows(() => this.group() ?? this.practice.data()?.groups[0]?.id ?? '');
  protected readonly minutes = signal(90);
  protected readonly stations = signal<number>(3);
  protected readonly day = follows(() => this.today());
  protected readonly counts = STATIONS;
  protected readonly plan = this.desk.watch('indoorPlan', () =>
    this.chosen() === ''
      ? null
      : {
          params: { group: this.chosen() },
          query: { minutes: `${this.minutes()}`, stations: `${this.stations()}` },
        },
  );
  /** What is set out for the groups, each with its day in words. */
  protected readonly setOut = computed(() =>
    (this.practice.data()?.plans ?? []).map((plan) => ({ ...plan, on: dateText(plan.day) })),
  );

  protected setMinutes(minutes: number): void {
    if (Number.isFinite(minutes)) this.minutes.set(Math.min(480, Math.max(15, Math.round(minutes))));
  }

  protected setItOut(): void {
    const body = { id: this.desk.newId(), day: this.day(), minutes: this.minutes(), stations: this.stations() };
    this.desk.change('setOutIndoorPlan', { params: { group: this.chosen() }, body }, 'practice');
  }

  protected takeBack(plan: string): void {
    this.desk.change('takeBackIndoorPlan', { params: { plan } }, 'practice');
  }

  protected print(): void {
    globalThis.print();
  }
}
