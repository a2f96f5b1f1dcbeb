export { type ColonyState, colonyStates, expectedAt, matingDays, recordFrom, upTo } from './colony-state';
export { judge } from './judge';
