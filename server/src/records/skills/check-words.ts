import { createHash } from 'node:crypto';

/** Short words that are read alike over a telephone. */
const WORDS = (
  'alder apple arch autumn barley barn beech birch bramble bridge brook bucket candle cedar chalk cherry clover copper cotton dawn door east ' +
  'elder feather fern field flint forty garden gate gorse granite harbour hazel heather hedge hill honey island ivy juniper kettle ladder lantern ' +
  'lichen lime linen maple meadow mill moss north oak orchard pebble pine quarry reed river rowan sage sorrel spruce willow'
).split(' ');

/**
 * Three words that tie a printed page to the record that it was made from: another record gives other words.
 *
 * @param facts what the page says, in a fixed order
 * @returns three words
 */
export function checkWords(facts: readonly string[]): string {
  const digest = createHash('sha256').update(facts.join('\n')).digest();
  return [0, 1, 2].map((at) => WORDS[digest.readUInt16BE(at * 2) % WORDS.length]!).join(', ');
}
