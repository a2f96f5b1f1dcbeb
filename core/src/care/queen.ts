import { lastLaying } from '../biology';
import { type CellsVerdict, readCells } from '../inspection';
import { type Phase, isLate } from '../season';
import { addDays, laterOf } from '../units';
import { type Advised, type Brief, type Reason, con, pro, weigh } from './advice';
import type { ColonyFacts } from './facts';
import { noEggsNormal } from './no-eggs';
import { halfRead } from './reading';
import { say } from './said';
import { named } from '../language';

/** Phases in which a failing queen can be replaced at leisure. */
const OPEN_SEASON: ReadonlySet<Phase> = new Set<Phase>(['build-up', 'swarm-season', 'flow', 'dearth', 'late-flow']);
/** Frames of bees under which a queenless colony is not worth a queen of its own. Common practice. */
const TOO_FEW = 3;
/** Days until cells on a test frame tell: a larva of a day is fed as a queen within hours and shows within four days. Common practice. */
const TEST_DAYS = [4, 6] as const;
/** Seasons of a queen from which patchy brood is laid to her age. Common practice. */
const OLD = 2;
/** Frames with patchy brood from which it is a pattern. Common practice. */
const PATCHY = 2;
/** What cells mean that the judge of queen cells answers. */
const ANSWERED: ReadonlySet<CellsVerdict['means']> = new Set<CellsVerdict['means']>([
  'swarming',
  'emergency',
  'replacing-her',
  'queen-out',
]);

/** What is wrong with the queen, or nothing. */
export type QueenTrouble = 'drone-layer' | 'laying-workers' | 'overdue' | 'queenless' | 'failing' | null;

/**
 * What is wrong with the queen, by what was seen. Without half of the frames read nothing is said.
 *
 * @param facts the colony
 * @returns the trouble, or `null`
 * Source: common practice; development days by Winston (1987), from memory.
 */
export function queenTrouble(facts: ColonyFacts): QueenTrouble {
  if (ANSWERED.has(readCells(facts.cells, facts.eggsSeen).means)) return null;
  if (facts.queen.verdict === 'drone-layer-likely') return facts.queenSeen ? 'drone-layer' : 'laying-workers';
  if (!halfRead(facts)) return null;
  const young = facts.youngQueen;
  if (young && facts.today >= young.worry && !facts.eggsSeen && !facts.larvaeSeen) return 'overdue';
  if (!facts.eggsSeen && !facts.queenSeen && !young && noEggsNormal(facts) === null) {
    const none = !facts.larvaeSeen && !facts.sealedSeen;
    if (facts.queen.verdict === 'queenless-likely' || none) return 'queenless';
  }
  const patchy = facts.marks.find(({ mark }) => mark === 'spotty-pattern')?.frames.length ?? 0;
  const old = facts.queenSeasons !== null && facts.queenSeasons >= OLD;
  if (facts.eggsSeen && old && patchy >= PATCHY && facts.phase !== null && OPEN_SEASON.has(facts.phase))
    return 'failing';
  return null;
}

/**
 * What the queen's state asks for: a test frame, to unite, to replace her, or nothing.
 *
 * @param facts the colony
 * @returns the advice with its numbers, or `null` when she lays, may lay, or nobody can tell
 * Source: common practice.
 */
export function adviseQueen(facts: ColonyFacts): Advised | null {
  const trouble = queenTrouble(facts);
  if (trouble === null) return null;
  const { late, few } = endsFor(facts);
  if (trouble === 'failing') return failing(facts);
  if (trouble === 'drone-layer') return replace(facts, late || few);
  if (trouble === 'laying-workers') return few || late ? shakeOut(facts, few) : testFrame(facts, trouble);
  return late || few ? unite(facts, trouble, few) : testFrame(facts, trouble);
}

/** Why a colony without a good queen is not worth another: it is too late in the year, or its bees are too few. */
function endsFor({ phase, nest }: ColonyFacts): { readonly late: boolean; readonly few: boolean } {
  return {
    late: phase !== null && isLate(phase),
    few: nest.framesOfBees !== null && nest.framesOfBees.value < TOO_FEW,
  };
}

/** Whether the colony is to end: its bees go to others, and nothing else is done to it. */
export function ends(facts: ColonyFacts): boolean {
  const trouble = queenTrouble(facts);
  const { late, few } = endsFor(facts);
  return trouble !== null && trouble !== 'failing' && (late || few);
}

function advice(facts: ColonyFacts, brief: Brief): Advised {
  const { today, reopens } = facts;
  const { within, again, rule, question, ...rest } = brief;
  const seen = (there: boolean) => (there ? say('was-seen') : say('not-seen'));
  const day = (days: number) => (reopens ? laterOf(addDays(today, days), reopens) : addDays(today, days));
  return {
    ...rest,
    kind: 'queen',
    by: day(within),
    pressing: weigh(brief.pressing),
    reasons: [...brief.reasons, con(say('every-opening-costs-colony-part'), 0.2)],
    whereFrom: {
      figure: say('days', { days: within }),
      rule,
      steps: [
        [named('content', 'E'), seen(facts.eggsSeen)],
        [named('content', 'L'), seen(facts.larvaeSeen)],
        [say('flat-sealed-worker-brood'), seen(facts.sealedSeen)],
        [say('the-queen'), seen(facts.queenSeen)],
        [say('phase-of-year'), facts.phase === null ? say('not-known') : named('phase', facts.phase)],
      ],
      source: say('development-days-textbook-consensus-within'),
    },
    followUps: [{ question, from: day(again[0]), due: day(again[1]) }],
  };
}

