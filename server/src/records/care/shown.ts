import type { Sayable } from '@brave-comb/core/language';
import type { Decision } from '@brave-comb/contract';
import { iso } from '../../dates';
import type { NamedDecision, NumberedFollowUp } from './store';

export const shownDecision = (row: NamedDecision): Sayable<Decision> => ({
  id: row.id,
  advice: row.advice,
  verdict: row.verdict,
  action: row.action,
  reason: row.reason,
  on: row.on_day,
  group: row.group_name,
  by: row.by_name,
  at: iso(row.at),
});

export const shownFollowUp = (row: NumberedFollowUp) => ({
  id: row.id,
  hive: row.hive_number,
  question: row.question,
  from: row.from_date,
  due: row.due,
  done: row.answered_by !== null || Boolean(row.settled_at),
});
