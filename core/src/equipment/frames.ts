import { roundTo } from '../units';

/** A kind of frame (or bar) that a comb hangs in. */
export interface FrameKind {
  readonly id: string;
  /** Width of the comb inside the frame, mm; of a trapezoid comb, its top edge. */
  readonly width: number;
  /** Width of the comb's lower edge, mm. The same as `width` but for bars without side bars. */
  readonly foot: number;
  /** Height of the comb inside the frame, mm. */
  readonly height: number;
  /** Where the measures come from. */
  readonly source: string;
}

const kind = (id: string, width: number, height: number, source: string, foot = width): FrameKind => ({
  id,
  width,
  foot,
  height,
  source,
});

const makers = "inner size of the makers' catalogues, which differ by a few mm";

const outer = 'outer size 406 × 254 (deep) and 406 × 152 mm (shallow) of the makers less 25 mm of wood';

/** Frames that the product knows, by id. Inner measures: comb, not wood. */
export const FRAMES = {
  'langstroth-deep': kind('langstroth-deep', 428, 205, makers),
  'langstroth-medium': kind('langstroth-medium', 428, 132, makers),
  'langstroth-shallow': kind('langstroth-shallow', 428, 110, makers),
  'national-deep': kind('national-deep', 340, 200, makers),
  'national-shallow': kind('national-shallow', 340, 124, makers),
  'national-14x12': kind('national-14x12', 340, 289, makers),
  'dadant-brood': kind('dadant-brood', 420, 270, makers),
  'dadant-super': kind('dadant-super', 420, 130, makers),
  zander: kind('zander', 400, 200, makers),
  'zander-shallow': kind('zander-shallow', 400, 139, makers),
  'commercial-deep': kind('commercial-deep', 381, 229, outer),
  'commercial-shallow': kind('commercial-shallow', 381, 127, outer),
  'smith-deep': kind('smith-deep', 337, 200, 'comb as in the National, short lugs'),
  'smith-shallow': kind('smith-shallow', 337, 124, 'comb as in the National, short lugs'),
  rose: kind('rose', 340, 174, 'one box of 190 mm for brood and honey, from memory'),
  warre: kind('warre', 300, 200, 'common plans: box 300 × 300 × 210 mm inside'),
  normal: kind('normal', 350, 203, makers),
  'normal-half': kind('normal-half', 350, 95, makers),
  'swiss-brood': kind('swiss-brood', 266, 345, 'frame 286 × 361 mm outside, from memory'),
  'swiss-super': kind('swiss-super', 266, 165, 'frame 286 × 180 mm outside, from memory'),
  layens: kind('layens', 300, 350, 'common plans, from memory; measure your own'),
  'top-bar': kind('top-bar', 400, 250, 'common plans, from memory; measure your own', 220),
  'long-deep': kind('long-deep', 428, 205, makers),
} as const satisfies Record<string, FrameKind>;

export type FrameKindId = keyof typeof FRAMES;

/**
 * How a frame hangs in a box made for another kind.
 *
 * @param frame kind of the frame
 * @param box kind that the box is made for
 * @returns 'fits', 'hangs-short' when bees will build wild comb into the room below it, or 'does-not-fit'
 * @example frameFits('national-deep', 'national-14x12') // 'hangs-short'
 */
export function frameFits(frame: FrameKindId, box: FrameKindId): 'fits' | 'hangs-short' | 'does-not-fit' {
  const [hung, made] = [FRAMES[frame], FRAMES[box]];
  if (hung.width !== made.width || hung.foot !== made.foot || hung.height > made.height) return 'does-not-fit';
  return hung.height === made.height ? 'fits' : 'hangs-short';
}

/**
 * Area of one side of a fully drawn comb.
 *
 * @param id frame kind
 * @returns dm², inner width (mean of top and foot) × height
 * @example combArea('langstroth-deep') // 8.77
 */
export function combArea(id: FrameKindId): number {
  const { width, foot, height } = FRAMES[id];
  return roundTo((((width + foot) / 2) * height) / 10_000, 2);
}

/** Bars carry a free-hanging comb without a frame around it. */
const BARS: ReadonlySet<FrameKindId> = new Set(['top-bar', 'warre']);

export type CombCarrier = 'bar' | 'frame';

/** What a comb hangs from. */
export const combCarrier = (kind: FrameKindId): CombCarrier => (BARS.has(kind) ? 'bar' : 'frame');
