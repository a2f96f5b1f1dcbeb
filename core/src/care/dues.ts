import { PHASE_WORK, type PhaseSpan, phaseOn, swarmingOn } from '../season';
import { type CivilDate, addDays, daysBetween, laterOf } from '../units';
import { careDates } from './dues-care';
import { firstWeeksTo, queenDates, queenInTheMaking } from './dues-queen';
import type {
  CalendarFacts,
  HouseDues,
  ColonyCalendar,
  ColonyClass,
  Load,
  Opening,
  Rest,
  SourceDue,
} from './dues-types';
import { feedingsOf } from './feed-uptake';
import { coursesOf } from './treatments';
import { honeyLock } from './withdrawal';
import { say } from './said';
import { type Text, inOne } from '../language';

/** Days over which a colony’s openings are counted. House practice counts by the month. */
const LOAD_DAYS = 30;

/** What a colony has had in the last thirty days, against the house limit. */
export function loadOf(openings: readonly Opening[], today: CivilDate, limits: HouseDues['load']): Load {
  const lately = openings.filter(({ date }) => daysBetween(date, today) < LOAD_DAYS && daysBetween(date, today) >= 0);
  const load = {
    openings: lately.length,
    minutes: lately.reduce((sum, each) => sum + each.minutes, 0),
    stings: lately.reduce((sum, each) => sum + each.stings, 0),
  };
  const over = (['openings', 'minutes', 'stings'] as const).filter((each) => load[each] >= limits[each]);
  return { ...load, over };
}

/**
 * What is due at one colony, from when to when, why and how strictly, and until when it is left alone.
 *
 * @param facts the colony with its openings, events and follow-ups, and its place
 * @returns dues in order of their last day, rests, load, and the day from which it may be opened
 * @throws RangeError for malformed dates
 */
export function colonyCalendar(facts: CalendarFacts): ColonyCalendar {
  const queen = queenDates(facts);
  const load = loadOf(facts.openings, facts.today, facts.practice.load);
  const rests = [...queen.rests, ...openingRests(facts, load)].filter((rest) => daysBetween(facts.today, rest.to) >= 0);
  const all = [...followUpDues(facts), ...queen.dues, ...careDates(facts), ...ordinaryDue(facts, rests)].sort(
    (a, b) => daysBetween(b.due, a.due) || a.id.localeCompare(b.id),
  );
  const lapsed = ({ lapses }: SourceDue) => lapses !== null && lapses < facts.today;
  return {
    dues: all
      .filter((due) => !lapsed(due))
      .map(({ lapses: _lapses, ...due }) => ({ ...due, clash: clashOf(due, rests) })),
    lapsed: all.filter(lapsed).map(({ title, due }) => ({ title, due })),
    honey: honeyLock(
      coursesOf(facts.events, facts.today),
      facts.supers,
      facts.today,
      feedingsOf(facts.events, facts.framesOfBees),
    ),
    rests: rests.sort((a, b) => daysBetween(b.from, a.from)),
    load,
    openFrom: openFrom(facts.today, rests),
  };
}

/** Why a due that opens the hive finds no free day in its span: the strict rest that covers all of it. */
function clashOf(due: Omit<SourceDue, 'lapses'>, rests: readonly Rest[]): Text | null {
  if (!due.opens) return null;
  const strict = rests.filter((rest) => rest.strict === 'must');
  if (daysBetween(due.due, openFrom(due.from, strict)) <= 0) return null;
  const covering = strict.find((rest) => daysBetween(rest.from, due.due) >= 0 && daysBetween(due.due, rest.to) >= 0);
  return covering ? say('rest-until', { why: covering.why, to: covering.to }) : null;
}

/** The first day from a date on that no rest covers. */
export function openFrom(date: CivilDate, rests: readonly Pick<Rest, 'from' | 'to'>[]): CivilDate {
  const covering = rests.find((rest) => daysBetween(rest.from, date) >= 0 && daysBetween(date, rest.to) >= 0);
  return covering ? openFrom(addDays(covering.to, 1), rests) : date;
}

function openingRests({ openings, practice, today }: CalendarFacts, load: Load): readonly Rest[] {
  const last = openings
    .filter((each) => each.deep)
    .sort((a, b) => daysBetween(b.date, a.date))
    .at(-1);
  const rests: Rest[] = [];
  if (last && practice.restDays > 0)
    rests.push({
      cause: 'just-opened',
      from: addDays(last.date, 1),
      to: addDays(last.date, practice.restDays),
      why: say('opened-every-opening-costs-part', { date: last.date, today }),
      strict: 'should',
    });
  if (load.over.length > 0) {
    const within = openings
      .filter(({ date }) => daysBetween(date, today) < LOAD_DAYS)
      .sort((a, b) => daysBetween(b.date, a.date));
    const until = lightFrom(within, today, practice);
    if (daysBetween(today, until) > 0)
      rests.push({
        cause: 'load',
        from: today,
        to: addDays(until, -1),
        why: say('enough-teaching-now-openings-minutes', {
          openings: load.openings,
          minutes: load.minutes,
          stings: load.stings,
        }),
        strict: 'must',
      });
  }
  return rests;
}

