import { ChangeDetectionStrategy, Component, inject, input } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { RouterLink } from '@angular/router';
import type { ViewName } from './views.feature';
import { ViewDesk, type Watched } from './view-desk';

/** What stands above every view: loading, faults, changes refused and changes that wait. */
@Component({
  selector: 'bc-view-state',
  imports: [MatButton, RouterLink],
  template: `
    @if (desk.waiting().length; as count) {
      <p class="note" role="status" i18n>
        {{ count }} {count, plural, =1 {entry waits} other {entries wait}} on this device until there is a connection.
      </p>
    }
    @for (refusal of watched().refused(); track refusal.id) {
      <p class="note" role="alert">{{ refusal.message }}</p>
    }
    @if (watched().fault(); as fault) {
      <section class="sheet no problem" role="alert">
        @switch (fault.status) {
          @case (403) {
            <h2 i18n>{{ name() }}: not open to you</h2>
            <p>{{ fault.message }}</p>
            <a matButton="outlined" routerLink="/ahead" i18n>Back to the day sheet</a>
          }
          @case (404) {
            <h2 i18n>{{ name() }}: not found</h2>
            <p>{{ fault.message }}</p>
            <a matButton="outlined" routerLink="/ahead" i18n>Back to the day sheet</a>
          }
          @case (0) {
            <h2 i18n>{{ name() }} could not be loaded</h2>
            <p i18n>
              The server cannot be reached, and this page was not saved on this device. It loads by itself when the
              connection is back.
            </p>
            <button type="button" matButton="filled" (click)="watched().reload()" i18n>Try now</button>
          }
          @default {
            <h2 i18n>{{ name() }} could not be loaded</h2>
            <p>{{ fault.message }}</p>
            <button type="button" matButton="filled" (click)="watched().reload()" i18n>Try now</button>
          }
        }
      </section>
    } @else if (!watched().data() || watched().former()) {
      <p class="loading" role="status" i18n>Loading {{ name().toLowerCase() }} …</p>
    }
  `,
  styles: `
    .note {
      margin: 4px 0;
      padding: 4px 10px;
      border-left: 4px solid var(--rust);
      background: var(--rust-100);
      color: var(--rust-text);
      font-size: var(--t-dense);
    }
    .problem {
      margin-top: 8px;
      padding: 12px 16px;
      display: grid;
      gap: 8px;
      justify-items: start;
    }
    .loading {
      padding: 18px 4px;
      color: var(--ink-2);
    }
    :host(.former) .loading {
      position: absolute;
      z-index: 2;
      margin: 6px 0 0 8px;
      padding: 2px 10px;
      border-radius: 5px;
      background: var(--ink);
      color: var(--sheet);
      font-size: var(--t-dense);
    }
  `,
  host: { '[class.former]': 'watched().former()' },
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class ViewState {
  protected readonly desk = inject(ViewDesk);
  readonly watched = input.required<Watched<ViewName>>();
  readonly name = input.required<string>();
}