/** What was found of the brood, as the reason for a queenless colony. */
function noBrood(facts: ColonyFacts): readonly Reason[] {
  const laid = lastLaying({ eggs: facts.eggsSeen, larvae: facts.larvaeSeen, sealed: facts.sealedSeen });
  return [
    pro(
      laid ? say('eggs-found-youngest-brood-says', { from: laid.from, to: laid.to }) : say('brood-all-tell-when-she'),
      0.9,
    ),
    con(say('eggs-are-missed'), 0.4),
  ];
}

const testFrame = (facts: ColonyFacts, trouble: Exclude<QueenTrouble, null>): Advised =>
  advice(facts, {
    title: trouble === 'laying-workers' ? say('drone-layer-give-frame-young') : say('give-test-frame'),
    within: 3,
    pressing: trouble === 'overdue' ? 0.82 : 0.85,
    reasons:
      trouble === 'laying-workers'
        ? [pro(facts.queen.says, 0.9)]
        : trouble === 'overdue'
          ? [pro(say('young-queen-overdue', { worry: facts.youngQueen!.worry }), 0.9), ...noBrood(facts)]
          : noBrood(facts),
    otherSchool: trouble === 'laying-workers' ? say('shakes-such-colony-out-front') : say('gives-mated-queen-at-once'),
    rule: trouble === 'laying-workers' ? say('queen-cells-given-frame-young') : say('test-frame-rule'),
    turns: [say('cells-mean-queenless'), say('no-cells-mean-queen')],
    ifItFails: trouble === 'laying-workers' ? say('workers-keep-laying') : say('no-queen-then-unite'),
    cautions: [say('test-frame-healthy')],
    question: say('cells-on-test-frame'),
    again: TEST_DAYS,
  });

const unite = (facts: ColonyFacts, trouble: Exclude<QueenTrouble, null>, few: boolean): Advised =>
  advice(facts, {
    title: say('unite-them'),
    within: 7,
    pressing: 0.8,
    reasons: [
      ...(trouble === 'overdue' ? [pro(say('young-queen-overdue', { worry: facts.youngQueen!.worry }), 0.9)] : []),
      ...noBrood(facts),
      pro(few ? say('too-few-for-queen') : say('no-queen-mated-now'), 0.7),
    ],
    otherSchool: say('buys-a-queen-late'),
    rule: say('unite-rule'),
    turns: [say('eggs-seen-leave-her'), say('spare-queen-at-hand')],
    ifItFails: say('unite-fails-shake-out'),
    cautions: [say('unite-healthy-only')],
    question: say('united-one-queen-eggs'),
    again: [7, 14],
  });

const replace = (facts: ColonyFacts, without: boolean): Advised =>
  advice(facts, {
    title: without ? say('take-her-out-unite') : say('replace-drone-layer'),
    within: 7,
    pressing: 0.85,
    reasons: [pro(facts.queen.says, 0.9), pro(say('she-was-seen-lays-drones'), 0.7)],
    otherSchool: say('unites-at-once'),
    rule: say('drone-layer-rule'),
    turns: [say('flat-cappings-would-say-no')],
    ifItFails: say('not-accepted-unite'),
    cautions: [say('unite-healthy-only')],
    question: say('new-queen-eggs'),
    again: [7, 10],
  });

const shakeOut = (facts: ColonyFacts, few: boolean): Advised =>
  advice(facts, {
    title: say('shake-them-out'),
    within: 7,
    pressing: 0.75,
    reasons: [pro(facts.queen.says, 0.9), pro(few ? say('too-few-for-queen') : say('no-queen-mated-now'), 0.7)],
    otherSchool: say('gives-brood-three-weeks'),
    rule: say('laying-workers-rule'),
    turns: [say('flat-cappings-would-say-no'), say('queen-found-unite')],
    ifItFails: say('leave-no-box-robbing'),
    cautions: [say('unite-healthy-only')],
    question: say('stand-empty-comb-stored'),
    again: [1, 7],
  });

const failing = (facts: ColonyFacts): Advised =>
  advice(facts, {
    title: say('plan-a-new-queen'),
    within: 21,
    pressing: 0.45,
    reasons: [
      pro(
        say('patchy-on-frames', { frames: facts.marks.find(({ mark }) => mark === 'spotty-pattern')?.frames ?? [] }),
        0.6,
      ),
      pro(say('queen-her-second-season-older'), 0.5),
      con(say('patchy-has-other-causes'), 0.4),
    ],
    otherSchool: say('lets-them-replace-her'),
    rule: say('failing-rule'),
    turns: [say('solid-brood-next-time'), say('supersedure-cells-leave')],
    ifItFails: say('no-queen-then-unite'),
    question: say('brood-solid-or-patchy'),
    again: [10, 14],
  });
