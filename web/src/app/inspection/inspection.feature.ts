import type { VisitFile } from '@brave-comb/contract';
import { nestBoxes } from '@brave-comb/core/equipment';
import {
  type SideAddress,
  type SideEntry,
  type StepId,
  type VisitEntry,
  liftingOrder,
  recordOf,
  sideKey,
} from '@brave-comb/core/inspection';
import { type EntityState } from '@ngrx/entity';
import { createFeature, createReducer, on } from '@ngrx/store';
import { InspectionEvents } from './inspection.events';
import { BLANK, visitSelectors, waitingEntries } from './visit-selectors';
import type { CallFault } from '../api/contract-client';
import type { WaitingEntry } from '../device/device-store';

interface InspectionState {
  readonly visit: string | null;
  readonly file: VisitFile | null;
  readonly fault: CallFault | null;
  readonly waiting: EntityState<WaitingEntry>;
  /** Why the last sending failed, `null` while all is well. */
  readonly sendingFault: CallFault | null;
  /** The side being entered. */
  readonly address: SideAddress | null;
  readonly entry: SideEntry;
  /** What the side was before each change, to go back by. */
  readonly before: readonly SideEntry[];
  /** What was taken back of it, to bring again. */
  readonly after: readonly SideEntry[];
  /** The trainee who reads the side before the supervisor does. */
  readonly reader: string | null;
  /** The step that this device stands at, `null` until it took one. */
  readonly ownStep: StepId | null;
  /** What was added last to a visit that is not open here. */
  readonly added: { readonly id: string; readonly fate: 'waits' | 'kept' | 'refused' } | null;
}

const initial: InspectionState = {
  visit: null,
  file: null,
  fault: null,
  waiting: waitingEntries.getInitialState(),
  sendingFault: null,
  address: null,
  entry: BLANK,
  before: [],
  after: [],
  reader: null,
  ownStep: null,
  added: null,
};

/** The server's file, with what was acknowledged while it was on its way, without what this device has not struck off. */
function withFile(state: InspectionState, file: VisitFile): InspectionState {
  const known = file.entries.map((entry) => entry.id);
  const since =
    state.file?.visit.id === file.visit.id ? state.file.entries.filter(({ id }) => !known.includes(id)) : [];
  return {
    ...state,
    file: { ...file, entries: [...file.entries, ...since] },
    fault: null,
    waiting: waitingEntries.removeMany(known, state.waiting),
    address: state.address ?? firstUnread(file, state),
  };
}

/** The step of this device after one of its entries; a step that was taken back is no step of its own any more. */
function stepAfter(state: InspectionState, { body }: VisitEntry): StepId | null {
  if (body.kind === 'step-reached') return body.step;
  if (body.kind !== 'entry-undone') return state.ownStep;
  const all = [
    ...((state.file?.entries ?? []) as readonly VisitEntry[]),
    ...Object.values(state.waiting.entities).flatMap((each) => (each ? [each.entry] : [])),
  ];
  return all.find(({ id }) => id === body.entry)?.body.kind === 'step-reached' ? null : state.ownStep;
}

function firstUnread(file: VisitFile, state: InspectionState): SideAddress | null {
  // The highest box of the nest comes off first, and often suffices.
  const box = nestBoxes(file.stack).at(-1);
  if (!box) return null;
  const waiting = waitingEntries
    .getSelectors()
    .selectAll(state.waiting)
    .map((each) => each.entry);
  const { sides } = recordOf([...file.entries, ...waiting]);
  const order = liftingOrder(box.id, box.frames);
  const lastRead = order.findLastIndex((side) => sides[sideKey(side)]);
  return order[Math.min(lastRead + 1, order.length - 1)] ?? null;
}

/** What became of the entry that was added last, if it is among these. */
function settled(state: InspectionState, ids: readonly { readonly id: string }[], fate: 'kept' | 'refused') {
  const { added } = state;
  return added && ids.some(({ id }) => id === added.id) ? { ...state, added: { id: added.id, fate } } : state;
}

