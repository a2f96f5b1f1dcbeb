import { ChangeDetectionStrategy, Component, DestroyRef, computed, inject, signal } from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { MatButton } from '@angular/material/button';
import { MatDialog } from '@angular/material/dialog';
import { MatIcon } from '@angular/material/icon';
import { RouterLink } from '@angular/router';
import type { DaySheet, GroupSheet } from '@brave-comb/contract';
import { Store } from '@ngrx/store';
import { group as groupBy } from 'd3-array';
import { catchError, map, of } from 'rxjs';
import { type CallFault, ContractClient } from '../api/contract-client';
import { endpoints } from '../api/endpoints';
import { DeviceStore } from '../device/device-store';
import { DayReadyLine } from '../inspection/day-ready';
import { EmergencyCard } from '../inspection/emergency-card';
import { PreparedVisits } from '../inspection/prepared-visits';
import { Clock } from '../people/clock';
import { peopleFeature } from '../people/people.feature';
import { PlanningEvents, planningFeature } from '../planning/planning.feature';
import { civilDate, dateText, dayOf, longDay, momentOf, spanText, timeOf } from '../ui/format';
import { NextHives } from './next-hives';

const MINUTE = 60_000;
/** From so long after its time on a start is late, ms. */
const LATE = 5 * MINUTE;

/** Before a visit: today's hives with Start, visits that are open, any other hive, and what waits on this device. */
@Component({
  selector: 'bc-hive-start',
  imports: [DayReadyLine, MatButton, MatIcon, NextHives, RouterLink],
  templateUrl: './hive-start.html',
  styleUrl: './hive-start.scss',
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class HiveStart {
  private readonly store = inject(Store);
  private readonly clock = inject(Clock);
  private readonly prepared = inject(PreparedVisits);
  private readonly client = inject(ContractClient);
  private readonly person = this.store.selectSignal(peopleFeature.selectPerson);
  protected readonly school = computed(() => this.person()?.school.name ?? '');
  protected readonly date = dateText;
  protected readonly next = this.store.selectSignal(planningFeature.selectSheet);
  protected readonly fault = signal<CallFault | null>(null);

  /** The sheet of today's session, `null` where none is held today. */
  protected readonly sheet = computed(() => {
    const sheet = this.next();
    if (!sheet) return null;
    const { startsAt, zone } = sheet.session;
    return civilDate(startsAt, zone) === civilDate(this.clock.now(), zone) ? sheet : null;
  });
  protected readonly day = computed(() => {
    const session = this.next()?.session;
    return session ? longDay(this.clock.now(), session.zone) : '';
  });
  protected readonly ahead = computed(() => {
    const session = this.next()?.session;
    return session && !this.sheet() ? dayOf(session.startsAt, session.zone) : null;
  });

  private readonly dialog = inject(MatDialog);

  /** Before a hive is open, too: somebody may be stung at the gate. */
  protected emergency(data: DaySheet['emergency']): void {
    this.dialog.open(EmergencyCard, { data, width: '860px', maxWidth: '96vw', panelClass: 'outdoor' });
  }

  private readonly visits = toSignal(
    this.client.call(endpoints.recentVisits, {}).pipe(
      map(({ visits }) => visits),
      catchError((fault: CallFault) => {
        this.fault.set(fault);
        return of([]);
      }),
    ),
    { initialValue: [] },
  );
  /** Open visits that are none of today's groups. */
  protected readonly others = computed(() => {
    const today = this.sheet()?.groups.map(({ visit }) => visit?.id) ?? [];
    return this.visits()
      .filter(({ id, closedAt }) => closedAt === null && !today.includes(id))
      .map((visit) => ({
        ...visit,
        when: momentOf(visit.startedAt, visit.zone),
      }));
  });

  protected readonly groups = computed(() => {
    const sheet = this.sheet();
    if (!sheet) return [];
    const first = sheet.groups.find(({ visit }) => visit && !visit.closed) ?? sheet.groups.find(({ visit }) => !visit);
    return sheet.groups.map((group) => {
      const late = this.clock.now() - Date.parse(group.startsAt);
      const { visit } = group;
      return {
        sheet: group,
        ask: group.due[0]?.question ?? group.why[0] ?? '',
        first: group === first,
        closed: visit?.closed ?? false,
        when: visit
          ? visit.closed
            ? $localize`closed`
            : $localize`open now`
          : late > LATE
            ? $localize`planned ${timeOf(group.startsAt, sheet.session.zone)}, ${spanText(late / MINUTE)} late: keep it short`
            : $localize`planned ${timeOf(group.startsAt, sheet.session.zone)}`,
        button: visit
          ? visit.closed
            ? $localize`Review`
            : sheet.mayStart
              ? $localize`Go on`
              : $localize`Join`
          : sheet.mayStart
            ? $localize`Start`
            : null,
      };
    });
  });

  private readonly hives = toSignal(
    this.client.call(endpoints.hiveList, {}).pipe(
      map(({ hives }) => hives),
      catchError(() => of([])),
    ),
    { initialValue: [] },
  );
  /** All hives by where they stand, with what is said of each now. */
  protected readonly stands = computed(() => {
    const sheet = this.sheet();
    const open = this.visits().filter(({ closedAt }) => closedAt === null);
    const told = this.hives().map((hive) => {
      const group = sheet?.groups.find((each) => each.hive.id === hive.id);
      const visit = open.find((each) => each.hive === hive.id);
      const planned = sheet && group ? timeOf(group.startsAt, sheet.session.zone) : '';
      return { ...hive, today: group !== undefined, note: visit ? $localize`open` : planned };
    });
    return [...groupBy(told, ({ siteName, stand }) => `${siteName}, ${stand}`)].map(([name, hives]) => ({
      name,
      hives,
    }));
  });
  protected readonly waiting = inject(DeviceStore).unsent;

  constructor() {
    inject(DestroyRef).onDestroy(() => this.store.dispatch(PlanningEvents.daySheetLeft()));
    this.store.dispatch(PlanningEvents.daySheetOpened({ session: null }));
  }

  protected open(group: GroupSheet): void {
    const sheet = this.sheet();
    if (sheet) this.prepared.open(sheet, group).catch((fault: unknown) => this.fault.set(fault as CallFault));
  }
}
