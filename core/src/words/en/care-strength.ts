import type { StrengthSentences } from '../../care';
import type { Sentences } from '../../language';

/** What is said of protein, and of colonies too small for winter. */
export const strengthSentences: Sentences<StrengthSentences> = {
  'pollen-found-wanted': ({ pollen, wanted }, w) =>
    `${w.number(pollen, 1)} frames of pollen added up; ${w.number(wanted, 1)} are wanted, of several colours`,
  'brood-to-feed': ({ brood }, w) => `${w.number(brood, 1)} frames of brood to feed`,
  'days-shut-in': ({ poor }) =>
    `${poor} of the next 7 days hardly fit for flying: brood rearing stops within a week where little is stored`,
  'little-pollen-in-bloom': 'Little that gives pollen is in bloom',
  'winter-bees-need-protein': 'Bees that have to live through winter are being reared',
  'own-pollen-better': 'Pollen from plants is better than any patty',
  'give-patty': ({ kg, small }, w) =>
    `Give ${w.kg(kg, 2)} of pollen patty on the frames above the brood${small ? ', cut into small pieces' : ''}`,
  'only-while-pollen-flows':
    'gives patties only beside natural pollen, as a supplement, or none: what is not eaten spoils.',
  'protein-rule': ({ wanted }, w) =>
    `A colony that rears brood wants ${w.number(wanted, 1)} frames of pollen, all patches added up. Short of it, and none coming in: a patty each week for three weeks.`,
  'pollen-stored': 'pollen stored',
  'beetles-cut-small': 'Beetles: small pieces, no more than is eaten in three days, or they breed in it.',
  'patty-eaten-or-out': 'What is not eaten in a week comes out.',
  'pollen-loads-come-in': 'Pollen loads going in on the next fine days: give none.',
  'patty-left-take-out': 'If it is left lying: take it out, there is something better about.',
  'patty-again-or-pollen': 'Patty eaten? Another, or does pollen come in?',
  'bees-of-a-winter': ({ bees, least }, w) =>
    `${w.number(bees, 1)} frames of bees; ${w.number(least)} are wanted to winter by themselves`,
  'days-until-cold': ({ coldFrom, left }, w) => `${left} days until the cold of about ${w.day(coldFrom)}`,
  'range-reaches-enough': 'The range of what was read reaches enough',
  'nurse-small-colony':
    'Small for the time of year: feed little and often, narrow the entrance, a drawn comb at a time',
  'unite-small-colony': 'Too small for winter: unite it with a healthy colony, or nurse it in a small box',
  'let-handful-go': 'A handful of bees: shake them out before a healthy colony on a warm day, or let them go',
  'nights-of': ({ night, warm }, w) =>
    `Nights of about ${w.celsius(night, 0)}: ${warm ? 'few bees cover much brood' : 'few bees cover little brood'}`,
  'days-to-the-cold': 'until the cold',
  'feeding-plan': 'feeding plan',
  'sips-every': ({ litres, every }, w) =>
    `${w.litres(litres, 2)} of thin syrup every ${every} days, inside the hive and in the evening, as long as they build and it is taken; a small colony gains more from it than a big one`,
  'lets-nature-cull': 'lets small colonies stand or fall: those that live are worth breeding from.',
  'nurses-in-a-small-box':
    'winters it in a small box above or beside a strong colony: the spare queen is worth more than the bees.',
  'strength-rule': ({ least, settle }) =>
    `Under ${least} frames of bees few colonies live through the winter of this place. Uniting is done ${settle} days before the cold, so that they settle as one.`,
  'more-bees-next-look': 'More frames of bees at the next look: leave it by itself.',
  'nights-stay-warm': 'Nights that stay warm for weeks more: there is time to grow.',
  'unite-six-weeks-before': 'If it does not grow, unite it six weeks before the cold.',
  'small-box-beside-strong': 'If no colony can take it: a small box, close beside a strong one.',
  'how-many-frames-now': 'How many frames of bees now?',
  'give-brood': ({ from, to, combs }) =>
    `Hive ${from} could give ${combs === 1 ? 'one comb' : 'two combs'} of sealed brood to hive ${to}, shaken free of bees, the queen looked for first`,
  'ahead-and-behind': ({ from, brood, to, middle }, w) =>
    `${w.number(from, 1)} frames of bees and ${w.number(brood, 1)} of brood there, ${w.number(to, 1)} frames of bees here; the middle of the yard is ${w.number(middle, 1)}. Both sound, both with a laying queen.`,
  'give-food': ({ from, to }) => `Hive ${from} could give a comb of food to hive ${to}, shaken free of bees`,
  'rich-and-hungry': ({ from, to, least }, w) =>
    `${w.kg(from, 1)} there, ${w.kg(to, 1)} here; the house wants ${w.kg(least, 0)} at least. Both sound, nothing given to either.`,
};
