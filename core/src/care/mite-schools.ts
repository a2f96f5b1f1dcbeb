import type { Phase } from '../season';
import { addDays } from '../units';
import type { Advised } from './advice';
import { type ColonyFacts, harvestOn } from './facts';
import { say } from './said';

/** Phases in which drones are reared, and a frame for them is built. */
const DRONES: ReadonlySet<Phase> = new Set<Phase>(['build-up', 'swarm-season', 'flow']);
/** Frames of bees from which a colony builds drone comb. Common practice. */
const BUILDS = 6;
/** Days from hanging an empty frame until its brood is sealed and not yet out: built and laid in within a week, sealed on day 10, out on day 24. */
const CUT = [17, 26] as const;

/** An empty frame for drone comb, cut out when it is sealed with the mites in it. */
export function droneTrap(facts: ColonyFacts): Advised | null {
  const { today, phase, nest, droneCombDays } = facts;
  if (phase === null || !DRONES.has(phase) || droneCombDays !== null || facts.reopens !== null) return null;
  if ((nest.framesOfBees?.value ?? 0) < BUILDS || !facts.eggsSeen) return null;
  const by = addDays(today, 7);
  return {
    kind: 'mites',
    errand: { minutes: 6, brings: [{ what: 'drone-frame', amount: 1 }] },
    title: say('hang-drone-frame'),
    by,
    pressing: 0.4,
    reasons: [
      { text: say('drone-brood-draws-mites'), weight: 0.5, sense: 'for' },
      { text: say('frames-of-bees', { value: nest.framesOfBees!.value }), weight: 0.3, sense: 'for' },
    ],
    otherSchool: say('other-school-samples'),
    whereFrom: {
      figure: say('one-frame'),
      rule: say('drone-trap-rule', { from: CUT[0], to: CUT[1] }),
      steps: [[say('school-of-house'), say('drone-trap')]],
      source: say('mites-source'),
    },
    cautions: [say('left-in-it-breeds-mites')],
    turns: [say('turn-sample-first')],
    ifItFails: say('cannot-sample-treat-late'),
    followUps: [
      { question: say('cut-out-drone-comb'), from: addDays(today, CUT[0]), due: addDays(today, CUT[1]) },
      { question: say('mites-on-how-many-bees'), from: addDays(today, 40), due: addDays(today, 54) },
    ],
  };
}

/** Frames of bees from which a colony stands the loss of all its brood. Common practice. */
const STANDS_IT = 5;
/** Frames with brood from which taking it out breaks the mites' round. */
const BROOD_OUT = 2;
/** Days before winter bees are reared that the brood must be out, so that the next brood grows up clean. Common practice. */
const BREAK_BEFORE = 14;
/** Days before winter bees are reared from which the brood may be taken: after the crop. Common practice. */
const BREAK_WITHIN = 63;
/** Days from taking the brood out until all that was laid since is still open, and an acid reaches every mite. */
const STILL_OPEN = 7;

/** All brood taken out after the crop, with the mites in it; the bees start anew on foundation. */
export function broodRemoval(facts: ColonyFacts, left: number): Advised | null {
  const { today, broodFrames, nest } = facts;
  if (
    harvestOn(facts) ||
    left < BREAK_BEFORE ||
    left > BREAK_WITHIN ||
    broodFrames.length < BROOD_OUT ||
    facts.youngQueen
  )
    return null;
  if ((nest.framesOfBees?.value ?? 0) < STANDS_IT) return null;
  // Food combs that were bred in go with the brood: mites are not in them, but all else that old comb keeps is.
  const bredIn = facts.woodwork.worn.filter(({ frame }) => !broodFrames.includes(frame)).map(({ frame }) => frame);
  const stay = facts.frames - broodFrames.length - bredIn.length;
  const out = broodFrames.length + bredIn.length;
  const by = addDays(today, Math.min(14, left - BREAK_BEFORE));
  return {
    kind: 'mites',
    bindsHoney: true,
    errand: {
      minutes: 45,
      brings: [
        { what: 'foundation', amount: out + 1 },
        { what: 'acid-gear', amount: 1 },
      ],
    },
    title: say('take-brood-out', { out, foundation: out + 1 }),
    by,
    pressing: 0.6,
    reasons: [
      { text: say('mites-sit-in-brood'), weight: 0.6, sense: 'for' },
      { text: say('brood-costs-bees'), weight: 0.4, sense: 'against' },
    ],
    otherSchool: say('other-school-calendar'),
    whereFrom: {
      figure: say('frames-listed', { frames: broodFrames }),
      rule: say('brood-removal-rule'),
      steps: [
        [say('school-of-house'), say('brood-taken-out')],
        [say('removal-first'), say('removal-first-how')],
        [say('removal-out'), say('frames-listed', { frames: broodFrames })],
        ...(bredIn.length > 0 ? [[say('removal-bred-in'), say('frames-listed', { frames: bredIn })] as const] : []),
        [say('removal-stay'), say('removal-stay-how', { stay })],
        [say('removal-in'), say('removal-in-how', { foundation: out + 1 })],
        [say('removal-shake'), say('removal-shake-how')],
        [
          say('removal-acid'),
          say('removal-acid-how', { seams: Math.ceil(nest.framesOfBees!.value), within: STILL_OPEN }),
        ],
        [say('removal-brood'), say('removal-brood-how')],
      ],
      source: say('mites-source'),
    },
    cautions: [say('label-decides-caution'), say('acid-caution'), say('honey-caution'), say('unite-healthy-only')],
    turns: [say('turn-sample-first'), say('turn-forecast')],
    ifItFails: say('cannot-sample-treat-late'),
    followUps: [
      { question: say('acid-on-broodless-bees'), from: addDays(by, 1), due: addDays(by, STILL_OPEN) },
      { question: say('fed-and-drawing'), from: addDays(by, 3), due: addDays(by, 7) },
      { question: say('count-after'), from: addDays(by, 21), due: addDays(by, 35) },
    ],
  };
}
