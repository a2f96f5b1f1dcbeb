const PLAIN = 'ABCDEFGHIJKLMNOPQRSTUVWXYZabcdefghijklmnopqrstuvwxyz';
const ACCENTED = 'ÅƁÇÐÉƑĜĤÎĴĶĻṀÑÖÞǪŔŠŢÛṼŴẊÝŽåƀçðéƒĝĥîĵķļɱñöþǫŕšţûṽŵẋýž';

/**
 * A text as another language might write it: every letter accented, and half as long again.
 *
 * @param text a text in English; what is accented already stays
 * @returns the text in which a reader of English still finds the way
 * @example accented('Say first') // 'Šåý ƒîŕšţ~~~~'
 */
export const accented = (text: string): string => {
  const letters = text.replace(/[A-Za-z]/g, (letter) => ACCENTED[PLAIN.indexOf(letter)]!);
  const plain = text.replace(/[^A-Za-z]/g, '').length;
  return letters.replace(/(\s*)$/, `${'~'.repeat(Math.ceil(plain / 2))}$1`);
};
