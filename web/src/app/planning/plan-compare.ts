import type { Text } from '@brave-comb/core/language';
import { ChangeDetectionStrategy, Component, computed, input, output } from '@angular/core';
import { MatButton } from '@angular/material/button';
import type { PlanChange, PlannedSession, StaffVisit } from '@brave-comb/core/planning';
import { scaleLinear } from 'd3-scale';
import { pointsText } from './plan-row';
import type { Answers, Question } from './plan-thoughts';
import { PlanWhy } from './plan-why';
import { FIELD } from '../parts/field';

/** A plan that can be compared with the one on the board. */
export interface OtherPlan {
  readonly id: string;
  readonly name: string;
}
type Take = Extract<Question, { about: 'step' }>['take'];
const [BAR, HEIGHT] = [30, 60];

/** How another plan differs from the one on the board, and the way there step by step. */
@Component({
  selector: 'bc-plan-compare',
  imports: [FIELD, MatButton, PlanWhy],
  templateUrl: './plan-compare.html',
  styleUrl: './plan-compare.scss',
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class PlanCompare {
  readonly others = input.required<readonly OtherPlan[]>();
  readonly other = input<string | null>(null);
  readonly title = input($localize`Compare two plans`);
  /** What the forecast has changed since people were told, in words. */
  readonly news = input<readonly string[]>([]);
  readonly found = input<Answers['comparison'] | null>(null);
  readonly kept = input(0);
  readonly mayMake = input(false);
  readonly say = input.required<(text: Text) => string>();
  readonly chosen = output<string | null>();
  readonly made = output<Take>();

  protected readonly points = pointsText;
  protected readonly barsText = computed(() =>
    this.bars()
      .map(({ at, text }) => `${at}: ${text}`)
      .join(', '),
  );
  protected readonly why = computed(() => {
    const found = this.found();
    return found === null ? null : { marginal: found.more, skills: [] };
  });
  protected readonly steps = computed(() =>
    (this.found()?.steps ?? []).map((step) => ({ ...step, words: this.wordsOf(step.change) })),
  );
  /** How many steps it takes to be as well off as can be on the way, among plans that can be told to people where there are such. */
  protected readonly best = computed(() => {
    const { worth = 0, sound = [] } = this.found() ?? {};
    const worths = [worth, ...this.steps().map(({ objective }) => objective)];
    const tellable = worths.filter((_, at) => sound[at] === true);
    return worths.findIndex(
      (each, at) =>
        each === Math.max(...(tellable.length > 0 ? tellable : worths)) &&
        (tellable.length === 0 || sound[at] === true),
    );
  });
  /** Fewer moves would break a rule: said, for some of them may cost points. */
  protected readonly needed = computed(() => {
    const [sound, best] = [this.found()?.sound ?? [], this.best()];
    return best > 0 && sound.slice(0, best).includes(false);
  });
  /** Share below the best on the way, by steps made. */
  protected readonly bars = computed(() => {
    const worths = [this.found()?.worth ?? 0, ...this.steps().map(({ objective }) => objective)];
    const top = Math.max(...worths);
    const below = worths.map((worth) => (top <= 0 ? 0 : (100 * (top - worth)) / top));
    const height = scaleLinear([0, Math.max(0.1, ...below)], [0, HEIGHT - 16]);
    return below.map((value, at) => ({
      at,
      x: at * BAR,
      height: height(value),
      text: value < 0.05 ? '0' : `−${value.toFixed(1)}`,
    }));
  });

  private wordsOf({ leave, come }: PlanChange): string {
    const say = this.say();
    const hives = (ids: readonly string[]) => ids.map(say).join(', ');
    const session = ({ group, slot, supervisor, hives: opened }: PlannedSession) =>
      $localize`${say(group)}, ${say(slot)} with ${say(supervisor)}\: ${hives(opened)}`;
    const visit = ({ slot, hive }: StaffVisit) => $localize`Staff, ${say(slot)}\: ${say(hive)}`;
    const left = [...leave.sessions.map(session), ...leave.staff.map(visit)];
    const added = [...come.sessions.map(session), ...come.staff.map(visit)];
    if (left.length === 0) return $localize`New: ${added.join('; ')}`;
    return added.length === 0 ? $localize`Gone: ${left.join('; ')}` : `${left.join('; ')} → ${added.join('; ')}`;
  }
}
