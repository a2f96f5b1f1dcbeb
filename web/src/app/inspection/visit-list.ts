import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { SORT } from '../parts/sort-words';
import { MatTableModule } from '@angular/material/table';
import { RouterLink } from '@angular/router';
import type { Visit } from '@brave-comb/contract';
import { type CallFault, ContractClient } from '../api/contract-client';
import { endpoints } from '../api/endpoints';
import { recordTable } from '../parts/record-table';
import { momentOf } from '../ui/format';

/** Visits, newest first, to look back on. */
@Component({
  selector: 'bc-visit-list',
  imports: [MatButton, SORT, MatTableModule, RouterLink],
  template: `
    <section class="sheet">
      <h1 i18n>Visits</h1>
      @if (visits().length > 0) {
        <table
          mat-table
          class="plain-table cards"
          [dataSource]="$any(table.lines())"
          matSort
          (matSortChange)="table.order.set($event)"
        >
          <ng-container matColumnDef="when">
            <th mat-header-cell *matHeaderCellDef mat-sort-header i18n>Day</th>
            <td mat-cell *matCellDef="let visit">
              <a [routerLink]="['/afterwards', visit.id]"
                >{{ when(visit) }}<span class="unseen" i18n>, hive {{ visit.hiveNumber }}, review</span></a
              >
            </td>
          </ng-container>
          <ng-container matColumnDef="hive">
            <th mat-header-cell *matHeaderCellDef mat-sort-header i18n>Hive</th>
            <td mat-cell *matCellDef="let visit" [attr.data-head]="heads.hive">
              <a [routerLink]="['/colonies', visit.hive]"
                ><span class="unseen" i18n>Hive </span>{{ visit.hiveNumber }}</a
              >
            </td>
          </ng-container>
          <ng-container matColumnDef="group">
            <th mat-header-cell *matHeaderCellDef mat-sort-header i18n>Group</th>
            <td mat-cell *matCellDef="let visit" [attr.data-head]="heads.group">{{ visit.group.name }}</td>
          </ng-container>
          <ng-container matColumnDef="supervisor">
            <th mat-header-cell *matHeaderCellDef mat-sort-header i18n>Supervisor</th>
            <td mat-cell *matCellDef="let visit" [attr.data-head]="heads.supervisor">{{ visit.supervisor.name }}</td>
          </ng-container>
          <ng-container matColumnDef="site">
            <th mat-header-cell *matHeaderCellDef mat-sort-header i18n>Site</th>
            <td mat-cell *matCellDef="let visit" [attr.data-head]="heads.site">{{ visit.site }}</td>
          </ng-container>
          <ng-container matColumnDef="open">
            <th mat-header-cell *matHeaderCellDef><span class="unseen" i18n>Open or closed</span></th>
            <td mat-cell *matCellDef="let visit">
              @if (!visit.closedAt) {
                <a [routerLink]="['/at-the-hive/visit', visit.id]" class="open" i18n
                  >still open: go on<span class="unseen"> with hive {{ visit.hiveNumber }}</span></a
                >
              }
            </td>
          </ng-container>
          <tr mat-header-row *matHeaderRowDef="columns"></tr>
          <tr mat-row *matRowDef="let visit; columns: columns"></tr>
        </table>
      }
      @if (fault(); as problem) {
        <p role="alert">{{ problem.message }}</p>
        <button type="button" matButton="filled" (click)="load()" i18n>Try now</button>
      } @else if (loading()) {
        <p role="status" i18n>Loading …</p>
      } @else if (visits().length === 0) {
        <p i18n>No visit yet. Start one from the <a routerLink="/ahead">day sheet</a>.</p>
      } @else if (more()) {
        <button type="button" matButton="outlined" class="older" (click)="load()" i18n>Older visits</button>
      }
    </section>
  `,
  styles: `
    section {
      max-width: 960px;
      margin: 18px auto;
      padding: 16px 20px 18px;
    }
    h1 {
      margin-bottom: 8px;
      font-size: 20px;
    }
    a {
      display: inline-block;
      min-width: 24px;
      line-height: 24px;
    }
    .open {
      color: var(--rust-text);
      font-weight: 650;
    }
    .older {
      margin-top: 12px;
    }
  `,
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class VisitList {
  private readonly client = inject(ContractClient);
  protected readonly visits = signal<readonly Visit[]>([]);
  protected readonly more = signal(false);
  protected readonly loading = signal(false);
  protected readonly fault = signal<CallFault | null>(null);
  protected readonly columns = ['when', 'hive', 'group', 'supervisor', 'site', 'open'];
  protected readonly heads = {
    hive: $localize`Hive`,
    group: $localize`Group`,
    supervisor: $localize`Supervisor`,
    site: $localize`Site`,
  };
  protected readonly table = recordTable(this.visits, {
    when: ({ startedAt }) => startedAt,
    hive: ({ hiveNumber }) => hiveNumber,
    group: ({ group }) => group.name,
    supervisor: ({ supervisor }) => supervisor.name,
    site: ({ site }) => site,
  });
  private readonly oldest = computed(() => this.visits().at(-1)?.startedAt);

  constructor() {
    this.load();
  }

  protected load(): void {
    this.loading.set(true);
    this.fault.set(null);
    const before = this.oldest();
    this.client.call(endpoints.recentVisits, { query: before ? { before } : {} }).subscribe({
      next: ({ visits, more }) => {
        const known = new Set(this.visits().map(({ id }) => id));
        this.visits.update((all) => [...all, ...visits.filter(({ id }) => !known.has(id))]);
        this.more.set(more);
        this.loading.set(false);
      },
      error: (fault: CallFault) => {
        this.fault.set(fault);
        this.loading.set(false);
      },
    });
  }

  protected when(visit: Visit): string {
    return momentOf(visit.startedAt, visit.zone);
  }
}
