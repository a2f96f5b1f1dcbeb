import { BOXES, type BoxKindId } from './boxes';

/** A type of hive: the boxes that fit it and how one works it. */
export interface HiveType {
  readonly id: string;
  readonly boxes: readonly BoxKindId[];
  /** A horizontal hive has one body and nothing to lift; frames or bars are moved along. */
  readonly horizontal: boolean;
}

/** Hive types that the product knows, by id. */
export const HIVE_TYPES = {
  'langstroth-10': {
    id: 'langstroth-10',
    boxes: ['langstroth-10-deep', 'langstroth-10-medium', 'langstroth-10-shallow', 'nucleus-langstroth'],
    horizontal: false,
  },
  'langstroth-8': {
    id: 'langstroth-8',
    boxes: ['langstroth-8-deep', 'langstroth-8-medium', 'langstroth-8-shallow'],
    horizontal: false,
  },
  national: {
    id: 'national',
    boxes: ['national-brood', 'national-14x12', 'national-super', 'nucleus-national'],
    horizontal: false,
  },
  dadant: { id: 'dadant', boxes: ['dadant-brood', 'dadant-super'], horizontal: false },
  zander: { id: 'zander', boxes: ['zander-brood', 'zander-super'], horizontal: false },
  'dadant-12': {
    id: 'dadant-12',
    boxes: ['dadant-12-brood', 'dadant-12-super'],
    horizontal: false,
  },
  commercial: {
    id: 'commercial',
    boxes: ['commercial-brood', 'commercial-super', 'national-super'],
    horizontal: false,
  },
  wbc: { id: 'wbc', boxes: ['wbc-brood', 'wbc-super'], horizontal: false },
  smith: { id: 'smith', boxes: ['smith-brood', 'smith-super'], horizontal: false },
  rose: { id: 'rose', boxes: ['rose-box'], horizontal: false },
  warre: { id: 'warre', boxes: ['warre-box'], horizontal: false },
  normal: {
    id: 'normal',
    boxes: ['normal-brood', 'normal-super', 'normal-half-super'],
    horizontal: false,
  },
  swiss: { id: 'swiss', boxes: ['swiss-brood', 'swiss-super'], horizontal: false },
  layens: { id: 'layens', boxes: ['layens-body'], horizontal: true },
  'top-bar': { id: 'top-bar', boxes: ['top-bar-body'], horizontal: true },
  long: { id: 'long', boxes: ['long-body'], horizontal: true },
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
