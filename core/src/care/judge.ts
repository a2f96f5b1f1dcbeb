import type { Advice, Advised, Confidence, Reason } from './advice';
import { A_QUARTER, adviseCannotTell, shareRead } from './cannot-tell';
import { adviseEntrance, isRobbed } from './entrance';
import type { ColonyFacts } from './facts';
import { adviseFeeding } from './feed';
import { adviseHealth, standsStill } from './health';
import { adviseLeaveAlone } from './leave-alone';
import { adviseLookAgain } from './look-again';
import { adviseMites } from './mites';
import { adviseQueen } from './queen';
import { adviseQueenCells } from './queen-cells';
import { adviseSpace } from './space';
import { say } from './said';
import type { Text } from '../language';

/** From this urgency on, something is to be done, and leaving the colony alone is no advice any more. */
const PRESSING = 0.4;
/** Part of the nest that was read from which an advice is firm. Common practice. */
const MOST = 0.75;

/**
 * What a colony needs next, the most pressing first. Pieces of advice that contradict each other are never given side by side: one waits, and
 * the other says so.
 *
 * @param facts everything known of the colony
 * @returns at least one advice; "leave-alone" only when nothing presses, "cannot-tell" where too little was read to say even that
 */
export function adviseColony(facts: ColonyFacts): readonly Advice[] {
  const found = standsStill(facts) ? whileItStands(facts) : amongEachOther(facts);
  const pressing = found.some((advice) => advice.pressing >= PRESSING);
  const unknown = pressing ? null : adviseCannotTell(facts);
  const quiet = pressing ? null : (unknown ?? adviseLeaveAlone(facts));
  return [...found, ...(quiet ? [quiet] : [])]
    .map((advised) => whole(facts, advised))
    .sort((a, b) => b.pressing - a.pressing);
}

const also = (advice: Advised, ...texts: readonly Text[]): Advised => ({
  ...advice,
  reasons: [...advice.reasons, ...texts.map((text): Reason => ({ text, weight: 0.3, sense: 'against' }))],
});

/** A hive in which foulbrood is suspected: nothing is moved, added or taken; only hunger is met. */
function whileItStands(facts: ColonyFacts): readonly Advised[] {
  const feed = adviseFeeding(facts);
  return [
    also(adviseHealth(facts)!, say('all-else-waits')),
    adviseEntrance(facts),
    feed && also(feed, say('feed-with-own-kit')),
  ].filter((each) => each !== null);
}

/** Feed and a new box wait for each other; a box for harvest waits for a medicine. */
function amongEachOther(facts: ColonyFacts): readonly Advised[] {
  const hungry = adviseFeeding(facts);
  const feed = hungry && isRobbed(facts) ? also(hungry, say('feed-in-the-evening')) : hungry;
  const space = adviseSpace(facts);
  const mites = adviseMites(facts);
  const treated = mites !== null && mites.pressing >= TREATS;
  const spaceWaits = space !== null && (feed !== null || treated);
  return [
    adviseHealth(facts),
    adviseEntrance(facts),
    feed && space ? also(feed, say('room-short-well-super-harvest')) : feed,
    adviseQueen(facts),
    adviseQueenCells(facts),
    mites && treated && space && !feed ? also(mites, say('room-short-brood-box-not-super')) : mites,
    spaceWaits ? null : space,
    adviseLookAgain(facts),
  ].filter((each) => each !== null);
}
/** From this urgency on the mites are treated, not counted. */
const TREATS = 0.7;

/** An advice with all that its judge left to the reading: a look that read a quarter of the nest supports no firm advice. */
function whole(facts: ColonyFacts, advised: Advised): Advice {
  const read = shareRead(facts);
  const reading: Confidence = read >= MOST ? 'firm' : read > A_QUARTER || facts.reopens !== null ? 'likely' : 'guess';
  return {
    from: facts.today,
    confidence: reading,
    cautions: [],
    turns: [],
    ifItFails: null,
    ...advised,
  };
}
