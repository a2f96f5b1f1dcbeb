import type { Advice, Reason } from './advice';
import type { ColonyFacts } from './facts';
import { adviseFeeding } from './feed';
import { adviseLeaveAlone } from './leave-alone';
import { adviseLookAgain } from './look-again';
import { adviseQueenCells } from './queen-cells';
import { adviseSpace } from './space';
import { say } from './said';

/** From this urgency on, something is to be done, and leaving the colony alone is no advice any more. */
const PRESSING = 0.4;

/**
 * What a colony needs next, the most pressing first. Feed and a new box are never advised side by side: one waits for the other.
 *
 * @param facts everything known of the colony
 * @returns at least one advice; "leave-alone" only when nothing presses
 */
export function adviseColony(facts: ColonyFacts): readonly Advice[] {
  const feed = adviseFeeding(facts);
  const space = adviseSpace(facts);
  const found = [
    feed && space ? { ...feed, reasons: [...feed.reasons, SPACE_WAITS] } : feed,
    adviseQueenCells(facts),
    feed ? null : space,
    adviseLookAgain(facts),
  ].filter((each) => each !== null);
  const pressing = found.some((advice) => advice.pressing >= PRESSING);
  return [...found, ...(pressing ? [] : [adviseLeaveAlone(facts)])].sort((a, b) => b.pressing - a.pressing);
}

const SPACE_WAITS: Reason = {
  text: say('room-short-well-super-harvest'),
  weight: 0.3,
  sense: 'against',
};
