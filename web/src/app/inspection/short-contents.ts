import { namesOf } from '../language/words';
import { type Letter } from '@brave-comb/core/inspection';

/** Contents in one word, for buttons. */
export const SHORT_CONTENTS: Readonly<Record<Letter, string>> = {
  ...namesOf('content'),
  S: $localize`sealed`,
  D: $localize`drone`,
  H: $localize`honey`,
  C: $localize`empty`,
  F: $localize`undrawn`,
  X: $localize`damaged`,
};
