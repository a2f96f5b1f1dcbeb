import type { CheckId, DefectId, RepairBy } from '../inspection';
import { named } from '../language';
import type { Phase } from '../season';
import { pro } from './advice';
import { type CombJob, USUAL, found } from './comb-job';
import type { ColonyFacts } from './facts';
import { say } from './said';

/** Phases in which the cluster climbs into food that stands above it. */
const CLIMBS: ReadonlySet<Phase> = new Set<Phase>(['closing-down', 'winter-rest', 'first-brood']);
/** Phases in which an empty rim is built full. */
const BUILT: ReadonlySet<Phase> = new Set<Phase>(['swarm-season', 'flow', 'late-flow']);

/** What is to be done at the excluder. */
export function excluderJobs(facts: ColonyFacts): readonly CombJob[] {
  const { excluderOn, foodAboveExcluder } = facts.woodwork;
  const above = excluderOn && found(facts, 'brood-above');
  const jobs: readonly (CombJob | null)[] = [
    above
      ? {
          ...USUAL,
          title: say('brood-above-bring-her-down'),
          pressing: 0.62,
          within: 3,
          minutes: 25,
          reasons: [pro(say('brood-above-noted'), 0.7)],
          step: [named('finding', 'brood-above'), say('was-seen')],
          rule: say('brood-above-rule'),
          otherSchool: say('splits-the-harvest'),
          cautions: [say('drones-above-need-way-out')],
          ifItFails: say('look-above-again-three-weeks'),
          question: say('is-brood-above-gone'),
          again: [18, 24],
        }
      : null,
    !above && found(facts, 'trapped-drones')
      ? {
          ...USUAL,
          title: say('let-drones-out'),
          pressing: 0.5,
          within: 2,
          minutes: 8,
          reasons: [pro(say('drones-caught-noted'), 0.6)],
          step: [named('finding', 'trapped-drones'), say('was-seen')],
          rule: say('drones-rule'),
          otherSchool: say('leaves-upper-entrance'),
          question: say('who-laid-drones'),
        }
      : null,
    foodAboveExcluder && facts.supersAreTheirs && facts.phase !== null && CLIMBS.has(facts.phase)
      ? {
          ...USUAL,
          // On a mild day, without lifting a frame: it does not wait for spring.
          evenShut: true,
          title: say('excluder-out-winter'),
          pressing: 0.6,
          within: 7,
          minutes: 6,
          reasons: [pro(say('excluder-under-winter-food'), 0.8)],
          step: [say('phase-of-year'), named('phase', facts.phase)],
          rule: say('excluder-winter-rule'),
          otherSchool: say('takes-food-off-too'),
          question: say('excluder-off-food-stays'),
        }
      : null,
  ];
  return jobs.filter((job) => job !== null);
}

/** Days by which a fault of a part is mended, how pressing it is, and whether the hive is opened for it. Common practice. */
const DEFECTS: Readonly<Record<DefectId, readonly [within: number, pressing: number, opens: boolean]>> = {
  leak: [3, 0.5, false],
  stand: [2, 0.5, false],
  gap: [7, 0.45, false],
  escape: [7, 0.4, true],
  mesh: [10, 0.4, true],
  frame: [14, 0.38, true],
  joint: [14, 0.38, false],
  rot: [21, 0.35, false],
  tight: [21, 0.3, true],
};

/** Days by which a fault is mended that was patched for now. Common practice. */
const UNTIL: Readonly<Record<RepairBy, number>> = { 'next-visit': 10, 'two-weeks': 14, 'before-winter': 60 };
/** How pressing a fault is that was patched for now. */
const WAITS = 0.3;

