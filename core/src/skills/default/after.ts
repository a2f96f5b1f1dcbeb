import type { Skill } from '../skill';
import { BROOD_TIME, SUPER_TIME, SWARM_TIME, skillIn, usualRule } from './make';

const judge = skillIn('judge');
const close = skillIn('close');
const record = skillIn('record');

/** From the frames to the book: judge, close, record. */
export const AFTER_THE_FRAMES: readonly Skill[] = [
  judge({
    id: 'proves-queen',
    faults: 2,
    needs: ['finds-eggs'],
    season: BROOD_TIME,
    colony: ['eggs'],
    role: 'frames',
    rule: usualRule(3, 'alone', { colonies: 2 }),
  }),
  judge({
    id: 'sums-up',
    faults: 2,
    indoors: true,
    rule: usualRule(3, 'alone', { colonies: 2, indoors: 1 }),
  }),
  judge({
    id: 'knows-enough',
    faults: 2,
    needs: ['states-aim'],
    role: 'clock',
    indoors: true,
    rule: usualRule(2, 'alone', { colonies: 2, indoors: 1 }),
  }),
  judge({
    id: 'estimates-stores',
    faults: 2,
    needs: ['tells-contents'],
    colony: ['stores'],
    role: 'record',
    indoors: true,
    rule: usualRule(2, 'alone', { colonies: 2, indoors: 1, months: 24 }),
  }),
  judge({
    id: 'decides-room',
    faults: 1,
    season: SUPER_TIME,
    indoors: true,
    rule: usualRule(2, 'with-a-word', { colonies: 2, indoors: 1, months: 24 }),
  }),
  judge({
    id: 'decides-feed',
    faults: 1,
    needs: ['estimates-stores'],
    indoors: true,
    rule: usualRule(2, 'with-a-word', { indoors: 1, months: 24 }),
  }),
  judge({
    id: 'swarm-or-replacement',
    faults: 1,
    needs: ['tells-cells'],
    season: SWARM_TIME,
    colony: ['queen-cells'],
    role: 'frames',
    indoors: true,
    rule: usualRule(2, 'with-a-word', { indoors: 1, months: 24 }),
  }),
  judge({
    id: 'names-other-way',
    faults: 1,
    indoors: true,
    rule: usualRule(2, 'alone', { indoors: 1, months: 24 }),
  }),
  close({
    id: 'pins-queen',
    faults: 2,
    needs: ['tells-castes'],
    season: BROOD_TIME,
    role: 'frames',
    rule: usualRule(2, 'alone'),
  }),
  close({
    id: 'spaces-frames',
    faults: 2,
    role: 'frames',
    rule: usualRule(2, 'alone', { months: 24 }),
  }),
  close({
    id: 'returns-stragglers',
    faults: 1,
    role: 'frames',
    rule: usualRule(2, 'alone', { months: 24 }),
  }),
  close({
    id: 'tidies-comb',
    faults: 2,
    gear: ['lidded-bucket'],
    role: 'frames',
    rule: usualRule(2, 'alone', { months: 24 }),
  }),
  close({
    id: 'closes-complete',
    faults: 2,
    needs: ['keeps-parts'],
    role: 'frames',
    rule: usualRule(3, 'alone', { days: 3 }),
  }),
  record({
    id: 'draws-frame',
    faults: 1,
    needs: ['tells-contents'],
    role: 'record',
    indoors: true,
    rule: usualRule(3, 'alone', { indoors: 1, months: 24 }),
  }),
  record({
    id: 'compares-last',
    faults: 1,
    role: 'record',
    indoors: true,
    rule: usualRule(2, 'alone', { colonies: 2, indoors: 1, months: 24 }),
  }),
  record({
    id: 'dates-revisit',
    faults: 2,
    needs: ['ages-larvae'],
    role: 'record',
    indoors: true,
    rule: usualRule(2, 'alone', { indoors: 1, months: 24 }),
  }),
  record({
    id: 'says-how-sure',
    faults: 1,
    role: 'record',
    rule: usualRule(2, 'alone', { months: 24 }),
  }),
];
