import { beesDue } from '../biology';
import { type Phase, nectarOf } from '../season';
import type { Text } from '../language';
import { addDays, laterOf } from '../units';
import { type Advised, type Reason, weigh } from './advice';
import { type ColonyFacts, middleHigh } from './facts';
import { say } from './said';

/** Days ahead for which room is reckoned: until the next look. Common practice. */
const DAYS_AHEAD = 7;
/** A lowest super filled this far makes the next one due. Common practice: bees on 8 of 8, or nearly full and drawing. */
export const SUPER_NEARLY_FULL = 0.66;

/** Phases in which a box is added: later none is filled any more, earlier it chills the nest. Common practice. */
const ROOM: ReadonlySet<Phase> = new Set<Phase>(['build-up', 'swarm-season', 'flow', 'late-flow']);
/** Days of the coming seven without flying from which nobody puts a box on, and no swarm leaves. Common practice. */
export const NO_FLYING = 6;
/** Middle of the highest temperatures ahead below which more room chills the nest, °C. Common practice. */
const WARM_ENOUGH = 13;
/** Supers less full than this together are room for a week at least. Common practice. */
const ROOM_ABOVE = 0.4;
/** Part of the nest that bees cover from which nectar among brood means that it is squeezed. Common practice. */
const SQUEEZED_FROM = 0.6;
/** A range that begins so far under the rule does not settle whether room is short. */
const UNSURE = 0.75;

/**
 * Add a box, when bees cover the frames or nectar goes in among the brood.
 *
 * @param facts the colony
 * @returns the advice with its numbers, or `null` when there is room, bees were not counted, or nothing is to be gathered
 */
