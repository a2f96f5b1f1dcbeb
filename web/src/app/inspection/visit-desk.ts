import { said } from '../language/said';
import { Injectable, computed, inject, signal } from '@angular/core';
import { partsAbove } from '@brave-comb/core/equipment';
import {
  type ClosingTask,
  type EntryBody,
  type FrameSide,
  type Guard,
  type SideAddress,
  type Spot,
  formatSide,
  guardsOf,
  isBlank,
  sideProblem,
  spotOf,
  spotText,
} from '@brave-comb/core/inspection';
import { Store } from '@ngrx/store';
import { v7 as uuid } from 'uuid';
import { Clock } from '../people/clock';
import { peopleFeature } from '../people/people.feature';
import { InspectionEvents } from './inspection.events';
import { inspectionFeature } from './inspection.feature';

/** Makes the entries of the visit that is open on this device. */
@Injectable({ providedIn: 'root' })
export class VisitDesk {
  private readonly store = inject(Store);
  private readonly clock = inject(Clock);
  private readonly person = this.store.selectSignal(peopleFeature.selectPerson);
  private readonly file = this.store.selectSignal(inspectionFeature.selectFile);
  private readonly record = this.store.selectSignal(inspectionFeature.selectRecord);
  private readonly box = this.store.selectSignal(inspectionFeature.selectBox);
  private readonly address = this.store.selectSignal(inspectionFeature.selectAddress);
  private readonly shown = this.store.selectSignal(inspectionFeature.selectShown);
  private readonly before = this.store.selectSignal(inspectionFeature.selectBefore);
  private readonly after = this.store.selectSignal(inspectionFeature.selectAfter);
  private readonly reading = this.store.selectSignal(inspectionFeature.selectReading);
  private readonly reader = this.store.selectSignal(inspectionFeature.selectReader);
  private readonly facts = this.store.selectSignal(inspectionFeature.selectGuardFacts);
  /** The side of the frame in hand, `null` when what is entered concerns the whole hive. */
  readonly spot = computed<Spot | null>(() => {
    const address = this.address();
    return address && this.record().inHand ? spotOf(address) : null;
  });
  readonly where = computed(() => {
    const spot = this.spot();
    return spot ? said(spotText(spot, this.box()?.frames)) : $localize`The whole hive`;
  });
  /** What spoke against lifting the frame in hand, while it is in hand. */
  readonly cautions = signal<readonly Guard[]>([]);

  /** Makes an entry. It is on the device at once and sent when there is a signal. */
  enter(body: EntryBody): void {
    const by = this.person()?.id;
    if (!by) return;
    this.store.dispatch(InspectionEvents.entryMade({ entry: { id: uuid(), at: this.clock.instant(), by, body } }));
  }

  /** Adds to a visit that is not open here what somebody saw or asked afterwards. Returns the entry's id. */
  add(visit: string, body: EntryBody): string {
    const entry = { id: uuid(), at: this.clock.instant(), by: this.person()?.id ?? '', body };
    this.store.dispatch(InspectionEvents.entryAdded({ visit, entry }));
    return entry.id;
  }

  /** Records the side being entered, unless nothing changed. Returns what is wrong with it, or `null`. */
  recordSide(): string | null {
    const address = this.address();
    const { side } = this.shown();
    const reading = this.reading();
    if (!address) return null;
    const reader = this.reader();
    if (reader) return this.recordFor(reader, address, side);
    const changed = reading ? formatSide(reading.side) !== formatSide(side) : !isBlank(side);
    if (!changed) return null;
    const problem = sideProblem(side);
    if (problem) return said(problem);
    this.enter({
      kind: 'frame-side-recorded',
      address,
      side,
      seen: this.mayReplace(reading?.by) ? reading!.entry : null,
    });
    return null;
  }

