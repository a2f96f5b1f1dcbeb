import { lastLaying } from '../biology';
import { addDays, daysBetween, laterOf } from '../units';
import { type Advised, type Reason, weigh } from './advice';
import type { ColonyFacts } from './facts';
import { noEggsNormal } from './no-eggs';
import { queenTrouble } from './queen';
import { halfRead } from './reading';
import { say } from './said';
import { named } from '../language';

/** Days after which a laying check settles whether missing eggs were missed or not laid: an egg stands three days, a larva six. */
const LAYING_CHECK = 7;
/** Days after which a doubtful side is looked at again. Common practice. */
const DOUBT_CHECK = 5;

/**
 * Look again soon, when something was found that changes within days: no eggs where eggs belong, while larvae or the queen say that she may
 * well be there, or a doubtful side.
 *
 * @param facts the colony
 * @returns the advice with its numbers, or `null` when nothing presses or the judge of queens has spoken
 */
export function adviseLookAgain(facts: ColonyFacts): Advised | null {
  const youngQueen = facts.queen.verdict === 'young-queen-likely' || facts.youngQueen !== null;
  const noEggs =
    !facts.eggsSeen && !youngQueen && queenTrouble(facts) === null && halfRead(facts) && noEggsNormal(facts) === null;
  const doubtful = facts.doubtfulFrames.length > 0;
  if (!noEggs && !doubtful) return null;
  const laid = lastLaying({ eggs: facts.eggsSeen, larvae: facts.larvaeSeen, sealed: facts.sealedSeen });
  const noBrood = noEggs && !facts.larvaeSeen;
  const reasons: (Reason | null)[] = [
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
  const soonest = addDays(facts.today, noEggs ? LAYING_CHECK : DOUBT_CHECK);
  const by = facts.reopens ? laterOf(soonest, facts.reopens) : soonest;
  return {
    kind: 'look-again',
    title: noEggs ? say('look-eggs-again') : say('look-doubtful-frames-again'),
    by,
    pressing: weigh(noBrood ? 0.8 : noEggs ? 0.6 : 0.45),
    reasons: reasons.filter((each) => each !== null),
    otherSchool: noBrood ? say('leaves-her-three-weeks-young') : say('counts-queen-herself-proof-does'),
    whereFrom: {
      figure: say('days', { days: daysBetween(facts.today, by) }),
      rule: say('egg-stands-days-larva-within'),
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
        question: noEggs ? say('eggs-young-larvae') : say('what-doubtful-comb'),
        from: addDays(by, -2),
        due: by,
      },
    ],
  };
}
