import { type BoxLayer, type Stack, boxOf, nestBoxes, stackAfter, supers } from '../../equipment';
import { type VisitRecord, changesOf } from '../entries/record';
import { type ColonyEstimate, estimateColony } from '../side/estimates';
import type { FrameSide } from '../side/frame-side';
import { framesOf } from '../side/frames-of';
import type { FrameSides } from '../words/frame-change';
import { fillOfWeight, weighedKg } from '../side/sums';
import { withUnread } from './unread';

/** A hive as one visit read it. */
export interface HiveRead {
  readonly record: VisitRecord;
  /** The hive as the visit left it. */
  readonly stack: Stack;
  readonly box: BoxLayer;
  /** Frames of the box that was read. */
  readonly frames: readonly FrameSides[];
  /** All sides of the nest that were read, whatever their box. */
  readonly nestSides: readonly FrameSide[];
  /** Frames in the boxes of the nest. */
  readonly nestFrames: number;
  /** What the boxes of the nest add up to. */
  readonly nest: ColonyEstimate;
  /** Share of the lowest super that holds honey or nectar, 0 to 1, by its sides, else by its weight; `null` when nobody looked. */
  readonly superFill: number | null;
  /** The same of all supers together; `null` when one of them was not read, or there is none. */
  readonly supersFill: number | null;
}

/**
 * Sums a visit up.
 *
 * @param record the visit as its entries tell it
 * @param before the hive as the visit found it, from the floor upward
 * @param usual id of the box that is read by default: it stands where no box was read more than another
 * @returns the hive as the visit read and left it
 * @throws RangeError when the hive has no box
 */
export function readHive(record: VisitRecord, before: Stack, usual: string): HiveRead {
  const readings = Object.values(record.sides);
  const stack = stackAfter(before, changesOf(record));
  const box = boxRead(stack, usual, readings);
  const nest = estimateColony(
    nestBoxes(stack).flatMap((layer) =>
      withUnread({
        layer,
        frames: framesOf(readings, layer.id, layer.frames),
        summary: record.summaries[layer.id],
      }),
    ),
  );
  const frames = framesOf(readings, box.id, box.frames);
  const boxes = nestBoxes(stack);
  const nestSides = readings
    .filter(({ address }) => boxes.some(({ id }) => id === address.box))
    .map(({ side }) => side);
  const nestFrames = boxes.reduce((sum, each) => sum + each.frames, 0);
  return { record, stack, box, frames, nestSides, nestFrames, nest, ...fillsOf(stack, record) };
}

/** The box of the nest of which most sides were read: of two brood boxes often only the upper one. */
function boxRead(
  stack: Stack,
  usual: string,
  readings: readonly { readonly address: { readonly box: string } }[],
): BoxLayer {
  const sides = ({ id }: BoxLayer) => readings.filter(({ address }) => address.box === id).length;
  return nestBoxes(stack).reduce((most, layer) => (sides(layer) > sides(most) ? layer : most), boxOf(stack, usual));
}

/** How full a box is by its weight, 0 to 1; `null` when nobody weighed it. */
function fillWeighed(box: BoxLayer, record: VisitRecord): number | null {
  const kg = weighedKg(record, box.id);
  return kg === null ? null : fillOfWeight(box, kg);
}

function fillsOf(stack: Stack, record: VisitRecord): Pick<HiveRead, 'superFill' | 'supersFill'> {
  const fills = supers(stack).map((box) => {
    const read = Object.values(record.sides).filter(({ address }) => address.box === box.id);
    const filled = read.reduce((sum, { side }) => sum + (side.eighths.H ?? 0) + (side.eighths.N ?? 0), 0);
    return read.length === 0 ? fillWeighed(box, record) : filled / (read.length * 8);
  });
  const known = fills.filter((fill) => fill !== null);
  const all = known.length > 0 && known.length === fills.length;
  return {
    superFill: fills[0] ?? null,
    supersFill: all ? known.reduce((sum, fill) => sum + fill, 0) / known.length : null,
  };
}
