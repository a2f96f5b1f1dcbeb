// Reads planning problems and plans for the command line; the core and the contract are TypeScript, so tsx loads them.
import { readFileSync } from 'node:fs';
import { resolve } from 'node:path';
import { tsImport } from 'tsx/esm/api';
import { Trouble } from './say.mjs';

export const core = await tsImport('../../core/src/planning/index.ts', import.meta.url);
export const words = await tsImport('../../core/src/words/index.ts', import.meta.url);
const { PlanningProblemJson, InspectionPlanJson } = await tsImport(
  '../../contract/src/planning-problem.ts',
  import.meta.url,
);

function read(file, shape, what) {
  let text;
  try {
    // npm runs scripts in the project's folder; the file was named where the person stood.
    text = readFileSync(resolve(process.env.INIT_CWD ?? process.cwd(), file), 'utf8');
  } catch (error) {
    throw new Trouble(`${file} cannot be read (${error.code}): name the JSON file of a ${what}.`);
  }
  let json;
  try {
    json = JSON.parse(text);
  } catch (error) {
    throw new Trouble(`${file} is not JSON: ${error.message}`);
  }
  const { success, data, error } = shape.safeParse(json);
  if (success) return data;
  const lines = error.issues.slice(0, 10).map(({ path, message }) => `  ${path.join('.') || '(file)'}: ${message}`);
  const more = error.issues.length > 10 ? [`  and ${error.issues.length - 10} more`] : [];
  throw new Trouble([`${file} is no ${what}; mend this:`, ...lines, ...more].join('\n'));
}

export const readProblem = (file) => read(file, PlanningProblemJson, 'planning problem (inspection-plan-instance/1)');
export const readPlan = (file) => read(file, InspectionPlanJson, 'plan (inspection-plan/1)');
