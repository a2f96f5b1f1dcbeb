/** What is ticked off before the lid comes off, at the open hive, and before leaving. */
export interface CheckKind {
  readonly when: 'before' | 'open' | 'closing' | 'leaving';
  readonly says: string;
  /** Asked of each trainee by itself. */
  readonly each: boolean;
  /** What follows when it is not so. */
  readonly otherwise: string;
}

const check = (when: CheckKind['when'], says: string, otherwise: string, each = false): CheckKind => ({
  when,
  says,
  each,
  otherwise,
});

/** Checks by id. Common practice. */
export const CHECKS = {
  'smoker-fuel': check('before', 'Fuel for the whole visit', 'No smoke: work by the smokeless plan.'),
  lighter: check('before', 'Lighter works, gas in the torch', 'No smoke: work by the smokeless plan.'),
  water: check('before', 'Water beside the smoker', 'No fire without water, in drought no smoker at all.'),
  veil: check('before', 'Veil shut, seen by somebody else', 'Stands back until it is shut.', true),
  glasses: check('before', 'Glasses or magnifier on', 'Eggs count as not seen until a photo confirms them.', true),
  light: check('open', 'Sun on the comb, bright enough for eggs', '"No eggs" counts as not seen.'),
  'box-upright': check('open', 'Boxes stood upright all the time', 'Respace the frames; shake no frame of it today.'),
  respaced: check(
    'closing',
    'Frames of the tipped box respaced',
    'Combs touch or gape: bees are crushed, comb grows wild.',
  ),
  'dummy-in': check('closing', 'Dummy board back beside the frames', 'The gap grows stray comb.'),
  'tight-frames': check('closing', 'Brood frames closed up', 'A gap grows stray comb.'),
  'even-supers': check('closing', 'Super frames spaced evenly', 'Uneven gaps give thick and thin combs.'),
  'wires-across': check(
    'closing',
    'Excluder wires run across the frames',
    'Turn it: bees build where wires lie along a bar.',
  ),
  'escape-up': check(
    'closing',
    'Escape board the right way up',
    'Upside down it fills the supers instead of emptying them.',
  ),
  'feeder-on': check('closing', 'Feeder filled and in its place', 'Note why not.'),
  'food-on': check('closing', 'Food taken off is back above the bees', 'They may starve under an empty cover.'),
  'spacer-out': check('closing', 'No empty rim left above the frames', 'They fill it with comb.'),
  stragglers: check('closing', 'No bees left on covers, frames or in the bucket', 'A queen can be among them.'),
  scraps: check('closing', 'Scraps in the lidded bucket, old strips and bags out', 'Scraps start robbing.'),
  entrance: check('leaving', 'Entrance as wide as they can defend', 'Note what stops it.'),
  strap: check('leaving', 'Strapped or weighted', 'Wind and animals tip hives.'),
  'smoker-out': check('leaving', 'Smoker plugged and carried upright', 'It sets grass and cars on fire.'),
} as const satisfies Record<string, CheckKind>;

export type CheckId = keyof typeof CHECKS;
export const CHECK_IDS = Object.keys(CHECKS) as readonly CheckId[];

/** How to open without smoke. Common practice. */
export const SMOKELESS_PLAN = [
  'Spray a little clean water over the top bars, or lay a damp cloth over all but the gap you work in.',
  'Upper box only, edge frames first, slow hands, no jolt.',
  'First head-butts: cover and wait three minutes. A bee at the hand: close.',
  'No defensive colony, no robbing weather, no beginner at the frames.',
] as const;
