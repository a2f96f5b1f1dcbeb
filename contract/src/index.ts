import * as archive from './archive';
import * as byHand from './by-hand';
import * as calendar from './dues';
import * as care from './care';
import * as colonies from './colonies';
import * as growing from './increase';
import type { Endpoint } from './endpoint';
import * as inspection from './inspection';
import * as house from './house';
import * as equipment from './equipment';
import * as site from './site-plan';
import * as members from './members';
import * as people from './people';
import * as messages from './messages';
import * as planning from './planning';
import * as board from './plan-board';
import * as season from './season';
import * as debriefs from './debrief';
import * as practice from './practice';
import * as skills from './skills';
import * as weather from './weather';

/** Every endpoint of the application, by name. */
export const endpoints = {
  signIn: people.signIn,
  beginSchool: people.beginSchool,
  signOut: people.signOut,
  whoAmI: people.whoAmI,
  chooseUnits: people.chooseUnits,
  moveClock: people.moveClock,
  beginDemoAgain: people.beginDemoAgain,
  changeLog: people.changeLog,
  noteTakenOut: people.noteTakenOut,
  members: members.members,
  addMembers: members.addMembers,
  changeMember: members.changeMember,
  retireMember: members.retireMember,
  keepGroup: members.keepGroup,
  retireGroup: members.retireGroup,
  invite: members.invite,
  mailInvitation: members.mailInvitation,
  lostPassword: members.lostPassword,
  lookAtInvitation: members.lookAtInvitation,
  acceptInvitation: members.acceptInvitation,
  changePassword: members.changePassword,
  mySignIns: members.mySignIns,
  endSignIns: members.endSignIns,
  readEmergencyNote: members.readEmergencyNote,
  schoolSites: equipment.schoolSites,
  keepSite: equipment.keepSite,
  retireSite: equipment.retireSite,
  schoolHives: equipment.schoolHives,
  addHives: equipment.addHives,
  changeHive: equipment.changeHive,
  retireHive: equipment.retireHive,
  sitePlan: site.sitePlan,
  keepSitePlan: site.keepSitePlan,
  sitesOut: site.sitesOut,
  seasonStrip: season.seasonStrip,
  seasonYear: season.seasonYear,
  forage: season.forage,
  keepPlant: season.keepPlant,
  dropPlant: season.dropPlant,
  seeBloom: season.seeBloom,
  setClimate: season.setClimate,
  happenings: season.happenings,
  logSeasonEvent: season.logSeasonEvent,
  withdrawSeasonEvent: season.withdrawSeasonEvent,
  setTriggers: season.setTriggers,
  tickFlowSigns: season.tickFlowSigns,
  seePollen: season.seePollen,
  settlePollen: season.settlePollen,
  aliveRound: season.aliveRound,
  tapAlive: season.tapAlive,
  movePlan: season.movePlan,
  scheduleMove: season.scheduleMove,
  dayPage: weather.dayPage,
  forecastTrust: weather.forecastTrust,
  setLimits: weather.setLimits,
  importWeather: weather.importWeather,
  importClimate: weather.importClimate,
  enterObservation: weather.enterObservation,
  colonyCalendars: calendar.colonyCalendars,
  logColonyEvent: calendar.logColonyEvent,
  withdrawColonyEvent: calendar.withdrawColonyEvent,
  setColony: calendar.setColony,
  setCalendarPractice: calendar.setCalendarPractice,
  colonyList: colonies.colonyList,
  wordHere: colonies.wordHere,
  colonyStory: colonies.colonyStory,
  yardRound: colonies.yardRound,
  sendToSession: colonies.sendToSession,
  increase: growing.increase,
  setCombGoal: growing.setCombGoal,
  beginTrial: growing.beginTrial,
  endTrial: growing.endTrial,
  calendarFeed: calendar.calendarFeed,
  createCalendarFeed: calendar.createCalendarFeed,
  revokeCalendarFeed: calendar.revokeCalendarFeed,
  nextSession: planning.nextSession,
  sessionOn: planning.sessionOn,
  daySheet: planning.daySheet,
  nextHives: planning.nextHives,
  mySessions: planning.mySessions,
  hiveList: inspection.hiveList,
  openUnplanned: inspection.openUnplanned,
  startVisit: inspection.startVisit,
  recentVisits: inspection.recentVisits,
  visitFile: inspection.visitFile,
  preparedVisit: inspection.preparedVisit,
  visitEntries: inspection.visitEntries,
  recordEntries: inspection.recordEntries,
  keepAttachment: inspection.keepAttachment,
  attachment: inspection.attachment,
  askedQuestions: inspection.askedQuestions,
  answerQuestion: inspection.answerQuestion,
  liveSession: inspection.liveSession,
  liveSessionStream: inspection.liveSessionStream,
  combLedger: inspection.combLedger,
  yardBook: inspection.yardBook,
  addTask: inspection.addTask,
  settleTask: inspection.settleTask,
  predictions: inspection.predictions,
  visitReview: care.visitReview,
  decide: care.decide,
  withdrawDecision: care.withdrawDecision,
  checklist: skills.checklist,
  draftChecklist: skills.draftChecklist,
  discardDraft: skills.discardDraft,
  takeBackChecklist: skills.takeBackChecklist,
  previewChecklist: skills.previewChecklist,
  enforceChecklist: skills.enforceChecklist,
  traineeMatrix: skills.traineeMatrix,
  passport: skills.passport,
  agreement: skills.agreement,
  judgeSkill: skills.judgeSkill,
  correctDemonstration: skills.correctDemonstration,
  claimSkill: skills.claimSkill,
  settleClaim: skills.settleClaim,
  signOffSkills: skills.signOffSkills,
  withdrawSignOff: skills.withdrawSignOff,
  withdrawSignOffs: skills.withdrawSignOffs,
  signOffCourse: skills.signOffCourse,
  withdrawCourse: skills.withdrawCourse,
  settlePassport: skills.settlePassport,
  importPassport: skills.importPassport,
  eraseTrainee: skills.eraseTrainee,
  setForgetting: skills.setForgetting,
  debrief: debriefs.debrief,
  signDebrief: debriefs.signDebrief,
  sendDebriefBack: debriefs.sendDebriefBack,
  practice: practice.practice,
  practiceRecord: practice.practiceRecord,
  recordPractice: practice.recordPractice,
  indoorPlan: practice.indoorPlan,
  setOutIndoorPlan: practice.setOutIndoorPlan,
  takeBackIndoorPlan: practice.takeBackIndoorPlan,
  photoBank: practice.photoBank,
  makePhotoDrill: practice.makePhotoDrill,
  retirePhotoDrill: practice.retirePhotoDrill,
  polls: practice.polls,
  askPoll: practice.askPoll,
  answerPoll: practice.answerPoll,
  handSession: byHand.handSession,
  plannedSession: byHand.plannedSession,
  keepHandSession: byHand.keepHandSession,
  callOffSession: byHand.callOffSession,
  planBoard: board.planBoard,
  askPlan: board.askPlan,
  planJob: board.planJob,
  watchPlanJob: board.watchPlanJob,
  stopPlanJob: board.stopPlanJob,
  resumePlanJob: board.resumePlanJob,
  pinPlan: board.pinPlan,
  unpinPlan: board.unpinPlan,
  publishPlan: board.publishPlan,
  planVersions: board.planVersions,
  planningTerms: board.planningTerms,
  setPlanningTerms: board.setPlanningTerms,
  coverage: board.coverage,
  messages: messages.messages,
  readMessage: messages.readMessage,
  outbox: messages.outbox,
  housePractice: house.housePractice,
  tryHousePractice: house.tryHousePractice,
  keepHousePractice: house.keepHousePractice,
  listOut: archive.listOut,
  archiveHere: archive.archiveHere,
  takeOutArchive: archive.takeOutArchive,
  bringInArchive: archive.bringInArchive,
  personalRecords: archive.personalRecords,
} as const satisfies Record<string, Endpoint>;

