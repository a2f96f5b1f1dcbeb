import type { Language } from '../../../language';
import { britishDates } from '../dates';
import { careNames } from './care';
import { equipmentNames } from './equipment';
import { hiveTables } from './hive-tables';
import { inspectionNames } from './inspection';
import { planningNames } from './planning';
import { practiceNames } from './practice';
import { seasonNames } from './season';
import { skillsNames } from './skills';
import { weatherNames } from './weather';

/** What screens call each id, by the set that it is of. */
const names = {
  ...equipmentNames,
  ...inspectionNames,
  ...hiveTables,
  ...seasonNames,
  ...weatherNames,
  ...careNames,
  ...skillsNames,
  ...planningNames,
  ...practiceNames,
};

const both = new Intl.ListFormat('en-GB', { type: 'conjunction' });

/** English as far as every screen needs it: names, lists and dates, and no sentence yet. */
export const englishNames = {
  names,
  sentences: {},
  list: (parts: readonly string[]) => both.format(parts),
  dates: britishDates,
} satisfies Language;
