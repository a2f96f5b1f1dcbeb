import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';

const HEIGHTS = [1.2, 3, 5.5, 8.5, 10];
const WAVES = [2, 3, 4, 6, 9];

/** The hum of the bees as a line: quiet, easy, lively, agitated, close. */
@Component({
  selector: 'bc-mood-line',
  template: `<svg viewBox="0 0 44 22" aria-hidden="true">
    <path
      [attr.d]="path()"
      fill="none"
      stroke="currentColor"
      stroke-width="2"
      stroke-linejoin="round"
      stroke-linecap="round"
    />
  </svg>`,
  styles: `
    :host,
    svg {
      display: block;
      width: 44px;
      margin: 0 auto;
    }
  `,
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class MoodLine {
  /** 1 quiet to 5 close. */
  readonly mood = input.required<number>();
  protected readonly path = computed(() => {
    const height = HEIGHTS[this.mood() - 1] ?? 1;
    const waves = WAVES[this.mood() - 1] ?? 1;
    const points = Array.from({ length: 81 }, (_, i) => {
      const share = i / 80;
      return `${(2 + share * 40).toFixed(1)} ${(11 - Math.sin(share * Math.PI * 2 * waves) * height).toFixed(1)}`;
    });
    return `M${points.join('L')}`;
  });
}
