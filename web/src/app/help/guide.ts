import type { Role } from '@brave-comb/contract';

/** Where the guide speaks of a screen: its page and heading, by the view of the screen's route. */
export const IN_GUIDE: Readonly<Record<string, string>> = {
  'day-sheet': 'lead.html#on-the-day',
  sessions: 'lead.html#before-the-week',
  planner: 'lead.html#before-the-week',
  season: 'lead.html#before-the-week',
  day: 'lead.html#before-the-week',
  dues: 'lead.html#before-the-week',
  forage: 'lead.html#before-the-week',
  seen: 'lead.html#before-the-week',
  weather: 'owner.html#weather-and-scales-of-your-own',
  'at-the-hive': 'supervisor.html#at-the-hive',
  live: 'supervisor.html#at-the-hive',
  labels: 'owner.html#the-first-day',
  afterwards: 'lead.html#afterwards',
  debrief: 'supervisor.html#afterwards',
  questions: 'lead.html#afterwards',
  'yard-book': 'lead.html#afterwards',
  combs: 'lead.html#afterwards',
  predictions: 'trainee.html',
  all: 'lead.html#afterwards',
  colony: 'lead.html#afterwards',
  round: 'lead.html#afterwards',
  increase: 'lead.html#before-the-week',
  matrix: 'lead.html#afterwards',
  agreement: 'lead.html#afterwards',
  passport: 'trainee.html',
  practice: 'trainee.html',
  school: 'owner.html#the-first-day',
  people: 'owner.html#the-first-day',
  house: 'owner.html#the-first-day',
  archive: 'owner.html#every-week',
  changes: 'owner.html#every-week',
  sites: 'owner.html#the-first-day',
  'site-plan': 'owner.html#the-first-day',
  hives: 'owner.html#the-first-day',
  checklist: 'owner.html#the-first-day',
};

/**
 * Where somebody reads on about a screen.
 *
 * @param view of the screen's route; null for one that has no help of its own
 * @param role of the reader: trainees have one page
 * @returns address of the guide's page
 */
export const guideOf = (view: string | null, role: Role): string =>
  `/guide/${role === 'trainee' ? 'trainee.html' : ((view === null ? undefined : IN_GUIDE[view]) ?? 'index.html')}`;
