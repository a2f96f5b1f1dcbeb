import { readCells } from '../inspection';
import type { Text } from '../language';
import { type Phase, pollenWorth } from '../season';
import { addDays } from '../units';
import { type Advised, type Reason, con, weigh } from './advice';
import { adviseChill } from './chill';
import type { ColonyFacts } from './facts';
import { daysOfFood, foodOf } from './feed';
import { crippledWings, healthOf } from './health';
import { lastSample, miteLimit } from './mites';
import { BRINGS_ENOUGH, SHUT_IN } from './protein';
import { queenTrouble } from './queen';
import { halfRead } from './reading';
import { say } from './said';
import type { HeldBackBy } from './said-behind';

/** Phases in which a colony grows, or keeps what it has. */
const GROWS: ReadonlySet<Phase> = new Set<Phase>(['build-up', 'swarm-season', 'flow']);
/** Days since the last look: fewer let little grow, more let too much happen. Common practice: about one to two rounds of brood. */
const SINCE = [12, 45] as const;
/** Days of food under which they rear less. Common practice. */
const FOOD_DAYS = 10;
/** Frames of stored pollen under which larvae go short. Common practice. */
const POLLEN = 0.4;
/** Worn combs of the nest from which she runs short of cells. Common practice. */
const WORN = 3;
/** Seasons of a queen from which she may be what is wrong. Common practice. */
const OLD = 3;
/** Frames on which food stands among brood from which she has no room. Common practice. */
const CROWDED_OUT = 3;
/** Frames of empty comb with which she has room. */
const ROOMY = 1;
/** Weight from which one cause stands out. */
const STANDS_OUT = 0.5;
/** Days within which the cause is looked for. */
const WITHIN = 7;
/** Days for which a count of mites speaks of this colony's course. Common practice. */
const COUNT_SPEAKS = 45;

interface Cause {
  readonly by: HeldBackBy;
  readonly weight: number;
}

/**
 * Why a colony may be behind, the likeliest first. Common practice; each cause by what was seen, none from nothing.
 *
 * @param facts the colony
 * @returns causes with how much speaks for each, 0 to 1
 */
function heldBackBy(facts: ColonyFacts): readonly Cause[] {
  const { nest } = facts;
  const sample = countedLately(facts);
  const limit = miteLimit(facts.phase);
  const wings = crippledWings(facts) !== null;
  const pollenComes = pollenWorth(facts.inBloom) >= BRINGS_ENOUGH;
  const { verdict } = healthOf(facts);
  const worn = facts.woodwork.worn.length;
  const causes: readonly (Cause | false)[] = [
    (wings || (sample !== null && sample.rate.value >= limit)) && { by: 'mites', weight: 0.9 },
    sample === null && !wings && { by: 'not-counted', weight: 0.35 },
    daysOfFood(facts) < FOOD_DAYS && { by: 'food', weight: weigh(1 - daysOfFood(facts) / (2 * FOOD_DAYS)) },
    nest.pollen.value < POLLEN && !pollenComes && { by: 'pollen', weight: weigh(0.8 - nest.pollen.value) },
    (facts.poorDays ?? 0) >= SHUT_IN && { by: 'shut-in', weight: 0.5 },
    verdict !== 'sound' && verdict !== 'wings' && { by: 'sick', weight: 0.85 },
    adviseChill(facts) !== null && { by: 'chill', weight: 0.6 },
    facts.nectarAmongBrood.length >= CROWDED_OUT && nest.emptyComb.value < ROOMY && { by: 'no-room', weight: 0.55 },
    worn >= WORN && { by: 'comb', weight: weigh(worn / 10) },
    facts.queenSeasons !== null && facts.queenSeasons >= OLD && { by: 'queen', weight: 0.6 },
    facts.outside?.deadBees === true && { by: 'dead-bees', weight: 0.55 },
  ];
  return causes.filter((each) => each !== false).toSorted((a, b) => b.weight - a.weight);
}

/**
 * A colony that has stayed behind what its last look led to expect: what holds it back, the likeliest first, and what helps against each.
 *
 * @param facts the colony
 * @returns the advice with its numbers, or `null` where it keeps up, swarmed, waits for a queen, or too little was read now or then
 * Source: common practice.
 */
