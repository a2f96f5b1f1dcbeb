import { POLLEN_COLOURS, POLLEN_COLOUR_NAMES, type PollenColour } from '@brave-comb/core/inspection';
import type { Input, Output, endpoints } from '@brave-comb/contract';
import {
  EVENT_MEANING,
  PLANTS,
  SEASON_EVENTS,
  type SitePlant,
  moveToFlow,
  pollenGuesses,
  survivalBySetUp,
  survivalOf,
  tasksFor,
} from '@brave-comb/core/season';
import { addDays, lastOf, roundTo } from '@brave-comb/core/units';
import { v7 as uuid, v5 as uuidv5 } from 'uuid';
import { insertFollowUp, insertFollowUpOnce, withdrawEventTasks } from '../care/store';
import type { Actor, Context } from '../context';
import { dateAt } from '../dates';
import { setUpOf } from '../equipment/set-up';
import { type SiteRow, changeSite, coloniesIn, hivesById, hivesOf, sitesOf } from '../equipment/store';
import { changePractice, practiceOf } from '../people/store';
import { Refusal, notFound } from '../problem';
import { gainsOf, scalesOf } from './scales';
import { type SiteSeason, listedPlant, siteNames, siteOf, siteSeason, turnOf } from './site-season';
import {
  aliveTaps,
  bloomsSeen,
  deleteAlive,
  deletePlant,
  insertFlowSigns,
  insertPollen,
  insertSeasonEvent,
  plantsOf,
  pollenById,
  pollenSeen,
  seasonEventById,
  seasonEvents,
  settle,
  upsertAlive,
  upsertBloom,
  upsertPlant,
  withdrawEvent,
} from './store';
import { flowNow } from './year';

type Body<E extends keyof typeof endpoints> = Input<(typeof endpoints)[E]>['body'];

/** Nobody has seen what is still to come. */
function notAhead(date: string, today: string): void {
  if (date > today)
    throw new Refusal(
      422,
      'in the future',
      `${date} has not been yet: enter what was seen on the day, today or before.`,
    );
}

/** Plants of a site with this year's bloom. What is written below answers with the site whose view shows it. */
export async function forage(
  context: Context,
  actor: Actor,
  siteId?: string,
): Promise<Output<typeof endpoints.forage>> {
  const found = await siteOf(context, actor.school, siteId);
  const season = await siteSeason(context, found.site);
  const [own, seen] = await Promise.all([
    plantsOf(context.db, actor.school, found.site.id),
    bloomsSeen(context.db, actor.school, found.site.id),
  ]);
  const latin = new Map(PLANTS.map((plant) => [plant.id, plant.latin]));
  const ids = new Set(own.map((plant) => plant.id));
  return {
    ...siteNames(found),
    today: season.today,
    turn: season.turn,
    method: found.site.degree_days,
    plants: own.map((plant) => ({
      ...plant,
      latin: latin.get(plant.id) ?? null,
      bloom: season.bloom.find((bloom) => bloom.id === plant.id) ?? null,
      seen: seen
        .filter((row) => row.plant === plant.id)
        .map((row) => ({
          plant: row.plant,
          year: row.year_of_growth,
          first: row.first_seen,
          last: row.last_seen,
          by: row.by_name,
        })),
    })),
    list: PLANTS.filter((plant) => !ids.has(plant.id)).map((plant) => ({
      ...listedPlant(plant, season.turn),
      latin: plant.latin,
    })),
    mayEdit: actor.role !== 'trainee',
  };
}

export async function addPlant(
  context: Context,
  site: { readonly id: string; readonly school: string },
  plant: SitePlant,
): Promise<void> {
  await upsertPlant(context.db, { id: uuid(), school: site.school, site: site.id }, plant);
}

export async function keepPlant(
  context: Context,
  actor: Actor,
  siteId: string,
  plant: Body<'keepPlant'>,
): Promise<string> {
  const { site } = await siteOf(context, actor.school, siteId);
  await addPlant(context, site, plant);
  return site.id;
}

export async function dropPlant(
  context: Context,
  actor: Actor,
  siteId: string,
  { plant }: Body<'dropPlant'>,
): Promise<string> {
  const { site } = await siteOf(context, actor.school, siteId);
  await deletePlant(context.db, actor.school, site.id, plant);
  return site.id;
}

/** First or last bloom of a plant, seen on a day. */
export async function seeBloom(
  context: Context,
  actor: Actor,
  siteId: string,
  body: Body<'seeBloom'>,
): Promise<string> {
  const { site } = await siteOf(context, actor.school, siteId);
  const today = dateAt(site.zone, context.clock.now());
  if (!(await plantsOf(context.db, actor.school, site.id)).some((plant) => plant.id === body.plant))
    throw new Refusal(422, 'not valid', 'This plant is not on the site’s list. Add it first.');
  if (body.date) notAhead(body.date, today);
  const year = lastOf(turnOf(site), body.date ?? body.year ?? today);
  await noteBloom(context, actor.id, site, { plant: body.plant, year, [body.which]: body.date });
  return site.id;
}

