import type { Text } from '@brave-comb/core/language';
import { ChangeDetectionStrategy, Component, computed, input, output } from '@angular/core';
import { MatButton } from '@angular/material/button';
import type { PlanItem, PlanLock } from '@brave-comb/core/planning';
import { pointsText } from './plan-row';
import type { Answers } from './plan-thoughts';
import { PlanWhy } from './plan-why';

/** Why the chosen hive stands where it stands, where else it could, and what is done when the weather does not come. */
@Component({
  selector: 'bc-plan-opening',
  imports: [MatButton, PlanWhy],
  templateUrl: './plan-opening.html',
  styleUrl: './plan-opening.scss',
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class PlanOpening {
  readonly item = input.required<PlanItem>();
  readonly hive = input.required<string>();
  /** Who opens it, when and where. */
  readonly place = input.required<string>();
  readonly why = input<Answers['why'] | null>(null);
  readonly places = input<Answers['places'] | null>(null);
  readonly wet = input<Answers['wet-day']>(null);
  readonly skills = input.required<readonly { readonly id: string; readonly name: string }[]>();
  readonly say = input.required<(text: Text) => string>();
  readonly mayPlan = input(false);
  readonly moved = output<PlanLock>();
  readonly fixed = output();
  readonly excluded = output();

  protected readonly total = computed(() => this.why()?.marginal.total ?? null);
  protected readonly free = computed(() =>
    (this.places() ?? []).flatMap(({ lock, price }) =>
      price === null || lock.staff === true
        ? []
        : [{ lock, price, words: `${this.say()(lock.group)}, ${this.say()(lock.slot)}` }],
    ),
  );
  protected readonly closed = computed(() => (this.places() ?? []).filter(({ price }) => price === null));
  protected readonly points = pointsText;
}
