import { type InWords, type Language, inWords, wayOf } from '../../language';
import { biologySentences } from './biology';
import { careSentences } from './care';
import { checklistNames } from './checklist';
import { equipmentSentences } from './equipment';
import { exchangeSentences } from './exchange';
import { houseNames, houseSentences } from './house';
import { inspectionSentences } from './inspection';
import { englishNames } from './names';
import { planningSentences } from './planning';
import { practiceSentences } from './practice';
import { rosterSentences } from './roster';
import { seasonSentences } from './season';
import { siteSentences } from './site';
import { situationSentences } from './situation';
import { skillsSentences } from './skills';
import { topicNames } from './topics';
import { weatherSentences } from './weather';
import { wrongNames } from './wrong';
import { yearNames } from './year';

/** English, as it is written in Britain. */
export const english = {
  ...englishNames,
  names: { ...englishNames.names, ...checklistNames, ...yearNames, ...topicNames, ...houseNames, wrong: wrongNames },
  sentences: {
    biology: biologySentences,
    care: careSentences,
    equipment: equipmentSentences,
    exchange: exchangeSentences,
    house: houseSentences,
    inspection: inspectionSentences,
    planning: planningSentences,
    practice: practiceSentences,
    roster: rosterSentences,
    season: seasonSentences,
    site: siteSentences,
    situation: situationSentences,
    skills: skillsSentences,
    weather: weatherSentences,
  },
} satisfies Language;
const way = wayOf(english);

/** The same value with every sentence in English. */
export const inEnglish = <T>(value: T): InWords<T> => inWords(value, way);
export { counted, ordinal } from './counted';
export { spokenTime } from './spoken';
