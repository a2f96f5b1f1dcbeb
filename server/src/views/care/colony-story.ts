import type { ColonyStory } from '@brave-comb/contract';
import {
  type ColonyFacts,
  type DaysFacts,
  LOOKS_AHEAD,
  type Efficacy,
  type MiteCount,
  coursesOf,
  efficacyOf,
  forecastFacts,
  miteLimit,
  queenSeasonsOf,
  selectionOf,
  roomOf,
} from '@brave-comb/core/care';
import { markColour } from '@brave-comb/core/biology';
import { nestBoxes, supers } from '@brave-comb/core/equipment';
import { framesOf, gradeComb, hasMark, superHoney, temperOf } from '@brave-comb/core/inspection';
import { type Sayable, inOne } from '@brave-comb/core/language';
import { phaseOn } from '@brave-comb/core/season';
import { addDays, roundTo } from '@brave-comb/core/units';
import type { Actor, Context } from '../../context';
import { dateAt } from '../../dates';
import {
  type LineKnown,
  colonyLine,
  matingDays,
  queenMet,
  samplesOf,
  untreatedBeside,
  waitingFor,
} from '../../facts/care';
import type { ColonyRead } from '../../facts/inspection';
import { notFound } from '../../problem';
import { type Detail, decisionsOfVisits, eventSaid, shownDecision } from '../../records/care';
import { type ColonyRow, type HiveRow, hivesById, siteById } from '../../records/equipment';
import { combOf, combsIn, visitsSeenBy } from '../../records/inspection';
import { scalesOf } from '../../records/season';
import { say } from '../../words';
import { coloniesAt } from './colonies';
import { outcomesOf } from './outcomes';

/** Days back over which a story is told. */
const TOLD_BACK = 400;
/** How many colonies a forecast draws. */
const DRAWS = 500;

/** The story of one colony, and what a forecast of it rests on. */
export async function colonyStory(context: Context, actor: Actor, hiveId: string): Promise<Sayable<ColonyStory>> {
  const { db } = context;
  const [hive] = await hivesById(db, actor.school, [hiveId]);
  const site = hive && (await siteById(db, actor.school, hive.site));
  if (!hive || !site) throw notFound('hive');
  const all = await coloniesAt(context, actor, site);
  const index = all.findIndex(({ state }) => state.hive.id === hive.id);
  const known = all[index];
  if (!known) throw notFound('colony-in-this-hive');
  const { state, season } = known;
  const { reads } = state;
  const { today } = season;
  const dateOf = ({ visit }: ColonyRead) => dateAt(site.zone, visit.started_at);
  const ids = reads.map(({ visit }) => visit.id);
  const [decisions, combs, scales, mayOpen, outcomes] = await Promise.all([
    decisionsOfVisits(db, actor.school, ids),
    combsIn(db, actor.school, hive.id),
    hive.scale === null ? [] : scalesOf(context, site, addDays(today, -TOLD_BACK), today),
    visitsSeenBy(db, actor, ids),
    outcomesOf(context, actor),
  ]);
  const { line, facts } = colonyLine(known);
  const forecast = forecastFacts(
    reads.map((read) => ({ read, date: dateOf(read) })),
    daysFacts(known, facts),
    today,
    DRAWS,
  );
  const neighbour = (at: number) => {
    const other = all[at]?.state.hive;
    return other ? { hive: other.id, number: other.number } : null;
  };
  const samples = samplesOf(reads, site.zone);
  const latest = reads.findLast(({ nest }) => nest.sidesRead > 0);
  const year = Number(today.slice(0, 4));
  return {
    hive: hive.id,
    number: hive.number,
    site: { id: site.id, name: site.name },
    stand: hive.stand,
    zone: site.zone,
    today,
    says: hiveSaid(known),
    line,
    stack: hive.stack,
    combs: combsSaid(combs, hive, latest, year),
    forecast,
    noForecast: forecast ? null : (state.expected?.stale ?? say('nothing-to-foresee-from')),
    limits: limitsOf(known, latest),
    phases: season.phases.map(({ phase, from, to }) => ({ phase, from, to })),
    visits: reads.map((read) => visitSaid(read, dateOf(read), mayOpen.has(read.visit.id))),
    samples,
    weights: [
      ...(scales.find((each) => each.hive === hive.number)?.days ?? []).map((day) => ({
        ...day,
        by: 'scale' as const,
      })),
      ...reads.flatMap((read) => heftOf(read, dateOf(read))),
    ],
    aim: facts?.aim ?? null,
    stock: facts && selectionOf(facts),
    courses: coursesSaid(known, samples),
    events: eventsSaid(state),
    decisions: decisions.map((row) => ({
      date: dateOf(reads.find(({ visit }) => visit.id === row.visit)!),
      visit: row.visit,
      decision: shownDecision(row),
      cameOut: outcomes.get(row.id)?.outcome ?? 'open',
    })),
    planned: known.planned.map(({ session, starts_at, group_name }) => ({
      session,
      date: dateAt(site.zone, starts_at),
      group: group_name,
    })),
    before: neighbour(index - 1),
    after: neighbour(index + 1),
  };
}

