import { type Said, saying, type Text } from '../language';
import type { Letter } from '../inspection';
import type { EvidenceRule } from './skill';
import type { Standing } from './standing';

/** What this room says, with the facts of each sentence. */
export interface SkillsSentences {
  standing: { standing: Pick<Standing, 'state' | 'missing' | 'until' | 'signature'>; rule: EvidenceRule };
  rule: { rule: EvidenceRule };
  'habit-off': {
    letter: Letter;
    /** Whether its cells are counted, or it is measured. */
    counted: boolean;
    bias: number;
    least: string;
    most: string;
    count: number;
  };
  'list-empty': null;
  'list-same-id': { id: string };
  'list-no-name': { id: string };
  'list-unknown-need': { name: Text; need: string };
  'list-circle': { names: readonly Text[] };
  'habit-mixes': { from: Letter; to: Letter };
}

export const say = saying<SkillsSentences>('skills');

/** A standing as it is told, with what is missing or until when it holds. */
export const standingSaid = (
  { state, missing, until, signature }: SkillsSentences['standing']['standing'],
  rule: EvidenceRule,
): Said => say('standing', { standing: { state, missing, until, signature }, rule });

/** An evidence rule as it is told: what it takes and how long it holds. */
export const ruleSaid = (rule: EvidenceRule): Said => say('rule', { rule });
