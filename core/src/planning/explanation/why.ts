import type { Text } from '../../language';
import { say } from '../said';
import { type Checklist, skillOf } from '../../skills';
import { meanOf } from '../../statistics';
import { plannedSkill } from '../terms/group-terms';
import type { OpeningReason } from './reasons';

/** What speaks for a hive being opened by a group on a day. */
export interface HiveChoice {
  readonly hive: string;
  /** Mood at each earlier visit, 1 quiet to 5 close; newest last. */
  readonly moods: readonly number[];
  /** Moods of the other hives' visits, to compare with. */
  readonly otherMoods: readonly (readonly number[])[];
  readonly openedInThirtyDays: number;
  readonly openingLimit: number;
  /** Open follow-ups with the days until their last day. */
  readonly due: readonly { readonly daysLeft: number }[];
  /** Skills that are still open in the group, by how many of its trainees. */
  readonly openSkills: readonly {
    readonly name: Text;
    readonly trainees: number;
  }[];
  readonly groupSize: number;
  readonly heaviestLiftKg: number | null;
}

/**
 * Why this group opens this hive, the strongest reasons first.
 *
 * @param choice the hive, its record and the group's needs
 * @returns up to three short sentences, each with its number
 */
export function whyThisHive(choice: HiveChoice): readonly Text[] {
  const reasons: { readonly text: Text; readonly weight: number }[] = [];
  const [first] = [...choice.due].sort((a, b) => a.daysLeft - b.daysLeft);
  if (first) {
    const { daysLeft } = first;
    reasons.push({
      text: say('why-due', { daysLeft, questions: choice.due.length }),
      weight: 3 - Math.max(-1, daysLeft) / 10,
    });
  }
  for (const { name, trainees } of choice.openSkills) {
    reasons.push({
      text: say('why-skill', { trainees, of: choice.groupSize, name }),
      weight: 1 + trainees / choice.groupSize,
    });
  }
  const temper = temperReason(choice);
  if (temper) reasons.push(temper);
  reasons.push({
    text: say('why-opened', { times: choice.openedInThirtyDays, limit: choice.openingLimit }),
    weight: choice.openedInThirtyDays >= choice.openingLimit ? 2.6 : 0.9,
  });
  if (choice.heaviestLiftKg === null) reasons.push({ text: say('why-nothing-to-lift'), weight: 0.8 });
  return reasons
    .sort((a, b) => b.weight - a.weight)
    .slice(0, 3)
    .map((reason) => reason.text);
}

function temperReason(choice: HiveChoice): { readonly text: Text; readonly weight: number } | null {
  if (choice.moods.length === 0) return null;
  const mood = meanOf(choice.moods);
  const others = choice.otherMoods.filter((each) => each.length > 0).map(meanOf);
  const calmer = others.filter((other) => other < mood).length;
  const figure = { mood, visits: choice.moods.length };
  if (calmer === 0 && mood < 2.5)
    return { text: say('why-calmest', { of: others.length + 1, ...figure }), weight: 2.2 };
  if (mood >= 2.5) return { text: say('why-lively', figure), weight: 2.4 };
  return { text: say('why-easy', figure), weight: 1 };
}

/** What is due, without the reasons that its title goes on to give. */
export const shortTitle = (title: string): string => title.split(/[:?]/)[0]!;

/** Points from which a reason is worth a line. */
const WORTH_SAYING = 0.5;

/**
 * What an opening was planned for, in words.
 *
 * @param reason what it adds to the plan
 * @param due what is due at the hive, null when nothing is
 * @param checklist names the skills
 * @returns up to two sentences, the weightier first
 */
export function plannedFor(
  { marginal, skills }: OpeningReason,
  due: string | null,
  checklist: Checklist,
): readonly Text[] {
  const { care, skill } = marginal.parts;
  const names = skills.slice(0, 2).map((each) => {
    const planned = plannedSkill(each.skill);
    return { name: skillOf(checklist, planned.skill)?.name ?? planned.skill, seated: planned.seated };
  });
  return [
    { points: care, text: due === null ? say('for-its-turn') : say('for-due', { title: shortTitle(due) }) },
    { points: skill, text: say('for-practice', { skills: names }) },
  ]
    .filter(({ points }) => points >= WORTH_SAYING)
    .sort((a, b) => b.points - a.points)
    .map(({ text }) => text);
}
