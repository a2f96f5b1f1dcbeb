import { beesDue } from '../biology';
import { type Phase, nectarOf } from '../season';
import { addDays, dayAndMonth, roundTo } from '../units';
import { type Advice, type Reason, weigh } from './advice';
import type { ColonyFacts } from './facts';

const DAYS_AHEAD = 7;
/** A lowest super filled this far makes the next one due. Common practice: bees on 8 of 8, or nearly full and drawing. */
const SUPER_NEARLY_FULL = 0.66;

/** Phases in which a box is added: later none is filled any more, earlier it chills the nest. Common practice. */
const ROOM: ReadonlySet<Phase> = new Set<Phase>(['build-up', 'swarm-season', 'flow', 'late-flow']);
/** Days of the coming seven without flying from which nobody puts a box on. */
const NO_FLYING = 6;
/** A range that begins so far under the rule does not settle whether room is short. */
const UNSURE = 0.75;

/**
 * Add a box, when bees cover the frames or nectar goes in among the brood.
 *
 * @param facts the colony
 * @returns the advice with its numbers, or `null` when there is room, bees were not counted, or nothing is to be gathered
 */
export function adviseSpace(facts: ColonyFacts): Advice | null {
  const { nest, practice, today } = facts;
  const bees = nest.framesOfBees;
  if (!bees) return null;
  if (facts.phase !== null && !ROOM.has(facts.phase)) return null;
  if ((facts.poorDays ?? 0) >= NO_FLYING) return null;
  const covered = bees.value / facts.frames;
  const squeezed = facts.nectarAmongBrood.length;
  const undrawn = nest.foundation.value + nest.emptyComb.value;
  const young = beesDue(nest.sealedWorkerCells.value, DAYS_AHEAD);
  if (covered < practice.addSpaceAt && squeezed < 3) return null;
  const due = addDays(today, DAYS_AHEAD);
  const sides = facts.frames * 2;
  const partly = nest.sidesRead < sides;
  const unsure = bees.low < practice.addSpaceAt * UNSURE * facts.frames && squeezed < 3;
  const range = `${roundTo(bees.value, 1)} of ${facts.frames} frames${partly ? ` (${roundTo(bees.low, 1)} to ${roundTo(Math.min(bees.high, facts.frames), 1)} by ${nest.sidesRead} of ${sides} sides)` : ''}`;
  const nectar = nectarOf(facts.inBloom);
  const reasons: Reason[] = [
    {
      text: `Bees on ${range}; house rule is ${roundTo(practice.addSpaceAt * facts.frames, 1)}`,
      weight: weigh(covered),
      sense: 'for',
    },
    ...(squeezed > 0
      ? [
          {
            text: `Nectar among brood on ${squeezed === 1 ? 'one frame' : `${squeezed} frames`}`,
            weight: weigh(squeezed / 4),
            sense: 'for' as const,
          },
        ]
      : []),
    {
      text: `About ${Math.round(young / 100) * 100} young bees due by ${dayAndMonth(due)}`,
      weight: weigh(young / 12_000),
      sense: 'for',
    },
    ...(nectar.length > 0
      ? [{ text: `${nectar.map((each) => each.plant).join(' and ')} in bloom`, weight: 0.4, sense: 'for' as const }]
      : []),
    ...(undrawn >= 1
      ? [
          {
            text: `${roundTo(undrawn, 1)} frames in the nest still empty or bare`,
            weight: weigh(undrawn / 4),
            sense: 'against' as const,
          },
        ]
      : []),
    ...(facts.superFill !== null && facts.superFill < SUPER_NEARLY_FULL
      ? [
          {
            text: `The super on it is only ${Math.round(facts.superFill * 8)} eighths full`,
            weight: weigh(0.9 - facts.superFill),
            sense: 'against' as const,
          },
        ]
      : []),
    ...(facts.poorDays !== null && facts.poorDays >= 3
      ? [
          {
            text: `${facts.poorDays} of the next 7 days hardly fit for flying`,
            weight: weigh(facts.poorDays / 10),
            sense: 'against' as const,
          },
        ]
      : []),
  ];
  if (facts.superOnFrom)
    reasons.push({
      text: `A medicine binds honey until ${dayAndMonth(facts.superOnFrom, today)}: a box put on before is theirs, not for harvest`,
      weight: 0.2,
      sense: 'against',
    });
  if (facts.fedUntil)
    reasons.push({
      text: `They carry feed down until about ${dayAndMonth(facts.fedUntil, today)}: feeder off first, or sugar goes into the super`,
      weight: 0.3,
      sense: 'against',
    });
  if (unsure)
    reasons.push({
      text: `Only ${nest.sidesRead} of ${sides} sides were read: it may be less`,
      weight: 0.3,
      sense: 'against',
    });
  const balance = reasons.reduce((sum, reason) => sum + (reason.sense === 'for' ? reason.weight : -reason.weight), 0);
  if (balance <= 0.4) return null;
  const by = addDays(today, covered >= 0.9 || squeezed >= 3 ? 2 : 5);
  const nth = ['', 'second ', 'third ', 'fourth '][facts.supers] ?? 'further ';
  return {
    kind: 'add-space',
    title: `${unsure ? 'Room may be short: look, then put' : 'Put'} a ${nth}${facts.superOnFrom ? 'box on, not for harvest' : 'super on'}`,
    by,
    pressing: weigh(0.35 + balance / 5),
    reasons,
    otherSchool:
      facts.supers > 0
        ? 'waits until the super on it is two thirds full, since half-filled supers ripen slowly in cool weather.'
        : 'first has every frame of the brood box built and covered: room above too early chills the nest and builds a chimney.',
    whereFrom: {
      figure: `bees on ${range}`,
      rule: 'Eighths of each side covered by bees, added up; sixteen are a full frame.',
      steps: [
        ['likely range', `${roundTo(bees.low, 1)} to ${roundTo(bees.high, 1)} frames`],
        ['house rule', `${Math.round(practice.addSpaceAt * 100)} in 100 of ${facts.frames} frames`],
        ['sealed worker cells', `${nest.sealedWorkerCells.value}`],
        [`emerging in ${DAYS_AHEAD} days`, `${young} (${DAYS_AHEAD} of the 12 days under the lid)`],
      ],
      source: 'Eighths method (Liebefeld; COLOSS BEEBOOK). Both rules for adding a box are common practice.',
    },
    followUp: { question: 'Are they up in the new box?', from: addDays(by, 6), due: addDays(by, 9) },
  };
}
