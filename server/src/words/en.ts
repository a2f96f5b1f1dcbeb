import type { Sentences } from '@brave-comb/core/language';
import type { ServerSentences } from './said';

/** Sentences of the server in English. */
export const serverSentences: Sentences<ServerSentences> = {
  lock: ({ why, to, date }, w) => `${w.text(why)}, until ${w.day(to, date)}.`,
  'leave-alone': ({ why, to, date }, w) => `Leave alone: ${w.text(why)}, until ${w.day(to, date)}.`,
  'better-left': ({ why, to, date }, w) => `Better left until ${w.day(to, date)}: ${w.text(why)}.`,
  'disease-suspected': ({ sick }, w) => `Disease suspected: ${w.text(sick)}`,
  asked: ({ title, question }, w) => {
    const asks = w.text(title);
    return `${asks}${asks.endsWith('?') ? '' : ':'} ${w.text(question)}`;
  },
};
