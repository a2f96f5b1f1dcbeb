import { addDays, roundTo } from '../units';
import { type Advice, weigh } from './advice';
import { daysOfFood } from './feed';
import type { ColonyFacts } from './facts';

/**
 * Leave the colony alone until the ordinary interval is over: the advice that stands when nothing else presses.
 *
 * @param facts the colony
 * @returns the advice with the numbers that make it safe
 * @example adviseLeaveAlone(thriving).kind // 'leave alone'
 */
export function adviseLeaveAlone(facts: ColonyFacts): Advice {
  const { nest, practice, today } = facts;
  const by = addDays(today, practice.intervalDays);
  const days = daysOfFood(facts);
  const food = Number.isFinite(days) ? `, about ${Math.floor(days)} days` : '';
  return {
    kind: 'leave alone',
    title: 'Leave them alone',
    by,
    pressing: 0.15,
    reasons: [
      ...(facts.eggsSeen
        ? [{ text: 'Eggs seen: she laid within three days', weight: 0.8, sense: 'for' as const }]
        : []),
      {
        text: `${roundTo(nest.storesKg.value, 1)} kg of food${food}`,
        weight: weigh(nest.storesKg.value / 12),
        sense: 'for',
      },
      ...(nest.framesOfBees
        ? [
            {
              text: `Bees on ${roundTo(nest.framesOfBees.value, 1)} of ${facts.frames} frames`,
              weight: weigh(1 - nest.framesOfBees.value / facts.frames),
              sense: 'for' as const,
            },
          ]
        : []),
      ...(facts.framesRead < facts.frames
        ? [
            {
              text: `${facts.frames - facts.framesRead} frames were not read`,
              weight: weigh(1 - facts.framesRead / facts.frames),
              sense: 'against' as const,
            },
          ]
        : []),
    ],
    otherSchool: `opens every ${practice.swarmIntervalDays} days while swarms may leave, whatever was found.`,
    whereFrom: {
      figure: `${practice.intervalDays} days`,
      rule: 'Ordinary interval of the high season, when nothing found asks for less.',
      steps: [['house interval', `${practice.intervalDays} days`]],
      source: 'House practice; the trade says 10 to 15 days.',
    },
    followUp: { question: 'Ordinary look', from: addDays(today, practice.intervalDays - 3), due: by },
  };
}
