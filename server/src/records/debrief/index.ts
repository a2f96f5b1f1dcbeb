export { insertSentBack, insertSignature, lastSignature, sentBackById, sentBackOf } from './store';
