import type { ColonyList } from '@brave-comb/contract';
import type { Sayable } from '@brave-comb/core/language';
import { ATTENTION } from '@brave-comb/core/care';
import { addDays } from '@brave-comb/core/units';
import type { Actor, Context } from '../../context';
import { hourAt } from '../../dates';
import { colonyLine, colonyStates, type LineKnown } from '../../facts/care';
import { siteSeason } from '../../facts/season';
import { decisionsOfVisits } from '../../records/care';
import { sitesOf } from '../../records/equipment';
import { housePracticeOf } from '../../records/people';
import { plannedFrom } from '../../records/planning';
import type { SiteRow } from '../../records/equipment';

/** Days ahead over which planned openings are told. */
const PLANNED_AHEAD = 120;

/** All colonies of a school by how soon each needs somebody. */
export async function colonyList(context: Context, actor: Actor): Promise<Sayable<ColonyList>> {
  const sites = await sitesOf(context.db, actor.school);
  const known = (await Promise.all(sites.map((site) => coloniesAt(context, actor, site)))).flat();
  const told = known.map(colonyLine);
  return {
    today: known[0]?.season.today ?? context.clock.now().toISOString().slice(0, 10),
    zone: sites[0]?.zone ?? 'utc',
    sites: sites.map(({ id, name }) => ({ id, name })),
    colonies: told
      .sort(
        (a, b) =>
          ATTENTION.indexOf(a.attention) - ATTENTION.indexOf(b.attention) ||
          (a.soonest ?? '9999').localeCompare(b.soonest ?? '9999') ||
          a.number.localeCompare(b.number, 'en', { numeric: true }),
      )
      .map(({ line }) => line),
  };
}

/** Everything that is told of the colonies at a site. */
export async function coloniesAt(context: Context, actor: Actor, site: SiteRow): Promise<readonly LineKnown[]> {
  const { db, clock } = context;
  const season = await siteSeason(context, site);
  const until = new Date(hourAt(site.zone, addDays(season.today, PLANNED_AHEAD), 0));
  const [states, practice, planned] = await Promise.all([
    colonyStates(context, season),
    housePracticeOf(db, actor.school),
    plannedFrom(db, actor.school, clock.now(), until),
  ]);
  const decisions = await decisionsOfVisits(
    db,
    actor.school,
    states.flatMap(({ reads }) => reads.at(-1)?.visit.id ?? []),
  );
  return states.map((state) => ({
    state,
    states,
    season,
    practice,
    decided: new Set(
      decisions.filter(({ visit }) => visit === state.reads.at(-1)?.visit.id).map(({ advice }) => advice),
    ),
    planned: planned.filter(({ hive }) => hive === state.hive.id),
  }));
}
