import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { DomSanitizer } from '@angular/platform-browser';
import { renderSVG } from 'uqr';
import { ViewDesk } from '../api/view-desk';
import { ViewState } from '../api/view-state';

/** Labels to print and stick on the hives: each opens its hive's visit when a phone looks at it. */
@Component({
  selector: 'bc-hive-labels',
  imports: [MatButton, ViewState],
  template: `
    <bc-view-state [watched]="watched" name="The hives" i18n-name />
    @if (labels(); as all) {
      <section class="sheet" aria-labelledby="labels-title">
        <h1 id="labels-title" i18n>Labels for the hives</h1>
        @if (nowhere()) {
          <p class="nowhere" role="alert" i18n>
            No labels yet: the address by which phones reach this server is not set, and {{ origin }} works on this
            computer only. Whoever runs the server starts it with PUBLIC_URL set to that address, as
            PUBLIC_URL=https://hives.example.org.
          </p>
        }
        <p class="how">
          <ng-container i18n
            >Print, cover with clear film, stick beside the entrance where rain does not run. Scan with a phone to open
            that hive{!!nowhere(), select, true {} other {&ngsp;at {{ base() }}}}. </ng-container
          ><button type="button" matButton="filled" [disabled]="nowhere()" (click)="print()" i18n>Print</button>
        </p>
        <ul>
          @for (label of all; track label.id) {
            <li>
              @if (label.picture) {
                <div
                  [innerHTML]="label.picture"
                  role="img"
                  ariaLabel="Label of hive {{ label.number }}"
                  i18n-ariaLabel
                ></div>
              }
              <p>
                <b i18n>Hive {{ label.number }}</b> {{ label.site }}
              </p>
            </li>
          }
        </ul>
      </section>
    }
  `,
  styles: `
    section {
      max-width: 980px;
      margin: 18px auto;
      padding: 16px 20px 18px;
    }
    h1 {
      font-size: 20px;
    }
    ul {
      display: grid;
      grid-template-columns: repeat(auto-fill, minmax(170px, 1fr));
      gap: 18px;
      margin-top: 14px;
    }
    li {
      padding: 10px;
      border: 1px solid var(--line);
      break-inside: avoid;
      text-align: center;
    }
    b {
      display: block;
      font: 700 20px var(--display);
    }
    .nowhere {
      margin: 8px 0;
      padding: 6px 10px;
      border-left: 4px solid var(--rust);
      background: var(--rust-100);
      color: var(--rust-text);
    }
    @media print {
      .how {
        display: none;
      }
    }
  `,
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class HiveLabels {
  private readonly safe = inject(DomSanitizer);
  protected readonly watched = inject(ViewDesk).watch('hiveList', () => ({}));
  protected readonly origin = location.origin;
  /** The address that labels lead to; a phone cannot reach one of this computer only. */
  protected readonly base = computed(() => this.watched.data()?.address ?? this.origin);
  protected readonly nowhere = computed(() => /^https?:\/\/(localhost|127\.|\[::1\])/.test(this.base()));
  protected readonly labels = computed(() =>
    this.watched.data()?.hives.map(({ id, number, siteName: site }) => ({
      id,
      number,
      site,
      // Drawn here from the hive's own address, nothing in it comes from elsewhere.
      picture: this.nowhere()
        ? null
        : this.safe.bypassSecurityTrustHtml(renderSVG(`${this.base()}/at-the-hive/hive/${id}`)),
    })),
  );

  protected print(): void {
    globalThis.print();
  }
}
