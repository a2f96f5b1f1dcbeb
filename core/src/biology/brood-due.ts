import { within } from '../units';
import { DEVELOPMENT, daysToEmergence } from './development';

/** Worker brood by stage, cells. */
export interface BroodCells {
  readonly eggs: number;
  readonly larvae: number;
  readonly sealed: number;
}

/**
 * Young workers expected on each of the next 21 days from the stages seen, taking each stage as evenly aged.
 *
 * @param cells worker cells by stage, 0 or more
 * @param survival share of the brood that lives to emerge, 0 to 1; losses differ by colony and season
 * @returns bees on each day, from tomorrow (index 0) to the 21st; what a stage holds emerges in full at survival 1
 * @throws RangeError for negative cells or a share out of range
 * @example adultsDue({ eggs: 0, larvae: 0, sealed: 1200 })[0] // 100
 * Source: development days by Winston (1987), from memory.
 */
export function adultsDue({ eggs, larvae, sealed }: BroodCells, survival = 1): readonly number[] {
  within('eggs', eggs, 0);
  within('larvae', larvae, 0);
  within('sealed cells', sealed, 0);
  within('survival', survival, 0, 1);
  const { egg, larva, sealed: lid } = DEVELOPMENT.worker;
  const day = (index: number) => {
    const on = index + 1;
    if (on <= lid) return sealed / lid;
    return on <= lid + larva ? larvae / larva : eggs / egg;
  };
  return Array.from({ length: daysToEmergence('worker') }, (_, index) => day(index) * survival);
}
