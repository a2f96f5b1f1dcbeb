/**
 * So many of a thing, in English.
 *
 * @param count how many
 * @param one the word for one; for more it takes an s
 * @returns "1 side", "3 sides"
 * @example counted(3, 'side') // '3 sides'
 */
export const counted = (count: number, one: string): string => `${count} ${count === 1 ? one : `${one}s`}`;

const ORDINALS = ['', 'first', 'second', 'third', 'fourth', 'fifth'];

/**
 * A place in a row, in English.
 *
 * @param place from 1
 * @returns "third"; from the sixth on the figure with its ending
 * @example ordinal(3) // 'third'
 */
export const ordinal = (place: number): string => ORDINALS[place] ?? `${place}th`;
