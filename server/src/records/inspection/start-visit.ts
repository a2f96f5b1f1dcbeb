import { inEnglish, say } from '../../words';
import { type Input, type Visit, endpoints } from '@brave-comb/contract';
import { nestBoxes } from '@brave-comb/core/equipment';
import type { AdviceKind } from '@brave-comb/core/care';
import type { Question } from '@brave-comb/core/inspection';
import type { Actor, Context } from '../../context';
import type { Db } from '../../database/db';
import { revise } from '../../database/revision-store';
import { dateAt } from '../../dates';
import { Refusal, notFound } from '../../problem';
import { openFollowUps } from '../care';
import { colonyIn, type HiveRow, hivesById, siteById } from '../equipment';
import {
  droppedSession,
  groupsOfSessions,
  lockSession,
  type NamedSessionGroup,
  reviveSession,
  sessionById,
} from '../planning';
import { combsFound, framesAsCombs } from './combs';
import { shownVisit, openVisit } from './shown-visit';
import { type VisitRow, anyVisit, insertVisit, visitsOfSession } from './store';

/** Who is to do what at a hive when a group opens it, by ids. */
export type PlannedRota = (
  context: Context,
  school: string,
  hive: HiveRow,
  group: string,
  at: Date,
) => Promise<NonNullable<VisitRow['rota']>>;

/**
 * Opens a visit. The device makes the id: sent twice it is opened once. A hive that the session has open already is joined, not opened twice.
 *
 * @param plannedRota tells what is kept with the visit of who was to do what
 * @throws Refusal when the session or hive is not there, the hive stands elsewhere or empty, or the date lies before the colony
 */
export async function startVisit(
  context: Context,
  actor: Actor,
  body: Input<typeof endpoints.startVisit>['body'],
  plannedRota: PlannedRota,
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
      throw new Refusal(409, 'id-in-use', say('id-of-another-hives-visit'));
    }
    return shownVisit(await openVisit(db, actor, known.id));
  }
  if (hive.site !== site.id) {
    const elsewhere = await siteById(db, actor.school, hive.site);
    throw new Refusal(
      409,
      'hive-stands-elsewhere',
      say('hive-stands-elsewhere', { number: hive.number, elsewhere: elsewhere?.name ?? null, site: site.name }),
    );
  }
  const colony = await colonyIn(db, actor.school, hive.id);
  if (!colony) throw new Refusal(409, 'empty-hive', say('empty-hive', { number: hive.number }));
  if (dateAt(site.zone, body.startedAt) < colony.since) {
    throw new Refusal(422, 'before-the-colony', say('before-the-colony', { number: hive.number, since: colony.since }));
  }
  const combs = await combsFound(db, hive);
  const questions = body.questions ?? (await openingQuestions(db, actor.school, hive.id));
  const opened = await revise(db, actor.school, async (trx) => {
    await reviveSession(trx, actor.school, session.id);
    // Whoever opens the same hive at the same moment waits here, and then finds it open.
    await lockSession(trx, session.id);
    const group = groupFor(await groupsOfSessions(trx, [session.id]), hive, actor);
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

export function groupFor(groups: readonly NamedSessionGroup[], hive: HiveRow, actor: Actor): NamedSessionGroup {
  const group =
    groups.find((each) => each.hive === hive.id) ?? groups.find((each) => each.supervisor === actor.id) ?? groups[0];
  if (!group) throw new Refusal(409, 'no-group', say('no-group', { number: hive.number }));
  return group;
}

/** What a visit is opened for when nobody says: is she laying, is there food, is brood well, and what follow-ups ask. */
export async function openingQuestions(db: Db, school: string, hive: string): Promise<readonly Question[]> {
  const open = await openFollowUps(db, school, [hive]);
  const kinds = new Set(open.map(({ about }) => about));
  // What somebody wrote is known by its words alone.
  const written = open.flatMap(({ about, question }) => (about === null ? inEnglish(question) : [])).join(' ');
  const also = (Object.keys(OPENED_FOR) as (keyof typeof OPENED_FOR)[]).filter((question) => {
    const { advice, words } = OPENED_FOR[question];
    return advice.some((kind) => kinds.has(kind)) || words.test(written);
  });
  return ['laying', ...also];
}

/** What a follow-up opens a hive for: by the advice that it came from, else by the words that somebody wrote. */
const OPENED_FOR = {
  'queen-cells': { advice: ['queen-cells', 'swarming'], words: /cell/i },
  room: { advice: ['add-space', 'swarming'], words: /room|super|box|drawn/i },
  stores: { advice: ['feed', 'protein', 'strength'], words: /feed|food|stores/i },
  health: { advice: ['health', 'chill'], words: /lids|cappings|doubtful|disease|chalk/i },
} as const satisfies Partial<Record<Question, { readonly advice: readonly AdviceKind[]; readonly words: RegExp }>>;
