import { DEVELOPMENT } from '../../biology';
import { BROOD, LETTERS, type Letter, type PollenColour, POLLEN_COLOUR_NAMES } from '../../inspection';
import { scattered, type Random } from '../../units';
import { type CellKind, type CombGrid, DEEP_COMB, LETTER_OF, neighboursOf } from './cells';
import { type Laying, type NestPlace, ageAt, layingFor, nestFields } from './nest';
import { type Trouble, befall } from './troubles';

/** What a comb side is to show. */
export interface CombRecipe {
  readonly seed: number;
  /** Eighths by content, fractions allowed, together 8. */
  readonly shares: Readonly<Partial<Record<Letter, number>>>;
  readonly place: NestPlace;
  /** `null` for the laying that fits the shares best. */
  readonly laying: Laying | null;
  /** Share of sealed brood cells that stand open among it, 0 to 0.6. */
  readonly misses: number;
  /** Colours of stored pollen; none for a choice of the seed's own. */
  readonly pollens: readonly PollenColour[];
  readonly trouble: Trouble | null;
  /** Share of the brood that the trouble befell, 0 to 1. */
  readonly struck: number;
  /** Cells that hold two eggs. */
  readonly doubles: number;
}

/** A comb side, cell by cell, with what is true of it. */
export interface CombSide {
  readonly grid: CombGrid;
  readonly kinds: readonly CellKind[];
  /** Days since the egg was laid, for cells with brood. */
  readonly ages: readonly (number | null)[];
  /** Colour of the pollen in a cell. */
  readonly pollens: readonly (PollenColour | null)[];
  /** 0 to 1 for each cell: how it differs from others of its kind. */
  readonly tints: Float64Array;
  /** Eighths by content, counted. */
  readonly truth: Readonly<Partial<Record<Letter, number>>>;
}

const { egg, larva } = DEVELOPMENT.worker;
const EIGHTHS = 8;

/** Takes the cells that a field ranks first. */
function taken(from: Set<number>, field: ArrayLike<number>, count: number): number[] {
  const first = [...from].sort((a, b) => field[a]! - field[b]!).slice(0, count);
  for (const cell of first) from.delete(cell);
  return first;
}

/** Whole cells by content: the largest remainders get the cells that rounding left over. */
function cellsFor(shares: CombRecipe['shares'], all: number): ReadonlyMap<Letter, number> {
  const sum = LETTERS.reduce((total, letter) => total + (shares[letter] ?? 0), 0);
  const exact = LETTERS.map((letter) => ({ letter, cells: ((shares[letter] ?? 0) / sum) * all }));
  const whole = new Map(exact.map(({ letter, cells }) => [letter, Math.floor(cells)]));
  const over = all - [...whole.values()].reduce((total, cells) => total + cells, 0);
  for (const { letter } of exact.toSorted((a, b) => (b.cells % 1) - (a.cells % 1)).slice(0, over))
    whole.set(letter, whole.get(letter)! + 1);
  return whole;
}

/**
 * Lays out a comb side as a nest lies: an oval of brood with the oldest in the middle or in rings, drone brood at the lower rim, a band of
 * pollen around, honey in an arch above, nectar between, comb that stands empty where it is left.
 *
 * @param recipe what it is to show; the same recipe gives the same side
 * @param grid cells of the side
 * @returns the side; its truth is counted from the cells
 * @throws RangeError when the shares hold nothing or something negative
 */
export function layComb(recipe: CombRecipe, grid: CombGrid = DEEP_COMB): CombSide {
  const given = LETTERS.map((letter) => recipe.shares[letter] ?? 0);
  if (given.some((share) => !(share >= 0)) || given.every((share) => share === 0))
    throw new RangeError('A comb side needs eighths of something, none of them negative.');
  const random = scattered(recipe.seed);
  const all = grid.columns * grid.rows;
  const fields = nestFields(grid, recipe.place, random);
  const wanted = cellsFor(recipe.shares, all);
  const kinds = Array.from({ length: all }, (): CellKind => 'empty');
  const ages = Array.from({ length: all }, (): number | null => null);
  const free = new Set(kinds.keys());
  const put = (letter: 'F' | 'X' | 'H' | 'P' | 'N', field: ArrayLike<number>, kind: CellKind) => {
    for (const cell of taken(free, field, wanted.get(letter)!)) kinds[cell] = kind;
  };
  put('F', fields.bare, 'foundation');
  put('X', fields.drone, 'spoilt');
  const nest = taken(
    free,
    fields.out,
    BROOD.reduce((sum, letter) => sum + wanted.get(letter)!, 0),
  );
  layBrood(nest, recipe, wanted, fields, kinds, ages);
  put('H', fields.store, 'capped-honey');
  put('P', fields.band, 'pollen');
  put('N', fields.store, 'nectar');
  scatter(nest, recipe.misses, fields.out, kinds, ages, random);
  if (recipe.trouble) befall(recipe.trouble, recipe.struck, { grid, kinds, ages }, random);
  doubleEggs(recipe.doubles, kinds, random);
  const tints = Float64Array.from(kinds, () => random.unit());
  return { grid, kinds, ages, pollens: pollensOf(recipe, grid, kinds, random), tints, truth: truthOf(kinds) };
}

