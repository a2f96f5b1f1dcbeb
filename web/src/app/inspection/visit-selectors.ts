import type { VisitFile } from '@brave-comb/contract';
import { frameOf, isBox, nestBoxes, stackAfter } from '@brave-comb/core/equipment';
import { isDefensive } from '@brave-comb/core/skills';
import {
  type Comb,
  broodFrames,
  readingMinutes,
  EMPTY_SIDE,
  type FrameSide,
  type GuardFacts,
  type SideAddress,
  type SideEntry,
  type StepId,
  type VisitEntry,
  arranged,
  changesOf,
  closingTasks,
  eggsWouldShow,
  estimateColony,
  framesOf,
  nestAhead,
  openingScript,
  queenSigns,
  queenStatus,
  recordOf,
  seenEnough,
  sideKey,
  toward,
  sumsOf,
  withUnread,
} from '@brave-comb/core/inspection';
import { daysBetween } from '@brave-comb/core/units';
import { type EntityState, createEntityAdapter } from '@ngrx/entity';
import { type MemoizedSelector, createSelector } from '@ngrx/store';
import type { WaitingEntry } from '../device/device-store';
import { civilDate } from '../ui/format';

export const waitingEntries = createEntityAdapter<WaitingEntry>({ sortComparer: (a, b) => a.id.localeCompare(b.id) });
/** A side that nobody began. */
export const BLANK: SideEntry = { side: EMPTY_SIDE, pending: '' };

type Select<T> = MemoizedSelector<object, T>;

/** What the feature of the open visit holds. */
interface Held {
  readonly selectFile: Select<VisitFile | null>;
  readonly selectWaiting: Select<EntityState<WaitingEntry>>;
  readonly selectAddress: Select<SideAddress | null>;
  readonly selectEntry: Select<SideEntry>;
  readonly selectReader: Select<string | null>;
  readonly selectOwnStep: Select<StepId | null>;
}

/** The civil date of an instant where the hive stands. */
const dayIn = (at: string, { visit }: VisitFile): string => civilDate(Date.parse(at), visit.zone);

/** The visit as it stands: its record, the hive with what was changed, and where it goes. */
function hiveSelectors({ selectFile, selectWaiting, selectAddress, selectOwnStep }: Held) {
  const selectAllWaiting = createSelector(selectWaiting, waitingEntries.getSelectors().selectAll);
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
  const selectArrangement = createSelector(selectFound, selectRecord, (found, record) => arranged(found, record.moves));
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
  const selectSteps = createSelector(selectFile, selectStack, selectNestBox, selectDepth, (file, stack, box, depth) =>
    file && box ? openingScript(file.hiveType, stack, box.id, depth) : [],
  );
  return {
    selectAllWaiting,
    selectRefused,
    selectUnsent,
    selectRecord,
    selectStack,
    selectLastUndoable,
    selectBox,
    selectNestBox,
    selectDepth,
    selectFound,
    selectArrangement,
    selectGuardFacts,
    selectClosing,
    selectStep,
    selectSteps,
  };
}

type Hive = ReturnType<typeof hiveSelectors>;

/** The side being entered, beside last time and what lies next to it. */
function readingSelectors(
  { selectFile, selectAddress, selectEntry, selectReader }: Held,
  { selectRecord, selectBox, selectNestBox }: Hive,
) {
  const selectFrames = createSelector(selectRecord, selectBox, (record, box) =>
    box ? framesOf(Object.values(record.sides), box.id, box.frames) : [],
  );
  const selectLastFrames = createSelector(selectFile, selectBox, (file, box) =>
    box && file?.last
      ? framesOf(file.last.sides as { address: SideAddress; side: FrameSide }[], box.id, box.frames)
      : null,
  );
  /** Frames on which brood should lie, before any is lifted. */
  const selectNestAhead = createSelector(selectFile, selectNestBox, selectRecord, (file, box, record) => {
    if (!box) return null;
    const last = framesOf(file?.last?.sides ?? [], box.id, box.frames);
    return nestAhead(broodFrames(last), record.seams[box.id] ?? null, box.frames, 0);
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
    selectFrames,
    selectLastFrames,
    selectNestAhead,
    selectReading,
    selectLastSide,
    selectOtherSide,
    selectFacingSide,
    selectShown,
  };
}

/** What the visit adds up to. */
function sumSelectors({ selectFile }: Held, { selectRecord, selectStack, selectNestBox }: Hive) {
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
    return seenEnough(record, file.visit.questions, {
      box: box.id,
      frames: box.frames,
      kind: frameOf(box),
      minutesOpen: readingMinutes(record),
      late: file.late,
    });
  });
  const selectQueenStatus = createSelector(selectFile, selectRecord, selectSeen, (file, record, seen) =>
    file
      ? queenStatus({
          date: dayIn(file.visit.startedAt, file),
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
              days: daysBetween(dayIn(file.last.at, file), dayIn(file.visit.startedAt, file)),
              sides: file.last.sides,
              look: file.last.look,
            },
            expectedBees: file.expected?.bees ?? null,
          })
        : [],
  );
  return {
    selectEstimate,
    selectCounted,
    selectSeen,
    selectQueenStatus,
    selectSums,
  };
}

/** Everything that is told of the open visit, from what the feature holds. */
export function visitSelectors(held: Held) {
  const hive = hiveSelectors(held);
  return { ...hive, ...readingSelectors(held, hive), ...sumSelectors(held, hive) };
}
