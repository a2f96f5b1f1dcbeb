import { saying } from '../language';

/** What this room says, with the facts of each sentence. */
export interface BiologySentences {
  'unmarked-recorded': null;
  'recorded-paint-has-worn-off': { was: string; year: number | null };
  'recorded-reared': { seen: string; year: number | null };
  'stands-recorded-now': { seen: string; year: number };
  'stands-recorded-another-queen-ask': { seen: string; reared: number; was: string | null; year: number | null };
}

export const say = saying<BiologySentences>('biology');
