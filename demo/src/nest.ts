import {
  type FrameSide,
  type FrameSides,
  type Letter,
  EMPTY_SIDE,
  eighthsLeft,
  setEighths,
} from '@brave-comb/core/inspection';

/** What a nest looks like, in the words of somebody who describes one. */
export interface NestShape {
  readonly frames: number;
  /** First and last frame with brood. */
  readonly brood: readonly [number, number];
  /** How much of a middle side is brood, eighths. */
  readonly middle: number;
  /** Shares of eggs, larvae and sealed brood. */
  readonly stages: readonly [number, number, number];
  /** Eighths of drone brood on one middle frame. */
  readonly drone?: number;
  /** Eighths of honey on a side beside the nest, and over brood. */
  readonly honey: readonly [number, number];
  readonly nectar?: number;
  /** Frames from this one on are bare foundation. */
  readonly bareFrom?: number;
  /** Eighths covered by bees on a middle side. */
  readonly bees: number;
  readonly queenOn?: number;
  /** Queen cells or cups by frame. */
  readonly cells?: Readonly<Record<number, number>>;
  readonly doubtfulOn?: number;
}

/** Lays a nest out over its frames: an oval of brood, pollen around it, food above and outside. */
export function nest(shape: NestShape): readonly FrameSides[] {
  return Array.from({ length: shape.frames }, (_, index) => ({
    low: layOut(shape, index + 1, 'low'),
    high: layOut(shape, index + 1, 'high'),
  }));
}

function layOut(shape: NestShape, frame: number, face: 'low' | 'high'): FrameSide {
  const [first, last] = shape.brood;
  const centre = (first + last) / 2;
  const reach = (last - first + 1) / 2;
  const away = Math.abs(frame + (face === 'low' ? -0.25 : 0.25) - centre) / (reach + 0.35);
  const put = (side: FrameSide, letter: Letter, eighths: number) =>
    setEighths(side, letter, Math.max(0, Math.min(eighthsLeft(side), Math.round(eighths))));
  let side: FrameSide = { ...EMPTY_SIDE, bees: bees(shape, away) };
  if (shape.bareFrom !== undefined && frame >= shape.bareFrom)
    return { ...put(side, 'F', 8), bees: Math.min(1, side.bees ?? 0) };
  if (away < 1) {
    const brood = Math.max(1, Math.round(shape.middle * (1 - away ** 2.2)));
    const [eggs, larvae] = shape.stages;
    const young = away > 0.6 ? 1.8 : 1;
    const e = Math.round(brood * eggs * young);
    const l = Math.round(brood * larvae * young);
    side = put(side, 'E', e);
    side = put(side, 'L', l);
    side = put(side, 'S', brood - e - l);
    if (shape.drone && frame === Math.round(centre) + 1) side = put(side, 'D', shape.drone);
    side = put(side, 'P', away > 0.55 ? 2 : 1);
    side = put(side, 'H', shape.honey[1]);
    side = put(side, 'N', shape.nectar ?? 0);
  } else {
    side = put(side, 'P', away < 1.4 ? 2 : 0);
    side = put(side, 'H', shape.honey[0]);
    side = put(side, 'N', (shape.nectar ?? 0) + (away < 1.6 ? 1 : 0));
  }
  side = put(side, 'C', 8);
  return {
    ...side,
    queen: shape.queenOn === frame && face === 'high',
    cells: face === 'low' ? (shape.cells?.[frame] ?? 0) : 0,
    doubtful: shape.doubtfulOn === frame && face === 'low',
  };
}

const bees = (shape: NestShape, away: number): number =>
  Math.max(0, Math.min(8, Math.round(shape.bees * Math.max(0, 1.15 - away * 0.42))));
