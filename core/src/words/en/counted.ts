/**
 * So many of a thing, in English.
 *
 * @param count how many
 * @param one the word for one
 * @param more the word for more, the one with an s where it is left out
 * @returns "1 side", "3 sides"
 * @example counted(3, 'side') // '3 sides'
 */
export const counted = (count: number, one: string, more = `${one}s`): string => `${count} ${count === 1 ? one : more}`;

const ORDINALS = ['', 'first', 'second', 'third', 'fourth', 'fifth'];

/**
 * A place in a row, in English.
 *
 * @param place from 1
 * @returns "third"; from the sixth on the figure with its ending
 * @example ordinal(3) // 'third'
 */
export const ordinal = (place: number): string => ORDINALS[place] ?? `${place}th`;
