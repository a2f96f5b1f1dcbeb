import { type Text, named } from '../language';
import { pro } from './advice';
import { type CombJob, USUAL, found } from './comb-job';
import type { ColonyFacts } from './facts';
import { say } from './said';

/** A gap wider than this is built full of comb, mm: the upper end of bee space, ⅜ in. From memory. */
const WIDEST = 9.5;
/** Frames with brace comb from which spacing is wrong and not chance. Common practice. */
const BRACED = 2;
/** Highest temperature from which comb softens in a box that stands in the sun, °C. Common practice. */
const HOT = 33;

/** Comb that fell. */
export function fallenJobs(facts: ColonyFacts): readonly CombJob[] {
  const fell = facts.woodwork.strays.some(({ place, removed }) => place === 'fallen-on-the-floor' && !removed);
  if (!fell && !found(facts, 'fallen-comb')) return [];
  const hot = facts.highs.some((high) => high >= HOT);
  return [
    {
      ...USUAL,
      title: say('fallen-comb-out'),
      pressing: 0.55,
      within: 2,
      minutes: 20,
      reasons: [pro(say('fallen-comb-noted'), 0.7)],
      step: [named('finding', 'fallen-comb'), say('was-seen')],
      rule: say('fallen-comb-rule'),
      otherSchool: say('lets-them-mend-it'),
      cautions: [say('queen-on-comb'), ...(hot ? [say('heat-work-early')] : [])],
      question: say('comb-hangs-floor-clear'),
    },
  ];
}

/** Comb where none should be, with the gap that made it. */
export function strayJobs(facts: ColonyFacts): readonly CombJob[] {
  const { strays, gap } = facts.woodwork;
  // What was broken at a visit and is cleared has no cause to mend; what fell is a job of its own.
  const left = strays.filter(
    ({ place, cause, removed }) => place !== 'fallen-on-the-floor' && !(cause === 'earlier-visit' && removed),
  );
  const wide = gap !== null && gap.mm > WIDEST ? gap : null;
  const gapCaused = left.some(({ cause }) => cause === 'gap-too-wide' || cause === 'not-known');
  const common = {
    ...USUAL,
    within: 7,
    minutes: 12,
    rule: say('bee-space-rule'),
    otherSchool: say('leaves-stray-until-spring'),
    question: say('free-of-comb-still'),
  };
  const jobs: CombJob[] = left
    .filter(({ cause }) => !(wide && (cause === 'gap-too-wide' || cause === 'not-known')))
    .map(({ place, content, cause, removed }) => ({
      ...common,
      title: say('stray-mended', { place, cause, removed }),
      pressing: 0.45,
      reasons: [pro(say('stray-noted', { place, cause }), 0.6)],
      step: [named('strayPlace', place), named('strayCause', cause)],
      cautions: inStray(content, removed),
      brings: cause === 'missing-frame' ? [{ what: 'dummy', amount: 1 }] : [],
    }));
  if (wide)
    jobs.push({
      ...common,
      title: say('gap-change-part', {
        between: wide.between,
        mm: wide.mm,
        built: left.some(({ removed }) => !removed) || found(facts, 'stray-comb'),
      }),
      pressing: gapCaused ? 0.48 : 0.42,
      reasons: [
        pro(say('gap-measured', wide), 0.7),
        ...left.map(({ place, cause }) => pro(say('stray-noted', { place, cause }), 0.4)),
      ],
      step: [named('finding', 'stray-comb'), say('gap-measured', wide)],
      cautions: left.flatMap(({ content, removed }) => inStray(content, removed)),
    });
  if (left.length === 0 && !wide && found(facts, 'stray-comb'))
    jobs.push({
      ...common,
      title: say('stray-unexplained'),
      pressing: 0.42,
      reasons: [pro(say('stray-unexplained-noted'), 0.5)],
      step: [named('finding', 'stray-comb'), say('was-seen')],
      turns: [say('measure-gaps-above-below')],
    });
  return jobs;
}

const inStray = (content: ColonyFacts['woodwork']['strays'][number]['content'], removed: boolean): readonly Text[] =>
  !removed && (content === 'worker-brood' || content === 'drone-brood')
    ? [say('brood-in-stray', { drones: content === 'drone-brood' })]
    : [];

/** Comb that grew because frames stand wrong. */
export function spacingJobs({ woodwork: { wide, braced, strays } }: ColonyFacts): readonly CombJob[] {
  const common = {
    ...USUAL,
    within: 10,
    rule: say('frames-tight-rule'),
    otherSchool: say('spaces-wide-on-purpose'),
    question: say('frames-lift-freely'),
  };
  const jobs: CombJob[] = [];
  if (wide.length > 0)
    jobs.push({
      ...common,
      title: say('wide-comb-trim', { frames: wide }),
      pressing: 0.42,
      reasons: [pro(say('wide-comb-noted', { frames: wide }), 0.5)],
      step: [named('mark', 'wide-comb'), say('frames-listed', { frames: wide })],
      cautions: [say('queen-on-comb')],
    });
  if (braced.length >= BRACED && strays.length === 0)
    jobs.push({
      ...common,
      title: say('brace-comb-cut', { frames: braced }),
      pressing: 0.41,
      reasons: [pro(say('brace-comb-noted', { frames: braced }), 0.5)],
      step: [named('mark', 'brace-comb'), say('frames-listed', { frames: braced })],
      turns: [say('measure-gaps-above-below')],
    });
  return jobs;
}
