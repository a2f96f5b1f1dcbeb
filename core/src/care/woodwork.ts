import { type BoxLayer, type Stack, supers } from '../equipment';
import {
  type CheckId,
  type DefectId,
  type FrameSides,
  type HiveRead,
  type RepairBy,
  type StrayCause,
  type StrayContent,
  type StrayPlace,
  broodFrames,
  foundationMoves,
} from '../inspection';

/** An old or broken comb of the nest. */
export interface WornComb {
  readonly frame: number;
  readonly broken: boolean;
  readonly brood: boolean;
  /** Frames of honey and nectar on it, 0 to 1. */
  readonly food: number;
  /** It stands at a wall or next to the frame there. */
  readonly atEdge: boolean;
}

/** What a look says of comb where none should be, of worn comb, and of the parts. */
export interface WoodworkSeen {
  readonly strays: readonly {
    readonly place: StrayPlace;
    readonly content: StrayContent;
    readonly cause: StrayCause;
    readonly removed: boolean;
  }[];
  /** The widest gap that was measured. */
  readonly gap: { readonly between: string; readonly mm: number } | null;
  /** Faults of parts, with what was done for now and by when somebody wants it mended. */
  readonly defects: readonly {
    readonly part: string;
    readonly defect: DefectId;
    readonly forNow: string;
    readonly until: RepairBy;
  }[];
  /** Checks that were answered with no. */
  readonly failed: readonly CheckId[];
  readonly worn: readonly WornComb[];
  /** Frames with comb built out past its neighbours, and with brace comb. */
  readonly wide: readonly number[];
  readonly braced: readonly number[];
  /** Bare frames that could go beside the outermost brood now, and those that stand between brood frames. */
  readonly bareOutside: readonly { readonly frame: number; readonly beside: number }[];
  readonly bareBetween: readonly number[];
  /** Bare frames in the box that was read. */
  readonly bare: number;
  readonly excluderOn: boolean;
  /** A super stands above the excluder. */
  readonly foodAboveExcluder: boolean;
  readonly emptyRim: boolean;
}

/** Nothing seen of comb and woodwork. */
export const NO_WOODWORK: WoodworkSeen = {
  strays: [],
  gap: null,
  defects: [],
  failed: [],
  worn: [],
  wide: [],
  braced: [],
  bareOutside: [],
  bareBetween: [],
  bare: 0,
  excluderOn: false,
  foodAboveExcluder: false,
  emptyRim: false,
};

/** A side is bare from so many eighths of foundation on. */
const BARE = 7;
/** Frames counted from each wall that are the edge. */
const EDGE = 2;

const sidesOf = ({ low, high }: FrameSides) => [low, high].filter((side) => side !== null);

/**
 * What a look says of comb and woodwork.
 *
 * @param read the hive as the visit read and left it
 * @returns what was seen; nothing counts as seen that nobody noted
 */
export function woodworkOf({ record, stack, box, frames, nest }: HiveRead): WoodworkSeen {
  const numbers = (test: (frame: FrameSides) => boolean) =>
    frames.flatMap((frame, index) => (sidesOf(frame).length > 0 && test(frame) ? [index + 1] : []));
  const marked = (mark: 'wide-comb' | 'brace-comb') =>
    numbers((frame) => sidesOf(frame).some(({ marks }) => marks?.includes(mark)));
  const brood = broodFrames(frames);
  const bare = numbers((frame) => sidesOf(frame).every(({ eighths }) => (eighths.F ?? 0) >= BARE));
  const gaps = record.measures.flatMap(({ measure }) => (measure.what === 'gap' ? [measure] : []));
  return {
    strays: record.strayCombs,
    gap: gaps.toSorted((a, b) => b.mm - a.mm)[0] ?? null,
    defects: record.defects,
    failed: record.checks.filter(({ ok }) => !ok).map(({ check }) => check),
    worn: wornCombs(box, frames, brood),
    wide: marked('wide-comb'),
    braced: marked('brace-comb'),
    bareOutside: foundationMoves(frames, nest.framesOfBees?.value ?? null).flatMap(({ frame, beside, when }) =>
      when === 'now' && beside !== null ? [{ frame, beside }] : [],
    ),
    bareBetween: bare.filter((frame) => brood.some((each) => each < frame) && brood.some((each) => each > frame)),
    bare: bare.length,
    ...partsOf(stack),
  };
}

function wornCombs(box: BoxLayer, frames: readonly FrameSides[], brood: readonly number[]): readonly WornComb[] {
  return frames.flatMap((frame, index): WornComb[] => {
    const sides = sidesOf(frame);
    const marks = new Set(sides.flatMap((side) => side.marks ?? []));
    if (!marks.has('old-comb') && !marks.has('broken-comb')) return [];
    const food = sides.reduce((sum, { eighths }) => sum + (eighths.H ?? 0) + (eighths.N ?? 0), 0) / 16;
    return [
      {
        frame: index + 1,
        broken: marks.has('broken-comb'),
        brood: brood.includes(index + 1),
        food,
        atEdge: index < EDGE || index >= box.frames - EDGE,
      },
    ];
  });
}

function partsOf(stack: Stack): Pick<WoodworkSeen, 'excluderOn' | 'foodAboveExcluder' | 'emptyRim'> {
  const at = stack.findIndex(({ kind }) => kind === 'excluder');
  return {
    excluderOn: at >= 0,
    foodAboveExcluder: at >= 0 && supers(stack).some((box) => stack.indexOf(box) > at),
    emptyRim: stack.some(({ kind }) => kind === 'spacer'),
  };
}
