import type { Text } from '../../language';
import { say } from '../said';
import { type SideAddress, towardText } from '../side/frame-side';

/** Where in a hive something was seen: a part of it, a frame, or one side of a frame. */
export interface Spot {
  /** Box or other part; "entrance" for the outside. */
  readonly part: string;
  readonly frame: number | null;
  readonly face: SideAddress['face'] | null;
}

/** How to say where something was; with the number of frames of its box, the last side looks toward the wall. */
export function spotText({ part, frame, face }: Spot, frames = Infinity): Text {
  if (frame === null) return part;
  return face === null
    ? say('spot-frame', { part, frame })
    : say('spot-side', { part, frame, toward: towardText({ frame, face }, frames) });
}

export const spotOf = ({ box, frame, face }: SideAddress): Spot => ({ part: box, frame, face });
