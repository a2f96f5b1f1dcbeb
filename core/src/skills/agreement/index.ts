export * from './assessors';
export * from './kappa';
export * from './limits';
export * from './hidden-readings';
