import { CdkTrapFocus } from '@angular/cdk/a11y';
import { CdkConnectedOverlay, CdkOverlayOrigin } from '@angular/cdk/overlay';
import { ChangeDetectionStrategy, Component, computed, input, signal } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { RouterLink } from '@angular/router';
import { glossaries, termsIn } from '@brave-comb/core/words/glossary';
import { languageInUse } from '../language/words';

/** A sentence whose words of the trade are dotted, and explained where they stand; works without signal. */
@Component({
  selector: 'bc-worded',
  imports: [CdkConnectedOverlay, CdkOverlayOrigin, CdkTrapFocus, MatButton, RouterLink],
  template: `
    @for (piece of pieces(); track $index) {
      @if (piece.term; as term) {
        <button
          type="button"
          class="term"
          cdkOverlayOrigin
          #word="cdkOverlayOrigin"
          aria-haspopup="dialog"
          [attr.aria-expanded]="shown() === term.id"
          (click)="shown.set(shown() === term.id ? null : term.id)"
          [textContent]="piece.text"
        ></button>
        <ng-template
          cdkConnectedOverlay
          [cdkConnectedOverlayOrigin]="word"
          [cdkConnectedOverlayOpen]="shown() === term.id"
          [cdkConnectedOverlayPush]="true"
          [cdkConnectedOverlayOffsetY]="6"
          [cdkConnectedOverlayViewportMargin]="12"
          (overlayOutsideClick)="shown.set(null)"
          (detach)="shown.set(null)"
        >
          <div
            class="sheet chosen card"
            role="dialog"
            [attr.aria-label]="term.term"
            cdkTrapFocus
            cdkTrapFocusAutoCapture
          >
            <h4>{{ term.term }}</h4>
            <p>{{ term.meaning }}.</p>
            <footer>
              <button type="button" matButton="filled" (click)="shown.set(null)" i18n>Close</button>
              <a matButton="outlined" [routerLink]="['/help/glossary', term.id]" (click)="shown.set(null)" i18n
                >Glossary</a
              >
            </footer>
          </div>
        </ng-template>
      } @else {
        <span [textContent]="piece.text"></span>
      }
    }
  `,
  styles: `
    .term {
      display: inline;
      padding: 0;
      border: 0;
      background: none;
      color: inherit;
      font: inherit;
      text-align: inherit;
      text-decoration: underline dotted var(--heather) 2px;
      text-underline-offset: 3px;
      cursor: help;
    }
    .card {
      display: grid;
      gap: 8px;
      width: min(340px, 92vw);
      padding: 12px 16px;
      border-radius: 0 0 6px 6px;
      box-shadow: 0 6px 20px rgb(0 0 0 / 25%);
      font-size: var(--t-body);
    }
    h4 {
      margin: 0;
      font: 650 17px var(--display);
    }
    footer {
      display: flex;
      gap: 8px;
    }
  `,
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class Worded {
  readonly text = input.required<string>();
  protected readonly shown = signal<string | null>(null);
  protected readonly pieces = computed(() => termsIn(this.text(), glossaries[languageInUse()]));
}
