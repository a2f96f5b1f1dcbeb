import { careOfOpening, turnOf, learningCovered, learningOfOpening } from './objective';
import type { PlanForbid, PlanningProblem, PlanSlot } from './problem';

/** Slots that share supervisors: at one moment nobody is in two of them. */
export interface CrewLimit {
  readonly slots: readonly number[];
  readonly supervisors: number;
  readonly seniors: number;
}

/**
 * A problem in numbers: ids become places in arrays, everything that does not depend on the plan is reckoned once.
 * Tables over two things are flat, row by row: group × slot at `g * T + t`, hive × slot at `h * T + t`.
 */
export interface PlanModel {
  readonly problem: PlanningProblem;
  readonly G: number;
  readonly T: number;
  readonly H: number;
  readonly K: number;
  /** Places of ids in the tables. */
  readonly placeOf: Readonly<Record<'group' | 'slot' | 'hive', (id: string) => number>>;
  /** Slots in the order of their days. */
  readonly slotAt: readonly PlanSlot[];
  readonly day: Int32Array;
  readonly suits: Int32Array;
  readonly staffMinutes: Float64Array;
  readonly staffVisits: Int32Array;
  readonly crews: readonly CrewLimit[];
  readonly crewsOf: readonly (readonly number[])[];
  readonly maxHives: number;
  readonly people: Int32Array;
  readonly sessions: Int32Array;
  readonly gap: Float64Array;
  /** Group × slot: may this session be held. */
  readonly sessionOk: Uint8Array;
  /** Group × slot: what a session adds before its hives: weather, no shortfall, lateness, change. */
  readonly sessionWorth: Float64Array;
  /** Slot: minutes left for hives after setting up. */
  readonly room: Float64Array;
  /** Group × hive: minutes at the group's pace. */
  readonly minutes: Float64Array;
  readonly suspect: Uint8Array;
  readonly rest: Float64Array;
  readonly staffHiveMinutes: Float64Array;
  /** Hive × slot: may staff open it. */
  readonly staffOk: Uint8Array;
  /** Hive × slot of the staff visits that could pay: their care is worth more than they cost. */
  readonly staffCandidates: Int32Array;
  /** Hive × slot: points of a due visit. */
  readonly care: Float64Array;
  /** Most turns that what is due at a hive takes within the plan. */
  readonly turns: number;
  /** Hive × slot: which turn of its due an opening counts for, in a table hive × turns. */
  readonly turnAt: Int32Array;
  /** Hive × slot: points that an opening costs. */
  readonly disturb: Float64Array;
  readonly staffCost: number;
  /** Per group and slot the hives that could be opened there if nothing else were. */
  readonly candidates: readonly Int32Array[];
  /** Group × slot × hive: is it a candidate. */
  readonly able: Uint8Array;
  /** Slots in which a group's session may be held. */
  readonly slotsOf: readonly Int32Array[];
  /** Group × slot: row of `hiveChange`, −1 for a session that was not published. */
  readonly told: Int32Array;
  /** Row × hive: points for a hive that was published for this session, minus for one that was not. */
  readonly hiveChange: Float64Array;
  /** Group × hive: where its skills that the group needs begin in `skillOf` and `learningAt`. */
  readonly needed: Int32Array;
  readonly skillOf: Int32Array;
  /** Where the learning by slot of that skill at that hive begins in `learning`. */
  readonly learningAt: Int32Array;
  readonly learning: Float64Array;
  /** Points for each weighted worth of learning. */
  readonly skill: number;
  /** Group × skill: weight of what is needed, 0 for the rest. */
  readonly need: Float64Array;
  readonly covered: Float64Array;
  /** Group: weighted worth of learning that is still to be had. */
  readonly open: Float64Array;
  readonly fairness: number;
  /** Worth of learning as lines, and for each step of L the line to begin with. */
  readonly curve: Curve;
  /** What a plan with nothing in it is worth, without fairness. */
  readonly constant: number;
}

