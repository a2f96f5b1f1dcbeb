import { counted } from './counted';
import type { MiteProduct, MiteSentences } from '../../care';
import type { Sentences } from '../../language';

const PRODUCT: Readonly<Record<MiteProduct, string>> = {
  'oxalic-dribble': 'oxalic acid, trickled',
  formic: 'formic acid',
  thymol: 'thymol',
  strips: 'strips of amitraz or a pyrethroid',
  'brood-break': 'a brood break or taking all brood out, then oxalic acid',
};

/** What is said of mites. */
export const miteSentences: Sentences<MiteSentences> = {
  'mites-counted': ({ value, low, high, method, bees, date }, w) =>
    `${w.number(value, 1)} mites on 100 bees (${w.number(low, 1)} to ${w.number(high, 1)}), ${w.name('washMethod', method)} of ${bees} bees, ${w.day(date)}`,
  counted: 'counted',
  'treated-from': 'treated from',
  'on-100-bees': ({ value }, w) => `${w.number(value, 1)} mites on 100 bees`,
  'mites-few-by': 'few mites by',
  'mites-source':
    'Thresholds, temperatures and times of extension advice and of labels, from memory: editions differ, and what is registered differs by country.',
  'mites-rule': ({ treat, plan, phase }, w) =>
    `${phase === null ? 'Without a known season' : `In ${w.name('phase', phase)}`} a colony is treated from ${w.number(treat, 1)} mites on 100 bees and counted again from ${w.number(plan, 1)}.`,
  'treat-mites': ({ product, crop, hasty }) =>
    `${crop ? (hasty ? 'Take the honey supers off now and treat' : 'Take the honey supers off, then treat') : 'Treat'} against mites${product === null ? '; no product fits the coming days, see which is nearest' : `: ${PRODUCT[product]} fits the coming days`}`,
  product: ({ product }) => PRODUCT[product],
  'many-crippled': 'Several bees with crippled wings: the mites have been many for weeks',
  'calendar-says-so': 'House practice treats at this time of every year, without counting first',
  'range-reaches-under': ({ treat }, w) =>
    `The range of the sample reaches under ${w.number(treat, 1)}: mites clump, and one sample may be unlucky`,
  'roll-finds-fewer': 'A sugar roll finds fewer mites than a wash: there are rather more',
  'winter-bees-ahead': ({ downBy, past }, w) =>
    past
      ? `Bees that have to live through winter are being reared: mites had to be few by ${w.day(downBy)}`
      : `Bees that have to live through winter are reared soon: mites have to be few by ${w.day(downBy)}`,
  'crop-cannot-wait': 'Supers for harvest are on: so many mites do not wait for the crop',
  'crop-comes-off-first':
    'Supers for harvest are on: nothing is given while honey for people stands on the hive, unless the label allows it',
  'other-school-calendar':
    'counts nothing and treats every year after the harvest and in the broodless time: no colony is forgotten.',
  'other-school-samples':
    'washes a sample first and treats only over a threshold: fewer treatments, and it shows whether the last one worked.',
  'by-the-calendar': 'by the calendar',
  'label-decides-caution':
    'What is registered, how much, how often and at which warmth is on the label and in local law: they decide, not this page.',
  'acid-caution':
    'Acids and thymol burn eyes, skin and lungs: goggles, gloves, and the mask that the label names; water at hand.',
  'honey-caution':
    'Honey that stands on the hive during a treatment is not for people. Enter it: the boxes are locked by themselves.',
  'turn-forecast': 'Days hotter or colder than the product allows: take the next one of the list.',
  'turn-broodless': 'No sealed brood: oxalic acid alone reaches all mites.',
  'turn-recount': 'A second wash under the threshold: wait, and count again in two weeks.',
  'turn-sample-first': 'A wash of 300 bees under the threshold: leave it, and count again in a month.',
  'another-active':
    'Still over the threshold two weeks after the end: another active ingredient, not more of the same.',
  'strips-out-bees-well': 'Bees well, queen laying, strips or pads where they belong?',
  'count-after': 'Mites on 300 bees after the treatment?',
  'no-forecast-for-product': 'no forecast: whether the days suit it cannot be told',
  'too-cold-for-product': ({ coolest, low }, w) =>
    `a day of only ${w.celsius(coolest, 0)} is ahead; it needs ${w.celsius(low, 0)}`,
  'too-hot-for-product': ({ warmest, high }, w) =>
    `a day of ${w.celsius(warmest, 0)} is ahead; over ${w.celsius(high, 0)} it harms brood and queen`,
  'oxalic-broodless': 'no sealed brood: it reaches every mite',
  'oxalic-not-under-cappings': 'it does not pass the cappings, and there is brood',
  'formic-not-with-young-queen': 'a young queen is on her way: the fumes cost queens',
  'formic-not-needed': 'without brood a gentler one does',
  'formic-fits': ({ coolest, warmest }, w) =>
    `days of ${w.celsius(coolest, 0)} to ${w.celsius(warmest, 0)}; it passes the cappings, within two weeks`,
  'thymol-slow': 'without brood a quicker one does',
  'thymol-fits': ({ coolest, warmest }, w) =>
    `days of ${w.celsius(coolest, 0)} to ${w.celsius(warmest, 0)}; takes four weeks`,
  'strips-slow': 'without brood a quicker one does',
  'strips-fit': 'at any warmth; six weeks and more, and mites of many places no longer die of it',
  'brood-break-other-way': 'without waiting for weather: it costs three weeks of brood',
  'crippled-wings-seen': 'Bees with crippled wings: a sign of many mites',
  'treated-count-again': ({ ended }, w) => `Treated until ${w.day(ended)}: only a count tells whether it worked`,
  'counted-long-ago': ({ date }, w) => `Over the line on ${w.day(date)}, and nothing was given since`,
  'sample-mites': ({ small }) =>
    small
      ? 'Count the mites: roll half a cup of bees in sugar and give them back'
      : 'Count the mites: wash about 300 bees',
  'sample-more-bees': 'Count the mites again, with about 300 bees',
  'sample-in-two-weeks': 'Count the mites again in two weeks',
  'sample-costs-bees': 'A wash costs 300 bees of a strong colony a day of her laying',
  'small-colony-roll': 'So few bees miss 300: roll them in sugar and give them back',
  'bees-of-a-sample': 'about 300 bees: half a cup',
  'queen-not-in-sample': 'Bees from a brood frame, and the queen seen elsewhere before a cup is filled.',
  'turn-over': ({ treat }, w) => `${w.number(treat, 1)} or more on 100 bees: treat.`,
  'turn-under': ({ plan }, w) => `Under ${w.number(plan, 1)} on 100 bees: leave it, and count again in a month.`,
  'cannot-sample-treat-late': 'If nobody can count before winter bees are reared, treat after the harvest anyway.',
  'mites-on-how-many-bees': 'How many mites on how many bees?',
  'few-bees-say-little': ({ bees }) => `A sample of ${bees} bees says little`,
  'cannot-be-ruled-out': ({ treat, high }, w) =>
    `Not shown to be over ${w.number(treat, 1)}, and not ruled out: up to ${w.number(high, 1)}`,
  'winter-trickle': 'Trickle oxalic acid when they have no brood',
  'no-brood-acid-reaches-all': 'Without brood the acid reaches every mite',
  'mites-fallen': 'Mites on the floor after the trickle?',
  'room-short-brood-box-not-super':
    'Room is short as well: give comb or a brood box meanwhile; a super for harvest waits until the withdrawal is over',
  'treatment-took': ({ medicine, share, before, after, untreated }, w) =>
    `${medicine} ${share > 0 ? `took ${w.number(share)} % of the mites` : 'did not hold the mites'}: ${w.number(before, 1)} per 100 bees before, ${w.number(after, 1)} after${untreated ? ', held against untreated colonies' : ''}`,
  'take-out-by-label': 'Take it out on the day that the label says',
  'hang-drone-frame': 'Hang an empty frame for drone comb beside the brood, and cut it out when it is sealed',
  'drone-brood-draws-mites': 'Mites breed in drone brood by preference',
  'one-frame': 'one frame',
  'drone-trap-rule': ({ from, to }) =>
    `Bees build drone comb in an empty frame and the queen lays in it. Sealed, and before a drone is out (${from} to ${to} days after it was hung), it is cut out and frozen with the mites in it; then again.`,
  'school-of-house': 'school of the house',
  'drone-trap': 'drone comb cut out',
  'left-in-it-breeds-mites': 'Left in until drones emerge it breeds mites.',
  'cut-out-drone-comb': 'Is the drone comb sealed? Cut it out and freeze it',
  'take-brood-out': ({ out, foundation }) =>
    `Take all brood out (${out} frames), give ${foundation} of foundation, and treat the bees without brood`,
  'mites-sit-in-brood': 'Most mites sit in sealed brood: they leave with it',
  'brood-costs-bees': 'Three weeks of brood is a third of the bees to come',
  'brood-taken-out': 'brood taken out in summer',
  'brood-removal-rule':
    'After the crop every comb with brood goes, also food combs that were bred in; honey never bred in stays. One frame of foundation more than was taken. What has no sealed brood is reached by an acid within a week. The brood goes to one hive set apart, is reared there and treated, or is melted.',
  'removal-first': 'first',
  'removal-first-how': 'find the queen and cage her; set the foundation in before a bee is shaken',
  'removal-out': 'brood combs out',
  'removal-bred-in': 'food combs that were bred in, out too',
  'removal-stay': 'stay',
  'removal-stay-how': ({ stay }) =>
    `${counted(stay, 'comb')} never bred in, honey and pollen, at the walls; no patch of brood left on them`,
  'removal-in': 'foundation in',
  'removal-in-how': ({ foundation }) => `${foundation}, in the middle, beside one another`,
  'removal-shake': 'then',
  'removal-shake-how': 'shake and brush the bees of every comb onto the foundation; the queen goes in last',
  'removal-acid': 'acid while no brood is sealed',
  'removal-acid-how': ({ seams, within }) =>
    `about ${counted(seams, 'seam')} of bees to reach, each one wetted once, within ${within} days; how much to a seam the label says`,
  'removal-brood': 'the brood taken out',
  'removal-brood-how': 'melted or burnt the same day; or hung in a colony of its own, treated when all has emerged',
  'acid-on-broodless-bees': 'No sealed brood yet: treat the bees now',
  'fed-and-drawing': 'Fed, and drawing the foundation?',
};
