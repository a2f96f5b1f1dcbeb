import { type CivilDate, addDays, daysBetween, laterOf } from '../units';
import type { Feeding } from './feed-uptake';
import { say } from './said';
import { type Text, inOne } from '../language';
import type { Course } from './treatments';

/** Without a withdrawal from the label its honey counts as bound for so many days. Common practice. */
const UNKNOWN = 365;
/** A box of which nobody noted when it came on counts as having stood on during courses that bind now or did so within these days. */
const LATELY = 60;

/** Since when a honey box stands on a hive; `null` when nobody noted it. */
export interface StandingSuper {
  readonly name: Text;
  readonly since: CivilDate | null;
}

export interface HoneyLock {
  /** Day from which a **new** super may go on; `null` when it may go on today. */
  readonly superOnFrom: CivilDate | null;
  /** Day until which they carry a feed into the combs, a super's as well; `null` when they are not fed. */
  readonly fedUntil: CivilDate | null;
  /** Honey boxes that stand on the hive. */
  readonly standing: readonly Text[];
  /** Medicines of which nobody entered the withdrawal: no day can be given. */
  readonly unknown: readonly string[];
  /** Boxes on the hive whose honey is not for people, each with the reason. */
  readonly locked: readonly { readonly name: Text; readonly why: Text }[];
  readonly says: Text | null;
}

/**
 * What the medicines and feeds of a colony mean for its honey. The withdrawal frees a new super; a box that stood on during a course, or was
 * put on inside its withdrawal, stays locked for harvest, and so does one into which a feed was carried.
 *
 * @param courses every course of the colony
 * @param supers the honey boxes on it, with the day on which each came on
 * @param today civil date
 * @param feedings what they were fed, and until when they carry it down
 * @returns the day for a new super, boxes that are locked, and one sentence, `null` when nothing binds
 * @throws RangeError for a malformed date
 * Source: common practice (regulation asks for it in most places); the label and local law lead.
 */
export function honeyLock(
  courses: readonly Course[],
  supers: readonly StandingSuper[],
  today: CivilDate,
  feedings: readonly Feeding[] = [],
): HoneyLock {
  const binding = courses.filter((course) => !course.supersAllowed);
  const unknown = binding
    .filter((course) => course.freeFrom === null && today < bindsUntil(course))
    .map(({ medicine }) => medicine);
  const ahead = binding.flatMap(({ freeFrom }) =>
    freeFrom !== null && daysBetween(today, freeFrom) > 0 ? [freeFrom] : [],
  );
  const superOnFrom = latest(ahead);
  const fed = feedings.filter(({ from }) => from <= today);
  const fedUntil = latest(fed.flatMap(({ until }) => (until > today ? [until] : [])));
  const locked = supers.flatMap((box) => {
    const why = boundWhy(box, binding, today) ?? fedWhy(box, fed, today);
    return why === null ? [] : [{ name: box.name, why }];
  });
  const parts = [
    superOnFrom ? say('new-super-harvest-may-go', { superOnFrom, today }) : null,
    unknown.length > 0 ? say('enter-withdrawal-label-day-can', { medicines: unknown }) : null,
    fedUntil ? say('super-once-feeder-off', { fedUntil, today }) : null,
    locked.length > 0 ? say('harvest-waiting-frees-these-boxes', { boxes: locked }) : null,
  ].filter((part) => part !== null);
  return {
    superOnFrom,
    fedUntil,
    standing: supers.map(({ name }) => name),
    unknown,
    locked,
    says: parts.length === 0 ? null : inOne(parts),
  };
}

const latest = (dates: readonly CivilDate[]): CivilDate | null =>
  dates.length === 0 ? null : dates.reduce((a, b) => laterOf(a, b));

/** Why a medicine keeps the honey of a box from people; `null` when none does. */
function boundWhy({ since }: StandingSuper, binding: readonly Course[], today: CivilDate): Text | null {
  const stood = binding.find(
    (course) =>
      course.from <= today &&
      (since === null ? daysBetween(bindsUntil(course), today) <= LATELY : since < bindsUntil(course)),
  );
  if (!stood) return null;
  return since === null || daysBetween(since, stood.from) >= 0
    ? say('stood-during', { medicine: stood.medicine, from: stood.from, today })
    : say('put-inside-withdrawal', { since, today, medicine: stood.medicine, freeFrom: stood.freeFrom });
}

/** Which feed was carried into a box; `null` when none was. */
function fedWhy({ since }: StandingSuper, fed: readonly Feeding[], today: CivilDate): Text | null {
  const into = fed.find(({ until }) => (since === null ? daysBetween(until, today) <= LATELY : since < until));
  return into ? say('while-carried-down', { what: into.what, from: into.from, today }) : null;
}

const bindsUntil = ({ freeFrom, end }: Course): CivilDate => freeFrom ?? addDays(end, UNKNOWN);

/** The course that binds honey on a day, of several the one that frees last; `null` when none does. */
export function boundBy(courses: readonly Course[], date: CivilDate): Course | null {
  return courses
    .filter((course) => !course.supersAllowed && course.from <= date && date < bindsUntil(course))
    .reduce<Course | null>((last, each) => (last && bindsUntil(last) >= bindsUntil(each) ? last : each), null);
}
