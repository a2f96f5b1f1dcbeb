export { groupsSeen, mayJudge, traineeSeenBy } from './access';
export { checkWords } from './check-words';
export {
  backToDraft,
  checklistOf,
  type ChecklistRow,
  checklistsOf,
  checklistToCarry,
  dropDraft,
  insertChecklist,
  keepDraft,
  knownSkills,
  markCarried,
} from './checklist-store';
export { elsewhereOf } from './elsewhere';
export {
  claimsOf,
  confirmClaim,
  type CorrectionRow,
  correctionsOf,
  countsBySkill,
  courseSignOffById,
  courseSignOffOf,
  demonstrationById,
  type DemonstrationRow,
  demonstrationsOf,
  forgetWordsOn,
  insertCorrection,
  insertCourseSignOff,
  insertDemonstration,
  insertSignOffs,
  removeDemonstrations,
  replaceDemonstrations,
  shownBy,
  signOffById,
  type SignOffRow,
  signOffsOf,
  updateSignOff,
  waitingOfPassports,
  withdrawCourseSignOff,
} from './evidence-store';
export { readingPairsOf, readingPairsOfVisit, replaceReadingPairs } from './hidden-reading-store';
export { turnDown } from './turn-down';
export { waitingIn } from './waiting-list';