export async function noteBloom(
  { db, clock }: Context,
  by: string | null,
  site: { readonly id: string; readonly school: string },
  seen: {
    readonly plant: string;
    readonly year: string;
    readonly first?: string | null;
    readonly last?: string | null;
  },
): Promise<void> {
  await db.transaction(async (trx) => {
    const before = (await bloomsSeen(trx, site.school, site.id)).find(
      (row) => row.plant === seen.plant && row.year_of_growth === seen.year,
    );
    const first = seen.first === undefined ? (before?.first_seen ?? null) : seen.first;
    const last = seen.last === undefined ? (before?.last_seen ?? null) : seen.last;
    if (first && last && last < first)
      throw new Refusal(
        422,
        'not valid',
        `Its end (${last}) would lie before its first bloom (${first}). Correct one of them.`,
      );
    await upsertBloom(trx, {
      id: before?.id ?? uuid(),
      school: site.school,
      site: site.id,
      plant: seen.plant,
      year_of_growth: seen.year,
      first_seen: first,
      last_seen: last,
      by_person: by,
      at: clock.now(),
    });
  });
}

export async function setClimate(
  context: Context,
  actor: Actor,
  siteId: string,
  body: Body<'setClimate'>,
): Promise<string> {
  const { site } = await siteOf(context, actor.school, siteId);
  await changeSite(context.db, actor.school, site.id, { turn: body.turn, degree_days: body.method });
  return site.id;
}

const shownPollen = (season: SiteSeason) => {
  const colours = new Map(PLANTS.map((plant) => [plant.id, plant.colours]));
  return season.bloom.map((bloom) => ({
    plant: bloom.plant,
    pollen: bloom.pollen,
    colours: colours.get(bloom.id) ?? [],
    from: bloom.from,
    to: bloom.to,
    giveOrTake: bloom.giveOrTake,
  }));
};

/** What was seen at a site. */
export async function happenings(
  context: Context,
  actor: Actor,
  siteId?: string,
): Promise<Output<typeof endpoints.happenings>> {
  const { db } = context;
  const found = await siteOf(context, actor.school, siteId);
  const { site } = found;
  const season = await siteSeason(context, site);
  const { today } = season;
  const [events, practice, pollen, scales] = await Promise.all([
    seasonEvents(db, actor.school, site.id, addDays(today, -400)),
    practiceOf(db, actor.school),
    pollenSeen(db, actor.school, site.id),
    scalesOf(context, site, season.begin, today),
  ]);
  const plantName = new Map([...PLANTS, ...season.plants].map((plant) => [plant.id, plant.name]));
  const settled = pollen.map((row) => ({ colour: row.colour as PollenColour, date: row.date, plant: row.plant }));
  return {
    ...siteNames(found),
    today,
    events: events.map(({ id, kind, plant, date, by_name, tasks }) => ({
      id,
      kind,
      plant: plant === null ? null : (plantName.get(plant) ?? plant),
      date,
      by: by_name,
      tasks,
    })),
    triggers: practice.triggers,
    meanings: SEASON_EVENTS.map((kind) => ({ kind, means: EVENT_MEANING[kind] })),
    plants: season.plants.map(({ id, name }) => ({ id, name })),
    flow: await flowNow(context, season, gainsOf(scales)),
    pollen: {
      seen: pollen.map((row) => ({
        id: row.id,
        colour: row.colour as PollenColour,
        date: row.date,
        plant: row.plant,
        by: row.by_name,
      })),
      key: POLLEN_COLOUR_NAMES.map((colour) => ({
        colour,
        shade: POLLEN_COLOURS[colour],
        guesses: pollenGuesses(colour, today, shownPollen(season), settled),
      })),
    },
    scales,
    mayEdit: actor.role !== 'trainee',
  };
}

/**
 * Logs an event and makes the tasks that house practice ties to it, for every colony of the site: both or neither. A first bloom also corrects
 * the forage calendar.
 */
export async function logSeasonEvent(
  context: Context,
  actor: Actor,
  siteId: string,
  body: Body<'logSeasonEvent'>,
): Promise<string> {
  const { site } = await siteOf(context, actor.school, siteId);
  const today = dateAt(site.zone, context.clock.now());
  notAhead(body.date, today);
  if (body.kind === 'first bloom' && body.plant === null)
    throw new Refusal(422, 'not valid', 'Say which plant has opened.', [{ path: 'plant', message: 'Choose a plant.' }]);
  const before = await seasonEventById(context.db, actor.school, body.id);
  if (before && before.site !== site.id)
    throw new Refusal(409, 'id in use', 'An event with this id belongs to another site. Log it again.');
  if (!before) await context.db.transaction((trx) => record({ ...context, db: trx }, actor, site, body));
  return site.id;
}

