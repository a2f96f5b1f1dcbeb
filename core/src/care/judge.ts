import type { Advice, Advised, Confidence, Reason } from './advice';
import { towardsAim } from './aim';
import { adviseBehind } from './behind';
import { adviseCannotTell } from './cannot-tell';
import { adviseChill } from './chill';
import { adviseEntrance, isRobbed } from './entrance';
import { holdsHere } from './climate';
import { adviseComb } from './comb';
import type { ColonyFacts } from './facts';
import { adviseFeeding } from './feed';
import { adviseHealth, healthOf, standsStill } from './health';
import { adviseLeaveAlone } from './leave-alone';
import { adviseLookAgain } from './look-again';
import { adviseMites } from './mites';
import { adviseProtein } from './protein';
import { adviseQueen, ends } from './queen';
import { adviseQueenCells } from './queen-cells';
import { A_QUARTER, shareRead } from './reading';
import { adviseSelection } from './selection';
import { adviseSpace } from './space';
import { adviseStrength } from './strength';
import { adviseSwarming } from './swarming';
import { say } from './said';
import { errandOf } from './usual-errand';
import { readCells } from '../inspection';
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
export const adviseColony = (facts: ColonyFacts): readonly Advice[] => towardsAim(facts, ranked);

function ranked(facts: ColonyFacts): readonly Advice[] {
  const found = standsStill(facts)
    ? whileItStands(facts)
    : isRobbed(facts)
      ? whileRobbed(facts)
      : healthOf(facts).verdict === 'test'
        ? whileUntested(facts)
        : amongEachOther(facts);
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

/** A doubt that a matchstick settles in a minute: no comb, box or bees move before it; what goes on in the nest is told with that. */
function whileUntested(facts: ColonyFacts): readonly Advised[] {
  const feed = adviseFeeding(facts);
  const cells = adviseQueenCells(facts);
  return [
    also(adviseHealth(facts)!, say('what-moves-waits-for-stick')),
    adviseEntrance(facts),
    feed && also(feed, say('feed-with-own-kit')),
    cells && also(cells, say('what-moves-waits-for-stick')),
    adviseMites(facts),
    adviseProtein(facts),
  ].filter((each) => each !== null);
}

/** Robbers about: the hive is closed, and nothing that opens it is advised until that is over. Hunger is met in the evening. */
function whileRobbed(facts: ColonyFacts): readonly Advised[] {
  const feed = adviseFeeding(facts);
  return [
    adviseHealth(facts),
    also(adviseEntrance(facts)!, say('opened-when-robbing-is-over')),
    feed && also(feed, say('feed-in-the-evening')),
  ].filter((each) => each !== null);
}

/** Feed and a new box wait for each other, a box for harvest waits for a medicine, and a colony that ends gets nothing more. */
function amongEachOther(facts: ColonyFacts): readonly Advised[] {
  const queen = adviseQueen(facts);
  if (queen && ends(facts)) return [adviseHealth(facts), adviseEntrance(facts), queen].filter((each) => each !== null);
  const feed = adviseFeeding(facts);
  const cells = adviseQueenCells(facts);
  const space = adviseSpace(facts);
  const mites = adviseMites(facts);
  const treated = mites?.bindsHoney === true;
  const swarming = readCells(facts.cells, facts.eggsSeen).means === 'swarming';
  const spaceWaits = space !== null && (feed !== null || treated || swarming);
  const strength = adviseStrength(facts);
  const health = adviseHealth(facts);
  const again = adviseLookAgain(facts);
  const odd = health ? healthOf(facts).frames : [];
  return [
    health,
    adviseEntrance(facts),
    feed && space ? also(feed, say('room-short-well-super-harvest')) : feed,
    queen,
    cells && swarming && space ? also(cells, say('room-does-not-stop-cells')) : cells,
    adviseSwarming(facts),
    mites && treated && space && !feed ? also(mites, say('room-short-brood-box-not-super')) : mites,
    adviseProtein(facts),
    strength,
    // A colony that is united or nursed is closed up with that.
    strength ? null : adviseChill(facts),
    adviseBehind(facts),
    adviseSelection(facts),
    adviseComb(facts),
    spaceWaits ? null : space,
    // A doubt that is looked at for the health of the brood is not asked for twice.
    again && facts.eggsSeen && facts.doubtfulFrames.every((frame) => odd.includes(frame)) ? null : again,
  ].filter((each) => each !== null);
}

/** An advice with all that its judge left to the reading: a look that read a quarter of the nest supports no firm advice. */
function whole(facts: ColonyFacts, { bindsHoney: _, ...advised }: Advised): Advice {
  const read = shareRead(facts);
  const reading: Confidence = read >= MOST ? 'firm' : read > A_QUARTER || facts.reopens !== null ? 'likely' : 'guess';
  return {
    from: facts.today,
    confidence: reading,
    cautions: [],
    turns: [],
    ifItFails: null,
    ...advised,
    errand: errandOf(advised),
    climate: holdsHere(advised.kind, facts.band),
  };
}
