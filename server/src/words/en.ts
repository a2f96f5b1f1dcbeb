import { type InWords, type Language, type Sentences, inWords, wayOf } from '@brave-comb/core/language';
import { english as core } from '@brave-comb/core/words';
import type { ServerSentences } from './said';

const sentences: Sentences<ServerSentences> = {
  lock: ({ why, to, date }, w) => `${w.text(why)}, until ${w.day(to, date)}.`,
  'leave-alone': ({ why, to, date }, w) => `Leave alone: ${w.text(why)}, until ${w.day(to, date)}.`,
  'better-left': ({ why, to, date }, w) => `Better left until ${w.day(to, date)}: ${w.text(why)}.`,
  'disease-suspected': ({ sick }, w) => `Disease suspected: ${w.text(sick)}`,
  asked: ({ title, question }, w) => {
    const asks = w.text(title);
    return `${asks}${asks.endsWith('?') ? '' : ':'} ${w.text(question)}`;
  },
};

const english: Language = { ...core, sentences: { ...core.sentences, server: sentences } };
const way = wayOf(english);

/** The same value with every sentence in English. */
export const inEnglish = <T>(value: T): InWords<T> => inWords(value, way);
