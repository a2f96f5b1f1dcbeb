import { ADVICE_KINDS, type AdviceKind } from '@brave-comb/core/care';
import { type Answer, type Drill, NAMES, STOP_ANSWERS, type StopAnswer } from '@brave-comb/core/practice';
import { DEPTHS, type Depth, HINDRANCES, type Hindrance } from '@brave-comb/core/weather';
import type { Choice } from './choice-entry';
import { named } from '../ui/words';

const NONE = 'none';
const option = (id: string, text = id) => ({ id, text });

const ADVICE_TEXT: Readonly<Record<AdviceKind, string>> = {
  feed: 'Feed',
  'queen-cells': 'See to the queen cells',
  'add-space': 'Give room',
  'look-again': 'Look again soon',
  'leave-alone': 'Leave it alone',
};
const DEPTH_TEXT: Readonly<Record<Depth, string>> = {
  outside: 'outside only',
  lid: 'under the lid',
  'one-frame': 'one frame, quickly',
  full: 'the whole nest',
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
          legend: 'What does it show?',
          options: NAMES.map((name) => option(name ?? NONE, name ? named('trouble', name) : 'nothing wrong')),
        },
      ];
    case 'weather':
      return [
        {
          id: 'depth',
          legend: 'How deep?',
          options: [option(NONE, 'not even outside'), ...DEPTHS.map((depth) => option(depth, DEPTH_TEXT[depth]))],
        },
        {
          id: 'because',
          legend: 'What forbids more?',
          options: [...HINDRANCES.map((each) => option(each, named('hindrance', each))), option(NONE, 'nothing')],
        },
      ];
    case 'stop':
      return [
        {
          id: 'stop',
          legend: 'What now?',
          options: STOP_ANSWERS.map((each) => option(each, named('stopAnswer', each))),
        },
      ];
    case 'next':
      return [
        {
          id: 'next',
          legend: 'What does it need next?',
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
