import { type Text, sameText } from '../../language';
import { learningCovered, worthOfLearning } from '../solver/objective';
import { CURVE } from '../solver/curve';
import type { PlanGroup } from '../solver/problem';

/** Something of the checklist that can be practised without opening a hive. */
export interface IndoorWork {
  readonly skill: string;
  readonly how: Text;
}

/** How skills are practised without bees, by skill. None of it replaces a demonstration at a hive. */
export type IndoorWays = Readonly<Record<string, Text>>;

/**
 * What a group practises indoors, by what is most open.
 *
 * @param needs skills still open, as the planner has them
 * @param ways how skills are practised indoors
 * @param most how many
 * @returns the most open ones that can be practised without bees, each way once
 */
export function indoorWork(needs: PlanGroup['needs'], ways: IndoorWays, most = 4): readonly IndoorWork[] {
  const open = (skill: string) => {
    const need = needs[skill];
    return need === undefined ? 0 : need.weight * (1 - worthOfLearning(CURVE.pwl, learningCovered(need.covered)));
  };
  return Object.entries(ways)
    .map(([skill, how]) => ({ skill, how, open: open(skill) }))
    .filter((each) => each.open > 0)
    .sort((a, b) => b.open - a.open)
    .filter((each, at, all) => all.findIndex(({ how }) => sameText(how, each.how)) === at)
    .slice(0, most)
    .map(({ skill, how }) => ({ skill, how }));
}
