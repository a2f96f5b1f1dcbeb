export * from './proportion';
export * from './summary';
