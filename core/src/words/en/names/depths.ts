import type { Depth } from '../../../weather';

/** How deep a hive is opened: in one word for a column, and as what is done. */
const DEPTH_NAMES: Readonly<Record<Depth, { readonly word: string; readonly look: string }>> = {
  outside: { word: 'outside', look: 'look from outside' },
  lid: { word: 'lid', look: 'lid and feeder' },
  'one-frame': { word: 'few frames', look: 'quick look at a few frames' },
  full: { word: 'full', look: 'full inspection' },
};

const each = (form: 'word' | 'look') =>
  Object.fromEntries(Object.entries(DEPTH_NAMES).map(([depth, names]) => [depth, names[form]])) as Record<
    Depth,
    string
  >;

export const depthNames = { depth: each('word'), depthLook: each('look') };
