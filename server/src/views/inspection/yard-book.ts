import { type Sayable, type Text, named } from '@brave-comb/core/language';
import type { Output, endpoints } from '@brave-comb/contract';
import { readMeasure } from '@brave-comb/core/inspection';
import { DAY, roundTo, spoken } from '@brave-comb/core/units';
import type { Actor, Context } from '../../context';
import { dateAt, iso } from '../../dates';
import { readColonies } from '../../facts/inspection';
import { sourceOf, tasksOfSchool } from '../../records/care';
import { allHives, sitesOf } from '../../records/equipment';
import { latestVisits, stackHistory } from '../../records/inspection';

type YardBook = Output<(typeof endpoints)['yardBook']>;

const VISITS = 200;
const CHANGES = 60;
/** Days for which a settled task is still shown. */
const SETTLED_SHOWN = 30;

/** What visits left to be done, and the books that they fill along the way. */
export async function yardBook(context: Context, actor: Actor): Promise<Sayable<YardBook>> {
  const { db, clock } = context;
  const now = clock.now();
  const [[site], visits, tasks, changes, hives] = await Promise.all([
    sitesOf(db, actor.school),
    latestVisits(db, actor, now, VISITS),
    tasksOfSchool(db, actor.school, new Date(now.getTime() - SETTLED_SHOWN * DAY)),
    stackHistory(db, actor.school, CHANGES),
    allHives(db, actor.school),
  ]);
  const records = await readColonies(db, visits);
  const read = visits.map((visit, at) => ({ visit, record: records[at]!.record }));
  const scraps = new Map<string, { kg: number; hives: string[] }>();
  const stuck = new Map<string, Omit<YardBook['stuck'][number], 'says'> & { readonly says: Text }>();
  for (const { visit, record } of read)
    for (const { measure, at } of record.measures) {
      const date = dateAt(visit.zone, visit.started_at);
      if (measure.what === 'scraps') {
        const day = scraps.get(date) ?? { kg: 0, hives: [] };
        day.kg += measure.kg;
        day.hives.push(visit.hive_number);
        scraps.set(date, day);
      }
      const key = `${visit.hive}/${measure.what === 'stuck' ? measure.part : ''}`;
      if (measure.what === 'stuck' && (stuck.get(key)?.at ?? '') < at)
        stuck.set(key, {
          hiveNumber: visit.hive_number,
          part: measure.part,
          grade: measure.grade,
          says: readMeasure(measure).says,
          at,
        });
    }
  return {
    zone: site?.zone ?? 'utc',
    today: dateAt(site?.zone ?? 'utc', now),
    tasks: tasks.map((row) => ({
      id: row.id,
      hiveNumber: row.hive_number,
      what: row.question,
      from: row.from_date,
      due: row.due,
      bring: row.bring ?? null,
      visit: row.visit,
      source: sourceOf(row),
      settled: row.settled_at ? { by: row.settled_by_name ?? '', at: iso(row.settled_at) } : null,
    })),
    hives: hives.map(({ id, number }) => ({ id, number })),
    strayCombs: read.flatMap(({ visit, record }) =>
      record.strayCombs.map(({ at, place, part, content, cause, removed }) => ({
        visit: visit.id,
        hiveNumber: visit.hive_number,
        at,
        where: `${spoken(place)}, ${part}`,
        content,
        cause,
        mend: named('strayMend', cause),
        removed,
      })),
    ),
    scraps: [...scraps]
      .map(([date, { kg, hives }]) => ({ date, kg: roundTo(kg, 2), hives: [...new Set(hives)] }))
      .sort((a, b) => b.date.localeCompare(a.date)),
    stuck: [...stuck.values()].sort((a, b) => b.grade - a.grade),
    stackChanges: changes.map(({ visit, hive_number, at, words, reason }) => ({
      visit,
      hiveNumber: hive_number,
      at: iso(at),
      words,
      reason,
    })),
  };
}

/** All hives of the school with where they stand. */
export async function hiveList({ db, publicUrl }: Context, actor: Actor): Promise<Output<typeof endpoints.hiveList>> {
  const [hives, sites] = await Promise.all([allHives(db, actor.school), sitesOf(db, actor.school)]);
  const nameOf = new Map(sites.map(({ id, name }) => [id, name]));
  return {
    address: publicUrl || null,
    hives: hives.map(({ id, number, site, stand }) => ({ id, number, site, siteName: nameOf.get(site) ?? '', stand })),
  };
}
