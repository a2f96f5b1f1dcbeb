import {
  NewEntry,
  type EntryVerdict,
  type Input,
  type Output,
  type Visit,
  type VisitFile,
  endpoints,
} from '@brave-comb/contract';
import {
  type Question,
  type VisitEntry,
  type VisitRecord,
  changesOf,
  openMinutes,
  recordOf,
  sideKey,
} from '@brave-comb/core/inspection';
import { type TraineeTerms, kitForHive, worstOfLate } from '@brave-comb/core/planning';
import { type Ensemble, broodMinutes, quantile, weatherAt } from '@brave-comb/core/weather';
import { type Stack, nestBoxes, stackAfter } from '@brave-comb/core/equipment';
import { missingGates } from '@brave-comb/core/skills';
import type { Knex } from 'knex';
import { v7 as uuid } from 'uuid';
import { answerFollowUps, openFollowUps } from '../care/store';
import { expectedAt } from '../care/colony-state';
import type { Actor, Context } from '../context';
import { dateAt, iso } from '../dates';
import { type HiveRow, coloniesById, colonyIn, hivesById, hivesOf, siteById } from '../equipment/store';
import {
  type NamedSessionGroup,
  droppedSession,
  groupsOfSession,
  lockSession,
  reviveSession,
  sessionById,
} from '../planning/store';
import { learnersLedBy, learnersOf, practiceOf, traineesOf } from '../people/store';
import { refusalOf, withoutValues, worthAgain } from '../faults';
import { Refusal, notFound } from '../problem';
import { tornText } from '../torn-text';
import { traineeLimits } from '../planning/plan-store';
import { rotaOf, standingAt } from '../planning/group-sheet';
import { knownSkills } from '../skills/checklist-store';
import { NO_ROLES, rolesPlayed } from '../skills/roles-played';
import { schoolStandings } from '../skills/standings';
import { forecastInUse } from '../weather/service';
import { projectQuestions } from './asked';
import { answersAt } from './asked-store';
import { siteSeason } from '../season/site-season';
import { entryProblem } from './check-entry';
import { boxOf, readColony } from './colony-read';
import { combsOfOthers } from './comb-store';
import { combsFound, combsListed, framesAsCombs, projectCombs, reserveOf } from './combs';
import { emergencyCard } from './emergency';
import { listedSkills, plannedRota, projectJudgements, projectReadings } from './judged';
import { projectStack, projectTasks } from './leaves';
import { withQueensSeen } from './queens-seen';
import { sidesNow, visitFacts } from './visit-facts';
import {
  type NamedVisit,
  type VisitRow,
  anyVisit,
  entriesOf,
  entryOwners,
  insertEntry,
  insertVisit,
  latestVisits,
  lockVisit,
  updateVisit,
  visitBefore,
  visitById,
  visitsOfSession,
} from './store';
import { taskIdsOf } from './task-store';

const LATEST_ANSWERS = 5;

const shownVisit = (visit: NamedVisit): Visit => ({
  id: visit.id,
  hive: visit.hive,
  hiveNumber: visit.hive_number,
  site: visit.site_name,
  siteId: visit.site,
  zone: visit.zone,
  stand: visit.stand,
  session: visit.session,
  group: { id: visit.trainee_group, name: visit.group_name },
  supervisor: { id: visit.supervisor, name: visit.supervisor_name },
  startedAt: iso(visit.started_at),
  closedAt: visit.closed_at ? iso(visit.closed_at) : null,
  questions: visit.questions,
});

async function openVisit(db: Knex, actor: Actor, id: string): Promise<NamedVisit> {
  const visit = await visitById(db, actor, id);
  if (!visit) throw notFound('visit');
  return visit;
}

/**
 * Opens a visit. The device makes the id: sent twice it is opened once. A hive that the session has open already is joined, not opened twice.
 *
 * @throws Refusal when the session or hive is not there, the hive stands elsewhere or empty, or the date lies before the colony
 */
