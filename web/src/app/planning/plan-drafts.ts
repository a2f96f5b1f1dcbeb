import { InspectionPlanJson } from '@brave-comb/contract/planning-problem';
import * as z from 'zod';
import type { Draft } from './plan-job.feature';

const Kept = z
  .array(z.object({ plan: InspectionPlanJson.pick({ sessions: true, staff: true }), words: z.string() }))
  .max(200);
const key = (person: string) => `plan drafts of ${person}`;

/** Keeps what was changed by hand and not yet published, so that a closed page loses nothing. */
export function keepDrafts(person: string, drafts: readonly Draft[]): void {
  try {
    if (drafts.length === 0) localStorage.removeItem(key(person));
    else localStorage.setItem(key(person), JSON.stringify(drafts));
  } catch {
    // Without room on the device the changes live as long as the page.
  }
}

/** What was kept; nothing where it cannot be read any more. */
export function keptDrafts(person: string): readonly Draft[] {
  try {
    const kept = Kept.safeParse(JSON.parse(localStorage.getItem(key(person)) ?? '[]'));
    return kept.success ? kept.data : [];
  } catch {
    return [];
  }
}
