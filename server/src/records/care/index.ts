export {
  type Detail,
  eventSaid,
  logColonyEvent,
  setCalendarPractice,
  setCombGoal,
  setColony,
  takeColonyEventBack,
} from './colony-events';
export { calendarFeed, createCalendarFeed, revokeCalendarFeed } from './calendar-feeds';
export { settleTask } from './settle-task';
export { shownDecision, shownFollowUp } from './shown';
export {
  answerFollowUps,
  type ColonyEventRow,
  type FollowUpRow,
  colonyEvents,
  decisionById,
  decisionsOf,
  decisionsOfVisits,
  followUpsBetween,
  followUpsOfSession,
  followUpsOfVisit,
  forgetFeeds,
  insertDecision,
  insertFollowUp,
  insertFollowUpOnce,
  openFollowUps,
  openFollowUpsOf,
  ownerOfFeed,
  withdraw,
  withdrawEventTasks,
  withdrawSent,
} from './store';
export { type TrialRow, changeTrial, insertTrial, trialById, trialsAt } from './trial-store';
export { ownTask, replaceTasks, settleInVisit, sourceOf, taskIdsOf, tasksOfSchool } from './task-store';
