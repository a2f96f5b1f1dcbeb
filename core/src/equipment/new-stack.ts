import { BOXES, type BoxKindId } from './boxes';
import { HIVE_TYPES, type HiveTypeId } from './hive-types';
import type { Layer, Stack } from './stack';

/** What a hive is set up from. Frames stand in each brood box. */
export interface HiveParts {
  readonly type: HiveTypeId;
  readonly brood: number;
  readonly supers: number;
  /** `null` for as many as the box takes. */
  readonly frames: number | null;
  readonly feeder?: boolean;
}

const ofRole = (type: HiveTypeId, role: 'brood' | 'super'): BoxKindId | undefined =>
  HIVE_TYPES[type].boxes.find((box) => BOXES[box].role === role);

/** The box of a hive type that holds the nest; of a horizontal hive, its one body. */
export const broodBoxOf = (type: HiveTypeId): BoxKindId => ofRole(type, 'brood') ?? HIVE_TYPES[type].boxes[0];

/**
 * A hive from the floor upward, as it stands when it is set up. A type without shallower boxes has its own boxes as supers.
 *
 * @param parts its type, one brood box or more, supers, frames in each brood box
 * @returns its parts; supers lie over an excluder
 * @throws RangeError when a horizontal hive should have a second box, or more frames should stand in a box than it takes
 * @example newStack({ type: 'national', brood: 1, supers: 1, frames: null }).map(({ id }) => id) // ['floor', 'brood box', 'excluder', 'super 1', 'crown board', 'roof']
 */
export function newStack({ type, brood, supers, frames, feeder = false }: HiveParts): Stack {
  const nest = broodBoxOf(type);
  const takes = BOXES[nest].frames;
  if (frames !== null && frames > takes) throw new RangeError(`${nest} takes ${takes} frames, not ${frames}`);
  if (brood < 1) throw new RangeError('a hive has a box for its nest');
  if (HIVE_TYPES[type].horizontal && brood + supers > 1) throw new RangeError('a horizontal hive is one body');
  const above = ofRole(type, 'super') ?? nest;
  const box = (id: string, kind: BoxKindId, holds: number): Layer => ({
    id,
    kind: 'box',
    box: kind,
    frames: holds,
    dummy: holds < BOXES[kind].frames,
  });
  const body = HIVE_TYPES[type].horizontal ? 'body' : 'brood box';
  return [
    { id: 'floor', kind: 'floor' },
    ...Array.from({ length: brood }, (_, at) => box(at === 0 ? body : `${body} ${at + 1}`, nest, frames ?? takes)),
    ...(supers > 0 ? [{ id: 'excluder', kind: 'excluder' } as const] : []),
    ...Array.from({ length: supers }, (_, at) => box(`super ${at + 1}`, above, BOXES[above].frames)),
    ...(feeder ? [{ id: 'feeder', kind: 'feeder' } as const] : []),
    { id: 'crown board', kind: 'crown-board' },
    { id: 'roof', kind: 'roof' },
  ];
}
