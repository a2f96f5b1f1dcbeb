export { colonyLine, type LineKnown, queenMet, samplesOf } from './colony-line';
export { type ColonyState, colonyStates, expectedAt, matingDays, upTo, waitingFor } from './colony-state';
export { houseRules } from './house-rules';
export { mayTakePart } from './may-take-part';
export { factsOfRead, judge } from './judge';
export { untreatedBeside } from './untreated';
