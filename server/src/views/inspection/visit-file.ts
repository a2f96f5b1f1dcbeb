import { inEnglish, say } from '../../words';
import { type Output, type VisitFile, endpoints } from '@brave-comb/contract';
import { type Sayable, sameText, type Text, inOne } from '@brave-comb/core/language';
import { boxOf, nestBoxes } from '@brave-comb/core/equipment';
import { type VisitEntry, type VisitRecord, openMinutes, recordOf, sideKey } from '@brave-comb/core/inspection';
import { type TraineeTerms, kitForHive, worstOfLate } from '@brave-comb/core/planning';
import { missingGates } from '@brave-comb/core/skills';
import { quantile } from '@brave-comb/core/statistics';
import { type Ensemble, broodMinutes, weatherAt } from '@brave-comb/core/weather';
import { DAY } from '@brave-comb/core/units';
import { v7 as uuid } from 'uuid';
import type { Actor, Context } from '../../context';
import { dateAt, iso } from '../../dates';
import { expectedAt } from '../../facts/care';
import { emergencyCard, readColony, sidesNow, withQueensSeen } from '../../facts/inspection';
import { rotaOf, standingAt } from '../../facts/planning';
import { siteSeason } from '../../facts/season';
import { NO_JOBS, jobsDone, schoolStandings } from '../../facts/skills';
import { notFound } from '../../problem';
import { openFollowUps } from '../../records/care';
import { colonyIn, hivesById, hivesOf, siteById } from '../../records/equipment';
import {
  answersAt,
  combsFound,
  combsListed,
  entriesOf,
  framesAsCombs,
  groupFor,
  latestVisits,
  type NamedVisit,
  openVisit,
  openingQuestions,
  reserveOf,
  shownVisit,
  visitBefore,
} from '../../records/inspection';
import { housePracticeOf, traineesOf } from '../../records/people';
import { groupsOfSessions, sessionById, traineeLimits } from '../../records/planning';
import { forecastInUse } from '../../records/weather';
import { listedSkills } from './listed-skills';
import { type Facts, visitFacts } from './visit-facts';

const LATEST_ANSWERS = 5;

/** What of a file is not in words yet. */
type NotInWords =
  | keyof Facts
  | 'expected'
  | 'tasks'
  | 'limits'
  | 'kit'
  | 'standing'
  | 'trainees'
  | 'skills'
  | 'emergency';
type FileTold = Omit<VisitFile, NotInWords> & Sayable<Pick<VisitFile, NotInWords>>;

/** Visits that are listed at once. */
const PAGE = 40;

/** The visits up to a moment, newest first: of now, or of the oldest that is listed already. */
export async function recentVisits(
  { db, clock }: Context,
  actor: Actor,
  before?: string,
): Promise<Output<typeof endpoints.recentVisits>> {
  const by = before === undefined ? new Date(clock.now().getTime() + DAY) : new Date(before);
  const visits = await latestVisits(db, actor, by, PAGE + 1);
  return { visits: visits.slice(0, PAGE).map(shownVisit), more: visits.length > PAGE };
}

/** A visit with all that the device at the hive needs, also without signal. */
export async function visitFile(context: Context, actor: Actor, id: string): Promise<Sayable<VisitFile>> {
  const visit = await openVisit(context.db, actor, id);
  const file = await fileOf(context, visit, await entriesOf(context.db, visit.id));
  return actor.role === 'trainee' ? forTrainee(file, actor) : file;
}

/** Entries that came after so many: what other devices entered meanwhile. */
export async function visitEntries(
  context: Context,
  actor: Actor,
  id: string,
  after: number,
): Promise<Output<typeof endpoints.visitEntries>> {
  const visit = await openVisit(context.db, actor, id);
  const entries = await entriesOf(context.db, visit.id);
  const record = recordOf(entries);
  const fresh = entries.slice(after).filter((entry) => mayHear(entry, actor, record));
  return { entries: fresh, heard: entries.length };
}

