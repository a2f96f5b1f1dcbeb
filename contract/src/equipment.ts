import { JOBS } from '@brave-comb/core/inspection';
import * as z from 'zod';
import { BOXES, HIVE_TYPES, PLAIN_PARTS, type BoxKindId, type HiveTypeId } from '@brave-comb/core/equipment';
import { list } from './parts';

const keys = <K extends string>(of: Readonly<Record<K, unknown>>) => Object.keys(of) as [K, ...K[]];

export const HiveTypeName = z.enum(keys<HiveTypeId>(HIVE_TYPES));
export const Layer = z.union([
  z.object({ id: z.string(), kind: z.enum(PLAIN_PARTS) }),
  z.object({
    id: z.string(),
    kind: z.literal('box'),
    box: z.enum(keys<BoxKindId>(BOXES)),
    frames: z.int().min(0).max(40),
    dummy: z.boolean().default(false),
  }),
]);
export const Stack = list(Layer);
const PartId = z.string().trim().min(1, 'Give the part a name.').max(40);
/** A part that came onto a hive for good, or left it. */
export const StackChange = z.discriminatedUnion('do', [
  z.object({
    do: z.literal('add'),
    layer: z.union([
      z.object({ id: PartId, kind: z.enum(PLAIN_PARTS) }),
      z.object({
        id: PartId,
        kind: z.literal('box'),
        box: z.enum(keys<BoxKindId>(BOXES)),
        frames: z.int().min(0).max(40),
        dummy: z.boolean(),
      }),
    ]),
    on: PartId,
  }),
  z.object({ do: z.literal('take'), part: PartId }),
  z.object({ do: z.literal('dummy'), box: PartId, in: z.boolean() }),
]);

/** A part of the hive with what it would weigh and who lifts it. */
export const WeighedLayer = z.object({
  layer: Layer,
  kg: z.number().nullable(),
  lift: z.enum(['one-lifts', 'two-lift', 'by-frames', 'stays-put']).nullable(),
});

/** Where a hive stands among its neighbours, metres east and north of it, and who stands where. */
export const Standing = z.object({
  faces: z.number(),
  marks: list(z.object({ role: z.enum(JOBS), x: z.number(), y: z.number() })),
  neighbours: list(z.object({ number: z.string(), x: z.number(), y: z.number(), faces: z.number() })),
  says: list(z.string()),
});
export type Standing = z.output<typeof Standing>;
