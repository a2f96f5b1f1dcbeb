import type { Trouble, CellKind, StopAnswer } from '../../../practice';

/** What things are called, by their ids. */
export const practiceNames = {
  practicePlace: {
    comb: 'Comb',
    find: 'Find',
    weather: 'Weather',
    order: 'Order',
    stop: 'Stop',
    next: 'Next',
    photos: 'Photos',
  },
  trouble: {
    'twisted-larvae': 'twisted larvae',
    'sunken-lids': 'sunken cappings',
    'chalky-mummies': 'chalky mummies',
    'bald-brood': 'bald brood',
    'drones-in-worker-cells': 'drones in worker cells',
    'several-eggs-in-a-cell': 'several eggs in a cell',
  } satisfies Record<Trouble, string>,
  cell: {
    egg: 'egg',
    foundation: 'foundation',
    pollen: 'pollen',
    nectar: 'nectar',
    empty: 'empty',
    'two-eggs': 'two eggs',
    'young-larva': 'young larva',
    'old-larva': 'old larva',
    'sealed-worker': 'sealed worker',
    hatching: 'hatching',
    'sealed-drone': 'sealed drone',
    'capped-honey': 'capped honey',
    spoilt: 'damaged',
    'sunken-lid': 'sunken capping',
    'pierced-lid': 'perforated capping',
    'bald-pupa': 'bald pupa',
    'twisted-larva': 'twisted larva',
    mummy: 'mummy',
    'domed-in-worker-cell': 'domed in worker cell',
  } satisfies Record<CellKind, string>,
  stopAnswer: {
    'go-on': 'go on',
    'close-now': 'close now',
    'enough-seen': 'enough seen, close',
    'finish-frame': 'finish this frame, then close',
  } satisfies Record<StopAnswer, string>,
};
