import { ChangeDetectionStrategy, Component, inject } from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { RouterLink } from '@angular/router';
import { endpoints, type Visit } from '@brave-comb/contract';
import { catchError, map, of } from 'rxjs';
import { ContractClient } from '../api/contract-client';
import { dayOf, timeOf } from '../shell/format';

/** Visits that are open now, to go on with on this or another device. */
@Component({
  selector: 'bc-visits',
  imports: [RouterLink],
  template: `
    <section class="sheet">
      <h1>Open visits</h1>
      @if (visits(); as list) {
        <ul>
          @for (visit of list; track visit.id) {
            <li>
              <b>Hive {{ visit.hiveNumber }}</b>
              <span>{{ visit.group.name }} with {{ visit.supervisor.name }}, opened {{ when(visit) }}</span>
              <a class="btn" [routerLink]="['/at-the-hive', visit.id]">Go on</a>
            </li>
          } @empty {
            <li>No visit is open. Start one from the <a routerLink="/ahead">day sheet</a>.</li>
          }
        </ul>
      } @else {
        <p role="status">Loading …</p>
      }
    </section>
  `,
  styles: `
    section {
      max-width: 760px;
      margin: 18px auto;
      padding: 16px 20px 18px;
    }
    h1 {
      margin-bottom: 8px;
      font-size: 20px;
    }
    li {
      display: flex;
      gap: 14px;
      align-items: center;
      padding: 8px 0;
      border-top: 1px solid var(--line-2);
    }
    .btn {
      margin-left: auto;
    }
  `,
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class VisitsScreen {
  protected readonly visits = toSignal(
    inject(ContractClient)
      .call(endpoints.recentVisits, {})
      .pipe(
        map(({ visits }) => visits.filter((visit) => visit.closedAt === null)),
        catchError(() => of([])),
      ),
  );

  protected when(visit: Visit): string {
    return `${dayOf(visit.startedAt, visit.zone)}, ${timeOf(visit.startedAt, visit.zone)}`;
  }
}
