import type { Highs } from 'highs';
import type { PlanModel } from './model';
import type { PlanPicture } from './state';

export interface ExactOptions {
  /** Seconds after which the solver stops. */
  readonly seconds: number;
  /** A plan to begin with. */
  readonly start?: PlanPicture | undefined;
  /** Told of progress; answers false to stop. */
  readonly onProgress?: ((bound: number, best: number) => boolean) | undefined;
}

export interface ExactAnswer {
  /** 'optimal': proven; 'stopped': out of time or stopped; 'none': no plan keeps the rules. */
  readonly status: 'optimal' | 'stopped' | 'none';
  /** No plan is worth more. */
  readonly bound: number;
  /** The best plan found, null if none was. */
  readonly picture: PlanPicture | null;
}

/** A linear model under construction: columns with what they are worth, rows with their limits. */
class Linear {
  readonly worth: number[] = [];
  readonly lower: number[] = [];
  readonly upper: number[] = [];
  readonly whole: (0 | 1)[] = [];
  readonly least: number[] = [];
  readonly most: number[] = [];
  readonly starts: number[] = [0];
  readonly columns: number[] = [];
  readonly values: number[] = [];

  column(worth: number, upper: number, whole: boolean, lower = 0): number {
    this.lower.push(lower);
    this.upper.push(upper);
    this.whole.push(whole ? 1 : 0);
    return this.worth.push(worth) - 1;
  }

  /** least ≤ Σ value × column ≤ most; left out when nothing is in it. */
  row(least: number, most: number, terms: readonly (readonly [column: number, value: number])[]): void {
    if (terms.length === 0) return;
    for (const [column, value] of terms) {
      this.columns.push(column);
      this.values.push(value);
    }
    this.starts.push(this.columns.length);
    this.least.push(least);
    this.most.push(most);
  }
}

interface Columns {
  /** Group × slot → column of the session. */
  readonly session: ReadonlyMap<number, number>;
  /** Group × slot → hive → column of the opening. */
  readonly opening: ReadonlyMap<number, ReadonlyMap<number, number>>;
  /** Hive × slot → column of the staff visit. */
  readonly staff: ReadonlyMap<number, number>;
}