export async function startVisit(
  context: Context,
  actor: Actor,
  body: Input<typeof endpoints.startVisit>['body'],
): Promise<Visit> {
  const { db } = context;
  const session = (await sessionById(db, actor, body.session)) ?? (await droppedSession(db, actor, body.session));
  if (!session) throw notFound('session');
  const [hive] = await hivesById(db, actor.school, [body.hive]);
  const site = await siteById(db, actor.school, session.site);
  if (!hive || !site) throw notFound('hive');
  const known = await anyVisit(db, body.id);
  if (known) {
    if (known.hive !== hive.id || known.session !== session.id) {
      throw new Refusal(
        409,
        'id in use',
        'A visit with this id belongs to another hive. Start the visit again from the day sheet.',
      );
    }
    return shownVisit(await openVisit(db, actor, known.id));
  }
  if (hive.site !== site.id) {
    const elsewhere = await siteById(db, actor.school, hive.site);
    throw new Refusal(
      409,
      'hive stands elsewhere',
      `Hive ${hive.number} stands at ${elsewhere?.name ?? 'another site'}, the session is at ${site.name}. Choose a hive of this site.`,
    );
  }
  const colony = await colonyIn(db, actor.school, hive.id);
  if (!colony) throw new Refusal(409, 'empty hive', `Nobody lives in hive ${hive.number}. Choose another hive.`);
  if (dateAt(site.zone, body.startedAt) < colony.since) {
    throw new Refusal(
      422,
      'before the colony',
      `Hive ${hive.number} has had its colony since ${colony.since}. Check the date of your device.`,
    );
  }
  const combs = await combsFound(db, hive);
  const questions = body.questions ?? (await questionsFor(db, actor.school, hive.id));
  const opened = await db.transaction(async (trx) => {
    await reviveSession(trx, actor.school, session.id);
    // Whoever opens the same hive at the same moment waits here, and then finds it open.
    await lockSession(trx, session.id);
    const group = groupFor(await groupsOfSession(trx, session.id), hive, actor);
    const running = (await visitsOfSession(trx, actor.school, session.id)).find((visit) => visit.hive === hive.id);
    if (running) return running.id;
    const at = new Date(body.startedAt);
    await insertVisit(trx, {
      id: body.id,
      school: actor.school,
      session: session.id,
      trainee_group: group.trainee_group,
      hive: hive.id,
      colony: colony.id,
      supervisor: group.supervisor,
      box: nestBoxes(hive.stack)[0]!.id,
      stack: framesAsCombs(hive.stack, combs),
      questions,
      combs,
      rota: await plannedRota({ ...context, db: trx }, actor.school, hive, group.trainee_group, at),
      started_at: at,
      closed_at: null,
      mood: null,
    });
    return body.id;
  });
  return shownVisit(await openVisit(db, actor, opened));
}

function groupFor(groups: readonly NamedSessionGroup[], hive: HiveRow, actor: Actor): NamedSessionGroup {
  const group =
    groups.find((each) => each.hive === hive.id) ?? groups.find((each) => each.supervisor === actor.id) ?? groups[0];
  if (!group)
    throw new Refusal(409, 'no group', `No group is planned for hive ${hive.number}. Give the session a group first.`);
  return group;
}

/** What a visit is opened for when nobody says: is she laying, is there food, is brood well, and what follow-ups ask. */
async function questionsFor(db: Knex, school: string, hive: string): Promise<readonly Question[]> {
  const asked = (await openFollowUps(db, school, [hive])).map((each) => each.question).join(' ');
  const also: readonly (readonly [RegExp, Question])[] = [
    [/cell/i, 'queen cells'],
    [/room|super|box|drawn/i, 'room'],
    [/feed|food|stores/i, 'stores'],
    [/lids|doubtful|disease|chalk/i, 'health'],
  ];
  return ['laying', ...also.filter(([asks]) => asks.test(asked)).map(([, question]) => question)];
}

export async function recentVisits(context: Context, actor: Actor): Promise<Output<typeof endpoints.recentVisits>> {
  const visits = await latestVisits(context.db, actor, new Date(context.clock.now().getTime() + 86_400_000), 30);
  return { visits: visits.map(shownVisit) };
}

/** A visit with all that the device at the hive needs, also without signal. */
export async function visitFile(context: Context, actor: Actor, id: string): Promise<VisitFile> {
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
  if (body.kind === 'skill judged') return false;
  if (body.kind !== 'side read by trainee' && body.kind !== 'side guessed') return true;
  return body.person === actor.id || record.sides[sideKey(body.address)] !== undefined;
}