  /** A trainee's reading stands beside a supervisor's as one of two, and does not replace it. */
  private mayReplace(reader: string | undefined): boolean {
    if (reader === undefined) return false;
    return this.person()?.role !== 'trainee' || (this.file()?.trainees ?? []).some(({ id }) => id === reader);
  }

  /** Keeps what a trainee read, hidden until the supervisor has read the side too. */
  private recordFor(person: string, address: SideAddress, side: FrameSide): string | null {
    if (isBlank(side)) return $localize`Nothing entered yet. Enter what you see, or let the supervisor read.`;
    const problem = sideProblem(side);
    if (problem) return said(problem);
    this.enter({ kind: 'side-read-by-trainee', person, address, side });
    this.read(null);
    return null;
  }

  /** Who reads the side first: a trainee, or null for whoever leads. */
  read(person: string | null): void {
    this.store.dispatch(InspectionEvents.readerChosen({ person }));
  }

  /** Records the side being entered and turns to another one. */
  turnTo(address: SideAddress): string | null {
    const problem = this.recordSide();
    if (!problem) this.store.dispatch(InspectionEvents.sideChosen({ address }));
    return problem;
  }

  /** Takes the frame of the side being entered in hand, unless it is: with what speaks against that. */
  lift(): void {
    const address = this.address();
    const { inHand, boxes, closed } = this.record();
    if (!address || closed || (inHand?.box === address.box && inHand.frame === address.frame)) return;
    const { box, frame } = address;
    this.cautions.set(guardsOf({ do: 'lift-frame', box, frame }, this.facts()));
    // Nobody lifts a frame with the lid on: what stands above is off, also when nobody tapped it.
    const { stack } = this.facts();
    const off = new Set(this.record().partsOff);
    if (stack.some(({ id }) => id === box))
      for (const { id } of partsAbove(stack, box)) if (!off.has(id)) this.enter({ kind: 'part-taken-off', part: id });
    if (!boxes.some((each) => each.box === box)) this.enter({ kind: 'box-opened', box });
    this.enter({ kind: 'frame-lifted', box, frame });
  }

  /** Puts the frame in hand back. */
  setBack(): void {
    const { inHand } = this.record();
    this.cautions.set([]);
    if (inHand) this.enter({ kind: 'frame-set-back', box: inHand.box, frame: inHand.frame });
  }

  /** Does one thing of closing: a frame, a comb from the frame rest or a part goes back, or somebody looked. */
  close(task: ClosingTask, ok = true): void {
    switch (task.kind) {
      case 'frame':
        return void this.enter({ kind: 'frame-set-back', box: task.box, frame: task.frame });
      case 'comb':
        return void this.enter({
          kind: 'comb-moved',
          comb: task.comb,
          to: { in: 'box', box: task.box, place: task.place },
          reason: $localize`back from the frame rest`,
        });
      case 'part':
        return void this.enter({ kind: 'part-put-back', part: task.part.id });
      case 'check':
        return void this.enter({ kind: 'checked', check: task.check, ok, person: null });
    }
  }

  change(side: FrameSide, pending = ''): void {
    this.store.dispatch(InspectionEvents.sideChanged({ entry: { side, pending } }));
  }

  /** Takes the last change of the side back, or the last entry when the side is as it was. */
  undo(): void {
    if (this.before().length > 0) {
      this.store.dispatch(InspectionEvents.sideChangeUndone());
      return;
    }
    const last = this.record().undoable.at(-1);
    if (last) this.enter({ kind: 'entry-undone', entry: last });
  }

  /** Brings again what was taken back last. */
  redo(): void {
    if (this.after().length > 0) {
      this.store.dispatch(InspectionEvents.sideChangeRedone());
      return;
    }
    const last = this.record().redoable;
    if (last) this.enter({ kind: 'entry-undone', entry: last });
  }

  /** Whether anything can be brought again. */
  readonly mayRedo = computed(() => this.after().length > 0 || this.record().redoable !== null);
}
