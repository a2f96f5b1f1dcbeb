import type { Text } from '../language';
import type { ClimateBand } from '../season';
import type { ColonyAim, Trait } from './stock';

/** What differs from a rule of thumb in a climate. */
export type ClimateNote =
  | 'beetles-and-moth'
  | 'robbing-all-year'
  | 'wasps-late'
  | 'long-winter-food'
  | 'brood-eats-in-winter'
  | 'dearth-is-winter'
  | 'few-mating-days'
  | 'mates-all-year'
  | 'swarms-twice'
  | 'winter-bees-early'
  | 'short-broodless'
  | 'brood-all-year'
  | 'beetles-in-patties'
  | 'winter-needs-five'
  | 'no-winter-size'
  | 'heat-before-cold'
  | 'model-of-temperate'
  | 'dearth-is-the-test'
  | 'moth-in-store'
  | 'warm-weeks-few'
  | 'one-box-at-a-time'
  | 'empty-box-guarded'
  | 'never-shut';

/** What is said of what a colony is kept for, of its queen's stock, and of queens in reserve. */
export interface StockSentences {
  'aim-asks': { aim: ColonyAim; otherwise: Text | null };
  'aim-leaves-out': { aim: ColonyAim; titles: readonly Text[] };
  'divide-it': { points: number };
  'comb-out-of-reserve': null;
  'lets-reserve-grow': null;
  'sharp-at-looks': { tempers: readonly number[] };
  'gentle-at-looks': { tempers: readonly number[] };
  'not-gentle': { tempers: readonly number[] };
  'trait-noted': { trait: Trait; days: number };
  'temper-not-known': { looks: number; wanted: number };
  'not-wintered-yet': null;
  'mites-never-counted': null;
  'mites-over-line-once': null;
  'mites-stayed-few': { samples: number };
  'few-good-traits': { wanted: number };
  'plan-gentler-queen': null;
  'sharp-has-other-causes': null;
  'lets-nature-choose': null;
  'looks-with-temper': { looks: number };
  'requeen-rule': { looks: number; hot: number; again: number };
  'breed-rule': { looks: number; novices: number; traits: number; seasons: number };
  tempers: null;
  'tempers-in-order': { tempers: readonly number[] };
  'not-for-beginners': null;
  'calm-next-three': null;
  'her-bees-six-weeks': null;
  'new-queen-her-temper': null;
  'raise-daughters': null;
  'buys-tested-queens': null;
  'swarms-small-then-not': null;
  'daughters-differ': null;
  'cells-of-her-taken': null;
  'reserve-ready': { seasons: number | null; bees: number | null };
  'reserve-not-ready': { why: Text };
  'reserve-unsound': null;
  'reserve-robbed': null;
  'reserve-has-cells': null;
  'reserve-not-laying': null;
  'reserve-shut': null;
  'give-queen': { from: string; to: string; unites: boolean };
  'queen-for': {
    trouble: 'drone-layer' | 'laying-workers' | 'overdue' | 'queenless' | 'failing';
    proved: boolean;
    seasons: number | null;
    bees: number;
  };
  'climate-not-known': null;
  'rule-holds': { band: ClimateBand };
  'rule-differs': { band: ClimateBand; note: ClimateNote };
}
