import type { PlanParams } from './problem';

/** Worth of learning: 1 − e^−L in ten straight lines; a reading that no forecast makes sure counts at most 0.98. */
export const CURVE: Pick<PlanParams, 'pMax' | 'pwl' | 'careLateRate' | 'tempFactor'> = {
  careLateRate: 0.1,
  tempFactor: { cool: 1.6, mild: 1, warm: 0.8, hot: 1.3 },
  pMax: 0.98,
  pwl: {
    L: [0, 0.15, 0.35, 0.6, 0.9, 1.25, 1.7, 2.3, 3.2, 5],
    F: [0, 0.139292, 0.295312, 0.451188, 0.59343, 0.713495, 0.817316, 0.899741, 0.959238, 0.993262],
  },
};
