import { ChangeDetectionStrategy, Component, inject } from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { RouterLink } from '@angular/router';
import { type Visit, endpoints } from '@brave-comb/contract';
import { catchError, map, of } from 'rxjs';
import { ContractClient } from '../api/contract-client';
import { dayOf, timeOf } from '../shell/format';

/** The latest visits, newest first, to look back on. */
@Component({
  selector: 'bc-visits-to-review',
  imports: [RouterLink],
  template: `
    <section class="sheet">
      <h1>Visits, newest first</h1>
      @if (visits(); as list) {
        <ul>
          @for (visit of list; track visit.id) {
            <li>
              <a [routerLink]="['/afterwards', visit.id]">Hive {{ visit.hiveNumber }}, {{ when(visit) }}</a>
              <span>{{ visit.group.name }} with {{ visit.supervisor.name }}, {{ visit.site }}</span>
              @if (!visit.closedAt) {
                <b>still open</b>
              }
            </li>
          } @empty {
            <li>No visit yet. The first one starts from the <a routerLink="/ahead">day sheet</a>.</li>
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
      display: grid;
      grid-template-columns: 210px 1fr auto;
      gap: 14px;
      padding: 7px 0;
      border-top: 1px solid var(--line-2);
    }
    b {
      color: var(--rust-text);
    }
  `,
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class VisitsToReview {
  protected readonly visits = toSignal(
    inject(ContractClient)
      .call(endpoints.recentVisits, {})
      .pipe(
        map(({ visits }) => visits),
        catchError(() => of([])),
      ),
  );

  protected when(visit: Visit): string {
    return `${dayOf(visit.startedAt, visit.zone)}, ${timeOf(visit.startedAt, visit.zone)}`;
  }
}
