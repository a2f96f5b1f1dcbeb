export { type RecordedColony, recordOf } from './recorded';