/** What is to be mended at parts, and put right that was left undone. */
export function partJobs(facts: ColonyFacts): readonly CombJob[] {
  const { woodwork, wasps, outside, phase } = facts;
  const robbers = wasps !== null || outside?.robbing === true || phase === 'dearth' || found(facts, 'wasps');
  const common = {
    ...USUAL,
    rule: say('defect-rule'),
    otherSchool: say('swaps-part-at-once'),
    ifItFails: say('tape-until-then'),
    question: say('mended-and-tight'),
  };
  const jobs: CombJob[] = woodwork.defects.map(({ part, defect, forNow, until }) => {
    const [soon, pressing, opens] = DEFECTS[defect];
    // Taped for now it waits until the day that somebody wanted.
    const taped = forNow !== '';
    const days = taped ? Math.max(soon, UNTIL[until]) : soon;
    const lets = robbers && (defect === 'gap' || defect === 'escape');
    return {
      ...common,
      title: say('mend-part', { part, defect }),
      pressing: lets ? 0.6 : taped ? Math.min(pressing, WAITS) : pressing,
      within: lets ? 2 : days,
      opens,
      reasons: [
        pro(say('defect-noted', { defect }), 0.6),
        ...(lets ? [pro(say('robbers-use-gaps'), 0.6)] : []),
        ...(defect === 'leak' ? [pro(say('wet-harms-more'), 0.5)] : []),
      ],
      step: [named('finding', 'defect'), named('defect', defect)],
    };
  });
  if (woodwork.defects.length === 0 && found(facts, 'defect'))
    jobs.push({
      ...common,
      title: say('mend-noted-defect'),
      pressing: 0.4,
      within: 14,
      opens: false,
      reasons: [pro(say('mend-noted-defect'), 0.4)],
      step: [named('finding', 'defect'), say('was-seen')],
    });
  const rim = woodwork.emptyRim && phase !== null && BUILT.has(phase) && facts.fedUntil === null;
  if (rim || woodwork.failed.includes('spacer-out'))
    jobs.push({
      ...common,
      title: say('rim-off'),
      pressing: 0.45,
      within: 7,
      minutes: 4,
      reasons: [pro(say('rim-on-noted'), 0.6)],
      step: [say('phase-of-year'), phase === null ? say('not-known') : named('phase', phase)],
      rule: say('rim-rule'),
      otherSchool: say('feed-on-rim-stays'),
      ifItFails: null,
      question: say('free-of-comb-still'),
    });
  for (const check of woodwork.failed.filter((each) => PUT_RIGHT.has(each)))
    jobs.push({
      ...common,
      title: say('put-right-check', { check }),
      brings: check === 'dummy-in' ? [{ what: 'dummy', amount: 1 }] : [],
      pressing: 0.42,
      within: 7,
      minutes: 5,
      reasons: [pro(say('left-undone', { check }), 0.5)],
      step: [named('check', check), say('left-undone', { check })],
      rule: say('put-right-rule'),
      otherSchool: say('spaces-wide-on-purpose'),
      ifItFails: null,
      question: say('free-of-comb-still'),
    });
  return jobs;
}

/** Checks at closing that are put right at the next opening where they were answered with no. */
const PUT_RIGHT: ReadonlySet<CheckId> = new Set([
  'respaced',
  'dummy-in',
  'tight-frames',
  'even-supers',
  'wires-across',
]);

/** What is to be done at the stand. */
export function standJobs(facts: ColonyFacts): readonly CombJob[] {
  const leans = found(facts, 'lean') || facts.outside?.leans === true;
  const loose =
    found(facts, 'no-strap') ||
    found(facts, 'animal-traces') ||
    facts.outside?.strapped === false ||
    facts.woodwork.failed.includes('strap');
  const common = {
    ...USUAL,
    opens: false,
    within: 2,
    minutes: 5,
    otherSchool: say('swaps-part-at-once'),
    question: say('stands-level-strapped'),
  };
  const jobs: CombJob[] = [];
  if (leans)
    jobs.push({
      ...common,
      title: say('level-the-hive'),
      pressing: 0.5,
      reasons: [pro(say('hive-leans-noted'), 0.6)],
      step: [named('finding', 'lean'), say('was-seen')],
      rule: say('level-rule'),
    });
  if (loose)
    jobs.push({
      ...common,
      title: say('strap-the-hive'),
      pressing: 0.45,
      reasons: [pro(say('no-strap-noted'), 0.6)],
      step: [named('finding', 'no-strap'), say('was-seen')],
      rule: say('strap-rule'),
    });
  return jobs;
}
