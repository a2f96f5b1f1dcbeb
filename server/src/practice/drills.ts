import type { Output, endpoints } from '@brave-comb/contract';
import { colonyLines, type PracticeResult, wrongEighths } from '@brave-comb/core/practice';
import { readingAgreement, readingHabits } from '@brave-comb/core/skills';
import { meanOf } from '@brave-comb/core/units';
import { judge } from '../care/judge';
import { decisionsOf } from '../care/store';
import type { Actor, Context } from '../context';
import { dateAt, iso } from '../dates';
import { latestVisits, type NamedVisit, visitById } from '../inspection/store';
import { practiceOf } from '../people/store';
import { notFound } from '../problem';
import { staffOf } from '../planning/plan-store';
import { groupsSeen } from '../skills/access';
import { readingPairsOf } from '../skills/reading-store';
import { setOutPlans } from './set-out';
import { type PhotoDrillRow, photoDrillsOf, type ResultRow, resultsOf } from './store';

type Practice = Output<(typeof endpoints)['practice']>;

/** Answers that a device is given: enough for schedules, levels and twenty combs. */
const RESULTS = 600;
/** Visits that can be practised on. */
const RECORDS = 6;
/** Days of visits that are looked through for them. */
const LOOKED_THROUGH = 20;

/** Own results, and everything that drills are made from, so that a device can go on without signal. */
export async function practice(context: Context, actor: Actor): Promise<Practice> {
  const { db } = context;
  const [{ limits }, own, staff, photos, groups, records, readings] = await Promise.all([
    practiceOf(db, actor.school),
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

export const shownResult = (row: ResultRow): PracticeResult => ({
  id: row.id,
  trainee: row.person,
  topic: row.topic,
  at: iso(row.at),
  level: row.level,
  seconds: row.seconds,
  score: row.score,
  right: Boolean(row.is_right),
  grade: row.grade,
  read: row.read_shares,
  truth: row.true_shares,
  ground: row.ground,
  recorded: row.recorded,
});

export const shownPhotoDrill = ({ id, attachment, question, choices, answer, says }: PhotoDrillRow) => ({
  id,
  attachment,
  question,
  choices,
  answer,
  says,
});

async function recordsFor(context: Context, actor: Actor): Promise<Practice['records']> {
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

/** A closed visit as it can be practised on. */
export async function recordOf(context: Context, visit: NamedVisit): Promise<Practice['records'][number]> {
  const { now, facts, advice } = await judge(context, visit);
  const decisions = await decisionsOf(context.db, visit.school, visit.id);
  const last = decisions.at(-1);
  return {
    visit: visit.id,
    hive: visit.hive_number,
    day: dateAt(visit.zone, visit.started_at),
    sides: Object.values(now.record.sides).map(({ address, side }) => ({ address, side })),
    lines: colonyLines(facts),
    advice: [...advice],
    decision: last ? `${last.by_name}: ${last.verdict}, ${last.action}${last.reason ? ` (${last.reason})` : ''}` : null,
  };
}

/** Any visit that somebody may see, to be read again. */
export async function practiceRecord(context: Context, actor: Actor, id: string): Promise<Practice['records'][number]> {
  const visit = await visitById(context.db, actor, id);
  if (!visit) throw notFound('visit');
  return recordOf(context, visit);
}
