import { say } from '../../words';
import type { DayPage } from '@brave-comb/contract';
import { type Sayable, named, type Text } from '@brave-comb/core/language';
import { quantile } from '@brave-comb/core/statistics';
import { addDays } from '@brave-comb/core/units';
import {
  DEPTHS,
  type FitSpan,
  HOUR,
  type Weather,
  beaufort,
  broodMinutes,
  eggLight,
  fitSpans,
  hourOutlooks,
  lightPlan,
  peopleAdvice,
  smokerFire,
  sunElevation,
  sunTimes,
} from '@brave-comb/core/weather';
import type { Actor, Context } from '../../context';
import { clockAt, hourAt, iso } from '../../dates';
import { colonyStates } from '../../facts/care';
import { phaseNow, siteSeason } from '../../facts/season';
import { siteNames, siteOf } from '../../records/equipment';
import { housePracticeOf } from '../../records/people';
import { sessionsBetween } from '../../records/planning';
import { observedDays } from '../../records/weather';

const FIRE_DAYS = 60;

const moment = (at: number | null): string | null => (at === null ? null : iso(at));

/** One day at a site, hour by hour. */
export async function dayPage(
  context: Context,
  actor: Actor,
  date: string,
  siteId?: string,
): Promise<Sayable<DayPage>> {
  const found = await siteOf(context, actor.school, siteId);
  const { site } = found;
  const season = await siteSeason(context, site, date);
  const practice = await housePracticeOf(context.db, actor.school);
  const [midnight, next] = [hourAt(site.zone, date, 0), hourAt(site.zone, date, 24)];
  const observed = date < season.today;
  const ensemble = observed
    ? ((await observedDays(context, site, date, date)).get(date) ?? null)
    : season.forecast.ensemble;
  const outlook = ensemble && { ensemble, place: site, limits: practice.limits };
  const clock = (at: number) => clockAt(site.zone, at);
  const [sessions, colonies] = await Promise.all([
    sessionsBetween(context.db, actor, new Date(midnight), new Date(next), site.id),
    actor.role === 'trainee' ? [] : colonyStates(context, season),
  ]);
  const spans = outlook ? fitSpans(outlook, midnight, next) : [];
  const hours = outlook ? hourOutlooks(ensemble, site, practice.limits, midnight, next) : [];
  const middles = ensemble ? middleHours(ensemble.members, Date.parse(ensemble.start)) : new Map<number, Weather>();
  const sun = sunTimes(site, hourAt(site.zone, date, 12));
  const noonWeather = middles.get(Math.floor(sun.noon / HOUR) * HOUR);
  const light = lightPlan(site, hourAt(site.zone, date, 12), noonWeather?.cloud ?? 0.5);
  return {
    ...siteNames(found),
    date,
    today: season.today,
    observed,
    forecast: { issuedAt: season.forecast.ensemble?.issued ?? null, problem: season.forecast.problem },
    spans: spans.map((span) => ({
      depth: span.depth,
      from: iso(span.from),
      to: iso(span.to),
      chance: span.chance,
      limitedBy: span.limitedBy && named('hinders', span.limitedBy.why),
      broodMinutes: span.broodMinutes,
      words: spanWords(span, spans, clock),
    })),
    hours: hours.map((hour) => {
      const at = Date.parse(hour.at);
      const elevation = sunElevation(site, at + HOUR / 2);
      const middle = middles.get(at);
      return {
        ...hour,
        elevation,
        broodMinutes: broodMinutes(hour.temperature[1]),
        light: middle ? eggLight(middle, elevation, 'dark-comb') : ('poor' as const),
      };
    }),
    sun: {
      dawn: moment(sun.dawn),
      rise: moment(sun.rise),
      noon: iso(sun.noon),
      set: moment(sun.set),
      dusk: moment(sun.dusk),
      hours: sun.dayLength,
      eggs: light.eggs && { from: iso(light.eggs.from), to: iso(light.eggs.to) },
      foraging: { from: iso(light.foraging.from), to: iso(light.foraging.to) },
      sunFrom: light.sunFrom,
    },
    people: peoplePart([...middles].filter(([at]) => at >= midnight && at < next)),
    fire: firePart(season.before, season.ahead, date),
    phase: phaseNow(season, date),
    bloom: season.bloom.filter((bloom) => bloom.from <= date && bloom.to >= date),
    sessions: sessions.map((session) => ({
      id: session.id,
      startsAt: iso(session.starts_at),
      endsAt: iso(session.ends_at),
      depth: session.depth,
      status: session.status,
    })),
    dues: colonies.flatMap(({ hive, calendar }) =>
      calendar.dues
        .filter((due) => due.from <= date && due.due >= date)
        .map(({ title, due, strict, why }) => ({ hive: hive.number, title, due, strict, why })),
    ),
    limits: practice.limits,
  };
}

/** "13:00–15:40 fit for full inspection; wind turns it at 15:40". */
function spanWords(span: FitSpan, all: readonly FitSpan[], clock: (at: number) => string): Text {
  const when = { from: clock(span.from), to: clock(span.to) };
  const after = all[all.indexOf(span) + 1];
  const why = span.limitedBy?.why ?? null;
  if (span.depth === null) return say('stay-shut', { ...when, why });
  const reached = DEPTHS.indexOf(span.depth);
  const turns =
    after && (after.depth === null ? -1 : DEPTHS.indexOf(after.depth)) < reached && after.limitedBy
      ? { why: after.limitedBy.why, at: clock(span.to) }
      : null;
  return say('fit-for', { ...when, depth: span.depth, why, turns, broodMinutes: span.broodMinutes });
}

function middleHours(members: readonly (readonly Weather[])[], start: number): Map<number, Weather> {
  const count = members[0]?.length ?? 0;
  const middle = (hour: number, figure: keyof Weather) =>
    quantile(
      members.map((member) => member[hour]![figure]),
      0.5,
    );
  return new Map(
    Array.from({ length: count }, (_, hour) => [
      start + hour * HOUR,
      {
        temperature: middle(hour, 'temperature'),
        dewPoint: middle(hour, 'dewPoint'),
        wind: middle(hour, 'wind'),
        gust: middle(hour, 'gust'),
        rain: middle(hour, 'rain'),
        cloud: middle(hour, 'cloud'),
        thunder: members.reduce((sum, member) => sum + member[hour]!.thunder, 0) / members.length,
      },
    ]),
  );
}

/** Advice for people by the day's hardest hour of work: the one that feels hottest, or the coldest where it is cold. */
function peoplePart(hours: readonly (readonly [number, Weather])[]): Sayable<DayPage>['people'] {
  const warmest = [...hours].sort((a, b) => b[1].temperature - a[1].temperature)[0];
  if (!warmest) return null;
  const [at, weather] = warmest;
  return {
    ...peopleAdvice(weather),
    at: iso(at),
    beaufort: beaufort(Math.max(...hours.map(([, hour]) => hour.wind))),
    thunder: Math.max(...hours.map(([, hour]) => hour.thunder)),
  };
}

function firePart(
  before: readonly { date: string; high: number; dewPoint: number; rain: number }[],
  ahead: readonly { date: string; high: number; dewPoint: number; rain: number }[],
  date: string,
): Sayable<DayPage>['fire'] {
  const days = [...before, ...ahead].filter((day) => day.date <= date && day.date > addDays(date, -FIRE_DAYS));
  if (days.at(-1)?.date !== date) return null;
  // Rain of the day itself may still be to come when the smoker is lit.
  return smokerFire(
    days.map(({ date: on, high, dewPoint, rain }) => ({ temperature: high, dewPoint, rain: on === date ? 0 : rain })),
  );
}