/** Judgements of trainees are for supervisors; what somebody read or guessed before the side was read is hidden until it is. */
function mayHear({ body, by }: Pick<VisitEntry, 'body' | 'by'>, actor: Actor, record: VisitRecord): boolean {
  if (actor.role !== 'trainee' || by === actor.id) return true;
  if (body.kind === 'skill-judged') return false;
  if (body.kind !== 'side-read-by-trainee' && body.kind !== 'side-guessed') return true;
  return body.person === actor.id || record.sides[sideKey(body.address)] !== undefined;
}

/** What a trainee who records may see: nobody's health but their own, and no reading that was kept hidden for somebody else. */
function forTrainee(file: FileTold, actor: Actor): FileTold {
  const record = recordOf(file.entries);
  return {
    ...file,
    entries: file.entries.filter((entry) => mayHear(entry as VisitEntry, actor, record)),
    trainees: file.trainees.map((each) => (each.id === actor.id ? each : { ...each, note: null })),
    emergency: { ...file.emergency, people: file.emergency.people.filter(({ id }) => id === actor.id) },
  };
}

/** The file of a visit that is not started yet, so that a device can start it later without signal. */
export async function preparedVisit(
  context: Context,
  actor: Actor,
  sessionId: string,
  hiveId: string,
): Promise<Sayable<VisitFile>> {
  const { db, clock } = context;
  const session = await sessionById(db, actor, sessionId);
  const [hive] = await hivesById(db, actor.school, [hiveId]);
  const site = hive && (await siteById(db, actor.school, hive.site));
  const colony = hive && (await colonyIn(db, actor.school, hive.id));
  if (!session || !hive || !site || !colony || hive.site !== session.site) throw notFound('hive-in-this-session');
  const group = groupFor(await groupsOfSessions(db, [session.id]), hive, actor);
  const combs = await combsFound(db, hive);
  const visit: NamedVisit = {
    id: uuid(),
    school: actor.school,
    session: session.id,
    trainee_group: group.trainee_group,
    group_name: group.group_name,
    hive: hive.id,
    hive_number: hive.number,
    stand: hive.stand,
    site: site.id,
    site_name: site.name,
    zone: site.zone,
    colony: colony.id,
    supervisor: group.supervisor,
    supervisor_name: group.supervisor_name,
    box: nestBoxes(hive.stack)[0]!.id,
    stack: framesAsCombs(hive.stack, combs),
    questions: await openingQuestions(db, actor.school, hive.id),
    combs,
    rota: null,
    started_at: clock.now(),
    closed_at: null,
    mood: null,
  };
  return fileOf(context, visit, []);
}

