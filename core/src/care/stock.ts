/**
 * What a colony is kept for: honey as everybody does where nobody said otherwise, more colonies, to live through by itself, or a small one that
 * holds a queen in reserve.
 */
export const COLONY_AIMS = ['honey', 'growth', 'survival', 'reserve'] as const;
export type ColonyAim = (typeof COLONY_AIMS)[number];

/** What was noted of a colony's nature, as far as it is its queen's. */
export const TRAITS = [
  'gentle',
  'productive',
  'builds-in-dearth',
  'winters-well',
  'clean',
  'sharp',
  'follows',
  'runs-on-comb',
  'swarms-small',
  'chalkbrood-again',
] as const;
export type Trait = (typeof TRAITS)[number];

/** Traits that speak for raising daughters. */
export const GOOD_TRAITS: ReadonlySet<Trait> = new Set<Trait>([
  'gentle',
  'productive',
  'builds-in-dearth',
  'winters-well',
  'clean',
]);

/** What is known of a colony's nature since its queen's own bees fill it. */
export interface Character {
  /** Each trait with the number of days on which somebody noted it. */
  readonly traits: readonly { readonly trait: Trait; readonly days: number }[];
  /** Temper at each look, 1 gentle to 5 not fit for beginners, the latest last. */
  readonly tempers: readonly number[];
}

export const NO_CHARACTER: Character = { traits: [], tempers: [] };

/** Where the queens of new colonies come from: raised from larvae, bought laying, bought as cells, or left to the bees. */
export const QUEEN_SOURCES = ['graft', 'buy-mated', 'buy-cells', 'walk-away'] as const;
export type QueenSource = (typeof QUEEN_SOURCES)[number];