/** First day on which the load of the last thirty days lies under every limit. */
function lightFrom(openings: readonly Opening[], today: CivilDate, practice: HouseDues): CivilDate {
  for (let day = 0; day <= LOAD_DAYS; day += 1) {
    const date = addDays(today, day);
    if (loadOf(openings, date, practice.load).over.length === 0) return date;
  }
  return addDays(today, LOAD_DAYS);
}

/** Days past its last day after which a question about a colony answers nothing any more: a brood round and a week. Common practice. */
const QUESTION_LAPSES = 28;

function followUpDues({ followUps }: CalendarFacts): readonly SourceDue[] {
  return followUps.map(({ id, question, from, due, bring, about, stays }) => ({
    id: `follow-up:${id}`,
    title: question,
    from,
    due,
    why: say('follow-up-visit-season-event'),
    strict: 'should',
    question,
    bring,
    about,
    opens: true,
    lapses: stays ? null : addDays(due, QUESTION_LAPSES),
  }));
}

/** How much longer than the school’s own a colony of each class is left between looks. Common practice. */
const FACTOR: Readonly<Record<ColonyClass, number>> = { production: 1, teaching: 1, nucleus: 0.85, resting: 2 };

/** Days between looks while swarms may leave, where nobody wants to catch their cells. Common practice. */
const MAY_SWARM = [10, 15] as const;
/** Days within which the first look after a shut stretch is made. Common practice. */
const FIRST_LOOK = 21;
/** Days of build-up after which frames come out for the first time. Common practice. */
const FIRST_FRAMES = 14;

/** The ordinary look by phase and school. */
function ordinaryDue(facts: CalendarFacts, rests: readonly Rest[]): readonly SourceDue[] {
  const { today, phases, practice, colonyClass } = facts;
  const last = [...facts.openings].sort((a, b) => daysBetween(b.date, a.date)).at(-1);
  const span = phaseOn(phases, today);
  // A colony that raises a queen is looked at by her timetable, a new one by its own plan, not by the ordinary one.
  const settles = firstWeeksTo(facts);
  if (!span || queenInTheMaking(facts) || (settles !== null && today <= settles)) return [];
  const since = last?.date ?? null;
  const swarming = swarmingOn(span, today);
  const cells = swarming && practice.catchCells && colonyClass !== 'resting';
  const own = practice.intervals[span.phase] ?? (swarming && !cells ? MAY_SWARM : PHASE_WORK[span.phase].interval);
  const base = (why: Text) => ({
    id: `ordinary:${since ?? 'first'}`,
    question: inOne(PHASE_WORK[span.phase].purposes.slice(0, 2), '; '),
    bring: null,
    opens: true,
    lapses: null,
    why,
  });
  const shut = (each: PhaseSpan) => (practice.intervals[each.phase] ?? PHASE_WORK[each.phase].interval) === null;
  const reopened = reopening(phases, today, shut);
  const firstBy = reopened && firstLookBy(phases, reopened);
  if (reopened && firstBy && (own === null || (since === null ? today <= firstBy : since < reopened.from)))
    return [
      {
        ...base(say('shut-winter-begins-about-winter', { phase: reopened.phase, from: reopened.from })),
        title: say('first-look-year'),
        from: reopened.from,
        due: firstBy,
        strict: 'may',
      },
    ];
  if (own === null) return [];
  const [least, most] = cells
    ? [practice.swarmIntervalDays - 1, practice.swarmIntervalDays]
    : own.map((days) => Math.round(days * FACTOR[colonyClass]));
  const why = cells
    ? say('days-while-swarms-may-leave', { swarmIntervalDays: practice.swarmIntervalDays })
    : colonyClass === 'resting'
      ? say('little-asked-days', { least, most, phase: span.phase })
      : say('days-work-fits-need-another', { least, most, phase: span.phase });
  const from = openFrom(
    since ? addDays(since, least!) : today,
    rests.filter((rest) => rest.strict === 'must'),
  );
  const due = since ? addDays(since, most!) : addDays(today, 7);
  return [
    {
      ...base(why),
      title: cells ? say('look-queen-cells') : say('ordinary-look'),
      from,
      due: daysBetween(from, due) < 0 ? from : due,
      strict: cells ? 'must' : 'should',
      again: { every: most!, until: cells ? (span.swarming?.to ?? span.to) : span.to },
    },
  ];
}

function firstLookBy(phases: readonly PhaseSpan[], reopened: PhaseSpan): CivilDate {
  const soon = addDays(reopened.from, FIRST_LOOK);
  const buildUp = phases.find(({ phase, from }) => phase === 'build-up' && from >= reopened.from);
  return buildUp ? laterOf(soon, addDays(buildUp.from, FIRST_FRAMES)) : soon;
}

/** The phase with which hives are opened again: the next one while they are shut, else the one that ended the last shut stretch. */
function reopening(
  phases: readonly PhaseSpan[],
  today: CivilDate,
  shut: (span: PhaseSpan) => boolean,
): PhaseSpan | null {
  const at = phases.findIndex(({ from, to }) => from <= today && today <= to);
  if (at < 0) return null;
  if (shut(phases[at]!)) return phases.slice(at + 1).find((span) => !shut(span)) ?? null;
  const before = phases.slice(0, at).findLastIndex(shut);
  return before < 0 ? null : phases[before + 1]!;
}
