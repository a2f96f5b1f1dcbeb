import { PHASE_WORK, phaseOn } from '../season';
import { type CivilDate, addDays, dayAndMonth, daysBetween } from '../units';
import { careDates } from './calendar-care';
import { queenDates } from './calendar-queen';
import type {
  CalendarFacts,
  CalendarPractice,
  ColonyCalendar,
  ColonyClass,
  Load,
  Opening,
  Rest,
  SourceDue,
} from './calendar-types';
import { standing } from './standing-event';

const LOAD_DAYS = 30;

/** What a colony has had in the last thirty days, against the house limit. */
export function loadOf(openings: readonly Opening[], today: CivilDate, limits: CalendarPractice['load']): Load {
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
 * @example colonyCalendar(facts).dues[0]?.title
 */
export function colonyCalendar(facts: CalendarFacts): ColonyCalendar {
  const queen = queenDates(facts);
  const care = careDates(facts);
  const load = loadOf(facts.openings, facts.today, facts.practice.load);
  const rests = [...queen.rests, ...care.rests, ...openingRests(facts, load)].filter(
    (rest) => daysBetween(facts.today, rest.to) >= 0,
  );
  const dues = [...followUpDues(facts), ...queen.dues, ...care.dues, ...ordinaryDue(facts, rests)];
  return {
    dues: dues
      .map((due) => ({ ...due, clash: clashOf(due, rests) }))
      .sort((a, b) => daysBetween(b.due, a.due) || a.id.localeCompare(b.id)),
    rests: rests.sort((a, b) => daysBetween(b.from, a.from)),
    load,
    openFrom: openFrom(facts.today, rests),
  };
}

/** Why a due that opens the hive finds no free day in its span: the strict rest that covers all of it. */
function clashOf(due: SourceDue, rests: readonly Rest[]): string | null {
  if (!due.opens) return null;
  const strict = rests.filter((rest) => rest.strict === 'must');
  if (daysBetween(due.due, openFrom(due.from, strict)) <= 0) return null;
  const covering = strict.find((rest) => daysBetween(rest.from, due.due) >= 0 && daysBetween(due.due, rest.to) >= 0);
  return covering ? `${covering.why} (until ${dayAndMonth(covering.to)})` : null;
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
      cause: 'just opened',
      from: addDays(last.date, 1),
      to: addDays(last.date, practice.restDays),
      why: `Opened on ${dayAndMonth(last.date)}: every opening costs them part of a day`,
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
        why: `Enough of teaching for now: ${load.openings} openings, ${load.minutes} minutes open and ${load.stings} stings in 30 days`,
        strict: 'must',
      });
  }
  return rests;
}

/** First day on which the load of the last thirty days lies under every limit. */
function lightFrom(openings: readonly Opening[], today: CivilDate, practice: CalendarPractice): CivilDate {
  for (let day = 0; day <= LOAD_DAYS; day += 1) {
    const date = addDays(today, day);
    if (loadOf(openings, date, practice.load).over.length === 0) return date;
  }
  return addDays(today, LOAD_DAYS);
}

function followUpDues({ followUps }: CalendarFacts): readonly SourceDue[] {
  return followUps.map(({ id, question, from, due, bring }) => ({
    id: `follow-up-${id}`,
    title: question,
    from,
    due,
    why: 'Follow-up of a visit or a season event',
    strict: 'should',
    question,
    bring,
    opens: true,
  }));
}

const FACTOR: Readonly<Record<ColonyClass, number>> = { production: 1, teaching: 1, nucleus: 0.85, resting: 2 };

/** The ordinary look by phase and school. */
function ordinaryDue(facts: CalendarFacts, rests: readonly Rest[]): readonly SourceDue[] {
  const { today, phases, practice, colonyClass } = facts;
  const last = [...facts.openings].sort((a, b) => daysBetween(b.date, a.date)).at(-1);
  const span = phaseOn(phases, today);
  // A colony that raises a queen is looked at by her timetable, not by the ordinary one.
  if (!span || standing(facts, 'queen', ['eggs seen'])) return [];
  const since = last?.date ?? null;
  const own = practice.intervals[span.phase] ?? PHASE_WORK[span.phase].interval;
  const base = (why: string): Pick<SourceDue, 'id' | 'question' | 'bring' | 'opens' | 'why'> => ({
    id: 'ordinary',
    question: PHASE_WORK[span.phase].purposes.slice(0, 2).join('; '),
    bring: null,
    opens: true,
    why,
  });
  if (own === null) {
    const next = phases.find((each) => daysBetween(today, each.from) > 0 && PHASE_WORK[each.phase].interval !== null);
    return next
      ? [
          {
            ...base(`Shut in ${span.phase}; ${next.phase} begins about ${dayAndMonth(next.from)}`),
            title: 'First look of the year',
            from: next.from,
            due: addDays(next.from, 21),
            strict: 'may',
          },
        ]
      : [];
  }
  const cells = span.swarming && practice.catchCells && colonyClass !== 'resting';
  const [least, most] = cells
    ? [practice.swarmIntervalDays - 1, practice.swarmIntervalDays]
    : own.map((days) => Math.round(days * FACTOR[colonyClass]));
  const why = cells
    ? `${practice.swarmIntervalDays} days while swarms may leave: a cell is sealed on day 8. The other school: 10 to 15 days, or three weeks where nothing is asked of them`
    : colonyClass === 'resting'
      ? `Little is asked of it: ${least} to ${most} days in ${span.phase}`
      : `${least} to ${most} days in ${span.phase}. Work fits need: another school opens weekly in a flow`;
  const from = openFrom(
    since ? addDays(since, least!) : today,
    rests.filter((rest) => rest.strict === 'must'),
  );
  const due = since ? addDays(since, most!) : addDays(today, 7);
  return [
    {
      ...base(why),
      title: cells ? 'Look for queen cells' : 'Ordinary look',
      from,
      due: daysBetween(from, due) < 0 ? from : due,
      strict: cells ? 'must' : 'should',
    },
  ];
}
