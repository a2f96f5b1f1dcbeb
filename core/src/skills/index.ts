export * from './checklist';
export * from './standing';
