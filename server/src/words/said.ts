import { type Text, saying } from '@brave-comb/core/language';
import type { CivilDate } from '@brave-comb/core/units';

/** What the server itself says, with the facts of each sentence. */
export interface ServerSentences {
  lock: { why: Text; to: CivilDate; date: CivilDate };
  'leave-alone': { why: Text; to: CivilDate; date: CivilDate };
  'better-left': { why: Text; to: CivilDate; date: CivilDate };
  asked: { title: Text; question: Text };
  'disease-suspected': { sick: Text };
}

export const say = saying<ServerSentences>('server');
