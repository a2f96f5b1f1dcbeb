import { ChangeDetectionStrategy, Component, inject } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { MatDialogModule } from '@angular/material/dialog';
import { entryText } from '@brave-comb/core/inspection';
import { upperFirst } from '@brave-comb/core/units';
import { Store } from '@ngrx/store';
import { type Aside, DeviceStore } from '../device/device-store';
import { InspectionEvents } from './inspection.events';
import { Outbox } from './outbox';
import { said } from '../language/said';

/** What the server would not have, each with why and what can be done: it stays here until somebody says. */
@Component({
  selector: 'bc-aside-card',
  imports: [MatButton, MatDialogModule],
  template: `
    <h2 mat-dialog-title i18n>Could not be saved</h2>
    <mat-dialog-content>
      @if (device.aside().length === 0) {
        <p i18n>Nothing left.</p>
      } @else {
        <p i18n>These are only on this device. Everything else is sent as usual.</p>
      }
      <ul>
        @for (each of device.aside(); track each.id) {
          <li>
            <b>{{ words(each) }}</b>
            <p>{{ each.problem.message }}</p>
            <p class="row">
              <button type="button" matButton="filled" (click)="again(each)" i18n>Send it again</button>
              @if (sure === each.id) {
                <button type="button" matButton="outlined" (click)="drop(each)" i18n>Delete for good</button>
              } @else {
                <button type="button" matButton="outlined" (click)="sure = each.id">{{ leave(each) }}</button>
              }
            </p>
          </li>
        }
      </ul>
    </mat-dialog-content>
    <mat-dialog-actions>
      <button type="button" matButton="outlined" mat-dialog-close i18n>Close</button>
    </mat-dialog-actions>
  `,
  styles: `
    ul {
      margin: 10px 0 0;
      padding: 0;
      list-style: none;
    }
    li {
      padding: 10px 0;
      border-top: 1px solid var(--line-2);
    }
    .row {
      display: flex;
      flex-wrap: wrap;
      gap: 8px;
      margin-top: 6px;
    }
  `,
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class AsideCard {
  private readonly store = inject(Store);
  private readonly outbox = inject(Outbox);
  protected readonly device = inject(DeviceStore);
  protected sure: string | null = null;

  protected words(each: Aside): string {
    if (each.kind === 'entry') return upperFirst(said(entryText(each.entry.entry.body)));
    if (each.kind === 'attachment')
      return each.attachment.type === 'image/jpeg' ? $localize`A photo` : $localize`A spoken note`;
    const entries = each.entries === 1 ? $localize`1 entry` : $localize`${each.entries} entries`;
    return $localize`The visit of ${each.hive === null ? $localize`a hive` : $localize`hive ${each.hive}`}, with ${entries}`;
  }

  protected leave(each: Aside): string {
    return each.kind === 'start' && each.entries > 0
      ? $localize`Delete it and its ${each.entries} entries`
      : $localize`Delete it`;
  }

  protected async again(each: Aside): Promise<void> {
    if (each.kind === 'entry') await this.device.keepEntry({ ...each.entry, problem: null });
    else if (each.kind === 'start') await this.device.keepStart({ ...each.start, problem: null });
    else await this.device.keepAttachment({ ...each.attachment, problem: null });
    await this.device.count();
    await this.outbox.send();
  }

  protected async drop(each: Aside): Promise<void> {
    if (each.kind === 'entry') {
      this.store.dispatch(InspectionEvents.refusedEntrySettled({ id: each.id }));
      await this.device.forgetEntries([each.id]);
    } else if (each.kind === 'start') await this.device.dropStart(each.id);
    else await this.device.forgetAttachment(each.id);
  }
}
