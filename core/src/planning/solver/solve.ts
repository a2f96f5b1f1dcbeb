import type { Highs } from 'highs';
import { PlanBound } from './bound';
import { solveExactly } from './exact';
import { modelOf, type PlanModel } from './model';
import { assignmentsOf } from '../explanation/names';
import { objectiveOf } from './objective';
import { type Assignments, type InspectionPlan, planOf, type PlanningProblem } from './problem';
import { PlanSearch } from './search';
import { startOf } from './start';

/** What is known while a problem is being solved. */
export interface SolveProgress {
  readonly phase: 'search' | 'proof';
  /** Worth of the best plan so far. */
  readonly objective: number;
  /** No plan is worth more; null while unknown. */
  readonly bound: number | null;
  /** Moves tried. */
  readonly iterations: number;
  /** Whether the plan is better than the last one told. */
  readonly better: boolean;
}

export interface SolveOptions {
  readonly seed: number;
  /** Moves of the search. */
  readonly iterations: number;
  /** Rounds of the bound. */
  readonly rounds: number;
  /** HiGHS, loaded, and the seconds it may take; only used on problems that it can help with. */
  readonly exact?: { readonly highs: Highs; readonly seconds: number } | undefined;
  /** A plan to begin with and stay near. */
  readonly near?: Assignments | undefined;
  /** Told often; answers false to stop with the best plan so far. */
  readonly onProgress?: ((progress: SolveProgress, plan: () => InspectionPlan) => boolean) | undefined;
}

/** Part of the moves that a first, quick search takes. Found by trial. */
const QUICK = 0.04;
/** Pieces that a search is cut into, between which the clock is read and progress told. */
const PIECES = 200;

/** Openings that could be decided on, up to which HiGHS proves a plan in a second or two, and tightens a bound in a minute. */
const PROVEN_AT_ONCE = 300;
const TIGHTENED = 4000;

const openingsOf = (model: PlanModel) => model.candidates.reduce((sum, own) => sum + own.length, 0);

/**
 * Whether the exact solver is worth its time.
 *
 * @param problem the problem
 * @returns true for small and middling ones
 */
export const exactPays = (problem: PlanningProblem) => openingsOf(modelOf(problem)) <= TIGHTENED;

/**
 * Plans: a quick search for a first answer, a long one from a fresh start, the bound in between, and a proof by the exact
 * solver where that pays. The same problem, seed and budgets give the same plan (but for the exact solver, which goes by time).
 *
 * @param problem the problem
 * @param options seed, budgets, what to be told
 * @returns the best plan found, with the best bound
 * @throws PinsCannotBeKept if no plan keeps the pins
 */
export function solvePlan(problem: PlanningProblem, options: SolveOptions): InspectionPlan {
  const model = modelOf(problem);
  const limit = new PlanBound(model);
  let best: Assignments = { sessions: [], staff: [] };
  let objective = -Infinity;
  let bound: number | null = null;
  let iterations = 0;
  const plan = () => planOf(problem, best, objective, bound === null ? null : Math.max(bound, objective));
  const tell = (phase: SolveProgress['phase'], better: boolean) =>
    options.onProgress?.({ phase, objective, bound, iterations, better }, plan) !== false;
  const proven = () => bound !== null && bound - objective <= 1e-9 * Math.max(1, Math.abs(bound));
  const take = (found: Assignments) => {
    const worth = objectiveOf(problem, found);
    if (worth <= objective + 1e-9) return false;
    best = found;
    objective = worth;
    return true;
  };
  const tighten = (rounds: number) => {
    const more = Math.min(rounds, options.rounds - limit.rounds);
    if (more > 0) bound = Math.min(bound ?? Infinity, limit.run(more, objective));
  };

  /** One search with the bound beside it; false to stop. */
  const search = (seed: number, moves: number): boolean => {
    const run = new PlanSearch(model, { seed, iterations: moves, near: options.near });
    const before = iterations;
    if (!tell('search', take(run.best))) return false;
    while (!run.finished) {
      const better = run.run(Math.ceil(moves / PIECES)) && run.bestTotal > objective + 1e-9 && take(run.best);
      iterations = before + run.done;
      tighten(Math.ceil(options.rounds / PIECES));
      if (proven() || !tell('search', better)) return false;
    }
    return true;
  };

  const prove = (): boolean => {
    if (options.exact === undefined) return true;
    const answer = solveExactly(options.exact.highs, model, {
      seconds: options.exact.seconds,
      start: startOf(model, best).picture(),
      onProgress: (reached) => {
        bound = Math.min(bound ?? Infinity, reached);
        return tell('proof', false);
      },
    });
    const better = answer.picture !== null && take(assignmentsOf(model, answer.picture));
    if (answer.status !== 'none') bound = Math.min(bound ?? Infinity, answer.bound);
    return tell('proof', better) && answer.status !== 'stopped' && !proven();
  };

  const size = openingsOf(model);
  const quick = options.near === undefined ? Math.ceil(options.iterations * QUICK) : 0;
  if (quick > 0 && !search(options.seed, quick)) return plan();
  if (size <= PROVEN_AT_ONCE && options.exact !== undefined && !prove()) return plan();
  if (!search(options.seed + 1, options.iterations - quick)) return plan();
  while (limit.rounds < options.rounds) {
    tighten(5);
    if (proven() || !tell('proof', false)) return plan();
  }
  if (size > PROVEN_AT_ONCE && size <= TIGHTENED) prove();
  return plan();
}
