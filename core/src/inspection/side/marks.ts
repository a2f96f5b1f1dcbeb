/** Something seen on a side besides what its comb holds. */
export interface SideMark {
  readonly group: 'larvae' | 'pattern' | 'lids' | 'pests' | 'comb' | 'food';
  /** What one sees, to tell it by. */
  readonly looks: string;
  /** Wants a second look before closing, and keeps the frame in this hive. */
  readonly suspect: boolean;
}

const mark = (group: SideMark['group'], looks: string, suspect = false): SideMark => ({ group, looks, suspect });

/** Marks by name, in the order in which a side is looked over. Common practice. */
export const SIDE_MARKS = {
  'young-larvae': mark('larvae', 'small, curled flat in a drop of food at the bottom of the cell'),
  'old-larvae': mark('larvae', 'fill the bottom of the cell, or stand up in it just before the lid'),
  'pearly-larvae': mark('larvae', 'glossy white, with clear rings: healthy'),
  'yellow-larvae': mark('larvae', 'dull, yellow to brown, rings lost: look for foulbrood', true),
  'twisted-larvae': mark('larvae', 'lying anyhow in the cell, stretched along its wall', true),
  'solid-pattern': mark('pattern', 'nearly every cell of the patch is sealed or of one age'),
  'spotty-pattern': mark('pattern', 'many gaps: young queen, poor mating, cleaned-out brood, disease or emerging bees'),
  emerging: mark('pattern', 'bees bite themselves out, lids with neat round holes and feelers in them'),
  'flat-lids': mark('lids', 'level, biscuit to brown: worker'),
  'domed-lids': mark('lids', 'bullet-shaped: drone; among flat lids in worker cells a drone layer'),
  'sunken-lids': mark('lids', 'dished, often greasy: open one and look, matchstick test', true),
  'pierced-lids': mark('lids', 'ragged holes, not round ones: bees are opening something dead', true),
  'dark-lids': mark('lids', 'darker than their neighbours, damp', true),
  mites: mark('pests', 'red-brown ovals on bees or on white pupae'),
  'deformed-wings': mark('pests', 'crippled stubs: virus brought by mites'),
  beetles: mark('pests', 'small dark beetles that run from light; their grubs slime the comb'),
  moth: mark('pests', 'silk tunnels through the comb, webs between frames'),
  chalk: mark('pests', 'hard white or grey mummies that rattle'),
  mould: mark('comb', 'grey-green fluff on pollen or empty comb at the edge: damp, not disease'),
  'old-comb': mark('comb', 'black and heavy: no light comes through'),
  'broken-comb': mark('comb', 'torn, sagging or with loose wires'),
  'brace-comb': mark('comb', 'comb built where no comb should be: a gap was too wide'),
  'wide-comb': mark('comb', 'built out past its neighbours: it rolls bees when lifted'),
  stuck: mark('comb', 'glued in: use the hook of the lever, take time'),
  'pale-foundation': mark('comb', 'yellow or white ground on which eggs hardly show'),
  'wet-glint': mark('food', 'fresh nectar shines in the cells'),
  drips: mark('food', 'fresh nectar drips when the comb is tilted'),
} as const satisfies Record<string, SideMark>;

export type MarkId = keyof typeof SIDE_MARKS;
export const MARK_IDS = Object.keys(SIDE_MARKS) as readonly MarkId[];

/** Whether a mark asks for a second look and keeps the frame in its hive. */
export const isSuspect = (id: MarkId): boolean => SIDE_MARKS[id].suspect;

/** How a mark is written in shorthand: a dot and its id. */
export const markToken = (id: MarkId): string => `.${id}`;

/**
 * Marks that a shorthand word may mean: the whole word, or the start of it when only one mark begins so.
 *
 * @param word letters and hyphens after the dot, any case
 * @returns the mark; `null` when none or several begin so
 * @example markOf('sun') // 'sunken-lids'
 */
export function markOf(word: string): MarkId | null {
  const wanted = word.toLowerCase();
  if (wanted in SIDE_MARKS) return wanted as MarkId;
  const begun = MARK_IDS.filter((id) => id.startsWith(wanted));
  return begun.length === 1 ? begun[0]! : null;
}
