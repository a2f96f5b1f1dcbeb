import { upperFirst } from '../../units';
import type { Way } from '../../language';
import type { EvidenceRule, Missing } from '../../skills';
import type { SkillsSentences } from '../../skills/said';

/**
 * What is still missing, in words.
 *
 * @param missing one demand of the evidence rule
 * @param rule the rule
 * @param w how it is said
 * @returns a part of a sentence, nothing where another demand says it already
 */
export function missingText(missing: Missing, { level }: Pick<EvidenceRule, 'level'>, w: Way): string {
  const how = w.name('skillLevel', level);
  switch (missing.what) {
    case 'lead':
      return 'once before a lead instructor';
    case 'readings':
      return `hidden readings within ${missing.allowed} eighth${missing.allowed === 1 ? '' : 's'}, now ${missing.off.toFixed(1)} off`;
    case 'again':
      return missing.why === 'faded' ? `faded: ${how} once more` : `help was needed twice running: ${how} once more`;
    case 'times': {
      const left = missing.need - missing.have;
      return left === 1 ? `${how} once more` : `${how} ${left} more times`;
    }
    case 'days':
      return more(missing, 'on', 'day');
    case 'colonies':
      return more(missing, 'at', 'colony');
    case 'assessors':
      return missing.have > 0 ? 'judged by somebody else' : more(missing, 'judged by', 'person');
  }
}

const MANY = { day: 'days', colony: 'colonies', person: 'people' } as const;

/** How many others are needed; nothing where the first one is still to come and one is enough. */
function more(
  { have, need }: { readonly have: number; readonly need: number },
  how: string,
  one: keyof typeof MANY,
): string {
  const left = need - have;
  if (have === 0) return need === 1 ? '' : `${how} ${need} ${MANY[one]}`;
  return left === 1 ? `${how} another ${one}` : `${how} ${left} more ${MANY[one]}`;
}

/**
 * A standing in words, with what is missing or until when it holds.
 *
 * @param standing the standing
 * @param rule its evidence rule
 * @param w how it is said
 * @returns a sentence without a stop
 */
export function standingText(
  { state, missing, until, signature }: SkillsSentences['standing']['standing'],
  rule: EvidenceRule,
  w: Way,
): string {
  const fell = signature === 'fallen' ? '; the signature fell: evidence it rested on was struck' : '';
  const kept = signature === 'by-exception' && (state === 'shown' || state === 'signed-off') ? ' by exception' : '';
  if (state === 'not-met')
    return `not met: ${w.name('skillLevel', rule.level)} ${rule.times === 1 ? 'once' : `${rule.times} times`}`;
  const words = missing.map((each) => missingText(each, rule, w)).filter((text) => text !== '');
  if (words.length > 0) return `${w.name('standing', state)}: ${words.join(', ')}${fell}`;
  return until === null
    ? `${w.name('standing', state)}${kept}, for good`
    : `${w.name('standing', state)}${kept}, until ${w.date(until)}`;
}

const TIMES = ['once', 'twice', 'three times', 'four times', 'five times'] as const;

/**
 * An evidence rule as one sentence.
 *
 * @param rule the rule
 * @param w how it is said
 * @returns what it takes and how long it holds
 */
export function ruleText(rule: EvidenceRule, w: Way): string {
  const level = upperFirst(w.name('skillLevel', rule.level));
  const parts = [
    `${level} ${TIMES[rule.times - 1] ?? `${rule.times} times`}`,
    rule.days > 1 ? `on ${rule.days} days` : '',
    rule.colonies > 1 ? `at ${rule.colonies} colonies` : '',
    rule.assessors > 1 ? `judged by ${rule.assessors} people` : '',
    rule.lead ? 'once before a lead instructor' : '',
    rule.within === null
      ? ''
      : `hidden readings within ${rule.within} eighth${rule.within === 1 ? '' : 's'} on the mean`,
  ].filter((part) => part !== '');
  const indoors = rule.indoors === 0 ? '' : `; ${rule.indoors === 1 ? 'one' : rule.indoors} may come from practice`;
  const holds =
    rule.months === null
      ? 'Holds for good.'
      : rule.months === 'season'
        ? 'Holds for the season.'
        : `Holds ${rule.months} months.`;
  return `${parts.join(', ')}${indoors}. ${holds}`;
}
