/** What can be wrong with what was sent beyond its shape. Whoever answers has words for each. */
export const WRONG = [
  'date',
  'due-before-begun',
  'few-words',
  'id',
  'id-of-list',
  'many-choices',
  'moment',
  'no-figure',
  'no-reason',
  'no-right-choice',
  'nothing-instead',
  'one-choice',
  'out-of-reach',
  'same-choices',
  'to-do',
  'too-long-for-list',
] as const;
export type WrongId = (typeof WRONG)[number];

/** The message of a rule: its id, which is put into words where it is answered. */
export const wrong = (id: WrongId): WrongId => id;
