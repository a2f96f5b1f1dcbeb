import { addDays, laterOf } from '../units';
import type { Advised } from './advice';
import type { ColonyFacts } from './facts';
import { A_QUARTER, shareRead } from './reading';
import { say } from './said';
import type { Text } from '../language';

/**
 * That too little was read to say what a colony needs, and which look would tell most.
 *
 * @param facts the colony
 * @returns the advice, or `null` when enough was read or hives are shut at this time of the year
 * Source: common practice.
 */
export function adviseCannotTell(facts: ColonyFacts): Advised | null {
  if (shareRead(facts) > A_QUARTER || facts.reopens !== null) return null;
  const bred = facts.eggsSeen || facts.larvaeSeen;
  const unknown: readonly Text[] = [
    ...(bred ? [] : [say('unknown-laying')]),
    ...(facts.foodWeighed ? [] : [say('unknown-food')]),
    ...(facts.nest.framesOfBees ? [] : [say('unknown-bees')]),
  ];
  const by = facts.youngQueen ? laterOf(facts.youngQueen.aloneTo, addDays(facts.today, 7)) : addDays(facts.today, 7);
  return {
    kind: 'cannot-tell',
    title: bred ? say('cannot-tell-food') : say('cannot-tell-laying'),
    by,
    pressing: 0.3,
    confidence: 'guess',
    reasons: [
      {
        text: say('sides-were-read', { read: facts.nest.sidesRead, sides: facts.nestFrames * 2 }),
        weight: 0.8,
        sense: 'for',
      },
      { text: say('unknown-is', { unknown }), weight: 0.6, sense: 'for' },
      { text: say('every-opening-costs-colony-part'), weight: 0.2, sense: 'against' },
    ],
    otherSchool: say('judges-from-entrance'),
    whereFrom: {
      figure: say('of-sides', { read: facts.nest.sidesRead, sides: facts.nestFrames * 2 }),
      rule: say('quarter-says-nothing'),
      steps: [[say('sides-read'), say('of-sides', { read: facts.nest.sidesRead, sides: facts.nestFrames * 2 })]],
      source: say('common-practice'),
    },
    turns: bred ? [say('heft-light'), say('heft-heavy')] : [say('eggs-there'), say('eggs-not-there')],
    ifItFails: say('no-look-possible-heft'),
    followUps: [
      {
        question: bred ? say('heft-and-outer-frame') : say('one-frame-from-middle'),
        from: addDays(facts.today, 1),
        due: by,
      },
    ],
  };
}
