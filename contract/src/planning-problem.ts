import * as z from 'zod';
import {
  PLAN_FORMAT,
  PROBLEM_FORMAT,
  TEMPS,
  type InspectionPlan,
  type PlanningProblem,
} from '@brave-comb/core/planning';

const Id = z.string().min(1);
const Whole = z.int().nonnegative();
const Share = z.number().min(0).max(1);
const Amount = z.number().nonnegative();

const Curve = z
  .object({ L: z.array(Amount).min(2), F: z.array(Share).min(2) })
  .refine(({ L, F }) => L.length === F.length, 'L and F need the same number of points.')
  .refine(({ L, F }) => L[0] === 0 && F[0] === 0, 'The curve begins at (0, 0).')
  .refine(({ L }) => L.every((at, i) => i === 0 || at > (L[i - 1] ?? 0)), 'L must rise from point to point.')
  .refine(({ L, F }) => {
    const slopes = L.slice(1).map((at, i) => ((F[i + 1] ?? 0) - (F[i] ?? 0)) / (at - (L[i] ?? 0)));
    return slopes.every((slope, i) => slope >= 0 && (i === 0 || slope <= (slopes[i - 1] ?? 0) + 1e-9));
  }, 'The curve must rise, and ever less: each further practice counts no more than the one before.')
  .meta({ example: { L: [0, 2, 5], F: [0, 0.6, 1] } });

const Params = z.object({
  maxHives: z.int().min(1).max(20),
  setupMinutes: Amount,
  careLateRate: Share,
  tempFactor: z.record(z.enum(TEMPS), Amount),
  pMax: z.number().min(0).lt(1),
  pwl: Curve,
  weights: z.object({
    skill: Amount,
    session: Amount,
    shortfall: Amount,
    care: Amount,
    disturb: Amount,
    staffVisit: Amount,
    late: Amount,
    fairness: Amount,
    changeSession: Amount,
    changeHive: Amount,
  }),
});

const Slot = z.object({
  id: Id,
  day: z.int(),
  start: z.int().min(0).max(1439),
  minutes: Amount,
  fit: Share,
  temp: z.enum(TEMPS),
  suits: Whole,
  staffMinutes: Amount,
  staffVisits: Whole,
  site: Id.optional(),
});

const Group = z.object({
  id: Id,
  size: Whole,
  sessions: Whole,
  gapDays: Amount,
  slots: z.array(Id),
  pace: z.number().positive(),
  maxTemper: z.number(),
  lateAfter: z.number(),
  needs: z.record(z.string(), z.object({ weight: Amount, covered: Share })),
});

const Hive = z.object({
  id: Id,
  minutes: Amount,
  temper: z.number(),
  restDays: Amount,
  lastOpened: z.number().nullable(),
  noOpenBefore: z.number(),
  due: z
    .object({
      from: z.number(),
      by: z.number(),
      weight: Amount,
      every: z.number().min(1).optional(),
      until: z.number().optional(),
    })
    .nullable(),
  hygiene: z.enum(['clean', 'doubtful', 'suspect']),
  disturb: Amount,
  skills: z.record(z.string(), Share),
  site: Id.optional(),
});

const Lock = z.union([
  z.object({ staff: z.literal(true), hive: Id, slot: Id }),
  z.object({
    group: Id,
    slot: Id,
    hives: z.array(Id).optional(),
    supervisor: Id.optional(),
    staff: z.undefined().optional(),
  }),
]);

const Forbid = z
  .object({ group: Id.optional(), slot: Id.optional(), hive: Id.optional(), staff: z.literal(true).optional() })
  .refine(
    ({ group, slot, hive }) => group !== undefined || slot !== undefined || hive !== undefined,
    'Name a group, a slot or a hive: what names nothing would forbid everything.',
  );

const Told = z.object({ group: Id, slot: Id, hives: z.array(Id), supervisor: Id.optional() });

