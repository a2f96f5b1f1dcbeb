import { ChangeDetectionStrategy, Component, input, output } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { dayOf, timeOf } from '../ui/format';
import type { Meanwhile } from './meanwhile';

/** What somebody else has saved meanwhile beside what is typed here: nobody writes over it unseen. */
@Component({
  selector: 'bc-differs',
  imports: [MatButton],
  template: `
    <section class="differs" role="alert">
      <p>
        @if (both().by; as who) {
          <b i18n>{{ who.by }} saved this at {{ when(who.at) }}.</b>
        } @else {
          <b i18n>Somebody has saved this meanwhile.</b>
        }
      </p>
      <table class="plain-table">
        <thead>
          <tr>
            <th scope="col"><span class="unseen" i18n>What</span></th>
            <th scope="col" i18n>theirs</th>
            <th scope="col" i18n>yours</th>
          </tr>
        </thead>
        <tbody>
          @for (line of both().lines; track line.what) {
            <tr>
              <th scope="row">{{ line.what }}</th>
              <td>{{ line.theirs }}</td>
              <td>{{ line.mine }}</td>
            </tr>
          } @empty {
            <tr>
              <td colspan="3" i18n>Both say the same.</td>
            </tr>
          }
        </tbody>
      </table>
      <p class="ways">
        <button type="button" matButton="outlined" (click)="theirs.emit()" i18n>Take theirs</button>
        <button type="button" matButton="outlined" (click)="mine.emit()" i18n>Save mine</button>
      </p>
    </section>
  `,
  styles: `
    .differs {
      padding: 8px 12px;
      border-left: 4px solid var(--rust);
      background: var(--rust-100);
    }
    .ways {
      display: flex;
      gap: 8px;
      margin-top: 8px;
    }
  `,
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class Differs {
  readonly both = input.required<Meanwhile>();
  readonly theirs = output();
  readonly mine = output();
  private readonly zone = Intl.DateTimeFormat().resolvedOptions().timeZone;

  protected when(at: string): string {
    return $localize`${timeOf(at, this.zone)}, ${dayOf(at, this.zone)}`;
  }
}
