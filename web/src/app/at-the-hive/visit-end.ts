import { Injectable, computed, inject, signal } from '@angular/core';
import { nestBoxes } from '@brave-comb/core/equipment';
import { type Estimate, STOP_REASONS } from '@brave-comb/core/inspection';
import { Store } from '@ngrx/store';
import { inspectionFeature } from '../inspection/inspection.feature';
import { measured, weighed } from '../language/units';
import { follows } from '../ui/follows';
import { jotted } from './jotted';

type StopReason = (typeof STOP_REASONS)[number];

/** Ranges narrower than this are not told, frames or kg. */
const TELLING_RANGE = 0.2;

/** What is said at the end of a visit: what it adds up to, and why it ends. */
@Injectable()
export class VisitEnd {
  private readonly store = inject(Store);
  private readonly record = this.store.selectSignal(inspectionFeature.selectRecord);
  private readonly seen = this.store.selectSignal(inspectionFeature.selectSeen);
  private readonly stack = this.store.selectSignal(inspectionFeature.selectStack);
  private readonly estimate = this.store.selectSignal(inspectionFeature.selectEstimate);
  private readonly chosen = signal<StopReason | null>(null);
  readonly note = follows(() => this.record().stop?.note ?? '');
  readonly health = jotted('health', '');

  /** A visit that did not see all cannot end as if it had. */
  readonly reasons = computed<readonly StopReason[]>(() =>
    this.seen()?.enough ? STOP_REASONS : STOP_REASONS.filter((reason) => reason !== 'question-answered'),
  );
  /** Why the visit ends: as somebody chose here, as it was said when it was stopped, or because all was seen. */
  readonly reason = computed<StopReason | null>(() => {
    const reason = this.chosen() ?? this.record().stop?.reason ?? (this.seen()?.enough ? 'question-answered' : null);
    return reason && this.reasons().includes(reason) ? reason : null;
  });

  choose(reason: StopReason): void {
    this.chosen.set(reason);
  }

  /** What the visit adds up to, in the words of the person who kept the record. */
  summary() {
    const now = this.estimate();
    const sides = nestBoxes(this.stack()).reduce((sum, { frames }) => sum + 2 * frames, 0);
    const read = now && now.sidesRead < sides ? $localize`, ${now.sidesRead} of ${sides} sides read` : '';
    const figure = (value: number) => value.toFixed(1);
    const range = (of: Estimate) =>
      of.high - of.low >= TELLING_RANGE ? $localize` (${figure(of.low)} to ${figure(of.high)})` : '';
    const frames = (of: Estimate) => $localize`${figure(of.value)} frames${range(of)}${read}`;
    const some = now !== null && now.sidesRead > 0;
    return {
      bees: now?.framesOfBees ? frames(now.framesOfBees) : $localize`not counted`,
      brood: some ? frames(now.brood) : $localize`not read`,
      food: some
        ? $localize`${measured('weight', now.storesKg.value, 1)}${range(weighed(now.storesKg))}${read}`
        : $localize`not read`,
      health: this.health(),
    };
  }
}