function linearOf(model: PlanModel): { linear: Linear; columns: Columns } {
  const { G, T, H, K } = model;
  const linear = new Linear();
  const session = new Map<number, number>();
  const opening = new Map<number, Map<number, number>>();
  const staff = new Map<number, number>();
  const openings = Array.from({ length: H * T }, (): number[] => []);
  const terms = (columns: readonly number[], value = 1) => columns.map((column) => [column, value] as const);

  for (let gt = 0; gt < G * T; gt += 1) {
    if (model.sessionOk[gt] === 0) continue;
    const [g, t] = [Math.floor(gt / T), gt % T];
    const y = linear.column(model.sessionWorth[gt]!, 1, true);
    session.set(gt, y);
    const own = new Map<number, number>();
    opening.set(gt, own);
    const row = model.told[gt]!;
    for (const h of model.candidates[gt]!) {
      const x = linear.column(row < 0 ? 0 : model.hiveChange[row * H + h]!, 1, true);
      own.set(h, x);
      openings[h * T + t]!.push(x);
      linear.row(-Infinity, 0, [
        [x, 1],
        [y, -1],
      ]);
    }
    const xs = [...own];
    linear.row(0, Infinity, [...terms(xs.map(([, x]) => x)), [y, -1]]);
    linear.row(-Infinity, 0, [...terms(xs.map(([, x]) => x)), [y, -model.maxHives]]);
    linear.row(-Infinity, 0, [...xs.map(([h, x]) => [x, model.minutes[g * H + h]!] as const), [y, -model.room[t]!]]);
    linear.row(-Infinity, 0, [...xs.flatMap(([h, x]) => (model.suspect[h] === 1 ? [[x, 1] as const] : [])), [y, -1]]);
  }
  for (let ht = 0; ht < H * T; ht += 1)
    if (model.staffOk[ht] === 1) {
      const s = linear.column(-model.staffCost, 1, true);
      staff.set(ht, s);
      openings[ht]!.push(s);
    }

  const windows = (span: number, slots: readonly number[]) =>
    slots.map((first, at) => slots.slice(at).filter((t) => t === first || model.day[t]! - model.day[first]! < span));
  for (let g = 0; g < G; g += 1) {
    const slots = [...model.slotsOf[g]!];
    const own = (t: number) => session.get(g * T + t)!;
    linear.row(-Infinity, model.sessions[g]!, terms(slots.map(own)));
    for (const window of windows(model.gap[g]!, slots))
      if (window.length > 1) linear.row(-Infinity, 1, terms(window.map(own)));
  }
  const all = Array.from({ length: T }, (_, t) => t);
  for (let h = 0; h < H; h += 1) {
    for (const window of windows(model.rest[h]!, all))
      linear.row(-Infinity, 1, terms(window.flatMap((t) => openings[h * T + t]!)));
    const credits = new Map<number, number[]>();
    for (const t of all) {
      const worth = model.care[h * T + t]!;
      if (worth <= 0 || openings[h * T + t]!.length === 0) continue;
      const c = linear.column(worth, 1, false);
      linear.row(-Infinity, 0, [[c, 1], ...terms(openings[h * T + t]!, -1)]);
      const turn = model.turnAt[h * T + t]!;
      credits.set(turn, [...(credits.get(turn) ?? []), c]);
    }
    for (const turn of credits.values()) linear.row(-Infinity, 1, terms(turn));
    for (const t of all) for (const x of openings[h * T + t]!) linear.worth[x]! -= model.disturb[h * T + t]!;
  }

  pin(model, linear, { session, opening, staff });
  const suspectsOf = (gt: number) => [...opening.get(gt)!].flatMap(([h, x]) => (model.suspect[h] === 1 ? [x] : []));
  for (let t = 0; t < T; t += 1) {
    const own = Array.from({ length: G }, (_, g) => g).filter((g) => session.has(g * T + t));
    linear.row(
      -Infinity,
      model.suits[t]!,
      own.map((g) => [session.get(g * T + t)!, model.people[g]!] as const),
    );
    const visits = Array.from({ length: H }, (_, h) => h).filter((h) => staff.has(h * T + t));
    const visit = (h: number) => staff.get(h * T + t)!;
    linear.row(-Infinity, model.staffVisits[t]!, terms(visits.map(visit)));
    linear.row(
      -Infinity,
      model.staffMinutes[t]!,
      visits.map((h) => [visit(h), model.staffHiveMinutes[h]!] as const),
    );
    linear.row(-Infinity, 1, terms(visits.filter((h) => model.suspect[h] === 1).map(visit)));
  }
  const pinnedBy = pinnedSupervisors(model);
  for (const crew of model.crews) {
    const sessions = [...session.keys()].filter((gt) => crew.slots.includes(gt % T));
    linear.row(-Infinity, crew.supervisors, terms(sessions.map((gt) => session.get(gt)!)));
    const seniors = sessions.filter((gt) => pinnedBy.get(gt) === true).length;
    const free = sessions.filter((gt) => !pinnedBy.has(gt)).flatMap(suspectsOf);
    linear.row(-Infinity, crew.seniors - seniors, terms(free));
  }

  const theta = linear.column(model.fairness, 1, false);
  const { curve } = model;
  for (let g = 0; g < G; g += 1) {
    const share: [number, number][] = [];
    for (let k = 0; k < K; k += 1) {
      const gk = g * K + k;
      const need = model.need[gk]!;
      if (need === 0) continue;
      const lines: number[] = [];
      let from = model.covered[gk]!;
      for (let line = 0; line < curve.slope.length - 1; line += 1) {
        const long = curve.ends[line]! - from;
        if (long <= 0) continue;
        from = curve.ends[line]!;
        const column = linear.column(model.skill * need * curve.slope[line]!, long, false);
        lines.push(column);
        share.push([column, (need * curve.slope[line]!) / model.open[g]!]);
      }
      const had = [...opening].flatMap(([gt, own]) =>
        Math.floor(gt / T) === g
          ? [...own].flatMap(([h, x]) => {
              for (let i = model.needed[g * H + h]!; i < model.needed[g * H + h + 1]!; i += 1)
                if (model.skillOf[i] === k) return [[x, -model.learning[model.learningAt[i]! + (gt % T)]!] as const];
              return [];
            })
          : [],
      );
      linear.row(-Infinity, 0, [...terms(lines), ...had]);
    }
    if (model.open[g]! > 0) linear.row(0, Infinity, [...share, [theta, -1]]);
  }
  return { linear, columns: { session, opening, staff } };
}

/** Sessions with a pinned supervisor, and whether that is a senior. */
function pinnedSupervisors({ problem, T, placeOf }: PlanModel): ReadonlyMap<number, boolean> {
  return new Map(
    problem.locks.flatMap((lock) => {
      if (lock.staff === true || lock.supervisor === undefined) return [];
      const gt = placeOf.group(lock.group) * T + placeOf.slot(lock.slot);
      return [[gt, problem.supervisors.find(({ id }) => id === lock.supervisor)?.senior === true] as const];
    }),
  );
}

