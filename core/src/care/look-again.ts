import { lastLaying } from '../biology';
import type { Phase } from '../season';
import { addDays, dayAndMonth, daysBetween, laterOf, spoken } from '../units';
import { type Advice, type Reason, weigh } from './advice';
import type { ColonyFacts } from './facts';

/** Days after which a laying check settles whether missing eggs were missed or not laid: an egg stands three days, a larva six. */
const LAYING_CHECK = 7;
const DOUBT_CHECK = 5;
const DRONE_LAYER_CHECK = 5;

/** Phases in which a colony without eggs is as it should be. */
const BROODLESS: ReadonlySet<Phase> = new Set<Phase>(['winter-rest', 'first-brood', 'closing-down']);

/** Whether missing eggs are no finding: the season, the strain's habit in a dearth, or a queen that cannot lay yet. */
export function noEggsNormal({ phase, strain, youngQueen, today }: ColonyFacts): string | null {
  if (youngQueen && today <= youngQueen.layingTo)
    return `a young queen is not expected to lay before ${dayAndMonth(youngQueen.layingTo)}`;
  if (phase === null) return null;
  if (BROODLESS.has(phase)) return `no brood is normal in ${spoken(phase)}`;
  return phase === 'dearth' && strain === 'stops' ? 'this strain stops laying in a dearth' : null;
}

/**
 * Look again soon, when something was found that changes within days: no eggs where eggs belong, signs of a drone layer, or a doubtful side.
 *
 * @param facts the colony
 * @returns the advice with its numbers, or `null` when nothing presses
 */
export function adviseLookAgain(facts: ColonyFacts): Advice | null {
  const droneLayer = facts.queen.verdict === 'drone-layer-likely';
  const youngQueen = facts.queen.verdict === 'young-queen-likely' || facts.youngQueen !== null;
  const noEggs =
    !facts.eggsSeen &&
    !droneLayer &&
    !youngQueen &&
    facts.framesRead * 2 >= facts.frames &&
    noEggsNormal(facts) === null;
  const doubtful = facts.doubtfulFrames.length > 0;
  if (!droneLayer && !noEggs && !doubtful) return null;
  const laid = lastLaying({ eggs: facts.eggsSeen, larvae: facts.larvaeSeen, sealed: facts.sealedSeen });
  const noBrood = noEggs && !facts.larvaeSeen;
  const reasons: (Reason | null)[] = [
    droneLayer ? { text: facts.queen.says, weight: 0.9, sense: 'for' } : null,
    noEggs
      ? {
          text: laid
            ? `No eggs found; the youngest brood says last laid ${laid.from} to ${laid.to} days ago`
            : 'No brood at all to tell when she last laid',
          weight: noBrood ? 0.9 : 0.7,
          sense: 'for',
        }
      : null,
    doubtful
      ? { text: `Doubtful on frame ${facts.doubtfulFrames.join(', ')}, not settled`, weight: 0.5, sense: 'for' }
      : null,
    facts.queenSeen ? { text: 'The queen was seen', weight: 0.4, sense: 'against' } : null,
    facts.reopens
      ? { text: `Hives stay shut until about ${dayAndMonth(facts.reopens)}`, weight: 0.6, sense: 'against' }
      : null,
    { text: 'Every opening costs the colony part of a day', weight: 0.2, sense: 'against' },
  ];
  const days = droneLayer ? DRONE_LAYER_CHECK : noEggs ? LAYING_CHECK : DOUBT_CHECK;
  const soonest = addDays(facts.today, days);
  const by = facts.reopens ? laterOf(soonest, facts.reopens) : soonest;
  return {
    kind: 'look-again',
    title: droneLayer
      ? 'Drone layer? Give a frame with young larvae and look again'
      : noEggs
        ? 'Look for eggs again'
        : 'Look at the doubtful frames again',
    by,
    pressing: weigh(droneLayer ? 0.85 : noBrood ? 0.8 : noEggs ? 0.6 : 0.45),
    reasons: reasons.filter((each) => each !== null),
    otherSchool: droneLayer
      ? 'shakes such a colony out in front of others at once: laying workers hardly take a queen.'
      : noBrood
        ? 'leaves her three weeks: a young queen opened too early may be balled or lost.'
        : 'counts the queen herself as proof and does not open again for it.',
    whereFrom: {
      figure: `${daysBetween(facts.today, by)} days`,
      rule: droneLayer
        ? 'Queen cells on a given frame of young larvae say that there is no queen; none say that something lays. Drones only: a failed queen or laying workers.'
        : 'An egg stands for 3 days, a larva for 6: within a week a laying queen shows.',
      steps: [
        ['eggs', facts.eggsSeen ? 'seen' : 'not seen'],
        ['larvae', facts.larvaeSeen ? 'seen' : 'not seen'],
        ['flat sealed worker brood', facts.sealedSeen ? 'seen' : 'not seen'],
        ['phase', spoken(facts.phase ?? 'not-known')],
      ],
      source: 'Development days: textbook consensus, within a day.',
    },
    followUp: {
      question: droneLayer
        ? 'Queen cells on the given frame? Flat sealed brood?'
        : noEggs
          ? 'Eggs or young larvae?'
          : 'What was the doubtful comb?',
      from: addDays(by, -2),
      due: by,
    },
  };
}
