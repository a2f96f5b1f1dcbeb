import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { type Forgetting, termOf } from '@brave-comb/core/skills';
import { follows } from '../ui/follows';
import { ViewDesk } from '../api/view-desk';
import { FIELD } from '../parts/field';

/** Years of showings that the example tells. */
const SHOWINGS = [1, 2, 3, 4] as const;
const MONTHS = 12;
const TO_BEGIN_WITH = { growth: 1.5, most: 36 } as const;

/** How long a skill stays valid after it was last shown: a fixed term, or one that grows with each day on which it was shown. */
@Component({
  selector: 'bc-forgetting-form',
  imports: [FIELD, MatButton],
  template: `
    <h2 id="forgetting" i18n>How long a skill stays valid</h2>
    <p class="quiet" i18n>
      Each rule sets its months, or the season. A fixed term: everybody knows the date, as inspectors and insurers ask.
      A growing term: skills shown on more days are remembered longer.
    </p>
    <fieldset [disabled]="!mayChange()">
      <legend class="unseen" i18n>School</legend>
      <mat-radio-group [value]="grows()" [disabled]="!mayChange()" (change)="choose($event.value)">
        <mat-radio-button [value]="false" i18n>a fixed term</mat-radio-button>
        <mat-radio-button [value]="true" i18n>a term that grows</mat-radio-button>
      </mat-radio-group>
      @if (grows()) {
        <label bcField
          ><span i18n>Longer with each day, factor</span
          ><mat-form-field
            ><input
              matInput
              #growth
              type="number"
              min="1"
              max="3"
              step="0.1"
              [value]="draft().growth"
              (change)="set({ growth: growth.valueAsNumber })" /></mat-form-field
        ></label>
        <label bcField
          ><span i18n>Longest, months</span
          ><mat-form-field
            ><input
              matInput
              #most
              type="number"
              min="1"
              max="120"
              [value]="draft().most"
              (change)="set({ most: most.valueAsNumber })" /></mat-form-field
        ></label>
      }
    </fieldset>
    <p>{{ example() }}</p>
    @if (mayChange()) {
      <button type="button" matButton="filled" [disabled]="!changed() || desk.sending()" (click)="keep()" i18n>
        Save
      </button>
    }
  `,
  styles: `
    :host {
      display: grid;
      gap: 8px;
    }
    h2 {
      font-size: 16px;
    }
    .quiet {
      color: var(--ink-2);
      font-size: var(--t-dense);
    }
    fieldset {
      display: flex;
      flex-wrap: wrap;
      gap: 6px 16px;
      margin: 0;
      padding: 0;
      border: 0;
    }
    label {
      display: flex;
      gap: 6px;
      align-items: center;
      min-height: 32px;
    }
    .mat-mdc-button-base {
      justify-self: start;
    }
  `,
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class ForgettingForm {
  protected readonly desk = inject(ViewDesk);
  readonly kept = input.required<Forgetting>();
  readonly mayChange = input(false);
  protected readonly grows = follows(() => this.kept().school === 'growing-term');
  protected readonly draft = follows<{ readonly growth: number; readonly most: number }>(() => {
    const kept = this.kept();
    return kept.school === 'growing-term' ? { growth: kept.growth, most: kept.most } : TO_BEGIN_WITH;
  });
  private readonly chosen = computed((): Forgetting =>
    this.grows() ? { school: 'growing-term', ...this.draft() } : { school: 'fixed-term' },
  );
  protected readonly changed = computed(() => JSON.stringify(this.chosen()) !== JSON.stringify(this.kept()));
  protected readonly example = computed(() => {
    const terms = SHOWINGS.map(
      (days) => $localize`${Math.round(Number(termOf(MONTHS, days, this.chosen())))} after ${days}`,
    );
    return $localize`A ${MONTHS}-month rule lasts, in months by number of days shown: ${terms.join(', ')}.`;
  });

  protected choose(grows: boolean): void {
    this.grows.set(grows);
  }

  protected set(change: Partial<{ growth: number; most: number }>): void {
    this.draft.update((draft) => {
      const { growth, most } = { ...draft, ...change };
      return {
        growth: Number.isFinite(growth) ? Math.min(3, Math.max(1, growth)) : draft.growth,
        most: Number.isFinite(most) ? Math.min(120, Math.max(1, Math.round(most))) : draft.most,
      };
    });
  }

  protected keep(): void {
    this.desk.change('setForgetting', { body: this.chosen() }, 'checklist', false);
  }
}
