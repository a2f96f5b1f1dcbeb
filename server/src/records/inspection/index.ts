export { recordEntries } from './record-entries';
export { answersAt, questionsFor } from './asked-store';
export { answerQuestion, askedQuestions, projectQuestions } from './asked';
export { attachmentById, attachmentSeenBy, photosSeenBy } from './attachment-store';
export { keepAttachment } from './attachments';
export { combsIn, combsOf, isUsable, movesOf } from './comb-store';
export { combOf, combsFound, combsListed, framesAsCombs, projectCombs, reserveOf } from './combs';
export { type Projection } from './projection';
export { rolesGivenIn, rotasOf, visitedSessions, visitsThatSawMark } from './rota-store';
export { openVisit, shownVisit } from './shown-visit';
export { stackHistory } from './stack-store';
export { projectStack } from './stack';
export { groupFor, openingQuestions, startVisit } from './start-visit';
export {
  entriesOf,
  forgetWordsInEntries,
  lastSeqOfSession,
  lastSeqs,
  latestVisits,
  type NamedVisit,
  namedVisitsOfSession,
  visitBefore,
  visitById,
  visitMoods,
  type VisitRow,
  visitsOfHives,
  visitsOfSession,
  visitsSeenBy,
} from './store';
