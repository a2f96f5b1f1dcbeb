import { Named } from '../../language/words';
import { ChangeDetectionStrategy, Component, inject, signal } from '@angular/core';
import { MatDialogClose, MatDialogTitle } from '@angular/material/dialog';
import { FINDINGS, FINDING_IDS, type FindingId } from '@brave-comb/core/inspection';
import { Store } from '@ngrx/store';
import { inspectionFeature } from '../../inspection/inspection.feature';
import { VisitDesk } from '../../inspection/visit-desk';
import { Choice } from '../choice';
import { Count } from '../count';
import { MatButton } from '@angular/material/button';

const GROUPS = [
  { id: 'disease', name: $localize`Brood and bees` },
  { id: 'pests', name: $localize`Pests` },
  { id: 'queen', name: $localize`Queen and excluder` },
  { id: 'robbing', name: $localize`Robbers` },
  { id: 'comb', name: $localize`Comb` },
  { id: 'hive', name: $localize`Hive and stand` },
] as const;
const SURE = ['50', '70', '90', '99'] as const;

/** What was looked for: found or not, how sure, how many, where. */
@Component({
  selector: 'bc-look-card',
  imports: [MatButton, Named, MatDialogClose, MatDialogTitle, Choice, Count],
  template: `
    <h2 matDialogTitle i18n>Looked for</h2>
    <div class="scrolls" tabindex="0" role="group" aria-label="What was looked for" i18n-aria-label>
      <bc-choice legend="How sure, %" i18n-legend [options]="sureSteps" [value]="sure()" (chosen)="sure.set($event)" />
      @for (group of groups; track group.id) {
        <h3>{{ group.name }}</h3>
        <ul>
          @for (id of of[group.id]; track id) {
            <li>
              <span>{{ id | named: 'finding' }}</span>
              <button
                type="button"
                matButton="outlined"
                [class.sel]="noted(id) === false"
                ariaLabel="{{ id | named: 'finding' }}: not found"
                i18n-ariaLabel
                [attr.aria-pressed]="noted(id) === false"
                (click)="note(id, false)"
                i18n
              >
                not found
              </button>
              <button
                type="button"
                matButton="outlined"
                [class.some]="noted(id) === true"
                ariaLabel="{{ id | named: 'finding' }}: found"
                i18n-ariaLabel
                [attr.aria-pressed]="noted(id) === true"
                (click)="note(id, true)"
                i18n
              >
                found
              </button>
            </li>
            @if (noted(id)) {
              <li class="then">
                <p class="caution">{{ id | named: 'findingThen' }}</p>
                @if (findings[id].counted) {
                  <bc-count
                    legend="How many"
                    i18n-legend
                    [value]="countOf(id)"
                    [most]="100000"
                    (counted)="note(id, true, $event)"
                  />
                }
              </li>
            }
          }
        </ul>
      }
    </div>
    <div class="row">
      <button type="button" matButton="outlined" (click)="allClear()" i18n>
        Brood and bees: all checked, none found
      </button>
      <button type="button" matButton="filled" matDialogClose i18n>Back to the hive</button>
    </div>
    <p class="why" i18n>Recorded at: {{ desk.where() }}</p>
  `,
  styleUrl: './cards.scss',
  styles: `
    li {
      display: grid;
      grid-template-columns: minmax(0, 1fr) auto auto;
      gap: 8px;
      align-items: center;
      padding: 3px 0;
    }
    li.then {
      grid-template-columns: 1fr;
    }
    .why {
      font-size: 15px;
    }
  `,
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class LookCard {
  private readonly store = inject(Store);
  protected readonly desk = inject(VisitDesk);
  private readonly record = this.store.selectSignal(inspectionFeature.selectRecord);
  protected readonly groups = GROUPS;
  protected readonly findings = FINDINGS;
  protected readonly sureSteps = SURE;
  protected readonly sure = signal<(typeof SURE)[number] | null>(null);
  protected readonly of = Object.fromEntries(
    GROUPS.map(({ id }) => [id, FINDING_IDS.filter((finding) => FINDINGS[finding].group === id)]),
  ) as unknown as Readonly<Record<(typeof GROUPS)[number]['id'], readonly FindingId[]>>;

  private latest(id: FindingId) {
    return this.record().findings.findLast(({ finding }) => finding === id);
  }

  protected noted(id: FindingId): boolean | null {
    return this.latest(id)?.found ?? null;
  }

  protected countOf(id: FindingId): number | null {
    return this.latest(id)?.count ?? null;
  }

  protected note(finding: FindingId, found: boolean, count: number | null = null): void {
    const sure = this.sure();
    this.desk.enter({
      kind: 'finding-noted',
      finding,
      found,
      count,
      sure: sure === null ? null : Number(sure),
      spot: found ? this.desk.spot() : null,
      note: '',
    });
  }

  protected allClear(): void {
    for (const id of this.of.disease) if (this.noted(id) === null) this.note(id, false);
  }
}
