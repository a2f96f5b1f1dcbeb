export { type DebriefTold, debrief } from './debrief';
