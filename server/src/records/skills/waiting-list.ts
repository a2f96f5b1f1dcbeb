import type { ChecklistRow } from './checklist-store';

/** The version that waits for its day. */
export const waitingIn = (versions: readonly ChecklistRow[], today: string): ChecklistRow | undefined =>
  versions.find(({ starts }) => starts !== null && starts > today);
