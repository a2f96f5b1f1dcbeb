export { aliveRound, tapAlive } from './alive-round';
export { logSeasonEvent, setTriggers, withdrawSeasonEvent } from './events';
export { addPlant, dropPlant, keepPlant, noteBloom, seeBloom, setClimate } from './plants';
export { httpScale } from './scale-source';
export { gainsOf, refreshScales, scalesOf } from './scales';
export { seePollen, settlePollen, tickFlowSigns } from './signs';
export { bloomsSeen, flowSigns, plantsOf, pollenSeen, seasonEvents, seenOf } from './store';