async function record(context: Context, actor: Actor, site: SiteRow, body: Body<'logSeasonEvent'>): Promise<void> {
  const { db, clock } = context;
  await insertSeasonEvent(db, {
    id: body.id,
    school: actor.school,
    site: site.id,
    kind: body.kind,
    plant: body.plant,
    date: body.date,
    by_person: actor.id,
    at: clock.now(),
    withdrawn_at: null,
  });
  if (body.kind === 'first bloom' && body.plant !== null)
    await noteBloom(context, actor.id, site, {
      plant: body.plant,
      year: lastOf(turnOf(site), body.date),
      first: body.date,
    });
  const practice = await practiceOf(db, actor.school);
  const tasks = tasksFor(body, practice.triggers);
  const hives = await hivesOf(db, actor.school, site.id);
  const lived = new Set(
    (
      await coloniesIn(
        db,
        actor.school,
        hives.map((hive) => hive.id),
      )
    ).map((colony) => colony.hive),
  );
  for (const hive of hives.filter((each) => lived.has(each.id)))
    for (const task of tasks)
      await insertFollowUp(db, {
        id: uuid(),
        school: actor.school,
        hive: hive.id,
        visit: null,
        decision: null,
        question: `${task.task}. ${task.question}`,
        from_date: task.from,
        due: task.due,
        answered_by: null,
        event: body.id,
        bring: task.bring,
      });
}

export async function withdrawSeasonEvent(context: Context, actor: Actor, id: string): Promise<string> {
  const event = await seasonEventById(context.db, actor.school, id);
  if (!event) throw notFound('event');
  await context.db.transaction(async (trx) => {
    await withdrawEventTasks(trx, actor.school, id);
    await withdrawEvent(trx, actor.school, id, context.clock.now());
  });
  return event.site;
}

export async function setTriggers({ db }: Context, actor: Actor, { triggers }: Body<'setTriggers'>) {
  await db.transaction((trx) => changePractice(trx, actor.school, { triggers }));
  return { kept: triggers.length };
}

export async function tickFlowSigns(
  context: Context,
  actor: Actor,
  siteId: string,
  body: Body<'tickFlowSigns'>,
): Promise<string> {
  const { site } = await siteOf(context, actor.school, siteId);
  notAhead(body.date, dateAt(site.zone, context.clock.now()));
  if (body.hive) {
    const [hive] = await hivesById(context.db, actor.school, [body.hive]);
    if (hive?.site !== site.id) throw notFound('hive at this site');
  }
  await insertFlowSigns(
    context.db,
    body.signs.map((each) => ({
      ...each,
      school: actor.school,
      site: site.id,
      hive: body.hive,
      date: body.date,
      by_person: actor.id,
      at: context.clock.now(),
    })),
  );
  return site.id;
}

export async function seePollen(
  context: Context,
  actor: Actor,
  siteId: string,
  body: Body<'seePollen'>,
): Promise<string> {
  const { site } = await siteOf(context, actor.school, siteId);
  notAhead(body.date, dateAt(site.zone, context.clock.now()));
  await insertPollen(context.db, {
    ...body,
    school: actor.school,
    site: site.id,
    by_person: actor.id,
    at: context.clock.now(),
  });
  return site.id;
}

export async function settlePollen(
  context: Context,
  actor: Actor,
  id: string,
  { plant }: Body<'settlePollen'>,
): Promise<string> {
  const seen = await pollenById(context.db, actor.school, id);
  if (!seen) throw notFound('pollen load');
  await settle(context.db, actor.school, id, plant);
  return seen.site;
}

/** Which colonies came through winter. */
export async function aliveRound(
  context: Context,
  actor: Actor,
  siteId?: string,
): Promise<Output<typeof endpoints.aliveRound>> {
  const { db, clock } = context;
  const found = await siteOf(context, actor.school, siteId);
  const { site } = found;
  const today = dateAt(site.zone, clock.now());
  const year = lastOf(turnOf(site), today);
  const hives = await hivesOf(db, actor.school, site.id);
  const taps = await aliveTaps(
    db,
    actor.school,
    hives.map((hive) => hive.id),
  );
  const shown = hives.map((hive) => {
    const tap = taps.find((each) => each.hive === hive.id && each.year_of_growth === year);
    return {
      id: hive.id,
      number: hive.number,
      stand: hive.stand,
      state: tap?.state ?? null,
      date: tap?.date ?? null,
      setUp: setUpOf(hive),
    };
  });
  const tapped = shown.flatMap(({ state, setUp }) => (state ? [{ state, setUp }] : []));
  const years = [...new Set(taps.map((tap) => tap.year_of_growth))]
    .filter((each) => each !== year)
    .sort()
    .reverse();
  return {
    ...siteNames(found),
    today,
    year,
    hives: shown,
    survival: survivalOf(tapped),
    bySetUp: survivalBySetUp(tapped),
    earlier: years.map((each) => ({
      year: each,
      survival: survivalOf(
        taps.filter((tap) => tap.year_of_growth === each).map(({ state }) => ({ state, setUp: {} })),
      ),
    })),
  };
}

