import type { PollMoment } from '@brave-comb/core/practice';
import { DAY } from '@brave-comb/core/units';
import type { PollRow } from './store';

/** A poll can be made for sessions from yesterday until in two weeks. */
export const [BACK, AHEAD] = [DAY, 14 * DAY];

/** Whether the lesson of a poll is still to come. */
export const momentOf = (poll: Pick<PollRow, 'starts_at'>, now: Date): PollMoment =>
  now < poll.starts_at ? 'before' : 'after';
