import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { MatBottomSheetRef } from '@angular/material/bottom-sheet';
import { MatButton, MatIconButton } from '@angular/material/button';
import { MatIcon } from '@angular/material/icon';
import { combCarrier, frameOf, isBox } from '@brave-comb/core/equipment';
import { type SideAddress, sideKey, towardText } from '@brave-comb/core/inspection';
import { Store } from '@ngrx/store';
import { inspectionFeature } from '../../inspection/inspection.feature';
import { said } from '../../language/said';
import { named } from '../../language/words';

/** Every side of the box as a row wide enough for a glove: on a phone the box from above is too small to be hit. */
@Component({
  selector: 'bc-frames-sheet',
  imports: [MatButton, MatIconButton, MatIcon],
  template: `
    <header>
      <h2 i18n>Go to</h2>
      <button type="button" matIconButton aria-label="Close" i18n-aria-label (click)="ref.dismiss()">
        <mat-icon svgIcon="close" aria-hidden="true" />
      </button>
    </header>
    @if (boxes().length > 1) {
      <div class="boxes" role="group" aria-label="Box that is read" i18n-aria-label>
        @for (each of boxes(); track each.id) {
          <button
            type="button"
            class="big"
            matButton="outlined"
            [class.sel]="each.id === box()?.id"
            [attr.aria-pressed]="each.id === box()?.id"
            (click)="picked.set(each.id)"
          >
            {{ each.id }}
          </button>
        }
      </div>
    }
    <ul class="rows">
      @for (row of rows(); track row.frame) {
        <li [class.here]="row.here">
          <b>{{ row.name }}</b>
          @for (side of row.sides; track side.face) {
            <button
              type="button"
              class="big"
              matButton="outlined"
              [class.sel]="side.here"
              ariaLabel="{{ row.name }}, side toward {{ side.toward }}{side.read, select, true {, read} other {}}"
              i18n-ariaLabel
              (click)="ref.dismiss({ box: box()!.id, frame: row.frame, face: side.face })"
            >
              <span i18n
                >toward {{ side.toward }}<small>{side.read, select, true {read} other {not read}}</small></span
              >
            </button>
          }
        </li>
      }
    </ul>
  `,
  styleUrl: './sheets.scss',
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class FramesSheet {
  protected readonly ref = inject<MatBottomSheetRef<FramesSheet, SideAddress>>(MatBottomSheetRef);
  private readonly store = inject(Store);
  private readonly stack = this.store.selectSignal(inspectionFeature.selectStack);
  private readonly record = this.store.selectSignal(inspectionFeature.selectRecord);
  private readonly address = this.store.selectSignal(inspectionFeature.selectAddress);
  private readonly current = this.store.selectSignal(inspectionFeature.selectBox);
  protected readonly boxes = computed(() => this.stack().filter(isBox).toReversed());
  protected readonly picked = signal<string | null>(null);
  protected readonly box = computed(() => this.boxes().find(({ id }) => id === this.picked()) ?? this.current());
  protected readonly rows = computed(() => {
    const [box, here, sides] = [this.box(), this.address(), this.record().sides];
    if (!box) return [];
    const carrier = named('combCarrier', combCarrier(frameOf(box)));
    return Array.from({ length: box.frames }, (_, index) => {
      const frame = index + 1;
      return {
        frame,
        name: `${carrier} ${frame}`,
        here: here?.box === box.id && here.frame === frame,
        sides: (['low', 'high'] as const).map((face) => ({
          face,
          toward: said(towardText({ frame, face }, box.frames)),
          read: sideKey({ box: box.id, frame, face }) in sides,
          here: here?.box === box.id && here.frame === frame && here.face === face,
        })),
      };
    });
  });
}
