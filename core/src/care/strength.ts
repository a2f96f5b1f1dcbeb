import type { Phase } from '../season';
import { type CivilDate, addDays, daysBetween, earlierOf, laterOf } from '../units';
import { type Advised, type Reason, weigh } from './advice';
import type { ColonyFacts } from './facts';
import { healthOf } from './health';
import { halfRead } from './reading';
import { say } from './said';

/** Phases in which it is settled who goes into winter by itself. */
const BEFORE_WINTER: ReadonlySet<Phase> = new Set<Phase>(['late-flow', 'making-winter-bees', 'closing-down']);
/** Frames of bees that a colony needs to winter by itself: before a long cold, and where winter is short or none. Common practice. */
const WINTERS = { cold: 5, mild: 3 } as const;
/** Days of cold from which a winter is long: the nest stands still for so long. Common practice. */
const LONG_WINTER = 100;
/** Days before the cold by which colonies are united, so that they settle as one. Common practice: six weeks. */
const SETTLE = 42;
/** Days before the cold from which a small colony can still grow: two rounds of brood. Common practice. */
const TWO_ROUNDS = 84;

/**
 * A colony that is too small to winter by itself: unite it, or nurse it while there is time.
 *
 * @param facts the colony
 * @returns the advice with its numbers, or `null` when it is large enough, its season is another, or it may be sick
 * Source: common practice.
 */
export function adviseStrength(facts: ColonyFacts): Advised | null {
  const { today, phase, coldFrom, nest } = facts;
  const bees = nest.framesOfBees;
  if (phase === null || !BEFORE_WINTER.has(phase) || bees === null || coldFrom === null) return null;
  if (!halfRead(facts)) return null;
  // The judge of queens speaks of colonies without one; a sick colony is never united.
  if (!facts.eggsSeen && !facts.larvaeSeen && !facts.queenSeen) return null;
  const verdict = healthOf(facts).verdict;
  if (verdict !== 'sound' && verdict !== 'wings') return null;
  const long = facts.coldDays !== null && facts.coldDays >= LONG_WINTER;
  const least = long ? WINTERS.cold : WINTERS.mild;
  if (bees.value >= least) return null;
  const left = daysBetween(today, coldFrom);
  const nurse = left >= TWO_ROUNDS;
  const by: CivilDate = nurse
    ? addDays(today, 7)
    : laterOf(addDays(today, 3), earlierOf(addDays(today, 14), addDays(coldFrom, -SETTLE)));
  const reasons: readonly Reason[] = [
    {
      text: say('bees-of-a-winter', { bees: bees.value, least }),
      weight: weigh(1 - bees.value / least + 0.4),
      sense: 'for',
    },
    {
      text: say('days-until-cold', { coldFrom, left }),
      weight: weigh(1 - left / 120),
      sense: nurse ? 'against' : 'for',
    },
    ...(bees.high >= least ? [{ text: say('range-reaches-enough'), weight: 0.4, sense: 'against' as const }] : []),
  ];
  return {
    kind: 'strength',
    title: nurse ? say('nurse-small-colony') : say('unite-small-colony'),
    by,
    pressing: weigh((nurse ? 0.45 : 0.6) + (left < SETTLE ? 0.1 : 0)),
    reasons,
    otherSchool: nurse ? say('lets-nature-cull') : say('nurses-in-a-small-box'),
    whereFrom: {
      figure: say('frames-of-bees', { value: bees.value }),
      rule: say('strength-rule', { least, settle: SETTLE }),
      steps: [[say('bees-in-nest'), say('frames-of-bees', { value: bees.value })]],
      source: say('common-practice'),
    },
    cautions: [say('unite-healthy-only')],
    turns: [say('more-bees-next-look'), say('nights-stay-warm')],
    ifItFails: nurse ? say('unite-six-weeks-before') : say('small-box-beside-strong'),
    followUps: [
      {
        question: nurse ? say('how-many-frames-now') : say('united-one-queen-eggs'),
        from: addDays(by, nurse ? 10 : 7),
        due: addDays(by, 14),
      },
    ],
  };
}