/** Drones at the lower rim, then the oldest worker brood is sealed and the youngest eggs. */
function layBrood(
  nest: readonly number[],
  recipe: CombRecipe,
  wanted: ReadonlyMap<Letter, number>,
  { out, drone }: { readonly out: Float64Array; readonly drone: Float64Array },
  kinds: CellKind[],
  ages: (number | null)[],
): void {
  const workers = new Set(nest);
  for (const cell of taken(workers, drone, wanted.get('D')!)) {
    kinds[cell] = 'sealed-drone';
    ages[cell] = egg + larva + 6;
  }
  const [eggs, larvae, sealed] = [wanted.get('E')!, wanted.get('L')!, wanted.get('S')!];
  const laying = recipe.laying ?? layingFor([eggs, larvae, sealed]);
  const rim = nest.length === 0 ? 1 : out[nest.at(-1)!]!;
  const least = nest.length === 0 ? 0 : out[nest[0]!]!;
  for (const cell of workers)
    ages[cell] = ageAt(laying, rim === least ? 0 : Math.max(0, (out[cell]! - least) / (rim - least)));
  const young = new Float64Array(kinds.length);
  for (const cell of workers) young[cell] = ages[cell]!;
  for (const cell of taken(workers, young, eggs)) {
    kinds[cell] = 'egg';
    ages[cell] = Math.min(ages[cell]!, egg - 0.1);
  }
  const open = taken(workers, young, larvae);
  open.forEach((cell, rank) => {
    const age = egg + ((rank + 0.5) / open.length) * larva;
    const own = ages[cell]!;
    ages[cell] = own >= egg && own < egg + larva ? own : age;
    kinds[cell] = ages[cell] < egg + larva / 2 ? 'young-larva' : 'old-larva';
  });
  for (const cell of workers) {
    ages[cell] = Math.max(ages[cell]!, egg + larva + 0.1);
    kinds[cell] = ages[cell] > 20.5 ? 'hatching' : 'sealed-worker';
  }
}

/** Sealed brood with cells among it that stand open: what they hold changes places with a cell at the rim of the nest, so that the sums stay. */
function scatter(
  nest: readonly number[],
  misses: number,
  out: Float64Array,
  kinds: CellKind[],
  ages: (number | null)[],
  random: Random,
): void {
  const sealed = nest.filter((cell) => kinds[cell] === 'sealed-worker');
  const open = [...kinds.keys()].filter((cell) => ['empty', 'egg', 'young-larva'].includes(kinds[cell]!));
  const swaps = Math.min(Math.round(sealed.length * misses), open.length);
  const others = open.sort((a, b) => out[a]! - out[b]!).slice(0, 2 * swaps);
  for (let swap = 0; swap < swaps; swap += 1) {
    const [one] = sealed.splice(random.below(sealed.length), 1);
    const [other] = others.splice(random.below(others.length), 1);
    [kinds[one!], kinds[other!]] = [kinds[other!]!, kinds[one!]!];
    [ages[one!], ages[other!]] = [ages[other!]!, ages[one!]!];
  }
}

function doubleEggs(count: number, kinds: CellKind[], random: Random): void {
  const eggs = [...kinds.keys()].filter((cell) => kinds[cell] === 'egg');
  for (let done = 0; done < count && eggs.length > 0; done += 1)
    kinds[eggs.splice(random.below(eggs.length), 1)[0]!] = 'two-eggs';
}

/** Colours that are common in combs, for a side whose colours nobody wrote down. */
const USUAL: readonly PollenColour[] = ['yellow', 'golden', 'orange', 'cream', 'brick-red', 'olive', 'grey'];

/** Neighbouring cells tend to hold pollen of one plant: foragers unload near each other. */
function pollensOf(
  recipe: CombRecipe,
  grid: CombGrid,
  kinds: readonly CellKind[],
  random: Random,
): readonly (PollenColour | null)[] {
  const own = POLLEN_COLOUR_NAMES.filter((colour) => recipe.pollens.includes(colour));
  const colours =
    own.length > 0 ? own : Array.from({ length: 2 + random.below(3) }, () => USUAL[random.below(USUAL.length)]!);
  const pollens = kinds.map((): PollenColour | null => null);
  kinds.forEach((kind, cell) => {
    if (kind !== 'pollen') return;
    const near = neighboursOf(grid, cell).flatMap((other) => (other < cell && pollens[other] ? [pollens[other]] : []));
    const alike = near.length > 0 && random.unit() < 0.72;
    pollens[cell] = alike ? near[random.below(near.length)]! : colours[random.below(colours.length)]!;
  });
  return pollens;
}

/**
 * Counts a side.
 *
 * @param kinds of its cells
 * @returns eighths by content, those that are there
 */
export function truthOf(kinds: readonly CellKind[]): CombSide['truth'] {
  const cells = new Map<Letter, number>();
  for (const kind of kinds) cells.set(LETTER_OF[kind], (cells.get(LETTER_OF[kind]) ?? 0) + 1);
  return Object.fromEntries(
    LETTERS.flatMap((letter) => (cells.has(letter) ? [[letter, (cells.get(letter)! / kinds.length) * EIGHTHS]] : [])),
  );
}
