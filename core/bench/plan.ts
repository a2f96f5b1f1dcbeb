/* Plans of kept problems: worth ÷ best bound after 1 s and 10 s of search, seconds until the bound is ready, memory. Prints JSON. */
import { readFileSync } from 'node:fs';
import loadHighs from 'highs';
import { type InspectionPlan, modelOf, PlanBound, type PlanningProblem, PlanSearch, solvePlan } from '../src/planning';

const NAMES = ['small-7', 'small-8', 'medium-7', 'medium-8', 'large-7', 'huge-7'];
const WARM = 40_000;
const SEEDS = [1, 2];
const READY = 1.001;

const read = (name: string): unknown =>
  JSON.parse(readFileSync(new URL(`../test/plans/${name}.json`, import.meta.url), 'utf8'));
const cpu = () => process.cpuUsage().user / 1e6;

/** Moves a second of a search that has warmed up. */
function pace(problem: PlanningProblem): number {
  const model = modelOf(problem);
  new PlanSearch(model, { seed: 9, iterations: 4 * WARM }).run(4 * WARM);
  const search = new PlanSearch(model, { seed: 9, iterations: WARM });
  const began = cpu();
  search.run(WARM);
  return WARM / (cpu() - began);
}

const highs = await loadHighs();
const rows = NAMES.map((name) => {
  const problem = read(name) as PlanningProblem;
  const known = read(`${name}.best`) as InspectionPlan & { bound: number; optimum?: number };
  const model = modelOf(problem);
  const perSecond = pace(problem);
  const ratioAfter = (seconds: number, bound: number) => {
    const ratios = SEEDS.map((seed) => {
      const search = new PlanSearch(model, { seed, iterations: Math.ceil(perSecond * seconds) });
      search.run(Infinity);
      return search.bestTotal / bound;
    });
    return ratios.reduce((sum, ratio) => sum + ratio, 0) / ratios.length;
  };
  let bound = known.bound;
  const limit = new PlanBound(model);
  const began = cpu();
  while (limit.run(5, known.objective) > known.bound * READY && cpu() - began < 90);
  const ready = cpu() - began;
  const small = problem.groups.length <= 3;
  let proven: number | null = null;
  if (small) {
    const start = cpu();
    const plan = solvePlan(problem, { seed: 1, iterations: 40_000, rounds: 100, exact: { highs, seconds: 30 } });
    if ((plan.gap ?? 1) < 1e-6) proven = cpu() - start;
  }
  // Middling ones were solved to the end by HiGHS in four to seven minutes.
  bound = Math.min(known.optimum ?? bound, limit.value);
  return {
    name,
    perSecond,
    one: ratioAfter(1, bound),
    ten: small ? null : ratioAfter(10, bound),
    ready: proven ?? ready,
    proven: proven !== null,
    memory: process.memoryUsage.rss() / 1e6,
  };
});
process.stdout.write(JSON.stringify(rows));
