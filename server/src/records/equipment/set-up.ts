import { inEnglish } from '../../words';
import { named } from '@brave-comb/core/language';
import { nestBoxes, supers } from '@brave-comb/core/equipment';
import type { HiveRow } from './store';

/** What of a hive's set-up may make a difference in winter, by name. */
export function setUpOf(hive: HiveRow): Readonly<Record<string, string>> {
  const frames = nestBoxes(hive.stack).reduce((sum, box) => sum + box.frames, 0);
  return {
    type: inEnglish(named('hiveType', hive.type)),
    'brood boxes': `${nestBoxes(hive.stack).length}`,
    'frames of the nest': `${frames}`,
    'super left on': supers(hive.stack).length > 0 ? 'yes' : 'no',
    stand: hive.stand,
  };
}
