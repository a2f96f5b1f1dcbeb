import { HOT_TEMPER, NOVICE_TEMPER } from '../inspection';
import type { Phase } from '../season';
import { medianOf } from '../statistics';
import { addDays, daysBetween } from '../units';
import { type Advised, type Reason, con, pro, weigh } from './advice';
import { isRobbed } from './entrance';
import type { ColonyFacts } from './facts';
import { healthOf } from './health';
import { miteLimit, mitesOn } from './mites';
import { queenTrouble } from './queen';
import { say } from './said';
import { GOOD_TRAITS, type Trait } from './stock';

/** Phases in which queens are raised and mate, and in which one can be replaced at leisure. */
const RAISES: ReadonlySet<Phase> = new Set<Phase>(['build-up', 'swarm-season', 'flow']);
const REPLACES: ReadonlySet<Phase> = new Set<Phase>(['build-up', 'swarm-season', 'flow', 'late-flow']);
/** Looks with a temper noted from which it is the stock and not the day. Common practice. */
const LOOKS = 3;
/** Days on which a fault was noted from which it is one. Common practice. */
const AGAIN = 2;
/** Good traits of which daughters are raised. Common practice. */
const TRAITS_WANTED = 2;
/** Seasons of a queen from which she is known: she has wintered once. Common practice. */
const PROVEN = 2;
/** Days for which a mite sample speaks of her bees. Common practice. */
const SAMPLE_SPEAKS = 400;

/** Faults for which a queen is replaced when they are seen again. */
const FAULTS = ['sharp', 'follows', 'swarms-small', 'chalkbrood-again'] as const satisfies readonly Trait[];

/** What is done with a queen's stock. */
export const SELECTIONS = ['breed', 'keep', 'requeen', 'cannot-tell'] as const;
export type Selection = (typeof SELECTIONS)[number];

/** A verdict on a queen's stock, with what speaks for and against it. */
export interface Selected {
  readonly verdict: Selection;
  readonly reasons: readonly Reason[];
}

/**
 * What a colony's nature says of its queen: raise daughters, keep her as she is, or replace her.
 *
 * @param facts the colony
 * @returns the verdict; "cannot-tell" where she was hardly looked at
 * Source: common practice.
 */
export function selectionOf(facts: ColonyFacts): Selected {
  const { traits, tempers } = facts.character;
  const temper = tempers.length >= LOOKS ? medianOf(tempers) : null;
  const noted = (trait: Trait) => traits.find((each) => each.trait === trait)?.days ?? 0;
  const faults: readonly Reason[] = [
    ...(temper !== null && temper >= HOT_TEMPER ? [pro(say('sharp-at-looks', { tempers }), 0.9)] : []),
    ...FAULTS.filter((trait) => noted(trait) >= AGAIN).map((trait) =>
      pro(say('trait-noted', { trait, days: noted(trait) }), 0.7),
    ),
  ];
  if (faults.length > 0) return { verdict: 'requeen', reasons: faults };
  const good = traits.filter(({ trait }) => GOOD_TRAITS.has(trait));
  const bad = traits.filter(({ trait }) => !GOOD_TRAITS.has(trait));
  const said = (each: (typeof traits)[number], sense: typeof pro) => sense(say('trait-noted', each), 0.5);
  const mites = facts.samples.filter(({ date }) => daysBetween(date, facts.today) <= SAMPLE_SPEAKS);
  const few = mites.length > 0 && mites.every((sample) => mitesOn(sample).value < miteLimit(facts.phase));
  const lacks: readonly Reason[] = [
    ...(temper === null ? [con(say('temper-not-known', { looks: tempers.length, wanted: LOOKS }), 0.4)] : []),
    ...(temper !== null && temper > NOVICE_TEMPER ? [con(say('not-gentle', { tempers }), 0.5)] : []),
    ...bad.map((each) => said(each, con)),
    ...(facts.queenSeasons === null || facts.queenSeasons < PROVEN ? [con(say('not-wintered-yet'), 0.5)] : []),
    ...(mites.length === 0 ? [con(say('mites-never-counted'), 0.4)] : []),
    ...(mites.length > 0 && !few ? [con(say('mites-over-line-once'), 0.6)] : []),
    ...(good.length < TRAITS_WANTED ? [con(say('few-good-traits', { wanted: TRAITS_WANTED }), 0.4)] : []),
  ];
  const speaks = [
    ...good.map((each) => said(each, pro)),
    ...(temper !== null && temper <= NOVICE_TEMPER ? [pro(say('gentle-at-looks', { tempers }), 0.6)] : []),
    ...(few ? [pro(say('mites-stayed-few', { samples: mites.length }), 0.5)] : []),
  ];
  if (lacks.length === 0) return { verdict: 'breed', reasons: speaks };
  if (temper === null && traits.length === 0) return { verdict: 'cannot-tell', reasons: lacks };
  return { verdict: 'keep', reasons: [...speaks, ...lacks] };
}

/**
 * Raise daughters of her, or replace her for her stock's sake, in the season for it. Bees without a laying queen, robbed, sick or in a dearth are
 * sharper than their stock: then nothing is said.
 *
 * @param facts the colony
 * @returns the advice with what speaks for and against it, or `null`
 * Source: common practice.
 */
export function adviseSelection(facts: ColonyFacts): Advised | null {
  const { phase, today } = facts;
  if (phase === null || queenTrouble(facts) !== null) return null;
  if (isRobbed(facts) || healthOf(facts).verdict !== 'sound' || facts.cells.length > 0) return null;
  const { verdict, reasons } = selectionOf(facts);
  if (verdict === 'requeen' && REPLACES.has(phase)) {
    const by = addDays(today, 28);
    return {
      kind: 'selection',
      title: say('plan-gentler-queen'),
      by,
      pressing: weigh(0.35 + reasons.length * 0.08),
      reasons: [...reasons, con(say('sharp-has-other-causes'), 0.3)],
      otherSchool: say('lets-nature-choose'),
      whereFrom: {
        figure: say('looks-with-temper', { looks: facts.character.tempers.length }),
        rule: say('requeen-rule', { looks: LOOKS, hot: HOT_TEMPER, again: AGAIN }),
        steps: [[say('tempers'), say('tempers-in-order', { tempers: facts.character.tempers })]],
        source: say('common-practice'),
      },
      cautions: [say('not-for-beginners')],
      turns: [say('calm-next-three'), say('her-bees-six-weeks')],
      ifItFails: say('not-accepted-unite'),
      followUps: [{ question: say('new-queen-her-temper'), from: addDays(by, 42), due: addDays(by, 56) }],
    };
  }
  if (verdict !== 'breed' || !RAISES.has(phase)) return null;
  const by = addDays(today, 21);
  return {
    kind: 'selection',
    title: say('raise-daughters'),
    by,
    pressing: 0.25,
    reasons,
    otherSchool: say('buys-tested-queens'),
    whereFrom: {
      figure: say('looks-with-temper', { looks: facts.character.tempers.length }),
      rule: say('breed-rule', { looks: LOOKS, novices: NOVICE_TEMPER, traits: TRAITS_WANTED, seasons: PROVEN }),
      steps: [[say('tempers'), say('tempers-in-order', { tempers: facts.character.tempers })]],
      source: say('common-practice'),
    },
    turns: [say('swarms-small-then-not')],
    ifItFails: say('daughters-differ'),
    followUps: [{ question: say('cells-of-her-taken'), from: addDays(today, 9), due: by }],
  };
}
