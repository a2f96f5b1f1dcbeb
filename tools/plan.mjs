// npm run plan -- problem.json [--seconds N | --iterations N] [--seed N] > plan.json
import { parseArgs } from 'node:util';
import { ensureDependencies } from './lib/dependencies.mjs';
import { Trouble, run } from './lib/say.mjs';

const USAGE = 'Use: npm run plan -- problem.json [--seconds N | --iterations N] [--seed N] > plan.json';
const QUICK_MOVES = 4000;
const MOST_ROUNDS = 1500;

/** Moves a millisecond on this machine, from a short search. */
function pace({ PlanSearch, modelOf }, problem) {
  const search = new PlanSearch(modelOf(problem), { seed: 0, iterations: QUICK_MOVES });
  search.run(QUICK_MOVES / 2);
  const began = performance.now();
  search.run(QUICK_MOVES / 2);
  return QUICK_MOVES / 2 / (performance.now() - began);
}

const numberOf = (name, text) => {
  const value = Number(text);
  if (!Number.isFinite(value) || value <= 0) throw new Trouble(`--${name} needs a number above 0. ${USAGE}`);
  return value;
};

await run(async () => {
  const { values, positionals } = parseArgs({
    allowPositionals: true,
    options: { seconds: { type: 'string' }, iterations: { type: 'string' }, seed: { type: 'string', default: '1' } },
  });
  if (positionals.length !== 1) throw new Trouble(USAGE);
  await ensureDependencies();
  const { readProblem, core } = await import('./lib/plans.mjs');
  const problem = readProblem(positionals[0]);

  const seconds = values.seconds === undefined ? 10 : numberOf('seconds', values.seconds);
  // Programs become faster as they run: half as much again as the first moves took.
  const iterations =
    values.iterations === undefined
      ? Math.ceil(1.5 * pace(core, problem) * 1000 * seconds)
      : Math.ceil(numberOf('iterations', values.iterations));
  const { default: loadHighs } = await import('highs');
  const began = performance.now();
  let told = -Infinity;
  const exact = core.exactPays(problem) ? { highs: await loadHighs(), seconds: Math.max(5, seconds) } : undefined;
  const plan = core.solvePlan(problem, {
    seed: Math.round(numberOf('seed', values.seed)),
    iterations,
    rounds: MOST_ROUNDS,
    exact,
    onProgress: ({ objective, bound, phase }) => {
      const spent = (performance.now() - began) / 1000;
      if (spent - told > 1) {
        told = spent;
        const limit = bound === null ? '' : `, at most ${bound.toFixed(2)} is possible`;
        process.stderr.write(`${spent.toFixed(0)} s ${phase}: ${objective.toFixed(2)} points${limit}\n`);
      }
      // The bound may take as long again as the search, the exact solver keeps its own time.
      return phase === 'search' || exact !== undefined || spent < 2 * seconds || values.iterations !== undefined;
    },
  });
  const off = plan.gap === null ? '' : `, within ${(100 * plan.gap).toFixed(2)} % of the best possible`;
  process.stderr.write(
    `${plan.objective.toFixed(4)} points${off}; again: --seed ${values.seed} --iterations ${iterations}\n`,
  );
  process.stdout.write(`${JSON.stringify(plan, null, 1)}\n`);
});