/** A concave curve of straight lines that is quick to read. */
export interface Curve {
  readonly ends: Float64Array;
  readonly offset: Float64Array;
  readonly slope: Float64Array;
  readonly steps: number;
  readonly firstLine: Uint8Array;
  readonly last: number;
}

function curveOf({ L, F }: PlanningProblem['params']['pwl']): Curve {
  const lines = L.length - 1;
  const slope = new Float64Array(lines + 1);
  const offset = new Float64Array(lines + 1);
  const ends = new Float64Array(lines + 1);
  for (let line = 0; line < lines; line += 1) {
    slope[line] = (F[line + 1]! - F[line]!) / (L[line + 1]! - L[line]!);
    offset[line] = F[line]! - slope[line]! * L[line]!;
    ends[line] = L[line + 1]!;
  }
  offset[lines] = F[lines]!;
  ends[lines] = Infinity;
  const steps = 512 / Math.max(L[lines]!, 1e-9);
  const firstLine = Uint8Array.from({ length: 513 }, (_, step) => ends.findIndex((end) => end > step / steps));
  return { ends, offset, slope, steps, firstLine, last: L[lines]! };
}

/** Worth of learning, read off the lines. */
export function onCurve({ ends, offset, slope, steps, firstLine, last }: Curve, learning: number): number {
  if (learning >= last) return offset[offset.length - 1]!;
  let line = firstLine[(learning * steps) | 0]!;
  while (learning > ends[line]!) line += 1;
  return offset[line]! + slope[line]! * learning;
}

const overlap = (a: PlanSlot, b: PlanSlot) =>
  a.day === b.day && a.start < b.start + b.minutes && b.start < a.start + a.minutes;

/** Supervisors of each slot, and of each set of slots at different apiaries that overlap (Hall's condition). */
function crewLimits(problem: PlanningProblem, slots: readonly PlanSlot[]): CrewLimit[] {
  const sets: number[][] = slots.map((_, t) => [t]);
  const apart = (t: number, u: number) => {
    const [a, b] = [slots[t]!, slots[u]!];
    return a.site !== undefined && b.site !== undefined && a.site !== b.site && overlap(a, b);
  };
  // The list grows as it is read: each set with one more slot is looked at in its turn.
  for (const set of sets) {
    for (let u = set.at(-1)! + 1; u < slots.length; u += 1) if (set.every((t) => apart(t, u))) sets.push([...set, u]);
  }
  return sets.map((set) => {
    const able = problem.supervisors.filter((each) => set.some((t) => each.slots.includes(slots[t]!.id)));
    return { slots: set, supervisors: able.length, seniors: able.filter(({ senior }) => senior).length };
  });
}

const matches = (forbid: PlanForbid, group: string | undefined, slot: string, hive: string | undefined) =>
  (forbid.group === undefined || forbid.group === group) &&
  (forbid.slot === undefined || forbid.slot === slot) &&
  forbid.hive === hive;

/**
 * Reckons once what the search and the bound ask for again and again.
 *
 * @param problem the problem
 * @returns the problem in numbers, slots in the order of their days
 */
