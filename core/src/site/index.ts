export * from './clear-shift';
export * from './moves';
export * from './plan';
export * from './standing-place';
export { type Around, type PlanTrouble, asPlaced, jobsOf, planTroubles } from './troubles';
export { standable } from './ground';
