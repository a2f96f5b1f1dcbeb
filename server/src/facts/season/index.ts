export { flowNow } from './flow-now';
export { lateInYear } from './late-in-year';
export { movePlan } from './move-plan';
export { listedPlant, phaseNow, siteSeason, type SiteSeason } from './site-season';
