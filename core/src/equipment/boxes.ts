import type { FrameKindId } from './frames';

/** A kind of box: what it holds and what the wood weighs. */
export interface BoxKind {
  readonly id: string;
  readonly name: string;
  readonly frame: FrameKindId;
  /** Frames (or bars) that it takes at common spacing. */
  readonly frames: number;
  /** Wood alone, without frames, kg. Common practice; varies with timber and wall. */
  readonly woodKg: number;
  /** Supers hold honey above the nest; brood boxes hold the nest; bodies are the one long box of a horizontal hive. */
  readonly role: 'brood' | 'super' | 'body';
}

const box = (
  id: string,
  name: string,
  frame: FrameKindId,
  frames: number,
  woodKg: number,
  role: BoxKind['role'],
): BoxKind => ({ id, name, frame, frames, woodKg, role });

/** Boxes that the product knows, by id. */
export const BOXES = {
  'langstroth-10-deep': box('langstroth-10-deep', 'Langstroth deep, 10 frames', 'langstroth-deep', 10, 4.5, 'brood'),
  'langstroth-10-medium': box('langstroth-10-medium', 'Langstroth medium, 10', 'langstroth-medium', 10, 3.2, 'super'),
  'langstroth-10-shallow': box(
    'langstroth-10-shallow',
    'Langstroth shallow, 10',
    'langstroth-shallow',
    10,
    2.7,
    'super',
  ),
  'langstroth-8-deep': box('langstroth-8-deep', 'Langstroth deep, 8 frames', 'langstroth-deep', 8, 3.9, 'brood'),
  'langstroth-8-medium': box('langstroth-8-medium', 'Langstroth medium, 8', 'langstroth-medium', 8, 2.8, 'super'),
  'langstroth-8-shallow': box('langstroth-8-shallow', 'Langstroth shallow, 8', 'langstroth-shallow', 8, 2.4, 'super'),
  'national-brood': box('national-brood', 'British National brood box', 'national-deep', 11, 5, 'brood'),
  'national-14x12': box('national-14x12', 'British National 14 × 12', 'national-14x12', 11, 6.5, 'brood'),
  'national-super': box('national-super', 'British National super', 'national-shallow', 10, 3.2, 'super'),
  'dadant-brood': box('dadant-brood', 'Dadant brood box', 'dadant-brood', 11, 6.5, 'brood'),
  'dadant-super': box('dadant-super', 'Dadant super', 'dadant-super', 11, 3.6, 'super'),
  'zander-brood': box('zander-brood', 'Zander brood box', 'zander', 10, 4.4, 'brood'),
  'zander-super': box('zander-super', 'Zander super', 'zander-shallow', 10, 3.4, 'super'),
  'top-bar-body': box('top-bar-body', 'Top-bar body', 'top-bar', 24, 16, 'body'),
  'long-body': box('long-body', 'Long hive body', 'long-deep', 24, 22, 'body'),
} as const satisfies Record<string, BoxKind>;

export type BoxKindId = keyof typeof BOXES;
