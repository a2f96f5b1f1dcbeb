import type { EntranceSentences } from '../../care';
import type { Sentences } from '../../language';

/** What is said of the entrance, wasps and robbers. */
export const entranceSentences: Sentences<EntranceSentences> = {
  'bees-in-nest': 'bees',
  'frames-of-bees': ({ value }, w) => `${w.number(value, 1)} frames`,
  'wasps-a-minute': 'wasps a minute',
  'wasps-pass-guards': ({ aMinute }, w) => `${w.number(aMinute)} wasps a minute pass the guards: they have given up`,
  'wasps-press': ({ aMinute }, w) => `${w.number(aMinute)} wasps a minute at the entrance`,
  'few-guards-robbing-season': ({ bees }, w) =>
    `Only ${w.number(bees, 1)} frames of bees, at the time of year when others look for honey`,
  'few-guards': 'Few bees to guard it',
  'robbing-close-narrow': 'Robbing has started: close up and narrow the entrance to one bee, now',
  'one-bee-wide': 'one bee wide',
  'robbing-rule':
    'Robbing feeds itself: close the hive, narrow the entrance, clear away what drips, feed nobody by day, and open nothing else near it today.',
  'robbing-seen': 'Robbing was seen',
  'hot-needs-air': 'On a hot day a narrow entrance lets in too little air: open a mesh floor or a screened vent',
  'shuts-for-a-day': 'shuts the hive with mesh until the evening, or sets a wet cloth before the entrance.',
  'robbing-stings': 'Robbed and robbing bees sting: people step back, veils stay on, neighbours are told.',
  'never-shut-in-heat': 'Never shut a full hive tight in the heat: it dies within the hour.',
  'young-bees-at-noon':
    'Bees that hover with their heads to the hive and leave again at noon are young ones learning the place: no robbing.',
  'move-the-robbed-hive':
    'If it goes on, move the robbed hive some kilometres away at dusk, or unite it if it has no queen.',
  'robbing-over-queenright': 'Robbing over? Queenright, and food left?',
  'narrow-entrance-to': ({ width }, w) => `Narrow the entrance: ${w.name('entrance', width)}`,
  'entrance-width': ({ width }, w) => w.name('entrance', width),
  'narrow-rule':
    'An entrance is as wide as the bees can guard: a plug of grass, foam or wood does, and they find the way in ten minutes.',
  'traps-wasps': 'sets wasp traps some metres away and leaves the entrance as it is.',
  'guards-cope': 'Guards meet every wasp at the board: leave it as it is.',
  'tunnel-or-unite': 'If they still get in: a tunnel before the entrance; a colony that gives up is united.',
  'ten-minutes-and-a-week': 'After ten minutes: did they find it? After a week: did it work?',
  'open-the-entrance': 'Open the entrance wide',
  'wide-rule': 'In a flow a strong colony needs the whole entrance, for traffic and for air.',
  'strong-and-busy': ({ bees }, w) =>
    `${w.number(bees, 1)} frames of bees queue at a narrow entrance while nectar comes in`,
  'keeps-it-small': 'keeps entrances small all year: easy to guard, and a colony that is crowded fans harder.',
  'robbers-about': 'Robbers or wasps about: leave it narrow.',
  'narrow-again': 'If wasps come, narrow it again.',
  'traffic-flows': 'Does the traffic flow?',
  'opened-when-robbing-is-over': 'Whatever else it may want, it is opened only when the robbing is over',
  'feed-in-the-evening': 'Robbing was seen: feed in the evening, inside the hive, and spill nothing',
};
