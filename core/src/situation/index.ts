export * from './advise';
export { type SituationFault, UnfitSituation } from './faults';
export type { SituationSentences } from './said';
export * from './situation';
