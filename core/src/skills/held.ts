import { addDays, type CivilDate, daysBetween } from '../units';
import type { Demonstration } from './demonstration';
import { type Forgetting, termOf } from './forgetting';
import type { EvidenceRule } from './skill';

const EPOCH: CivilDate = '2000-01-01';
const DAYS_A_MONTH = 30.4375;

/** Days since the epoch. */
export const dayOf = (day: CivilDate): number => daysBetween(EPOCH, day);
/** Days of a term in months, without an end for `null`. */
export const daysOf = (months: number | null): number =>
  months === null ? Infinity : Math.round(months * DAYS_A_MONTH);

/** What the evidence rule still asks for. */
export type Missing =
  | { readonly what: 'times' | 'days' | 'colonies' | 'assessors'; readonly have: number; readonly need: number }
  | { readonly what: 'lead' }
  /** Eighths that hidden readings are off on the mean, and what is allowed. */
  | { readonly what: 'readings'; readonly off: number; readonly allowed: number }
  /** Held once: faded on its last day, or help was needed twice running since. */
  | { readonly what: 'again'; readonly why: 'faded' | 'help needed' };

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
  private readonly fixed: number;

  constructor(
    private readonly rule: EvidenceRule,
    private readonly forgetting: Forgetting,
  ) {
    this.days = forgetting.school === 'fixed term' ? null : new Set();
    this.fixed = daysOf(rule.months);
  }

  /** Days for which it holds after a showing on a day. */
  after(day: CivilDate): number {
    if (!this.days) return this.fixed;
    this.days.add(day);
    return daysOf(termOf(this.rule.months, this.days.size, this.forgetting));
  }

  /** It had faded: the term starts anew. */
  startAnew(): void {
    this.days?.clear();
  }
}

const dates = new Map<number, CivilDate>();
const MOST_DATES = 20_000;

/** The day that lies so many days after the epoch; the same few hundred come up in all standings of a school. */
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
 * @param forgetting school of forgetting
 * @returns until when it is held or was held, `null` when it never was
 */
export function heldBy(
  rule: EvidenceRule,
  good: readonly Demonstration[],
  signed: CivilDate | null,
  forgetting: Forgetting,
): Held | null {
  const fixed = daysOf(rule.months);
  const term = new Term(rule, forgetting);
  let until = -Infinity;
  let since: string | null = null;
  let window = 0;
  let waiting = signed;
  for (let at = 0; at < good.length; at += 1) {
    const each = good[at]!;
    if (waiting !== null && waiting < each.day) {
      until = Math.max(until, dayOf(waiting) + term.after(waiting));
      since ??= `${waiting}T00:00`;
      waiting = null;
    }
    const day = dayOf(each.day);
    if (since !== null) {
      if (each.source === 'practice') continue;
      if (day > until) term.startAnew();
    } else {
      while (day - dayOf(good[window]!.day) > fixed) window += 1;
      if (at - window + 1 < rule.times || !isMet(rule, tallyOf(rule, good, window, at + 1))) continue;
    }
    until = Math.max(until, day + term.after(each.day));
    since = each.at;
  }
  if (waiting !== null) {
    until = Math.max(until, dayOf(waiting) + term.after(waiting));
    since ??= `${waiting}T00:00`;
  }
  return since === null ? null : { until, since };
}
