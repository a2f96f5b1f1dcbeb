/** Jobs at one hive. Several may watch; two hold frames when the group is large enough. */
export const JOBS = ['smoke', 'frames', 'record', 'clock', 'watch'] as const;
export type Job = (typeof JOBS)[number];
