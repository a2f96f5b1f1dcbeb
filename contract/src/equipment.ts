import * as z from 'zod';
import { BOXES, HIVE_TYPES, type BoxKindId, type HiveTypeId } from '@brave-comb/core/equipment';
import { list } from './parts';

const keys = <K extends string>(of: Readonly<Record<K, unknown>>) => Object.keys(of) as [K, ...K[]];

export const HiveTypeName = z.enum(keys<HiveTypeId>(HIVE_TYPES));
export const Layer = z.union([
  z.object({ id: z.string(), kind: z.enum(['floor', 'excluder', 'feeder', 'crown-board', 'roof']) }),
  z.object({
    id: z.string(),
    kind: z.literal('box'),
    box: z.enum(keys<BoxKindId>(BOXES)),
    frames: z.int().min(0).max(40),
    dummy: z.boolean().default(false),
  }),
]);
export const Stack = list(Layer);

/** A part of the hive with what it would weigh and who lifts it. */
export const WeighedLayer = z.object({
  layer: Layer,
  kg: z.number().nullable(),
  lift: z.enum(['one lifts', 'two lift', 'by frames', 'stays put']).nullable(),
});
