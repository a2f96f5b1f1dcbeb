import { namesOf } from '../../language/words';
import { ChangeDetectionStrategy, Component } from '@angular/core';
import { MatDialogClose, MatDialogTitle } from '@angular/material/dialog';
import { LETTERS } from '@brave-comb/core/inspection';
import { MatButton } from '@angular/material/button';

const KEYS = [
  ['S', $localize`one eighth more`],
  [$localize`shift S`, $localize`one less`],
  ['3 S', $localize`set to three`],
  ['+ E', $localize`only a few`],
  ['* H', $localize`the rest is honey`],
  ['=', $localize`as last time`],
  ['/', $localize`same as the other side`],
  ['Q', $localize`queen here`],
  ['K', $localize`queen cell`],
  ['B 6', $localize`bees on six eighths`],
  ['!', $localize`doubtful, look again`],
  ['enter', $localize`next side`],
  ['back', 'undo'],
  ['?', $localize`this card`],
] as const;

/** The letters of the line and what each key does. */
@Component({
  selector: 'bc-keys-card',
  imports: [MatButton, MatDialogClose, MatDialogTitle],
  template: `
    <h2 matDialogTitle i18n>Shorthand: letters and keys</h2>
    <div class="card keys">
      <dl>
        @for (letter of letters; track letter) {
          <dt>{{ letter }}</dt>
          <dd>
            <svg width="26" height="18" viewBox="0 0 26 18" aria-hidden="true">
              <rect
                x=".5"
                y=".5"
                width="25"
                height="17"
                rx="2"
                [attr.fill]="'url(#comb-m-' + letter + ')'"
                stroke="var(--ink)"
              />
            </svg>
            {{ contents[letter] }}
          </dd>
        }
      </dl>
      <dl>
        @for (key of keys; track key[0]) {
          <dt>{{ key[0] }}</dt>
          <dd>{{ key[1] }}</dd>
        }
      </dl>
    </div>
    <p class="law" i18n>
      With gloves: a tap on a letter adds an eighth, a slide sideways over it sets two to eight, a long press takes all
      that is left. A tap on an open eighth of the bar fills up to there with the last letter, one on a filled eighth
      takes it back.
    </p>
    <p class="law" i18n>Pasted notes read the same way, a side a line: <b>6/7: 3S 1L 1P 3H +E B6 K1 !</b></p>
    <button type="button" matButton="outlined" matDialogClose i18n>Back to the hive</button>
  `,
  styleUrl: './cards.scss',
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class KeysCard {
  protected readonly letters = LETTERS;
  protected readonly contents = namesOf('content');
  protected readonly keys = KEYS;
}
