import { perBee, type ShareEstimate } from '../inspection';
import type { Phase } from '../season';
import { type CivilDate, addDays, daysBetween, earlierOf, laterOf, roundTo } from '../units';
import { type Advised, type Reason, weigh } from './advice';
import { type ColonyFacts, type MiteSample, harvestOn } from './facts';
import { healthOf, manyCrippled } from './health';
import { broodless, productsFor } from './mite-choice';
import { type FailedCourse, against, failedCourse, heldBy, tookOf } from './mite-failed';
import { broodRemoval, droneTrap } from './mite-schools';
import { WORKS } from './mite-products';
import { say } from './said';
import { type Text, onDay } from '../language';

/** Mites on 100 bees from which a treatment is planned, and from which it is given. */
interface Threshold {
  readonly plan: number;
  readonly treat: number;
}
/** While the brood grows two to three in a hundred are borne; bees that have to live through winter bear fewer. Common practice; editions differ. */
const THRESHOLD: Readonly<Record<Phase, Threshold>> = {
  'winter-rest': { plan: 0.5, treat: 1 },
  'first-brood': { plan: 0.5, treat: 1 },
  'build-up': { plan: 1, treat: 2 },
  'swarm-season': { plan: 2, treat: 3 },
  flow: { plan: 2, treat: 3 },
  dearth: { plan: 2, treat: 3 },
  'late-flow': { plan: 1, treat: 2 },
  'making-winter-bees': { plan: 1, treat: 2 },
  'closing-down': { plan: 0.5, treat: 1 },
};
/** Where the phase is not known. Common practice. */
const ANY_TIME: Threshold = { plan: 2, treat: 3 };
const thresholdOf = (phase: Phase | null): Threshold => (phase === null ? ANY_TIME : THRESHOLD[phase]);
/** Mites on 100 bees from which a colony is treated in a phase; `null` where it is not known. */
export const miteLimit = (phase: Phase | null): number => thresholdOf(phase).treat;

/** Bees of a sample that says enough. Half a US cup holds about 300. Common practice. */
const ENOUGH_BEES = 200;
/** Days for which a sample speaks; mites double in about a month of brood. Common practice. */
const SPEAKS = 30;
/** Days between a sample that leaves the question open and the next. Common practice. */
const NEXT_SAMPLE = 14;
/** Days before mites have to be few in which a colony is sampled or treated. Common practice: six weeks of treatment. */
const AHEAD_OF_WINTER_BEES = 42;
/** Days after the end of a treatment from which, and until which, it is worth counting again. Common practice. */
const COUNT_AFTER = [7, 42] as const;
/** Times the threshold from which a crop does not wait. Common practice. */
const TWICE = 2;
/** Bees of a winter colony rest without brood from about so many days after the cold began. Common practice. */
const BROODLESS_AFTER = 21;

interface Counted {
  readonly sample: MiteSample;
  readonly age: number;
  /** Mites on 100 bees, with the range that holds it 19 times in 20. */
  readonly rate: ShareEstimate;
}

/** The latest sample of a colony, in mites on 100 bees. */
export function lastSample({ samples, today }: Pick<ColonyFacts, 'samples' | 'today'>): Counted | null {
  const sample = [...samples].sort((a, b) => daysBetween(b.date, a.date)).at(-1);
  if (!sample) return null;
  return { sample, age: daysBetween(sample.date, today), rate: mitesOn(sample) };
}

/** Mites on 100 bees of a sample, with the range that holds it 19 times in 20. */
export function mitesOn({ mites, bees }: Pick<MiteSample, 'mites' | 'bees'>): ShareEstimate {
  const { value, low, high } = perBee(mites, bees);
  return { value: value * 100, low: low * 100, high: high * 100 };
}

/**
 * What the mites ask for: nothing, a sample, or a treatment with its time.
 *
 * @param facts the colony
 * @returns the advice with its numbers, or `null` when nothing presses or a treatment is running
 * Source: thresholds and intervals by extension advice, from memory; the label and local law lead.
 */
