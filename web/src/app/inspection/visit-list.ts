import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { toSignal } from '@angular/core/rxjs-interop';
import { RouterLink } from '@angular/router';
import type { Visit } from '@brave-comb/contract';
import { endpoints } from '../api/endpoints';
import { catchError, map, of } from 'rxjs';
import { type CallFault, ContractClient } from '../api/contract-client';
import { dayOf, timeOf } from '../ui/format';

/** Visits, newest first: those open now to go on with, or all to look back on. */
@Component({
  selector: 'bc-visit-list',
  imports: [MatButton, RouterLink],
  template: `
    <section class="sheet">
      <h1 i18n>{!!openOnly(), select, true {Open visits} other {Visits, newest first}}</h1>
      @if (fault(); as problem) {
        <p role="alert">{{ problem.message }}</p>
      } @else if (visits(); as list) {
        <ul>
          @for (visit of list; track visit.id) {
            <li>
              <a [routerLink]="[openOnly() ? '/at-the-hive/visit' : '/afterwards', visit.id]" i18n
                >Hive {{ visit.hiveNumber }}, {{ when(visit) }}</a
              >
              <span i18n>{{ visit.group.name }} with {{ visit.supervisor.name }}, {{ visit.site }}</span>
              @if (!visit.closedAt) {
                <b i18n>still open</b>
              }
            </li>
          } @empty {
            <li i18n>
              {!!openOnly(), select, true {No visit is open.} other {No visit yet.}} Start one from the
              <a routerLink="/ahead">day sheet</a>.
            </li>
          }
        </ul>
      } @else {
        <p role="status" i18n>Loading …</p>
      }
    </section>
    @if (openOnly() && hives().length > 0) {
      <section class="sheet" aria-labelledby="any-hive">
        <h2 id="any-hive" i18n>Open a hive</h2>
        <p class="quiet" i18n>In today's session if it has one of yours, otherwise outside a planned session.</p>
        <ul class="hives">
          @for (hive of hives(); track hive.id) {
            <li>
              <a matButton="outlined" [routerLink]="['/at-the-hive/hive', hive.id]" i18n
                >Hive {{ hive.number }}<span class="unseen">, {{ hive.siteName }}</span></a
              >
            </li>
          }
        </ul>
      </section>
    }
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
    .hives {
      display: flex;
      flex-wrap: wrap;
      gap: 8px;
      margin-top: 8px;
    }
    .hives li {
      padding: 0;
      border: 0;
    }
    .hives a {
      min-width: 0;
      min-height: 48px;
    }
    h2 {
      font-size: 17px;
    }
    b {
      margin-left: auto;
      color: var(--rust-text);
    }
  `,
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class VisitList {
  readonly openOnly = input(false);
  private readonly answer = toSignal(
    inject(ContractClient)
      .call(endpoints.recentVisits, {})
      .pipe(
        map(({ visits }) => ({ visits, fault: null })),
        catchError((fault: CallFault) => of({ visits: null, fault })),
      ),
  );
  protected readonly hives = toSignal(
    inject(ContractClient)
      .call(endpoints.hiveList, {})
      .pipe(
        map(({ hives }) => hives),
        catchError(() => of([])),
      ),
    { initialValue: [] },
  );
  protected readonly fault = computed(() => this.answer()?.fault ?? null);
  protected readonly visits = computed(() =>
    this.answer()?.visits?.filter((visit) => !this.openOnly() || visit.closedAt === null),
  );

  protected when(visit: Visit): string {
    return `${dayOf(visit.startedAt, visit.zone)}, ${timeOf(visit.startedAt, visit.zone)}`;
  }
}
