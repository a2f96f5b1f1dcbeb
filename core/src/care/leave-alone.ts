import { onDay } from '../language';
import { addDays, daysBetween, laterOf } from '../units';
import { type Advised, weigh } from './advice';
import type { ColonyFacts } from './facts';
import { daysOfFood, foodOf } from './feed';
import { noEggsNormal } from './no-eggs';
import { halfRead } from './reading';
import { say } from './said';

/**
 * Leave the colony alone until the ordinary interval is over: the advice that stands when nothing else presses.
 *
 * @param facts the colony
 * @returns the advice with the numbers that make it safe
 */
export function adviseLeaveAlone(facts: ColonyFacts): Advised {
  const { nest, practice, today } = facts;
  const ordinary = addDays(today, practice.intervalDays);
  const quiet = facts.youngQueen && facts.youngQueen.aloneTo > ordinary ? facts.youngQueen.aloneTo : ordinary;
  const by = facts.reopens ? laterOf(quiet, facts.reopens) : quiet;
  const interval = daysBetween(today, by);
  const days = daysOfFood(facts);
  const food = Number.isFinite(days) ? say('about-days', { floor: Math.floor(days) }) : '';
  const normal = facts.eggsSeen ? null : noEggsNormal(facts);
  const foodRead = halfRead(facts) || facts.foodWeighed;
  return {
    kind: 'leave-alone',
    title: say('leave-alone'),
    by,
    pressing: 0.15,
    reasons: [
      ...(facts.eggsSeen ? [{ text: say('eggs-seen-she-laid-within'), weight: 0.8, sense: 'for' as const }] : []),
      ...(normal ? [{ text: say('no-eggs', { normal }), weight: 0.5, sense: 'for' as const }] : []),
      ...(facts.reopens
        ? [{ text: say('hives-stay-shut-until-about', { reopens: facts.reopens }), weight: 0.7, sense: 'for' as const }]
        : []),
      foodRead
        ? {
            text: say('kg-food', { food: foodOf(facts), food2: food }),
            weight: weigh(foodOf(facts) / 12),
            sense: 'for' as const,
          }
        : {
            text: say('food-judged-less-than-half'),
            weight: 0.5,
            sense: 'against' as const,
          },
      ...(facts.queenCells > 0
        ? [
            {
              text: say('empty-bees-build-matter-course', { queenCells: facts.queenCells }),
              weight: 0.2,
              sense: 'for' as const,
            },
          ]
        : []),
      ...(nest.framesOfBees
        ? [
            {
              text: say('bees-frames', { value: nest.framesOfBees.value, frames: facts.nestFrames }),
              weight: weigh(1 - nest.framesOfBees.value / facts.nestFrames),
              sense: 'for' as const,
            },
          ]
        : []),
      ...(facts.framesRead < facts.frames
        ? [
            {
              text: say('frames-were-read', { frames: facts.frames - facts.framesRead }),
              weight: weigh(1 - facts.framesRead / facts.frames),
              sense: 'against' as const,
            },
          ]
        : []),
    ],
    otherSchool: say('opens-every-days-while-swarms', { swarmIntervalDays: practice.swarmIntervalDays }),
    whereFrom: {
      figure: say('days', { days: interval }),
      rule: facts.reopens ? say('shut-until-first-look-year') : say('ordinary-interval-high-season-when'),
      steps: [
        [say('house-interval'), say('days', { days: practice.intervalDays })],
        ...(facts.reopens ? [[say('hives-opened-again-about'), onDay(facts.reopens)] as const] : []),
      ],
      source: say('house-practice-trade-says-days'),
    },
    followUps: [
      {
        question: facts.reopens ? say('first-look-year') : say('ordinary-look'),
        from: addDays(by, -3),
        due: by,
      },
    ],
  };
}