type Problem = z.output<typeof Shape>;
const Shape = z.object({
  format: z.literal(PROBLEM_FORMAT),
  name: z.string(),
  horizonDays: Amount,
  params: Params,
  skills: z.array(Id),
  slots: z.array(Slot),
  groups: z.array(Group),
  supervisors: z.array(z.object({ id: Id, senior: z.boolean(), slots: z.array(Id) })),
  hives: z.array(Hive),
  locks: z.array(Lock),
  forbids: z.array(Forbid).optional(),
  published: z.object({ sessions: z.array(Told) }).nullable(),
});

/** Names that are used twice or stand for nothing, with where they stand. */
function* loose(problem: Problem): Generator<{ path: PropertyKey[]; message: string }> {
  const known = {} as Record<'slots' | 'groups' | 'supervisors' | 'hives' | 'skills', Set<string>>;
  for (const list of ['slots', 'groups', 'supervisors', 'hives', 'skills'] as const) {
    const ids = problem[list].map((item) => (typeof item === 'string' ? item : item.id));
    known[list] = new Set(ids);
    for (const [at, id] of ids.entries())
      if (ids.indexOf(id) < at) yield { path: [list, at], message: `"${id}" is there twice in ${list}.` };
  }
  type Named = readonly [path: readonly PropertyKey[], list: keyof typeof known, id: string];
  const named: Named[] = [
    ...problem.groups.flatMap((group, at) => [
      ...group.slots.map((slot, i) => [['groups', at, 'slots', i], 'slots', slot] as const),
      ...Object.keys(group.needs).map((skill) => [['groups', at, 'needs', skill], 'skills', skill] as const),
    ]),
    ...problem.supervisors.flatMap((each, at) =>
      each.slots.map((slot, i) => [['supervisors', at, 'slots', i], 'slots', slot] as const),
    ),
    ...problem.hives.flatMap((hive, at) =>
      Object.keys(hive.skills).map((skill) => [['hives', at, 'skills', skill], 'skills', skill] as const),
    ),
    ...problem.locks.flatMap((lock, at): Named[] => {
      const slot: Named = [['locks', at, 'slot'], 'slots', lock.slot];
      if (lock.staff === true) return [slot, [['locks', at, 'hive'], 'hives', lock.hive]];
      return [
        slot,
        [['locks', at, 'group'], 'groups', lock.group],
        ...(lock.hives ?? []).map((hive, i): Named => [['locks', at, 'hives', i], 'hives', hive]),
        ...(lock.supervisor === undefined
          ? []
          : [[['locks', at, 'supervisor'], 'supervisors', lock.supervisor] satisfies Named]),
      ];
    }),
    ...(problem.published?.sessions ?? []).flatMap((session, at) => [
      [['published', 'sessions', at, 'group'], 'groups', session.group] as const,
      [['published', 'sessions', at, 'slot'], 'slots', session.slot] as const,
    ]),
  ];
  for (const [path, list, id] of named)
    if (!known[list].has(id)) yield { path: [...path], message: `There is no "${id}" in ${list}.` };
}

/** `inspection-plan-instance/1`: who could open which hive when. */
export const PlanningProblemJson = Shape.superRefine((problem, context) => {
  for (const issue of loose(problem)) context.addIssue({ code: 'custom', ...issue });
}) satisfies z.ZodType<PlanningProblem>;

/** `inspection-plan/1`: sessions and staff visits, with their worth. */
export const InspectionPlanJson = z.object({
  format: z.literal(PLAN_FORMAT),
  instance: z.string(),
  objective: z.number(),
  bound: z.number().nullable(),
  gap: z.number().nullable(),
  sessions: z.array(z.object({ group: Id, slot: Id, supervisor: Id, hives: z.array(Id) })),
  staff: z.array(z.object({ slot: Id, hive: Id })),
}) satisfies z.ZodType<InspectionPlan>;
