import { type FindingId, type MarkId, ropinessVerdict } from '../inspection';
import type { Phase } from '../season';
import { addDays, laterOf } from '../units';
import { type Advised, type Brief, type Reason, con, pro, weigh } from './advice';
import type { ColonyFacts } from './facts';
import { say } from './said';

/** What the brood and the bees look like, from harmless to a disease that the law may ask to be told of. */
export type HealthVerdict = 'stop' | 'test' | 'watch-brood' | 'chalk' | 'wings' | 'droppings' | 'sound';

/** Marks by which foulbrood is thought of: sunken, perforated or dark cappings, and larvae that are yellow or lie twisted. */
const LIDS: readonly MarkId[] = ['sunken-lids', 'pierced-lids', 'dark-lids'];
const LARVAE: readonly MarkId[] = ['yellow-larvae', 'twisted-larvae'];
/** What people write who suspect it of a disease that must be reported; any other suspicion is tested first. */
const FOULBROOD = /foul|afb|efb/i;
/** Chalkbrood mummies up to which a colony cleans itself. Common practice. */
const FEW_MUMMIES = 10;
/** Bees with crippled wings from which mites are pressing whatever a sample says. Common practice. */
const MANY_CRIPPLED = 3;
/** Phases in which bees have not flown for long, and droppings are first of all that. */
const SHUT_IN: ReadonlySet<Phase> = new Set<Phase>(['winter-rest', 'first-brood']);
/** Days until brood that is watched is looked at again: a larva that was sick then is gone, the next ones are sealed. Common practice. */
const WATCHED = 10;

const found = ({ findings }: ColonyFacts, id: FindingId) =>
  findings.find(({ finding, found: there }) => finding === id && there) ?? null;
const framesOf = ({ marks }: ColonyFacts, ids: readonly MarkId[]): readonly number[] =>
  [...new Set(marks.filter(({ mark }) => ids.includes(mark)).flatMap(({ frames }) => frames))].sort((a, b) => a - b);

/** Bees with crippled wings, with their count where somebody counted; `null` where none were seen. */
export const crippledWings = (facts: ColonyFacts): { readonly count: number | null } | null =>
  found(facts, 'deformed-wings') ?? (framesOf(facts, ['deformed-wings']).length > 0 ? { count: null } : null);

/**
 * Where the health of brood and bees stands, and by what.
 *
 * @param facts the colony
 * @returns the gravest verdict that was seen, with the frames it was seen on
 * Source: common practice; a laboratory settles foulbrood, and the law of the place goes first.
 */
export function healthOf(facts: ColonyFacts): { readonly verdict: HealthVerdict; readonly frames: readonly number[] } {
  const verdicts = facts.ropiness.map((test) => ropinessVerdict(test).verdict);
  const lids = framesOf(facts, LIDS);
  const larvae = framesOf(facts, LARVAE);
  const frames = [...new Set([...lids, ...larvae])].sort((a, b) => a - b);
  const is = (verdict: HealthVerdict) => ({ verdict, frames });
  if (
    (facts.suspicion !== null && FOULBROOD.test(facts.suspicion)) ||
    found(facts, 'ropy-brood') ||
    verdicts.includes('suspect')
  )
    return is('stop');
  // Sour smell with larvae that lie wrong: European foulbrood is thought of before a stick is.
  if (found(facts, 'sour-brood') && larvae.length > 0) return is('stop');
  const negative = verdicts.length > 0 && verdicts.every((each) => each === 'negative');
  const doubt = lids.length > 0 || facts.suspicion !== null || found(facts, 'sour-brood') !== null;
  if (doubt && !negative) return is('test');
  if (frames.length > 0 || facts.suspicion !== null || verdicts.includes('not-settled') || found(facts, 'sac-brood'))
    return is('watch-brood');
  const mummies = found(facts, 'chalk-brood');
  if (mummies && (mummies.count ?? 0) > FEW_MUMMIES) return { verdict: 'chalk', frames: framesOf(facts, ['chalk']) };
  if (crippledWings(facts)) return { verdict: 'wings', frames: framesOf(facts, ['deformed-wings']) };
  if (found(facts, 'droppings')) return is('droppings');
  return is('sound');
}

/** Whether nothing may leave this hive or be moved in it until an inspector or a laboratory has spoken. */
export const standsStill = (facts: ColonyFacts): boolean => healthOf(facts).verdict === 'stop';

/**
 * What the health of the brood asks for: nothing, a test, a watch, or to stop and tell the inspector.
 *
 * @param facts the colony
 * @returns the advice with what it rests on, or `null` when nothing was found
 * Source: common practice; a laboratory settles foulbrood, and the law of the place goes first.
 */
export function adviseHealth(facts: ColonyFacts): Advised | null {
  const { verdict, frames } = healthOf(facts);
  if (verdict === 'sound' || verdict === 'wings') return null;
  return { stop: stopped, test: tested, 'watch-brood': watched, chalk, droppings }[verdict](facts, frames);
}

function advice(facts: ColonyFacts, brief: Brief): Advised {
  const { today, reopens } = facts;
  const { within, rule, question, again, ...rest } = brief;
  const later = (days: number) => {
    const day = addDays(today, days);
    return reopens && days > 1 ? laterOf(day, reopens) : day;
  };
  return {
    ...rest,
    kind: 'health',
    by: addDays(today, within),
    pressing: weigh(brief.pressing),
    whereFrom: {
      figure: within === 0 ? say('at-once') : say('days', { days: within }),
      rule,
      steps: [
        [say('frames-marked'), say('frames-listed', { frames: healthOf(facts).frames })],
        [say('stick-tests'), `${facts.ropiness.length}`],
        [say('sides-read'), say('of-sides', { read: facts.nest.sidesRead, sides: facts.nestFrames * 2 })],
      ],
      source: say('common-practice-lab-settles'),
    },
    followUps: [{ question, from: later(again[0]), due: later(again[1]) }],
  };
}

