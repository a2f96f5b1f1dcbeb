import type { CombCarrier, LiftAdvice } from '../../equipment';

/** What things are called, by their ids. */
export const equipmentNames = {
  lift: {
    'one-lifts': 'one lifts',
    'two-lift': 'two lift',
    'by-frames': 'by frames',
    'stays-put': 'stays put',
  } satisfies Record<LiftAdvice | 'stays-put', string>,
  combCarrier: { frame: 'Frame', bar: 'Bar' } satisfies Record<CombCarrier, string>,
  combCarriers: { frame: 'frames', bar: 'bars' } satisfies Record<CombCarrier, string>,
};