export function adviseMites(facts: ColonyFacts): Advised | null {
  const given = against(facts);
  if (given.some(({ ended }) => !ended)) return null;
  const threshold = thresholdOf(facts.phase);
  const last = lastSample(facts);
  const ended =
    given
      .map(({ end }) => end)
      .sort()
      .at(-1) ?? null;
  const fresh = last && last.age <= SPEAKS && (ended === null || last.sample.date > ended) ? last : null;
  if (fresh) {
    const few = fresh.sample.bees < ENOUGH_BEES && fresh.rate.low < threshold.treat;
    if ((fresh.rate.value >= threshold.treat && !few) || manyCrippled(facts)) return treat(facts, threshold, fresh);
    const open = fresh.rate.high >= threshold.treat && fresh.rate.value >= threshold.plan;
    return open || few ? sampleAgain(facts, threshold, fresh) : null;
  }
  if (manyCrippled(facts) && (ended === null || daysBetween(ended, facts.today) > COUNT_AFTER[1]))
    return treat(facts, threshold, null);
  if (healthOf(facts).verdict === 'wings') return firstSample(facts, threshold, say('crippled-wings-seen'), 0.7);
  if (ended !== null && daysBetween(ended, facts.today) <= COUNT_AFTER[1]) {
    if (daysBetween(ended, facts.today) < COUNT_AFTER[0]) return null;
    return facts.practice.mites === 'sample' && facts.reopens === null
      ? firstSample(facts, threshold, say('treated-count-again', { ended }), 0.45)
      : null;
  }
  // An old count over the line that nobody answered.
  const unanswered = last !== null && (ended === null || last.sample.date > ended);
  if (unanswered && last.rate.value >= threshold.treat && facts.reopens === null)
    return firstSample(facts, threshold, say('counted-long-ago', { date: last.sample.date }), 0.6);
  return ahead(facts, threshold);
}

/** What is due ahead of the winter bees, and in the broodless time. */
function ahead(facts: ColonyFacts, threshold: Threshold): Advised | null {
  const { today, mitesDownBy: downBy, phase, practice } = facts;
  if (phase === 'winter-rest')
    return practice.mites === 'calendar' && facts.reopens !== null && broodless(facts)
      ? trickle(facts, threshold)
      : null;
  const trap = practice.mites === 'drone-comb' ? droneTrap(facts) : null;
  if (trap) return trap;
  if (downBy === null || phase === 'first-brood' || phase === 'closing-down') return null;
  const left = daysBetween(today, downBy);
  const broodOut = practice.mites === 'brood-break' ? broodRemoval(facts, left) : null;
  if (broodOut) return broodOut;
  const due = left <= AHEAD_OF_WINTER_BEES && (left >= 0 || phase === 'making-winter-bees');
  if (!due) return null;
  if (practice.mites === 'calendar' && !harvestOn(facts)) return treat(facts, threshold, null);
  return firstSample(
    facts,
    threshold,
    say('winter-bees-ahead', { downBy, past: downBy < today }),
    left < NEXT_SAMPLE ? 0.65 : 0.5,
  );
}

const perHundred = (rate: ShareEstimate) => ({
  value: roundTo(rate.value, 1),
  low: roundTo(rate.low, 1),
  high: roundTo(rate.high, 1),
});
const told = (counted: Counted): Text =>
  say('mites-counted', {
    ...perHundred(counted.rate),
    method: counted.sample.method,
    bees: counted.sample.bees,
    date: counted.sample.date,
  });
const steps = (facts: ColonyFacts, threshold: Threshold, counted: Counted | null) =>
  [
    ...(counted ? [[say('counted'), told(counted)] as const] : []),
    [say('treated-from'), say('on-100-bees', { value: threshold.treat })],
    ...(facts.mitesDownBy ? [[say('mites-few-by'), onDay(facts.mitesDownBy, facts.today)] as const] : []),
  ] as const;
const SOURCE = say('mites-source');

interface Treating {
  /** Times the threshold. */
  readonly times: number;
  readonly crop: boolean;
  readonly hasty: boolean;
  readonly failed: FailedCourse | null;
}

