import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import type { SkillLevel } from '@brave-comb/core/inspection';
import { named } from '../language/words';
import { levelPath } from './level-path';
import { MatTooltip } from '@angular/material/tooltip';

/** How much help a skill took, as a frame being put together: a dot for not yet, filled for can teach, dashed for fading. */
@Component({
  selector: 'bc-level-glyph',
  imports: [MatTooltip],
  template: `
    <svg
      [matTooltip]="says()"
      viewBox="0 0 24 24"
      aria-hidden="true"
      fill="none"
      stroke="currentColor"
      stroke-width="3"
    >
      @if (level() === null) {
        <circle cx="12" cy="12" r="1.700" fill="currentColor" stroke="none" />
      } @else {
        <path [attr.d]="path()" [attr.stroke-dasharray]="fading() ? '3 2.6' : null" />
      }
      @if (level() === 'can-teach' && !fading()) {
        <rect x="5.5" y="5" width="13" height="15" fill="currentColor" stroke="none" />
      }
    </svg>
  `,
  styles: `
    :host,
    svg {
      display: block;
      width: 100%;
    }
  `,
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class LevelGlyph {
  readonly level = input.required<SkillLevel | null>();
  readonly fading = input(false);
  protected readonly says = computed(() => {
    const level = this.level();
    if (this.fading()) return $localize`needs refreshing`;
    return level === null ? $localize`not yet` : named('skillLevel', level);
  });
  protected readonly path = computed(() => levelPath(this.level()));
}
