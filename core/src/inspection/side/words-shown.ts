import type { FrameSide } from './frame-side';
import type { Letter } from './contents';
import type { MarkId } from './marks';
import type { QueenCell } from './queen-cells';

type Shows = (side: FrameSide) => boolean;

const holds =
  (...letters: readonly Letter[]): Shows =>
  ({ eighths, trace }) =>
    letters.some((letter) => (eighths[letter] ?? 0) > 0 || trace.includes(letter));
const marked =
  (...ids: readonly MarkId[]): Shows =>
  ({ marks = [] }) =>
    ids.some((id) => marks.includes(id));
const cells =
  (fits: (cell: QueenCell) => boolean): Shows =>
  ({ queenCells = [] }) =>
    queenCells.some(fits);
const inUse = ({ content }: QueenCell): boolean => content === 'egg' || content === 'larva' || content === 'sealed';
const either =
  (...shows: readonly Shows[]): Shows =>
  (side) =>
    shows.some((each) => each(side));

/** What of a side is a showing of a word of the trade, by the word's address in the glossary. Common practice. */
const SHOWS: Readonly<Record<string, Shows>> = {
  queen: ({ queen }) => queen,
  egg: holds('E'),
  larva: holds('L'),
  'open-brood': holds('E', 'L'),
  'sealed-brood': holds('S', 'D'),
  'drone-comb': holds('D'),
  'spotty-brood': marked('spotty-pattern'),
  'queen-cup': cells(({ content }) => content === 'cup' || content === 'egg'),
  'queen-cell': ({ cells: seen, queenCells = [] }) => queenCells.some(inUse) || seen > queenCells.length,
  'swarm-cell': cells((cell) => inUse(cell) && cell.place === 'edge'),
  supersedure: cells((cell) => inUse(cell) && cell.place === 'face'),
  cappings: marked('flat-lids', 'domed-lids', 'sunken-lids', 'pierced-lids', 'dark-lids'),
  'undrawn-foundation': holds('F'),
  'damaged-comb': either(holds('X'), marked('broken-comb', 'mould')),
  'stray-comb': marked('brace-comb', 'wide-comb'),
  propolised: marked('stuck'),
  'bee-bread': holds('P'),
  nectar: either(holds('N'), marked('wet-glint', 'drips')),
  'ripe-honey': holds('H'),
  chalkbrood: marked('chalk'),
  varroa: marked('mites', 'deformed-wings'),
  'hive-beetle': marked('beetles'),
  'wax-moth': marked('moth'),
  foulbrood: marked('sunken-lids', 'pierced-lids', 'dark-lids', 'twisted-larvae', 'yellow-larvae'),
};

/** Words that a side can show, by their addresses. */
export const WORDS_SHOWN: readonly string[] = Object.keys(SHOWS);

/**
 * Whether a side shows what a word of the glossary names: a mark of disease shows only what has to be looked into.
 *
 * @param word its address, such as `queen-cell`; a word that no side can show is never shown
 * @param side as it was read
 * @returns true where it was seen
 * @example showsWord('egg', { ...EMPTY_SIDE, trace: ['E'] }) // true
 */
export function showsWord(word: string, side: FrameSide): boolean {
  return SHOWS[word]?.(side) ?? false;
}
