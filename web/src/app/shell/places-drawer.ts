import { ChangeDetectionStrategy, Component, inject, input, output } from '@angular/core';
import { MatIconButton } from '@angular/material/button';
import { MatIcon } from '@angular/material/icon';
import { MatListItem, MatListSubheaderCssMatStyler, MatNavList } from '@angular/material/list';
import { MatSidenav, MatSidenavContainer } from '@angular/material/sidenav';
import { NavigationEnd, Router, RouterLink } from '@angular/router';
import { filter } from 'rxjs';
import { takeUntilDestroyed } from '@angular/core/rxjs-interop';
import type { Place } from '../ui/places';

/** The places on a small screen: a drawer over the page, open until one is chosen, Escape or a tap beside it. */
@Component({
  selector: 'bc-places-drawer',
  imports: [
    MatIcon,
    MatIconButton,
    MatListItem,
    MatListSubheaderCssMatStyler,
    MatNavList,
    MatSidenav,
    MatSidenavContainer,
    RouterLink,
  ],
  template: `
    <mat-sidenav-container [hasBackdrop]="true">
      <mat-sidenav
        #drawer
        mode="over"
        opened
        role="dialog"
        aria-label="Places"
        i18n-aria-label
        (closedStart)="closed.emit()"
      >
        <p class="head">
          <b>{{ school() }}</b>
          <button type="button" matIconButton aria-label="Close" i18n-aria-label (click)="drawer.close()">
            <mat-icon svgIcon="close" aria-hidden="true" />
          </button>
        </p>
        <nav aria-label="Places" i18n-aria-label>
          @for (place of places(); track place.id) {
            <mat-nav-list [attr.aria-label]="place.name">
              @if (place.views.length > 1) {
                <p matSubheader>{{ place.name }}</p>
              }
              @for (view of place.views; track view.id) {
                <a
                  mat-list-item
                  [routerLink]="view.link"
                  [activated]="here() === view.link"
                  [attr.aria-current]="here() === view.link ? 'page' : null"
                  (click)="drawer.close()"
                  >{{ place.views.length === 1 ? place.name : view.name }}</a
                >
              }
            </mat-nav-list>
          }
        </nav>
      </mat-sidenav>
    </mat-sidenav-container>
  `,
  styles: `
    mat-sidenav-container {
      position: fixed;
      z-index: 20;
      inset: 0;
      background: none;
    }
    mat-sidenav {
      width: min(300px, 84vw);
      border-top: 4px solid var(--heather);
    }
    .head {
      display: flex;
      align-items: center;
      justify-content: space-between;
      padding: 6px 8px 6px 16px;
    }
    mat-nav-list {
      padding: 4px 0;
      border-top: 1px solid var(--line);
    }
    [matSubheader] {
      margin: 0;
      padding: 6px 16px 0;
      color: var(--ink-2);
      font-size: 12.5px;
      line-height: 1.4;
    }
    [aria-current] {
      box-shadow: inset 5px 0 var(--heather);
      font-weight: 700;
    }
  `,
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class PlacesDrawer {
  readonly places = input.required<readonly Place[]>();
  /** Address of the page. */
  readonly here = input.required<string>();
  readonly school = input.required<string>();
  readonly closed = output();

  constructor() {
    inject(Router)
      .events.pipe(
        filter((event) => event instanceof NavigationEnd),
        takeUntilDestroyed(),
      )
      .subscribe(() => this.closed.emit());
  }
}
