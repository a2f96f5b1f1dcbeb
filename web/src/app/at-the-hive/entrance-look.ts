import { Injectable, inject } from '@angular/core';
import { EMPTY_LOOK, type OutsideLook } from '@brave-comb/core/inspection';
import { Store } from '@ngrx/store';
import { inspectionFeature } from '../inspection/inspection.feature';
import { VisitDesk } from '../inspection/visit-desk';
import { jotted } from './jotted';

/** A look at the entrance while it is taken: one before the hive is opened, one after it is closed. */
@Injectable()
export class EntranceLook {
  private readonly desk = inject(VisitDesk);
  private readonly record = inject(Store).selectSignal(inspectionFeature.selectRecord);
  /** What was tapped since the last entry, `null` while nothing was. */
  readonly changed = jotted<OutsideLook | null>('entrance', null);
  readonly wasps = jotted<number | null>('wasps', null);
  readonly pastGuards = jotted('past-guards', false);

  look(when: 'before' | 'after'): OutsideLook {
    return this.changed() ?? this.record().outside[when] ?? EMPTY_LOOK;
  }

  /** Makes entries of what was seen. What nobody touched was not looked at, and is no entry. */
  keep(when: 'before' | 'after'): void {
    const look = this.changed();
    if (look) this.desk.enter({ kind: 'outside-seen', when, look });
    this.changed.set(null);
    const wasps = this.wasps();
    if (wasps !== null)
      this.desk.enter({ kind: 'measured', measure: { what: 'wasps', aMinute: wasps, pastGuards: this.pastGuards() } });
    this.wasps.set(null);
    this.pastGuards.set(false);
  }
}
