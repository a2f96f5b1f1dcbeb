import type { EquipmentSentences } from '../../equipment/said';
import type { Sentences } from '../../language';

/** Sentences of the room, from their facts. */
export const equipmentSentences: Sentences<EquipmentSentences> = {
  'no-such-part': ({ part }) => `There is no ${part} on this hive: load the visit again.`,
  'keeps-part': ({ kind }) => `A hive keeps its ${kind}: exchange it in the office.`,
  'last-box': 'The last box stays: the bees live in it.',
  'dummy-already': ({ box }) => `${box} has its dummy board already.`,
  'no-dummy': ({ box }) => `${box} has no dummy board to take out.`,
  'nothing-to-lie-on': ({ on }) => `There is no ${on} on this hive to put it on: choose another part.`,
  'not-on-roof': 'Nothing lies on the roof: choose a part under it.',
  'part-twice': ({ part }) => `This hive has a ${part} already: give it another name.`,
  'box-does-not-fit': ({ box }, w) => `${w.name('box', box)} does not fit this hive: choose a box of its own type.`,
  'box-takes': ({ box, frames }, w) => `${w.name('box', box)} takes ${frames} frames: enter ${frames} or fewer.`,
  'part-taken': ({ part }) => `${part} taken away`,
  'dummy-moved': ({ box, in: into }) => `dummy board ${into ? 'into' : 'out of'} ${box}`,
  'part-put-on': ({ part, on }) => `${part} put on ${on}`,
  'box-put-on': ({ part, on, box, frames }, w) => `${part} put on ${on} (${w.name('box', box)}, ${frames} frames)`,
};
