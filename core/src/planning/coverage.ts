import { type Phase, PHASES, type PhaseSpan } from '../season';
import { CHECKLIST, isOpen, type Standings } from '../skills';
import { addDays, type CivilDate } from '../units';
import type { Assignments, PlanningProblem } from './problem';

/** The year from one phase to another, both with it. */
const between = (first: Phase, last: Phase): readonly Phase[] =>
  PHASES.slice(PHASES.indexOf(first), PHASES.indexOf(last) + 1);
const BROOD_TIME = between('first brood', 'making winter bees');
const DRONE_TIME = between('build-up', 'late flow');
const SUPER_TIME = between('swarm season', 'making winter bees');
/** When a skill can be seen at a hive; one that is not named can be shown at any opening. Common practice. */
const SEASON_OF_SKILL: Readonly<Record<string, readonly Phase[]>> = {
  'finds-eggs': BROOD_TIME,
  'ages-larvae': BROOD_TIME,
  'adds-brood': BROOD_TIME,
  'proves-queen': BROOD_TIME,
  'suspect-lids': BROOD_TIME,
  'limits-exposure': BROOD_TIME,
  'tells-lids': DRONE_TIME,
  'tells-cells': ['swarm season'],
  'weighs-first': SUPER_TIME,
  'lifts-box': SUPER_TIME,
};

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
    readonly open: number;
    readonly next: NextChance | null;
  }[];
}

/**
 * Which skills nobody has seen yet, when they can be seen, and the next chance of each group.
 *
 * @param facts today, the phases of the year, the groups' trainees with their standings, the planning problem and the plan that holds
 * @returns one row for each skill of the checklist: first what nobody has seen and ends soonest
 */
export function coverageOf(facts: {
  readonly today: CivilDate;
  readonly phases: readonly PhaseSpan[];
  readonly groups: readonly { readonly id: string; readonly trainees: readonly string[] }[];
  readonly standing: Standings;
  readonly problem: PlanningProblem;
  readonly plan: Assignments;
}): readonly SkillCoverage[] {
  const rows = CHECKLIST.map(({ id: skill }): SkillCoverage => {
    const groups = facts.groups.map(({ id: group, trainees }) => ({
      group,
      seen: trainees.filter((each) => facts.standing(each, skill) !== null).length,
      open: trainees.filter((each) => isOpen(facts.standing(each, skill))).length,
      next: nextChance(facts.problem, facts.plan, group, skill),
    }));
    const phases = SEASON_OF_SKILL[skill];
    return {
      skill,
      seasonal: phases !== undefined,
      window: phases === undefined ? null : windowOf(facts.phases, phases, facts.today),
      nobody: groups.every(({ seen }) => seen === 0),
      groups,
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

/** The days in one piece, from today on, on which the year is in one of these phases. */
function windowOf(spans: readonly PhaseSpan[], phases: readonly Phase[], today: CivilDate): SkillCoverage['window'] {
  const left = spans
    .filter(({ phase, to }) => phases.includes(phase) && to >= today)
    .sort((a, b) => a.from.localeCompare(b.from));
  const [first] = left;
  if (first === undefined) return null;
  const to = left.reduce((end, span) => (span.from <= addDays(end, 1) && span.to > end ? span.to : end), first.to);
  return { from: first.from < today ? today : first.from, to };
}

/** The first planned opening with a fair chance, else the first opening that could be had. */
function nextChance(problem: PlanningProblem, plan: Assignments, group: string, skill: string): NextChance | null {
  const slots = new Map(problem.slots.map((slot) => [slot.id, slot]));
  const chanceAt = (slot: string, hive: string) =>
    slots.get(slot)!.fit * (problem.hives.find(({ id }) => id === hive)?.skills[skill] ?? 0);
  const inTime = (a: { slot: string }, b: { slot: string }) => {
    const [one, other] = [slots.get(a.slot)!, slots.get(b.slot)!];
    return one.day - other.day || one.start - other.start;
  };
  const planned = plan.sessions
    .filter((session) => session.group === group && slots.has(session.slot))
    .flatMap(({ slot, hives }) => hives.map((hive) => ({ slot, hive, chance: chanceAt(slot, hive), planned: true })))
    .filter(({ chance }) => chance >= FAIR)
    .sort((a, b) => inTime(a, b) || b.chance - a.chance);
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
  return offers.filter(({ chance }) => chance >= FAIR).sort((a, b) => inTime(a, b) || b.chance - a.chance)[0] ?? null;
}
