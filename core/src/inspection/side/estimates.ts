import type { BroodCells } from '../../biology';
import { type FrameKindId, HONEY_KG_PER_DM2, NECTAR_KG_PER_DM2, combArea } from '../../equipment';
import { roundTo } from '../../units';
import type { Letter } from './contents';
import { EIGHTHS, type FrameSide } from './frame-side';

/** Worker cells on one dm² of one side of comb. Imdorf et al. 1987 (Liebefeld); COLOSS BEEBOOK, Delaplane et al. 2013. */
export const WORKER_CELLS_PER_DM2 = 400;
/** Drone cells on one dm², from cells 6.9 mm wide: 10 000 / (√3/2 · 6.9²). */
export const DRONE_CELLS_PER_DM2 = 243;
/** Bees on one dm² of fully covered comb. Liebefeld: 125 to 130, more in a cold cluster. */
export const BEES_PER_DM2 = 125;
/** How far one reader strays on one side, in eighths (standard deviation). Common practice: within one, two times out of three it is half. */
export const READING_SPREAD = 0.5;
/** What "only a few" counts for, in eighths. */
export const TRACE_EIGHTHS = 0.25;
/** Bees on a side that was read without counting them are taken from the counted sides, within two eighths. */
const UNCOUNTED_SPREAD = 2;
/** Part of the spread by which an unread side may hold what its neighbours do not. Common practice. */
const MAY_HOLD = 0.3;
/** Standard deviations on either side that hold 19 of 20 of a normal distribution. */
const IN_19_OF_20 = 1.96;

/** A reckoned figure with the range that holds it 19 times in 20. */
export interface Estimate {
  readonly value: number;
  readonly low: number;
  readonly high: number;
}

/** A side with the kind of frame it stands in. */
export interface SideOfKind {
  readonly frame: FrameKindId;
  readonly side: FrameSide;
  /** How far the side may stray, in eighths, when nobody looked at it and it is only assumed. */
  readonly spread?: number;
}

/** What the sides read so far add up to. Frames are full-frame equivalents: sixteen eighths are one. */
export interface ColonyEstimate {
  /** Whether anything was read, or summed up from above: else all figures are nought, and mean nothing. */
  readonly known: boolean;
  readonly sidesRead: number;
  /** `null` until bees were counted on at least one side. */
  readonly framesOfBees: Estimate | null;
  readonly bees: Estimate | null;
  readonly eggs: Estimate;
  readonly larvae: Estimate;
  readonly sealedWorker: Estimate;
  readonly sealedDrone: Estimate;
  /** All brood together, frames. */
  readonly brood: Estimate;
  readonly sealedWorkerCells: Estimate;
  readonly broodCells: Estimate;
  /** Worker cells by stage, to reckon from who emerges when. */
  readonly workerCells: BroodCells;
  readonly pollen: Estimate;
  /** Honey and nectar, kg. */
  readonly storesKg: Estimate;
  readonly honeyFrames: number;
  readonly nectarFrames: number;
  readonly emptyComb: Estimate;
  readonly foundation: Estimate;
}

/**
 * Adds up frame sides by the eighths method (Liebefeld; COLOSS BEEBOOK): eighths × comb area × cells, bees or kilograms a dm².
 *
 * @param sides the sides read, each with its kind of frame
 * @returns frames, cells, bees and kilograms with their ranges; all zero when nothing was read
 * @example estimateColony([{ frame: 'langstroth-deep', side: parseSide('8S') }]).sealedWorkerCells.value // 3508
 */
export function estimateColony(sides: readonly SideOfKind[]): ColonyEstimate {
  const frames = (letters: readonly Letter[]) => sumOf(sides, letters, () => 1 / (2 * EIGHTHS), 2);
  const byArea = (letters: readonly Letter[], perDm2: number, decimals: number) =>
    sumOf(sides, letters, (frame) => (combArea(frame) / EIGHTHS) * perDm2, decimals);
  const workerCells = byArea(['E', 'L', 'S'], WORKER_CELLS_PER_DM2, 0);
  const droneCells = byArea(['D'], DRONE_CELLS_PER_DM2, 0);
  return {
    known: sides.length > 0,
    sidesRead: sides.filter(({ spread }) => spread === undefined).length,
    framesOfBees: beesOn(sides, () => 1 / (2 * EIGHTHS), 2),
    bees: beesOn(sides, (frame) => (combArea(frame) / EIGHTHS) * BEES_PER_DM2, 0),
    eggs: frames(['E']),
    larvae: frames(['L']),
    sealedWorker: frames(['S']),
    sealedDrone: frames(['D']),
    brood: frames(['E', 'L', 'S', 'D']),
    sealedWorkerCells: byArea(['S'], WORKER_CELLS_PER_DM2, 0),
    broodCells: together(workerCells, droneCells, 0),
    workerCells: {
      eggs: byArea(['E'], WORKER_CELLS_PER_DM2, 0).value,
      larvae: byArea(['L'], WORKER_CELLS_PER_DM2, 0).value,
      sealed: byArea(['S'], WORKER_CELLS_PER_DM2, 0).value,
    },
    pollen: frames(['P']),
    storesKg: together(byArea(['H'], HONEY_KG_PER_DM2, 3), byArea(['N'], NECTAR_KG_PER_DM2, 3), 2),
    honeyFrames: frames(['H']).value,
    nectarFrames: frames(['N']).value,
    emptyComb: frames(['C']),
    foundation: frames(['F']),
  };
}

function sumOf(
  sides: readonly SideOfKind[],
  letters: readonly Letter[],
  worth: (frame: FrameKindId) => number,
  decimals: number,
): Estimate {
  let value = 0;
  let variance = 0;
  for (const { frame, side, spread: assumed } of sides) {
    const eighths = letters.reduce(
      (sum, letter) => sum + (side.eighths[letter] ?? (side.trace.includes(letter) ? TRACE_EIGHTHS : 0)),
      0,
    );
    value += eighths * worth(frame);
    const stray = assumed === undefined ? Math.min(READING_SPREAD, eighths) : assumed * (eighths > 0 ? 1 : MAY_HOLD);
    variance += (stray * worth(frame)) ** 2;
  }
  return spread(value, variance, decimals);
}

function beesOn(
  sides: readonly SideOfKind[],
  worth: (frame: FrameKindId) => number,
  decimals: number,
): Estimate | null {
  const counted = sides.filter(({ side, spread: assumed }) => side.bees !== null && assumed === undefined);
  if (counted.length === 0) return null;
  const mean = counted.reduce((sum, { side }) => sum + (side.bees ?? 0), 0) / counted.length;
  let value = 0;
  let variance = 0;
  for (const { frame, side, spread: assumed } of sides) {
    value += (side.bees ?? mean) * worth(frame);
    const stray = Math.max(assumed ?? 0, side.bees === null ? UNCOUNTED_SPREAD : READING_SPREAD);
    variance += (stray * worth(frame)) ** 2;
  }
  return spread(value, variance, decimals);
}

function spread(value: number, variance: number, decimals: number): Estimate {
  const half = IN_19_OF_20 * Math.sqrt(variance);
  return {
    value: roundTo(value, decimals),
    low: roundTo(Math.max(0, value - half), decimals),
    high: roundTo(value + half, decimals),
  };
}

function together(a: Estimate, b: Estimate, decimals: number): Estimate {
  const value = a.value + b.value;
  const half = Math.hypot(a.high - a.value, b.high - b.value);
  return {
    value: roundTo(value, decimals),
    low: roundTo(Math.max(0, value - half), decimals),
    high: roundTo(value + half, decimals),
  };
}
