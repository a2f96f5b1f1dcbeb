import { ChangeDetectionStrategy, Component, input, output } from '@angular/core';

/** A part of the page, by its box in the window. */
export interface Ring {
  readonly number: number;
  readonly left: number;
  readonly top: number;
  readonly width: number;
  readonly height: number;
}
/** Room between a part and the ring around it, px. */
const AROUND = 3;
/** Less of a part than this is not seen, px. */
const SEEN = 20;

/**
 * Where parts of the page are, of those that can be seen now.
 *
 * @param selectors of the parts in their order, `undefined` for what has no place
 * @returns a ring for each that is in the window, with its number from 1 on
 */
export function ringsOf(selectors: readonly (string | undefined)[]): readonly Ring[] {
  return selectors.flatMap((selector, index) => {
    const box = selector ? document.querySelector(selector)?.getBoundingClientRect() : undefined;
    if (!box || box.height === 0 || box.top > innerHeight - SEEN || box.bottom < SEEN) return [];
    const top = Math.max(box.top - AROUND, 4);
    const bottom = Math.min(box.bottom + AROUND, innerHeight - 4);
    return [{ number: index + 1, left: box.left - AROUND, top, width: box.width + 2 * AROUND, height: bottom - top }];
  });
}

/** A veil over the page with rings around the parts that are explained. */
@Component({
  selector: 'bc-help-rings',
  template: `
    @for (ring of rings(); track ring.number) {
      <span
        class="ring"
        [style.left.px]="ring.left"
        [style.top.px]="ring.top"
        [style.width.px]="ring.width"
        [style.height.px]="ring.height"
        ><b>{{ ring.number }}</b></span
      >
    }
  `,
  styles: `
    :host {
      position: fixed;
      inset: 0;
      background: rgb(12 22 21 / 58%);
      pointer-events: auto;
    }
    .ring {
      position: fixed;
      border: 2px dashed var(--sheet);
      border-radius: 6px;
    }
    b {
      position: absolute;
      top: 6px;
      left: 6px;
      min-width: 22px;
      border-radius: 4px;
      background: var(--heather);
      color: var(--sheet);
      font-size: 13px;
      line-height: 22px;
      text-align: center;
    }
  `,
  host: { 'aria-hidden': 'true', '(click)': 'left.emit()' },
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class HelpRings {
  readonly rings = input.required<readonly Ring[]>();
  readonly left = output();
}
