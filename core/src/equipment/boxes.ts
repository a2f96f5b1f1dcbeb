import type { FrameKindId } from './frames';

/** A kind of box: what it holds and what the wood weighs. */
export interface BoxKind {
  readonly id: string;
  readonly frame: FrameKindId;
  /** Frames (or bars) that it takes at common spacing. */
  readonly frames: number;
  /** Wood alone, without frames, kg. Common practice; varies with timber and wall. */
  readonly woodKg: number;
  /** Supers hold honey above the nest; brood boxes hold the nest; bodies are the one long box of a horizontal hive. */
  readonly role: 'brood' | 'super' | 'body';
}

const box = (id: string, frame: FrameKindId, frames: number, woodKg: number, role: BoxKind['role']): BoxKind => ({
  id,
  frame,
  frames,
  woodKg,
  role,
});

/** Boxes that the product knows, by id. */
export const BOXES = {
  'langstroth-10-deep': box('langstroth-10-deep', 'langstroth-deep', 10, 4.5, 'brood'),
  'langstroth-10-medium': box('langstroth-10-medium', 'langstroth-medium', 10, 3.2, 'super'),
  'langstroth-10-shallow': box('langstroth-10-shallow', 'langstroth-shallow', 10, 2.3, 'super'),
  'langstroth-8-deep': box('langstroth-8-deep', 'langstroth-deep', 8, 3.9, 'brood'),
  'langstroth-8-medium': box('langstroth-8-medium', 'langstroth-medium', 8, 2.8, 'super'),
  'langstroth-8-shallow': box('langstroth-8-shallow', 'langstroth-shallow', 8, 2, 'super'),
  'national-brood': box('national-brood', 'national-deep', 11, 5, 'brood'),
  'national-14x12': box('national-14x12', 'national-14x12', 11, 6.5, 'brood'),
  'national-super': box('national-super', 'national-shallow', 10, 2.2, 'super'),
  'dadant-brood': box('dadant-brood', 'dadant-brood', 11, 6.5, 'brood'),
  'dadant-super': box('dadant-super', 'dadant-super', 11, 3.6, 'super'),
  'zander-brood': box('zander-brood', 'zander', 10, 4.4, 'brood'),
  'zander-super': box('zander-super', 'zander-shallow', 10, 3.4, 'super'),
  'commercial-brood': box('commercial-brood', 'commercial-deep', 11, 6, 'brood'),
  'commercial-super': box('commercial-super', 'commercial-shallow', 11, 3.2, 'super'),
  'wbc-brood': box('wbc-brood', 'national-deep', 10, 3, 'brood'),
  'wbc-super': box('wbc-super', 'national-shallow', 10, 2, 'super'),
  'smith-brood': box('smith-brood', 'smith-deep', 11, 4.6, 'brood'),
  'smith-super': box('smith-super', 'smith-shallow', 11, 2.4, 'super'),
  'rose-box': box('rose-box', 'rose', 12, 4, 'brood'),
  'warre-box': box('warre-box', 'warre', 8, 3.5, 'brood'),
  'normal-brood': box('normal-brood', 'normal', 10, 4, 'brood'),
  'normal-super': box('normal-super', 'normal', 10, 4, 'super'),
  'normal-half-super': box('normal-half-super', 'normal-half', 10, 2.4, 'super'),
  'dadant-12-brood': box('dadant-12-brood', 'dadant-brood', 12, 7, 'brood'),
  'dadant-12-super': box('dadant-12-super', 'dadant-super', 12, 3.9, 'super'),
  'swiss-brood': box('swiss-brood', 'swiss-brood', 12, 7, 'brood'),
  'swiss-super': box('swiss-super', 'swiss-super', 12, 3.6, 'super'),
  'layens-body': box('layens-body', 'layens', 12, 18, 'body'),
  'nucleus-national': box('nucleus-national', 'national-deep', 5, 2.6, 'brood'),
  'nucleus-langstroth': box('nucleus-langstroth', 'langstroth-deep', 5, 2.8, 'brood'),
  'top-bar-body': box('top-bar-body', 'top-bar', 24, 16, 'body'),
  'long-body': box('long-body', 'long-deep', 24, 22, 'body'),
} as const satisfies Record<string, BoxKind>;

export type BoxKindId = keyof typeof BOXES;
