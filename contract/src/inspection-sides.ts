import {
  CELL_CONTENTS,
  CELL_PLACES,
  COMB_KINDS,
  COMB_STORES,
  LETTERS,
  MARK_IDS,
  POLLEN_COLOUR_NAMES,
} from '@brave-comb/core/inspection';
import * as z from 'zod';
import { Id, list } from './parts';

const Eighths = z.int('Write whole eighths from 0 to 8.').min(0).max(64);
export const Letter = z.enum(LETTERS);
export const Pollens = list(z.enum(POLLEN_COLOUR_NAMES));

export const FrameSide = z.object({
  eighths: z.partialRecord(Letter, Eighths),
  trace: list(Letter),
  bees: z.int().min(0).max(64).nullable(),
  queen: z.boolean(),
  cells: z.int().min(0).max(999),
  doubtful: z.boolean(),
  marks: list(z.enum(MARK_IDS)).optional(),
  pollens: Pollens.optional(),
  queenCells: list(z.object({ content: z.enum(CELL_CONTENTS), place: z.enum(CELL_PLACES) })).optional(),
});
export const PartName = z.string().min(1).max(40);
export const Frame = z.int().min(1).max(40);
export const SideAddress = z.object({ box: PartName, frame: Frame, face: z.enum(['low', 'high']) });
export const AddressedSide = z.object({ address: SideAddress, side: FrameSide });
/** Both sides of each frame, in order; `null` for what was not read. */
export const FrameSides = z.object({ low: FrameSide.nullable(), high: FrameSide.nullable() });
export const Spot = z.object({ part: PartName, frame: Frame.nullable(), face: z.enum(['low', 'high']).nullable() });

export const Comb = z.object({
  id: Id,
  kind: z.enum(COMB_KINDS),
  since: z.int().min(1990).max(2200).nullable(),
  donor: Id.nullable(),
  label: z.string().max(40),
});
export const CombPlace = z.discriminatedUnion('in', [
  z.object({ in: z.literal('box'), box: PartName, place: Frame }),
  z.object({ in: z.literal('hive'), hive: Id, box: PartName, place: Frame }),
  z.object({ in: z.literal('store'), store: z.enum(COMB_STORES) }),
]);
