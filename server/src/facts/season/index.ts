export { flowNow } from './flow-now';
export { movePlan } from './move-plan';
export { listedPlant, phaseNow, siteSeason, type SiteSeason } from './site-season';