export const inspectionFeature = createFeature({
  name: 'inspection',
  reducer: createReducer<InspectionState>(
    initial,
    on(InspectionEvents.visitOpened, (state, { visit }) =>
      state.visit === visit ? { ...state, fault: null } : { ...initial, visit, added: state.added },
    ),
    on(InspectionEvents.visitFoundOnDevice, (state, { file, waiting, draft, step }) => {
      const mine = {
        ...state,
        ownStep: state.ownStep ?? step,
        waiting: waitingEntries.setAll([...waiting], state.waiting),
      };
      const next = file && !state.file ? withFile(mine, file) : mine;
      return draft ? { ...next, address: draft.address, entry: draft.entry } : next;
    }),
    on(InspectionEvents.visitFileLoaded, (state, { file }) =>
      file.visit.id === state.visit ? withFile(state, file) : state,
    ),
    on(InspectionEvents.visitFileFailed, (state, { visit, fault }) =>
      visit === state.visit && !state.file ? { ...state, fault } : state,
    ),
    on(InspectionEvents.visitJoined, (state, { from, to }) =>
      state.visit === from && state.file
        ? { ...state, visit: to, file: { ...state.file, visit: { ...state.file.visit, id: to } } }
        : state,
    ),
    on(InspectionEvents.entryMade, (state, { entry }) =>
      state.visit
        ? {
            ...state,
            waiting: waitingEntries.addOne({ id: entry.id, visit: state.visit, entry, problem: null }, state.waiting),
            before: entry.body.kind === 'frame-side-recorded' ? [] : state.before,
            after: entry.body.kind === 'frame-side-recorded' ? [] : state.after,
            ownStep: stepAfter(state, entry),
          }
        : state,
    ),
    on(InspectionEvents.entryAdded, (state, { entry }) => ({
      ...state,
      added: { id: entry.id, fate: 'waits' as const },
    })),
    on(InspectionEvents.entriesKept, (before, { entries }) => {
      const state = settled(before, entries, 'kept');
      const ours = entries.filter((entry) => state.waiting.entities[entry.id]);
      return state.file
        ? {
            ...state,
            waiting: waitingEntries.removeMany(
              ours.map((entry) => entry.id),
              state.waiting,
            ),
            file: { ...state.file, entries: [...state.file.entries, ...(ours as VisitFile['entries'])] },
          }
        : state;
    }),
    on(InspectionEvents.entriesHeard, (state, { visit, entries, heard }) => {
      if (state.visit !== visit || !state.file) return state;
      if (entries.length === 0 && state.file.heard === heard) return state;
      // The server's order is everybody's order: own entries take the place that they have there.
      const told = new Set(entries.map(({ id }) => id));
      return {
        ...state,
        waiting: waitingEntries.removeMany([...told], state.waiting),
        file: {
          ...state.file,
          heard,
          entries: [...state.file.entries.filter(({ id }) => !told.has(id)), ...(entries as VisitFile['entries'])],
        },
      };
    }),
    on(InspectionEvents.entriesRefused, (state, { entries }) => ({
      ...settled(state, entries, 'refused'),
      waiting: waitingEntries.setMany(
        entries.filter((each) => each.visit === state.visit),
        state.waiting,
      ),
    })),
    on(InspectionEvents.refusedEntrySettled, (state, { id }) => ({
      ...state,
      waiting: waitingEntries.removeOne(id, state.waiting),
    })),
    on(InspectionEvents.sendingFailed, (state, { fault }) => ({ ...state, sendingFault: fault })),
    on(InspectionEvents.everythingSent, (state) => (state.sendingFault ? { ...state, sendingFault: null } : state)),
    on(InspectionEvents.sideChosen, (state, { address }) => ({
      ...state,
      address,
      entry: BLANK,
      before: [],
      after: [],
      reader: null,
    })),
    on(InspectionEvents.readerChosen, (state, { person }) => ({
      ...state,
      reader: person,
      entry: BLANK,
      before: [],
      after: [],
    })),
    on(InspectionEvents.sideChanged, (state, { entry }) => ({
      ...state,
      entry,
      after: entry.side === state.entry.side ? state.after : [],
      before:
        entry.side === state.entry.side
          ? state.before
          : [...state.before, state.before.length === 0 ? BLANK : { side: state.entry.side, pending: '' }],
    })),
    on(InspectionEvents.sideChangeUndone, (state) => ({
      ...state,
      entry: state.before.at(-1) ?? state.entry,
      before: state.before.slice(0, -1),
      after: [...state.after, { side: state.entry.side, pending: '' }],
    })),
    on(InspectionEvents.sideChangeRedone, (state) => ({
      ...state,
      entry: state.after.at(-1) ?? state.entry,
      before: [...state.before, state.before.length === 0 ? BLANK : { side: state.entry.side, pending: '' }],
      after: state.after.slice(0, -1),
    })),
  ),
  extraSelectors: visitSelectors,
});
