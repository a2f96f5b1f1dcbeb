export { type Attempt, signInAttempts } from './attempts';
export { audit } from './audit-store';
export { changeLog } from './change-log';
export { erasePerson } from './erase-store';
export { awaitsOwner, beginSchool, newStartCode } from './first-owner';
export { acceptInvitation, changePassword, invite, lookAtInvitation } from './invitations';
export { lostPassword, mailInvitation, sendMails } from './mails';
export { changeHousePractice, housePracticeForm, keepHousePractice } from './house-practice';
export { mayTypeName, noWayIn, noteOf, schoolHome } from './member-store';
export {
  addMembers,
  changeMember,
  keepGroup,
  members,
  notesShown,
  readEmergencyNote,
  retireGroup,
  retireMember,
} from './members';
export { messages, outbox, readMessage, tell } from './messages';
export { addGroup, addPerson, addSchool, checkSignIn, chooseUnits, shown } from './service';
export { endSignIns, mySignIns } from './sign-ins';
export { SIGNED_IN_AT_MOST, sessionGoesOn, SessionStore, sweepSessions } from './session-store';
export {
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
