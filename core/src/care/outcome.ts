import { readCells } from '../inspection';
import { type CivilDate, daysBetween } from '../units';
import type { AdviceKind } from './advice';
import { adviseBehind } from './behind';
import { adviseCannotTell } from './cannot-tell';
import { adviseChill } from './chill';
import { adviseComb } from './comb';
import { isRobbed } from './entrance';
import type { ColonyFacts } from './facts';
import { feedAnswer } from './feed';
import { adviseColony } from './judge';
import { adviseLookAgain } from './look-again';
import { lastSample, miteLimit } from './mites';
import { adviseProtein } from './protein';
import { queenTrouble } from './queen';
import { halfRead } from './reading';
import { adviseSpace } from './space';
import { adviseStrength } from './strength';

/** How an advice came out: as it said, not as it said, or not to be told. */
export const OUTCOMES = ['right', 'wrong', 'open'] as const;
export type Outcome = (typeof OUTCOMES)[number];

/** What is decided on an advice. */
export const VERDICTS = ['accepted', 'otherwise', 'declined'] as const;
export type Verdict = (typeof VERDICTS)[number];

/** An advice this pressing shows that leaving them alone was wrong. */
const PRESSING = 0.75;
/** Days after which a look says nothing any more of what was decided before it. Common practice. */
const SPEAKS = 60;

type Met = (facts: ColonyFacts) => boolean | null;

/** Whether a later look found what an advice was for; `null` where that look cannot tell. A disease is settled by an inspector, not by a look. */
const MET: Readonly<Record<AdviceKind, Met>> = {
  health: () => null,
  entrance: (facts) => (facts.outside === null ? null : !isRobbed(facts)),
  feed: (facts) => {
    const { feed } = feedAnswer(facts);
    return feed === 'not-known' ? null : feed === 'no';
  },
  queen: (facts) => (facts.youngQueen ? null : readEnough(facts) && facts.eggsSeen && queenTrouble(facts) === null),
  'queen-cells': (facts) => (facts.youngQueen ? null : readEnough(facts) && !swarming(facts) && facts.eggsSeen),
  swarming: (facts) => readEnough(facts) && !swarming(facts),
  mites: (facts) => {
    const counted = lastSample(facts);
    return counted === null || counted.age > 0 ? null : counted.rate.value < miteLimit(facts.phase);
  },
  protein: (facts) => readEnough(facts) && adviseProtein(facts) === null,
  strength: (facts) => (facts.nest.framesOfBees === null ? null : adviseStrength(facts) === null),
  chill: (facts) => (facts.nest.framesOfBees === null ? null : readEnough(facts) && adviseChill(facts) === null),
  behind: (facts) => (facts.expected === null ? null : readEnough(facts) && adviseBehind(facts) === null),
  // How a queen's daughters turn out shows in a year, not at the next look.
  selection: () => null,
  comb: (facts) => readEnough(facts) && adviseComb(facts) === null,
  'add-space': (facts) => (facts.nest.framesOfBees === null ? null : adviseSpace(facts) === null && !swarming(facts)),
  'look-again': (facts) => readEnough(facts) && adviseLookAgain(facts) === null,
  'cannot-tell': (facts) => adviseCannotTell(facts) === null,
  'leave-alone': (facts) => adviseColony(facts).every(({ pressing }) => pressing < PRESSING),
};

const swarming = ({ cells, eggsSeen }: ColonyFacts): boolean => readCells(cells, eggsSeen).means === 'swarming';
/** True where half of the box was read; less says nothing of the rest. */
const readEnough = (facts: ColonyFacts): true | null => (halfRead(facts) ? true : null);

/**
 * How an advice came out by the next look: what was accepted is right when that look found what it was for, and what was declined was right
 * when it did not.
 *
 * @param advice its kind
 * @param verdict what was decided; who did otherwise tells nothing of the advice
 * @param decidedOn civil date of the look that it was given for
 * @param after what the next look found
 * @returns right, wrong, or open where the next look cannot tell, or came too late
 * @throws RangeError for a malformed date
 * Source: common practice.
 */
export function outcomeOf(advice: AdviceKind, verdict: Verdict, decidedOn: CivilDate, after: ColonyFacts): Outcome {
  const days = daysBetween(decidedOn, after.today);
  if (verdict === 'otherwise' || days < 1 || days > SPEAKS) return 'open';
  const met = MET[advice](after);
  if (met === null) return 'open';
  return met === (verdict === 'accepted') ? 'right' : 'wrong';
}
