import { ChangeDetectionStrategy, Component, input, output } from '@angular/core';
import { POLLEN_COLOURS, POLLEN_COLOUR_NAMES, type PollenColour } from '@brave-comb/core/inspection';
import { Named } from '../language/words';

/** Colours of pollen to tap, each with its name for those who do not see it. */
@Component({
  selector: 'bc-pollen-swatches',
  imports: [Named],
  template: `
    @for (colour of colours; track colour) {
      <button
        type="button"
        [style.--shade]="shades[colour]"
        [class.sel]="chosen().includes(colour)"
        [attr.aria-label]="colour | named: 'pollenColour'"
        [attr.aria-pressed]="chosen().includes(colour)"
        (click)="tapped.emit(colour)"
      ></button>
    }
  `,
  styles: `
    :host {
      display: contents;
    }
    button {
      width: 48px;
      height: 48px;
      border: 2px solid var(--ink);
      border-radius: 50%;
      background: var(--shade);
      cursor: pointer;
    }
    .sel {
      outline: 4px solid var(--heather);
      outline-offset: 2px;
    }
  `,
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class PollenSwatches {
  readonly chosen = input.required<readonly PollenColour[]>();
  readonly tapped = output<PollenColour>();
  protected readonly colours = POLLEN_COLOUR_NAMES;
  protected readonly shades = POLLEN_COLOURS;
}
