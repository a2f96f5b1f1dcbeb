import type { Text } from '@brave-comb/core/language';
import { ChangeDetectionStrategy, Component, computed, effect, inject, input, output, signal } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { type Assignments, type PlanItem, type Trouble, TROUBLES, type WayOut } from '@brave-comb/core/planning';
import { pointsText } from './plan-row';
import { PlanThinker } from './plan-thinker';

/** Troubles that are listed before the rest is only counted. */
const LISTED = 2;

/** What is wrong or weak in the plan, broken rules first, and by which one change each could be settled. */
@Component({
  selector: 'bc-plan-troubles',
  imports: [MatButton],
  templateUrl: './plan-troubles.html',
  styleUrl: './plan-troubles.scss',
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class PlanTroubles {
  private readonly thinker = inject(PlanThinker);
  readonly troubles = input.required<readonly Trouble[]>();
  readonly plan = input.required<Assignments>();
  /** Kind that the board shows alone; null while it shows everything. */
  readonly only = input<Trouble['kind'] | null>(null);
  readonly say = input.required<(text: Text) => string>();
  /** Numbers of hives, by id. */
  readonly numbers = input.required<ReadonlyMap<string, string>>();
  /** Whether ways out are worked out and offered. */
  readonly mayMend = input(false);
  readonly chosen = output<Trouble['kind'] | null>();
  readonly taken = output<{ readonly way: WayOut; readonly words: string }>();

  protected readonly all = signal(false);
  protected readonly kinds = computed(() =>
    TROUBLES.map((name) => ({ name, count: this.troubles().filter(({ kind }) => kind === name).length }))
      .filter(({ count }) => count > 0)
      .map(({ name, count }) => ({ name, words: countText(name, count) })),
  );
  protected readonly broken = computed(() => this.troubles().some(({ kind }) => kind === 'broken-rule'));
  private readonly kind = computed(() => this.only() ?? this.kinds()[0]?.name ?? null);
  private readonly list = computed(() => this.troubles().filter(({ kind }) => kind === this.kind()));
  protected readonly more = computed(() => this.list().length - LISTED);
  protected readonly shown = computed(() => (this.all() ? this.list() : this.list().slice(0, LISTED)));
  private readonly ways = signal<ReadonlyMap<Trouble, readonly WayOut[]>>(new Map());
  protected readonly lines = computed(() =>
    this.shown().map((trouble) => ({
      trouble,
      number: trouble.hive === undefined ? null : (this.numbers().get(trouble.hive) ?? null),
      says: this.say()(trouble.says),
      ways: (this.ways().get(trouble) ?? []).map((way) => ({ way, words: this.wordsOf(way) })),
      none: this.ways().get(trouble)?.length === 0,
    })),
  );
  protected readonly points = pointsText;

  constructor() {
    effect(() => {
      const [plan, shown] = [this.plan(), this.shown()];
      if (!this.mayMend()) return;
      for (const trouble of shown)
        void this.thinker
          .ask({ about: 'ways', plan, trouble })
          .then((found) => this.ways.update((ways) => new Map([...ways, [trouble, found]])))
          // A problem that came meanwhile asks anew.
          .catch(() => undefined);
    });
  }

  private wordsOf({ change }: WayOut): string {
    const say = this.say();
    switch (change.kind) {
      case 'lead':
        return $localize`${say(change.supervisor)} leads`;
      case 'leave-out':
        return change.from.kind === 'session'
          ? $localize`Cancel ${say(change.from.group)}, ${say(change.from.slot)}`
          : $localize`Leave out ${say(change.from.hive)}, ${say(change.from.slot)}`;
      case 'put':
        return $localize`${this.who(change.to)}, ${say(change.to.slot)}`;
      case 'move':
        return change.to.kind === 'session'
          ? $localize`Move to ${say(change.to.slot)}`
          : $localize`Move to ${this.who(change.to)}, ${say(change.to.slot)}`;
    }
  }

  private who(item: PlanItem): string {
    return item.kind === 'staff' ? $localize`Staff` : this.say()(item.group);
  }
}

function countText(kind: Trouble['kind'], count: number): string {
  switch (kind) {
    case 'broken-rule':
      return count === 1 ? $localize`1 rule broken` : $localize`${count} rules broken`;
    case 'due-not-met':
      return count === 1 ? $localize`1 check missed` : $localize`${count} checks missed`;
    case 'low-odds':
      return count === 1 ? $localize`1 risky slot` : $localize`${count} risky slots`;
    case 'too-few-sessions':
      return count === 1 ? $localize`1 group short of sessions` : $localize`${count} groups short of sessions`;
    case 'late':
      return count === 1 ? $localize`1 late session` : $localize`${count} late sessions`;
    case 'no-time-to-spare':
      return count === 1 ? $localize`1 tight session` : $localize`${count} tight sessions`;
  }
}
