import { daysToEmergence } from '../biology';
import type { Phase } from '../season';
import { addDays, daysBetween } from '../units';
import { type Advised, con, pro } from './advice';
import { adviseChill } from './chill';
import type { ColonyFacts } from './facts';
import { queenTrouble } from './queen';
import { say } from './said';
import { swarmLikely } from './swarming';

/** Phases in which feed drives brood. */
const DRIVEN: ReadonlySet<Phase> = new Set<Phase>(['first-brood', 'build-up', 'swarm-season']);
/** Days before the main flow in which brood becomes bees that gather in it: from an egg to a forager, and three weeks more. Common practice. */
const BEFORE_FLOW = [daysToEmergence('worker') + 14, daysToEmergence('worker') + 14 + 21] as const;
/** Frames of bees from which a colony keeps more brood warm. Common practice. */
const KEEPS_WARM = 5;
/** Thin syrup of one dose, litres: half a gallon. Common practice. */
const DOSE = 1.9;
/** Points of swarming from which feed would only hurry it. Common practice. */
const HURRIES = 35;
/** Highest temperature ahead from which thin syrup is taken, °C. Common practice. */
const TAKEN = 12;

/**
 * Looks that feed on brood makes necessary: room, cells, and whether they are to be divided.
 *
 * @param facts the colony
 * @returns follow-ups with their days; none where syrup drives no brood
 */
export function afterDriving({
  phase,
  today,
}: Pick<ColonyFacts, 'phase' | 'today'>): Advised['followUps'] | readonly [] {
  if (phase === null || !DRIVEN.has(phase)) return [];
  const look = (question: Advised['followUps'][0]['question'], from: number, due: number) => ({
    question,
    from: addDays(today, from),
    due: addDays(today, due),
  });
  return [look(say('driven-room'), 12, 16), look(say('driven-cells'), 19, 23), look(say('driven-divide'), 26, 32)];
}

/**
 * Thin syrup to drive brood before the main flow, where it is the practice of the house.
 *
 * @param facts the colony
 * @returns the advice, or `null` where the house does not do so, or it would come too early, too late, or to a colony that cannot use it
 * Source: common practice.
 */
export function adviseStimulating(facts: ColonyFacts): Advised | null {
  const { today, practice, flowFrom, phase, nest, fedThinDays, highs } = facts;
  if (!practice.stimulates || flowFrom === null || phase === null || !DRIVEN.has(phase)) return null;
  const left = daysBetween(today, flowFrom);
  const bees = nest.framesOfBees?.value ?? 0;
  if (left < BEFORE_FLOW[0] || left > BEFORE_FLOW[1] || bees < KEEPS_WARM) return null;
  if (facts.supers > 0 || (fedThinDays !== null && fedThinDays < 7) || queenTrouble(facts) !== null) return null;
  if (facts.youngQueen !== null || facts.queenCells > 0) return null;
  if ((swarmLikely(facts)?.points ?? 0) >= HURRIES || adviseChill(facts) !== null) return null;
  if (highs.length > 0 && Math.max(...highs) < TAKEN) return null;
  const last = addDays(flowFrom, -BEFORE_FLOW[0]);
  return {
    kind: 'feed',
    errand: {
      brings: [
        { what: 'thin-syrup', amount: DOSE },
        { what: 'feeder', amount: 1 },
      ],
    },
    title: say('feed-to-drive', { litres: DOSE, last }),
    by: addDays(today, 5),
    pressing: 0.42,
    reasons: [
      pro(say('flow-in-days', { flowFrom, left }), 0.6),
      pro(say('frames-of-bees', { value: bees }), 0.4),
      con(say('driven-swarms'), 0.3),
    ],
    otherSchool: say('leaves-them-to-forage'),
    whereFrom: {
      figure: say('litres-a-week', { litres: DOSE }),
      rule: say('drive-rule', { from: BEFORE_FLOW[1], to: BEFORE_FLOW[0] }),
      steps: [[say('days-to-flow'), say('days', { days: left })]],
      source: say('common-practice'),
    },
    cautions: [say('no-super-with-feed')],
    turns: [say('driven-cold-or-full')],
    ifItFails: say('not-taken-stop'),
    followUps: [
      { question: say('feed-taken-food-kg'), from: addDays(today, 5), due: addDays(today, 8) },
      ...afterDriving(facts),
    ],
  };
}
