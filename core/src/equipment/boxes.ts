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
    2.3,
    'super',
  ),
  'langstroth-8-deep': box('langstroth-8-deep', 'Langstroth deep, 8 frames', 'langstroth-deep', 8, 3.9, 'brood'),
  'langstroth-8-medium': box('langstroth-8-medium', 'Langstroth medium, 8', 'langstroth-medium', 8, 2.8, 'super'),
  'langstroth-8-shallow': box('langstroth-8-shallow', 'Langstroth shallow, 8', 'langstroth-shallow', 8, 2, 'super'),
  'national-brood': box('national-brood', 'British National brood box', 'national-deep', 11, 5, 'brood'),
  'national-14x12': box('national-14x12', 'British National 14 × 12', 'national-14x12', 11, 6.5, 'brood'),
  'national-super': box('national-super', 'British National super', 'national-shallow', 10, 2.2, 'super'),
  'dadant-brood': box('dadant-brood', 'Dadant brood box', 'dadant-brood', 11, 6.5, 'brood'),
  'dadant-super': box('dadant-super', 'Dadant super', 'dadant-super', 11, 3.6, 'super'),
  'zander-brood': box('zander-brood', 'Zander brood box', 'zander', 10, 4.4, 'brood'),
  'zander-super': box('zander-super', 'Zander super', 'zander-shallow', 10, 3.4, 'super'),
  'commercial-brood': box('commercial-brood', 'Commercial brood box', 'commercial-deep', 11, 6, 'brood'),
  'commercial-super': box('commercial-super', 'Commercial super', 'commercial-shallow', 11, 3.2, 'super'),
  'wbc-brood': box('wbc-brood', 'WBC brood box', 'national-deep', 10, 3, 'brood'),
  'wbc-super': box('wbc-super', 'WBC super', 'national-shallow', 10, 2, 'super'),
  'smith-brood': box('smith-brood', 'Smith brood box', 'smith-deep', 11, 4.6, 'brood'),
  'smith-super': box('smith-super', 'Smith super', 'smith-shallow', 11, 2.4, 'super'),
  'rose-box': box('rose-box', 'Rose box', 'rose', 12, 4, 'brood'),
  'warre-box': box('warre-box', 'Warré box', 'warre', 8, 3.5, 'brood'),
  'normal-brood': box('normal-brood', 'Deutsch Normal brood box', 'normal', 10, 4, 'brood'),
  'normal-super': box('normal-super', 'Deutsch Normal super', 'normal', 10, 4, 'super'),
  'normal-half-super': box('normal-half-super', 'Deutsch Normal half super', 'normal-half', 10, 2.4, 'super'),
  'dadant-12-brood': box('dadant-12-brood', 'Dadant brood box, 12 frames', 'dadant-brood', 12, 7, 'brood'),
  'dadant-12-super': box('dadant-12-super', 'Dadant super, 12 frames', 'dadant-super', 12, 3.9, 'super'),
  'swiss-brood': box('swiss-brood', 'Swiss brood box', 'swiss-brood', 12, 7, 'brood'),
  'swiss-super': box('swiss-super', 'Swiss honey box', 'swiss-super', 12, 3.6, 'super'),
  'layens-body': box('layens-body', 'Layens body', 'layens', 12, 18, 'body'),
  'nucleus-national': box('nucleus-national', 'British National nucleus, 5 frames', 'national-deep', 5, 2.6, 'brood'),
  'nucleus-langstroth': box('nucleus-langstroth', 'Langstroth nucleus, 5 frames', 'langstroth-deep', 5, 2.8, 'brood'),
  'top-bar-body': box('top-bar-body', 'Top-bar body', 'top-bar', 24, 16, 'body'),
  'long-body': box('long-body', 'Long hive body', 'long-deep', 24, 22, 'body'),
} as const satisfies Record<string, BoxKind>;

export type BoxKindId = keyof typeof BOXES;
