import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { MAT_BOTTOM_SHEET_DATA, MatBottomSheetRef } from '@angular/material/bottom-sheet';
import { MatIconButton } from '@angular/material/button';
import { MatIcon } from '@angular/material/icon';
import type { EvidenceId } from '@brave-comb/core/inspection';
import { nestBoxes } from '@brave-comb/core/equipment';
import { Store } from '@ngrx/store';
import { inspectionFeature } from '../../inspection/inspection.feature';
import { SeenEnoughPanel } from '../seen-enough';
import { SoFar } from '../so-far';

/** What the phone's line about seen enough opens: what was asked, what was seen of it, and what was counted. */
@Component({
  selector: 'bc-enough-sheet',
  imports: [MatIconButton, MatIcon, SeenEnoughPanel, SoFar],
  template: `
    <header>
      <span></span>
      <button type="button" matIconButton aria-label="Close" i18n-aria-label (click)="ref.dismiss()">
        <mat-icon svgIcon="close" aria-hidden="true" />
      </button>
    </header>
    @if (seen(); as evidence) {
      <bc-seen-enough [seen]="evidence" (ticked)="tick($event)" (stopped)="ref.dismiss('stopped')" />
    }
    @if (estimate(); as figures) {
      <bc-so-far [counted]="counted()" [estimate]="figures" [sides]="sides()" />
    }
  `,
  styleUrl: './sheets.scss',
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class EnoughSheet {
  protected readonly ref = inject<MatBottomSheetRef<EnoughSheet, 'stopped'>>(MatBottomSheetRef);
  private readonly ticked = inject<(ticked: { evidence: EvidenceId; seen: boolean }) => void>(MAT_BOTTOM_SHEET_DATA);
  private readonly store = inject(Store);
  protected readonly seen = this.store.selectSignal(inspectionFeature.selectSeen);
  protected readonly counted = this.store.selectSignal(inspectionFeature.selectCounted);
  protected readonly estimate = this.store.selectSignal(inspectionFeature.selectEstimate);
  private readonly stack = this.store.selectSignal(inspectionFeature.selectStack);
  protected readonly sides = computed(() => nestBoxes(this.stack()).reduce((sum, { frames }) => sum + 2 * frames, 0));

  protected tick(ticked: { readonly evidence: EvidenceId; readonly seen: boolean }): void {
    this.ticked(ticked);
    // A doubt is looked at again, on the page below.
    if (ticked.evidence === 'doubtful-sides') this.ref.dismiss();
  }
}
