export { flowNow } from './flow-now';
export { movePlan } from './move-plan';
export { schoolPhases } from './school-phases';
export { plantOfList, phaseNow, siteSeason, type SiteSeason } from './site-season';
