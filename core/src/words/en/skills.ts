import type { Sentences } from '../../language';
import type { SkillsSentences } from '../../skills/said';
import { ruleText, standingText } from './standing';

/** Sentences of the room, from their facts. */
export const skillsSentences: Sentences<SkillsSentences> = {
  standing: ({ standing, rule }, w) => standingText(standing, rule, w),
  rule: ({ rule }, w) => ruleText(rule, w),
  'habit-off': ({ letter, counted, bias, least, most, count }, w) => {
    const off = bias < 0 ? (counted ? 'too few' : 'too little') : counted ? 'too many' : 'too much';
    return `Reads ${off} ${w.name('content', letter)}: by ${Math.abs(bias).toFixed(1)} eighths (${least} to ${most}) on ${count} sides.`;
  },
  'list-empty': 'A checklist needs at least one skill.',
  'list-same-id': ({ id }) => `Two skills have the id ${id}: give one of them another.`,
  'list-no-name': ({ id }) => `The skill ${id} needs a name.`,
  'list-unknown-need': ({ name, need }, w) => `“${w.text(name)}” needs ${need} first, which is not on the list.`,
  'list-circle': ({ names }, w) =>
    `These wait for each other: ${names.map((name) => w.text(name)).join(', ')}. Take one of the needs away.`,
  'habit-mixes': ({ from, to }, w) =>
    `Takes ${w.name('content', from)} for ${w.name('content', to)}: drill the two side by side.`,
};
