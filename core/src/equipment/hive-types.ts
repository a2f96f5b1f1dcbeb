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
    boxes: ['langstroth-10-deep', 'langstroth-10-medium', 'langstroth-10-shallow', 'nucleus-langstroth'],
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
    boxes: ['national-brood', 'national-14x12', 'national-super', 'nucleus-national'],
    horizontal: false,
  },
  dadant: { id: 'dadant', name: 'Dadant', boxes: ['dadant-brood', 'dadant-super'], horizontal: false },
  zander: { id: 'zander', name: 'Zander', boxes: ['zander-brood', 'zander-super'], horizontal: false },
  'dadant-12': {
    id: 'dadant-12',
    name: 'Dadant, 12 frames',
    boxes: ['dadant-12-brood', 'dadant-12-super'],
    horizontal: false,
  },
  commercial: {
    id: 'commercial',
    name: 'Commercial (16 × 10)',
    boxes: ['commercial-brood', 'commercial-super', 'national-super'],
    horizontal: false,
  },
  wbc: { id: 'wbc', name: 'WBC', boxes: ['wbc-brood', 'wbc-super'], horizontal: false },
  smith: { id: 'smith', name: 'Smith', boxes: ['smith-brood', 'smith-super'], horizontal: false },
  rose: { id: 'rose', name: 'Rose', boxes: ['rose-box'], horizontal: false },
  warre: { id: 'warre', name: 'Warré', boxes: ['warre-box'], horizontal: false },
  normal: {
    id: 'normal',
    name: 'Deutsch Normal',
    boxes: ['normal-brood', 'normal-super', 'normal-half-super'],
    horizontal: false,
  },
  swiss: { id: 'swiss', name: 'Swiss', boxes: ['swiss-brood', 'swiss-super'], horizontal: false },
  layens: { id: 'layens', name: 'Layens', boxes: ['layens-body'], horizontal: true },
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
