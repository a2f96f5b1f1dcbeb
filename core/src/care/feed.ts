import { nectarOf } from '../season';
import { addDays, roundTo } from '../units';
import { type Advice, type Reason, weigh } from './advice';
import { eatenDaily } from './eating';
import type { ColonyFacts } from './facts';

/** Litres of 1:1 syrup (by weight) from one kilogram of sugar: 2 kg at 1.2297 kg/L (50 °Bx, ICUMSA density, from memory). */
const LITRES_PER_KG_SUGAR = 1.626;
const ENOUGH_DAYS = 10;

/** Days that the stores last without any income, from bees and brood. */
export function daysOfFood(facts: ColonyFacts): number {
  const bees = facts.nest.framesOfBees?.value ?? facts.frames * 0.7;
  const daily = eatenDaily(bees, facts.nest.brood.value);
  return daily > 0 ? facts.nest.storesKg.value / daily : Infinity;
}

/**
 * Feed, when the food would not last ten days or lies under the school's least store.
 *
 * @param facts the colony
 * @returns the advice with its numbers, or `null` when there is food enough or too little was read to say
 * @example adviseFeeding(starving)?.kind // 'feed'
 */
export function adviseFeeding(facts: ColonyFacts): Advice | null {
  const { nest, practice, today } = facts;
  if (facts.framesRead * 2 < facts.frames) return null;
  const stores = nest.storesKg.value;
  const days = daysOfFood(facts);
  if (stores >= practice.leastStoresKg && days >= ENOUGH_DAYS) return null;
  const sugar = roundTo(Math.max(1, practice.feedToKg - stores), 1);
  const syrup = roundTo(sugar * LITRES_PER_KG_SUGAR, 1);
  const nectar = nectarOf(facts.inBloom);
  const poor = facts.poorDays ?? 0;
  const reasons: Reason[] = [
    {
      text: `${roundTo(stores, 1)} kg of food in the nest; house rule is at least ${practice.leastStoresKg} kg`,
      weight: weigh(1 - stores / practice.leastStoresKg + 0.3),
      sense: 'for',
    },
    {
      text: `Lasts about ${Math.floor(days)} days for ${roundTo(nest.brood.value, 1)} frames of brood`,
      weight: weigh(1 - days / (2 * ENOUGH_DAYS)),
      sense: 'for',
    },
    ...(poor >= 2
      ? [{ text: `${poor} of the next 7 days hardly fit for flying`, weight: weigh(poor / 7), sense: 'for' as const }]
      : []),
    ...(nectar.length > 0
      ? [
          {
            text: `${nectar.map((each) => each.plant).join(' and ')} in bloom, nectar may come in`,
            weight: weigh(0.5 - poor / 14),
            sense: 'against' as const,
          },
        ]
      : []),
  ];
  const urgent = days < 4;
  const by = addDays(today, urgent ? 1 : 3);
  return {
    kind: 'feed',
    title: `Feed ${syrup} L of thin syrup${urgent ? ' now' : ''}`,
    by,
    pressing: weigh(urgent ? 0.98 : 0.55 + (practice.leastStoresKg - stores) / 12),
    reasons,
    otherSchool:
      nectar.length > 0
        ? 'leaves them to forage while plants are in bloom and looks again after the next fine day: fed colonies fill the nest with syrup.'
        : 'gives fondant over the nest: no wet feed while nights are cool, and nothing to spill for robbers.',
    whereFrom: {
      figure: `${syrup} L of syrup`,
      rule: 'Food wanted less food found, as sugar, mixed one to one by weight.',
      steps: [
        ['wanted', `${practice.feedToKg} kg`],
        ['found', `${roundTo(stores, 1)} kg (${roundTo(nest.storesKg.low, 1)} to ${roundTo(nest.storesKg.high, 1)})`],
        ['sugar', `${sugar} kg with ${sugar} L of water`],
        ['syrup', `${syrup} L`],
      ],
      source: 'House practice for the store wanted; density of 50 °Bx sucrose by the ICUMSA formula, from memory.',
    },
    followUp: { question: 'Feed taken? Food in kg?', from: addDays(by, 4), due: addDays(by, 7) },
  };
}
