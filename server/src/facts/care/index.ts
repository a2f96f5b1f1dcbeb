export { type ColonyState, colonyStates, expectedAt, matingDays, recordFrom, upTo } from './colony-state';
export { evidenceOf, judge } from './judge';
