import { say } from '../../words';
import type { Output, StripDay, endpoints } from '@brave-comb/contract';
import type { Sayable } from '@brave-comb/core/language';
import { addDays } from '@brave-comb/core/units';
import { type Ensemble, dayOutlook, sunTimes } from '@brave-comb/core/weather';
import type { Actor, Context } from '../../context';
import { dateAt, hourAt, iso } from '../../dates';
import { colonyStates } from '../../facts/care';
import { siteSeason } from '../../facts/season';
import { followUpsBetween } from '../../records/care';
import { siteNames, siteOf, type SiteRow } from '../../records/equipment';
import type { HousePractice } from '@brave-comb/core/house';
import { housePracticeOf } from '../../records/people';
import { groupCounts, sessionsBetween } from '../../records/planning';
import { observedDays } from '../../records/weather';

const DAYS = 21;
const DAYS_BEFORE = 6;

/** Three weeks around today at one site. */
export async function seasonStrip(
  context: Context,
  actor: Actor,
  query: { readonly site?: string | undefined; readonly from?: string | undefined },
): Promise<Sayable<Output<typeof endpoints.seasonStrip>>> {
  const { db, clock } = context;
  const found = await siteOf(context, actor.school, query.site);
  const { site } = found;
  const today = dateAt(site.zone, clock.now());
  const first = query.from ?? addDays(today, -DAYS_BEFORE);
  const last = addDays(first, DAYS - 1);
  const at = (date: string) => hourAt(site.zone, date, 0);
  const season = await siteSeason(context, site, addDays(first, Math.floor(DAYS / 2)));
  const [practice, observed, sessions, followUps, colonies] = await Promise.all([
    housePracticeOf(db, actor.school),
    observedDays(context, site, first, last),
    sessionsBetween(db, actor, new Date(at(first)), new Date(at(addDays(last, 1))), site.id),
    actor.role === 'trainee' ? [] : followUpsBetween(db, actor.school, site.id, first, last),
    actor.role === 'trainee' ? [] : colonyStates(context, season),
  ]);
  const counts = await groupCounts(
    db,
    sessions.map((session) => session.id),
  );
  const shown = (from: string, to: string) => to >= first && from <= last;
  return {
    ...siteNames(found),
    today,
    forecast: { issuedAt: season.forecast.ensemble?.issued ?? null, problem: season.forecast.problem },
    days: Array.from({ length: DAYS }, (_, day) => {
      const date = addDays(first, day);
      return stripDay(
        site,
        practice,
        date,
        date < today,
        date < today ? (observed.get(date) ?? null) : season.forecast.ensemble,
      );
    }),
    phases: season.phases.filter((span) => shown(span.from, span.to)),
    bloom: season.bloom.filter((bloom) => shown(bloom.from, bloom.to)),
    sessions: sessions.map((session) => ({
      id: session.id,
      date: dateAt(site.zone, session.starts_at),
      groups: counts.get(session.id) ?? 0,
      status: session.status,
    })),
    due: [
      ...followUps
        .filter((each) => each.answered_by !== null)
        .map((each) => ({
          id: each.id,
          hive: each.hive_number,
          from: each.from_date,
          due: each.due,
          question: each.question,
          why: say('answered-by-a-visit'),
          strict: 'should' as const,
          done: true,
        })),
      ...colonies.flatMap(({ hive, calendar }) =>
        calendar.dues
          .filter((due) => shown(due.from, due.due))
          .map(({ id, title, from, due, why, strict }) => ({
            id: `${hive.id}-${id}`,
            hive: hive.number,
            from,
            due,
            question: title,
            why,
            strict,
            done: false,
          })),
      ),
    ].sort((a, b) => a.due.localeCompare(b.due)),
  };
}

function stripDay(
  site: SiteRow,
  practice: HousePractice,
  date: string,
  observed: boolean,
  ensemble: Ensemble | null,
): StripDay {
  const day =
    ensemble && dayOutlook(ensemble, site, practice.limits, hourAt(site.zone, date, 0), hourAt(site.zone, date, 24));
  const sun = sunTimes(site, hourAt(site.zone, date, 12));
  return {
    date,
    observed,
    warmest: day?.warmest ?? null,
    rain: day?.rain ?? null,
    hours: day ? { lid: day.hours.lid, 'one-frame': day.hours['one-frame'], full: day.hours.full } : null,
    sun: {
      rise: sun.rise === null ? null : iso(sun.rise),
      set: sun.set === null ? null : iso(sun.set),
      hours: sun.dayLength,
    },
  };
}
