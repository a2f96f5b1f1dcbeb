export { emergencyCard, notesOn } from './emergency';
export { type ColonyRead, readColonies, readColony } from './colony-read';
export { withQueensSeen } from './queens-seen';
export { combsMoved, sidesNow } from './sides-now';
export { tempersOf } from './tempers';
export { weighed } from './weighed';
