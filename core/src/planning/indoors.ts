import { practiceCovered, worthOfPractice } from './objective';
import { CURVE } from './curve';
import type { PlanGroup } from './problem';

/** Something of the checklist that can be practised without opening a hive. */
export interface IndoorWork {
  readonly skill: string;
  readonly how: string;
}

/** Ways to practise under a roof. None of them replaces a demonstration at a hive. Common practice of courses. */
const WITHOUT_BEES: Readonly<Record<string, string>> = {
  expects: 'Read the last record of a hive, then say what it holds today.',
  'reads-weather': 'Decide go, quick or no from the hours of three past days.',
  'veil-checked': 'Fit veils in pairs; each checks the other at the neck, wrists and ankles.',
  'lights-smoker':
    'Light a smoker under the porch roof and keep it lit for ten minutes. Fire blanket and water at hand.',
  'keeps-parts': 'Take an empty hive apart and lay it out; a partner puts it together again.',
  'weighs-first': 'Heft boxes filled with sand, say the weight, then put them on the scale.',
  'lifts-box': 'Lift a box with sand, under the limit of each person, from a waist-high stand.',
  'outermost-first': 'Empty hive with drawn comb: outermost frame out first, then a working gap.',
  'makes-gap': 'Empty hive with drawn comb: outermost frame out first, then a working gap.',
  'lifts-straight': 'Lift frames of an empty hive between two pencils without touching them.',
  'both-faces': 'Turn a frame with a marble in a cell: it stays in.',
  'keeps-order': 'Number no frame: take ten out and put them back as they were.',
  'tells-contents': 'Pictures of comb: name honey, nectar, pollen and brood against the clock.',
  'ages-larvae': 'Pictures of larvae: say the days, then look at the table of development.',
  'tells-lids': 'Pictures of lids: worker or drone.',
  'suspect-lids': 'Pictures of lids: which would you show to your supervisor?',
  'adds-brood': 'Pictures of ten frames: add up the brood; compare with the counted figure.',
  'tells-cells': 'Models or pictures of queen cells: cup, fed, sealed, torn down.',
  'sums-up': 'From the notes of a past visit: sum up in under a minute.',
  'knows-enough': 'From the notes of a past visit, side by side: say when you would have stopped.',
};

/**
 * What a group practises indoors, by what is most open.
 *
 * @param needs skills still open, as the planner has them
 * @param most how many
 * @returns the most open ones that can be practised without bees, each way once
 */
export function indoorWork(needs: PlanGroup['needs'], most = 4): readonly IndoorWork[] {
  const open = (skill: string) => {
    const need = needs[skill];
    return need === undefined ? 0 : need.weight * (1 - worthOfPractice(CURVE.pwl, practiceCovered(need.covered)));
  };
  return Object.entries(WITHOUT_BEES)
    .map(([skill, how]) => ({ skill, how, open: open(skill) }))
    .filter((each) => each.open > 0)
    .sort((a, b) => b.open - a.open)
    .filter((each, at, all) => all.findIndex(({ how }) => how === each.how) === at)
    .slice(0, most)
    .map(({ skill, how }) => ({ skill, how }));
}
