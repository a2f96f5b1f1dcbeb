/** Something seen on a side besides what its comb holds. */
export interface SideMark {
  readonly group: 'larvae' | 'pattern' | 'lids' | 'pests' | 'comb' | 'food';
  /** Wants a second look before closing, and keeps the frame in this hive. */
  readonly suspect: boolean;
}

const mark = (group: SideMark['group'], suspect = false): SideMark => ({ group, suspect });

/** Marks by name, in the order in which a side is looked over. Common practice. */
export const SIDE_MARKS = {
  'young-larvae': mark('larvae'),
  'old-larvae': mark('larvae'),
  'pearly-larvae': mark('larvae'),
  'yellow-larvae': mark('larvae', true),
  'twisted-larvae': mark('larvae', true),
  'solid-pattern': mark('pattern'),
  'spotty-pattern': mark('pattern'),
  emerging: mark('pattern'),
  'flat-lids': mark('lids'),
  'domed-lids': mark('lids'),
  'sunken-lids': mark('lids', true),
  'pierced-lids': mark('lids', true),
  'dark-lids': mark('lids', true),
  mites: mark('pests'),
  'deformed-wings': mark('pests'),
  beetles: mark('pests'),
  moth: mark('pests'),
  chalk: mark('pests'),
  mould: mark('comb'),
  'old-comb': mark('comb'),
  'broken-comb': mark('comb'),
  'brace-comb': mark('comb'),
  'wide-comb': mark('comb'),
  stuck: mark('comb'),
  'pale-foundation': mark('comb'),
  'wet-glint': mark('food'),
  drips: mark('food'),
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
