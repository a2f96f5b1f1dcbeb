import { Injectable, inject } from '@angular/core';
import {
  type EntryBody,
  type FrameSide,
  type SideAddress,
  formatSide,
  isBlank,
  liftingOrder,
  sideKey,
  sideProblem,
} from '@brave-comb/core/inspection';
import { Store } from '@ngrx/store';
import { v7 as uuid } from 'uuid';
import { Clock } from '../people/clock';
import { peopleFeature } from '../people/people.feature';
import { InspectionEvents, inspectionFeature } from './inspection.feature';

/** Makes the entries of the visit that is open on this device. */
@Injectable({ providedIn: 'root' })
export class VisitDesk {
  private readonly store = inject(Store);
  private readonly clock = inject(Clock);
  private readonly person = this.store.selectSignal(peopleFeature.selectPerson);
  private readonly record = this.store.selectSignal(inspectionFeature.selectRecord);
  private readonly box = this.store.selectSignal(inspectionFeature.selectBox);
  private readonly address = this.store.selectSignal(inspectionFeature.selectAddress);
  private readonly shown = this.store.selectSignal(inspectionFeature.selectShown);
  private readonly before = this.store.selectSignal(inspectionFeature.selectBefore);
  private readonly reading = this.store.selectSignal(inspectionFeature.selectReading);

  /** Makes an entry. It is on the device at once and sent when there is a signal. */
  enter(body: EntryBody): void {
    const by = this.person()?.id;
    if (!by) return;
    this.store.dispatch(InspectionEvents.entryMade({ entry: { id: uuid(), at: this.clock.instant(), by, body } }));
  }

  /** Records the side being entered, unless nothing changed. Returns what is wrong with it, or `null`. */
  recordSide(): string | null {
    const address = this.address();
    const { side } = this.shown();
    const reading = this.reading();
    if (!address) return null;
    const changed = reading ? formatSide(reading.side) !== formatSide(side) : !isBlank(side);
    if (!changed) return null;
    const problem = sideProblem(side);
    if (problem) return problem;
    this.enter({ kind: 'frame side recorded', address, side, seen: reading?.entry ?? null });
    return null;
  }

  /** Records the side being entered and turns to another one. */
  turnTo(address: SideAddress): string | null {
    const problem = this.recordSide();
    if (!problem) this.store.dispatch(InspectionEvents.sideChosen({ address }));
    return problem;
  }

  change(side: FrameSide, pending = ''): void {
    this.store.dispatch(InspectionEvents.sideChanged({ entry: { side, pending } }));
  }

  /** The next side in lifting order, `null` after the last. */
  nextSide(by = 1): SideAddress | null {
    const box = this.box();
    const address = this.address();
    if (!box || !address) return null;
    const order = liftingOrder(box.id, box.frames);
    return order[order.findIndex((side) => sideKey(side) === sideKey(address)) + by] ?? null;
  }

  /** Takes the last change of the side back, or the last entry when the side is as it was. */
  undo(): void {
    if (this.before().length > 0) {
      this.store.dispatch(InspectionEvents.sideChangeUndone());
      return;
    }
    const last = this.record().undoable.at(-1);
    if (last) this.enter({ kind: 'entry undone', entry: last });
  }
}
