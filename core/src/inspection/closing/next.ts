import { type BoxLayer, type CombCarrier, combCarrier, frameOf } from '../../equipment';
import type { Text } from '../../language';
import { say } from '../said';
import { eggsLeftOut } from '../side/copy-side';
import {
  type FrameSide,
  type SideAddress,
  eighthsLeft,
  eighthsRead,
  shows,
  sideKey,
  towardText,
} from '../side/frame-side';
import { CHECKS } from '../visit/checks';
import type { VisitRecord } from '../entries/record';
import { doubtsLeft } from '../entries/sides';
import type { FrameSides } from '../words/frame-change';
import type { ClosingTask } from './closing';
import { liftingOrder } from './order';
import type { Step, StepId } from './steps';

/** Where a device stands in a visit. */
export interface StandingAt {
  /** Steps of this visit, in order. */
  readonly steps: readonly Step[];
  readonly record: VisitRecord;
  /** The box that is worked in, and its frames as read so far. */
  readonly box: BoxLayer | null;
  readonly frames: readonly FrameSides[];
  /** The side being entered. */
  readonly address: SideAddress | null;
  readonly side: FrameSide;
  /** What is left to close, in order. */
  readonly closing: readonly ClosingTask[];
  /** Whether this person may end the visit. */
  readonly leads: boolean;
}

/** What comes next in a visit: one entry, one side, or the next step. */
export type Next =
  | { readonly do: 'reach'; readonly step: StepId }
  | { readonly do: 'keep-look'; readonly then: StepId }
  | { readonly do: 'smoke-entrance'; readonly smoked: boolean; readonly then: StepId }
  | { readonly do: 'take-off'; readonly part: string }
  | { readonly do: 'turn-to'; readonly side: SideAddress }
  | { readonly do: 'sum-up'; readonly then: StepId }
  | { readonly do: 'close'; readonly task: ClosingTask }
  | { readonly do: 'end' }
  | { readonly do: 'review' };

/**
 * What comes next at an open hive, from where a device stands.
 *
 * @param step the step that it stands at
 * @param at the visit as it is
 * @returns the one thing to do next. Common practice
 */
export function nextOf(step: StepId, at: StandingAt): Next {
  switch (step) {
    case 'before':
      return { do: 'reach', step: 'outside' };
    case 'outside':
      return { do: 'keep-look', then: after(step, at) };
    case 'smoke':
      return { do: 'smoke-entrance', smoked: at.record.smoke.length > 0, then: 'open' };
    case 'open':
    case 'supers': {
      const part = partStillOn(step, at);
      return part === null ? { do: 'reach', step: after(step, at) } : { do: 'take-off', part };
    }
    case 'first-frame':
    case 'frames': {
      const side = sideBeside(at, 1);
      if (side) return { do: 'turn-to', side };
      return { do: 'reach', step: doubtsLeft(at.record).length > 0 || at.side.doubtful ? 'again' : 'sum-up' };
    }
    case 'again':
      return { do: 'reach', step: 'sum-up' };
    case 'sum-up':
      return { do: 'sum-up', then: after(step, at) };
    case 'close': {
      // What is looked at before leaving comes with the entrance.
      const task = at.closing.find((each) => each.kind !== 'check' || CHECKS[each.check].when !== 'leaving');
      return task ? { do: 'close', task } : { do: 'reach', step: 'entrance' };
    }
    case 'entrance':
      return at.record.closed || !at.leads ? { do: 'review' } : { do: 'end' };
  }
}

/** The step that follows another in this visit. */
function after(step: StepId, { steps }: StandingAt): StepId {
  return steps[steps.findIndex(({ id }) => id === step) + 1]?.id ?? 'entrance';
}

/** The first part of a step that nobody has taken off. */
function partStillOn(step: StepId, { steps, record }: StandingAt): string | null {
  const parts = steps.find(({ id }) => id === step)?.parts ?? [];
  return parts.find(({ id }) => !record.partsOff.includes(id))?.id ?? null;
}

/**
 * The side so many places on in lifting order from the side being entered.
 *
 * @param at the box that is worked in and the side being entered
 * @param by places, negative to go back
 * @returns its address, `null` past either end
 */
export function sideBeside({ box, address }: Pick<StandingAt, 'box' | 'address'>, by: number): SideAddress | null {
  if (!box || !address) return null;
  const order = liftingOrder(box.id, box.frames);
  return order[order.findIndex((side) => sideKey(side) === sideKey(address)) + by] ?? null;
}

/** Frames of the box of which no side is read, but for the one in hand. */
function unread({ frames, address }: StandingAt): readonly number[] {
  return frames.flatMap(({ low, high }, index) => (low || high || index + 1 === address?.frame ? [] : [index + 1]));
}

/**
 * What is asked about once before the frames go on: a side of which a part is read, or frames that nobody looked at.
 *
 * @param at the visit as it is
 * @param lastTime the side being entered as it was read at the visit before
 * @returns the question, `null` when there is none
 */
export function asksBefore(at: StandingAt, lastTime: FrameSide | null): Text | null {
  const { address, side, box } = at;
  if (!box) return null;
  const carrier = combCarrier(frameOf(box));
  const left = eighthsLeft(side);
  if (address && eighthsRead(side) > 0 && left > 0) {
    const eggs = lastTime !== null && eggsLeftOut(lastTime, 'last-time') && !shows(side, 'E');
    const toward = towardText(address, box.frames);
    return say('side-partly-read', { carrier, frame: address.frame, toward, left, eggs });
  }
  const frames = sideBeside(at, 1) ? [] : unread(at);
  return frames.length > 0 ? say('frames-not-read', { carrier, frames }) : null;
}

/**
 * What the big button says: what it does when it is pressed.
 *
 * @param step the step that a device stands at
 * @param at the visit as it is
 * @returns words for {@link nextOf}
 */
export function nextText(step: StepId, at: StandingAt): Text {
  const next = nextOf(step, at);
  const carrier = at.box ? combCarrier(frameOf(at.box)) : 'frame';
  switch (next.do) {
    case 'take-off':
      return say('part-is-off', { part: next.part });
    case 'turn-to':
      return say('next-side', {
        carrier,
        frame: next.side.frame,
        toward: towardText(next.side, at.box?.frames ?? 0),
      });
    case 'close':
      return next.task.says;
    case 'reach':
      return reachText(step, next.step, carrier, at);
    case 'keep-look':
      return say('next-keep-look', { smoke: next.then === 'smoke' });
    case 'smoke-entrance':
      return say('next-smoke-entrance', { smoked: next.smoked });
    case 'sum-up':
      return say('next-sum-up', { close: next.then === 'close' });
    case 'end':
      return say('next-end');
    case 'review':
      return say('next-review');
  }
}

function reachText(step: StepId, to: StepId, carrier: CombCarrier, at: StandingAt): Text {
  if (to === 'first-frame') return say('next-first-frame', { carrier, frame: at.address?.frame ?? 1 });
  if (to === 'again' || to === 'sum-up') {
    const frames = step === 'frames' || step === 'first-frame' ? unread(at).length : 0;
    return say('next-after-frames', { to, unread: frames });
  }
  return say('next-step', { to });
}
