import { namesOf } from '../language/words';
import { ChangeDetectionStrategy, Component } from '@angular/core';
import { LETTERS } from '@brave-comb/core/inspection';

/** What each pattern stands for. */
@Component({
  selector: 'bc-comb-legend',
  template: `
    <ul aria-label="What the patterns mean" i18n-aria-label>
      @for (letter of letters; track letter) {
        <li>
          <svg width="22" height="14" viewBox="0 0 22 14" aria-hidden="true">
            <rect
              x=".5"
              y=".5"
              width="21"
              height="13"
              rx="2"
              [attr.fill]="'url(#comb-s-' + letter + ')'"
              stroke="var(--ink)"
            />
          </svg>
          {{ contents[letter] }}
        </li>
      }
      <li i18n><span class="queen" aria-hidden="true"></span>queen seen</li>
    </ul>
  `,
  styles: `
    ul {
      display: flex;
      flex-wrap: wrap;
      gap: 4px 16px;
      justify-content: space-between;
      color: var(--ink-2);
      font-size: 12px;
    }
    li {
      display: inline-flex;
      gap: 5px;
      align-items: center;
    }
    .queen {
      width: 11px;
      height: 11px;
      border: 3px solid var(--paper-heather);
      border-radius: 50%;
      background: var(--paper);
    }
  `,
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class CombLegend {
  protected readonly letters = LETTERS;
  protected readonly contents = namesOf('content');
}
