import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { RouterLink } from '@angular/router';
import type { Visit } from '@brave-comb/contract';
import { endpoints } from '../api/endpoints';
import { catchError, map, of } from 'rxjs';
import { type CallFault, ContractClient } from '../api/contract-client';
import { dayOf, timeOf } from '../ui/format';

/** Visits, newest first, to look back on. */
@Component({
  selector: 'bc-visit-list',
  imports: [RouterLink],
  template: `
    <section class="sheet">
      <h1 i18n>Visits, newest first</h1>
      @if (fault(); as problem) {
        <p role="alert">{{ problem.message }}</p>
      } @else if (visits(); as list) {
        <ul>
          @for (visit of list; track visit.id) {
            <li>
              <a [routerLink]="['/afterwards', visit.id]" i18n>Hive {{ visit.hiveNumber }}, {{ when(visit) }}</a>
              <span i18n>{{ visit.group.name }} with {{ visit.supervisor.name }}, {{ visit.site }}</span>
              @if (!visit.closedAt) {
                <b i18n>still open</b>
              }
            </li>
          } @empty {
            <li i18n>
              No visit yet. Start one from the
              <a routerLink="/ahead">day sheet</a>.
            </li>
          }
        </ul>
      } @else {
        <p role="status" i18n>Loading …</p>
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
      flex-wrap: wrap;
      gap: 4px 14px;
      padding: 8px 0;
      border-top: 1px solid var(--line-2);
    }
    li > a {
      min-width: 210px;
    }
    b {
      margin-left: auto;
      color: var(--rust-text);
    }
  `,
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class VisitList {
  private readonly answer = toSignal(
    inject(ContractClient)
      .call(endpoints.recentVisits, {})
      .pipe(
        map(({ visits }) => ({ visits, fault: null })),
        catchError((fault: CallFault) => of({ visits: null, fault })),
      ),
  );
  protected readonly fault = computed(() => this.answer()?.fault ?? null);
  protected readonly visits = computed(() => this.answer()?.visits);

  protected when(visit: Visit): string {
    return `${dayOf(visit.startedAt, visit.zone)}, ${timeOf(visit.startedAt, visit.zone)}`;
  }
}
