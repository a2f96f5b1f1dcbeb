import { say } from '../../words';
import type { GroupSheet } from '@brave-comb/contract';
import { type Sayable, named, type Text } from '@brave-comb/core/language';
import { type MarkColour, markColour } from '@brave-comb/core/biology';
import type { Due } from '@brave-comb/core/care';
import { nestBoxes, supers } from '@brave-comb/core/equipment';
import { tellingSides } from '@brave-comb/core/inspection';
import { worstOfLate, whyThisHive } from '@brave-comb/core/planning';
import type { SitePlan } from '@brave-comb/core/site';
import { DAY, daysBetween, roundTo } from '@brave-comb/core/units';
import type { Context } from '../../context';
import { dateAt, iso } from '../../dates';
import type { ColonyState } from '../../facts/care';
import { type ColonyRead, readColony, weighed, withQueensSeen } from '../../facts/inspection';
import { type RotaFacts, rotaOf, standingAt } from '../../facts/planning';
import { openSkills } from '../../facts/skills';
import { colonyIn, type HiveRow } from '../../records/equipment';
import { visitBefore, type VisitRow } from '../../records/inspection';
import type { HousePractice } from '@brave-comb/core/house';
import type { traineesOf } from '../../records/people';
import type { NamedSessionGroup } from '../../records/planning';

/** What the sheets of one session are made from. */
export interface SheetFacts extends Omit<RotaFacts, 'tempers'> {
  readonly school: string;
  readonly zone: string;
  readonly date: string;
  readonly dayStart: Date;
  readonly hives: readonly HiveRow[];
  readonly openings: readonly NamedSessionGroup[];
  /** All hives of the site. */
  readonly siteHives: readonly HiveRow[];
  /** What is on its ground. */
  readonly sitePlan: SitePlan | null;
  /** What the colony calendar says of each hive. */
  readonly states: ReadonlyMap<string, ColonyState>;
  readonly moods: readonly { readonly hive: string; readonly mood: number | null; readonly started_at: Date }[];
  readonly visits: readonly VisitRow[];
  readonly trainees: Awaited<ReturnType<typeof traineesOf>>;
}

const MOST_REASONS = 4;

/** A sheet as it is put together: what the colony calendar says of it is not in words yet. */
type Worded = 'due' | 'alone' | 'why' | 'ifWet' | 'lifting' | 'standing';
export type Sheet = Omit<GroupSheet, Worded | 'hive'> &
  Sayable<Pick<GroupSheet, Worded>> & { readonly hive: Omit<GroupSheet['hive'], 'type'> & { readonly type: Text } };

/** Who opens which hive and why, what it was like last time, what is due, who does what. */
export async function groupSheet(
  context: Context,
  facts: SheetFacts,
  practice: HousePractice,
  group: NamedSessionGroup,
): Promise<Sheet> {
  const hive = facts.hives.find((each) => each.id === group.hive)!;
  const trainees = facts.trainees.filter((each) => each.group === group.trainee_group);
  const running = facts.visits.find((visit) => visit.hive === hive.id);
  const before = await visitBefore(context.db, facts.school, hive.id, running?.started_at ?? group.starts_at);
  const last = before ? await readColony(context.db, before) : null;
  const entered = await colonyIn(context.db, facts.school, hive.id);
  const [colony] = await withQueensSeen(context.db, entered ? [entered] : []);
  const mark = colony?.queen_year ? markColour(colony.queen_year) : null;
  const due = duesAt(facts, hive.id).map(({ id, title, due: day, strict }) => ({
    id,
    question: title,
    due: day,
    daysLeft: daysBetween(facts.date, day),
    strict,
  }));
  const stack = weighed(hive, last, practice);
  const [box] = nestBoxes(hive.stack);
  const rota = rotaOf({ ...facts, tempers: tempersBy(facts.moods) }, trainees, hive, earlierHives(facts, group));
  const choice = choiceOf(
    facts,
    practice,
    hive,
    trainees.map((each) => each.id),
    due,
    stack,
  );
  return {
    group: { id: group.trainee_group, name: group.group_name },
    size: trainees.length,
    supervisor: { id: group.supervisor, name: group.supervisor_name },
    hive: { id: hive.id, number: hive.number, stand: hive.stand, type: named('hiveType', hive.type) },
    startsAt: iso(group.starts_at),
    why: [...(group.reasons?.lines ?? []), ...whyThisHive(choice)].slice(0, MOST_REASONS),
    lastTime: last ? lastTime(last, facts) : null,
    frameCount: box!.frames,
    stack,
    queenMark: colony?.queen_marked ? mark : null,
    due,
    alone: aloneOn(facts, hive.id),
    rota,
    visit: running ? { id: running.id, closed: running.closed_at !== null } : null,
    ifWet: group.reasons?.ifWet ?? null,
    lifting: stack.flatMap((part) => setDown(part)),
    standing: standingAt(hive, facts.siteHives, facts.sitePlan, rota),
  } satisfies Sheet & { queenMark: MarkColour | null };
}

