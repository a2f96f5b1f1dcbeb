import { type EntranceWidth, ENTRANCES, waspPressure } from '../inspection';
import type { Phase } from '../season';
import { addDays } from '../units';
import { type Advised, type Reason, con, pro, weigh } from './advice';
import type { ColonyFacts } from './facts';
import { say } from './said';
import type { Text } from '../language';

/** Phases in which bees of other hives look for what they can carry away. */
const ROBBING_SEASON: ReadonlySet<Phase> = new Set<Phase>([
  'dearth',
  'late-flow',
  'making-winter-bees',
  'closing-down',
]);
/** Phases in which traffic at the entrance is heavy. */
const BUSY: ReadonlySet<Phase> = new Set<Phase>(['swarm-season', 'flow']);
/** Frames of bees under which guards are few, and from which a whole entrance is used. Common practice. */
const WEAK = 5;
const STRONG = 8;
/** Highest temperature of the day from which a narrow entrance wants air elsewhere, °C. Common practice. */
const HOT = 28;
/** Days after which it is looked at again whether it worked. Common practice. */
const AGAIN = 7;

/** Whether the hive is being robbed: by what was seen outside or found. */
export const isRobbed = ({ outside, findings }: ColonyFacts): boolean =>
  outside?.robbing === true || findings.some(({ finding, found }) => finding === 'robbing' && found);

const wider = (width: EntranceWidth, than: EntranceWidth): boolean =>
  ENTRANCES.indexOf(width) < ENTRANCES.indexOf(than);

/**
 * What the entrance asks for: narrower, wider, or nothing.
 *
 * @param facts the colony
 * @returns the advice with its numbers, or `null` where it is as it should be, or nobody looked
 * Source: common practice.
 */
export function adviseEntrance(facts: ColonyFacts): Advised | null {
  if (isRobbed(facts)) return robbed(facts);
  const pressure = facts.wasps === null ? 'none' : waspPressure(facts.wasps);
  const bees = facts.nest.framesOfBees?.value ?? null;
  const weak = bees !== null && bees < WEAK;
  const now = facts.outside?.entrance ?? null;
  const narrow = (to: EntranceWidth, pressing: number, why: Reason): Advised | null =>
    now !== null && !wider(now, to) ? null : narrowed(facts, to, pressing, why);
  if (pressure === 'heavy')
    return narrow('one-bee', 0.85, pro(say('wasps-pass-guards', { aMinute: facts.wasps!.aMinute }), 0.9));
  if (pressure === 'some' || (pressure === 'light' && weak))
    return narrow(weak ? 'one-bee' : 'a-hand', 0.65, pro(say('wasps-press', { aMinute: facts.wasps!.aMinute }), 0.7));
  const season = facts.phase !== null && ROBBING_SEASON.has(facts.phase);
  if (season && weak && now !== null && wider(now, 'a-hand'))
    return narrow('a-hand', 0.5, pro(say('few-guards-robbing-season', { bees }), 0.6));
  const cramped = now === 'a-hand' || now === 'one-bee';
  if (cramped && bees !== null && bees >= STRONG && facts.phase !== null && BUSY.has(facts.phase))
    return opened(facts, bees);
  return null;
}

const hot = ({ highs }: ColonyFacts): boolean => (highs[0] ?? 0) >= HOT;

function advice(
  facts: ColonyFacts,
  words: Pick<Advised, 'title' | 'reasons' | 'otherSchool' | 'turns' | 'ifItFails' | 'cautions'> & {
    readonly within: number;
    readonly pressing: number;
    readonly rule: Text;
    readonly figure: Text;
    readonly question: Text;
  },
): Advised {
  const { within, rule, figure, question, pressing, ...rest } = words;
  const again = addDays(facts.today, AGAIN);
  return {
    ...rest,
    kind: 'entrance',
    by: addDays(facts.today, within),
    pressing: weigh(pressing),
    whereFrom: {
      figure,
      rule,
      steps: [
        [
          say('bees-in-nest'),
          facts.nest.framesOfBees ? say('frames-of-bees', { value: facts.nest.framesOfBees.value }) : say('not-known'),
        ],
        ...(facts.wasps ? [[say('wasps-a-minute'), `${facts.wasps.aMinute}`] as const] : []),
      ],
      source: say('common-practice'),
    },
    followUps: [{ question, from: addDays(facts.today, within), due: again }],
  };
}

const robbed = (facts: ColonyFacts): Advised =>
  advice(facts, {
    title: say('robbing-close-narrow'),
    within: 0,
    pressing: 0.96,
    figure: say('one-bee-wide'),
    rule: say('robbing-rule'),
    reasons: [
      pro(say('robbing-seen'), 1),
      ...(facts.nest.framesOfBees && facts.nest.framesOfBees.value < WEAK ? [pro(say('few-guards'), 0.6)] : []),
      ...(hot(facts) ? [con(say('hot-needs-air'), 0.5)] : []),
    ],
    otherSchool: say('shuts-for-a-day'),
    cautions: [say('robbing-stings'), ...(hot(facts) ? [say('never-shut-in-heat')] : [])],
    turns: [say('young-bees-at-noon')],
    ifItFails: say('move-the-robbed-hive'),
    question: say('robbing-over-queenright'),
  });

const narrowed = (facts: ColonyFacts, to: EntranceWidth, pressing: number, why: Reason): Advised =>
  advice(facts, {
    title: say('narrow-entrance-to', { width: to }),
    within: 1,
    pressing,
    figure: say('entrance-width', { width: to }),
    rule: say('narrow-rule'),
    reasons: [why, ...(hot(facts) ? [con(say('hot-needs-air'), 0.4)] : [])],
    otherSchool: say('traps-wasps'),
    cautions: hot(facts) ? [say('never-shut-in-heat')] : [],
    turns: [say('guards-cope')],
    ifItFails: say('tunnel-or-unite'),
    question: say('ten-minutes-and-a-week'),
  });

const opened = (facts: ColonyFacts, bees: number): Advised =>
  advice(facts, {
    title: say('open-the-entrance'),
    within: 3,
    pressing: 0.42,
    figure: say('entrance-width', { width: 'full' }),
    rule: say('wide-rule'),
    reasons: [pro(say('strong-and-busy', { bees }), 0.6)],
    otherSchool: say('keeps-it-small'),
    cautions: [],
    turns: [say('robbers-about')],
    ifItFails: say('narrow-again'),
    question: say('traffic-flows'),
  });
