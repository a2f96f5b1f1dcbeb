import { namesOf } from '../language/words';
import { type Letter } from '@brave-comb/core/inspection';

/** Contents in one word, for buttons. */
export const SHORT_CONTENTS: Readonly<Record<Letter, string>> = {
  ...namesOf('content'),
  S: 'sealed',
  D: 'drone',
  H: 'honey',
  C: 'empty',
  F: 'bare',
  X: 'spoilt',
};
