import { type Advice, taskOfAdvice } from '@brave-comb/core/care';
import { type CivilDate, laterOf } from '@brave-comb/core/units';
import type { FollowUpRow } from '../../records/care';
import { say } from '../../words';

/**
 * The task of doing what an advice says, until somebody did it.
 *
 * @param place its id, school, hive, and the decision that it comes from, if from one
 * @param advised the advice
 * @param on the day that somebody chose; otherwise the days on which it is in time
 * @param instead what is done instead, in somebody's words; what the advice asks to be brought is not brought then
 */
export function advisedTask(
  place: Pick<FollowUpRow, 'id' | 'school' | 'hive' | 'decision'>,
  { kind, title, from, by, errand: { brings } }: Advice,
  on?: CivilDate,
  instead = '',
): FollowUpRow {
  return {
    ...place,
    // A visit brings its own tasks up to its entries; this one is none of them.
    visit: null,
    question: instead || title,
    from_date: on ?? from,
    due: on ?? laterOf(from, by),
    bring: instead || brings.length === 0 ? null : say('bring-along', { brings }),
    task: taskOfAdvice(kind),
    answered_by: null,
  };
}
