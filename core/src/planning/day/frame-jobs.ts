import type { Text } from '../../language';
import { say } from '../said';
import { JOBS, type Job } from '../../inspection';
import type { RotaTurn } from './rota';

/** What tells who did what at which frame. */
export interface FrameJobFacts {
  /** Who was to do what when the visit began, by ids. */
  readonly rota: readonly RotaTurn[];
  /** Roles that were given by hand, with when. */
  readonly given: readonly { readonly role: Job; readonly person: string; readonly at: string }[];
  /** When each frame was first in hand, ISO instants by number; frames that nobody lifted are not there. */
  readonly lifted: ReadonlyMap<number, string>;
  readonly frames: number;
}

/**
 * Who did what at each frame: by the rota, and by what was handed over before that frame.
 *
 * @param facts of one visit
 * @returns by person, a role for each frame from 1; `null` where the frame was not lifted, "watch" where the rota gives nothing else
 */
export function jobsByFrame({
  rota,
  given,
  lifted,
  frames,
}: FrameJobFacts): ReadonlyMap<string, readonly (Job | null)[]> {
  const people = new Set([
    ...rota.flatMap(({ roles }) => JOBS.flatMap((role) => roles[role])),
    ...given.map(({ person }) => person),
  ]);
  const planned = (person: string, frame: number): Job => {
    const turn = rota.find(({ fromFrame, toFrame }) => frame >= fromFrame && frame <= toFrame) ?? rota.at(-1);
    return JOBS.find((role) => turn?.roles[role].includes(person)) ?? 'watch';
  };
  const order = given.toSorted((a, b) => a.at.localeCompare(b.at));
  return new Map(
    [...people].map((person) => [
      person,
      Array.from({ length: frames }, (_, index) => {
        const at = lifted.get(index + 1);
        if (at === undefined) return null;
        const last = order.filter((each) => each.person === person && each.at <= at).at(-1);
        return last?.role ?? planned(person, index + 1);
      }),
    ]),
  );
}

/**
 * For how many visits running somebody had no frame in hand.
 *
 * @param visits of the group, oldest first: who was there and who held frames
 * @param person id
 * @returns visits at which the person was there without a frame, up to the last; 0 when the last had one
 */
export function runWithoutFrame(
  visits: readonly { readonly there: ReadonlySet<string>; readonly held: ReadonlySet<string> }[],
  person: string,
): number {
  const own = visits.filter(({ there }) => there.has(person));
  const last = own.findLastIndex(({ held }) => held.has(person));
  return own.length - 1 - last;
}

/** For how many visits running somebody had no frame in hand, in words; empty for none. */
export const withoutFrameText = (run: number): Text => (run === 0 ? '' : say('without-frame', { run }));
