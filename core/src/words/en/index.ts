import { biologyNames } from './biology';
import { careNames } from './care';
import { equipmentNames } from './equipment';
import { inspectionNames } from './inspection';
import { planningNames } from './planning';
import { practiceNames } from './practice';
import { seasonNames } from './season';
import { skillsNames } from './skills';
import { weatherNames } from './weather';

/** English: what each id is called, by the set that it is of. */
export const english = {
  ...biologyNames,
  ...equipmentNames,
  ...inspectionNames,
  ...seasonNames,
  ...weatherNames,
  ...careNames,
  ...skillsNames,
  ...planningNames,
  ...practiceNames,
};