/** What a trainee who records may see: nobody's health but their own, and no reading that was kept hidden for somebody else. */
function forTrainee(file: VisitFile, actor: Actor): VisitFile {
  const own = file.trainees.find(({ id }) => id === actor.id)?.name;
  const record = recordOf(file.entries);
  return {
    ...file,
    entries: file.entries.filter((entry) => mayHear(entry as VisitEntry, actor, record)),
    trainees: file.trainees.map((each) => (each.id === actor.id ? each : { ...each, note: null })),
    emergency: { ...file.emergency, people: file.emergency.people.filter(({ name }) => name === own) },
  };
}

/** The file of a visit that is not started yet, so that a device can start it later without signal. */
export async function preparedVisit(
  context: Context,
  actor: Actor,
  sessionId: string,
  hiveId: string,
): Promise<VisitFile> {
  const { db, clock } = context;
  const session = await sessionById(db, actor, sessionId);
  const [hive] = await hivesById(db, actor.school, [hiveId]);
  const site = hive && (await siteById(db, actor.school, hive.site));
  const colony = hive && (await colonyIn(db, actor.school, hive.id));
  if (!session || !hive || !site || !colony || hive.site !== session.site) throw notFound('hive in this session');
  const group = groupFor(await groupsOfSession(db, session.id), hive, actor);
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
    questions: await questionsFor(db, actor.school, hive.id),
    combs,
    rota: null,
    started_at: clock.now(),
    closed_at: null,
    mood: null,
  };
  return fileOf(context, visit, []);
}