export async function tapAlive(
  context: Context,
  actor: Actor,
  hiveId: string,
  body: Body<'tapAlive'>,
): Promise<string> {
  const [hive] = await hivesById(context.db, actor.school, [hiveId]);
  if (!hive) throw notFound('hive');
  const { site } = await siteOf(context, actor.school, hive.site);
  notAhead(body.date, dateAt(site.zone, context.clock.now()));
  const year = lastOf(turnOf(site), body.date);
  if (body.state === null) await deleteAlive(context.db, actor.school, hive.id, year);
  else
    await upsertAlive(context.db, {
      id: uuid(),
      school: actor.school,
      hive: hive.id,
      year_of_growth: year,
      date: body.date,
      state: body.state,
      by_person: actor.id,
      at: context.clock.now(),
    });
  return hive.site;
}

const EARTH = 6371;
/** Great-circle distance between two sites, km (haversine). */
function distance(a: SiteRow, b: SiteRow): number {
  const rad = Math.PI / 180;
  const [dLat, dLon] = [(b.latitude - a.latitude) * rad, (b.longitude - a.longitude) * rad];
  const half =
    Math.sin(dLat / 2) ** 2 + Math.cos(a.latitude * rad) * Math.cos(b.latitude * rad) * Math.sin(dLon / 2) ** 2;
  return 2 * EARTH * Math.asin(Math.min(1, Math.sqrt(half)));
}

/** A good nectar plant is worth a move from this worth on. */
const WORTH_A_MOVE = 3;

export async function movePlan(
  context: Context,
  actor: Actor,
  query: Input<typeof endpoints.movePlan>['query'],
): Promise<Output<typeof endpoints.movePlan>> {
  const sites = await sitesOf(context.db, actor.school);
  const from = sites.find((site) => site.id === query.from);
  if (!from) throw notFound('site');
  const home = await siteSeason(context, from);
  const others = await Promise.all(
    sites.filter((site) => site.id !== from.id).map((site) => siteSeason(context, site)),
  );
  const targets = others.flatMap(({ site, bloom }) =>
    bloom
      .filter((each) => each.nectar >= WORTH_A_MOVE && each.to >= addDays(home.today, 7))
      .map((each) => ({
        site: site.id,
        name: site.name,
        km: roundTo(distance(from, site), 1),
        plant: each.plant,
        from: each.from,
        to: each.to,
      })),
  );
  const season = others.find(({ site }) => site.id === query.to);
  const bloom = season?.bloom.find((each) => each.plant === query.plant);
  if (!season || !bloom) return { targets, plan: null };
  const plan = moveToFlow({
    today: home.today,
    target: bloom,
    km: distance(from, season.site),
    home: home.bloom,
    hives: query.hives ?? 1,
  });
  return { targets, plan: { site: season.site.name, plant: bloom.plant, ...plan } };
}

/** Puts a move's tasks on the calendars of some hives, all or none. */
export async function scheduleMove(context: Context, actor: Actor, body: Body<'scheduleMove'>) {
  const { plan } = await movePlan(context, actor, { ...body, hives: body.hives.length });
  if (!plan) throw notFound('flow to move to');
  const hives = await hivesById(context.db, actor.school, body.hives);
  if (hives.length !== new Set(body.hives).size || hives.some((hive) => hive.site !== body.from))
    throw new Refusal(422, 'not valid', 'One of the hives does not stand at the site that they are moved from.');
  await context.db.transaction(async (trx) => {
    for (const hive of hives)
      for (const [index, task] of plan.tasks.entries())
        await insertFollowUpOnce(trx, {
          id: uuidv5(`${hive.id} ${index}`, body.id),
          school: actor.school,
          hive: hive.id,
          visit: null,
          decision: null,
          question: `${task.title} (${plan.plant}, ${plan.site})`,
          from_date: task.from,
          due: task.due,
          answered_by: null,
          bring: null,
        });
  });
  return { tasks: plan.tasks.length * hives.length };
}
