import { readCells } from '../inspection';
import { type CivilDate, addDays, laterOf } from '../units';
import { type Advised, type Reason, con, pro } from './advice';
import { bareBetweenJobs, bareOutsideJobs, wornJobs } from './comb-frames';
import type { CombJob } from './comb-job';
import { excluderJobs, partJobs, standJobs } from './comb-parts';
import { fallenJobs, spacingJobs, strayJobs } from './comb-stray';
import type { ColonyFacts } from './facts';
import { say } from './said';

/**
 * Comb and woodwork: stray comb with its cause, worn comb, bare frames, and parts that do not do their work. All that is to be done at one
 * hive is one advice, the most pressing first.
 *
 * @param facts the colony
 * @returns the advice, or `null` when all is in order, or what is not has to wait for the season
 * Source: common practice; the gap that bees leave free: Langstroth (1853), from memory.
 */
export function adviseComb(facts: ColonyFacts): Advised | null {
  const inSeason = combJobs(facts)
    .filter(({ opens, evenShut }) => !opens || evenShut === true || facts.reopens === null)
    .toSorted((a, b) => b.pressing - a.pressing);
  const free = whenFree(facts);
  const now = free > facts.today ? inSeason.filter(({ opens }) => !opens) : inSeason;
  // While a young queen mates only what opens nothing is done; where there is nothing else it waits for her.
  const jobs = now.length > 0 ? now : inSeason;
  const [first, ...others] = jobs;
  if (!first) return null;
  const from = now.length > 0 ? facts.today : free;
  const soonest = jobs.reduce((least, { within }) => Math.min(least, within), first.within);
  const by = laterOf(addDays(facts.today, soonest), from > facts.today ? addDays(from, first.within) : facts.today);
  return {
    kind: 'comb',
    title: first.title,
    from,
    by,
    pressing: first.pressing,
    errand: {
      minutes: jobs.reduce((sum, { minutes }) => sum + minutes, 0),
      opens: jobs.some(({ opens }) => opens),
      brings: jobs.flatMap(({ brings }) => brings),
    },
    reasons: [
      ...first.reasons,
      ...others.map(({ title }): Reason => pro(say('and-also', { job: title }), 0.3)),
      ...(from > facts.today ? [con(say('young-queen-first', { aloneTo: facts.youngQueen!.aloneTo }), 0.6)] : []),
    ],
    otherSchool: first.otherSchool,
    whereFrom: {
      figure: say('things-to-do', { count: jobs.length }),
      rule: first.rule,
      steps: jobs.map(({ step }) => step),
      source: say('common-practice'),
    },
    cautions: jobs.flatMap(({ cautions }) => cautions),
    turns: first.turns,
    ifItFails: first.ifItFails,
    followUps: [
      { question: first.question, from: addDays(by, first.again[0]), due: addDays(by, first.again[1]) },
      ...others.map(({ question, again }) => ({ question, from: addDays(by, again[0]), due: addDays(by, again[1]) })),
    ],
  };
}

/** All that is to be done, in no order. Before swarm cells are decided on nothing is moved in the nest. */
function combJobs(facts: ColonyFacts): readonly CombJob[] {
  const parts = [...excluderJobs(facts), ...partJobs(facts), ...standJobs(facts)];
  if (readCells(facts.cells, facts.eggsSeen).means === 'swarming') return parts;
  return [
    ...parts,
    ...fallenJobs(facts),
    ...strayJobs(facts),
    ...spacingJobs(facts),
    ...bareBetweenJobs(facts),
    ...bareOutsideJobs(facts),
    ...wornJobs(facts),
  ];
}

/** The first day on which the nest may be opened for woodwork: a young queen mates in peace. */
const whenFree = ({ today, youngQueen }: ColonyFacts): CivilDate =>
  youngQueen && youngQueen.aloneTo >= today ? addDays(youngQueen.aloneTo, 1) : today;