async function fileOf(context: Context, visit: NamedVisit, entries: readonly VisitEntry[]): Promise<VisitFile> {
  const { db } = context;
  const [site, [hive], practice, colony, trainees, before, followUps, limits] = await Promise.all([
    siteById(db, visit.school, visit.site),
    hivesById(db, visit.school, [visit.hive]),
    practiceOf(db, visit.school),
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
  const planned = (await groupsOfSession(db, visit.session)).find((each) => each.hive === visit.hive);
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
    rolesPlayed(db, visit.school, [visit.trainee_group], visit.started_at),
    answersAt(db, visit.school, visit.hive, LATEST_ANSWERS),
    reserveOf(db, visit.school),
    hivesOf(db, visit.school, visit.site),
  ]);
  return {
    ...facts,
    asked: facts.asked.filter((text) => !followUps.some(({ task, question }) => task && question === text)),
    tasks: followUps
      .filter(({ task }) => task)
      .map(({ id, question, due, bring }) => ({ id, what: question, due, bring: bring ?? null })),
    kit: [
      ...kitForHive(
        followUps.map(({ question, bring }) => ({ hive: visit.hive_number, question, bring: bring ?? null })),
        before ? (visit.started_at.getTime() - before.started_at.getTime()) / 86_400_000 : null,
      ),
    ],
    standing: standingAt(
      hive,
      others,
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
      had: (played.get(trainee) ?? NO_ROLES).had,
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
function accommodation(terms: TraineeTerms | undefined): string | null {
  if (!terms) return null;
  const words = [
    terms.seated ? 'works sitting' : null,
    terms.liftKg !== null ? `lifts up to ${terms.liftKg} kg` : null,
  ].filter((each) => each !== null);
  return words.length > 0 ? words.join(', ') : null;
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

/**
 * Records entries of a visit in one transaction. Each is kept, known already, or refused for itself: also one that fails in a way that nobody
 * foresaw, which is then written to the log.
 *
 * @throws Refusal 422 when not one of them could be kept or was known
 */
export async function recordEntries(
  context: Context,
  actor: Actor,
  id: string,
  sent: readonly unknown[],
): Promise<{ verdicts: readonly EntryVerdict[] }> {
  const visit = await openVisit(context.db, actor, id);
  const verdicts = await recordBatch(context, actor, visit, sent).catch(async (error: unknown) => {
    if (!ofTheEntry(error)) throw error;
    const apart: EntryVerdict[] = [];
    for (const each of sent) apart.push(...(await recordAlone(context, actor, visit, each)));
    return apart;
  });
  if (verdicts.every((each) => each.outcome === 'refused')) {
    const [first] = verdicts;
    throw new Refusal(
      422,
      first?.problem?.problem ?? 'not valid',
      first?.problem?.message ?? 'Nothing of what was sent could be kept.',
      verdicts.map((each) => ({ path: each.id, message: each.problem?.message ?? '' })),
    );
  }
  return { verdicts };
}

const NOT_FORESEEN = new Refusal(
  422,
  'fault',
  'This entry could not be kept, and the log of the server tells why. Enter it again in other words, or leave it out.',
);

/** Whether an error lies in what was sent: not in a database that is away, full, or busy with the same. */
const ofTheEntry = (error: unknown): boolean => !worthAgain(error) && refusalOf(error).status <= 500;

/** One entry of a batch that failed as a whole: it is the one, or it is kept. */
async function recordAlone(
  context: Context,
  actor: Actor,
  visit: NamedVisit,
  sent: unknown,
): Promise<readonly EntryVerdict[]> {
  try {
    return await recordBatch(context, actor, visit, [sent]);
  } catch (error) {
    if (!ofTheEntry(error)) throw error;
    const refusal = refusalOf(error);
    context.log.error({ fault: withoutValues(error), entry: idOf(sent) }, 'an entry cannot be kept');
    return [refused(idOf(sent), refusal.status < 500 ? refusal : NOT_FORESEEN)];
  }
}

async function recordBatch(
  context: Context,
  actor: Actor,
  visit: NamedVisit,
  sent: readonly unknown[],
): Promise<readonly EntryVerdict[]> {
  const [colony, trainees] = await Promise.all([
    colonyIn(context.db, actor.school, visit.hive),
    traineesOf(context.db, actor.school, [visit.trainee_group]),
  ]);
  return context.db.transaction(async (trx) => {
    await lockVisit(trx, visit.id);
    const entries = await entriesOf(trx, visit.id);
    const known = new Set(entries.map((entry) => entry.id));
    const ids = new Set(trainees.map((trainee) => trainee.id));
    const [hive] = await hivesById(trx, actor.school, [visit.hive]);
    const readable = sent.map(readEntry);
    const rules = {
      hive: visit.hive_number,
      type: hive!.type,
      stack: partsKnown(visit, entries),
      colonySince: colony?.since ?? '',
      now: context.clock.now(),
      trainees: ids,
      learners: await learnersJudgedBy(trx, actor),
      skills: await knownSkills(trx, actor.school),
      people: new Set([...ids, visit.supervisor, actor.id]),
      entries: known,
      role: actor.role,
      closedAt: recordOf(entries).closed?.at ?? null,
      madeBy: (entry: string) => entries.find(({ id: known }) => known === entry)?.by ?? null,
      sender: actor.id,
      hives: new Set((await hivesOf(trx, actor.school, visit.site)).map(({ id }) => id)),
      tasks: new Set(await taskIdsOf(trx, actor.school, visit.hive)),
      foreign: await foreignNames(trx, actor.school, readable),
    };
    const owners = new Map(
      (
        await entryOwners(
          trx,
          readable.flatMap((each) => ('entry' in each ? each.entry.id : [])),
        )
      ).map((row) => [row.id, row.visit]),
    );
    const outcomes: EntryVerdict[] = [];
    for (const [index, read] of readable.entries()) {
      if ('refusal' in read) {
        outcomes.push(refused(idOf(sent[index]), read.refusal));
        continue;
      }
      const entry = asSeenBy(actor, ids, entries, { ...read.entry, by: actor.id });
      const owner = owners.get(entry.id);
      if (known.has(entry.id) || owner === visit.id) {
        outcomes.push({ id: entry.id, outcome: 'known already' });
        continue;
      }
      const problem = owner
        ? new Refusal(409, 'id in use', 'An entry with this id belongs to another visit. Make the entry again.')
        : entryProblem(entry, rules);
      if (problem) {
        outcomes.push(refused(entry.id, problem));
        continue;
      }
      await insertEntry(trx, visit.id, entry, context.clock.now());
      known.add(entry.id);
      entries.push(entry);
      if (entry.body.kind === 'stack changed' || entry.body.kind === 'entry undone')
        rules.stack = partsKnown(visit, entries);
      outcomes.push({ id: entry.id, outcome: 'kept' });
    }
    if (outcomes.some((each) => each.outcome === 'kept')) await project(context, trx, visit, entries);
    return outcomes;
  });
}

/** Trainees whom somebody may judge: those of the school for a lead, of the groups that they have led for a supervisor. */
const learnersJudgedBy = async (db: Knex, actor: Actor): Promise<ReadonlySet<string>> =>
  new Set(actor.role === 'lead' ? await learnersOf(db, actor.school) : await learnersLedBy(db, actor.id));

/** A trainee's reading of a side that a supervisor has read stands beside it, as one of two readings, and does not replace it. */
function asSeenBy(
  { role }: Actor,
  trainees: ReadonlySet<string>,
  entries: readonly VisitEntry[],
  entry: VisitEntry,
): VisitEntry {
  if (role !== 'trainee' || entry.body.kind !== 'frame side recorded') return entry;
  const before = recordOf(entries).sides[sideKey(entry.body.address)];
  return before && !trainees.has(before.by) ? { ...entry, body: { ...entry.body, seen: null } } : entry;
}

type ReadEntry = { readonly entry: NewEntry } | { readonly refusal: Refusal };

function readEntry(sent: unknown): ReadEntry {
  const torn = tornText(sent);
  if (torn !== null)
    return {
      refusal: new Refusal(
        422,
        'not valid',
        `The entry holds half a character (${torn}), perhaps of an emoji. Type that text again.`,
      ),
    };
  const read = NewEntry.safeParse(sent);
  return read.success ? { entry: read.data } : { refusal: unreadable(read.error.issues) };
}

/** Combs and colonies that entries name and that are not this school's to name. */
async function foreignNames(trx: Knex, school: string, read: readonly ReadEntry[]): Promise<ReadonlySet<string>> {
  const combs = read.flatMap((each) =>
    'entry' in each && each.entry.body.kind === 'comb moved' ? [each.entry.body.comb] : [],
  );
  const donors = combs.flatMap(({ donor }) => donor ?? []);
  const [foreign, own] = await Promise.all([
    combsOfOthers(
      trx,
      school,
      combs.map(({ id }) => id),
    ),
    coloniesById(trx, school, donors),
  ]);
  const known = new Set(own.map(({ id }) => id));
  return new Set([...foreign, ...donors.filter((donor) => !known.has(donor))]);
}

/** Parts that an entry may speak of: those on the hive now, and those that were on it when it was opened. */
function partsKnown(visit: NamedVisit, entries: readonly VisitEntry[]): Stack {
  const now = stackAfter(visit.stack, changesOf(recordOf(entries)));
  return [...now, ...visit.stack.filter(({ id }) => !now.some((layer) => layer.id === id))];
}

const idOf = (sent: unknown): string =>
  typeof sent === 'object' && sent !== null && 'id' in sent && typeof sent.id === 'string' ? sent.id : '';

const refused = (id: string, { problem, message }: Refusal): EntryVerdict => ({
  id,
  outcome: 'refused',
  problem: { problem, message },
});

function unreadable(issues: readonly { readonly path: PropertyKey[]; readonly message: string }[]): Refusal {
  const [first] = issues;
  const where = first && first.path.length > 0 ? ` (${first.path.map(String).join('.')})` : '';
  return new Refusal(
    422,
    'not valid',
    `The entry cannot be read${where}: ${first?.message ?? 'it has the wrong form'}`,
  );
}

/** Brings what is derived from a visit's entries up to date: closing time, mood, demonstrations, questions, combs, parts, tasks, answered follow-ups. */
async function project(context: Context, trx: Knex, visit: NamedVisit, entries: readonly VisitEntry[]): Promise<void> {
  const record = recordOf(entries);
  const { closed, mood } = record;
  const change: Pick<VisitRow, 'closed_at' | 'mood'> = { closed_at: closed ? new Date(closed.at) : null, mood };
  await updateVisit(trx, visit.id, change);
  await projectJudgements(trx, visit, record);
  await projectReadings(trx, visit, record);
  await projectQuestions(trx, visit, record);
  await projectCombs(trx, visit, record);
  await projectStack(trx, visit, record);
  await projectTasks(context, trx, visit, record);
  await answerFollowUps(trx, visit, closed ? dateAt(visit.zone, closed.at) : null);
}
