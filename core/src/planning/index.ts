export * from './kit';
export * from './roles';
export * from './why';
