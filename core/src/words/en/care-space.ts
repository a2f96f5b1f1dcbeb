import type { SpaceSentences } from '../../care';
import type { Sentences } from '../../language';
import { ordinal } from './counted';

/** What is said of room and of swarming. */
export const spaceSentences: Sentences<SpaceSentences> = {
  'swarm-crowded': ({ covered }, w) => `Bees cover ${w.number(Math.round(covered * 10))} of 10 frames of the nest`,
  'swarm-free-comb': ({ free }, w) =>
    free < 0.25 ? 'No free comb ahead of the queen' : `${w.number(free, 1)} frames free ahead of the queen`,
  'swarm-bees-due': ({ frames }, w) => `About ${w.number(frames, 1)} frames of bees emerge within 12 days`,
  'swarm-cups': ({ cups }) => (cups === 1 ? 'An egg in a cup' : `Eggs in ${cups} cups`),
  'swarm-fed': ({ days }) => `Thin syrup ${days} days ago: it drives brood`,
  'swarm-queen-seasons': ({ seasons }) =>
    seasons <= 1 ? 'A queen of this year hardly ever leaves' : `The queen is in her ${ordinal(seasons)} season`,
  'swarm-room-above': 'Room in the supers above',
  'before-they-swarm': ({ points, divides }, w) =>
    `Act before they swarm (${w.number(points)} of 100 points): ${divides ? 'take two combs of brood away, or divide them' : 'give them room to lay'}`,
  'room-only-or-cuts-cells':
    'only gives room and lets them go, for a colony that swarms lives on; yet another clips the queen to win days.',
  'points-of-100': ({ points }, w) => `${w.number(points)} of 100 points`,
  points: ({ points }, w) => `${points > 0 ? '+' : '−'}${w.number(Math.abs(points))}`,
  'swarm-points-rule': ({ likely }) =>
    `Points for each cause, all of them in the swarm season, half while they build up or in the flow. From ${likely} on something is done before there are cells.`,
  'brood-to-sound-colonies-only':
    'Brood goes to sound colonies only, shaken free of bees; the queen is looked for first.',
  'room-taken-next-look': 'Comb free ahead of the queen and bees up in a new box: look again after a week.',
  'fed-cells-then-divide': 'Fed cells at the next look: decide the same day; room does not stop them any more.',
  'cells-look-every-side': 'Any cells? Shake each comb and look along its edges',
  'room-left-after': 'Has she room to lay now?',
  'put-brood-box': 'Put a second brood box on',
  'into-full-box': 'Move them into a full-size box, the frames in the same order in its middle',
  'keeps-in-small-box': 'takes a comb of brood away for another colony, and keeps them in the small box.',
  'swarm-clipped': 'A clipped queen cannot fly: the swarm comes back or lies before the hive, and days are won',
  'give-bars': 'Give empty bars: one beside the brood on each side, the others at the end',
  'bars-being-built': 'Are the new bars being built?',
  'one-box-or-two': 'keeps one brood box and puts a super on: one box is easier to look through and to carry.',
  'bars-or-honey-out': 'takes combs of sealed honey from the end instead.',
  'fills-a-day': ({ perDay, full }, w) =>
    `The supers gain about ${w.number(Math.round(perDay * 100))} % a day: full about ${w.day(full)}`,
  'nothing-gained': ({ days }) => `Nothing gained in ${days} days`,
  'combs-in-it': 'combs in it',
  'combs-in-it-how':
    'Drawn and bare alternated, as far as drawn ones last; nine drawn ones spaced evenly, ten bare ones tight.',
  'where-it-goes': 'where it goes',
  'where-it-goes-how':
    'On top: least lifting. Other practice puts it under the full one: a shorter way from the entrance. Trials found little between them.',
  'no-nectar-then-wait': 'A week without nectar, or cold: wait with it.',
  'not-taken-lure-them':
    'If nobody goes up in a week: take the excluder off for some days, or hang a drawn comb among the bare ones.',
  'driven-room': 'Syrup drives brood: is there room for eggs and for bees?',
  'driven-cells': 'Syrup drives brood: any queen cells?',
  'driven-divide': 'As strong as was wanted? Take brood or divide them before they leave',
  'feed-to-drive': ({ litres, last }, w) =>
    `Give ${w.litres(litres, 1)} of thin syrup a week to drive brood, until ${w.day(last)}`,
  'flow-in-days': ({ flowFrom, left }, w) => `The main flow begins about ${w.day(flowFrom)}, in ${left} days`,
  'driven-swarms': 'Fed for brood they outgrow their box and swarm sooner',
  'leaves-them-to-forage':
    'leaves them to forage while food and weather are good: syrup makes mouths before there is anything to gather.',
  'litres-a-week': ({ litres }, w) => `${w.litres(litres, 1)} a week`,
  'drive-rule': ({ from, to }) =>
    `From the egg to a bee that gathers takes about ${to} days. Syrup given ${from} to ${to} days before the main flow becomes foragers in it; later it becomes mouths, and swarms.`,
  'days-to-flow': 'days until the main flow',
  'no-super-with-feed': 'No super for harvest is on while they are fed.',
  'driven-cold-or-full': 'A cold week, or comb full of food: give none.',
  'not-taken-stop': 'If it stands a week: take it off, they bring in enough.',
};
