export * from './advice';
export { practiceFor } from './aim';
export * from './arrange';
export * from './attention';
export * from './dues';
export { queenInTheMaking } from './dues-queen';
export * from './dues-types';
export * from './colony-days';
export { BUILDS_FROM, type CombPlan, type CombStock, boxLayout, combPlan, drawnCombs } from './comb-stock';
export type { IncreaseSentences } from './said-increase';
export * from './split-plan';
export * from './trial';
export * from './colony-event';
export { type ForecastKnown, LOOKS_AHEAD, forecastFacts, roomOf } from './colony-forecast';
export * from './colony-facts';
export * from './efficacy';
export * from './expected';
export { BRINGS, type Bring, type BringId, type Errand } from './errand';
export * from './facts';
export { OUTCOMES, type Outcome, VERDICTS, type Verdict, outcomeOf } from './outcome';
export { NO_WOODWORK, type WoodworkSeen } from './woodwork';
export * from './feed-uptake';
export { type FeedAnswer, feedAnswer } from './feed';
export * from './finding';
export * from './judge';
export { type ProductChoice, productsFor } from './mite-choice';
export { lastAgainstMites } from './mite-failed';
export type { MiteProduct } from './mite-products';
export { lastSample, miteLimit } from './mites';
export { type HealthVerdict, healthOf } from './health';
export type { BehindSentences, HeldBackBy } from './said-behind';
export type { EntranceSentences } from './said-entrance';
export type { HealthSentences } from './said-health';
export type { MiteSentences } from './said-mites';
export { type QueenTrouble, queenTrouble } from './queen';
export type { QueenSentences } from './said-queen';
export type { CombSentences } from './said-comb';
export type { SpaceSentences } from './said-space';
export type { StrengthSentences } from './said-strength';
export { SELECTIONS, type Selected, type Selection, selectionOf } from './selection';
export { holdsHere } from './climate';
export type { ClimateNote, StockSentences } from './said-stock';
export * from './new-colony';
export { cellsInWords } from './queen-cells';
export * from './starvation';
export {
  type Character,
  COLONY_AIMS,
  type ColonyAim,
  QUEEN_SOURCES,
  type QueenSource,
  TRAITS,
  type Trait,
} from './stock';
export * from './swarm-risk';
export * from './treatments';
export * from './withdrawal';
export * from './yard-round';
export * from './yard-match';
