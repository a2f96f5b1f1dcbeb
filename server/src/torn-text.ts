/** A surrogate that stands alone. */
const TORN = /\p{Surrogate}/u;

/**
 * Finds text that holds half a character, as a cut through an emoji leaves it: no database keeps such text.
 *
 * @param value anything that was read from JSON
 * @param but names of parts that are looked at elsewhere
 * @returns where it is, as `lines.2.note`, or null
 */
export function tornText(value: unknown, but: ReadonlySet<string> = new Set()): string | null {
  if (typeof value === 'string') return TORN.test(value) ? '' : null;
  if (typeof value !== 'object' || value === null) return null;
  for (const [name, part] of Object.entries(value)) {
    if (TORN.test(name)) return 'a name';
    if (but.has(name)) continue;
    const inside = tornText(part, but);
    if (inside !== null) return inside === '' ? name : `${name}.${inside}`;
  }
  return null;
}
