import type { VisitFile } from '@brave-comb/contract';
import { frameOf, isBox, nestBoxes, stackAfter } from '@brave-comb/core/equipment';
import { isDefensive } from '@brave-comb/core/skills';
import {
  type Comb,
  EMPTY_SIDE,
  type FrameSide,
  type GuardFacts,
  type SideAddress,
  type SideEntry,
  type StepId,
  type VisitEntry,
  BROOD,
  arranged,
  changesOf,
  closingTasks,
  eggsWouldShow,
  estimateColony,
  framesOf,
  liftingOrder,
  nestAhead,
  openingScript,
  queenSigns,
  queenStatus,
  recordOf,
  seenEnough,
  shows,
  sideKey,
  toward,
  sumsOf,
  withUnread,
} from '@brave-comb/core/inspection';
import { type EntityState, createEntityAdapter } from '@ngrx/entity';
import { createFeature, createReducer, createSelector, on } from '@ngrx/store';
import { InspectionEvents } from './inspection.events';
import { DAY } from '@brave-comb/core/units';
import type { CallFault } from '../api/contract-client';
import { civilDate } from '../ui/format';
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

const adapter = createEntityAdapter<WaitingEntry>({ sortComparer: (a, b) => a.id.localeCompare(b.id) });
const BLANK: SideEntry = { side: EMPTY_SIDE, pending: '' };
const initial: InspectionState = {
  visit: null,
  file: null,
  fault: null,
  waiting: adapter.getInitialState(),
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
    waiting: adapter.removeMany(known, state.waiting),
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
  const waiting = adapter
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
      const mine = { ...state, ownStep: state.ownStep ?? step, waiting: adapter.setAll([...waiting], state.waiting) };
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
            waiting: adapter.addOne({ id: entry.id, visit: state.visit, entry, problem: null }, state.waiting),
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
            waiting: adapter.removeMany(
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
        waiting: adapter.removeMany([...told], state.waiting),
        file: {
          ...state.file,
          heard,
          entries: [...state.file.entries.filter(({ id }) => !told.has(id)), ...(entries as VisitFile['entries'])],
        },
      };
    }),
    on(InspectionEvents.entriesRefused, (state, { entries }) => ({
      ...settled(state, entries, 'refused'),
      waiting: adapter.setMany(
        entries.filter((each) => each.visit === state.visit),
        state.waiting,
      ),
    })),
    on(InspectionEvents.refusedEntrySettled, (state, { id }) => ({
      ...state,
      waiting: adapter.removeOne(id, state.waiting),
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
  extraSelectors: ({ selectFile, selectWaiting, selectAddress, selectEntry, selectReader, selectOwnStep }) => {
    const selectAllWaiting = createSelector(selectWaiting, adapter.getSelectors().selectAll);
    const selectRefused = createSelector(selectAllWaiting, (all) => all.filter((each) => each.problem !== null));
    const selectUnsent = createSelector(selectAllWaiting, (all) => all.filter((each) => each.problem === null));
    const selectRecord = createSelector(selectFile, selectUnsent, (file, unsent) =>
      recordOf([...((file?.entries ?? []) as readonly VisitEntry[]), ...unsent.map((each) => each.entry)]),
    );
    /** The hive as it stands, with what was changed during the visit. */
    const selectStack = createSelector(selectFile, selectRecord, (file, record) =>
      stackAfter(file?.stack ?? [], changesOf(record)),
    );
    /** The entry that undo takes back. */
    const selectLastUndoable = createSelector(selectFile, selectUnsent, selectRecord, (file, unsent, record) => {
      const id = record.undoable.at(-1);
      const own = unsent.find(({ entry }) => entry.id === id)?.entry;
      return own ?? file?.entries.find((entry) => entry.id === id) ?? null;
    });
    /** The box that is worked in; before anybody chose one, the box that the visit is for. */
    const selectBox = createSelector(selectFile, selectStack, selectAddress, (file, stack, address) => {
      const boxes = stack.filter(isBox);
      return boxes.find(({ id }) => id === (address?.box ?? file?.box.id)) ?? null;
    });
    /** The box of the nest that the visit's questions are asked of. */
    const selectNestBox = createSelector(selectFile, selectStack, selectBox, (file, stack, box) => {
      const nest = file ? nestBoxes(stack) : [];
      return nest.find(({ id }) => id === box?.id) ?? nest.find(({ id }) => id === file?.box.id) ?? nest[0] ?? null;
    });
    const selectDepth = createSelector(
      selectFile,
      selectRecord,
      (file, record) => record.depth ?? file?.depth.allowed ?? 'full',
    );
    const selectFound = createSelector(selectFile, (file): Readonly<Record<string, readonly Comb[]>> =>
      Object.fromEntries(file?.combs.map(({ box, combs }) => [box, combs]) ?? []),
    );
    const selectArrangement = createSelector(selectFound, selectRecord, (found, record) =>
      arranged(found, record.moves),
    );
    const selectGuardFacts = createSelector(
      selectFile,
      selectStack,
      selectRecord,
      selectFound,
      (file, stack, record, found): GuardFacts => ({
        stack,
        record,
        found,
        lock: file?.lock ?? null,
        suspicion: file?.suspicion ?? null,
        ordered: file?.ordered ?? null,
        late: file?.late ?? false,
        depth: file?.depth ?? { allowed: 'full', why: '' },
        robbingSeason: file?.robbingSeason ?? false,
        // A colony that turns lively while it is open is a lively one.
        barred: isDefensive(file?.temper ?? null, record.mood)
          ? Object.fromEntries(file?.trainees.map(({ id, barred }) => [id, barred]) ?? [])
          : {},
        others: Object.fromEntries(file?.neighbours.map((hive) => [hive.id, hive.stack]) ?? []),
        foodAbove: stack.some(({ kind }) => kind === 'feeder'),
        frames: Object.fromEntries(stack.filter(isBox).map(({ id, frames }) => [id, frames])),
      }),
    );
    const selectClosing = createSelector(selectStack, selectRecord, selectFound, (stack, record, found) =>
      stack.length > 0 ? closingTasks(stack, record, found) : [],
    );
    /** Where this device stands in the visit: its own step, else the one that somebody reached last. */
    const selectStep = createSelector(selectOwnStep, selectRecord, (own, record) => own ?? record.step);
    const selectFrames = createSelector(selectRecord, selectBox, (record, box) =>
      box ? framesOf(Object.values(record.sides), box.id, box.frames) : [],
    );
    const selectLastFrames = createSelector(selectFile, selectBox, (file, box) =>
      box && file?.last
        ? framesOf(file.last.sides as { address: SideAddress; side: FrameSide }[], box.id, box.frames)
        : null,
    );
    const selectSteps = createSelector(selectFile, selectStack, selectNestBox, selectDepth, (file, stack, box, depth) =>
      file && box ? openingScript(file.hiveType, stack, box.id, depth) : [],
    );
    /** What the nest adds up to, with what is assumed of sides that nobody looked at. */
    const selectEstimate = createSelector(selectStack, selectRecord, (stack, record) =>
      stack.length > 0
        ? estimateColony(
            nestBoxes(stack).flatMap((layer) =>
              withUnread({
                layer,
                frames: framesOf(Object.values(record.sides), layer.id, layer.frames),
                summary: record.summaries[layer.id],
              }),
            ),
          )
        : null,
    );
    /** What the sides read so far hold, without anything assumed. */
    const selectCounted = createSelector(selectStack, selectRecord, (stack, record) =>
      estimateColony(
        stack.length === 0
          ? []
          : nestBoxes(stack).flatMap((layer) =>
              Object.values(record.sides)
                .filter(({ address }) => address.box === layer.id)
                .map(({ side }) => ({ frame: frameOf(layer), side })),
            ),
      ),
    );
    const selectSeen = createSelector(selectFile, selectRecord, selectNestBox, (file, record, box) => {
      if (!file || !box) return null;
      const readings = Object.values(record.sides).map((each) => Date.parse(each.at));
      const minutes = readings.length > 3 ? (Math.max(...readings) - Math.min(...readings)) / 60_000 : null;
      return seenEnough(record, file.visit.questions, {
        box: box.id,
        frames: box.frames,
        kind: frameOf(box),
        minutesOpen: minutes,
        late: file.late,
      });
    });
    const selectQueenStatus = createSelector(selectFile, selectRecord, selectSeen, (file, record, seen) =>
      file
        ? queenStatus({
            date: civilDate(Date.parse(file.visit.startedAt), file.visit.zone),
            sides: Object.values(record.sides).map(({ side }) => side),
            eggsLookedFor: eggsWouldShow(record) && (seen?.framesToGo ?? 1) === 0,
            ...queenSigns(record),
          })
        : null,
    );
    /** What the visit adds up to beyond brood and bees. */
    const selectSums = createSelector(
      selectFile,
      selectStack,
      selectRecord,
      selectEstimate,
      (file, stack, record, nest) =>
        file && nest
          ? sumsOf({
              stack,
              record,
              nest,
              last: file.last && {
                days: (Date.parse(file.visit.startedAt) - Date.parse(file.last.at)) / DAY,
                sides: file.last.sides,
                look: file.last.look,
              },
              expectedBees: file.expected?.bees ?? null,
            })
          : [],
    );
    /** Frames on which brood should lie, before any is lifted. */
    const selectNestAhead = createSelector(selectFile, selectNestBox, selectRecord, (file, box, record) => {
      if (!box) return null;
      const brood = (file?.last?.sides ?? [])
        .filter(({ address, side }) => address.box === box.id && BROOD.some((letter) => shows(side, letter)))
        .map(({ address }) => address.frame);
      return nestAhead(brood, record.seams[box.id] ?? null, box.frames, 0);
    });
    /** The reading in force of the side being entered, and the same side last time. */
    const selectReading = createSelector(selectAddress, selectRecord, (address, record) =>
      address ? (record.sides[sideKey(address)] ?? null) : null,
    );
    const selectLastSide = createSelector(selectAddress, selectLastFrames, (address, frames) =>
      address && frames ? (frames[address.frame - 1]?.[address.face] ?? null) : null,
    );
    const selectOtherSide = createSelector(selectAddress, selectFrames, (address, frames) =>
      address ? (frames[address.frame - 1]?.[address.face === 'low' ? 'high' : 'low'] ?? null) : null,
    );
    /** The side across the same seam, on the comb beside this one. */
    const selectFacingSide = createSelector(selectAddress, selectFrames, (address, frames) =>
      address ? (frames[toward(address) - 1]?.[address.face === 'low' ? 'high' : 'low'] ?? null) : null,
    );
    const selectShown = createSelector(selectEntry, selectReading, selectReader, (entry, reading, reader) =>
      entry === BLANK && reading && reader === null ? { side: reading.side, pending: '' } : entry,
    );
    return {
      selectAllWaiting,
      selectRefused,
      selectUnsent,
      selectRecord,
      selectStack,
      selectLastUndoable,
      selectSums,
      selectNestAhead,
      selectBox,
      selectNestBox,
      selectDepth,
      selectFound,
      selectArrangement,
      selectGuardFacts,
      selectClosing,
      selectStep,
      selectCounted,
      selectQueenStatus,
      selectFrames,
      selectLastFrames,
      selectSteps,
      selectEstimate,
      selectSeen,
      selectReading,
      selectLastSide,
      selectOtherSide,
      selectFacingSide,
      selectShown,
    };
  },
});
