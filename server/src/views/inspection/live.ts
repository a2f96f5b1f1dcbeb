import type { Text, Sayable } from '@brave-comb/core/language';
import { say } from '../../words';
import type { LiveSession, LiveVisit } from '@brave-comb/contract';
import { type Stack, isBox, nestBoxes, stackAfter } from '@brave-comb/core/equipment';
import {
  type VisitRecord,
  changesOf,
  readClock,
  recordOf,
  sideText,
  type StingWatch,
  stingWatches,
  suspected,
  temperAdvice,
} from '@brave-comb/core/inspection';
import type { Actor, Context } from '../../context';
import { iso } from '../../dates';
import { notFound } from '../../problem';
import { hivesById } from '../../records/equipment';
import { entriesOf, lastSeqOfSession, namedVisitsOfSession } from '../../records/inspection';
import { housePracticeOf } from '../../records/people';
import { groupsOfSessions, sessionById } from '../../records/planning';

/** How often the stream looks for something new, ms; and after how many looks it sends anyway, as a sign of life. */
const LOOK_EVERY = 1000;
const ANYWAY = 20;

function warningsOf(record: VisitRecord, stack: Stack, allowed: number, now: number): readonly Text[] {
  const opened = record.openedAt === null ? null : Date.parse(record.openedAt);
  const closed = record.closed ? Date.parse(record.closed.at) : null;
  const clock = readClock(opened, closed, now, allowed);
  const { advice } = temperAdvice(record.signs, record.mood, now);
  const reaction = record.incidents.filter(({ what }) => what === 'sting-reaction').length;
  const sick = suspected(record, null);
  const doubtful = Object.values(record.sides).filter(({ side }) => side.doubtful);
  const open = record.closed === null;
  const watched = stingWatches(record.stings, record.stingsAskedAfter, now);
  const asked = (state: StingWatch['state']) => watched.filter((each) => each.state === state).length;
  return [
    reaction > 0 || asked('emergency') > 0 ? say('sting-reaction-reported') : null,
    asked('medical-care') > 0 ? say('to-a-doctor', { count: asked('medical-care') }) : null,
    asked('ask-now') > 0 ? say('ask-stung-now', { count: asked('ask-now') }) : null,
    asked('watch') > 0 ? say('stung-watched', { count: asked('watch') }) : null,
    sick ? say('disease-suspected', { sick }) : null,
    open && advice === 'close' ? say('bees-ask-closed') : null,
    open && clock.state === 'shut-now' ? say('open-too-long', { minutes: Math.floor(clock.minutes), allowed }) : null,
    open && advice === 'pause' ? say('bees-agitated') : null,
    record.conflicts.length > 0
      ? say('two-readings-of', { sides: record.conflicts.map(({ address }) => sideText(address, stack)) })
      : null,
    record.incidents.length > reaction ? say('incidents', { count: record.incidents.length - reaction }) : null,
    doubtful.length > 0
      ? say('doubtful-frames', { frames: [...new Set(doubtful.map(({ address }) => address.frame))] })
      : null,
    !open && record.partsOff.length > 0 ? say('parts-off', { parts: record.partsOff }) : null,
    open && record.questions.length > 0 ? say('questions-for-you', { count: record.questions.length }) : null,
  ].filter((each) => each !== null);
}

export async function liveSession(context: Context, actor: Actor, id: string): Promise<Sayable<LiveSession>> {
  const { db, clock } = context;
  const session = await sessionById(db, actor, id);
  if (!session) throw notFound('session');
  const [visits, groups, practice] = await Promise.all([
    namedVisitsOfSession(db, actor, id),
    groupsOfSessions(db, [id]),
    housePracticeOf(db, actor.school),
  ]);
  const now = clock.now();
  const live: (Omit<LiveVisit, 'warnings'> & { readonly warnings: readonly Text[] })[] = [];
  for (const visit of visits) {
    const entries = await entriesOf(db, visit.id);
    const record = recordOf(entries);
    const stack = stackAfter(visit.stack, changesOf(record));
    const nest = nestBoxes(stack).filter(isBox);
    live.push({
      visit: visit.id,
      hiveNumber: visit.hive_number,
      group: visit.group_name,
      supervisor: visit.supervisor_name,
      step: record.step,
      openedAt: record.openedAt,
      closedAt: record.closed?.at ?? null,
      allowedMinutes: practice.openMinutes,
      sidesRead: Object.keys(record.sides).length,
      sides: nest.reduce((sum, box) => sum + 2 * box.frames, 0),
      mood: record.mood,
      stings: record.stings.length,
      lastEntryAt: entries.at(-1)?.at ?? null,
      warnings: [...warningsOf(record, stack, practice.openMinutes, now.getTime())],
    });
  }
  const opened = new Set(visits.map(({ hive }) => hive));
  const still = groups.filter(({ hive }) => !opened.has(hive));
  const numbers = new Map(
    (
      await hivesById(
        db,
        actor.school,
        still.map(({ hive }) => hive),
      )
    ).map((hive) => [hive.id, hive.number]),
  );
  return {
    session: id,
    at: iso(now),
    visits: live,
    waiting: still.map(({ group_name, hive }) => ({ group: group_name, hiveNumber: numbers.get(hive) ?? '' })),
  };
}

/** The session again whenever an entry was added to one of its visits, or a visit opened. */
export async function* watchSession(context: Context, actor: Actor, id: string): AsyncGenerator<Sayable<LiveSession>> {
  let seen = '';
  for (let looked = 0; ; looked += 1) {
    const now = await lastSeqOfSession(context.db, actor.school, id);
    if (now !== seen || looked % ANYWAY === 0) {
      seen = now;
      yield await liveSession(context, actor, id);
    }
    await new Promise((done) => setTimeout(done, LOOK_EVERY));
  }
}
