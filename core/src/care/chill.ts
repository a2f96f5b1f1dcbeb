import type { Phase } from '../season';
import { addDays } from '../units';
import { type Advised, type Reason, con, pro, weigh } from './advice';
import { type ColonyFacts, nightsAhead } from './facts';
import { halfRead } from './reading';
import { say } from './said';

/** Phases in which brood stands in combs that bees may leave bare in a cold night. */
const REARS: ReadonlySet<Phase> = new Set<Phase>([
  'first-brood',
  'build-up',
  'swarm-season',
  'flow',
  'dearth',
  'late-flow',
  'making-winter-bees',
]);
/** Brood under which the few bees that rear it cover it whatever the night. */
const LEAST_BROOD = 0.75;
/** Night lows, °C, and the frames of brood that a frame of bees then covers; between them it is drawn straight. Common practice. */
const COVERS = [
  [0, 0.6],
  [12, 1],
  [18, 1.5],
] as const;
/** Night low from which brood that bees leave bare is not chilled, °C. Common practice. */
const WARM_NIGHT = 18;
/** Nights ahead that count: as far as a forecast is worth something for lows. */
const NIGHTS = 5;
/** Days within which the nest is closed up, and after which it is looked at: brood chilled now is thrown out by then. Common practice. */
const WITHIN = 2;
const AGAIN = [8, 12] as const;

/** Frames of brood that a frame of bees keeps warm in a night. */
function coversInNight(low: number): number {
  const after = COVERS.findIndex(([degrees]) => low < degrees);
  if (after < 0) return COVERS.at(-1)![1];
  if (after === 0) return COVERS[0][1];
  const [[from, less], [to, more]] = [COVERS[after - 1]!, COVERS[after]!];
  return less + ((more - less) * (low - from)) / (to - from);
}

/**
 * More brood than the bees keep warm in the nights ahead: the nest is closed up.
 *
 * @param facts the colony
 * @returns the advice with its numbers, or `null` when the bees cover their brood, nobody counted them, or hives stay shut
 * Source: common practice.
 */
export function adviseChill(facts: ColonyFacts): Advised | null {
  const { nest, phase, today, reopens } = facts;
  const bees = nest.framesOfBees;
  if (bees === null || phase === null || !REARS.has(phase) || reopens !== null || !halfRead(facts)) return null;
  if (nest.brood.value < LEAST_BROOD) return null;
  const nights = nightsAhead(facts, NIGHTS);
  const coldest = nights.length > 0 ? Math.min(...nights) : null;
  if (coldest !== null && coldest >= WARM_NIGHT) return null;
  // Without a forecast only brood that no mild night would let them cover is spoken of.
  const each = coldest === null ? 1 : coversInNight(coldest);
  const covered = bees.value * each;
  if (nest.brood.value <= covered) return null;
  const short = nest.brood.value - covered;
  const by = addDays(today, WITHIN);
  const certain = nest.brood.low > bees.high * each;
  const reasons: readonly Reason[] = [
    pro(say('brood-and-bees', { brood: nest.brood.value, bees: bees.value }), weigh(0.4 + short / nest.brood.value)),
    ...(coldest === null ? [] : [pro(say('nights-as-cold-as', { low: coldest, covered }), 0.5)]),
    ...(certain ? [] : [con(say('range-lets-them-cover'), 0.3)]),
    con(say('every-opening-costs-colony-part'), 0.2),
  ];
  return {
    kind: 'chill',
    title: say('close-nest-up'),
    by,
    pressing: weigh(0.5 + short / (2 * nest.brood.value)),
    reasons,
    otherSchool: say('gives-bees-not-less-room'),
    whereFrom: {
      figure: say('frames-bare-at-night', { short }),
      rule: say('chill-rule', { cold: COVERS[0][1], mild: COVERS[1][1] }),
      steps: [
        [say('bees-in-nest'), say('frames-of-bees', { value: bees.value })],
        [say('brood-in-nest'), say('frames-of-bees', { value: nest.brood.value })],
        [say('covered-at-night'), say('frames-of-bees', { value: covered })],
      ],
      source: say('common-practice'),
    },
    cautions: [say('give-no-brood-no-box')],
    turns: [say('warm-nights-leave-them'), say('young-bees-emerge-soon')],
    ifItFails: say('chilled-brood-cast-out'),
    followUps: [
      { question: say('brood-covered-none-chilled'), from: addDays(today, AGAIN[0]), due: addDays(today, AGAIN[1]) },
    ],
  };
}
