import { lastLaying } from '../biology';
import type { Phase } from '../season';
import { addDays, daysBetween, laterOf } from '../units';
import { type Advised, type Reason, weigh } from './advice';
import type { ColonyFacts } from './facts';
import { say } from './said';
import { type Text, named } from '../language';

/** Days after which a laying check settles whether missing eggs were missed or not laid: an egg stands three days, a larva six. */
const LAYING_CHECK = 7;
/** Days after which a doubtful side is looked at again. Common practice. */
const DOUBT_CHECK = 5;
/** Days after which a suspected drone layer is looked at again: worker cappings would show by then. Common practice. */
const DRONE_LAYER_CHECK = 5;

/** Phases in which a colony without eggs is as it should be. */
const BROODLESS: ReadonlySet<Phase> = new Set<Phase>(['winter-rest', 'first-brood', 'closing-down']);

/** Whether missing eggs are no finding: the season, the strain's habit in a dearth, or a queen that cannot lay yet. */
export function noEggsNormal({ phase, strain, youngQueen, today }: ColonyFacts): Text | null {
  if (youngQueen && today <= youngQueen.layingTo)
    return say('young-queen-expected-lay-before', { layingTo: youngQueen.layingTo });
  if (phase === null) return null;
  if (BROODLESS.has(phase)) return say('brood-normal', { phase });
  return phase === 'dearth' && strain === 'stops' ? say('strain-stops-laying-dearth') : null;
}

/**
 * Look again soon, when something was found that changes within days: no eggs where eggs belong, signs of a drone layer, or a doubtful side.
 *
 * @param facts the colony
 * @returns the advice with its numbers, or `null` when nothing presses
 */
export function adviseLookAgain(facts: ColonyFacts): Advised | null {
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
            ? say('eggs-found-youngest-brood-says', { from: laid.from, to: laid.to })
            : say('brood-all-tell-when-she'),
          weight: noBrood ? 0.9 : 0.7,
          sense: 'for',
        }
      : null,
    doubtful
      ? { text: say('doubtful-frame-settled', { frames: facts.doubtfulFrames }), weight: 0.5, sense: 'for' }
      : null,
    facts.queenSeen ? { text: say('queen-seen'), weight: 0.4, sense: 'against' } : null,
    facts.reopens
      ? { text: say('hives-stay-shut-until-about', { reopens: facts.reopens }), weight: 0.6, sense: 'against' }
      : null,
    { text: say('every-opening-costs-colony-part'), weight: 0.2, sense: 'against' },
  ];
  const days = droneLayer ? DRONE_LAYER_CHECK : noEggs ? LAYING_CHECK : DOUBT_CHECK;
  const soonest = addDays(facts.today, days);
  const by = facts.reopens ? laterOf(soonest, facts.reopens) : soonest;
  return {
    kind: 'look-again',
    title: droneLayer
      ? say('drone-layer-give-frame-young')
      : noEggs
        ? say('look-eggs-again')
        : say('look-doubtful-frames-again'),
    by,
    pressing: weigh(droneLayer ? 0.85 : noBrood ? 0.8 : noEggs ? 0.6 : 0.45),
    reasons: reasons.filter((each) => each !== null),
    otherSchool: droneLayer
      ? say('shakes-such-colony-out-front')
      : noBrood
        ? say('leaves-her-three-weeks-young')
        : say('counts-queen-herself-proof-does'),
    whereFrom: {
      figure: say('days', { days: daysBetween(facts.today, by) }),
      rule: droneLayer ? say('queen-cells-given-frame-young') : say('egg-stands-days-larva-within'),
      steps: [
        [named('content', 'E'), facts.eggsSeen ? say('was-seen') : say('not-seen')],
        [named('content', 'L'), facts.larvaeSeen ? say('was-seen') : say('not-seen')],
        [say('flat-sealed-worker-brood'), facts.sealedSeen ? say('was-seen') : say('not-seen')],
        [say('phase-of-year'), facts.phase === null ? say('not-known') : named('phase', facts.phase)],
      ],
      source: say('development-days-textbook-consensus-within'),
    },
    followUps: [
      {
        question: droneLayer
          ? say('queen-cells-given-frame-flat')
          : noEggs
            ? say('eggs-young-larvae')
            : say('what-doubtful-comb'),
        from: addDays(by, -2),
        due: by,
      },
    ],
  };
}
