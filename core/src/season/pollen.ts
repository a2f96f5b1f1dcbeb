import type { PollenColour } from '../inspection';
import { type CivilDate, dayOfYear, daysBetween } from '../units';
import { say } from './said';
import { type Text, inOne } from '../language';

/** Colours so near to each other that light, moisture and eyes mix them up. */
const NEAR: readonly (readonly PollenColour[])[] = [
  ['white', 'cream', 'pale-yellow'],
  ['pale-yellow', 'yellow', 'golden'],
  ['golden', 'orange', 'brick-red'],
  ['brick-red', 'red', 'brown'],
  ['brown', 'olive'],
  ['olive', 'green', 'grey'],
  ['grey', 'white', 'blue'],
  ['blue', 'purple', 'black'],
];

/** A plant that may be in bloom at the site that week. */
export interface PollenPlant {
  readonly plant: string;
  readonly pollen: number;
  readonly colours: readonly PollenColour[];
  readonly from: CivilDate;
  readonly to: CivilDate;
  /** Days either way that its dates may be off. */
  readonly giveOrTake: number;
}

/** A load of pollen seen at a site; `plant` once somebody has settled what it was. */
export interface PollenSeen {
  readonly colour: PollenColour;
  readonly date: CivilDate;
  readonly plant: string | null;
}

/** A plant that a load may come from. */
export interface PollenGuess {
  readonly plant: string;
  /** Share of all guesses, 0 to 1. */
  readonly share: number;
  readonly why: Text;
}

/** Days of the year around which a settled load of an earlier year still speaks for the same plant. */
const SAME_WEEKS = 18;

/**
 * Plants that a pollen load may come from, by its colour, the week and the site: what is in bloom there, how much pollen it gives, and what was
 * settled here before. Colour alone never settles it: the same tree is called grey at one place and faint yellow at another.
 *
 * @param colour colour of the load
 * @param date day on which it was seen
 * @param plants plants of the site with this year's bloom
 * @param settled loads that were settled at this site, in any year
 * @returns likely plants, likeliest first; empty when nothing fits: "unknown, ask later"
 * @throws RangeError for a malformed date
 */
export function pollenGuesses(
  colour: PollenColour,
  date: CivilDate,
  plants: readonly PollenPlant[],
  settled: readonly PollenSeen[],
): readonly PollenGuess[] {
  const near = new Set(NEAR.filter((family) => family.includes(colour)).flat());
  const weighed = plants.flatMap((each) => {
    const reach = Math.max(3, each.giveOrTake);
    const before = daysBetween(date, each.from);
    const after = daysBetween(each.to, date);
    if (before > reach || after > reach || each.pollen === 0) return [];
    const here = settled.filter(
      (one) => one.plant === each.plant && apart(one.date, date) <= SAME_WEEKS && one.colour === colour,
    ).length;
    const rank = each.colours.indexOf(colour);
    const shade = rank === 0 ? 1 : rank > 0 ? 0.6 : each.colours.some((own) => near.has(own)) ? 0.15 : 0;
    const open = before <= 0 && after <= 0 ? 1 : 0.4;
    const weight = each.pollen * open * shade + 3 * here;
    const why = [
      open === 1 ? say('in-bloom') : before > 0 ? say('about-open') : say('just-over'),
      here > 0 ? say('settled-here', { here }) : '',
      rank === 0 ? say('usual-colour', { colour }) : rank > 0 ? say('sometimes', { colour }) : say('near-colour'),
    ].filter(Boolean);
    return weight > 0 ? [{ plant: each.plant, weight, why: inOne(why, ', ') }] : [];
  });
  const all = weighed.reduce((sum, each) => sum + each.weight, 0);
  return weighed
    .sort((a, b) => b.weight - a.weight)
    .map(({ plant, weight, why }) => ({ plant, share: weight / all, why }));
}

const apart = (a: CivilDate, b: CivilDate): number => {
  const days = Math.abs(dayOfYear(a) - dayOfYear(b));
  return Math.min(days, 365 - days);
};
