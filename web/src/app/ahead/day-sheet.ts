import { Measured } from '../language/units';
import {
  ChangeDetectionStrategy,
  Component,
  DestroyRef,
  computed,
  effect,
  inject,
  input,
  signal,
  untracked,
} from '@angular/core';
import { MatButton } from '@angular/material/button';
import { MatIcon } from '@angular/material/icon';
import { RouterLink } from '@angular/router';
import type { GroupSheet } from '@brave-comb/contract';
import { Store } from '@ngrx/store';
import { type CallFault } from '../api/contract-client';
import { CombLegend } from '../inspection/comb-legend';
import { DayReadyLine } from '../inspection/day-ready';
import { PreparedVisits } from '../inspection/prepared-visits';
import { Clock } from '../people/clock';
import { PlanningEvents, planningFeature } from '../planning/planning.feature';
import { peopleFeature } from '../people/people.feature';
import { dayOf, longDay } from '../ui/format';
import { CanShow } from './can-show';
import { GroupCard } from './group-card';
import { NextHives } from './next-hives';
import { VerdictSheet } from './verdict-sheet';
import { titled } from '../ui/titled';

/** Go or not, who, where, with what. */
@Component({
  selector: 'bc-day-sheet',
  imports: [
    MatButton,
    RouterLink,
    Measured,
    MatIcon,
    VerdictSheet,
    GroupCard,
    CanShow,
    CombLegend,
    NextHives,
    DayReadyLine,
  ],
  templateUrl: './day-sheet.html',
  styleUrl: './day-sheet.scss',
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class DaySheetScreen {
  private readonly store = inject(Store);
  private readonly prepared = inject(PreparedVisits);
  private readonly clock = inject(Clock);
  /** Session of the address; without one the next session is shown. */
  readonly session = input<string>();

  protected readonly sheet = this.store.selectSignal(planningFeature.selectSheet);
  private readonly person = this.store.selectSignal(peopleFeature.selectPerson);
  protected readonly lead = computed(() => this.person()?.role === 'lead');
  protected readonly school = computed(() => this.person()?.school.name ?? '');
  protected readonly own = computed(() => this.person()?.name ?? '');
  protected readonly longDay = longDay;
  protected readonly status = this.store.selectSignal(planningFeature.selectStatus);
  protected readonly fault = this.store.selectSignal(planningFeature.selectFault);
  protected readonly startFault = signal<CallFault | null>(null);
  protected readonly day = computed(() => {
    const session = this.sheet()?.session;
    return session ? dayOf(session.startsAt, session.zone) : '';
  });

  /** Whether the session is on: then what comes next stands first. */
  protected readonly begun = computed(() => {
    const session = this.sheet()?.session;
    return session !== undefined && this.clock.now() >= Date.parse(session.startsAt);
  });

  constructor() {
    inject(DestroyRef).onDestroy(() => this.store.dispatch(PlanningEvents.daySheetLeft()));
    titled(() => {
      const session = this.sheet()?.session;
      return session ? $localize`Day sheet, ${dayOf(session.startsAt, session.zone)}` : null;
    });
    effect(() => {
      const session = this.session() ?? null;
      untracked(() => this.store.dispatch(PlanningEvents.daySheetOpened({ session })));
    });
  }

  protected retry(): void {
    this.store.dispatch(PlanningEvents.daySheetOpened({ session: this.session() ?? null }));
  }

  protected open(group: GroupSheet): void {
    const sheet = this.sheet();
    if (!sheet) return;
    this.startFault.set(null);
    this.prepared.open(sheet, group).catch((fault: unknown) => this.startFault.set(fault as CallFault));
  }

  /** Lines for notes, on paper. */
  protected readonly lines = [1, 2, 3, 4, 5];

  protected print(): void {
    globalThis.print();
  }
}
