import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import { SKILL_LEVELS, type SkillLevel } from '@brave-comb/core/inspection';

const STROKES = ['M1.5 5h21', 'M5.5 5v15.5', 'M18.5 5v15.5', 'M4 20h16'] as const;

/** How much help a skill took, as a frame being put together: bar saw it, one side helped, two sides with a word, closed alone, filled can teach. */
@Component({
  selector: 'bc-level-glyph',
  template: `
    <svg viewBox="0 0 24 24" aria-hidden="true" fill="none" stroke="currentColor" stroke-width="3">
      @if (rank() < 0) {
        <circle cx="12" cy="12" r="1.700" fill="currentColor" stroke="none" />
      }
      @for (stroke of strokes(); track stroke) {
        <path [attr.d]="stroke" />
      }
      @if (rank() === 4) {
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
  protected readonly rank = computed(() => {
    const level = this.level();
    return level === null ? -1 : SKILL_LEVELS.indexOf(level);
  });
  protected readonly strokes = computed(() => STROKES.slice(0, Math.min(4, this.rank() + 1)));
}
