import { ADVICE_KINDS, type AdviceKind } from '@brave-comb/core/care';
import { type Answer, type Drill, NAMES, STOP_ANSWERS, type StopAnswer } from '@brave-comb/core/practice';
import { DEPTHS, type Depth, HINDRANCES, type Hindrance } from '@brave-comb/core/weather';
import type { Choice } from './choice-entry';
import { named } from '../language/words';

const NONE = 'none';
const option = (id: string, text = id) => ({ id, text });

const ADVICE_TEXT: Readonly<Record<AdviceKind, string>> = {
  feed: $localize`Feed`,
  'queen-cells': $localize`See to the queen cells`,
  'add-space': $localize`Give room`,
  'look-again': $localize`Look again soon`,
  'leave-alone': $localize`Leave it alone`,
};
const DEPTH_TEXT: Readonly<Record<Depth, string>> = {
  outside: $localize`outside only`,
  lid: $localize`under the lid`,
  'one-frame': $localize`one frame, quickly`,
  full: $localize`the whole nest`,
};

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
            ...DEPTHS.map((depth) => option(depth, DEPTH_TEXT[depth])),
          ],
        },
        {
          id: 'because',
          legend: $localize`What forbids more?`,
          options: [...HINDRANCES.map((each) => option(each, named('hindrance', each))), option(NONE, 'nothing')],
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
          options: ADVICE_KINDS.map((kind) => option(kind, ADVICE_TEXT[kind])),
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
