import type { Text } from '../language';
import { type CivilDate, daysBetween } from '../units';
import { type Advice, taskOfAdvice } from './advice';
import type { Due, Strict } from './dues-types';
import type { Errand } from './errand';

/** Something that a colony asks for, with the days on which it is in time. */
export interface Asks {
  /** The same for as long as it asks for the same. */
  readonly key: string;
  readonly what: Text;
  readonly why: Text;
  readonly from: CivilDate;
  readonly by: CivilDate;
  readonly strict: Strict;
  /** An advice on which nobody decided yet. */
  readonly toDecide: boolean;
  readonly errand: Errand;
  /** What is brought besides, in words. */
  readonly bring: Text | null;
}

/** How soon a colony needs somebody: within two days, within a week, later, or not at all. */
export const ATTENTION = ['now', 'this-week', 'later', 'nothing'] as const;
export type Attention = (typeof ATTENTION)[number];

/** Days from today until which something presses now, and this week. Common practice. */
const NOW = 2;
const A_WEEK = 7;
/** An advice this pressing is one that must be met, or should. */
const MUST = 0.75;
const SHOULD = 0.4;
/** Minutes that a question of the calendar takes at a hive that is opened for it, and at one that is not. Common practice. */
const LOOK = { opens: 12, outside: 5 } as const;
/** Advice that asks for nothing. */
const QUIET: ReadonlySet<Advice['kind']> = new Set<Advice['kind']>(['leave-alone']);
/** The advice that says what a task of the visit says, by the beginning of the task's key. */
const TOLD_BY: Readonly<Record<string, Advice['kind']>> = {
  mites: 'mites',
  entrance: 'entrance',
  inspector: 'health',
  stray: 'comb',
  defect: 'comb',
  level: 'comb',
  strap: 'comb',
  spacer: 'comb',
  wires: 'comb',
};
const STRICTLY: readonly Strict[] = ['must', 'should', 'may'];

/**
 * What a colony asks for, the most pressing first: its dues, and advice of its last visit that waits for a decision.
 *
 * @param dues from its calendar
 * @param undecided advice on which nobody decided
 * @param tasks keys of the tasks of visits by the ids of their dues: what an advice says too is not said twice, nor an advice that was put
 * on the list of the next visit, unless it presses sooner than that
 * @returns in the order in which they are due, stricter ones first on the same day
 */
export function asksOf(
  dues: readonly Due[],
  undecided: readonly Advice[],
  tasks: ReadonlyMap<string, string> = new Map(),
): readonly Asks[] {
  const advised = new Set<string>(undecided.map(({ kind }) => kind));
  const listed = new Map(dues.flatMap(({ id, due }) => (tasks.has(id) ? [[tasks.get(id)!, due] as const] : [])));
  const isListed = ({ kind, by }: Advice) => {
    const due = listed.get(taskOfAdvice(kind));
    return due !== undefined && due <= by;
  };
  const twice = ({ id }: Due) => advised.has(TOLD_BY[tasks.get(id)?.split('/')[0] ?? ''] ?? '');
  return [
    ...dues
      .filter((due) => !twice(due))
      .map(({ id, title, why, from, due, strict, opens, bring }): Asks => ({
        key: id,
        what: title,
        why,
        from,
        by: due,
        strict,
        toDecide: false,
        errand: { minutes: opens ? LOOK.opens : LOOK.outside, when: 'day', opens, brings: [] },
        bring,
      })),
    ...undecided
      .filter((advice) => !QUIET.has(advice.kind) && advice.pressing >= SHOULD && !isListed(advice))
      .map(({ kind, title, reasons, from, by, pressing, errand }): Asks => ({
        key: `advice:${kind}`,
        what: title,
        why: reasons.find(({ sense }) => sense === 'for')?.text ?? '',
        from,
        by,
        strict: pressing >= MUST ? 'must' : 'should',
        toDecide: true,
        errand,
        bring: null,
      })),
  ].sort((a, b) => a.by.localeCompare(b.by) || STRICTLY.indexOf(a.strict) - STRICTLY.indexOf(b.strict));
}

/**
 * How soon a colony needs somebody.
 *
 * @param asks what it asks for
 * @param today civil date
 * @returns by the soonest that must or should be met; what only may be never presses
 * @throws RangeError for a malformed date
 */
export function attentionOf(asks: readonly Asks[], today: CivilDate): Attention {
  const [first] = asks.filter(({ strict }) => strict !== 'may');
  if (!first) return asks.length > 0 ? 'later' : 'nothing';
  const left = daysBetween(today, first.by);
  return left <= NOW ? 'now' : left <= A_WEEK ? 'this-week' : 'later';
}
