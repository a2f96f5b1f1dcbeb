/** What a comb can hold, by the letter that people write for it. */
export const LETTERS = ['E', 'L', 'S', 'D', 'P', 'N', 'H', 'C', 'F', 'X'] as const;
export type Letter = (typeof LETTERS)[number];

/** Brood in the order in which it ages. */
export const BROOD: readonly Letter[] = ['E', 'L', 'S', 'D'];

/**
 * Reads a letter, whatever its case.
 *
 * @param text one character
 * @returns the letter, or `null` when no comb content is written so
 * @example letterOf('s') // 'S'
 */
export function letterOf(text: string): Letter | null {
  const upper = text.toUpperCase();
  return (LETTERS as readonly string[]).includes(upper) ? (upper as Letter) : null;
}