export function modelOf(problem: PlanningProblem): PlanModel {
  const { params, groups, hives, skills } = problem;
  const { weights } = params;
  const slots = [...problem.slots].sort((a, b) => a.day - b.day || a.start - b.start);
  const [G, T, H, K] = [groups.length, slots.length, hives.length, skills.length];
  const forbids = problem.forbids ?? [];
  const slotIndex = new Map(slots.map(({ id }, t) => [id, t]));
  const groupIndex = new Map(groups.map(({ id }, g) => [id, g]));
  const hiveIndex = new Map(hives.map(({ id }, h) => [id, h]));
  const skillIndex = new Map(skills.map((id, k) => [id, k]));
  const crews = crewLimits(problem, slots);

  const table = (rows: number, columns: number, at: (row: number, column: number) => number) =>
    Float64Array.from({ length: rows * columns }, (_, i) => at(Math.floor(i / columns), i % columns));
  const sum = (values: readonly number[]) => values.reduce((total, value) => total + value, 0);

  const told = new Map<number, Set<number>>();
  for (const { group, slot, hives: opened } of problem.published?.sessions ?? []) {
    const [g, t] = [groupIndex.get(group), slotIndex.get(slot)];
    if (g === undefined || t === undefined) continue;
    told.set(g * T + t, new Set(opened.flatMap((hive) => hiveIndex.get(hive) ?? [])));
  }
  const toldCost = sum(
    (problem.published?.sessions ?? []).map((each) => weights.changeSession + weights.changeHive * each.hives.length),
  );
  const changed = problem.published === null ? 0 : weights.changeSession;
  const sessionWorth = table(G, T, (g, t) => {
    const late = Math.max(0, slots[t]!.day - groups[g]!.lateAfter);
    const change = told.has(g * T + t) ? changed : -changed;
    return weights.session * slots[t]!.fit + weights.shortfall - weights.late * late + change;
  });
  const toldRows = [...told];
  const hiveChange = table(toldRows.length, H, (row, h) =>
    toldRows[row]![1].has(h) ? weights.changeHive : -weights.changeHive,
  );
  const toldRow = new Int32Array(G * T).fill(-1);
  toldRows.forEach(([at], row) => (toldRow[at] = row));

  const room = Float64Array.from(slots, ({ minutes }) => minutes - params.setupMinutes);
  const minutes = table(G, H, (g, h) => Math.ceil(hives[h]!.minutes * groups[g]!.pace));
  const openable = Uint8Array.from({ length: H * T }, (_, i) => {
    const [hive, slot] = [hives[Math.floor(i / T)]!, slots[i % T]!];
    const rested = hive.lastOpened === null || slot.day - hive.lastOpened >= hive.restDays;
    const here = hive.site === undefined || slot.site === undefined || hive.site === slot.site;
    return rested && here && slot.day >= hive.noOpenBefore ? 1 : 0;
  });
  const staffOk = Uint8Array.from({ length: H * T }, (_, i) => {
    const [hive, slot] = [hives[Math.floor(i / T)]!, slots[i % T]!];
    const forbidden = forbids.some(
      (each) =>
        each.group === undefined &&
        (matches(each, undefined, slot.id, hive.id) || matches(each, undefined, slot.id, undefined)),
    );
    return openable[i] === 1 && !forbidden && slot.staffVisits > 0 && hive.minutes <= slot.staffMinutes ? 1 : 0;
  });
  const groupForbids = forbids.filter((each) => each.staff === undefined);
  const crewAt = crews.slice(0, T);
  const slotSets = groups.map((group) => new Set(group.slots));
  const sessionOk = new Uint8Array(G * T);
  const candidates: Int32Array[] = [];
  const able = new Uint8Array(G * T * H);
  groups.forEach((group, g) => {
    slots.forEach((slot, t) => {
      const seniors = crewAt[t]!.seniors > 0;
      const may =
        slotSets[g]!.has(slot.id) &&
        group.sessions > 0 &&
        crewAt[t]!.supervisors > 0 &&
        group.size + 1 <= slot.suits &&
        !groupForbids.some((each) => matches(each, group.id, slot.id, undefined));
      const own = may
        ? hives.flatMap((hive, h) =>
            openable[h * T + t] === 1 &&
            hive.temper <= group.maxTemper &&
            minutes[g * H + h]! <= room[t]! &&
            (hive.hygiene !== 'suspect' || seniors) &&
            !groupForbids.some((each) => matches(each, group.id, slot.id, hive.id))
              ? [h]
              : [],
          )
        : [];
      candidates.push(Int32Array.from(own));
      for (const h of own) able[(g * T + t) * H + h] = 1;
      sessionOk[g * T + t] = own.length > 0 ? 1 : 0;
    });
  });

  const curve = curveOf(params.pwl);
  const need = table(G, K, (g, k) => groups[g]!.needs[skills[k]!]?.weight ?? 0);
  const learning: number[] = [];
  const practiceRows = hives.map(
    (hive) =>
      new Map(
        Object.entries(hive.skills).flatMap(([skill, chance]) => {
          const k = skillIndex.get(skill);
          if (k === undefined) return [];
          const begins = learning.length;
          for (const slot of slots) learning.push(learningOfOpening(problem, slot, chance));
          return [[k, begins] as const];
        }),
      ),
  );
  const needed = new Int32Array(G * H + 1);
  const skillOf: number[] = [];
  const learningAt: number[] = [];
  for (let g = 0; g < G; g += 1)
    for (let h = 0; h < H; h += 1) {
      for (const [k, begins] of practiceRows[h]!)
        if (need[g * K + k]! > 0) {
          skillOf.push(k);
          learningAt.push(begins);
        }
      needed[g * H + h + 1] = skillOf.length;
    }
  const covered = table(G, K, (g, k) => learningCovered(groups[g]!.needs[skills[k]!]?.covered ?? 0));
  const open = Float64Array.from(groups, (_, g) =>
    sum(skills.map((_skill, k) => need[g * K + k]! * (1 - onCurve(curve, covered[g * K + k]!)))),
  );

  const care = table(H, T, (h, t) => weights.care * careOfOpening(problem, slots[t]!, hives[h]!));
  const turn = (h: number, t: number) => {
    const { due } = hives[h]!;
    return due === null || slots[t]!.day < due.from ? 0 : turnOf(due, slots[t]!.day);
  };
  const turnOfSlot = table(H, T, turn);
  const turns = 1 + turnOfSlot.reduce((most, each) => Math.max(most, each), 0);
  const turnAt = Int32Array.from(turnOfSlot, (each, ht) => Math.floor(ht / T) * turns + each);
  const disturb = table(
    H,
    T,
    (h, t) => weights.disturb * hives[h]!.disturb * params.tempFactor[slots[t]!.temp] * slots[t]!.fit,
  );

  return {
    problem,
    G,
    T,
    H,
    K,
    placeOf: {
      group: (id) => groupIndex.get(id) ?? -1,
      slot: (id) => slotIndex.get(id) ?? -1,
      hive: (id) => hiveIndex.get(id) ?? -1,
    },
    slotAt: slots,
    day: Int32Array.from(slots, ({ day }) => day),
    suits: Int32Array.from(slots, ({ suits }) => suits),
    staffMinutes: Float64Array.from(slots, ({ staffMinutes }) => staffMinutes),
    staffVisits: Int32Array.from(slots, ({ staffVisits }) => staffVisits),
    crews,
    crewsOf: slots.map((_, t) => crews.flatMap((crew, c) => (crew.slots.includes(t) ? [c] : []))),
    maxHives: params.maxHives,
    people: Int32Array.from(groups, ({ size }) => size + 1),
    sessions: Int32Array.from(groups, (group) => group.sessions),
    gap: Float64Array.from(groups, ({ gapDays }) => gapDays),
    sessionOk,
    sessionWorth,
    room,
    minutes,
    suspect: Uint8Array.from(hives, ({ hygiene }) => (hygiene === 'suspect' ? 1 : 0)),
    rest: Float64Array.from(hives, ({ restDays }) => restDays),
    staffHiveMinutes: Float64Array.from(hives, (hive) => hive.minutes),
    staffOk,
    staffCandidates: Int32Array.from(care.keys()).filter(
      (ht) => staffOk[ht] === 1 && care[ht]! - disturb[ht]! > weights.staffVisit,
    ),
    care,
    turns,
    turnAt,
    disturb,
    staffCost: weights.staffVisit,
    candidates,
    able,
    slotsOf: groups.map((_, g) =>
      Int32Array.from(slots.flatMap((_slot, t) => (sessionOk[g * T + t] === 1 ? [t] : []))),
    ),
    told: toldRow,
    hiveChange,
    needed,
    skillOf: Int32Array.from(skillOf),
    learningAt: Int32Array.from(learningAt),
    learning: Float64Array.from(learning),
    skill: weights.skill,
    need,
    covered,
    open,
    fairness: weights.fairness,
    curve,
    constant: -weights.shortfall * sum(groups.map((group) => Math.max(0, group.sessions))) - toldCost,
  };
}
