import type { Increase, Input, endpoints } from '@brave-comb/contract';
import {
  BUILDS_FROM,
  type PairMeasured,
  type YardColony,
  combPlan,
  drawnCombs,
  measuredBy,
  splitPlan,
  trialResult,
} from '@brave-comb/core/care';
import type { Sayable } from '@brave-comb/core/language';
import { lastOf, addDays } from '@brave-comb/core/units';
import { mainFlow } from '@brave-comb/core/season';
import type { Actor, Context } from '../../context';
import { dateAt } from '../../dates';
import { type LineKnown, colonyLine, matingDays, mayTakePart } from '../../facts/care';
import { type SiteSeason, siteSeason } from '../../facts/season';
import { type TrialRow, trialsAt } from '../../records/care';
import { siteOf } from '../../records/equipment';
import { combsOf, isUsable } from '../../records/inspection';
import { housePracticeOf, peopleOf } from '../../records/people';
import { coloniesAt } from './colonies';
import { asNeighbour } from './neighbours';

type Asked = Input<typeof endpoints.increase>['query'];

/** Days for which a look still counts the combs of a hive. */
const COUNTED = 400;

/** Drawn comb, a plan for dividing, and trials, at one site. */
export async function increase(context: Context, actor: Actor, asked: Asked): Promise<Sayable<Increase>> {
  const { db } = context;
  const { site, sites } = await siteOf(context, actor.school, asked.site);
  const trials = await trialsAt(db, actor.school, site.id);
  const [all, combs, season, practice, people] = await Promise.all([
    Promise.all(sites.map((each) => coloniesAt(context, actor, each))),
    combsOf(db, actor.school),
    siteSeason(context, site),
    housePracticeOf(db, actor.school),
    peopleOf(
      db,
      actor.school,
      trials.map(({ by_person }) => by_person),
    ),
  ]);
  const known = all.flat().filter(({ season: at }) => at.site.id === site.id);
  const asYard = (colonies: readonly LineKnown[]) =>
    colonies.flatMap((each) => asNeighbour(each, colonyLine(each).facts) ?? []);
  const neighbours = asYard(known);
  const { givers, minds, steps, laying, proven, units, not, otherSchool } = splitPlan({
    today: season.today,
    wanted: asked.wanted,
    source: asked.source,
    readyBy: asked.by ?? null,
    phases: season.phases,
    matingDays: matingDays(season),
    colonies: neighbours,
  });
  return {
    site: { id: site.id, name: site.name },
    sites: sites.map(({ id, name }) => ({ id, name })),
    today: season.today,
    // Combs are the school's, wherever they stand.
    combs: combsSaid(all.flat(), combs, season, practice.combGoal, asYard(all.flat())),
    plan: {
      source: asked.source,
      wanted: asked.wanted,
      readyBy: asked.by ?? null,
      steps: [...steps],
      laying,
      proven,
      givers: [...givers],
      units,
      not,
      minds: [...minds],
      otherSchool,
    },
    trials: trials.map((trial) => trialSaid(trial, known, people.find(({ id }) => id === trial.by_person)?.name ?? '')),
    hives: mayTakePart(known.map(({ state }) => state)),
  };
}

function combsSaid(
  known: readonly LineKnown[],
  combs: Awaited<ReturnType<typeof combsOf>>,
  { today, turn, bloom }: SiteSeason,
  goal: number,
  neighbours: readonly YardColony[],
): Sayable<Increase>['combs'] {
  const begin = lastOf(turn, today);
  const flow = mainFlow(bloom, begin, addDays(begin, 364));
  const stored = (kind: string) => combs.filter((comb) => isUsable(comb.store) && comb.kind === kind).length;
  const lately = known.map(({ state, season }) => ({
    number: state.hive.number,
    read: state.reads.findLast(
      ({ visit, nest }) =>
        nest.sidesRead > 0 && dateAt(season.site.zone, visit.started_at) > addDays(season.today, -COUNTED),
    ),
  }));
  const stock = {
    inHives: Math.round(lately.reduce((sum, { read }) => sum + (read ? drawnCombs(read) : 0), 0)),
    inStore: stored('drawn'),
    foundation: stored('foundation'),
  };
  const builders = neighbours.filter(({ bees, sound }) => sound && (bees ?? 0) >= BUILDS_FROM).length;
  const flowTo = flow && flow.to > today ? flow.to : null;
  const { short, buy, worthKg, reached, says } = combPlan(stock, goal, today, flowTo, builders);
  return {
    ...stock,
    goal,
    short,
    buy,
    worthKg,
    reached,
    says,
    unread: lately.flatMap(({ number, read }) => (read ? [] : [number])),
  };
}

/** A trial with what was measured at its hives: the last look before it began, and the last since, as long as it ran. */
function trialSaid(trial: TrialRow, known: readonly LineKnown[], by: string): Sayable<Increase>['trials'][number] {
  const at = (hive: string) => {
    const own = known.find(({ state }) => state.hive.id === hive);
    if (!own) return { number: '–', begin: null, now: null, change: null };
    const { state, season } = own;
    const figures = state.reads.flatMap((read) => {
      const figure = measuredBy(read, trial.measure);
      return figure === null ? [] : [{ date: dateAt(season.site.zone, read.visit.started_at), figure }];
    });
    const begin = figures.findLast(({ date }) => date <= trial.begun)?.figure ?? (trial.measure === 'honey' ? 0 : null);
    const now =
      figures.findLast(({ date }) => date > trial.begun && (trial.ended === null || date <= trial.ended))?.figure ??
      null;
    return { number: state.hive.number, begin, now, change: begin === null || now === null ? null : now - begin };
  };
  const measured = trial.pairs.map((pair) => ({ pair, one: at(pair.one), other: at(pair.other) }));
  const result = trialResult(
    measured.map(({ pair, one, other }): PairMeasured => ({ ...pair, oneBy: one.change, otherBy: other.change })),
  );
  const shown = ({ number, begin, now }: ReturnType<typeof at>) => ({ number, begin, now });
  const { id, question, one, other, measure, begun, revisit, ended } = trial;
  return {
    ...{ id, question, one, other, measure, begun, revisit, ended, by },
    pairs: measured.map((each) => ({ one: shown(each.one), other: shown(each.other) })),
    measured: result.measured,
    difference: result.difference,
    verdict: result.verdict,
    says: result.says,
  };
}
