import type { Skill } from '../skill';
import { BROOD_TIME, DRONE_TIME, SWARM_TIME, skillIn, usualRule } from './make';

const care = skillIn('care');
const safety = skillIn('safety');

/** For the colony and for people: care and safety. */
export const CARE_AND_SAFETY: readonly Skill[] = [
  care({
    id: 'samples-mites',
    faults: 2,
    needs: ['pins-queen'],
    season: BROOD_TIME,
    colony: ['sealed-brood'],
    gear: ['mite-shaker', 'half-cup-measure'],
    role: 'frames',
    rule: usualRule(2, 'with-a-word', { months: 14 }),
  }),
  care({
    id: 'matchstick',
    faults: 2,
    needs: ['suspect-lids'],
    season: BROOD_TIME,
    colony: ['doubtful-brood'],
    gear: ['matchsticks', 'washing-soda'],
    role: 'frames',
    risk: 'disease',
    indoors: true,
    rule: usualRule(1, 'with-a-word', { indoors: 1, lead: true }),
  }),
  care({
    id: 'leaves-virgin',
    faults: 1,
    season: DRONE_TIME,
    indoors: true,
    rule: usualRule(1, 'alone', { indoors: 1, months: 24 }),
  }),
  care({
    id: 'splits-safely',
    faults: 2,
    needs: ['swarm-or-replacement', 'pins-queen'],
    season: SWARM_TIME,
    indoors: true,
    rule: usualRule(1, 'with-a-word', { indoors: 1, months: 24 }),
  }),
  care({
    id: 'mixes-feed',
    faults: 2,
    needs: ['decides-feed'],
    gear: ['scale', 'feeder'],
    indoors: true,
    rule: usualRule(1, 'alone', { indoors: 1, months: null }),
  }),
  care({
    id: 'grades-comb',
    faults: 1,
    role: 'frames',
    rule: usualRule(2, 'alone', { months: 24 }),
  }),
  safety({
    id: 'veil-checked',
    faults: 2,
    risk: 'stings',
    gate: true,
    indoors: true,
    rule: usualRule(2, 'alone', { indoors: 1 }),
  }),
  safety({
    id: 'eases-off',
    faults: 2,
    colony: ['lively-bees'],
    role: 'smoke',
    risk: 'stings',
    gate: true,
    rule: usualRule(2, 'alone', { colonies: 2 }),
  }),
  safety({
    id: 'after-sting',
    faults: 2,
    risk: 'stings',
    indoors: true,
    rule: usualRule(1, 'alone', { indoors: 1 }),
  }),
  safety({
    id: 'smoker-out',
    faults: 1,
    gear: ['smoker'],
    role: 'smoke',
    risk: 'fire',
    rule: usualRule(2, 'alone', { months: 24 }),
  }),
  safety({
    id: 'clean-tools',
    faults: 1,
    gear: ['washing-soda'],
    risk: 'disease',
    rule: usualRule(2, 'alone'),
  }),
];
