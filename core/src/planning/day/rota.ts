import { JOBS, type Job } from '../../inspection';

import type { SkillJob } from '../../skills';

/** Who does what during one part of a visit. */
export interface RotaTurn {
  readonly fromFrame: number;
  readonly toFrame: number;
  readonly roles: Readonly<Record<Job, readonly string[]>>;
}

/** A trainee as the rota sees one. */
export interface RotaTrainee {
  readonly name: string;
  /** Roles in which the skills that are still open are shown, one for each skill. */
  readonly open: readonly SkillJob[];
  /** Works sitting: holds frames only where the hive stands at table height. */
  readonly seated: boolean;
  /** Handles no frames here: what guards against stings is not held yet, and the colony is defensive. */
  readonly barred: boolean;
  /** Turns had in earlier visits, by role. */
  readonly had?: Readonly<Partial<Record<Job, number>>>;
}

export interface RotaHive {
  readonly frames: number;
  /** Stands at table height: a horizontal hive. */
  readonly horizontal: boolean;
}

/** Roles that are given to one each, besides the frames. */
const SINGLE = ['smoke', 'record', 'clock'] as const;

/**
 * A rota for one visit: the frames in three turns, everybody once at the frames as far as the group allows, and in each role
 * those who had it least, and of them those who still have to show what is shown there. Nobody who is barred holds a frame; where all are, the supervisor does.
 *
 * @param trainees 1 to 12; of two who need a role alike the earlier one comes first
 * @param hive frames of the box, and whether one can sit at it
 * @param before turns at the hives that the group opened before in the same session: jobs go on round from there
 * @returns three turns (fewer when the box has fewer frames)
 * @throws RangeError for an empty group
 */
export function jobRota(
  trainees: readonly RotaTrainee[],
  hive: RotaHive,
  before: readonly RotaTurn[] = [],
): readonly RotaTurn[] {
  if (trainees.length === 0) throw new RangeError('a rota needs at least one trainee');
  const { frames } = hive;
  const count = Math.min(3, frames);
  const had = new Map<string, number>(
    trainees.flatMap(({ name, had: earlier }) =>
      JOBS.map((role) => [`${role} ${name}`, earlier?.[role] ?? 0] as const),
    ),
  );
  for (const { roles } of before)
    for (const role of JOBS)
      for (const name of roles[role]) had.set(`${role} ${name}`, (had.get(`${role} ${name}`) ?? 0) + 1);
  const holders = handlersByTurn(trainees, hive, count, ({ name }) => had.get(`frames ${name}`) ?? 0);
  return holders.map((holding, turn) => {
    let left = trainees.filter((each) => !holding.includes(each));
    const single = SINGLE.map((role) => {
      const times = ({ name }: RotaTrainee) => had.get(`${role} ${name}`) ?? 0;
      const [taken] = left.toSorted((a, b) => times(a) - times(b) || need(b, role) - need(a, role));
      if (taken !== undefined) {
        had.set(`${role} ${taken.name}`, times(taken) + 1);
        left = left.filter((each) => each !== taken);
      }
      return [role, taken === undefined ? [] : [taken.name]] as const;
    });
    const [smoke, record, clock] = single.map(([, names]) => names) as [string[], string[], string[]];
    return {
      fromFrame: Math.floor((turn * frames) / count) + 1,
      toFrame: Math.floor(((turn + 1) * frames) / count),
      roles: {
        frames: holding.map(({ name }) => name),
        smoke,
        record,
        clock,
        watch: left.map(({ name }) => name),
      },
    };
  });
}

const need = ({ open }: RotaTrainee, role: Job) => open.filter((shown) => shown === role).length;

/** Who holds frames in each turn: those who need it most first, nobody twice while somebody has not. */
function handlersByTurn(
  trainees: readonly RotaTrainee[],
  { horizontal }: RotaHive,
  turns: number,
  held: (trainee: RotaTrainee) => number,
): readonly (readonly RotaTrainee[])[] {
  const ready = trainees.filter(({ barred }) => !barred);
  const standing = ready.filter(({ seated }) => horizontal || !seated);
  const able = standing.length > 0 ? standing : ready;
  if (able.length === 0) return Array.from({ length: turns }, () => []);
  const each = Math.max(1, Math.min(2, Math.ceil(able.length / turns)));
  const queue = able.toSorted((a, b) => held(a) - held(b) || need(b, 'frames') - need(a, 'frames'));
  return Array.from({ length: turns }, (_, turn) =>
    Array.from(
      { length: Math.min(each, queue.length) },
      (_each, place) => queue[(turn * each + place) % queue.length]!,
    ),
  );
}
