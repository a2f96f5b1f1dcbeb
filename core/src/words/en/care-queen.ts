import type { QueenSentences } from '../../care';
import type { Sentences } from '../../language';

/** What is said of a queen that fails, is missing or lays only drones. */
export const queenSentences: Sentences<QueenSentences> = {
  'the-queen': 'the queen',
  'room-does-not-stop-cells':
    'Room is short as well, but more of it does not stop cells that are fed: decide on them first',
  'eggs-are-missed': 'Eggs are easily missed on new comb and in poor light',
  'give-test-frame': 'Give a frame with eggs and young larvae as a test: have they a queen?',
  'young-queen-overdue': ({ worry }, w) => `The young queen should have laid by ${w.day(worry)}`,
  'gives-mated-queen-at-once':
    'gives a mated queen at once, caged: a week is saved, and she is lost if a virgin is about.',
  'test-frame-rule':
    'A queenless colony draws queen cells on young larvae within days; one that has a queen, or a virgin, does not. The brood keeps workers from laying meanwhile.',
  'cells-mean-queenless': 'Cells on the given frame: they have none. Leave one cell, or give a queen.',
  'no-cells-mean-queen': 'No cells: there is a queen or a virgin. Leave them alone until her eggs are due.',
  'workers-keep-laying': 'If no cells are drawn after two frames, shake them out in front of strong hives.',
  'no-queen-then-unite': 'Without a queen in time, unite them with a healthy colony that has one.',
  'test-frame-healthy':
    'The frame comes from a healthy colony, and without its queen: look at both sides before it goes.',
  'cells-on-test-frame': 'Cells on the test frame?',
  'unite-them': 'Unite them with a healthy colony that has a queen',
  'too-few-for-queen': 'So few bees cannot wait until brood of a new queen emerges',
  'no-queen-mated-now': 'A queen reared now is not mated before winter',
  'buys-a-queen-late': 'gives a spare laying queen even now, if there are bees enough for winter.',
  'unite-rule':
    'Late in the year, or with few bees, a colony without a queen is worth more to another than by itself: paper between the boxes, a week’s peace.',
  'eggs-seen-leave-her': 'Eggs after all: leave them as they are.',
  'spare-queen-at-hand': 'A spare laying queen at hand, and bees enough: give her instead.',
  'unite-fails-shake-out': 'If they fight or hang outside, shake them out in front of the other hives on a warm noon.',
  'unite-healthy-only': 'Never unite what may be sick: look at the brood of both first. Two people lift.',
  'united-one-queen-eggs': 'Paper gone, one queen, eggs?',
  'take-her-out-unite': 'She lays only drones: take her out and unite the bees',
  'replace-drone-layer': 'She lays only drones: replace her',
  'she-was-seen-lays-drones': 'The queen was seen: it is she who lays them',
  'unites-at-once': 'unites the bees with a healthy colony at once: old bees seldom raise a new queen well.',
  'drone-layer-rule':
    'A queen without sperm lays drones in worker cells. She is found and taken out before another is given: otherwise the new one dies.',
  'flat-cappings-would-say-no': 'Flat cappings of worker brood would say no: look at two more frames.',
  'not-accepted-unite': 'If the new queen is not accepted, unite.',
  'new-queen-eggs': 'New queen out of her cage, eggs?',
  'shake-them-out': 'Shake them out in front of strong hives and take the hive away',
  'gives-brood-three-weeks': 'gives a frame of young brood each week for three weeks, until they raise a queen.',
  'laying-workers-rule':
    'Workers lay when there has been neither queen nor young brood for weeks; they seldom accept a queen. Few or late they are not worth another colony’s brood.',
  'queen-found-unite': 'A queen found after all: take her out and unite the bees.',
  'leave-no-box-robbing': 'Leave no comb standing open: it sets off robbing.',
  'stand-empty-comb-stored': 'Stand empty, comb stored away from moths?',
  'plan-a-new-queen': 'Plan a new queen: she is getting old',
  'patchy-on-frames': ({ frames }, w) => `Patchy brood on frames ${w.list(frames)}`,
  'patchy-has-other-causes': 'Patchy brood has other causes too: chill, few bees, backfill, disease, a pause in laying',
  'lets-them-replace-her': 'lets the bees replace her when they see fit, and keeps a spare queen ready.',
  'failing-rule':
    'Patchy brood twice from a queen in her second season or older: replace her while mated queens are to be had.',
  'solid-brood-next-time': 'Solid brood at the next look: keep her.',
  'supersedure-cells-leave': 'One to three cells on the face of a comb: they are doing it themselves, leave them.',
  'brood-solid-or-patchy': 'Brood solid or patchy again?',
};
