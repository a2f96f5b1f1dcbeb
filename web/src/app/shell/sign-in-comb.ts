import { ChangeDetectionStrategy, Component } from '@angular/core';
import { parseSide } from '@brave-comb/core/inspection';
import { CombPortrait } from '../inspection/comb-portrait';

/** The comb beside the sign-in form. */
@Component({
  selector: 'bc-sign-in-comb',
  imports: [CombPortrait],
  template: `<bc-comb-portrait
    [side]="comb"
    [width]="470"
    [ratio]="0.66"
    [seed]="2"
    name="A comb"
    i18n-name
    queenMark="blue"
  />`,
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class SignInComb {
  protected readonly comb = parseSide('3S 1L 1E 1P 2H Q');
}
