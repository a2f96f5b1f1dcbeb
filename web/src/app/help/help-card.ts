import { ChangeDetectionStrategy, Component, inject } from '@angular/core';
import { MatButton, MatIconButton } from '@angular/material/button';
import {
  MAT_DIALOG_DATA,
  MatDialogClose,
  MatDialogContent,
  MatDialogRef,
  MatDialogTitle,
} from '@angular/material/dialog';
import { MatIcon } from '@angular/material/icon';
import { RouterLink } from '@angular/router';
import { FirstRound } from './first-round';
import type { ScreenHelp } from './screens';

/** What a screen is for and how it is read, over the screen itself: its parts are numbered, and so are the lines about them. */
@Component({
  selector: 'bc-help-card',
  imports: [MatButton, MatDialogClose, MatDialogContent, MatDialogTitle, MatIcon, MatIconButton, RouterLink],
  template: `
    <div class="head">
      <h2 matDialogTitle>{{ help.name }}</h2>
      <button type="button" matIconButton matDialogClose aria-label="Close" i18n-aria-label>
        <mat-icon svgIcon="close" aria-hidden="true" />
      </button>
    </div>
    <mat-dialog-content>
      <p class="purpose">{{ help.purpose }}</p>
      <ol>
        @for (part of help.parts; track part.says) {
          <li>{{ part.says }}</li>
        }
      </ol>
      <h3 i18n>Keys</h3>
      <dl>
        @for (key of keys; track key[0]) {
          <div>
            <dt>
              <kbd>{{ key[0] }}</kbd>
            </dt>
            <dd>{{ key[1] }}</dd>
          </div>
        }
      </dl>
      <p class="ends">
        <a matButton="outlined" routerLink="/help/glossary" matDialogClose i18n>Glossary</a>
        <a matButton="outlined" [href]="help.guide" target="_blank" rel="noopener" i18n>In the guide</a>
        <button type="button" [matButton]="round.done() ? 'outlined' : 'filled'" (click)="begin()" i18n>
          First round, three minutes
        </button>
      </p>
    </mat-dialog-content>
  `,
  styles: `
    .head {
      display: flex;
      align-items: center;
      justify-content: space-between;
      padding-right: 8px;
    }
    .purpose {
      margin-bottom: 8px;
      font-size: 15px;
    }
    ol {
      display: grid;
      gap: 6px;
      padding-left: 22px;
      list-style: decimal;
    }
    li::marker {
      color: var(--heather);
      font-weight: 700;
    }
    h3 {
      margin: 12px 0 4px;
      font-size: 14px;
    }
    dl {
      display: grid;
      grid-template-columns: repeat(auto-fit, minmax(220px, 1fr));
      gap: 4px 14px;
      font-size: 13px;
    }
    dl div {
      display: flex;
      gap: 8px;
      align-items: baseline;
    }
    kbd {
      padding: 1px 6px;
      border: 1px solid var(--ink-3);
      border-bottom-width: 2px;
      border-radius: 4px;
      font: 600 12.5px var(--font);
      white-space: nowrap;
    }
    .ends {
      display: flex;
      flex-wrap: wrap;
      gap: 8px;
      margin-top: 14px;
    }
  `,
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class HelpCard {
  protected readonly help = inject<ScreenHelp & { readonly guide: string }>(MAT_DIALOG_DATA);
  protected readonly round = inject(FirstRound);
  private readonly dialog = inject(MatDialogRef<HelpCard>);
  protected readonly keys = [
    ...(this.help.keys ?? []),
    ['Tab', $localize`to the next part`],
    ['Enter', $localize`open it`],
    ['?', $localize`this help`],
    ['Esc', $localize`close what opened`],
  ] as const;

  protected begin(): void {
    this.dialog.close();
    this.round.begin();
  }
}
