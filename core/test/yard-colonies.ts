import type { YardColony } from '../src/care';
import type { Phase } from '../src/season';

/** A colony of which nothing else is said. */
export const ordinary: Omit<YardColony, 'number' | 'phase'> = {
  bees: 8,
  brood: 4,
  storesKg: 8,
  leastKg: 5,
  feedToKg: 10,
  frame: 'national-deep',
  queenright: true,
  sound: true,
  suspected: false,
  treated: false,
  cells: false,
  robbed: false,
  mites: false,
  eggs: true,
  trouble: null,
  queenSeasons: 2,
  aim: null,
  small: false,
};
const WORDS: Readonly<Record<string, Partial<YardColony>>> = {
  sick: { sound: false },
  suspected: { suspected: true },
  treated: { treated: true },
  queenless: { queenright: false },
  'lost-queen': { queenright: false, eggs: false, trouble: 'queenless' },
  'late-queen': { queenright: false, eggs: false, trouble: 'overdue' },
  'drone-queen': { queenright: false, trouble: 'drone-layer' },
  'laying-workers': { queenright: false, trouble: 'laying-workers' },
  'old-queen': { queenSeasons: 3, trouble: 'failing' },
  'young-queen': { queenSeasons: 1 },
  'no-eggs': { eggs: false },
  small: { small: true, bees: 4, brood: 2, storesKg: 4, leastKg: 2, feedToKg: 4 },
  growth: { aim: 'growth' },
  survival: { aim: 'survival' },
  honey: { aim: 'honey' },
  reserve: { aim: 'reserve' },
  cells: { cells: true },
  robbed: { robbed: true },
  mites: { mites: true },
  unread: { bees: null },
  langstroth: { frame: 'langstroth-deep' },
};
const FIGURES = { bees: 'bees', brood: 'brood', food: 'storesKg' } as const;

/** The colonies of a row. */
export function yardOf(given: string): readonly YardColony[] {
  const pieces = given.split(';').map((piece) => piece.trim());
  const phase = (pieces.find((piece) => piece.startsWith('phase '))?.slice(6) ?? 'build-up') as Phase;
  return pieces
    .filter((piece) => !piece.startsWith('phase '))
    .map((piece) => {
      const [number, ...rest] = piece.split(' ');
      const known: Record<string, unknown> = {};
      for (let at = 0; at < rest.length; at += 1) {
        const word = rest[at]!;
        if (word in FIGURES) known[FIGURES[word as keyof typeof FIGURES]] = Number(rest[(at += 1)]);
        else if (WORDS[word]) Object.assign(known, WORDS[word]);
        else throw new Error(`the case says ${word}, which nobody knows`);
      }
      return { ...ordinary, ...known, number: number!, phase };
    });
}
