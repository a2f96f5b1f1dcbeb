import { type SideAddress, toward } from './frame-side';

/** Where in a hive something was seen: a part of it, a frame, or one side of a frame. */
export interface Spot {
  /** Box or other part; "entrance" for the outside. */
  readonly part: string;
  readonly frame: number | null;
  readonly face: SideAddress['face'] | null;
}

/** How to say where something was. */
export function spotText({ part, frame, face }: Spot): string {
  if (frame === null) return part;
  return face === null ? `${part}, frame ${frame}` : `${part}, frame ${frame} toward ${toward({ frame, face })}`;
}

export const spotOf = ({ box, frame, face }: SideAddress): Spot => ({ part: box, frame, face });
