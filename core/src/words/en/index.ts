import { type CivilDate, dayAndMonth } from '../../units';
import { type InWords, type Language, inWords, wayOf } from '../../language';
import { biologySentences } from './biology';
import { careNames, careSentences } from './care';
import { equipmentNames, equipmentSentences } from './equipment';
import { exchangeSentences } from './exchange';
import { checklistNames } from './checklist';
import { topicNames } from './topics';
import { yearNames } from './year';
import { hiveTables } from './hive-tables';
import { inspectionNames, inspectionSentences } from './inspection';
import { planningNames, planningSentences } from './planning';
import { practiceNames, practiceSentences } from './practice';
import { seasonNames, seasonSentences } from './season';
import { skillsNames, skillsSentences } from './skills';
import { weatherNames, weatherSentences } from './weather';

/** What each id is called, by the set that it is of. */
const names = {
  ...equipmentNames,
  ...inspectionNames,
  ...hiveTables,
  ...checklistNames,
  ...yearNames,
  ...topicNames,
  ...seasonNames,
  ...weatherNames,
  ...careNames,
  ...skillsNames,
  ...planningNames,
  ...practiceNames,
};

const weekdays = new Intl.DateTimeFormat('en-GB', { weekday: 'short', timeZone: 'UTC' });
const both = new Intl.ListFormat('en-GB', { type: 'conjunction' });

/** English, as it is written in Britain. */
export const english = {
  names,
  sentences: {
    biology: biologySentences,
    care: careSentences,
    equipment: equipmentSentences,
    exchange: exchangeSentences,
    inspection: inspectionSentences,
    planning: planningSentences,
    practice: practiceSentences,
    season: seasonSentences,
    skills: skillsSentences,
    weather: weatherSentences,
  },
  list: (parts: readonly string[]) => both.format(parts),
  day: dayAndMonth,
  weekday: (date: CivilDate) => `${weekdays.format(new Date(date))} ${dayAndMonth(date)}`,
} satisfies Language;
const way = wayOf(english);

/** The same value with every sentence in English. */
export const inEnglish = <T>(value: T): InWords<T> => inWords(value, way);
export { counted } from './counted';
