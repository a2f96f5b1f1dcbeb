import type { ClimateBand } from '../season';
import type { AdviceKind, Holding, HoldsHere } from './advice';
import { say } from './said';
import type { ClimateNote } from './said-stock';

type Notes = Readonly<Partial<Record<ClimateBand, readonly [Exclude<Holding, 'holds' | 'not-known'>, ClimateNote]>>>;

/**
 * Where the rules of thumb of each judge do not hold as they stand; anywhere else they do. They were gathered in temperate places: what rests on
 * the days of brood or on temperatures carries over, what rests on a winter does not. Common practice, from memory.
 */
const ELSEWHERE: Readonly<Record<AdviceKind, Notes>> = {
  health: { subtropical: ['with-care', 'beetles-and-moth'] },
  entrance: { subtropical: ['with-care', 'robbing-all-year'], 'mild-winter': ['with-care', 'wasps-late'] },
  feed: {
    'cold-continental': ['with-care', 'long-winter-food'],
    'mild-winter': ['with-care', 'brood-eats-in-winter'],
    subtropical: ['not-here', 'dearth-is-winter'],
  },
  queen: { 'cool-maritime': ['with-care', 'few-mating-days'], subtropical: ['with-care', 'mates-all-year'] },
  'queen-cells': { 'cool-maritime': ['with-care', 'few-mating-days'] },
  swarming: { subtropical: ['with-care', 'swarms-twice'], 'mild-winter': ['with-care', 'swarms-twice'] },
  mites: {
    'cold-continental': ['with-care', 'winter-bees-early'],
    'mild-winter': ['with-care', 'short-broodless'],
    subtropical: ['not-here', 'brood-all-year'],
  },
  protein: { subtropical: ['with-care', 'beetles-in-patties'], 'mild-winter': ['with-care', 'beetles-in-patties'] },
  strength: { 'cold-continental': ['with-care', 'winter-needs-five'], subtropical: ['not-here', 'no-winter-size'] },
  chill: { subtropical: ['with-care', 'heat-before-cold'] },
  behind: { subtropical: ['with-care', 'model-of-temperate'], 'mild-winter': ['with-care', 'model-of-temperate'] },
  selection: { subtropical: ['with-care', 'dearth-is-the-test'] },
  comb: { subtropical: ['with-care', 'moth-in-store'], 'cold-continental': ['with-care', 'warm-weeks-few'] },
  'add-space': { 'cool-maritime': ['with-care', 'one-box-at-a-time'], subtropical: ['with-care', 'empty-box-guarded'] },
  'look-again': {},
  'cannot-tell': {},
  'leave-alone': { subtropical: ['with-care', 'never-shut'] },
};

/**
 * Whether the rule behind an advice holds in the climate of a place.
 *
 * @param kind the advice
 * @param band the climate, `null` where nobody knows the place
 * @returns the climate, whether the rule holds there, and what differs
 * Source: common practice.
 */
export function holdsHere(kind: AdviceKind, band: ClimateBand | null): HoldsHere {
  if (band === null) return { band, holding: 'not-known', says: say('climate-not-known') };
  const note = ELSEWHERE[kind][band];
  if (note === undefined) return { band, holding: 'holds', says: say('rule-holds', { band }) };
  return { band, holding: note[0], says: say('rule-differs', { band, note: note[1] }) };
}
