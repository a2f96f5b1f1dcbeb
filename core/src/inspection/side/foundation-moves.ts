import { broodFrames } from '../words/changes-text';
import type { FrameSides } from '../words/frame-change';
import { say } from '../said';
import type { Text } from '../../language';

/** A bare frame, where it should go, when, and why. */
export interface FoundationMove {
  readonly frame: number;
  /** The frame beside which it goes, `null` when it stays. */
  readonly beside: number | null;
  readonly when: 'now' | 'in-a-week' | 'not-yet';
  readonly says: Text;
}

/** A side counts as bare from so many eighths of foundation on. */
const BARE = 7;
/** Bees have to cover this part of the frames before bare ones are drawn. Common practice. */
const COVERED = 0.6;

/**
 * Which bare frames move where, and when: one on each side goes next to the outermost brood, where bees draw it, the next one a week later, none
 * between brood frames. Another school hangs one between brood combs in warm weather and a flow: drawn faster, at a risk for the nest.
 *
 * @param frames frames of one box as they were read, in order
 * @param framesOfBees bees in frames, `null` when nobody counted
 * @returns one line a bare frame; none where no brood was read. Common practice
 */
export function foundationMoves(frames: readonly FrameSides[], framesOfBees: number | null): readonly FoundationMove[] {
  const sides = ({ low, high }: FrameSides) => [low, high].filter((side) => side !== null);
  const numbers = (test: (frame: FrameSides) => boolean) =>
    frames.flatMap((frame, index) => (sides(frame).length > 0 && test(frame) ? [index + 1] : []));
  const brood = broodFrames(frames);
  const bare = numbers((frame) => sides(frame).every((side) => (side.eighths.F ?? 0) >= BARE));
  const [first, last] = [brood[0], brood.at(-1)];
  if (first === undefined || last === undefined) return [];
  const few = framesOfBees !== null && framesOfBees < COVERED * frames.length;
  const outside = [
    ...bare
      .filter((frame) => frame < first)
      .toReversed()
      .map((frame, rank) => ({ frame, rank, edge: first })),
    ...bare.filter((frame) => frame > last).map((frame, rank) => ({ frame, rank, edge: last })),
  ];
  return outside
    .map(({ frame, rank, edge }): FoundationMove => {
      const stays = Math.abs(frame - edge) === 1 && rank === 0;
      if (few)
        return {
          frame,
          beside: null,
          when: 'not-yet',
          says: say('frame-stays-edge-too-few', { frame }),
        };
      if (stays)
        return {
          frame,
          beside: null,
          when: 'now',
          says: say('frame-stands-right-beside-brood', { frame }),
        };
      return rank === 0
        ? {
            frame,
            beside: edge,
            when: 'now',
            says: say('frame-goes-beside-frame-last', { frame, edge }),
          }
        : {
            frame,
            beside: edge,
            when: 'in-a-week',
            says: say('frame-beside-frame-week-once', { frame, edge }),
          };
    })
    .sort((a, b) => a.frame - b.frame);
}
