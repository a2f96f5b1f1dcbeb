import type { Decision, Input, Output, Review, endpoints } from '@brave-comb/contract';
import { type ExpectedState, feedAnswer, readFinding } from '@brave-comb/core/care';
import { adultsDue } from '@brave-comb/core/biology';
import { FRAMES, HONEY_KG_PER_DM2, NECTAR_KG_PER_DM2, combArea, frameOf } from '@brave-comb/core/equipment';
import {
  type VisitRecord,
  changesInWords,
  compareColonies,
  frameChange,
  framesOf,
  spotText,
  sumsOf,
  temperTrend,
  toldVisit,
} from '@brave-comb/core/inspection';
import { skillOf } from '@brave-comb/core/skills';
import { daysBetween, roundTo } from '@brave-comb/core/units';
import { v7 as uuid } from 'uuid';
import type { Actor, Context } from '../context';
import { dateAt, iso } from '../dates';
import { siteById } from '../equipment/store';
import type { ColonyRead } from '../inspection/colony-read';
import { lateInYear, temperOf, tempersOf } from '../inspection/visit-facts';
import { type NamedVisit, visitById, visitsOfSession } from '../inspection/store';
import { peopleOf } from '../people/store';
import { checklistOf } from '../skills/checklist-store';
import { Refusal, notFound } from '../problem';
import { siteSeason } from '../season/site-season';
import { expectedAt, recordFrom } from './colony-state';
import {
  type DecisionRow,
  type NumberedFollowUp,
  decisionById,
  decisionsOf,
  followUpsOfVisit,
  insertDecision,
  insertFollowUp,
  withdraw,
} from './store';
import { evidenceOf, judge } from './judge';

async function seen(context: Context, actor: Actor, id: string): Promise<NamedVisit> {
  const visit = await visitById(context.db, actor, id);
  if (!visit) throw notFound('visit');
  return visit;
}

const shownDecision = (row: DecisionRow & { readonly by_name: string }): Decision => ({
  id: row.id,
  advice: row.advice,
  verdict: row.verdict,
  action: row.action,
  reason: row.reason,
  by: row.by_name,
  at: iso(row.at),
});

const shownFollowUp = (row: NumberedFollowUp) => ({
  id: row.id,
  hive: row.hive_number,
  question: row.question,
  from: row.from_date,
  due: row.due,
  done: row.answered_by !== null || Boolean(row.settled_at),
});

