export * from './check';
export * from './figures';
export * from './practice';