export { ROLES, type Endpoint, type Input, type Output, type Role } from './endpoint';
export { openApiOf } from './openapi';
export { Problem, PROBLEMS, type ProblemId } from './parts';
export { DOOR_EVENTS, type Person, type SchoolHome } from './people';
export { type Hives, type SiteForm, type Sites } from './equipment';
export type { HivePlace, SitePlanView } from './site-plan';
export type { Members } from './members';
export { LISTS } from './archive';
export type { HousePracticeForm, TriedPractice } from './house';
export { CALLED_OFF, type OnHand } from './by-hand';
export { TALK_PARTS, type Debrief } from './debrief';
export { WRONG, type WrongId } from './wrong';
export type { Decision, Review } from './care';
export {
  NewEntry,
  type AskedQuestion,
  type EntryVerdict,
  type LiveSession,
  type LiveVisit,
  type Visit,
  type VisitFile,
} from './inspection';
export { EntryBody } from './inspection-entries';
export type { DaySheet, DayVerdict, GroupSheet, MySession, PlanReasons } from './planning';
export type { Coverage, Pin, PlanBoard, PlanJob } from './plan-board';
export { PlanningTerms } from './plan-board';
export { InspectionPlanJson, PlanningProblemJson } from './planning-problem';
export type {
  AliveRound,
  Bloom,
  Forage,
  Happenings,
  MovePlan,
  PhaseSpan,
  SitePlant,
  Strip,
  StripDay,
  Year,
} from './season';
export type { DayPage, Trust } from './weather';
export type { ColonyLine, ColonyList, ColonyStory, WordHere, YardRound } from './colonies';
export type { Increase } from './increase';
export type { Calendars, ColonyCalendar, Due, ExpectedState } from './dues';
