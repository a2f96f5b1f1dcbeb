export { bringInArchive } from './bring-in';
export { archiveHere, personalRecords, schoolArchive } from './take-out';