/** A visit beside the one before it, with advice, decisions and follow-ups. Trainees see their own judgements only. */
export async function visitReview(context: Context, actor: Actor, id: string): Promise<Review> {
  const { db } = context;
  const { visit, now, last, facts, advice } = await judge(context, await seen(context, actor, id));
  const date = dateAt(visit.zone, visit.started_at);
  const [checklist, decisions, followUps, siblings] = await Promise.all([
    checklistOf(db, actor.school, date),
    decisionsOf(db, actor.school, visit.id),
    followUpsOfVisit(db, actor.school, visit.id),
    visitsOfSession(db, actor.school, visit.session),
  ]);
  const judgements = now.record.judgements.filter((each) => actor.role !== 'trainee' || each.trainee === actor.id);
  const names = new Map((await peopleOf(db, actor.school, peopleIn(now.record))).map((each) => [each.id, each.name]));
  const named = (id: string) => names.get(id) ?? 'somebody';
  const lastFrames = last && framesOf(Object.values(last.record.sides), now.box.id, now.box.frames);
  const site = await siteById(db, visit.school, visit.site);
  const season = site && (await siteSeason(context, site, date));
  const expected = last && (await expectedAt(context, visit, last, season));
  const queen = facts.queen;
  const seenThen = evidenceOf(visit, now, season !== undefined && lateInYear(season, date));
  const nextRow = siblings[siblings.findIndex((each) => each.id === visit.id) + 1];
  const next = nextRow ? await visitById(db, actor, nextRow.id) : undefined;
  return {
    visit: visit.id,
    hive: visit.hive_number,
    zone: visit.zone,
    group: visit.group_name,
    supervisor: visit.supervisor_name,
    openedAt: iso(visit.started_at),
    closedAt: visit.closed_at ? iso(visit.closed_at) : null,
    stopReason: now.record.closed
      ? [now.record.closed.reason, now.record.closed.note].filter(Boolean).join(': ')
      : null,
    missing: seenThen.evidence.filter(({ state }) => state === 'missing').map(({ id: evidence }) => evidence),
    frameKind: FRAMES[frameOf(now.box)].name,
    last: last ? { visit: last.visit.id, at: iso(last.visit.started_at), frames: lastFrames ?? [] } : null,
    frames: now.frames,
    changes: now.frames.map((frame, index) => frameChange(lastFrames?.[index] ?? { low: null, high: null }, frame)),
    inWords: changesInWords(lastFrames, now.frames, { last: last?.nest ?? null, now: now.nest }),
    measures: compareColonies(last?.nest ?? null, now.nest),
    storesWhereFrom: storesWhereFrom(now),
    finding: last && expected ? findingOf(visit, now, last, expected) : null,
    advice: advice.map((each) => {
      const decision = decisions.find((row) => row.advice === each.kind);
      return { advice: each, decision: decision ? shownDecision(decision) : null };
    }),
    feed: feedAnswer(facts),
    followUps: followUps.map(shownFollowUp),
    judgements: judgements.map((each) => ({
      trainee: names.get(each.trainee) ?? '',
      skill: skillOf(checklist, each.skill)?.name ?? each.skill,
      level: each.level,
      by: names.get(each.by) ?? '',
      at: each.at,
      prompt: each.prompt ?? '',
      note: each.note ?? '',
    })),
    told: toldVisit(shownTo(actor, now.record), named, now.stack).map(({ title, lines }) => ({
      title,
      lines: [...lines],
    })),
    sums: [
      ...sumsOf({
        stack: now.stack,
        record: now.record,
        nest: now.nest,
        last: last && {
          days: daysBetween(dateAt(visit.zone, last.visit.started_at), date),
          sides: Object.values(last.record.sides),
          look: last.record.outside.before ?? null,
        },
        expectedBees: expected?.bees ?? null,
      }),
    ],
    queen: { verdict: queen.verdict, says: queen.says, laid: queen.laid },
    youngBees: adultsDue(now.nest.workerCells).map((bees) => Math.round(bees)),
    temper: temperTrend([
      ...(await tempersOf(context, { id: visit.hive, school: visit.school }, visit.started_at)),
      ...[temperOf(now.record)].filter((each) => each !== null),
    ]).says,
    box: now.box.id,
    attachments: [
      ...now.record.photos.map(({ photo, at, by, of, spot }) => ({
        id: photo,
        kind: 'photo' as const,
        at,
        by: named(by),
        of,
        seconds: null,
        spot,
        where: spot ? spotText(spot) : 'the whole hive',
      })),
      ...now.record.recordings.map(({ recording, at, by, seconds, spot }) => ({
        id: recording,
        kind: 'voice' as const,
        at,
        by: named(by),
        of: 'voice note',
        seconds,
        spot,
        where: spot ? spotText(spot) : 'the whole hive',
      })),
    ],
    mayDecide: actor.role !== 'trainee',
    next: next ? { visit: next.id, hive: next.hive_number, group: next.group_name } : null,
  };
}

/** Everybody who is named in a visit. */
function peopleIn(record: VisitRecord): readonly string[] {
  const by = [...record.notes, ...record.photos, ...record.recordings, ...record.questions, ...record.overrides];
  const of = [
    ...record.roles,
    ...record.checks,
    ...record.stings,
    ...record.incidents,
    ...record.guesses,
    ...record.traineeReadings,
    ...record.questions,
  ];
  return [
    ...new Set([
      ...record.judgements.flatMap((each) => [each.trainee, each.by]),
      ...by.map((each) => each.by),
      ...of.flatMap(({ person }) => person ?? []),
    ]),
  ];
}

/** Nobody's health, guesses or readings but a trainee's own are for a trainee. */
function shownTo(actor: Actor, record: VisitRecord): VisitRecord {
  if (actor.role !== 'trainee') return record;
  const own = <T extends { readonly person: string | null }>(list: readonly T[]) =>
    list.filter(({ person }) => person === null || person === actor.id);
  return {
    ...record,
    checks: own(record.checks),
    stings: own(record.stings),
    stingsAskedAfter: own(record.stingsAskedAfter),
    incidents: own(record.incidents),
    guesses: own(record.guesses),
    traineeReadings: own(record.traineeReadings),
    notes: [],
    overrides: [],
  };
}

