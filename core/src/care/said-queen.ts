import type { CivilDate } from '../units';

/** What is said of a queen that fails, is missing or lays only drones. */
export interface QueenSentences {
  'the-queen': null;
  'eggs-are-missed': null;
  'give-test-frame': null;
  'young-queen-overdue': { worry: CivilDate };
  'gives-mated-queen-at-once': null;
  'test-frame-rule': null;
  'cells-mean-queenless': null;
  'no-cells-mean-queen': null;
  'workers-keep-laying': null;
  'no-queen-then-unite': null;
  'test-frame-healthy': null;
  'cells-on-test-frame': null;
  'unite-them': null;
  'too-few-for-queen': null;
  'no-queen-mated-now': null;
  'buys-a-queen-late': null;
  'unite-rule': null;
  'eggs-seen-leave-her': null;
  'spare-queen-at-hand': null;
  'unite-fails-shake-out': null;
  'unite-healthy-only': null;
  'united-one-queen-eggs': null;
  'take-her-out-unite': null;
  'replace-drone-layer': null;
  'she-was-seen-lays-drones': null;
  'unites-at-once': null;
  'drone-layer-rule': null;
  'flat-cappings-would-say-no': null;
  'not-accepted-unite': null;
  'new-queen-eggs': null;
  'shake-them-out': null;
  'gives-brood-three-weeks': null;
  'laying-workers-rule': null;
  'queen-found-unite': null;
  'leave-no-box-robbing': null;
  'stand-empty-comb-stored': null;
  'plan-a-new-queen': null;
  'patchy-on-frames': { frames: readonly number[] };
  'patchy-has-other-causes': null;
  'lets-them-replace-her': null;
  'failing-rule': null;
  'solid-brood-next-time': null;
  'supersedure-cells-leave': null;
  'brood-solid-or-patchy': null;
}