const coursesSaid = (
  { state, states, season }: LineKnown,
  samples: readonly MiteCount[],
): Sayable<ColonyStory>['courses'] =>
  coursesOf(state.known, season.today).map((course) => ({
    ...course,
    worked: workedSaid(efficacyOf(course, samples, untreatedBeside(states, state.hive.id, course, season))),
  }));

const eventsSaid = ({ events }: LineKnown['state']) =>
  events.map(({ date, kind, detail, by_name }) => ({
    date,
    kind,
    words: eventSaid({ ...detail, kind } as Detail),
    by: by_name,
  }));

const workedSaid = (worked: Efficacy | null) =>
  worked &&
  say('treatment-worked', {
    share: Math.round(worked.share * 100),
    before: worked.before,
    after: worked.after,
    controls: worked.controls,
  });

const hiveSaid = ({ state: { hive, colony }, season }: LineKnown) =>
  inOne([boxesSaid(hive, colony), queenSaid(colony, season)]);

const queenSaid = (colony: ColonyRow, season: LineKnown['season']) =>
  say('queen-in-words', {
    year: colony.queen_year,
    colour: colony.queen_year !== null && colony.queen_marked ? markColour(colony.queen_year) : null,
    season: colony.queen_year === null ? null : queenSeasonsOf(colony.queen_year, season.today, season.turn),
  });

const boxesSaid = (hive: HiveRow, colony: ColonyRow) =>
  say('colony-in-words', {
    boxes: nestBoxes(hive.stack).length,
    frames: nestBoxes(hive.stack).reduce((sum, box) => sum + box.frames, 0),
    supers: supers(hive.stack).length,
    origin: colony.origin,
    since: colony.since,
  });

/** What a forecast is held against: all room covered, food running low, mites to treat. */
const limitsOf = ({ state, season, practice }: LineKnown, latest: ColonyRead | undefined): ColonyStory['limits'] => ({
  roomFrames: roundTo(roomOf(latest?.stack ?? state.hive.stack), 1),
  leastKg: practice.care.leastStoresKg,
  mites: miteLimit(phaseOn(season.phases, season.today)?.phase ?? null),
});

/** Combs of the lowest box with their age, and which of them are to be renewed. */
function combsSaid(
  combs: Awaited<ReturnType<typeof combsIn>>,
  hive: HiveRow,
  latest: ColonyRead | undefined,
  year: number,
): Sayable<ColonyStory>['combs'] {
  const lowest = nestBoxes(hive.stack)[0]?.id;
  const sides = Object.values(latest?.record.sides ?? {});
  return combs
    .flatMap((row) => {
      if (row.box !== lowest || row.place === null) return [];
      const here = sides.filter(({ address }) => address.box === row.box && address.frame === row.place);
      const { grade, why } = gradeComb(combOf(row), year, {
        old: here.some(({ side }) => hasMark(side, 'old-comb')),
        broken: here.some(({ side }) => hasMark(side, 'broken-comb')),
      });
      return [{ place: row.place, year: combOf(row).since, says: why, toRenew: grade !== 'keep' }];
    })
    .sort((a, b) => a.place - b.place);
}

function visitSaid(read: ColonyRead, date: string, open: boolean): Sayable<ColonyStory>['visits'][number] {
  const { nest, record, visit } = read;
  const looked = nest.sidesRead > 0;
  return {
    id: visit.id,
    date,
    look: !looked ? 'outside' : nest.sidesRead >= read.nestFrames ? 'full' : 'part',
    frames: framesOf(Object.values(record.sides), read.box.id, read.box.frames),
    bees: nest.framesOfBees,
    brood: looked ? nest.brood : null,
    storesKg: looked ? nest.storesKg : null,
    superKg: superHoney(read.stack, record),
    temper: temperOf(record),
    queen: queenMet(read),
    open,
  };
}

/** What was weighed or hefted at a visit, all parts together. */
function heftOf({ record }: ColonyRead, date: string): Sayable<ColonyStory>['weights'] {
  const kg = record.measures.reduce((sum, { measure }) => sum + (measure.what === 'weight' ? measure.kg : 0), 0);
  return kg > 0 ? [{ date, kg, by: 'heft' }] : [];
}

/** Season, weather, feeds, medicines and queen of a colony, as a forecast needs them. */
function daysFacts({ state, season }: LineKnown, facts: ColonyFacts | null): DaysFacts {
  const { today } = season;
  const waiting = waitingFor(state.known, matingDays(season), today);
  const lost = facts !== null && NOBODY_LAYS.has(facts.queen.verdict);
  return {
    phases: season.phases,
    forage: season.bloom,
    days: season.days,
    fed: state.known.flatMap((event) => (event.kind === 'feed' ? [{ date: event.date, kg: event.kg }] : [])),
    strain: state.colony.strain,
    courses: coursesOf(state.known, today),
    noQueen: waiting
      ? { from: waiting.stopped, until: waiting.to }
      : lost
        ? { from: facts.today, until: addDays(today, 2 * LOOKS_AHEAD) }
        : null,
  };
}

/** Nothing is laid that becomes a worker, until people see to it. */
const NOBODY_LAYS: ReadonlySet<string> = new Set(['queenless-likely', 'drone-layer-likely']);
