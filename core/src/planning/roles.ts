/** Jobs at one hive. Several may watch; two hold frames when the group is large enough. */
export const ROLES = ['smoke', 'frames', 'record', 'clock', 'watch'] as const;
export type Role = (typeof ROLES)[number];

/** Who does what during one part of a visit. */
export interface RotaTurn {
  readonly fromFrame: number;
  readonly toFrame: number;
  readonly roles: Readonly<Record<Role, readonly string[]>>;
}

/**
 * A rota for one visit: the frames in three turns, everybody once at the frames as far as the group allows, those who need it first.
 *
 * @param trainees ids, those who most need to hold frames first; 1 to 12
 * @param frames frames in the box
 * @returns three turns (fewer when the box has fewer frames)
 * @throws RangeError for an empty group
 * @example roleRota(['ravi', 'li', 'niamh'], 11)[0]?.roles.frames // ['ravi']
 */
export function roleRota(trainees: readonly string[], frames: number): readonly RotaTurn[] {
  if (trainees.length === 0) throw new RangeError('a rota needs at least one trainee');
  const turns = Math.min(3, frames);
  const holders = Math.max(1, Math.min(2, Math.ceil(trainees.length / turns)));
  return Array.from({ length: turns }, (_, turn) => {
    const shifted = trainees.map((_each, index) => trainees[(index + turn * holders) % trainees.length]!);
    const [smoke, record, clock, ...watch] = shifted.slice(holders);
    return {
      fromFrame: Math.floor((turn * frames) / turns) + 1,
      toFrame: Math.floor(((turn + 1) * frames) / turns),
      roles: {
        frames: shifted.slice(0, holders),
        smoke: smoke ? [smoke] : [],
        record: record ? [record] : [],
        clock: clock ? [clock] : [],
        watch,
      },
    };
  });
}
