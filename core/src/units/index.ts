export * from './check';
export * from './days';
export * from './distance';
export * from './random';
export * from './round';
export * from './systems';
export * from './words';
export * from './year';
