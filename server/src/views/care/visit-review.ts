import { say } from '../../words';
import type { Review } from '@brave-comb/contract';
import { type Sayable, type Text, named, inOne } from '@brave-comb/core/language';
import { adultsDue } from '@brave-comb/core/biology';
import { type ExpectedState, enoughSeen, feedAnswer, readFinding, recordOf, type Finding } from '@brave-comb/core/care';
import { HONEY_KG_PER_DM2, NECTAR_KG_PER_DM2, combArea, frameOf } from '@brave-comb/core/equipment';
import {
  type VisitRecord,
  changesInWords,
  compareColonies,
  frameChange,
  framesOf,
  spotText,
  sumsOf,
  temperOf,
  temperTrend,
  toldVisit,
  type Letter,
} from '@brave-comb/core/inspection';
import { skillOf } from '@brave-comb/core/skills';
import { addDays, daysBetween, laterOf, roundTo } from '@brave-comb/core/units';
import { dayOutlook } from '@brave-comb/core/weather';
import type { Actor, Context } from '../../context';
import { dateAt, hourAt, iso } from '../../dates';
import { expectedAt, judge } from '../../facts/care';
import { type ColonyRead, combsMoved, sidesNow, tempersOf } from '../../facts/inspection';
import { type SiteSeason, siteSeason } from '../../facts/season';
import { decisionsOf, followUpsOfVisit, shownDecision, shownFollowUp } from '../../records/care';
import { siteById } from '../../records/equipment';
import { type NamedVisit, openVisit, visitById, visitsOfSession } from '../../records/inspection';
import type { HousePractice } from '@brave-comb/core/house';
import { housePracticeOf, peopleOf, traineeGroups } from '../../records/people';
import { checklistOf } from '../../records/skills';
import { outcomesOf, recordsOf } from './outcomes';

