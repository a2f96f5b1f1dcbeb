export * from './said';
export * from './way';
