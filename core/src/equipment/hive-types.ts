import { BOXES, type BoxKindId } from './boxes';

/** A type of hive: the boxes that fit it and how one works it. */
export interface HiveType {
  readonly id: string;
  readonly name: string;
  readonly boxes: readonly BoxKindId[];
  /** A horizontal hive has one body and nothing to lift; frames or bars are moved along. */
  readonly horizontal: boolean;
}

/** Hive types that the product knows, by id. */
export const HIVE_TYPES = {
  'langstroth-10': {
    id: 'langstroth-10',
    name: 'Langstroth, 10 frames',
    boxes: ['langstroth-10-deep', 'langstroth-10-medium', 'langstroth-10-shallow'],
    horizontal: false,
  },
  'langstroth-8': {
    id: 'langstroth-8',
    name: 'Langstroth, 8 frames',
    boxes: ['langstroth-8-deep', 'langstroth-8-medium', 'langstroth-8-shallow'],
    horizontal: false,
  },
  national: {
    id: 'national',
    name: 'British National',
    boxes: ['national-brood', 'national-14x12', 'national-super'],
    horizontal: false,
  },
  dadant: { id: 'dadant', name: 'Dadant', boxes: ['dadant-brood', 'dadant-super'], horizontal: false },
  zander: { id: 'zander', name: 'Zander', boxes: ['zander-brood', 'zander-super'], horizontal: false },
  'top-bar': { id: 'top-bar', name: 'Top-bar hive', boxes: ['top-bar-body'], horizontal: true },
  long: { id: 'long', name: 'Long hive', boxes: ['long-body'], horizontal: true },
} as const satisfies Record<string, HiveType>;

export type HiveTypeId = keyof typeof HIVE_TYPES;

/**
 * Whether a box may stand on a hive of this type.
 *
 * @param hive hive type
 * @param box box kind
 * @returns true when the box belongs to the hive's own family
 * @example boxFits('national', 'dadant-super') // false
 */
export function boxFits(hive: HiveTypeId, box: BoxKindId): boolean {
  return (HIVE_TYPES[hive].boxes as readonly string[]).includes(BOXES[box].id);
}
