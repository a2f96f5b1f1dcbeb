/** Jobs at one hive. Several may watch; two hold frames when the group is large enough. */
export const ROLES = ['smoke', 'frames', 'record', 'clock', 'watch'] as const;
export type Role = (typeof ROLES)[number];
