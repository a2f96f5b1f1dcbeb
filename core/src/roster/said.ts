import { type Text, saying } from '../language';
import type { BoxKindId } from '../equipment';
import type { MarkColour } from '../biology';

/** What is asked about a pasted list, with the facts of each sentence. What stands in the list is told as it stands there. */
export interface RosterSentences {
  'nothing-pasted': null;
  'too-many-rows': { rows: number; most: number };
  'too-long': { cell: string; most: number };
  'empty-row': null;
  'row-of-sums': null;
  'left-out': null;
  'leave-out': null;
  'leave-as-is': null;
  'not-known': null;
  'it-is': { text: Text | number };

  'no-name': null;
  'person-is-there': { name: string; as: Text };
  'same-person': null;
  'another-person': null;
  'named-twice': { name: string; line: number };
  'two-people': null;
  'no-role': { text: string };
  'no-mail': { text: string };
  'without-mail': null;
  'without-group': null;
  trainee: null;
  supervisor: null;
  lead: null;

  'no-number': null;
  'hive-is-there': { number: string; site: string };
  'number-was-retired': { number: string };
  'number-twice': { number: string; line: number };
  'make-it': { number: string };
  'same-hive': null;
  'no-site': { text: string };
  'at-site': { site: string };
  'no-type': { text: string };
  'no-boxes': { text: string; what: 'brood' | 'supers' | 'frames' };
  'box-takes': { box: BoxKindId; takes: number; frames: number };
  'one-body': null;
  'colour-of-another-year': { colour: MarkColour; stands: number; year: number; wears: MarkColour };
  'of-year': { year: number; colour: MarkColour | null };
  'queen-of-the-future': { year: number };
  'old-queen': { year: number; age: number };
  'no-queen': { text: string };
  'no-day': { text: string };
  'day-ahead': { text: string };
  'since-usual': null;
}

export const say = saying<RosterSentences>('roster');
