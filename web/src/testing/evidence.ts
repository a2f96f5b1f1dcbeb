import type { PassportEvidence } from '../app/skills/passport-view';

/** A showing as a passport tells it: eggs found alone at hive 4 last Saturday, before Tomasz. */
export const evidence = (more: Partial<PassportEvidence> = {}): PassportEvidence => ({
  id: 'd1',
  skill: 'finds-eggs',
  level: 'alone',
  first: null,
  withdrawn: false,
  at: '2026-05-09T12:00:00.000Z',
  day: '2026-05-09',
  source: 'visit',
  hive: '4',
  visit: null,
  assessor: 'Tomasz Wierzba',
  lead: false,
  version: 1,
  prompt: '',
  note: '',
  weather: null,
  counts: true,
  corrections: [],
  ...more,
});
