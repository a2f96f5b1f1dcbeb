import type { PhaseSpan } from '../../season';
import { type Checklist, isOpen, type SkillJob, type Standings } from '../../skills';
import type { CivilDate } from '../../units';
import { windowOf } from './demand';
import type { Assignments, PlanningProblem, PlanSlot } from '../solver/problem';

/** Trainees who take a role one after the other at one hive. Common practice. */
const TURNS = 2;

/** Chance from which an opening counts as a chance to see something. */
const FAIR = 0.3;

/** Where a skill can next be practised. */
export interface NextChance {
  readonly slot: string;
  readonly hive: string;
  /** Chance that it is seen there, weather counted in, 0 to 1. */
  readonly chance: number;
  /** Whether the plan has this opening. */
  readonly planned: boolean;
}

/** What a planned session may be expected to offer those who still have to show a skill. */
export interface Offer {
  readonly slot: string;
  readonly group: string;
  /** Expected number of showings, weather and what the colonies have counted in; at most one a trainee. */
  readonly showings: number;
}

export interface SkillCoverage {
  readonly skill: string;
  /** Days of this year on which it can be seen, from today on; null when none are left or it does not depend on the season. */
  readonly window: { readonly from: CivilDate; readonly to: CivilDate } | null;
  readonly seasonal: boolean;
  /** Whether nobody of any group was ever seen at it. */
  readonly nobody: boolean;
  readonly groups: readonly {
    readonly group: string;
    /** Trainees who were seen at it, and those who still have to show it. */
    readonly seen: number;
    /** Trainees who were seen at it since the season began to show it. */
    readonly since: number;
    readonly open: number;
    readonly next: NextChance | null;
  }[];
  /** Planned sessions that offer it, in the order of time. */
  readonly offers: readonly Offer[];
}

/**
 * Which skills nobody has seen yet, when they can be seen, and the next chance of each group.
 *
 * @param facts the checklist, today, the phases of the year, the groups' trainees with their standings, the planning problem and the plan that holds
 * @returns one row for each skill of the checklist: first what nobody has seen and ends soonest
 */
export function coverageOf(facts: {
  readonly checklist: Checklist;
  readonly today: CivilDate;
  readonly phases: readonly PhaseSpan[];
  readonly groups: readonly { readonly id: string; readonly trainees: readonly string[] }[];
  readonly standing: Standings;
  readonly problem: PlanningProblem;
  readonly plan: Assignments;
}): readonly SkillCoverage[] {
  const rows = facts.checklist.skills.map(({ id: skill, season, role }): SkillCoverage => {
    const window = season === null ? null : windowOf(season, facts.phases, facts.today);
    const groups = facts.groups.map(({ id: group, trainees }) => ({
      group,
      seen: trainees.filter((each) => facts.standing(each, skill).level !== null).length,
      since:
        window === null ? 0 : trainees.filter((each) => (facts.standing(each, skill).last ?? '') >= window.from).length,
      open: trainees.filter((each) => isOpen(facts.standing(each, skill))).length,
      next: nextChance(facts.problem, facts.plan, group, skill),
    }));
    return {
      skill,
      seasonal: season !== null,
      window,
      nobody: groups.every(({ seen }) => seen === 0),
      groups,
      offers: offersOf(facts, skill, role, new Map(groups.map(({ group, open }) => [group, open]))),
    };
  });
  const ends = ({ window }: SkillCoverage) => window?.to ?? '9999-12-31';
  return rows.toSorted(
    (a, b) =>
      Number(b.nobody) - Number(a.nobody) ||
      Number(b.seasonal) - Number(a.seasonal) ||
      ends(a).localeCompare(ends(b)) ||
      openIn(b) - openIn(a),
  );
}

const openIn = ({ groups }: SkillCoverage) => groups.reduce((sum, { open }) => sum + open, 0);

/** A skill that everybody shows is offered to all at every hive; one of a role to those who have their turn in it. */
function offersOf(
  { problem, plan }: { readonly problem: PlanningProblem; readonly plan: Assignments },
  skill: string,
  role: SkillJob,
  open: ReadonlyMap<string, number>,
): readonly Offer[] {
  const slots = new Map(problem.slots.map((slot) => [slot.id, slot]));
  const chances = new Map(problem.hives.map(({ id, skills }) => [id, skills[skill] ?? 0]));
  return plan.sessions
    .flatMap(({ slot, group, hives }) => {
      const { fit } = slots.get(slot) ?? { fit: 0 };
      const all = open.get(group) ?? 0;
      const atOnce = role === 'everybody' ? all : Math.min(all, TURNS);
      const expected = hives.reduce((sum, hive) => sum + atOnce * (chances.get(hive) ?? 0), 0);
      const showings = fit * Math.min(all, expected);
      return showings > 0 ? [{ slot, group, showings }] : [];
    })
    .sort((a, b) => inTime(slots.get(a.slot)!, slots.get(b.slot)!));
}

const inTime = (a: PlanSlot, b: PlanSlot): number => a.day - b.day || a.start - b.start;

/** The first planned opening at which the colony is likely to show it, whatever its weather, else the first that could be had with a fair chance. */
function nextChance(problem: PlanningProblem, plan: Assignments, group: string, skill: string): NextChance | null {
  const slots = new Map(problem.slots.map((slot) => [slot.id, slot]));
  const shows = (hive: string) => problem.hives.find(({ id }) => id === hive)?.skills[skill] ?? 0;
  const chanceAt = (slot: string, hive: string) => slots.get(slot)!.fit * shows(hive);
  const sooner = (a: { slot: string }, b: { slot: string }) => inTime(slots.get(a.slot)!, slots.get(b.slot)!);
  const planned = plan.sessions
    .filter((session) => session.group === group && slots.has(session.slot))
    .flatMap(({ slot, hives }) => hives.map((hive) => ({ slot, hive, chance: chanceAt(slot, hive), planned: true })))
    .filter(({ hive }) => shows(hive) >= FAIR)
    .sort((a, b) => sooner(a, b) || b.chance - a.chance);
  if (planned[0] !== undefined) return planned[0];
  const terms = problem.groups.find(({ id }) => id === group);
  const offers = (terms?.slots ?? []).flatMap((slot) => {
    const { day, site } = slots.get(slot)!;
    return problem.hives
      .filter(
        (hive) =>
          hive.temper <= terms!.maxTemper &&
          day >= hive.noOpenBefore &&
          (hive.site === undefined || hive.site === site),
      )
      .map(({ id: hive }) => ({ slot, hive, chance: chanceAt(slot, hive), planned: false }));
  });
  return offers.filter(({ chance }) => chance >= FAIR).sort((a, b) => sooner(a, b) || b.chance - a.chance)[0] ?? null;
}
