export { signInAttempts } from './attempts';
export { audit, auditOf } from './audit-store';
export { erasePerson } from './erase-store';
export { type HousePractice } from './house-practice';
export { messages, outbox, readMessage, tell } from './messages';
export { addGroup, addPerson, addSchool, checkSignIn, chooseUnits, shown } from './service';
export { SIGNED_IN_AT_MOST, sessionGoesOn, SessionStore, sweepSessions } from './session-store';
export {
  changeHousePractice,
  forgetDevices,
  groupsOf,
  learnersOf,
  lockSchool,
  peopleOf,
  type PersonRow,
  housePracticeOf,
  traineesOf,
  unitsOf,
} from './store';
export { type GroupRow, staffGroup, traineeGroups } from './group-store';