/** What the colony calendar asks of a hive on the day of the session: the same list as everywhere else. */
export const duesAt = ({ states, date }: Pick<SheetFacts, 'states' | 'date'>, hive: string): readonly Due[] =>
  (states.get(hive)?.calendar.dues ?? []).filter(({ from }) => from <= date);

/** The rest that covers the day of the session, the strictest and longest first. */
function aloneOn({ states, date }: SheetFacts, hive: string): Sheet['alone'] {
  const [rest] = (states.get(hive)?.calendar.rests ?? [])
    .filter(({ from, to }) => from <= date && date <= to)
    .sort((a, b) => Number(b.strict === 'must') - Number(a.strict === 'must') || b.to.localeCompare(a.to));
  return rest ? { until: rest.to, why: rest.why, strict: rest.strict } : null;
}

/** How each hive is to be met, by the moods of its visits. */
const tempersBy = (moods: SheetFacts['moods']): ReadonlyMap<string, number | null> => {
  const ids = [...new Set(moods.map(({ hive }) => hive))];
  return new Map(
    ids.map((id) => [id, worstOfLate(moods.flatMap((each) => (each.hive === id ? (each.mood ?? []) : [])))]),
  );
};

/** Hives that the same group opens before this one. */
function earlierHives({ hives, openings }: SheetFacts, group: NamedSessionGroup): readonly HiveRow[] {
  const own = openings.filter((each) => each.trainee_group === group.trainee_group);
  return own
    .slice(
      0,
      own.findIndex(({ hive }) => hive === group.hive),
    )
    .map(({ hive }) => hives.find(({ id }) => id === hive)!);
}

/** How a part that comes off is lifted. */
function setDown({ layer, kg, lift }: GroupSheet['stack'][number]): readonly Text[] {
  if (lift === null || lift === 'stays-put') return [];
  return [say('part-to-lift', { part: layer.id, kg: kg ?? 0, lift })];
}

function choiceOf(
  facts: SheetFacts,
  practice: HousePractice,
  hive: HiveRow,
  trainees: readonly string[],
  due: Sheet['due'],
  stack: GroupSheet['stack'],
): Parameters<typeof whyThisHive>[0] {
  const moodsOf = (id: string) => facts.moods.filter((each) => each.hive === id).flatMap((each) => each.mood ?? []);
  const monthAgo = facts.dayStart.getTime() - 30 * DAY;
  const others = [...new Set(facts.moods.map((each) => each.hive))].filter((id) => id !== hive.id);
  return {
    hive: hive.number,
    moods: moodsOf(hive.id).slice(-5),
    otherMoods: others.map((id) => moodsOf(id).slice(-5)),
    openedInThirtyDays: facts.moods.filter((each) => each.hive === hive.id && each.started_at.getTime() >= monthAgo)
      .length,
    openingLimit: practice.openingLimit,
    due,
    openSkills: openSkills(facts.skills, trainees)
      .filter(({ skill, open }) => open.length < trainees.length || skill.id === 'finds-eggs')
      .slice(0, 2)
      .map(({ skill, open }) => ({ name: skill.name, trainees: open.length })),
    groupSize: trainees.length,
    heaviestLiftKg: supers(hive.stack).length === 0 ? null : Math.max(...stack.map((part) => part.kg ?? 0)),
  };
}

function lastTime(last: ColonyRead, { zone, date }: SheetFacts): GroupSheet['lastTime'] {
  const queenOn = last.frames.findIndex((frame) => frame.low?.queen === true || frame.high?.queen === true);
  return {
    visit: last.visit.id,
    daysAgo: Math.max(0, daysBetween(dateAt(zone, last.visit.started_at), date)),
    bees: last.nest.framesOfBees ? roundTo(last.nest.framesOfBees.value, 1) : null,
    brood: roundTo(last.nest.brood.value, 1),
    storesKg: roundTo(last.nest.storesKg.value, 1),
    frames: last.frames,
    telling: tellingSides(
      Object.values(last.record.sides).filter(({ address }) => address.box === last.box.id),
      2,
    ).map(({ address: { frame, face } }) => ({ frame, face })),
    queenOn: queenOn < 0 ? null : queenOn + 1,
  };
}
