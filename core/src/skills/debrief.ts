/** What has to be read through before a debrief is signed: levels that went up, whole records, double readings, what went wrong. */
export const DEBRIEF_PARTS = ['levels', 'records', 'readings', 'wrong'] as const;