const marked = (facts: ColonyFacts): readonly Reason[] =>
  facts.marks
    .filter(({ mark }) => LIDS.includes(mark) || LARVAE.includes(mark))
    .map(({ mark, frames }) => pro(say('mark-on-frames', { mark, frames }), 0.7));

function stopped(facts: ColonyFacts): Advised {
  const ropy = facts.ropiness.some((test) => ropinessVerdict(test).verdict === 'suspect');
  return advice(facts, {
    title: say('stop-call-inspector'),
    within: 0,
    pressing: 1,
    reasons: [
      ...(facts.suspicion === null ? [] : [pro(say('suspected-since', { what: facts.suspicion }), 0.9)]),
      ...(ropy || found(facts, 'ropy-brood') ? [pro(say('thread-followed-stick'), 1)] : []),
      ...(found(facts, 'sour-brood') ? [pro(say('sour-larvae-twisted'), 0.8)] : []),
      ...marked(facts),
      con(say('only-lab-settles'), 0.3),
    ],
    otherSchool: say('burns-or-shakes-by-order'),
    rule: say('suspected-foulbrood-rule'),
    question: say('what-did-inspector-say'),
    again: [1, 3],
    cautions: [say('notifiable-caution'), say('kit-stays-caution'), say('no-antibiotics-caution')],
    turns: [say('lab-says-no')],
    ifItFails: say('inspector-not-reached'),
  });
}

const tested = (facts: ColonyFacts, frames: readonly number[]): Advised =>
  advice(facts, {
    title:
      frames.length > 0
        ? say('test-before-closing', { frames })
        : facts.suspicion !== null
          ? say('settle-suspicion', { what: facts.suspicion })
          : say('find-what-smells'),
    within: 0,
    pressing: 0.92,
    reasons: [
      ...marked(facts),
      ...(facts.suspicion === null ? [] : [pro(say('suspected-since', { what: facts.suspicion }), 0.6)]),
      ...(found(facts, 'sour-brood') ? [pro(say('brood-smells-sour'), 0.6)] : []),
      con(say('sunken-may-be-dented'), 0.3),
    ],
    otherSchool: say('sends-sample-at-once'),
    rule: say('suspect-cappings-rule'),
    question: say('same-frames-cappings-larvae'),
    again: [7, WATCHED],
    cautions: [say('kit-stays-caution')],
    turns: [say('thread-means-stop'), say('no-thread-means-watch')],
    ifItFails: say('cannot-be-settled-sample'),
  });

const watched = (facts: ColonyFacts, frames: readonly number[]): Advised =>
  advice(facts, {
    title: frames.length > 0 ? say('watch-brood-on', { frames }) : say('watch-brood'),
    within: WATCHED,
    pressing: 0.5,
    reasons: [
      ...marked(facts),
      ...(found(facts, 'sac-brood') ? [pro(say('sac-brood-seen'), 0.5)] : []),
      ...(facts.ropiness.length > 0 ? [con(say('stick-drew-nothing'), 0.5)] : []),
    ],
    otherSchool: say('requeens-for-sac-brood'),
    rule: say('watch-brood-rule'),
    question: say('brood-pearly-now'),
    again: [7, WATCHED],
    cautions: [say('kit-stays-caution')],
    turns: [say('more-cells-means-test'), say('clean-means-nothing')],
    ifItFails: say('worse-means-sample'),
  });

const chalk = (facts: ColonyFacts): Advised =>
  advice(facts, {
    title: say('chalk-warm-dry-strong'),
    within: WATCHED,
    pressing: 0.42,
    reasons: [
      pro(say('mummies-counted', { count: found(facts, 'chalk-brood')?.count ?? 0 }), 0.6),
      con(say('chalk-goes-with-warmth'), 0.4),
    ],
    otherSchool: say('requeens-for-chalk'),
    rule: say('chalk-rule'),
    question: say('mummies-fewer'),
    again: [14, 21],
    turns: [say('fewer-with-warmth')],
    ifItFails: say('chalk-stays-requeen'),
  });

function droppings(facts: ColonyFacts): Advised {
  const shut = facts.phase !== null && SHUT_IN.has(facts.phase);
  return advice(facts, {
    title: shut ? say('droppings-let-fly') : say('droppings-sample'),
    within: shut ? 14 : 7,
    pressing: shut ? 0.3 : 0.45,
    reasons: [pro(say('droppings-found'), 0.6), con(shut ? say('long-shut-in') : say('one-look-says-little'), 0.5)],
    otherSchool: say('moves-to-clean-comb'),
    rule: say('droppings-rule'),
    question: say('droppings-again'),
    again: [10, 21],
    turns: [say('clean-after-flight')],
    ifItFails: say('sample-bees-for-lab'),
  });
}

/** Whether crippled wings alone say that mites press, whatever a sample says. */
export const manyCrippled = (facts: ColonyFacts): boolean =>
  (found(facts, 'deformed-wings')?.count ?? 0) >= MANY_CRIPPLED;
