import type { WeatherSentences } from '../../weather/said';
import type { Sentences } from '../../language';

/** Sentences of the room, from their facts. */
export const weatherSentences: Sentences<WeatherSentences> = {
  'shade-water-where-people-take': 'Shade and water where people take their veils off.',
  'suits-open-shade-each-break': 'Suits open in the shade at each break; the lightest veil that closes.',
  'dizzy-sick-headache-out-suit':
    'Dizzy, sick or a headache: out of the suit, into the shade, water, and do not leave them alone.',
  'short-turns-early-late-day': 'Short turns, early or late in the day only. Look at each other.',
  'hot-confused-sweating-call-emergency':
    'Hot, confused or not sweating: call the emergency number and cool them at once.',
  'work-suits-heat': 'No work in suits at this heat.',
  'bare-skin-can-freeze-within': 'Bare skin can freeze within half an hour at this wind chill.',
  'warm-gloves-off-hive-cold':
    'Warm gloves off the hive: cold hands crush bees and drop frames. Something hot at the break.',
  'empty-smoker-bare-ground-pour': 'Empty the smoker on bare ground and pour water on it.',
  'set-smoker-plate-bare-ground':
    'Set the smoker on a plate or bare ground, never in grass. A bucket of water stands beside it.',
  'light-bare-ground-only-out':
    'Light it on bare ground only, out of the wind, with water and a beater at hand; one person minds it.',
  'ask-whether-open-fire-banned':
    'Ask whether open fire is banned today. A spray bottle instead of smoke is enough for a quick look.',
  'smoker-use-spray-bottle-put': 'No smoker: use a spray bottle, or put the visit off. Local fire bans decide.',
  'keep-vehicles-off-dry-grass': 'Keep vehicles off dry grass.',
};