/** Pinned columns are at least 1; one that may not be leaves a row that cannot be kept. */
function pin(model: PlanModel, linear: Linear, { session, opening, staff }: Columns): void {
  const { problem, T, placeOf } = model;
  const never = linear.column(0, 0, false);
  const must = (column: number | undefined) => {
    if (column === undefined) linear.row(1, Infinity, [[never, 1]]);
    else linear.lower[column] = 1;
  };
  const pinnedBy = pinnedSupervisors(model);
  for (const lock of problem.locks) {
    const t = placeOf.slot(lock.slot);
    if (lock.staff === true) {
      must(staff.get(placeOf.hive(lock.hive) * T + t));
      continue;
    }
    const gt = placeOf.group(lock.group) * T + t;
    must(session.get(gt));
    for (const hive of lock.hives ?? []) must(opening.get(gt)?.get(placeOf.hive(hive)));
    if (pinnedBy.get(gt) === false)
      for (const [h, x] of opening.get(gt) ?? []) if (model.suspect[h] === 1) linear.upper[x] = 0;
  }
}

/**
 * Solves a problem as a mixed-integer program and proves the answer. For small problems: time grows fast with size.
 * Supervisors are counted (all, seniors) and named afterwards.
 *
 * @param highs the HiGHS solver, loaded
 * @param model the problem in numbers
 * @param options time, start, progress
 * @returns status, bound and best plan
 */
export function solveExactly(highs: Highs, model: PlanModel, options: ExactOptions): ExactAnswer {
  const { linear, columns } = linearOf(model);
  const count = linear.worth.length;
  const { constants } = highs;
  return highs.withModel(
    {
      numCols: count,
      numRows: linear.least.length,
      sense: constants.objectiveSense.maximize,
      offset: model.constant,
      colCost: linear.worth,
      colLower: linear.lower,
      colUpper: linear.upper,
      rowLower: linear.least,
      rowUpper: linear.most,
      integrality: linear.whole,
      matrix: {
        format: 'csr',
        numRows: linear.least.length,
        numCols: count,
        starts: linear.starts,
        indices: linear.columns,
        values: linear.values,
      },
    },
    (solver): ExactAnswer => {
      solver.options.set({ time_limit: options.seconds, mip_rel_gap: 1e-7, mip_abs_gap: 1e-7, output_flag: false });
      if (options.start !== undefined) solver.setSolution(sparse(model, columns, options.start));
      const { modelStatus } = solver.run({
        [constants.callbackType.mipInterrupt]: (event) => {
          const { mip_dual_bound: bound, mip_primal_bound: best } = event.data;
          if (options.onProgress?.(bound ?? Infinity, best ?? -Infinity) === false) event.interrupt();
        },
      });
      if (modelStatus === constants.modelStatus.infeasible) return { status: 'none', bound: -Infinity, picture: null };
      const found = Number(solver.info.get('primal_solution_status')) === 2;
      const optimal = modelStatus === constants.modelStatus.optimal;
      return {
        status: optimal ? 'optimal' : 'stopped',
        bound: optimal ? solver.getObjectiveValue() : Number(solver.info.get('mip_dual_bound')),
        picture: found ? pictureOf(columns, solver.getSolution().colValue) : null,
      };
    },
  );
}

function sparse(model: PlanModel, { session, opening, staff }: Columns, start: PlanPicture) {
  const indices = [
    ...start.sessions.flatMap(({ gt, hives }) => [session.get(gt)!, ...hives.map((h) => opening.get(gt)!.get(h)!)]),
    ...start.staff.map((ht) => staff.get(ht)!),
  ];
  // Named columns are set, all other whole ones to nothing, so that the solver only reckons the rest.
  const set = new Set(indices);
  const others = [...session.values(), ...[...opening.values()].flatMap((own) => [...own.values()]), ...staff.values()];
  const rest = others.filter((column) => !set.has(column));
  return { indices: [...indices, ...rest], values: [...indices.map(() => 1), ...rest.map(() => 0)] };
}

function pictureOf({ session, opening, staff }: Columns, values: Float64Array): PlanPicture {
  return {
    sessions: [...session]
      .filter(([, y]) => values[y]! > 0.5)
      .map(([gt]) => ({ gt, hives: [...opening.get(gt)!].flatMap(([h, x]) => (values[x]! > 0.5 ? [h] : [])) })),
    staff: [...staff].flatMap(([ht, s]) => (values[s]! > 0.5 ? [ht] : [])),
  };
}
