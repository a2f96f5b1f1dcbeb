export type { HiveField } from './hive-fields';
export * from './hive-list';
export * from './pasted';
export * from './people-list';
export type { Answer, Doubt, RosterRow, Settled, SettledRows } from './settle';
export { settle } from './settle';
export { type ReadBoxes, readBoxes } from './hive-reading';
