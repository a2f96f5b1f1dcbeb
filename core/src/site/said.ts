import { saying } from '../language';
import type { CompassPoint } from '../units';

/** What is said of a site's plan. Metres. */
export interface SiteSentences {
  'stand-behind': { faces: CompassPoint; behind: CompassPoint; metres: number };
  'mind-hives': { hives: string[] };
  'no-clear-place': { people: number; metres: number };
  'lane-on-path': { path: string; metres: number; wants: number };
  'lane-on-gate': { gate: string; metres: number };
  'lane-on-hives': { hives: string[]; metres: number };
  'path-behind': { path: string; metres: number; wants: number };
  'stands-in': { hives: string[] };
  'hives-overlap': { hives: string[] };
  'hives-close': { hives: string[]; metres: number };
  'no-room-behind': { hives: string[]; people: number };
  'stand-low': { cm: number };
  'stand-high': { cm: number };
  'into-wind': { from: CompassPoint };
  'from-the-sun': { faces: CompassPoint };
  'move-small': { metres: number };
  'move-too-far': { metres: number; days: number };
  'move-between': { km: number; days: number };
  'move-far-enough': { km: number };
  'turn-by-steps': { degrees: number; days: number };
}

export const say = saying<SiteSentences>('site');