async function fileOf(context: Context, visit: NamedVisit, entries: readonly VisitEntry[]): Promise<FileTold> {
  const { db } = context;
  const [site, [hive], practice, colony, trainees, before, followUps, limits] = await Promise.all([
    siteById(db, visit.school, visit.site),
    hivesById(db, visit.school, [visit.hive]),
    housePracticeOf(db, visit.school),
    colonyIn(db, visit.school, visit.hive),
    traineesOf(db, visit.school, [visit.trainee_group]),
    visitBefore(db, visit.school, visit.hive, visit.started_at),
    openFollowUps(db, visit.school, [visit.hive]),
    traineeLimits(db, visit.school),
  ]);
  if (!site || !hive) throw notFound('hive');
  const [known] = await withQueensSeen(db, colony ? [colony] : [], visit.started_at);
  const ids = trainees.map((trainee) => trainee.id);
  const skills = await schoolStandings(context, visit.school, ids);
  const { ensemble } = await forecastInUse(context, site);
  const planned = (await groupsOfSessions(db, [visit.session])).find((each) => each.hive === visit.hive);
  // A file fetched in the morning is for the hour in which the hive will be opened.
  const at = Math.max(context.clock.now().getTime(), planned?.starts_at.getTime() ?? 0);
  const weather = weatherAtHour(ensemble, at);
  const read = before ? await readColony(db, before) : null;
  const found = visit.combs ?? (await combsFound(db, hive));
  const season = await siteSeason(context, site, dateAt(site.zone, visit.started_at));
  const facts = await visitFacts(context, season, hive, visit, read, practice, ensemble, at);
  const temper = worstOfLate(facts.colony.tempers);
  const open = openMinutes(practice.openMinutes, {
    temperature: weather?.temperature ?? null,
    robbingSeason: facts.robbingSeason,
    pressed: false,
    late: facts.late,
  });
  const [played, answers, reserve, others] = await Promise.all([
    jobsDone(db, visit.school, [visit.trainee_group], visit.started_at),
    answersAt(db, visit.school, visit.hive, LATEST_ANSWERS),
    reserveOf(db, visit.school),
    hivesOf(db, visit.school, visit.site),
  ]);
  return {
    ...facts,
    asked: facts.asked.filter((text) => !followUps.some(({ task, question }) => task && sameText(question, text))),
    tasks: followUps
      .filter(({ task }) => task)
      .map(({ id, question, due, bring }) => ({ id, what: question, due, bring: bring ?? null })),
    kit: [
      ...kitForHive(
        followUps.map(({ question, bring, about }) => ({
          hive: visit.hive_number,
          question: inEnglish(question),
          bring: inEnglish(bring ?? null),
          about,
        })),
        before ? (visit.started_at.getTime() - before.started_at.getTime()) / DAY : null,
      ),
    ],
    standing: standingAt(
      hive,
      others,
      site.plan,
      rotaOf({ skills, limits, played, tempers: new Map([[hive.id, temper]]) }, trainees, hive, []),
    ),
    visit: shownVisit(visit),
    combs: combsListed(found),
    reserve,
    neighbours: others.filter(({ id }) => id !== visit.hive).map(({ id, number, stack }) => ({ id, number, stack })),
    answers: answers.map(({ text, answer }) => ({ question: text, answer })),
    hiveType: hive.type,
    stack: visit.stack,
    box: boxOf(visit.stack, visit.box),
    expected: read ? await expectedAt(context, visit, read, season) : null,
    queen: known?.queen_year ? { year: known.queen_year, marked: Boolean(known.queen_marked) } : null,
    last:
      before && read
        ? {
            visit: before.id,
            at: iso(before.started_at),
            sides: sidesNow(Object.values(read.record.sides), before.combs, found),
            look: read.record.outside.before ?? null,
          }
        : null,
    entries,
    heard: entries.length,
    temper,
    trainees: trainees.map(({ id: trainee, name }) => ({
      id: trainee,
      name,
      seated: limits.get(trainee)?.seated ?? false,
      note: accommodation(limits.get(trainee)),
      had: (played.get(trainee) ?? NO_JOBS).had,
      barred: missingGates(skills.checklist, skills.standing, trainee).map((skill) => skill.name),
    })),
    skills: listedSkills(skills, ids),
    weather,
    limits: {
      openMinutes: open.minutes,
      because: open.because,
      broodMinutes: weather ? broodMinutes(weather.temperature) : 3,
    },
    emergency: emergencyCard(site, trainees),
  };
}

/** What a trainee needs at the hive, in words. */
function accommodation(terms: TraineeTerms | undefined): Text | null {
  if (!terms) return null;
  const words = [
    ...(terms.seated ? [say('works-sitting')] : []),
    ...(terms.liftKg !== null ? [say('lifts-up-to', { kg: terms.liftKg })] : []),
  ];
  return words.length > 0 ? inOne(words, ', ') : null;
}

function weatherAtHour(ensemble: Ensemble | null, now: number): VisitFile['weather'] {
  if (!ensemble) return null;
  const start = Date.parse(ensemble.start);
  const here = ensemble.members.flatMap((member) => weatherAt(member, start, now) ?? []);
  if (here.length === 0) return null;
  const firstHour = Math.max(0, Math.floor((now - start) / 3_600_000));
  const wet = Array.from({ length: 12 }, (_, hour) => firstHour + hour).find(
    (hour) => ensemble.members.filter((member) => (member[hour]?.rain ?? 0) > 0.1).length * 2 > ensemble.members.length,
  );
  return {
    temperature: quantile(
      here.map((each) => each.temperature),
      0.5,
    ),
    gust: quantile(
      here.map((each) => each.gust),
      0.5,
    ),
    rainFrom: wet === undefined ? null : iso(start + wet * 3_600_000),
  };
}