/** A visit beside the one before it, with advice, decisions and follow-ups. Trainees see their own judgements only. */
export async function visitReview(context: Context, actor: Actor, id: string): Promise<Sayable<Review>> {
  const { db } = context;
  const { visit, now, last, facts, advice } = await judge(context, await openVisit(db, actor, id));
  const date = dateAt(visit.zone, visit.started_at);
  const mayDecide = actor.role !== 'trainee';
  const [checklist, decisions, followUps, siblings, outcomes, groups, practice] = await Promise.all([
    checklistOf(db, actor.school, date),
    decisionsOf(db, actor.school, visit.id),
    followUpsOfVisit(db, actor.school, visit.id),
    visitsOfSession(db, actor.school, visit.session),
    outcomesOf(context, actor),
    mayDecide ? traineeGroups(db, actor.school) : [],
    housePracticeOf(db, actor.school),
  ]);
  const records = recordsOf(outcomes.values());
  const judgements = now.record.judgements.filter((each) => actor.role !== 'trainee' || each.trainee === actor.id);
  const names = new Map((await peopleOf(db, actor.school, peopleIn(now.record))).map((each) => [each.id, each.name]));
  const nameOf = (id: string) => names.get(id) ?? 'somebody';
  const lastSides = last ? Object.values(last.record.sides) : [];
  const lastFrames =
    last &&
    framesOf(visit.combs ? sidesNow(lastSides, last.visit.combs, visit.combs) : lastSides, now.box.id, now.box.frames);
  const site = await siteById(db, visit.school, visit.site);
  const season = site && (await siteSeason(context, site, date));
  const expected = last && (await expectedAt(context, visit, last, season));
  const queen = facts.queen;
  const seenThen = enoughSeen({ now, questions: visit.questions, season: season ?? null, today: date });
  const nextRow = siblings[siblings.findIndex((each) => each.id === visit.id) + 1];
  const next = nextRow ? await visitById(db, actor, nextRow.id) : undefined;
  return {
    visit: visit.id,
    hive: visit.hive_number,
    hiveId: visit.hive,
    zone: visit.zone,
    group: visit.group_name,
    supervisor: visit.supervisor_name,
    openedAt: iso(visit.started_at),
    closedAt: visit.closed_at ? iso(visit.closed_at) : null,
    stopReason: now.record.closed
      ? inOne(
          [named('stopReason', now.record.closed.reason), now.record.closed.note].filter((part) => part !== ''),
          ': ',
        )
      : null,
    missing: seenThen.evidence.filter(({ state }) => state === 'missing').map(({ id: evidence }) => evidence),
    frameKind: named('frameKind', frameOf(now.box)),
    last: last
      ? {
          visit: last.visit.id,
          at: iso(last.visit.started_at),
          frames: lastFrames ?? [],
          moved: movedSaid(now.box.id, last.visit.combs, visit.combs),
        }
      : null,
    frames: now.frames,
    changes: now.frames.map((frame, index) => frameChange(lastFrames?.[index] ?? { low: null, high: null }, frame)),
    inWords: changesInWords(lastFrames, now.frames, { last: last?.nest ?? null, now: now.nest }),
    measures: compareColonies(last?.nest ?? null, now.nest),
    storesWhereFrom: storesWhereFrom(now),
    finding: last && expected ? findingOf(visit, now, last, expected) : null,
    advice: advice.map((each) => {
      const decision = decisions.find((row) => row.advice === each.kind);
      return {
        advice: each,
        decision: decision ? shownDecision(decision) : null,
        record: records.get(each.kind) ?? null,
      };
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
    told: toldVisit(shownTo(actor, now.record), nameOf, now.stack).map(({ title, lines }) => ({
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
        by: nameOf(by),
        of,
        seconds: null,
        spot,
        where: spot ? spotText(spot) : say('whole-hive'),
      })),
      ...now.record.recordings.map(({ recording, at, by, seconds, spot }) => ({
        id: recording,
        kind: 'voice' as const,
        at,
        by: nameOf(by),
        of: say('voice-note'),
        seconds,
        spot,
        where: spot ? spotText(spot) : say('whole-hive'),
      })),
    ],
    mayDecide,
    groups: groups.map(({ id: group, name }) => ({ id: group, name })),
    ahead: season ? aheadOf(season, practice, laterOf(date, dateAt(visit.zone, context.clock.now()))) : [],
    next: next ? { visit: next.id, hive: next.hive_number, group: next.group_name } : null,
  };
}

/** Combs that stand elsewhere than at the last visit, as far as both visits told them apart. */
const movedSaid = (box: string, then: NamedVisit['combs'], now: NamedVisit['combs']) =>
  then && now
    ? combsMoved(box, then, now).map(({ frame, was }) => ({
        frame,
        was: was ? say('comb-stood', { ...was, elsewhere: was.box !== box }) : say('comb-came'),
      }))
    : [];

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

function findingOf(visit: NamedVisit, now: ColonyRead, before: ColonyRead, expected: ExpectedState): Finding | null {
  const last = recordOf(before, dateAt(visit.zone, before.visit.started_at));
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

/** Days told of beside an advice. */
const DAYS_AHEAD = 10;

/** Today and the days after it, as far as the weather is foreseen. */
function aheadOf(
  { site, forecast: { ensemble } }: SiteSeason,
  { limits }: Pick<HousePractice, 'limits'>,
  today: string,
): Review['ahead'] {
  return Array.from({ length: DAYS_AHEAD }, (_, day) => addDays(today, day)).flatMap((date) => {
    const day = ensemble && dayOutlook(ensemble, site, limits, hourAt(site.zone, date, 0), hourAt(site.zone, date, 24));
    return day ? [{ date, lid: day.hours.lid[1], full: day.hours.full[1] }] : [];
  });
}

function storesWhereFrom(now: ColonyRead): Sayable<Review>['storesWhereFrom'] {
  const area = combArea(frameOf(now.box)) * 2;
  const line = (letter: Letter, frames: number, perDm2: number): readonly [Text, Text] => [
    say('frames-times', { frames: roundTo(frames, 1), letter, kg: roundTo(area * perDm2, 1) }),
    say('so-many-kg', { kg: roundTo(frames * area * perDm2, 1) }),
  ];
  return {
    steps: [
      line('H', now.nest.honeyFrames, HONEY_KG_PER_DM2),
      line('N', now.nest.nectarFrames, NECTAR_KG_PER_DM2),
      [say('sides-read', { count: now.nest.sidesRead }), say('half-an-eighth')],
    ],
    source: say('area-source', { frame: frameOf(now.box), dm2: roundTo(area, 1) }),
  };
}
