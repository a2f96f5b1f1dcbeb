import { type Text, named } from '../language';
import type { Phase } from '../season';
import { con, pro, weigh } from './advice';
import { type CombJob, USUAL } from './comb-job';
import type { Bring } from './errand';
import { type ColonyFacts, middleHigh } from './facts';
import { say } from './said';

/** Phases in which comb is drawn. */
const DRAWN: ReadonlySet<Phase> = new Set<Phase>(['build-up', 'swarm-season', 'flow']);
/** Phases in which old comb goes outward, so that it is empty by spring. Common practice. */
const OUTWARD: ReadonlySet<Phase> = new Set<Phase>(['late-flow', 'making-winter-bees']);
/** Frames of bees from which a colony draws foundation and can spare a comb; under them every comb is needed. Common practice. */
const STRONG = 6;
const SPARES_COMB = 5;
/** Part of the combs that bees cover from which they draw more. Common practice. */
const COVERED = 0.75;
/** Middle of the highest temperatures ahead from which bees make wax, and from which a comb may be moved in the nest, °C. Common practice. */
const WAX = 16;
const MOVED = 13;
/** Days of the coming seven without flying from which nothing is drawn. */
const SHUT_IN = 4;
/** Old combs that are renewed at once at most: a third of a nest a year. Common practice. */
const AT_ONCE = 3;
/** Frames of food on an old comb from which it is left until eaten. Common practice. */
const MUCH_FOOD = 0.35;

/** A bare frame cuts the nest of a weak colony in two; a strong one in a warm flow draws it there fastest. */
export function bareBetweenJobs(facts: ColonyFacts): readonly CombJob[] {
  const frames = facts.woodwork.bareBetween;
  const bees = facts.nest.framesOfBees?.value ?? null;
  const high = middleHigh(facts);
  const weak = bees !== null && bees < STRONG;
  const cold = high !== null && high < WAX && bees !== null;
  if (frames.length === 0 || !(weak || cold)) return [];
  return [
    {
      ...USUAL,
      title: say('bare-out-of-nest', { frames }),
      pressing: 0.5,
      within: 1,
      reasons: [
        pro(say('bare-between-brood', { frames }), 0.7),
        pro(say('few-or-cold', { bees: weak ? bees : null, warmest: cold ? high : null }), 0.5),
      ],
      step: [say('bees-in-nest'), say('frames-of-bees', { value: bees })],
      rule: say('one-warm-ball'),
      otherSchool: say('hangs-bare-between-brood'),
      turns: [say('strong-warm-flow-leave')],
      question: say('nest-closed-up'),
    },
  ];
}

/** Bare frames at the walls of a strong colony go beside the brood. */
export function bareOutsideJobs(facts: ColonyFacts): readonly CombJob[] {
  const { bareOutside, bare } = facts.woodwork;
  const bees = facts.nest.framesOfBees?.value ?? null;
  const combs = facts.nestFrames - bare;
  const high = middleHigh(facts);
  if (bareOutside.length === 0 || facts.phase === null || !DRAWN.has(facts.phase)) return [];
  if (bees === null || bees < STRONG || bees < COVERED * combs) return [];
  if ((high !== null && high < WAX) || (facts.poorDays ?? 0) >= SHUT_IN) return [];
  if (facts.nectar <= 0 && facts.fedUntil === null) return [];
  const frames = bareOutside.map(({ frame }) => frame);
  return [
    {
      ...USUAL,
      title: say('foundation-beside-brood', { moves: bareOutside }),
      pressing: 0.41,
      within: 7,
      minutes: 8,
      reasons: [
        pro(say('bare-outside-noted', { frames }), 0.5),
        pro(say('strong-enough-to-draw', { bees }), weigh(bees / combs - 0.4)),
        pro(say('nectar-draws-wax'), 0.3),
      ],
      step: [say('bees-in-nest'), say('frames-of-bees', { value: bees })],
      rule: say('foundation-rule'),
      otherSchool: say('hangs-bare-between-brood'),
      turns: [say('cold-snap-stops-drawing')],
      ifItFails: say('leave-outside-until-flow'),
      question: say('drawn-next-look'),
    },
  ];
}

/** Old comb goes outward in late summer, and out in spring when nothing lives in it. */
export function wornJobs(facts: ColonyFacts): readonly CombJob[] {
  const { phase, nest, woodwork } = facts;
  const bees = nest.framesOfBees?.value ?? null;
  const high = middleHigh(facts);
  if (phase === null || bees === null || bees < SPARES_COMB || (high !== null && high < MOVED)) return [];
  const worn = woodwork.worn.toSorted((a, b) => Number(b.broken) - Number(a.broken)).slice(0, AT_ONCE);
  const job = (title: Text, combs: typeof worn, days: number, brings: readonly Bring[]): CombJob => ({
    ...USUAL,
    title,
    pressing: combs.some(({ broken }) => broken) ? 0.43 : 0.4,
    within: days,
    brings,
    reasons: [
      pro(
        say('worn-noted', { frames: combs.map(({ frame }) => frame), broken: combs.every(({ broken }) => broken) }),
        0.5,
      ),
      con(say('old-comb-waits'), 0.2),
    ],
    step: [named('mark', 'old-comb'), say('frames-listed', { frames: combs.map(({ frame }) => frame) })],
    rule: say('old-comb-rule'),
    otherSchool: say('renews-all-at-once'),
    cautions: [say('queen-or-brood-stays')],
    question: say('empty-and-outside-yet'),
  });
  const numbers = (combs: typeof worn) => combs.map(({ frame }) => frame);
  if (OUTWARD.has(phase)) {
    const inside = worn.filter(({ atEdge }) => !atEdge);
    return inside.length === 0 ? [] : [job(say('old-comb-to-edge', { frames: numbers(inside) }), inside, 14, [])];
  }
  if (!DRAWN.has(phase)) return [];
  const out = worn.filter(({ brood, food }) => !brood && food < MUCH_FOOD);
  const outward = worn.filter(({ brood, atEdge }) => brood && !atEdge);
  return [
    ...(out.length > 0
      ? [
          job(say('old-comb-out', { frames: numbers(out) }), out, 10, [
            { what: 'foundation' as const, amount: out.length },
          ]),
        ]
      : []),
    ...(outward.length > 0 ? [job(say('old-comb-outward', { frames: numbers(outward) }), outward, 14, [])] : []),
  ];
}
