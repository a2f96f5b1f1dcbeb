import type { Sayable } from '@brave-comb/core/language';
import type { GroupSheet } from '@brave-comb/contract';
import { HIVE_TYPES, nestBoxes } from '@brave-comb/core/equipment';
import { JOBS, type Job } from '@brave-comb/core/inspection';
import { jobRota, type RotaTurn, type TraineeTerms } from '@brave-comb/core/planning';
import { type SitePlan, asPlaced, setHives, standable, standingPlan } from '@brave-comb/core/site';
import { gateSkills, isOpen } from '@brave-comb/core/skills';
import type { HiveRow } from '../../records/equipment';
import type { JobsDone, SchoolStandings } from '../skills';

/** What decides who does what. */
export interface RotaFacts {
  readonly skills: Pick<SchoolStandings, 'checklist' | 'standing'>;
  /** Turns that everybody had in earlier visits. */
  readonly played: ReadonlyMap<string, JobsDone>;
  /** What single trainees may lift, and who works sitting. */
  readonly limits: ReadonlyMap<string, TraineeTerms>;
  /** Temper of each hive's colony of late. */
  readonly tempers: ReadonlyMap<string, number | null>;
}

/** The rota of a group at a hive, going on from the hives that it opened before; none for a group without trainees. */
export function rotaOf(
  facts: RotaFacts,
  trainees: readonly { readonly id: string; readonly name: string }[],
  hive: Pick<HiveRow, 'id' | 'stack' | 'type'>,
  earlier: readonly Pick<HiveRow, 'id' | 'stack' | 'type'>[],
): GroupSheet['rota'] {
  if (trainees.length === 0) return [];
  const { checklist, standing } = facts.skills;
  const people = trainees.map(({ id, name }) => ({
    id,
    name,
    open: checklist.skills.filter((skill) => isOpen(standing(id, skill.id))).map(({ role }) => role),
    seated: facts.limits.get(id)?.seated ?? false,
    had: facts.played.get(id)?.had ?? {},
  }));
  const barred = (trainee: string, temper: number | null) =>
    gateSkills(checklist, standing, trainee, temper).length > 0;
  const at = ({ id, stack, type }: typeof hive, before: readonly RotaTurn[]) =>
    jobRota(
      people.map((each) => ({ ...each, barred: barred(each.id, facts.tempers.get(id) ?? null) })),
      { frames: nestBoxes(stack)[0]!.frames, horizontal: HIVE_TYPES[type].horizontal },
      before,
    );
  const before = earlier.reduce<readonly RotaTurn[]>((turns, each) => [...turns, ...at(each, turns)], []);
  return at(hive, before).map((turn) => ({ ...turn, roles: { ...turn.roles } }));
}

/** Where everybody stands in the first turn. */
export function standingAt(
  hive: HiveRow,
  others: readonly HiveRow[],
  plan: SitePlan | null,
  rota: GroupSheet['rota'],
): Sayable<GroupSheet>['standing'] {
  const [own] = setHives([hive]);
  if (own === undefined) return null;
  const here = asPlaced(own);
  const neighbours = setHives(others.filter(({ id }) => id !== hive.id)).map(asPlaced);
  const roles = rota[0]?.roles;
  const people = Object.fromEntries(JOBS.map((role) => [role, roles?.[role].length ?? 0])) as Record<Job, number>;
  const { marks, says } = standingPlan(
    here,
    neighbours,
    people,
    (x, y) => plan === null || standable(plan, own.place, { east: x, north: y }),
  );
  return {
    faces: here.faces,
    marks: [...marks],
    neighbours: neighbours
      .map(({ number, x, y, faces }) => ({ number, x: x - here.x, y: y - here.y, faces }))
      .filter(({ x, y }) => Math.hypot(x, y) < NEAR),
    says: [...says],
  };
}

/** Metres within which neighbours are drawn. */
const NEAR = 6;
