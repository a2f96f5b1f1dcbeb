import { type CivilDate, addDays, daysBetween, laterOf } from '../units';
import type { ColonyEvent } from './colony-event';

type Treatment = Extract<ColonyEvent, { kind: 'treatment' }>;

/** One course of a medicine in a colony, from its first dose to the end of its withdrawal. */
export interface Course {
  readonly medicine: string;
  /** Day of the first dose. */
  readonly from: CivilDate;
  readonly given: number;
  readonly planned: number;
  readonly lastDose: CivilDate;
  /** By the label, the day of the next dose; `null` when none is to come. */
  readonly nextDose: CivilDate | null;
  /** Whether something lies in the hive that has to come out, and has not yet. */
  readonly toTakeOut: boolean;
  /** Last day with the medicine in the hive: as it was, or the earliest that it still can be. */
  readonly end: CivilDate;
  readonly ended: boolean;
  /** First day on which a new super may go on, counted from `end`; `null` when nobody entered the withdrawal. */
  readonly freeFrom: CivilDate | null;
  /** The label allows it with honey boxes on. */
  readonly supersAllowed: boolean;
  /** Days between doses and until removal, by the label. */
  readonly repeatAfter: number | null;
  readonly removeAfter: number | null;
  readonly withdrawal: number | null;
}

/** A dose later than its day still belongs to its course for this many days, or for one more interval. Common practice. */
const LATE = 14;

interface Open {
  readonly first: Treatment;
  lastDose: CivilDate;
  given: number;
  out: CivilDate | null;
}

const sameMedicine = (a: string, b: string): boolean => a.trim().toLowerCase() === b.trim().toLowerCase();

const lastDayOfNext = ({ first, lastDose }: Open): CivilDate =>
  addDays(lastDose, (first.repeatAfter ?? 0) + Math.max(LATE, first.repeatAfter ?? 0));

const waits = (course: Open, on: CivilDate): boolean =>
  course.out === null &&
  course.first.repeatAfter !== null &&
  course.given < course.first.doses &&
  daysBetween(on, lastDayOfNext(course)) >= 0;

/**
 * Every course of medicine that a colony had, each with its own end and its own withdrawal. A dose joins the course of the same medicine that
 * still waits for one; every other begins a course. The end counts from doses that were given: a late dose moves it, and so does one that is
 * overdue. What is not logged as taken out is in the hive still.
 *
 * @param events what was logged, in any order; "treatment-out" without a medicine takes out everything that lies in the hive
 * @param today civil date
 * @returns courses in the order in which they began
 * @throws RangeError for a malformed date
 * Source: common practice; the label and local law lead.
 */
export function coursesOf(events: readonly ColonyEvent[], today: CivilDate): readonly Course[] {
  const open: Open[] = [];
  for (const event of [...events].sort((a, b) => daysBetween(b.date, a.date))) {
    if (event.kind === 'treatment') {
      const running = open.find((each) => sameMedicine(each.first.medicine, event.medicine) && waits(each, event.date));
      const again = open.find(
        (each) => sameMedicine(each.first.medicine, event.medicine) && each.lastDose === event.date,
      );
      if (again) continue;
      if (running) {
        running.lastDose = event.date;
        running.given += 1;
      } else open.push({ first: event, lastDose: event.date, given: 1, out: null });
    }
    if (event.kind === 'treatment-out') takeOut(open, event);
  }
  return open.map((each) => courseOf(each, today));
}

function takeOut(open: readonly Open[], { date, medicine }: Extract<ColonyEvent, { kind: 'treatment-out' }>): void {
  const inside = open.filter(
    (each) => each.out === null && (each.first.removeAfter !== null || waits(each, date) || medicine !== undefined),
  );
  const meant = medicine ? inside.filter(({ first }) => sameMedicine(first.medicine, medicine)) : inside;
  for (const each of meant) each.out = laterOf(date, each.lastDose);
}

function courseOf(course: Open, today: CivilDate): Course {
  const { first, lastDose, given, out } = course;
  const { medicine, doses, repeatAfter, removeAfter, withdrawal } = first;
  const next = waits(course, today) ? addDays(lastDose, repeatAfter!) : null;
  const left = next === null ? 0 : doses - given;
  const finalDose = next === null ? lastDose : addDays(laterOf(next, today), (left - 1) * repeatAfter!);
  const planned = addDays(finalDose, removeAfter ?? 0);
  const toTakeOut = removeAfter !== null && out === null;
  const end = out ?? (toTakeOut ? laterOf(planned, today) : planned);
  return {
    medicine,
    from: first.date,
    given,
    planned: doses,
    lastDose,
    nextDose: next,
    toTakeOut,
    end,
    ended: next === null && !toTakeOut,
    freeFrom: withdrawal === null ? null : addDays(end, withdrawal),
    supersAllowed: first.supersAllowed ?? false,
    repeatAfter,
    removeAfter,
    withdrawal,
  };
}
