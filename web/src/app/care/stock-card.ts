import { ChangeDetectionStrategy, Component, computed, inject, input, signal } from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { MatButton } from '@angular/material/button';
import { MatFormField, MatLabel } from '@angular/material/form-field';
import { MatOption, MatSelect } from '@angular/material/select';
import type { ColonyStory } from '@brave-comb/contract';
import { COLONY_AIMS, type ColonyAim, type Selection, TRAITS, type Trait } from '@brave-comb/core/care';
import { Store } from '@ngrx/store';
import { ViewDesk } from '../api/view-desk';
import { Named } from '../language/words';
import { peopleFeature } from '../people/people.feature';

const VERDICTS: Readonly<Record<Selection, string>> = {
  breed: $localize`Raise daughters of this queen in the season for it.`,
  keep: $localize`Keep this queen as she is.`,
  requeen: $localize`Replace this queen for her stock’s sake, at leisure.`,
  'cannot-tell': $localize`Too early to say whether to raise daughters of this queen.`,
};

/** What a colony is kept for, and what its looks say of its queen's stock. */
@Component({
  selector: 'bc-stock-card',
  imports: [MatButton, MatFormField, MatLabel, MatOption, MatSelect, Named],
  template: `
    <section class="sheet" aria-labelledby="stock-title">
      <h2 id="stock-title" i18n>Kept for, and its stock</h2>
      @if (notes()) {
        <mat-form-field [subscriptSizing]="'dynamic'">
          <mat-label i18n>Kept for</mat-label>
          <mat-select [value]="story().aim ?? 'honey'" (valueChange)="keepFor($event)">
            @for (aim of aims; track aim) {
              <mat-option [value]="aim">{{ aim | named: 'colonyAim' }}</mat-option>
            }
          </mat-select>
        </mat-form-field>
      } @else {
        <p>
          <ng-container i18n>Kept for: </ng-container><b>{{ story().aim ?? 'honey' | named: 'colonyAim' }}</b>
        </p>
      }
      @if (story().stock; as stock) {
        <p class="verdict">{{ verdicts[stock.verdict] }}</p>
        <ul class="log">
          @for (reason of stock.reasons; track reason.text) {
            <li>
              <b aria-hidden="true">{{ reason.sense === 'for' ? '+' : '−' }}</b>
              <span class="unseen" i18n>{reason.sense, select, for {for it:} other {against it:}}</span>
              {{ reason.text }}
            </li>
          }
        </ul>
      }
      @if (notes()) {
        <div class="note">
          <mat-form-field [subscriptSizing]="'dynamic'">
            <mat-label i18n>Trait seen today</mat-label>
            <mat-select [value]="trait()" (valueChange)="trait.set($event)">
              @for (each of traits; track each) {
                <mat-option [value]="each">{{ each | named: 'trait' }}</mat-option>
              }
            </mat-select>
          </mat-form-field>
          <button type="button" matButton="outlined" [disabled]="trait() === null" (click)="note()" i18n>
            Record it
          </button>
        </div>
        <p class="quiet" i18n>
          The purpose influences the advice; each piece of advice says what it would be otherwise.
        </p>
        <p class="quiet" i18n>Noted traits stand under “Logged”. Mistakes are removed on the page “What is due”.</p>
      }
    </section>
  `,
  styles: `
    .sheet {
      padding: 8px 14px 12px;
    }
    .quiet {
      margin-top: 6px;
      color: var(--ink-2);
      font-size: 12.5px;
    }
    mat-form-field {
      margin-top: 6px;
      width: 100%;
    }
    .verdict {
      margin: 10px 0 4px;
      font-weight: 600;
    }
    .log {
      margin: 0 0 10px;
      font-size: var(--t-dense);
      padding: 0;
      list-style: none;
    }
    .note {
      display: flex;
      flex-wrap: wrap;
      gap: 8px;
      align-items: center;
      mat-form-field {
        flex: 1 1 180px;
        width: auto;
      }
    }
  `,
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class StockCard {
  readonly story = input.required<ColonyStory>();
  private readonly desk = inject(ViewDesk);
  private readonly person = toSignal(inject(Store).select(peopleFeature.selectPerson));
  /** Whether who looks may note something of a colony. */
  protected readonly notes = computed(() => this.person()?.role === 'lead' || this.person()?.role === 'supervisor');
  protected readonly aims = COLONY_AIMS;
  protected readonly traits = TRAITS;
  protected readonly verdicts = VERDICTS;
  protected readonly trait = signal<Trait | null>(null);

  protected keepFor(aim: ColonyAim): void {
    this.log({ kind: 'aim', of: aim });
  }

  protected note(): void {
    const trait = this.trait();
    if (trait === null) return;
    this.log({ kind: 'trait', trait });
    this.trait.set(null);
  }

  private log(detail: { kind: 'aim'; of: ColonyAim } | { kind: 'trait'; trait: Trait }): void {
    const { hive, today } = this.story();
    this.desk.change(
      'logColonyEvent',
      { params: { hive }, body: { id: this.desk.newId(), date: today, detail } },
      'colonyStory',
      false,
    );
  }
}
