export { recordOf } from './recorded';
