import { ChangeDetectionStrategy, Component, computed, input, output } from '@angular/core';
import { MatIcon } from '@angular/material/icon';
import type { Job, Step, StepId } from '@brave-comb/core/inspection';
import { listed } from '../language/words';
import { SaidPipe } from '../language/said';

/** The steps of this visit with who does what. */
@Component({
  selector: 'bc-step-list',
  imports: [SaidPipe, MatIcon],
  template: `
    <h2 i18n>
      Who is doing what <small>step {{ index() + 1 }} of {{ steps().length }}</small>
    </h2>
    <ol>
      @for (step of steps(); track step.id; let number = $index) {
        @if (number >= first() && number < first() + 3) {
          <li>
            <button
              type="button"
              [class.now]="step.id === current()"
              [attr.aria-current]="step.id === current() ? 'step' : null"
              (click)="chosen.emit(step.id)"
            >
              <span class="number">
                @if (number < index()) {
                  <mat-icon svgIcon="check" aria-label="done" i18n-aria-label />
                } @else {
                  {{ number + 1 }}
                }
              </span>
              <span
                ><b>{{ step.title | said }}</b>
                @if (step.id === current()) {
                  <i>{{ who() }}</i>
                }
              </span>
            </button>
          </li>
        }
      }
    </ol>
  `,
  styles: `
    h2 {
      display: flex;
      justify-content: space-between;
      align-items: baseline;
      font-size: 17px;
    }
    small {
      font: 650 14.5px var(--font);
    }
    button {
      display: grid;
      grid-template-columns: 22px 1fr;
      gap: 6px;
      width: 100%;
      min-height: 48px;
      align-items: center;
      padding: 3px 8px;
      border: 0;
      border-radius: 4px;
      background: none;
      color: var(--ink);
      font-size: 15px;
      line-height: 1.15;
      text-align: left;
      cursor: pointer;
    }
    /* Where warnings take the room, the step in work and the next one stay. */
    @container who (height < 290px) {
      h2,
      li:first-child:not(:has(.now)) {
        display: none;
      }
    }
    .now {
      background: var(--spruce);
      color: var(--on-spruce);
    }
    b {
      font-weight: 650;
    }
    i {
      display: block;
      font-style: normal;
    }
    .mat-icon {
      width: 18px;
      height: 18px;
    }
  `,
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class StepList {
  readonly steps = input.required<readonly Step[]>();
  readonly current = input.required<StepId>();
  /** Names by job. */
  readonly jobs = input.required<Readonly<Record<Job, readonly string[]>>>();
  readonly chosen = output<StepId>();

  protected readonly index = computed(() =>
    Math.max(
      0,
      this.steps().findIndex((step) => step.id === this.current()),
    ),
  );
  protected readonly first = computed(() => Math.max(0, Math.min(this.index() - 1, this.steps().length - 3)));
  protected readonly who = computed(() => {
    const { frames, record, smoke, clock } = this.jobs();
    const records = record.length === 0 ? '' : $localize`${listed(record)} records`;
    if (['sum-up', 'entrance'].includes(this.current())) return records;
    const holds =
      frames.length === 0
        ? ''
        : frames.length === 1
          ? $localize`${frames[0]} holds`
          : $localize`${listed(frames)} hold`;
    const smokes = smoke.length === 0 ? '' : $localize`${listed(smoke)} smokes`;
    const timed = clock.length === 0 ? '' : $localize`${listed(clock)} keeps time`;
    const parts = ['outside', 'smoke'].includes(this.current()) ? [smokes, records] : [holds, records, timed];
    return parts.filter(Boolean).join(', ');
  });
}
