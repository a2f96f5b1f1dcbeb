// npm run plan:check -- problem.json plan.json: exit 0 when the plan keeps every rule and states its worth rightly.
import { ensureDependencies } from './lib/dependencies.mjs';
import { Trouble, run } from './lib/say.mjs';

await run(async () => {
  const [problemFile, planFile, ...rest] = process.argv.slice(2);
  if (planFile === undefined || rest.length > 0) throw new Trouble('Use: npm run plan:check -- problem.json plan.json');
  await ensureDependencies();
  const { readProblem, readPlan, core, words } = await import('./lib/plans.mjs');
  const problem = readProblem(problemFile);
  const plan = readPlan(planFile);
  const faults = core.faultsOf(problem, plan);
  if (faults.length > 0) throw new Trouble(faults.map((fault) => words.inEnglish(fault)).join('\n'));
  const { parts, objective } = core.checkPlan(problem, plan);
  const lines = core.OBJECTIVE_PARTS.map((part) => `  ${part.padEnd(11)} ${parts[part].toFixed(4).padStart(11)}`);
  process.stdout.write(
    `${planFile} keeps every rule.\n${lines.join('\n')}\n  ${'objective'.padEnd(11)} ${objective.toFixed(4).padStart(11)}\n`,
  );
});
