import { ADVICE_KINDS, type AdviceKind } from '@brave-comb/core/care';
import { type Answer, type Drill, NAMES, STOP_ANSWERS, type StopAnswer } from '@brave-comb/core/practice';
import { DEPTHS, HINDRANCES, type Hindrance } from '@brave-comb/core/weather';
import type { Choice } from './choice-entry';
import { named } from '../language/words';

const NONE = 'none';
const option = (id: string, text = id) => ({ id, text });

/**
 * What can be answered by choosing.
 *
 * @param drill what is asked
 * @returns the choices, `null` for drills that are answered otherwise
 */
export function choicesOf(drill: Drill): readonly Choice[] | null {
  switch (drill.kind) {
    case 'trouble':
      return [
        {
          id: 'trouble',
          legend: $localize`What does it show?`,
          options: NAMES.map((name) => option(name ?? NONE, name ? named('trouble', name) : $localize`nothing wrong`)),
        },
      ];
    case 'weather':
      return [
        {
          id: 'depth',
          legend: $localize`How deep?`,
          options: [
            option(NONE, $localize`not even outside`),
            ...DEPTHS.map((depth) => option(depth, named('depthLook', depth))),
          ],
        },
        {
          id: 'because',
          legend: $localize`What forbids more?`,
          options: [
            ...HINDRANCES.map((each) => option(each, named('hindrance', each))),
            option(NONE, $localize`nothing`),
          ],
        },
      ];
    case 'stop':
      return [
        {
          id: 'stop',
          legend: $localize`What now?`,
          options: STOP_ANSWERS.map((each) => option(each, named('stopAnswer', each))),
        },
      ];
    case 'next':
      return [
        {
          id: 'next',
          legend: $localize`What does it need next?`,
          options: ADVICE_KINDS.map((kind) => option(kind, named('advice', kind))),
        },
      ];
    case 'photo':
      return [
        { id: 'photo', legend: drill.question, options: drill.choices.map((text, place) => option(`${place}`, text)) },
      ];
    default:
      return null;
  }
}

/** The answer that choices make, in the order of {@link choicesOf}. */
export function answerOf(drill: Drill, [first, second]: readonly string[]): Answer {
  switch (drill.kind) {
    case 'trouble':
      return { kind: 'trouble', trouble: NAMES.find((name) => name === first) ?? null };
    case 'weather':
      return {
        kind: 'weather',
        depth: DEPTHS.find((depth) => depth === first) ?? null,
        because: HINDRANCES.find((each): each is Hindrance => each === second) ?? null,
      };
    case 'stop':
      return { kind: 'stop', answer: first as StopAnswer };
    case 'next':
      return { kind: 'next', advice: first as AdviceKind };
    case 'photo':
      return { kind: 'photo', choice: Number(first) };
    default:
      return { kind: 'given-up' };
  }
}
