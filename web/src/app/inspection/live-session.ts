import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { takeUntilDestroyed, toSignal } from '@angular/core/rxjs-interop';
import { MatButton } from '@angular/material/button';
import { RouterLink } from '@angular/router';
import type { LiveSession, LiveVisit } from '@brave-comb/contract';
import { MOODS, readClock } from '@brave-comb/core/inspection';
import { catchError, map, of, switchMap, tap } from 'rxjs';
import { ContractClient } from '../api/contract-client';
import { endpoints } from '../api/endpoints';
import { Clock } from '../people/clock';
import { liveEvents } from './live-events';
import { Named, named } from '../language/words';

/** All hives of the session for whoever leads it: clocks, moods, stings and warnings as they come. */
@Component({
  selector: 'bc-live-session',
  imports: [MatButton, Named, RouterLink],
  template: `
    <section class="sheet" aria-labelledby="live-title">
      <h1 id="live-title" i18n>
        Live <small role="status">{{ state() }}</small>
      </h1>
      @if (session() === null) {
        <p i18n>No session is planned. <a routerLink="/ahead">To the day sheet</a></p>
      }
      <ul>
        @for (row of rows(); track row.visit.visit) {
          <li [class.bad]="row.visit.warnings.length > 0">
            <h2>
              <a [routerLink]="['/at-the-hive/visit', row.visit.visit]" i18n>Hive {{ row.visit.hiveNumber }}</a>
              <small i18n>{{ row.visit.group }} with {{ row.visit.supervisor }}</small>
            </h2>
            <dl>
              <div>
                <dt i18n>Open</dt>
                <dd [class.late]="row.clock.state === 'shut-now'" [class.soon]="row.clock.state === 'start-closing'">
                  {{ row.open }}
                </dd>
              </div>
              <div>
                <dt i18n>Step</dt>
                <dd>{{ row.visit.step | named: 'step' }}</dd>
              </div>
              <div>
                <dt i18n>Sides</dt>
                <dd i18n>{{ row.visit.sidesRead }} of {{ row.visit.sides }}</dd>
              </div>
              <div>
                <dt i18n>Bees</dt>
                <dd>{{ row.mood }}</dd>
              </div>
              <div>
                <dt i18n>Stings</dt>
                <dd>{{ row.visit.stings }}</dd>
              </div>
            </dl>
            @for (warning of row.visit.warnings; track warning) {
              <p class="warning">{{ warning }}</p>
            }
          </li>
        } @empty {
          @if (live()) {
            <li>
              <p i18n>
                No hive of this session is open yet. Once one is, its clock, step, mood, stings and warnings show here
                as they come.
              </p>
              <a matButton="outlined" routerLink="/at-the-hive" i18n>Start a hive</a>
            </li>
          }
        }
      </ul>
      @if (live()?.waiting?.length) {
        <p>
          <ng-container i18n>Not opened yet: </ng-container>
          @for (each of live()!.waiting; track each.hiveNumber + each.group; let last = $last) {
            <ng-container i18n>{{ each.group }} at hive {{ each.hiveNumber }}{{ last ? '.' : ',' }} </ng-container>
          }
        </p>
      }
    </section>
  `,
  styles: `
    section {
      max-width: 980px;
      margin: 18px auto;
      padding: 16px 20px 18px;
    }
    h1 {
      font-size: 20px;
    }
    small {
      font: 400 14px var(--font);
    }
    li {
      padding: 12px 0;
      border-top: 1px solid var(--line-2);
    }
    h2 {
      font-size: 17px;
    }
    dl {
      display: flex;
      flex-wrap: wrap;
      gap: 4px 26px;
      margin-top: 4px;
    }
    dl > div {
      display: flex;
      gap: 8px;
    }
    dt {
      color: var(--ink-2);
    }
    dd {
      margin: 0;
      font-weight: 700;
    }
    .late {
      padding: 0 8px;
      border-radius: 4px;
      background: var(--madder);
      color: var(--on-spruce);
    }
    .soon {
      color: var(--rust-text);
    }
    .warning {
      margin-top: 4px;
      padding: 4px 10px;
      border-left: 5px solid var(--madder);
      background: var(--madder-100);
      color: var(--madder-800);
    }
  `,
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class LiveSessionScreen {
  private readonly client = inject(ContractClient);
  private readonly clock = inject(Clock);
  private readonly broken = signal(false);
  protected readonly session = signal<string | null | undefined>(undefined);

  protected readonly live = toSignal<LiveSession | null>(
    this.client.call(endpoints.nextSession, {}).pipe(
      map(({ session }) => session),
      catchError(() => of(null)),
      tap((session) => this.session.set(session)),
      switchMap((session) => (session ? liveEvents(this.client, session, (is) => this.broken.set(is)) : of(null))),
      tap(() => this.broken.set(false)),
      takeUntilDestroyed(),
    ),
  );
  protected readonly state = computed(() =>
    this.broken()
      ? $localize`connection lost: retrying every few seconds`
      : this.live()
        ? $localize`connected`
        : $localize`connecting …`,
  );
  protected readonly rows = computed(() => (this.live()?.visits ?? []).map((visit) => this.row(visit)));

  private row(visit: LiveVisit) {
    const opened = visit.openedAt ? Date.parse(visit.openedAt) : null;
    const closed = visit.closedAt ? Date.parse(visit.closedAt) : null;
    const clock = readClock(opened, closed, this.clock.now(), visit.allowedMinutes);
    const minutes = Math.floor(clock.minutes);
    return {
      visit,
      clock,
      open:
        clock.state === 'not-open'
          ? $localize`not yet`
          : clock.state === 'closed'
            ? $localize`closed after ${minutes} min`
            : $localize`${minutes} of ${visit.allowedMinutes} min`,
      mood: visit.mood === null ? $localize`not noted` : named('mood', MOODS[visit.mood - 1]!),
    };
  }
}