function reasonsToTreat(
  facts: ColonyFacts,
  threshold: Threshold,
  counted: Counted | null,
  { times, crop, hasty, failed }: Treating,
): readonly Reason[] {
  const { today, mitesDownBy: downBy } = facts;
  const reasons: (Reason | null)[] = [
    counted ? { text: told(counted), weight: weigh(times / 2), sense: 'for' } : null,
    manyCrippled(facts) ? { text: say('many-crippled'), weight: 0.9, sense: 'for' } : null,
    counted === null && !manyCrippled(facts) ? { text: say('calendar-says-so'), weight: 0.6, sense: 'for' } : null,
    counted && counted.rate.low < threshold.treat
      ? { text: say('range-reaches-under', { treat: threshold.treat }), weight: 0.3, sense: 'against' }
      : null,
    failed
      ? {
          text: say('treatment-took', { medicine: failed.course.medicine, ...tookOf(failed.worked) }),
          weight: 0.6,
          sense: 'for',
        }
      : null,
    counted && counted.sample.method === 'sugar-roll'
      ? { text: say('roll-finds-fewer'), weight: 0.3, sense: 'for' }
      : null,
    downBy !== null && downBy > today && daysBetween(today, downBy) <= 2 * AHEAD_OF_WINTER_BEES
      ? { text: say('winter-bees-ahead', { downBy, past: downBy < today }), weight: 0.5, sense: 'for' }
      : null,
    crop
      ? { text: hasty ? say('crop-cannot-wait') : say('crop-comes-off-first'), weight: 0.5, sense: 'against' }
      : null,
  ];
  return reasons.filter((each) => each !== null);
}

function treat(facts: ColonyFacts, threshold: Threshold, counted: Counted | null): Advised {
  const { today, mitesDownBy: downBy } = facts;
  const products = productsFor(facts);
  const failed = failedCourse(facts);
  const first = products.find(({ fits, product }) => fits && !(failed && heldBy(failed.course, product))) ?? null;
  const crop = harvestOn(facts);
  const times = counted ? counted.rate.value / threshold.treat : 1;
  const hasty = times >= TWICE || manyCrippled(facts);
  const late = downBy !== null && downBy <= addDays(today, 7);
  const within = hasty || late ? 3 : crop ? NEXT_SAMPLE : 7;
  const by = downBy !== null && downBy > today ? earlierOf(addDays(today, within), downBy) : addDays(today, within);
  const days = first ? WORKS[first.product].days : WORKS.formic.days;
  const out = addDays(by, days);
  return {
    kind: 'mites',
    bindsHoney: true,
    errand: {
      brings: (first?.product === 'strips' ? (['medicine'] as const) : (['medicine', 'acid-gear'] as const)).map(
        (what) => ({ what, amount: 1 }),
      ),
    },
    title: say('treat-mites', { product: first?.product ?? null, crop, hasty }),
    by,
    pressing: weigh(hasty ? 0.93 : 0.6 + times / 10 + (late ? 0.15 : 0)),
    reasons: reasonsToTreat(facts, threshold, counted, { times, crop, hasty, failed }),
    otherSchool: facts.practice.mites === 'sample' ? say('other-school-calendar') : say('other-school-samples'),
    whereFrom: {
      figure: counted ? say('on-100-bees', { value: perHundred(counted.rate).value }) : say('by-the-calendar'),
      rule: say('mites-rule', { treat: threshold.treat, plan: threshold.plan, phase: facts.phase }),
      steps: [
        ...steps(facts, threshold, counted),
        ...products.map(({ product, why }) => [say('product', { product }), why] as const),
      ],
      source: SOURCE,
    },
    cautions: [
      say('label-decides-caution'),
      ...(first?.product !== 'strips' ? [say('acid-caution')] : []),
      say('honey-caution'),
    ],
    turns: [
      say('turn-forecast'),
      say('turn-broodless'),
      ...(counted ? [say('turn-recount')] : [say('turn-sample-first')]),
    ],
    ifItFails: say('another-active'),
    followUps: [
      {
        question: say('strips-out-bees-well'),
        from: addDays(by, Math.min(3, days)),
        due: addDays(by, Math.max(3, Math.min(days, 7))),
      },
      ...(days > 1 ? [{ question: say('take-out-by-label'), from: out, due: addDays(out, 3) }] : []),
      {
        question: say('count-after'),
        from: addDays(out, COUNT_AFTER[0]),
        due: addDays(out, NEXT_SAMPLE + COUNT_AFTER[0]),
      },
    ],
  };
}

