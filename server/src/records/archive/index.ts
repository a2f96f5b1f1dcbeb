export { bringInArchive } from './bring-in';
export { listAsCsv } from './lists';
export { archiveHere, personalRecords, schoolArchive } from './take-out';
