/** What can be wrong with what was sent beyond its shape. Whoever answers has words for each. */
export const WRONG = [
  'clock',
  'date',
  'due-before-begun',
  'few-words',
  'id',
  'id-of-list',
  'invitation',
  'line-points',
  'mail',
  'many-choices',
  'many-landmarks',
  'many-rows',
  'many-stands',
  'moment',
  'no-figure',
  'no-group',
  'no-name',
  'no-reason',
  'no-right-choice',
  'nothing-instead',
  'one-choice',
  'out-of-reach',
  'same-choices',
  'short-password',
  'sign-in-name',
  'stand-twice',
  'start-code',
  'to-do',
  'too-long-for-list',
  'zone',
] as const;
export type WrongId = (typeof WRONG)[number];

/** The message of a rule: its id, which is put into words where it is answered. */
export const wrong = (id: WrongId): WrongId => id;
