import { saying } from '../language';
import type { FigureId, Measure } from './figures';

/** Why a figure cannot be, or is unusual. */
export interface HouseSentences {
  'figure-bounds': { measure: Measure; least: number; most: number };
  'figure-whole': null;
  'figure-other-kind': null;
  'figure-below': { figure: FigureId; other: FigureId };
  'working-day-short': null;
  'unusual-figure': { measure: Measure; low: number; high: number };
  'lift-heavy': null;
  'swarm-days-long': null;
  'open-long': null;
}

export const say = saying<HouseSentences>('house');