function sampling(
  facts: ColonyFacts,
  threshold: Threshold,
  words: {
    readonly title: Text;
    readonly within: readonly [number, number];
    readonly pressing: number;
    readonly reasons: readonly Reason[];
    readonly counted: Counted | null;
  },
): Advised {
  const { today, reopens } = facts;
  const day = (days: number): CivilDate => (reopens ? laterOf(addDays(today, days), reopens) : addDays(today, days));
  return {
    kind: 'mites',
    title: words.title,
    from: day(words.within[0]),
    by: day(words.within[1]),
    pressing: weigh(words.pressing),
    reasons: [
      ...words.reasons,
      { text: say('sample-costs-bees'), weight: 0.2, sense: 'against' },
      ...(isSmall(facts) ? [{ text: say('small-colony-roll'), weight: 0.4, sense: 'against' as const }] : []),
    ],
    otherSchool: say('other-school-calendar'),
    whereFrom: {
      figure: say('bees-of-a-sample'),
      rule: say('mites-rule', { treat: threshold.treat, plan: threshold.plan, phase: facts.phase }),
      steps: steps(facts, threshold, words.counted),
      source: SOURCE,
    },
    cautions: [say('queen-not-in-sample')],
    turns: [say('turn-over', { treat: threshold.treat }), say('turn-under', { plan: threshold.plan })],
    ifItFails: say('cannot-sample-treat-late'),
    followUps: [{ question: say('mites-on-how-many-bees'), from: day(words.within[0]), due: day(words.within[1]) }],
  };
}
/** Frames of bees under which 300 bees are missed. Common practice. */
const SMALL = 4;
const isSmall = ({ nest }: ColonyFacts): boolean => nest.framesOfBees !== null && nest.framesOfBees.value < SMALL;

const firstSample = (facts: ColonyFacts, threshold: Threshold, why: Text, pressing: number): Advised =>
  sampling(facts, threshold, {
    title: say('sample-mites', { small: isSmall(facts) }),
    within: [0, 7],
    pressing,
    reasons: [{ text: why, weight: pressing, sense: 'for' }],
    counted: null,
  });

const sampleAgain = (facts: ColonyFacts, threshold: Threshold, counted: Counted): Advised => {
  const small = counted.sample.bees < ENOUGH_BEES;
  const soonest = Math.max(0, (small ? 3 : NEXT_SAMPLE) - counted.age);
  return sampling(facts, threshold, {
    title: small ? say('sample-more-bees') : say('sample-in-two-weeks'),
    within: [soonest, soonest + 7],
    pressing: 0.42,
    reasons: [
      { text: told(counted), weight: 0.5, sense: 'for' },
      small
        ? { text: say('few-bees-say-little', { bees: counted.sample.bees }), weight: 0.5, sense: 'for' }
        : {
            text: say('cannot-be-ruled-out', { treat: threshold.treat, high: perHundred(counted.rate).high }),
            weight: 0.5,
            sense: 'for',
          },
    ],
    counted,
  });
};

function trickle(facts: ColonyFacts, threshold: Threshold): Advised {
  const from = addDays(facts.today, BROODLESS_AFTER);
  const by = facts.reopens
    ? earlierOf(addDays(from, BROODLESS_AFTER), addDays(facts.reopens, -1))
    : addDays(from, BROODLESS_AFTER);
  return {
    ...treat(facts, threshold, null),
    title: say('winter-trickle'),
    from: earlierOf(from, by),
    by,
    pressing: weigh(0.35),
    reasons: [{ text: say('no-brood-acid-reaches-all'), weight: 0.6, sense: 'for' }],
    followUps: [{ question: say('mites-fallen'), from: addDays(by, 1), due: addDays(by, 7) }],
  };
}