function findingOf(visit: NamedVisit, now: ColonyRead, before: ColonyRead, expected: ExpectedState): Review['finding'] {
  const last = recordFrom(before, dateAt(visit.zone, before.visit.started_at));
  if (!last || now.nest.sidesRead === 0) return null;
  const { nest } = now;
  return readFinding(expected, last, {
    bees: nest.framesOfBees?.value ?? null,
    brood: nest.brood.value,
    sealed: nest.sealedWorker.value,
    drone: nest.sealedDrone.value,
    storesKg: nest.storesKg.value,
    foodFrames: nest.honeyFrames + nest.nectarFrames,
    emptyFrames: nest.emptyComb.value,
  });
}

function storesWhereFrom(now: ColonyRead): Review['storesWhereFrom'] {
  const area = combArea(frameOf(now.box)) * 2;
  const line = (what: string, frames: number, perDm2: number): readonly [string, string] => [
    `${roundTo(frames, 1)} frames ${what} × ${roundTo(area * perDm2, 1)} kg`,
    `${roundTo(frames * area * perDm2, 1)} kg`,
  ];
  return {
    steps: [
      line('honey', now.nest.honeyFrames, HONEY_KG_PER_DM2),
      line('nectar', now.nest.nectarFrames, NECTAR_KG_PER_DM2),
      [`${now.nest.sidesRead} sides read`, `half an eighth a side`],
    ],
    source: `${FRAMES[frameOf(now.box)].name}: ${roundTo(area, 1)} dm² both sides. Honey 0.17 kg a dm² side, nectar six tenths of it: common practice.`,
  };
}

/**
 * Records what was decided on an advice, and the follow-up that it makes. Sent twice, it is recorded once; a new decision on the same
 * advice takes the place of the old one.
 */
export async function decide(
  context: Context,
  actor: Actor,
  id: string,
  body: Input<typeof endpoints.decide>['body'],
): Promise<Output<typeof endpoints.decide>> {
  const { db, clock } = context;
  const visit = await seen(context, actor, id);
  const repeated = await decisionById(db, actor.school, body.id);
  if (repeated && repeated.visit !== visit.id) {
    throw new Refusal(409, 'id in use', 'A decision with this id belongs to another visit. Decide again.');
  }
  if (!repeated) {
    const { advice } = await judge(context, visit);
    const advised = advice.find((each) => each.kind === body.advice);
    if (!advised) {
      throw new Refusal(
        409,
        'not advised',
        `"${body.advice}" is not advised for this visit any more. Load the review again.`,
      );
    }
    const today = dateAt(visit.zone, visit.started_at);
    if (body.due && body.due < today)
      throw new Refusal(
        422,
        'in the past',
        `The follow-up is dated ${body.due}, before the visit. Choose a later day.`,
      );
    await db.transaction(async (trx) => {
      for (const old of await decisionsOf(trx, actor.school, visit.id)) {
        if (old.advice === body.advice) await withdraw(trx, actor.school, old.id, clock.now());
      }
      await insertDecision(trx, {
        id: body.id,
        school: actor.school,
        visit: visit.id,
        advice: body.advice,
        verdict: body.verdict,
        action: body.action || (body.verdict === 'accepted' ? advised.title : ''),
        reason: body.reason,
        by_person: actor.id,
        at: clock.now(),
        withdrawn_at: null,
      });
      if (body.verdict === 'declined' && !body.due) return;
      const due = body.due ?? advised.followUp.due;
      await insertFollowUp(trx, {
        id: uuid(),
        school: actor.school,
        hive: visit.hive,
        visit: visit.id,
        decision: body.id,
        question: body.question ?? advised.followUp.question,
        from_date: advised.followUp.from < due ? advised.followUp.from : due,
        due,
        answered_by: null,
      });
    });
  }
  const decision = await decisionById(db, actor.school, body.id);
  const followUp = (await followUpsOfVisit(db, actor.school, visit.id)).find((each) => each.decision === body.id);
  return { decision: shownDecision(decision!), followUp: followUp ? shownFollowUp(followUp) : null };
}

export async function withdrawDecision(context: Context, actor: Actor, id: string): Promise<{ withdrawn: true }> {
  const decision = await decisionById(context.db, actor.school, id);
  if (!decision) throw notFound('decision');
  await seen(context, actor, decision.visit);
  await context.db.transaction((trx) => withdraw(trx, actor.school, id, context.clock.now()));
  return { withdrawn: true };
}
