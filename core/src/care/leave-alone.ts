import { addDays, dayAndMonth, daysBetween, laterOf, roundTo } from '../units';
import { type Advice, weigh } from './advice';
import type { ColonyFacts } from './facts';
import { daysOfFood, foodOf } from './feed';
import { noEggsNormal } from './look-again';

/**
 * Leave the colony alone until the ordinary interval is over: the advice that stands when nothing else presses.
 *
 * @param facts the colony
 * @returns the advice with the numbers that make it safe
 */
export function adviseLeaveAlone(facts: ColonyFacts): Advice {
  const { nest, practice, today } = facts;
  const ordinary = addDays(today, practice.intervalDays);
  const quiet = facts.youngQueen && facts.youngQueen.aloneTo > ordinary ? facts.youngQueen.aloneTo : ordinary;
  const by = facts.reopens ? laterOf(quiet, facts.reopens) : quiet;
  const interval = daysBetween(today, by);
  const days = daysOfFood(facts);
  const food = Number.isFinite(days) ? `, about ${Math.floor(days)} days` : '';
  const normal = facts.eggsSeen ? null : noEggsNormal(facts);
  const foodRead = facts.framesRead * 2 >= facts.frames;
  return {
    kind: 'leave-alone',
    title: 'Leave them alone',
    by,
    pressing: 0.15,
    reasons: [
      ...(facts.eggsSeen
        ? [{ text: 'Eggs seen: she laid within three days', weight: 0.8, sense: 'for' as const }]
        : []),
      ...(normal ? [{ text: `No eggs: ${normal}`, weight: 0.5, sense: 'for' as const }] : []),
      ...(facts.reopens
        ? [{ text: `Hives stay shut until about ${dayAndMonth(facts.reopens)}`, weight: 0.7, sense: 'for' as const }]
        : []),
      foodRead
        ? {
            text: `${roundTo(foodOf(facts), 1)} kg of food${food}`,
            weight: weigh(foodOf(facts) / 12),
            sense: 'for' as const,
          }
        : {
            text: 'Food was not judged: less than half of the frames were read. Heft before you leave',
            weight: 0.5,
            sense: 'against' as const,
          },
      ...(facts.queenCells > 0
        ? [
            {
              text: `${facts.queenCells} empty ${facts.queenCells === 1 ? 'cup' : 'cups'}: bees build them as a matter of course`,
              weight: 0.2,
              sense: 'for' as const,
            },
          ]
        : []),
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
      figure: `${interval} days`,
      rule: facts.reopens
        ? 'Shut until the first look of the year; outside looks and hefting go on.'
        : 'Ordinary interval of the high season, when nothing found asks for less.',
      steps: [
        ['house interval', `${practice.intervalDays} days`],
        ...(facts.reopens ? [['hives opened again about', dayAndMonth(facts.reopens)] as const] : []),
      ],
      source: 'House practice; the trade says 10 to 15 days.',
    },
    followUp: { question: facts.reopens ? 'First look of the year' : 'Ordinary look', from: addDays(by, -3), due: by },
  };
}
