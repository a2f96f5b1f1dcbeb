import { saying } from '../language';
import type { BoxKindId } from './boxes';
import type { Layer } from './stack';

/** What this room says, with the facts of each sentence. */
export interface EquipmentSentences {
  'no-such-part': { part: string };
  'keeps-part': { kind: Layer['kind'] };
  'last-box': null;
  'dummy-already': { box: string };
  'no-dummy': { box: string };
  'nothing-to-lie-on': { on: string };
  'not-on-roof': null;
  'part-twice': { part: string };
  'box-does-not-fit': { box: BoxKindId };
  'box-takes': { box: BoxKindId; frames: number };
  'part-taken': { part: string };
  'dummy-moved': { box: string; in: boolean };
  'part-put-on': { part: string; on: string };
  'box-put-on': { part: string; on: string; box: BoxKindId; frames: number };
}

export const say = saying<EquipmentSentences>('equipment');
