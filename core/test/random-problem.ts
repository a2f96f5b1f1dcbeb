import { readFileSync } from 'node:fs';
import type { InspectionPlan, PlanningProblem, Temp } from '../src/planning';
import { Random } from '../src/units';

/** Problems with known best plans and proven bounds, made once and kept: from three groups to sixty. */
export const KEPT = ['small-7', 'small-8', 'medium-7', 'medium-8', 'large-7', 'huge-7'] as const;

const read = (name: string): unknown =>
  JSON.parse(readFileSync(new URL(`plans/${name}.json`, import.meta.url), 'utf8'));
export const keptProblem = (name: string) => read(name) as PlanningProblem;
export const keptBest = (name: string) => read(`${name}.best`) as InspectionPlan & { bound: number };

interface Size {
  readonly groups: number;
  readonly hives: number;
  readonly slots: number;
  readonly days?: number;
  readonly sessions?: number;
  readonly maxHives?: number;
  readonly published?: boolean;
}

/** A random problem of the kind that a school has; the same seed gives the same problem. */
export function randomProblem(seed: number, size: Size): PlanningProblem {
  const random = new Random(seed);
  const between = (low: number, high: number) => low + random.below(high - low + 1);
  const amount = (low: number, high: number) => Number((low + random.unit() * (high - low)).toFixed(3));
  const some = <T>(items: readonly T[], share: number) => items.filter(() => random.unit() < share);
  const days = size.days ?? Math.max(3, size.slots);
  const skills = ['k0', 'k1', 'k2', 'k3', 'k4'];
  const slotIds = Array.from({ length: size.slots }, (_, t) => `t${t}`);
  const skillsOf = (share: number, value: () => number) =>
    Object.fromEntries(some(skills, share).map((skill) => [skill, value()]));
  const slotDays = slotIds.map(() => random.below(days)).sort((a, b) => a - b);
  const groups = Array.from({ length: size.groups }, (_, g) => ({
    id: `g${g}`,
    size: between(4, 8),
    sessions: size.sessions ?? between(1, 3),
    gapDays: between(1, 4),
    slots: some(slotIds, 0.7),
    pace: amount(1, 1.9),
    maxTemper: between(2, 5),
    lateAfter: between(2, days),
    needs: Object.fromEntries(
      some(skills, 0.6).map((skill) => [
        skill,
        { weight: amount(0.5, 2), covered: random.unit() < 0.5 ? 0 : amount(0, 0.6) },
      ]),
    ),
  }));
  const hives = Array.from({ length: size.hives }, (_, h) => {
    const from = random.below(days);
    return {
      id: `h${h}`,
      minutes: between(10, 30),
      temper: between(1, 4),
      restDays: between(2, 7),
      lastOpened: random.unit() < 0.4 ? null : -between(1, 8),
      noOpenBefore: random.unit() < 0.8 ? 0 : between(1, 3),
      due:
        random.unit() < 0.5
          ? {
              from,
              by: from + between(1, 5),
              weight: amount(3, 9),
              ...(random.unit() < 0.5 ? { every: between(2, 5) } : {}),
              ...(random.unit() < 0.3 ? { until: between(0, days) } : {}),
            }
          : null,
      hygiene: random.unit() < 0.2 ? ('suspect' as const) : ('clean' as const),
      disturb: amount(0.5, 2),
      skills: skillsOf(0.6, () => amount(0.2, 0.9)),
    };
  });
  return {
    format: 'inspection-plan-instance/1',
    name: `random-${seed}`,
    horizonDays: days,
    params: {
      ...keptProblem('small-7').params,
      maxHives: size.maxHives ?? 3,
    },
    skills,
    slots: slotIds.map((id, t) => ({
      id,
      day: slotDays[t]!,
      start: 600 + 150 * random.below(3),
      minutes: between(60, 130),
      fit: amount(0.4, 0.95),
      temp: (['cool', 'mild', 'warm', 'hot'] as const satisfies readonly Temp[])[random.below(4)]!,
      suits: between(8, 8 + 5 * size.groups),
      staffMinutes: random.unit() < 0.5 ? 0 : between(20, 60),
      staffVisits: between(0, 2),
    })),
    groups,
    supervisors: Array.from({ length: Math.max(1, Math.ceil(size.groups / 2)) }, (_, s) => ({
      id: `s${s}`,
      senior: s === 0 || random.unit() < 0.5,
      slots: some(slotIds, 0.8),
    })),
    hives,
    locks: [],
    published:
      size.published === true
        ? {
            sessions: groups.flatMap(({ id, slots }) =>
              slots.length === 0 ? [] : [{ group: id, slot: slots[0]!, hives: [hives[random.below(size.hives)]!.id] }],
            ),
          }
        : null,
  };
}
