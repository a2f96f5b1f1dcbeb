import type { Sentences } from '../../language';
import type { SituationSentences } from '../../situation';

export const situationSentences: Sentences<SituationSentences> = {
  'no-nest-box': 'The stack has no box: name at least one, such as national-brood.',
  'not-in-the-stack': ({ part, parts }, w) =>
    `There is no box called “${part}” on this hive; its boxes are ${w.list(parts.map((each) => `“${each}”`))}.`,
  'two-parts-alike': ({ part }) => `Two boxes are called “${part}”: give one of them another id.`,
  'too-many-frames': ({ part, frames, takes }) => `“${part}” is said to hold ${frames} frames; at most ${takes} fit.`,
  'side-line': ({ line, why }, w) => `“${line}”: ${w.text(why)}`,
  'no-such-plant': ({ plant }) => `No plant of the list is called “${plant}”.`,
  'year-begins': ({ latitude }) =>
    `At ${latitude}° between the tropics the year has no winter solstice to count from: say when it begins, "yearBegins": "12-21" for instance.`,
  'last-before-first': ({ plant }) => `“${plant}” is over before it opens: check its two dates.`,
  'before-is-not-before': ({ date, today }) =>
    `A look of ${date} is not before ${today}: the look of the day is "visit".`,
  'event-ahead': ({ date, today }) => `What happened on ${date} has not happened by ${today}.`,
  'measure-unfit': ({ why }) => `A measure cannot be: ${why}.`,
  'phase-said': 'said by whoever wrote the situation',
};
