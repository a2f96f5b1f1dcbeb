export { colonyLine, type LineKnown, queenMet, samplesOf } from './colony-line';
export { type ColonyState, colonyStates, expectedAt, matingDays, upTo, waitingFor } from './colony-state';
export { factsOfRead, judge } from './judge';
