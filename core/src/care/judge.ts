import type { Advice } from './advice';
import type { ColonyFacts } from './facts';
import { adviseFeeding } from './feed';
import { adviseLeaveAlone } from './leave-alone';
import { adviseLookAgain } from './look-again';
import { adviseSpace } from './space';

/** From this urgency on, something is to be done, and leaving the colony alone is no advice any more. */
const PRESSING = 0.4;

/**
 * What a colony needs next, the most pressing first.
 *
 * @param facts everything known of the colony
 * @returns at least one advice; "leave alone" only when nothing presses
 * @example adviseColony(thriving).map((advice) => advice.kind) // ['leave alone']
 */
export function adviseColony(facts: ColonyFacts): readonly Advice[] {
  const found = [adviseFeeding(facts), adviseSpace(facts), adviseLookAgain(facts)].filter((each) => each !== null);
  const pressing = found.some((advice) => advice.pressing >= PRESSING);
  return [...found, ...(pressing ? [] : [adviseLeaveAlone(facts)])].sort((a, b) => b.pressing - a.pressing);
}
