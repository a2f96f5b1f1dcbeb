import { BOXES } from '../../equipment';
import { EMPTY_SIDE, type FrameSide, LETTERS, type Letter, type QueenCell } from '../../inspection';
import type { Random } from '../../units';

/** What a made-up nest is like. */
export interface NestTraits {
  /** Frames with brood. */
  readonly broodFrames: number;
  readonly eggs: boolean;
  readonly larvae: boolean;
  /** 0 bare of food to 1 rich. */
  readonly food: number;
  /** Eighths of bees on a side. */
  readonly bees: number;
  /** Queen cells on how many frames, and what each is. */
  readonly cellFrames: number;
  readonly cell?: QueenCell;
}

/** Frames of the box that made-up hives have. */
export const MADE_FRAMES = BOXES['national-brood'].frames;
export const MADE_KIND = 'national-deep' as const;
export const MADE_BOX = 'brood';

/** Both sides of each frame: brood in the middle, food outside, as a nest lies. */
export function madeNest(traits: NestTraits, random: Random): readonly (readonly [low: FrameSide, high: FrameSide])[] {
  const middle = (MADE_FRAMES + 1) / 2;
  const cellsOn = new Set<number>();
  while (cellsOn.size < Math.min(traits.cellFrames, traits.broodFrames))
    cellsOn.add(Math.round(middle + (random.unit() - 0.5) * (traits.broodFrames - 1)));
  return Array.from({ length: MADE_FRAMES }, (_, index) => {
    const frame = index + 1;
    const far = Math.abs(frame - middle) / (traits.broodFrames / 2);
    const cells = cellsOn.has(frame) ? 1 + random.below(2) : 0;
    const queenCells = traits.cell ? Array.from({ length: cells }, () => traits.cell!) : [];
    return [sideAt(far, traits, random), { ...sideAt(far, traits, random), cells, queenCells }] as const;
  });
}

function sideAt(far: number, { eggs, larvae, food, bees }: NestTraits, random: Random): FrameSide {
  const brood = far >= 1 ? 0 : Math.round(6 * Math.sqrt(1 - far ** 2));
  const shares: Partial<Record<Letter, number>> = {};
  let left = 8;
  const give = (letter: Letter, wanted: number) => {
    const eighths = Math.max(0, Math.min(left, Math.round(wanted)));
    if (eighths > 0) shares[letter] = (shares[letter] ?? 0) + eighths;
    left -= eighths;
  };
  give('E', eggs && brood > 1 ? 0.6 + random.unit() : 0);
  give('L', larvae && brood > 1 ? 0.6 + random.unit() : 0);
  give('S', brood - (8 - left));
  give('P', far < 1.6 && food > 0.15 ? 0.5 + random.unit() * 0.9 : 0);
  give('H', left * food * (0.8 + random.unit() * 0.4));
  give('N', left * food * random.unit());
  give('C', left);
  return {
    ...EMPTY_SIDE,
    eighths: Object.fromEntries(LETTERS.flatMap((letter) => (shares[letter] ? [[letter, shares[letter]]] : []))),
    bees: Math.min(8, Math.max(0, Math.round(bees * (far < 1.2 ? 1 : 0.6) + random.unit() - 0.5))),
  };
}
