/** What is ticked off before the lid comes off, at the open hive, and before leaving. */
export interface CheckKind {
  readonly when: 'before' | 'open' | 'closing' | 'leaving';
  /** Asked of each trainee by itself. */
  readonly each: boolean;
}

const check = (when: CheckKind['when'], each = false): CheckKind => ({ when, each });

/** Checks by id. Common practice. */
export const CHECKS = {
  'smoker-fuel': check('before'),
  lighter: check('before'),
  water: check('before'),
  veil: check('before', true),
  glasses: check('before', true),
  light: check('open'),
  'box-upright': check('open'),
  respaced: check('closing'),
  'dummy-in': check('closing'),
  'tight-frames': check('closing'),
  'even-supers': check('closing'),
  'wires-across': check('closing'),
  'escape-up': check('closing'),
  'feeder-on': check('closing'),
  'food-on': check('closing'),
  'spacer-out': check('closing'),
  stragglers: check('closing'),
  scraps: check('closing'),
  entrance: check('leaving'),
  strap: check('leaving'),
  'smoker-out': check('leaving'),
} as const satisfies Record<string, CheckKind>;

export type CheckId = keyof typeof CHECKS;
export const CHECK_IDS = Object.keys(CHECKS) as readonly CheckId[];

/** How to open without smoke. Common practice. */
export const SMOKELESS_PLAN = ['cloth', 'upper-box', 'cover-and-wait', 'not-then'] as const;
