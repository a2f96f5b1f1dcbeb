import { type Phase, pollenWorth } from '../season';
import { addDays, roundTo } from '../units';
import { type Advised, type Reason, weigh } from './advice';
import type { ColonyFacts } from './facts';
import { queenTrouble } from './queen';
import { halfRead } from './reading';
import { say } from './said';
import type { Text } from '../language';

/** Stored pollen that a rearing colony should have, frames summed over all combs. Common practice: half a frame, of several colours. */
const WANTED = 0.5;
/** Frames of brood under which little pollen is needed. Common practice. */
const REARING = 1.5;
/** Worth of pollen in bloom from which bees bring enough themselves, see the list of plants. Common practice. */
export const BRINGS_ENOUGH = 4;
/** Days of the coming seven without flying from which what is in bloom does not help: five to a week stop rearing. Common practice. */
export const SHUT_IN = 5;
/** Phases in which brood is reared and pollen may fail. In the flow it comes in; before natural pollen comes, none is given. */
const MAY_FAIL: ReadonlySet<Phase> = new Set<Phase>([
  'build-up',
  'swarm-season',
  'dearth',
  'late-flow',
  'making-winter-bees',
]);
/** Kilograms of patty for a full box of bees, for a frame of bees, and the least. Common practice: 0.45 kg (1 lb) in a week. */
const PATTY = { most: 0.45, aFrame: 0.05, least: 0.1 } as const;
/** Days between patties, and how many. Common practice: weekly, results in about three weeks. */
const [WEEK, WEEKS] = [7, 3];

/**
 * Protein: a patty where brood is reared on too little pollen and none comes in.
 *
 * @param facts the colony
 * @returns the advice with its numbers, or `null` when there is pollen, or it comes in, or nobody read enough
 * Source: common practice.
 */
export function adviseProtein(facts: ColonyFacts): Advised | null {
  const { nest, phase, today } = facts;
  const pollen = nest.pollen.value;
  if (phase === null || !MAY_FAIL.has(phase) || !halfRead(facts)) return null;
  if (pollen >= WANTED || nest.brood.value < REARING) return null;
  if (!facts.eggsSeen && !facts.larvaeSeen) return null;
  // Sealed brood eats nothing; without a laying queen there is soon nobody to feed.
  const trouble = queenTrouble(facts);
  if ((trouble !== null && trouble !== 'failing') || (facts.youngQueen !== null && !facts.eggsSeen)) return null;
  const poor = facts.poorDays ?? 0;
  const comes = pollenWorth(facts.inBloom) >= BRINGS_ENOUGH && poor < SHUT_IN;
  if (comes) return null;
  const bees = nest.framesOfBees?.value ?? facts.frames * 0.6;
  const kg = roundTo(Math.min(PATTY.most, Math.max(PATTY.least, bees * PATTY.aFrame)), 2);
  const beetles =
    facts.findings.some(({ finding, found }) => finding === 'beetles' && found) ||
    facts.marks.some(({ mark }) => mark === 'beetles');
  const patty = (weeks: number) => addDays(today, 3 + weeks * WEEK);
  const reasons: (Reason | null)[] = [
    { text: say('pollen-found-wanted', { pollen, wanted: WANTED }), weight: weigh(1 - pollen / WANTED), sense: 'for' },
    { text: say('brood-to-feed', { brood: nest.brood.value }), weight: weigh(nest.brood.value / 6), sense: 'for' },
    poor >= SHUT_IN
      ? { text: say('days-shut-in', { poor }), weight: 0.6, sense: 'for' }
      : { text: say('little-pollen-in-bloom'), weight: 0.4, sense: 'for' },
    phase === 'making-winter-bees' ? { text: say('winter-bees-need-protein'), weight: 0.6, sense: 'for' } : null,
    { text: say('own-pollen-better'), weight: 0.3, sense: 'against' },
  ];
  const cut: readonly Text[] = beetles ? [say('beetles-cut-small')] : [];
  return {
    kind: 'protein',
    errand: { brings: [{ what: 'patty', amount: kg }] },
    title: say('give-patty', { kg, small: beetles }),
    by: addDays(today, 3),
    pressing: weigh(0.42 + (1 - pollen / WANTED) * 0.15 + (phase === 'making-winter-bees' ? 0.1 : 0)),
    reasons: reasons.filter((each) => each !== null),
    otherSchool: say('only-while-pollen-flows'),
    whereFrom: {
      figure: say('kilograms', { kg }),
      rule: say('protein-rule', { wanted: WANTED }),
      steps: [
        [say('pollen-stored'), say('frames-of-bees', { value: pollen })],
        [say('bees-in-nest'), say('frames-of-bees', { value: bees })],
      ],
      source: say('common-practice'),
    },
    cautions: [...cut, say('patty-eaten-or-out')],
    turns: [say('pollen-loads-come-in')],
    ifItFails: say('patty-left-take-out'),
    followUps: [
      { question: say('patty-eaten-pollen-nest'), from: addDays(patty(1), -2), due: patty(1) },
      ...Array.from({ length: WEEKS - 1 }, (_, week) => ({
        question: say('patty-again-or-pollen'),
        from: addDays(patty(week + 2), -2),
        due: patty(week + 2),
      })),
    ],
  };
}
