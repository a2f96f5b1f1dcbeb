export { debrief } from './debrief';
