/** A text that begins with a capital. */
export const upperFirst = (text: string): string => text.slice(0, 1).toUpperCase() + text.slice(1);

/** Ids whose hyphen is written. */
const HYPHENED: ReadonlySet<string> = new Set(['build-up', 'head-butt', 'off-white']);

/**
 * An id as it is said inside a sentence.
 *
 * @param id words joined by hyphens
 * @returns the words
 * @example spoken('winter-rest') // 'winter rest'
 */
export const spoken = (id: string): string => (HYPHENED.has(id) ? id : id.replaceAll('-', ' '));
