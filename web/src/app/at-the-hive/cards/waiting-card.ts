import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { MatDialogClose, MatDialogTitle } from '@angular/material/dialog';
import type { SideAddress } from '@brave-comb/core/inspection';
import { upperFirst } from '@brave-comb/core/units';
import { entryText, sideKey, sideText } from '@brave-comb/core/inspection';
import { Store } from '@ngrx/store';
import { DeviceStore, type WaitingEntry } from '../../device/device-store';
import { InspectionEvents } from '../../inspection/inspection.events';
import { inspectionFeature } from '../../inspection/inspection.feature';
import { Outbox } from '../../inspection/outbox';
import { timeOf } from '../../ui/format';
import { said } from '../../language/said';
import { MatButton } from '@angular/material/button';

/** What waits on this device, what the server would not keep, and sides with two readings. */
@Component({
  selector: 'bc-waiting-card',
  imports: [MatButton, MatDialogClose, MatDialogTitle],
  template: `
    <h2 matDialogTitle i18n>On this device</h2>
    <p>
      @if (unsent().length > 0) {
        <ng-container i18n
          ><b>{{ unsent().length }}</b> entries have been waiting here since {{ since() }} and are sent in this order.
        </ng-container>
      } @else if (device.unsentStarts() > 0) {
        <ng-container i18n>The server does not know yet that this visit has begun. </ng-container>
      } @else {
        <ng-container i18n>Everything has been sent and saved. </ng-container>
      }
      @if (fault(); as why) {
        {{ why.message }}
      }
    </p>
    @if (device.unsentFiles() > 0) {
      <p i18n>
        <b>{{ device.unsentFiles() }}</b>
        {device.unsentFiles(), plural, =1 {photo or voice note waits} other {photos or voice notes wait}}: they go last.
      </p>
    }
    @if (unsent().length > 0) {
      <ol class="lines waits" tabindex="0" role="group" aria-label="What waits, oldest first" i18n-aria-label>
        @for (each of unsent(); track each.id) {
          <li>
            <small>{{ time(each.entry.at) }}</small> {{ words(each) }}
          </li>
        }
      </ol>
    }
    <ul class="lines">
      @for (each of refused(); track each.id) {
        <li class="bad">
          <b>{{ words(each) }}</b> {{ each.problem?.message }}
          <span class="row">
            @if (addressOf(each); as address) {
              <button type="button" matButton="outlined" [matDialogClose]="address" (click)="drop(each)" i18n>
                Enter it again
              </button>
            }
            <button type="button" matButton="outlined" (click)="drop(each)" i18n>Discard it</button>
          </span>
        </li>
      }
      @for (each of conflicts(); track each.key) {
        <li class="bad">
          <ng-container i18n
            ><b>{{ each.where }}</b
            >: two readings. </ng-container
          ><button type="button" matButton="outlined" [matDialogClose]="each.address" i18n>Settle it</button>
        </li>
      }
    </ul>
    <div class="row">
      <button type="button" matButton="outlined" (click)="send()" i18n>Send now</button>
      <button type="button" matButton="filled" matDialogClose i18n>Back to the hive</button>
    </div>
  `,
  styleUrl: './cards.scss',
  styles: `
    .waits {
      list-style: none;
      padding: 0;
    }
  `,
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class WaitingCard {
  private readonly store = inject(Store);
  private readonly outbox = inject(Outbox);
  protected readonly device = inject(DeviceStore);
  protected readonly unsent = this.store.selectSignal(inspectionFeature.selectUnsent);
  protected readonly refused = this.store.selectSignal(inspectionFeature.selectRefused);
  protected readonly fault = this.store.selectSignal(inspectionFeature.selectSendingFault);
  private readonly file = this.store.selectSignal(inspectionFeature.selectFile);
  private readonly record = this.store.selectSignal(inspectionFeature.selectRecord);
  private readonly stack = this.store.selectSignal(inspectionFeature.selectStack);
  protected readonly since = computed(() => timeOf(this.unsent()[0]?.entry.at ?? '', this.file()?.visit.zone ?? 'utc'));
  protected readonly conflicts = computed(() =>
    this.record().conflicts.map(({ address }) => ({
      address,
      key: sideKey(address),
      where: upperFirst(said(sideText(address, this.stack()))),
    })),
  );

  protected time(at: string): string {
    return timeOf(at, this.file()?.visit.zone ?? 'utc');
  }

  protected words({ entry }: WaitingEntry): string {
    return said(entryText(entry.body));
  }

  protected addressOf({ entry }: WaitingEntry): SideAddress | null {
    return entry.body.kind === 'frame-side-recorded' ? entry.body.address : null;
  }

  protected drop({ id }: WaitingEntry): void {
    this.store.dispatch(InspectionEvents.refusedEntrySettled({ id }));
  }

  protected send(): void {
    void this.outbox.send();
  }
}
