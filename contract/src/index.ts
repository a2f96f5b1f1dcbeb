import * as care from './care';
import type { Endpoint } from './endpoint';
import * as inspection from './inspection';
import * as people from './people';
import * as planning from './planning';
import * as season from './season';
import * as skills from './skills';

/** Every endpoint of the application, by name. */
export const endpoints = {
  signIn: people.signIn,
  signOut: people.signOut,
  whoAmI: people.whoAmI,
  moveClock: people.moveClock,
  seasonStrip: season.seasonStrip,
  nextSession: planning.nextSession,
  sessionOn: planning.sessionOn,
  daySheet: planning.daySheet,
  startVisit: inspection.startVisit,
  recentVisits: inspection.recentVisits,
  visitFile: inspection.visitFile,
  preparedVisit: inspection.preparedVisit,
  recordEntries: inspection.recordEntries,
  visitReview: care.visitReview,
  decide: care.decide,
  withdrawDecision: care.withdrawDecision,
  standings: skills.standings,
} as const satisfies Record<string, Endpoint>;

export { ROLES, type Endpoint, type Input, type Output, type Role } from './endpoint';
export { openApiOf } from './openapi';
export { Problem } from './parts';
export type { Person } from './people';
export { VERDICTS, type Decision, type Review } from './care';
export { NewEntry, type EntryVerdict, type Visit, type VisitFile } from './inspection';
export type { DaySheet, DayVerdict, GroupSheet } from './planning';
export type { Strip, StripDay } from './season';
