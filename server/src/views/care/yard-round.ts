import type { YardRound } from '@brave-comb/contract';
import { type Asks, matchYard, reservesOf } from '@brave-comb/core/care';
import type { Sayable } from '@brave-comb/core/language';
import { addDays, laterOf } from '@brave-comb/core/units';
import type { Actor, Context } from '../../context';
import { dateAt } from '../../dates';
import { type LineKnown, colonyLine } from '../../facts/care';
import { siteOf } from '../../records/equipment';
import { combsOf, isUsable } from '../../records/inspection';
import { siteSeason } from '../../facts/season';
import { say } from '../../words';
import { coloniesAt } from './colonies';
import { asNeighbour } from './neighbours';

/** Days ahead over which a round looks. */
const AHEAD = 7;
/** Days within which a session is as good as going at once. */
const SOON = 2;

/** What all colonies of a site ask for in the coming week, and where each can be done. */
export async function yardRound(context: Context, actor: Actor, siteId?: string): Promise<Sayable<YardRound>> {
  const { db } = context;
  const { site, sites } = await siteOf(context, actor.school, siteId);
  const [known, combs, { today }] = await Promise.all([
    coloniesAt(context, actor, site),
    combsOf(db, actor.school),
    siteSeason(context, site),
  ]);
  const until = addDays(today, AHEAD);
  const told = known.map((each) => ({ known: each, ...colonyLine(each) }));
  const neighbours = told.flatMap(({ known: each, facts }) => asNeighbour(each, facts) ?? []);
  const inStore = (kind: string) => combs.filter((comb) => isUsable(comb.store) && comb.kind === kind).length;
  return {
    site: { id: site.id, name: site.name },
    sites: sites.map(({ id, name }) => ({ id, name })),
    today,
    until,
    colonies: told.map(({ known: each, line, asks, suspected }) => ({
      hive: each.state.hive.id,
      number: each.state.hive.number,
      stand: each.state.hive.stand,
      place: each.state.hive.place,
      suspected,
      temper: line.temper,
      alone: aloneSaid(each),
      decideAt: line.decideAt,
      jobs: asks.filter(({ by, strict }) => by <= until && strict !== 'may').map((ask) => jobAt(each, ask)),
    })),
    store: { drawn: inStore('drawn'), foundation: inStore('foundation') },
    reserves: [...reservesOf(neighbours)],
    matches: [...matchYard(neighbours)],
  };
}

/** A job with the planned session at which it can be done in time, if there is one. */
function jobAt({ planned, season }: LineKnown, ask: Asks): Sayable<YardRound>['colonies'][number]['jobs'][number] {
  // What is late already is as well done at a session of these days.
  const last = laterOf(ask.by, addDays(season.today, SOON));
  const inTime = planned.find(({ starts_at }) => {
    const date = dateAt(season.site.zone, starts_at);
    return date >= ask.from && date <= last;
  });
  return {
    ...ask,
    goesTo:
      inTime && ask.errand.opens && !ask.toDecide ? 'session' : ask.errand.when === 'evening' ? 'evening' : 'round',
    session: inTime
      ? { id: inTime.session, date: dateAt(season.site.zone, inTime.starts_at), group: inTime.group_name }
      : null,
  };
}

function aloneSaid({ state, season: { today } }: LineKnown) {
  const rest = state.calendar.rests.find(({ from, to, strict }) => from <= today && today <= to && strict === 'must');
  return rest ? say('leave-alone', { why: rest.why, to: rest.to, date: today }) : null;
}
