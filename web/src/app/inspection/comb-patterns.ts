import { ChangeDetectionStrategy, Component } from '@angular/core';

/**
 * The patterns of everything that a comb holds, in three grains (s, m, l), and the hatches of the strip. Pattern first, colour second: it
 * reads in sun, in grey print and by the colour-blind. Drawn once for the whole page.
 */
@Component({
  selector: 'bc-comb-patterns',
  templateUrl: './comb-patterns.html',
  styles: ':host { position: absolute; width: 0; height: 0; overflow: hidden; }',
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { 'aria-hidden': 'true' },
})
export class CombPatterns {}
