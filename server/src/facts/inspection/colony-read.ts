import { type BoxLayer, type Stack, isBox, nestBoxes, stackAfter, supers } from '@brave-comb/core/equipment';
import {
  type ColonyEstimate,
  type FrameSides,
  type VisitRecord,
  estimateColony,
  framesOf,
  changesOf,
  recordOf,
  withUnread,
} from '@brave-comb/core/inspection';
import type { Db } from '../../database/db';
import { perDatabase } from '../../database/per-database';
import { entriesOf, lastSeqs, type VisitRow } from '../../records/inspection';

/** A colony as one visit read it. */
export interface ColonyRead {
  readonly visit: VisitRow;
  readonly record: VisitRecord;
  /** The hive as the visit left it. */
  readonly stack: Stack;
  readonly box: BoxLayer;
  /** Frames of the box that was read. */
  readonly frames: readonly FrameSides[];
  /** What the boxes of the nest add up to. */
  readonly nest: ColonyEstimate;
  /** Share of the lowest super that holds honey or nectar, `null` when it was not read. */
  readonly superFill: number | null;
}

/** Boxes are looked up by id; a visit's own stack always has its box. */
export function boxOf(stack: Stack, id: string): BoxLayer {
  return stack.filter(isBox).find((layer) => layer.id === id) ?? nestBoxes(stack)[0]!;
}

/** The box of the nest of which most sides were read: of two brood boxes often only the upper one. */
function boxRead(
  stack: Stack,
  usual: string,
  readings: readonly { readonly address: { readonly box: string } }[],
): BoxLayer {
  const sides = ({ id }: BoxLayer) => readings.filter(({ address }) => address.box === id).length;
  const first = boxOf(stack, usual);
  return nestBoxes(stack).reduce((most, layer) => (sides(layer) > sides(most) ? layer : most), first);
}

/** Visits summed up before, as of their latest entry. Another process that adds one makes this one read again. */
const summedUp = perDatabase(() => new Map<string, { readonly seq: number; readonly read: ColonyRead }>());
const KEPT = 1000;

/** Sums visits up from their entries, in the order given. */
export async function readColonies(db: Db, visits: readonly VisitRow[]): Promise<readonly ColonyRead[]> {
  if (visits.length === 0) return [];
  const seqs = await lastSeqs(
    db,
    visits.map(({ id }) => id),
  );
  const kept = summedUp(db);
  return Promise.all(
    visits.map(async (visit) => {
      const seq = seqs.get(visit.id) ?? 0;
      const known = kept.get(visit.id);
      if (known?.seq === seq) return { ...known.read, visit };
      const read = await sumUp(db, visit);
      if (kept.size >= KEPT) kept.delete(kept.keys().next().value!);
      kept.set(visit.id, { seq, read });
      return read;
    }),
  );
}

/** Sums a visit up from its entries. */
export async function readColony(db: Db, visit: VisitRow): Promise<ColonyRead> {
  const [read] = await readColonies(db, [visit]);
  return read!;
}

async function sumUp(db: Db, visit: VisitRow): Promise<ColonyRead> {
  const record = recordOf(await entriesOf(db, visit.id));
  const readings = Object.values(record.sides);
  const stack = stackAfter(visit.stack, changesOf(record));
  const box = boxRead(stack, visit.box, readings);
  const nest = estimateColony(
    nestBoxes(stack).flatMap((layer) =>
      withUnread({
        layer,
        frames: framesOf(readings, layer.id, layer.frames),
        summary: record.summaries[layer.id],
      }),
    ),
  );
  return {
    visit,
    record,
    stack,
    box,
    frames: framesOf(readings, box.id, box.frames),
    nest,
    superFill: superFillOf(stack, record),
  };
}

function superFillOf(stack: Stack, record: VisitRecord): number | null {
  const [lowest] = supers(stack);
  if (!lowest) return null;
  const read = Object.values(record.sides).filter(({ address }) => address.box === lowest.id);
  if (read.length === 0) return null;
  const filled = read.reduce((sum, { side }) => sum + (side.eighths.H ?? 0) + (side.eighths.N ?? 0), 0);
  return filled / (read.length * 8);
}
