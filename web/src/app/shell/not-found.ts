import { ChangeDetectionStrategy, Component } from '@angular/core';
import { RouterLink } from '@angular/router';

@Component({
  selector: 'bc-not-found',
  imports: [RouterLink],
  template: `
    <section class="sheet">
      <h1 i18n>Page not found</h1>
      <p i18n>We cannot find that page. <a routerLink="/ahead">Go to the day sheet</a>.</p>
    </section>
  `,
  styles: `
    section {
      margin: 24px auto;
      max-width: 520px;
      padding: 18px 20px;
    }
    h1 {
      font-size: 20px;
      margin-bottom: 8px;
    }
  `,
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class NotFound {}
