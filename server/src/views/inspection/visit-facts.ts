import type { LiftAdvice } from '@brave-comb/core/equipment';
import { say } from '../../words';
import type { VisitFile } from '@brave-comb/contract';
import { type Sayable, type Text, sameText } from '@brave-comb/core/language';
import { MATING_HOURS } from '@brave-comb/core/biology';
import { type Due, queenInTheMaking } from '@brave-comb/core/care';
import { supers } from '@brave-comb/core/equipment';
import { type VisitDepth, temperOf, temperTrend } from '@brave-comb/core/inspection';
import { type Phase, lateInYear } from '@brave-comb/core/season';
import { type Ensemble, fitDepth, hindrance, DEPTHS, sunElevation, weatherAt } from '@brave-comb/core/weather';
import type { Context } from '../../context';
import { clockAt, dateAt } from '../../dates';
import { type ColonyState, colonyStates, matingDays, upTo } from '../../facts/care';
import { type ColonyRead, tempersOf, weighed } from '../../facts/inspection';
import { phaseNow, type SiteSeason } from '../../facts/season';
import type { HiveRow, SiteRow } from '../../records/equipment';
import type { NamedVisit } from '../../records/inspection';
import type { HousePractice } from '@brave-comb/core/house';

export type Facts = Pick<
  VisitFile,
  'depth' | 'cautions' | 'lock' | 'asked' | 'suspicion' | 'ordered' | 'late' | 'robbingSeason' | 'lifting' | 'colony'
>;
const NOTHING_TO_GATHER: readonly Phase[] = ['dearth', 'making-winter-bees', 'closing-down'];
const REACHES: Readonly<Record<(typeof DEPTHS)[number], VisitDepth>> = {
  outside: 'outside',
  lid: 'lid',
  'one-frame': 'top-box',
  full: 'full',
};

/** What speaks for care with a colony today: rests, suspicion, temper, weight, season, weather. */
export async function visitFacts(
  context: Context,
  season: SiteSeason,
  hive: HiveRow,
  visit: Pick<NamedVisit, 'started_at' | 'stack'>,
  before: ColonyRead | null,
  practice: HousePractice,
  ensemble: Ensemble | null,
  /** The hour it is opened, ms since 1970. */
  at: number,
): Promise<Sayable<Facts>> {
  const { site } = season;
  const date = dateAt(site.zone, visit.started_at);
  const [state] = await colonyStates(context, season, [hive.id]);
  const phase = phaseNow(season, date)?.phase ?? null;
  const late = lateInYear(season.phases, date);
  const resting = (state?.calendar.rests ?? []).filter(({ from, to }) => from <= date && date <= to);
  const rest = resting.find(({ cause }) => cause === 'young-queen');
  const event = state?.events.findLast(({ kind }) => kind === 'suspicion' || kind === 'suspicion-settled');
  const order = state?.events.findLast(({ kind }) => kind === 'ordered-by-the-inspector');
  const suspicion = event?.kind === 'suspicion' ? ((event.detail as { of?: string }).of ?? 'disease') : null;
  const lifting = weighed({ stack: visit.stack }, before, practice);
  const heavy = lifting.filter(({ lift }) => lift === 'two-lift' || lift === 'by-frames');
  const temper = before ? temperOf(before.record) : null;
  const depth = depthAt(site, practice, ensemble, at, late);
  const over = state?.calendar.load.over ?? [];
  const tempers = await tempersOf(context, hive, visit.started_at);
  return {
    depth,
    asked: season.today === date ? askedOf(state?.calendar.dues ?? [], date) : [],
    lock: rest ? say('lock', { why: rest.why, to: rest.to, date }) : null,
    suspicion,
    ordered: suspicion && order ? ((order.detail as { what?: string }).what ?? null) : null,
    colony: {
      origin: state?.colony.origin ?? say('not-known'),
      since: state?.colony.since ?? date,
      class: state?.colony.class ?? 'teaching',
      tempers: [...tempers],
      temperSays: temperTrend(tempers).says,
    },
    late,
    robbingSeason: phase !== null && NOTHING_TO_GATHER.includes(phase),
    lifting: lifting.filter(({ layer }) => supers(visit.stack).some(({ id }) => id === layer.id)),
    cautions: [
      ...(rest ? [say('leave-alone', { why: rest.why, to: rest.to, date })] : []),
      ...(mayFly(state, season, date, at)
        ? [say('mating-flight', { from: MATING_HOURS[0], to: MATING_HOURS[1] })]
        : []),
      ...(state?.calendar.honey.says ? [state.calendar.honey.says] : []),
      ...(suspicion ? [say('opened-last', { sick: suspicion })] : []),
      ...(temper !== null && temper >= 4 ? [say('experienced-hands', { temper })] : []),
      ...heavy.map(({ layer, kg, lift }) =>
        say('weighs-about', { part: layer.id, kg: kg ?? 0, lift: lift as LiftAdvice }),
      ),
      ...resting.filter((each) => each !== rest).map(({ why, to }) => say('better-left', { why, to, date })),
      ...(over.length > 0 ? [say('opened-much', { over })] : []),
    ],
  };
}

/** Whether a queen that has not laid yet is old enough to mate, and the hour is one in which she may be out. */
function mayFly(state: ColonyState | undefined, season: SiteSeason, date: string, at: number): boolean {
  const young =
    state && queenInTheMaking({ events: upTo(state.known, date), matingDays: matingDays(season), today: date });
  const hour = Number(clockAt(season.site.zone, at).slice(0, 2));
  const mature = young?.plan.mature ?? null;
  return mature !== null && mature <= date && hour >= MATING_HOURS[0] && hour < MATING_HOURS[1];
}

/** What the colony calendar asks of this visit besides an ordinary look. */
const askedOf = (dues: readonly Due[], date: string): readonly Text[] =>
  dues
    .filter(({ id, from }) => from <= date && !id.startsWith('ordinary:'))
    .map(({ title, question }) => (question && !sameText(question, title) ? say('asked', { title, question }) : title));

/** How deep the hour lets anybody go by the middle of the forecasts, and how deep the season. */
function depthAt(
  site: SiteRow,
  practice: HousePractice,
  ensemble: Ensemble | null,
  now: number,
  late: boolean,
): Sayable<Facts>['depth'] {
  const elevation = sunElevation(site, now);
  const start = ensemble ? Date.parse(ensemble.start) : 0;
  const reached = (ensemble?.members ?? []).flatMap((member) => {
    const weather = weatherAt(member, start, now);
    if (!weather) return [];
    const soon = weatherAt(member, start, now + practice.openMinutes * 60_000)?.rain ?? 0;
    const depth = fitDepth(weather, elevation, practice.limits, soon);
    const next = DEPTHS[depth + 1];
    return [{ depth, why: next ? hindrance(weather, elevation, practice.limits[next], soon) : null }];
  });
  const middle = reached.sort((a, b) => a.depth - b.depth)[Math.floor(reached.length / 2)];
  if (!middle) return { allowed: late ? 'top-box' : 'full', why: say('judge-by-thermometer') };
  const allowed = REACHES[DEPTHS[Math.max(0, middle.depth)]!];
  if (late && allowed === 'full') return { allowed: 'top-box', why: say('late-in-the-year') };
  return { allowed, why: say('at-hour', { why: middle.why, time: clockAt(site.zone, now) }) };
}
