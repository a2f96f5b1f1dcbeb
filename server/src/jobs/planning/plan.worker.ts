import { platform, setPriority } from 'node:os';
import { parentPort, workerData } from 'node:worker_threads';
import {
  exactPays,
  type InspectionPlan,
  PinsCannotBeKept,
  type PlanningProblem,
  solvePlan,
} from '@brave-comb/core/planning';
import loadHighs from 'highs';

/** What a planning thread is given. */
export interface PlanTask {
  readonly problem: PlanningProblem;
  readonly seed: number;
  readonly seconds: number;
  /** How far the thread gives way to requests: 0 not at all, 19 as far as can be. */
  readonly nice: number;
  /** Best plan of an earlier run. */
  readonly plan: InspectionPlan | null;
}

/** What it tells: a sign of life with what is new, and how it ended. */
export type PlanNews =
  | {
      readonly kind: 'progress';
      readonly objective: number;
      readonly bound: number | null;
      readonly plan: InspectionPlan | null;
    }
  | { readonly kind: 'end'; readonly pins: boolean };

const TELL_EVERY = 150;
const ROUNDS = 400;
/** First search of a few hundredths of a second, each further one longer. */
const FIRST_MOVES = 4_000;
const LONGER = 4;
const CONTENT = 0.0005;

const { problem, seed, seconds, nice, plan: before } = workerData as PlanTask;
// A planning thread gives way to requests: on Linux the priority is the calling thread's own.
if (platform() === 'linux') setPriority(0, nice);

const exact = exactPays(problem) ? await loadHighs() : undefined;
const port = parentPort!;
const began = performance.now();
const left = () => seconds - (performance.now() - began) / 1000;

let best: InspectionPlan | null = before;
let bound = before?.bound ?? null;
let told = -Infinity;
let unsaid = false;

/** Takes what a run found; tells it when it is time. */
function take(objective: number, reached: number | null, plan: () => InspectionPlan): boolean {
  if (reached !== null) bound = Math.min(bound ?? Infinity, reached);
  if (best === null || objective > best.objective + 1e-9) {
    best = plan();
    unsaid = true;
  }
  const now = performance.now();
  if (now - told >= TELL_EVERY || told === -Infinity) {
    told = now;
    port.postMessage({
      kind: 'progress',
      objective: best.objective,
      bound,
      plan: unsaid ? withBound(best) : null,
    } satisfies PlanNews);
    unsaid = false;
  }
  return left() > 0 && !content();
}

const withBound = (plan: InspectionPlan): InspectionPlan => {
  const limit = bound === null ? null : Math.max(bound, plan.objective);
  return { ...plan, bound: limit, gap: limit === null || limit <= 0 ? null : (limit - plan.objective) / limit };
};
const content = () => best !== null && bound !== null && bound > 0 && (bound - best.objective) / bound < CONTENT;

let pins = false;
try {
  // The first round is made however late a busy machine comes to it: a plan is better than none.
  for (let round = 0, moves = FIRST_MOVES; round === 0 || (left() > 0 && !content()); round += 1, moves *= LONGER) {
    const run = solvePlan(problem, {
      seed: seed + 100 * round,
      iterations: moves,
      rounds: round === 0 ? ROUNDS : 0,
      near: round === 0 && before !== null ? before : undefined,
      // The exact solver last: it holds the thread for seconds.
      exact:
        exact !== undefined && round === 3 ? { highs: exact, seconds: Math.max(1, Math.min(60, left())) } : undefined,
      onProgress: ({ objective, bound: reached }, plan) => take(objective, reached, plan),
    });
    take(run.objective, run.bound, () => run);
  }
  if (best !== null)
    port.postMessage({ kind: 'progress', objective: best.objective, bound, plan: withBound(best) } satisfies PlanNews);
} catch (error) {
  if (!(error instanceof PinsCannotBeKept)) throw error;
  pins = true;
}
port.postMessage({ kind: 'end', pins } satisfies PlanNews);