export function adviseBehind(facts: ColonyFacts): Advised | null {
  const { expected, nest, phase, today } = facts;
  const bees = nest.framesOfBees;
  if (!expected || bees === null || phase === null || !GROWS.has(phase) || !halfRead(facts)) return null;
  // Of a reserve combs are taken, and it is kept small.
  if (facts.aim === 'reserve') return null;
  if (expected.days < SINCE[0] || expected.days > SINCE[1]) return null;
  // A queen in the making, cells, or a queen in trouble: others speak of that.
  if (!facts.eggsSeen || facts.youngQueen || facts.queenCells > 0 || queenTrouble(facts) !== null) return null;
  if (readCells(facts.cells, facts.eggsSeen).means !== 'routine') return null;
  const fewBees = bees.high < expected.bees.low;
  const fewBrood = nest.brood.high < expected.brood.low;
  if (!fewBees && !fewBrood) return null;
  const causes = heldBackBy(facts);
  const [likeliest] = causes;
  const stands = likeliest !== undefined && likeliest.weight >= STANDS_OUT;
  const by = addDays(today, WITHIN);
  const figures = say('found-where-expected', {
    bees: fewBees ? { found: bees.value, low: expected.bees.low, high: expected.bees.high } : null,
    brood: fewBrood ? { found: nest.brood.value, low: expected.brood.low, high: expected.brood.high } : null,
    days: expected.days,
  });
  const reasons: readonly Reason[] = [
    { text: figures, weight: 0.7, sense: 'for' },
    ...causes.map(({ by: cause, weight }): Reason => ({ text: whyOf(facts, cause), weight, sense: 'for' })),
    ...(causes.length === 0 ? [con(say('nothing-seen-that-holds-back'), 0.3)] : []),
  ];
  return {
    kind: 'behind',
    title: stands ? say('behind-likely', { cause: likeliest.by }) : say('behind-find-out'),
    by,
    confidence: stands ? 'likely' : 'guess',
    pressing: weigh(0.41 + (stands ? 0.08 : 0)),
    reasons,
    otherSchool: say('leaves-slow-ones-to-themselves'),
    whereFrom: {
      figure: figures,
      rule: say('behind-rule'),
      steps:
        causes.length === 0
          ? [[say('look-first-at'), say('floor-neighbours-queen')]]
          : causes.map(({ by: cause }) => [say('cause', { cause }), say('helps-against', { cause })]),
      source: say('model-and-common-practice'),
    },
    cautions: [say('no-comb-from-others-before-known')],
    turns: [say('grown-by-next-look'), say('somebody-took-bees')],
    ifItFails: say('still-behind-requeen'),
    followUps: [{ question: say('caught-up-or-why'), from: addDays(today, 12), due: addDays(today, 18) }],
  };
}

function countedLately(facts: ColonyFacts) {
  const counted = lastSample(facts);
  return counted !== null && counted.age <= COUNT_SPEAKS ? counted : null;
}

function whyOf(facts: ColonyFacts, cause: HeldBackBy): Text {
  switch (cause) {
    case 'mites': {
      const sample = countedLately(facts);
      return sample === null
        ? say('crippled-wings-seen')
        : say('mites-over-line', { value: sample.rate.value, limit: miteLimit(facts.phase) });
    }
    case 'food':
      return say('food-short-for-brood', { kg: foodOf(facts), days: Math.floor(daysOfFood(facts)) });
    case 'pollen':
      return say('pollen-short-for-brood', { frames: facts.nest.pollen.value });
    case 'shut-in':
      return say('next-days-hardly-fit-flying', { poor: facts.poorDays! });
    case 'comb':
      return say('worn-combs-in-nest', { count: facts.woodwork.worn.length });
    case 'queen':
      return say('queen-in-her-season', { seasons: facts.queenSeasons! });
    case 'no-room':
      return say('nectar-among-brood', { squeezed: facts.nectarAmongBrood.length });
    case 'not-counted':
    case 'sick':
    case 'chill':
    case 'dead-bees':
      return say('cause-seen', { cause });
  }
}