export function adviseSpace(facts: ColonyFacts): Advised | null {
  const { nest, practice, today } = facts;
  const bees = nest.framesOfBees;
  if (!bees) return null;
  if (facts.phase !== null && !ROOM.has(facts.phase)) return null;
  if ((facts.poorDays ?? 0) >= NO_FLYING) return null;
  const middle = middleHigh(facts);
  if (middle !== null && middle < WARM_ENOUGH) return null;
  const covered = bees.value / facts.nestFrames;
  // Nectar among brood says nothing of a young nest that still has comb to build beside it.
  const squeezed = covered >= SQUEEZED_FROM ? facts.nectarAmongBrood.length : 0;
  const undrawn = nest.foundation.value + nest.emptyComb.value;
  const young = beesDue(nest.sealedWorkerCells.value, DAYS_AHEAD);
  const { filled, fullOn, stalled } = superOf(facts);
  if (facts.supersFill !== null && facts.supersFill < ROOM_ABOVE && !filled) return null;
  if (stalled !== null && covered < practice.addSpaceAt) return null;
  if (covered < practice.addSpaceAt && squeezed < 3 && !filled) return null;
  const due = addDays(today, DAYS_AHEAD);
  const sides = facts.nestFrames * 2;
  const partly = nest.sidesRead < sides;
  const unsure = !filled && bees.low < practice.addSpaceAt * UNSURE * facts.nestFrames && squeezed < 3;
  const range = say('of-frames', {
    value: bees.value,
    frames: facts.nestFrames,
    partly,
    low: bees.low,
    min: Math.min(bees.high, facts.nestFrames),
    sidesRead: nest.sidesRead,
    sides,
  });
  const nectar = nectarOf(facts.inBloom);
  const reasons: Reason[] = [
    {
      text: say('bees-house-rule', { range, addSpaceAt: practice.addSpaceAt * facts.nestFrames }),
      weight: weigh(covered),
      sense: 'for',
    },
    ...(filled
      ? [
          {
            text: say('supers-nearly-full', { eighths: Math.round(facts.supersFill! * 8) }),
            weight: weigh(Math.max(SUPER_NEARLY_FULL, facts.supersFill!)),
            sense: 'for' as const,
          },
          ...(fullOn
            ? [
                {
                  text: say('fills-a-day', { perDay: facts.superGain!, full: fullOn }),
                  weight: 0.4,
                  sense: 'for' as const,
                },
              ]
            : []),
        ]
      : []),
    ...(squeezed > 0
      ? [
          {
            text: say('nectar-among-brood', { squeezed }),
            weight: weigh(squeezed / 4),
            sense: 'for' as const,
          },
        ]
      : []),
    {
      text: say('about-young-bees-due', { young: Math.round(young / 100) * 100, due }),
      weight: weigh(young / 12_000),
      sense: 'for',
    },
    ...(nectar.length > 0
      ? [
          {
            text: say('in-bloom', { plants: nectar.map((each) => each.plant) }),
            weight: 0.4,
            sense: 'for' as const,
          },
        ]
      : []),
    ...(undrawn >= 1
      ? [
          {
            text: say('frames-nest-still-empty-bare', { undrawn }),
            weight: weigh(undrawn / 4),
            sense: 'against' as const,
          },
        ]
      : []),
    ...(stalled !== null
      ? [{ text: say('nothing-gained', { days: stalled }), weight: 0.5, sense: 'against' as const }]
      : []),
    ...(facts.superFill !== null && facts.superFill < SUPER_NEARLY_FULL && !filled
      ? [
          {
            text: say('super-only-eighths-full', { superFill: Math.round(facts.superFill * 8) }),
            weight: weigh(0.9 - facts.superFill),
            sense: 'against' as const,
          },
        ]
      : []),
    ...(facts.poorDays !== null && facts.poorDays >= 3
      ? [
          {
            text: say('next-days-hardly-fit-flying', { poor: facts.poorDays }),
            weight: weigh(facts.poorDays / 10),
            sense: 'against' as const,
          },
        ]
      : []),
  ];
  if (facts.superOnFrom)
    reasons.push({
      text: say('medicine-binds-honey-until-box', { superOnFrom: facts.superOnFrom, today }),
      weight: 0.2,
      sense: 'against',
    });
  if (facts.fedUntil)
    reasons.push({
      text: say('feeder-off-before-super', { fedUntil: facts.fedUntil, today }),
      weight: 0.3,
      sense: 'against',
    });
  if (unsure)
    reasons.push({
      text: say('only-sides-were-read-may', { sidesRead: nest.sidesRead, sides }),
      weight: 0.3,
      sense: 'against',
    });
  const balance = reasons.reduce((sum, reason) => sum + (reason.sense === 'for' ? reason.weight : -reason.weight), 0);
  if (balance <= 0.4) return null;
  const soonest = addDays(today, covered >= 0.9 || squeezed >= 3 || filled ? 2 : 5);
  // By its rate it is full on a known day: the next one is on the day before.
  const by = fullOn ? laterOf(today, addDays(fullOn, -1)) : soonest;
  return {
    kind: 'add-space',
    title: titleOf(facts, unsure),
    ...errandFor(facts),
    by,
    pressing: weigh(0.35 + balance / 5),
    reasons,
    otherSchool: otherSchoolOf(facts),
    turns: [say('no-nectar-then-wait')],
    ...(facts.broodBoxes === 0 ? {} : { ifItFails: say('not-taken-lure-them') }),
    whereFrom: {
      figure: say('bees-on', { range }),
      rule: say('eighths-each-side-covered-bees'),
      steps: [
        [say('likely-range'), say('to-frames', { low: bees.low, high: bees.high })],
        [
          say('house-rule'),
          say('in-of-frames', { addSpaceAt: Math.round(practice.addSpaceAt * 100), frames: facts.nestFrames }),
        ],
        [say('sealed-worker-cells'), `${nest.sealedWorkerCells.value}`],
        [say('emerging-days', { days: DAYS_AHEAD }), say('days-under-lid', { young, days: DAYS_AHEAD })],
        ...(facts.broodBoxes === 0
          ? []
          : ([
              [say('combs-in-it'), say('combs-in-it-how')],
              [say('where-it-goes'), say('where-it-goes-how')],
            ] as const)),
      ],
      source: say('eighths-method-liebefeld-coloss-beebook'),
    },
    followUps: [
      {
        question: facts.broodBoxes === 0 ? say('bars-being-built') : say('up-new-box'),
        from: addDays(by, 6),
        due: addDays(by, 9),
      },
    ],
  };
}

