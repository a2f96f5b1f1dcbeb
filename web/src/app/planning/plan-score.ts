import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import { MatProgressBar } from '@angular/material/progress-bar';
import type { PlanJob } from '@brave-comb/contract';

/** Share of the bound under which a plan counts as the best one. */
const PROVEN = 0.0005;
const NEAR = 0.02;

/** What the plan on the board is worth, against the most that any plan could be. */
@Component({
  selector: 'bc-plan-score',
  imports: [MatProgressBar],
  template: `
    <p class="score">
      <b>{{ number() }}</b>
      <span>{{ words() }}</span>
    </p>
    @if (running()) {
      <mat-progress-bar
        mode="determinate"
        [value]="progress()"
        ariaLabel="Planning, {{ job()?.seconds }} of {{ job()?.limit }} seconds"
        i18n-ariaLabel
      />
    }
    <p class="unit" i18n><b>1 point:</b> one trainee practises one open skill once.</p>
  `,
  styles: `
    .score {
      display: flex;
      gap: 12px;
      align-items: center;
      margin: 0;

      b {
        font: 700 38px/1.1 var(--display);
      }

      span {
        max-width: 17em;
        line-height: 1.25;
      }
    }
    .unit {
      margin: 6px 0 0;
      border-top: 1px solid var(--line-2);
      padding-top: 6px;
    }
  `,
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class PlanScore {
  readonly job = input<PlanJob | null>(null);
  /** Worth of the plan on the board; null until it is known. */
  readonly worth = input<number | null>(null);
  /** Whether the board shows the best that the job has found. */
  readonly isBest = input(false);

  private readonly last = computed(() => this.job()?.course.at(-1) ?? null);
  private readonly bound = computed(() => this.last()?.bound ?? null);
  protected readonly running = computed(() => ['waiting', 'running'].includes(this.job()?.status ?? ''));
  protected readonly progress = computed(() => {
    const job = this.job();
    return job ? Math.min(100, (100 * job.seconds) / job.limit) : 0;
  });
  private readonly shown = computed(() => (this.isBest() ? (this.last()?.objective ?? null) : this.worth()));
  protected readonly number = computed(() => this.shown()?.toFixed(0) ?? '–');
  protected readonly words = computed(() => {
    const [shown, bound, best] = [this.shown(), this.bound(), this.last()?.objective ?? null];
    if (this.running() && bound === null) return $localize`points, planning …`;
    if (bound === null || bound <= 0) return $localize`points; not planned with this forecast yet`;
    if (!this.isBest() && best !== null)
      return $localize`points on the board; the best plan found has ${best.toFixed(0)}${this.gapText(best, bound)}`;
    return shown === null ? '' : $localize`of at most ${bound.toFixed(0)} points${this.gapText(shown, bound)}`;
  });

  private gapText(objective: number, bound: number): string {
    const gap = (bound - objective) / bound;
    if (gap < PROVEN) return $localize`\: best plan found (proven)`;
    return gap < NEAR ? $localize`, nearly the best` : '';
  }
}
