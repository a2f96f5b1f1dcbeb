import type { Sayable } from '@brave-comb/core/language';
import type { Output, endpoints } from '@brave-comb/contract';
import { wrongEighths } from '@brave-comb/core/practice';
import { readingAgreement, readingHabits } from '@brave-comb/core/skills';
import { meanOf } from '@brave-comb/core/statistics';
import type { Actor, Context } from '../../context';
import { type RecordedColony, recordOf } from '../../facts/practice';
import { notFound } from '../../problem';
import { latestVisits, visitById } from '../../records/inspection';
import { housePracticeOf } from '../../records/people';
import { staffOf } from '../../records/planning';
import { photoDrillsOf, resultsOf, shownPhotoDrill, shownResult } from '../../records/practice';
import { groupsSeen, readingPairsOf } from '../../records/skills';
import { setOutPlans } from './set-out';

type Practice = Output<(typeof endpoints)['practice']>;

/** Answers that a device is given: enough for schedules, levels and twenty combs. */
const RESULTS = 600;
/** Visits that can be practised on. */
const RECORDS = 6;
/** Days of visits that are looked through for them. */
const LOOKED_THROUGH = 20;

/** Own results, and everything that drills are made from, so that a device can go on without signal. */
export async function practice(context: Context, actor: Actor): Promise<Sayable<Practice>> {
  const { db } = context;
  const [{ limits }, own, staff, photos, groups, records, readings] = await Promise.all([
    housePracticeOf(db, actor.school),
    resultsOf(db, actor.school, [actor.id], RESULTS),
    staffOf(db, actor.school),
    photoDrillsOf(db, actor.school),
    groupsSeen(context, actor),
    recordsFor(context, actor),
    readingPairsOf(db, actor.school, [actor.id]),
  ]);
  const staffIds = staff.map(({ id }) => id).filter((id) => id !== actor.id);
  const combs = (await resultsOf(db, actor.school, staffIds, 20)).flatMap(({ read_shares, true_shares }) =>
    read_shares && true_shares ? [wrongEighths(read_shares, true_shares)] : [],
  );
  return {
    person: actor.id,
    limits,
    results: own.map(shownResult),
    habits: readingHabits(readingAgreement(readings)),
    staffWrong: combs.length === 0 ? null : meanOf(combs),
    photos: photos.map(shownPhotoDrill),
    records,
    plans: await setOutPlans(context, actor, groups),
    groups: actor.role === 'trainee' ? [] : groups.map(({ id, name }) => ({ id, name })),
  };
}

async function recordsFor(context: Context, actor: Actor): Promise<readonly RecordedColony[]> {
  const visits = (await latestVisits(context.db, actor, context.clock.now(), LOOKED_THROUGH)).filter(
    ({ closed_at }) => closed_at !== null,
  );
  const records = [];
  for (const visit of visits) {
    const record = await recordOf(context, visit);
    if (record.sides.length > 0) records.push(record);
    if (records.length === RECORDS) break;
  }
  return records;
}

/** Any visit that somebody may see, to be read again. */
export async function practiceRecord(context: Context, actor: Actor, id: string): Promise<RecordedColony> {
  const visit = await visitById(context.db, actor, id);
  if (!visit) throw notFound('visit');
  return recordOf(context, visit);
}
