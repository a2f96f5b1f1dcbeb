// Reads planning problems and plans for the command line; the core and the contract are TypeScript, so tsx loads them.
import { tsImport } from 'tsx/esm/api';
import { readJson } from './read-json.mjs';

export const core = await tsImport('../../core/src/planning/index.ts', import.meta.url);
export const words = await tsImport('../../core/src/words/index.ts', import.meta.url);
const { PlanningProblemJson, InspectionPlanJson } = await tsImport(
  '../../contract/src/planning-problem.ts',
  import.meta.url,
);

export const readProblem = (file) =>
  readJson(file, PlanningProblemJson, 'planning problem (inspection-plan-instance/1)');
export const readPlan = (file) => readJson(file, InspectionPlanJson, 'plan (inspection-plan/1)');
