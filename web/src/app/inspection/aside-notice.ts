import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { MatAnchor, MatButton } from '@angular/material/button';
import { MatDialog } from '@angular/material/dialog';
import { Router, RouterLink } from '@angular/router';
import { Store } from '@ngrx/store';
import { peopleFeature } from '../people/people.feature';
import { DeviceStore } from '../device/device-store';

/** Stands on every screen while something waits that the server would not have, or that somebody else entered, and when a sign-in has ended. */
@Component({
  selector: 'bc-aside-notice',
  imports: [MatAnchor, MatButton, RouterLink],
  template: `
    @switch (onSignIn() ? null : ended()) {
      @case ('over') {
        <p class="bad" role="alert" i18n>
          Your sign-in here has ended. What you enter stays on this device under your name and is sent when you sign in
          again.
          <a matButton="outlined" routerLink="/sign-in" [queryParams]="{ back: router.url }">Sign in again</a>
        </p>
      }
      @case ('somebody-else') {
        <p class="bad" role="alert" i18n>
          Somebody else has signed in on this device. What you enter here stays under your name and is sent when you
          sign in again.
          <a matButton="outlined" href="/">Show theirs</a>
        </p>
      }
    }
    @if (count(); as many) {
      <p class="bad" role="alert">
        <ng-container i18n
          >{many, plural, =1 {Something that you entered} other {{{ many }} things that you entered}} could not be
          saved. </ng-container
        ><button type="button" matButton="outlined" (click)="open()" i18n>See why</button>
      </p>
    }
    @if (device.sealed(); as sealed) {
      <p role="status" i18n>
        {{ sealed }} {sealed, plural, =1 {entry} other {entries}} of the person signed in before
        {sealed, plural, =1 {waits here. It is} other {wait here. They are}} sent when that person signs in here again.
      </p>
    }
  `,
  styles: `
    p {
      display: flex;
      flex-wrap: wrap;
      align-items: center;
      gap: 4px 12px;
      margin: 0;
      padding: 4px 16px;
      border-left: 4px solid var(--ink-3);
      background: var(--sheet);
      font-size: var(--t-dense);
    }
    .bad {
      border-left-color: var(--rust);
      background: var(--rust-100);
      color: var(--rust-text);
    }
  `,
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class AsideNotice {
  private readonly dialog = inject(MatDialog);
  protected readonly device = inject(DeviceStore);
  protected readonly router = inject(Router);
  protected readonly onSignIn = () => this.router.url.startsWith('/sign-in');
  protected readonly ended = inject(Store).selectSignal(peopleFeature.selectEnd);
  protected readonly count = computed(() => this.device.aside().length);

  protected async open(): Promise<void> {
    const { AsideCard } = await import('./aside-card');
    this.dialog.open(AsideCard, { width: '560px', maxWidth: '96vw' });
  }
}