/** A super is as good as full from here on. */
const FULL = 0.9;
/** Days without a gain from which nothing comes in, and the gain that is none. Common practice. */
const STALLED = 5;
const NO_GAIN = 0.003;

/** Whether the next super is due: by how full they are, and by the day on which they will be where two looks say how fast they fill. */
function superOf({ supersFill, superGain, supersAreTheirs, today, daysSinceLast }: ColonyFacts) {
  const none = { filled: false, fullOn: null, stalled: null };
  if (supersFill === null || supersAreTheirs) return none;
  const stalled = superGain !== null && superGain < NO_GAIN && (daysSinceLast ?? 0) >= STALLED ? daysSinceLast : null;
  const days =
    superGain !== null && superGain > NO_GAIN ? Math.max(0, Math.ceil((FULL - supersFill) / superGain)) : null;
  const soon = days !== null && days <= DAYS_AHEAD;
  return {
    filled: stalled === null && (soon || supersFill >= SUPER_NEARLY_FULL),
    fullOn: soon ? addDays(today, days) : null,
    stalled,
  };
}

/** Whether the house keeps two brood boxes, or more colonies are wanted of it, and this hive has one. */
const secondBroodBox = ({ broodBoxes, practice, supers, aim }: ColonyFacts): boolean =>
  broodBoxes === 1 && (practice.broodBoxes === 2 || aim === 'growth') && supers === 0;

/** Frames of a small box, out of which a colony is moved before anything goes on top. */
const SMALL_BOX = 6;
/** Whether a colony lives in one small box. */
export const inSmallBox = ({ broodBoxes, nestFrames }: ColonyFacts): boolean =>
  broodBoxes === 1 && nestFrames <= SMALL_BOX;

/** A reserve gives a comb away instead of getting a box. */
const keptSmall = (facts: ColonyFacts): boolean => facts.aim === 'reserve' && inSmallBox(facts);

function errandFor(facts: ColonyFacts): Pick<Advised, 'errand'> {
  if (facts.broodBoxes === 0) return { errand: { brings: [{ what: 'foundation', amount: 2 }] } };
  if (keptSmall(facts)) return { errand: { brings: [{ what: 'foundation', amount: 1 }] } };
  if (inSmallBox(facts) || secondBroodBox(facts)) return { errand: { brings: [{ what: 'brood-box', amount: 1 }] } };
  return {};
}

function titleOf(facts: ColonyFacts, unsure: boolean): Text {
  if (facts.broodBoxes === 0) return say('give-bars');
  if (keptSmall(facts)) return say('comb-out-of-reserve');
  if (inSmallBox(facts)) return say('into-full-box');
  if (secondBroodBox(facts)) return say('put-brood-box');
  const nth = ['', say('second-box'), say('third'), say('fourth')][facts.supers] ?? say('further');
  return say('a', { unsure, nth, superOnFrom: facts.superOnFrom });
}

function otherSchoolOf(facts: ColonyFacts): Text {
  if (facts.broodBoxes === 0) return say('bars-or-honey-out');
  if (keptSmall(facts)) return say('lets-reserve-grow');
  if (inSmallBox(facts)) return say('keeps-in-small-box');
  if (secondBroodBox(facts)) return say('one-box-or-two');
  return facts.supers > 0 ? say('waits-until-super-two-thirds') : say('first-has-every-frame-brood');
}
