import type { Said } from '@brave-comb/core/language';
import type { HousePractice } from '@brave-comb/core/house';
import { say } from '../../words';

type Rule = (practice: HousePractice) => Said | null;

const swarmLooks: Rule = ({ calendar }) =>
  calendar.catchCells ? say('rule-swarm-looks', { days: calendar.swarmIntervalDays }) : say('rule-no-swarm-looks');
const looks: Rule = ({ care }) => say('rule-looks', { days: care.intervalDays });
const rest: Rule = ({ calendar }) => say('rule-rest', { days: calendar.restDays });
const load: Rule = ({ calendar }) => say('rule-load', calendar.load);
const leastFood: Rule = ({ care }) => say('rule-least-food', { least: care.leastStoresKg, to: care.feedToKg });
const winterFood: Rule = ({ care }) => say('rule-winter-food', { kg: care.winterStoresKg });
const space: Rule = ({ care }) => say('rule-space', { tenths: Math.round(10 * care.addSpaceAt) });
const boxes: Rule = ({ care }) => say('rule-boxes', { boxes: care.broodBoxes });
const drive: Rule = ({ care }) => (care.stimulates ? say('rule-stimulates') : null);
const lift: Rule = ({ lift: most }) => say('rule-lift', most);
const openFor: Rule = ({ openMinutes }) => say('rule-open-for', { minutes: openMinutes });
const group: Rule = ({ groupLimit }) => say('rule-group', { most: groupLimit });
const mites: Rule = ({ care }) => say('rule-mites', { school: care.mites });
const combs: Rule = ({ combGoal }) => (combGoal > 0 ? say('rule-combs', { combs: combGoal }) : null);
const weather: Rule = ({ limits }) => {
  const { warmth, heat, gust } = limits.full;
  return say('rule-weather', { warmth, heat, gust });
};

/** Rules of the house by the word of the glossary under which somebody looks for them. */
const RULES: Readonly<Record<string, readonly Rule[]>> = {
  'swarm-check': [swarmLooks],
  'swarm-season': [swarmLooks],
  swarming: [swarmLooks],
  'queen-cell': [swarmLooks],
  'swarm-cell': [swarmLooks],
  visit: [looks, rest, openFor],
  session: [group, openFor],
  'leave-alone': [rest, load],
  stores: [leastFood],
  feeder: [leastFood],
  'thin-syrup': [drive, leastFood],
  'winter-stores': [winterFood],
  hefting: [winterFood, lift],
  super: [space, lift],
  seam: [space],
  'brood-box': [boxes, lift],
  depth: [weather],
  varroa: [mites],
  'mite-count': [mites],
  'drawn-comb': [combs],
};

/**
 * What a house does as a matter of course about what a word names.
 *
 * @param word its address in the glossary
 * @param practice of the house
 * @returns a sentence for each rule, none where the house has none
 */
export const houseRules = (word: string, practice: HousePractice): readonly Said[] =>
  (RULES[word] ?? []).flatMap((rule) => rule(practice) ?? []);
