import { ChangeDetectionStrategy, Component, type Signal, inject } from '@angular/core';
import { MAT_BOTTOM_SHEET_DATA, MatBottomSheetRef } from '@angular/material/bottom-sheet';
import { MatButton } from '@angular/material/button';
import type { Text } from '@brave-comb/core/language';
import type { PlanItem } from '@brave-comb/core/planning';
import { PlanOpening } from './plan-opening';
import type { Answers } from './plan-thoughts';

/** What the planner knows of an opening; the answers come while the sheet is open. */
export interface OpeningShown {
  readonly item: PlanItem;
  readonly hive: string;
  readonly place: string;
  readonly odds: string;
  readonly why: Signal<Answers['why'] | null>;
  readonly wet: Signal<Answers['wet-day']>;
  readonly skills: readonly { readonly id: string; readonly name: string }[];
  readonly say: (text: Text) => string;
}

/** An opening of the plan, from below: why, how likely, and what is done when the weather does not come. */
@Component({
  selector: 'bc-plan-opening-sheet',
  imports: [MatButton, PlanOpening],
  template: `
    <bc-plan-opening
      [item]="shown.item"
      [hive]="shown.hive"
      [place]="shown.place"
      [why]="shown.why()"
      [wet]="shown.wet()"
      [skills]="shown.skills"
      [say]="shown.say"
    />
    <p>
      <b>{{ shown.odds }}</b>
    </p>
    @if (shown.why() === null) {
      <p role="status" i18n>Working out the reasons …</p>
    }
    <button type="button" matButton="filled" (click)="ref.dismiss()" i18n>Close</button>
  `,
  styles: `
    :host {
      display: grid;
      gap: 10px;
      padding: 8px 4px 14px;
      color: var(--ink);
    }
  `,
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class PlanOpeningSheet {
  protected readonly shown = inject<OpeningShown>(MAT_BOTTOM_SHEET_DATA);
  protected readonly ref = inject(MatBottomSheetRef);
}
