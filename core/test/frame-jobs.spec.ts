import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { answersInEnglish } from './in-english';
import { JOBS } from '../src/inspection';
import { type RotaTurn, jobsByFrame, runWithoutFrame, withoutFrameText as saidWithoutFrameText } from '../src/planning';

const withoutFrameText = answersInEnglish(saidWithoutFrameText);

const turn = (fromFrame: number, toFrame: number, frames: string, smoke: string): RotaTurn => ({
  fromFrame,
  toFrame,
  roles: { frames: [frames], smoke: [smoke], record: [], clock: [], watch: [] },
});
const ROTA = [turn(1, 2, 'ife', 'jun'), turn(3, 4, 'jun', 'ife')];
const at = (minute: number) => `2026-05-14T12:${`${minute}`.padStart(2, '0')}:00.000Z`;
const lifted = (...frames: readonly number[]) => new Map(frames.map((frame) => [frame, at(10 * frame)]));

describe('who did what at which frame', () => {
  it('goes by the rota, and says nothing of frames that nobody lifted', () => {
    const roles = jobsByFrame({ rota: ROTA, given: [], lifted: lifted(1, 3), frames: 5 });
    expect(roles.get('ife')).toEqual(['frames', null, 'smoke', null, null]);
    expect(roles.get('jun')).toEqual(['smoke', null, 'frames', null, null]);
  });

  it('goes on with the last turn where the rota ends', () => {
    const roles = jobsByFrame({ rota: ROTA, given: [], lifted: lifted(5), frames: 5 });
    expect(roles.get('jun')?.[4]).toBe('frames');
  });

  it('changes with what was handed over, from the next frame on, the latest word holding', () => {
    const given = [
      { role: 'clock', person: 'ife', at: at(35) },
      { role: 'record', person: 'ife', at: at(15) },
    ] as const;
    const roles = jobsByFrame({ rota: ROTA, given, lifted: lifted(1, 2, 3, 4), frames: 4 });
    expect(roles.get('ife')).toEqual(['frames', 'record', 'record', 'clock']);
    expect(roles.get('jun')).toEqual(['smoke', 'smoke', 'frames', 'frames']);
  });

  it('lets whoever came without a role in the rota watch until one is given', () => {
    const given = [{ role: 'frames', person: 'late', at: at(25) }] as const;
    const roles = jobsByFrame({ rota: ROTA, given, lifted: lifted(1, 2, 3), frames: 3 });
    expect(roles.get('late')).toEqual(['watch', 'watch', 'frames']);
  });

  it('gives everybody one role at every frame that was lifted, whatever was handed over', () => {
    const handed = fc.record({
      role: fc.constantFrom(...JOBS),
      person: fc.constantFrom('ife', 'jun', 'late'),
      at: fc.integer({ min: 0, max: 59 }).map(at),
    });
    fc.assert(
      fc.property(fc.array(handed), fc.subarray([1, 2, 3, 4, 5]), (given, frames) => {
        for (const roles of jobsByFrame({ rota: ROTA, given, lifted: lifted(...frames), frames: 5 }).values())
          roles.forEach((role, index) => {
            expect(role !== null).toBe(frames.includes(index + 1));
          });
      }),
    );
  });
});

describe('visits running without a frame in hand', () => {
  const visit = (there: string, held: string) => ({ there: new Set(there), held: new Set(held) });

  it('count from the last one with a frame, and only those at which somebody was there', () => {
    const visits = [visit('ab', 'a'), visit('ab', 'b'), visit('b', 'b'), visit('ab', 'b')];
    expect(runWithoutFrame(visits, 'a')).toBe(2);
    expect(runWithoutFrame(visits, 'b')).toBe(0);
  });

  it('count all for who never held one, none for who never came', () => {
    expect(runWithoutFrame([visit('a', ''), visit('a', '')], 'a')).toBe(2);
    expect(runWithoutFrame([visit('a', '')], 'c')).toBe(0);
  });
});

it.each([
  [0, ''],
  [1, 'no frame in hand'],
  [2, 'no frame in hand, second time running'],
  [9, 'no frame in hand, 9 times running'],
])('%d visits without a frame read "%s"', (run, says) => {
  expect(withoutFrameText(run)).toBe(says);
});
