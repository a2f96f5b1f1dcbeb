export * from './check';
export * from './days';
export * from './round';
