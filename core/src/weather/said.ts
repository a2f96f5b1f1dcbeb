import { saying } from '../language';

/** What this room says, with the facts of each sentence. */
export interface WeatherSentences {
  'shade-water-where-people-take': null;
  'suits-open-shade-each-break': null;
  'dizzy-sick-headache-out-suit': null;
  'short-turns-early-late-day': null;
  'hot-confused-sweating-call-emergency': null;
  'work-suits-heat': null;
  'bare-skin-can-freeze-within': null;
  'warm-gloves-off-hive-cold': null;
  'empty-smoker-bare-ground-pour': null;
  'set-smoker-plate-bare-ground': null;
  'light-bare-ground-only-out': null;
  'ask-whether-open-fire-banned': null;
  'smoker-use-spray-bottle-put': null;
  'keep-vehicles-off-dry-grass': null;
}

export const say = saying<WeatherSentences>('weather');
