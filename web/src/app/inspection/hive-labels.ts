import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { DomSanitizer } from '@angular/platform-browser';
import { renderSVG } from 'uqr';
import { ViewDesk } from '../season/view-desk';
import { ViewState } from '../season/view-state';

/** Labels to print and stick on the hives: each opens its hive's visit when a phone looks at it. */
@Component({
  selector: 'bc-hive-labels',
  imports: [ViewState],
  template: `
    <bc-view-state [watched]="watched" name="The hives" />
    @if (labels(); as all) {
      <section class="sheet" aria-labelledby="labels-title">
        <h1 id="labels-title">Labels for the hives</h1>
        <p class="how">
          Print, cover with clear film, stick beside the entrance where rain does not run. Looking at one with a phone
          opens that hive's visit. <button type="button" class="btn" (click)="print()">Print</button>
        </p>
        <ul>
          @for (label of all; track label.id) {
            <li>
              <div [innerHTML]="label.picture" role="img" [attr.aria-label]="'Label of hive ' + label.number"></div>
              <p>
                <b>Hive {{ label.number }}</b> {{ label.site }}
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
  protected readonly labels = computed(() =>
    this.watched.data()?.hives.map(({ id, number, siteName: site }) => ({
      id,
      number,
      site,
      // Drawn here from the hive's own address, nothing in it comes from elsewhere.
      picture: this.safe.bypassSecurityTrustHtml(renderSVG(`${location.origin}/at-the-hive/hive/${id}`)),
    })),
  );

  protected print(): void {
    globalThis.print();
  }
}
