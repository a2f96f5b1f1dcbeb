import { addDays, type CivilDate, daysBetween } from '../units';
import type { Demonstration } from './demonstration';
import { type Forgetting, termOf } from './forgetting';
import type { EvidenceRule, HoldingTerm } from './skill';

const EPOCH: CivilDate = '2000-01-01';
const DAYS_A_MONTH = 30.4375;

const numbers = new Map<CivilDate, number>();
const MOST_DATES = 20_000;

/** Days since the epoch; the same few hundred come up in all standings of a school. */
export function dayOf(day: CivilDate): number {
  let number = numbers.get(day);
  if (number === undefined) {
    if (numbers.size >= MOST_DATES) numbers.clear();
    numbers.set(day, (number = daysBetween(EPOCH, day)));
  }
  return number;
}

/** What standings are reckoned by besides the evidence. */
export interface Calendar {
  readonly today: CivilDate;
  readonly forgetting: Forgetting;
  /** First day of the year of growth, `MM-DD`: what holds for a season ends before it. */
  readonly turn: string;
}

/** Last day, since the epoch, of the year of growth that a day lies in. */
function lastOfSeason(day: CivilDate, turn: string): number {
  const year = Number(day.slice(0, 4));
  return dayOf(`${String(day.slice(5) < turn ? year : year + 1)}-${turn}`) - 1;
}

/** Last day, since the epoch, on which what was shown on a day still holds by a term. */
export function lastDay(term: HoldingTerm, day: CivilDate, turn: string): number {
  if (term === 'season') return lastOfSeason(day, turn);
  return term === null ? Infinity : dayOf(day) + Math.round(term * DAYS_A_MONTH);
}

/** What the evidence rule still asks for. */
export type Missing =
  | { readonly what: 'times' | 'days' | 'colonies' | 'assessors'; readonly have: number; readonly need: number }
  | { readonly what: 'lead' }
  /** Eighths that hidden readings are off on the mean, and what is allowed. */
  | { readonly what: 'readings'; readonly off: number; readonly allowed: number }
  /** Held once: faded on its last day, or help was needed twice running since. */
  | { readonly what: 'again'; readonly why: 'faded' | 'help-needed' };

/** What some demonstrations amount to. */
interface Tally {
  readonly times: number;
  readonly days: number;
  readonly colonies: number;
  readonly assessors: number;
  readonly lead: boolean;
}

/** Counts the demonstrations from one place to another. Practice counts up to its limit, and for no colony and no assessor. */
function tallyOf(rule: EvidenceRule, shown: readonly Demonstration[], from: number, to: number): Tally {
  let [atHive, indoors, days, colonies, assessors, lead] = [0, 0, 0, 0, 0, false];
  for (let at = from; at < to; at += 1) {
    const each = shown[at]!;
    let [newDay, newColony, newAssessor] = [true, each.colony !== null, each.assessor !== null];
    for (let before = from; before < at; before += 1) {
      const earlier = shown[before]!;
      if (earlier.day === each.day) newDay = false;
      if (earlier.source === 'practice') continue;
      if (earlier.colony === each.colony) newColony = false;
      if (earlier.assessor === each.assessor) newAssessor = false;
    }
    days += Number(newDay);
    if (each.source === 'practice') {
      indoors += 1;
      continue;
    }
    atHive += 1;
    colonies += Number(newColony);
    assessors += Number(newAssessor);
    lead ||= each.lead;
  }
  return { times: atHive + Math.min(rule.indoors, indoors), days, colonies, assessors, lead };
}

const isMet = (rule: EvidenceRule, { times, days, colonies, assessors, lead }: Tally): boolean =>
  times >= rule.times &&
  days >= rule.days &&
  (rule.colonies <= 1 || colonies >= rule.colonies) &&
  assessors >= rule.assessors &&
  (lead || !rule.lead);

/** What some demonstrations leave of the rule's demands. */
export function missingOf(rule: EvidenceRule, shown: readonly Demonstration[]): readonly Missing[] {
  const tally = tallyOf(rule, shown, 0, shown.length);
  const counts = (['times', 'days', 'colonies', 'assessors'] as const).map((what) => ({
    what,
    have: tally[what],
    need: rule[what],
  }));
  return [
    ...counts.filter(({ what, have, need }) => have < need && (what !== 'colonies' || need > 1)),
    ...(rule.lead && !tally.lead ? [{ what: 'lead' } as const] : []),
  ];
}

/** Counts the days on which something was shown, where the term grows with them: a fixed term asks for none. */
class Term {
  private readonly days: Set<CivilDate> | null;

  constructor(
    private readonly rule: EvidenceRule,
    private readonly calendar: Calendar,
  ) {
    this.days = calendar.forgetting.school === 'fixed-term' ? null : new Set();
  }

  /** Last day on which it holds after a showing on a day. */
  until(day: CivilDate): number {
    const { forgetting, turn } = this.calendar;
    if (!this.days) return lastDay(this.rule.months, day, turn);
    this.days.add(day);
    return lastDay(termOf(this.rule.months, this.days.size, forgetting), day, turn);
  }

  /** It had faded: the term starts anew. */
  startAnew(): void {
    this.days?.clear();
  }
}

const dates = new Map<number, CivilDate>();

/** The day that lies so many days after the epoch. */
export function dateOf(number: number): CivilDate {
  let date = dates.get(number);
  if (date === undefined) {
    if (dates.size >= MOST_DATES) dates.clear();
    dates.set(number, (date = addDays(EPOCH, number)));
  }
  return date;
}

/** Until when a skill is held, in days since the epoch, and since which moment it was not shown better. */
export interface Held {
  readonly until: number;
  /** ISO instant. */
  readonly since: string;
}

/**
 * Walks through the judgements in order: when the rule was first met, how long each further showing carried it on.
 *
 * @param rule the skill's
 * @param good demonstrations at the level that is asked for or better, oldest first
 * @param signed day of a signature, or of what was carried over; `null` without one
 * @param calendar school of forgetting, turn of the year
 * @returns until when it is held or was held, `null` when it never was
 */
export function heldBy(
  rule: EvidenceRule,
  good: readonly Demonstration[],
  signed: CivilDate | null,
  calendar: Calendar,
): Held | null {
  const term = new Term(rule, calendar);
  let until = -Infinity;
  let since: string | null = null;
  let window = 0;
  let waiting = signed;
  for (let at = 0; at < good.length; at += 1) {
    const each = good[at]!;
    if (waiting !== null && waiting < each.day) {
      until = Math.max(until, term.until(waiting));
      since ??= `${waiting}T00:00`;
      waiting = null;
    }
    const day = dayOf(each.day);
    if (since !== null) {
      if (each.source === 'practice') continue;
      if (day > until) term.startAnew();
    } else {
      while (lastDay(rule.months, good[window]!.day, calendar.turn) < day) window += 1;
      if (at - window + 1 < rule.times || !isMet(rule, tallyOf(rule, good, window, at + 1))) continue;
    }
    until = Math.max(until, term.until(each.day));
    since = each.at;
  }
  if (waiting !== null) {
    until = Math.max(until, term.until(waiting));
    since ??= `${waiting}T00:00`;
  }
  return since === null ? null : { until, since };
}
